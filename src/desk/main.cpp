// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/MainWindow.h"
#include "desk/app/RunSocket.h"
#include "desk/parts/Style.h"
#include "media/Mpv.h"
#include "render/Fonts.h"
#include "store/Settings.h"
#include <QApplication>
#include <QCommandLineParser>
#include <QFileInfo>

int main(int argc, char** argv) {
    QApplication app(argc, argv);
    mivanta::useNumbersOfMpv();
    QApplication::setApplicationName(QStringLiteral("mivanta"));
    QApplication::setOrganizationName(QStringLiteral("mivanta"));
    QApplication::setApplicationVersion(QStringLiteral("0.1.0"));
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral("Songs and scripture on the screens of a church."));
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addOption(
        {QStringLiteral("library"), QStringLiteral("The library's folder."), QStringLiteral("DIR")});
    parser.addOption({QStringLiteral("run"), QStringLiteral("Start on the Run desk.")});
    parser.addPositionalArgument(QStringLiteral("FILE"), QStringLiteral("A service to open."),
                                 QStringLiteral("[FILE]"));
    parser.process(app);

    mivanta::loadShippedFonts();
    mivanta::applyStyle(app);
    const QString library = parser.isSet(QStringLiteral("library"))
                                ? QFileInfo(parser.value(QStringLiteral("library"))).absoluteFilePath()
                                : mivanta::usualLibraryFolder();
    const QString file = parser.positionalArguments().value(0);
    mivanta::Session session({library, file.isEmpty() ? QString() : QFileInfo(file).absoluteFilePath(),
                              parser.isSet(QStringLiteral("run")), QCoreApplication::applicationFilePath(),
                              QCoreApplication::applicationDirPath() + QStringLiteral("/mivanta-player")});
    mivanta::MainWindow window(session);
    mivanta::RunSocket remote(session);
    // Not before the player has taken these desks: others may be at work with this library.
    QObject::connect(&session.player(), &mivanta::PlayerClient::welcomed, &remote, [&] {
        const auto listening = remote.listen(mivanta::runSocketPath(mivanta::sessionFolder(library)));
        if (!listening)
            Q_EMIT session.problem(listening.error());
    });
    window.show();
    session.start();
    return app.exec();
}
