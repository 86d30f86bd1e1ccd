// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include "core/base/LeavableWork.h"
#include "core/base/Said.h"
#include "desk/kit/Style.h"
#include "desk/window/FocusWithoutManager.h"
#include "desk/window/MainWindow.h"
#include "media/Mpv.h"
#include "remote/RunSocket.h"
#include "render/Fonts.h"
#include "store/LibraryClaim.h"
#include "store/ThisComputer.h"
#include <QApplication>
#include <QCommandLineParser>
#include <QDir>
#include <QFileInfo>
#include <QSessionManager>
#include <cstdlib>

namespace {

mivanta::DoorRequest wantedBy(const QCommandLineParser& parser) {
    using Kind = mivanta::DoorRequest::Kind;
    const auto absolute = [](const QString& path) { return QFileInfo(path).absoluteFilePath(); };
    if (parser.isSet(QStringLiteral("new")))
        return {Kind::StartNew};
    if (parser.isSet(QStringLiteral("begin-with")))
        return {Kind::BeginWith, absolute(parser.value(QStringLiteral("begin-with")))};
    const QString file = parser.positionalArguments().value(0);
    return file.isEmpty() ? mivanta::DoorRequest() : mivanta::DoorRequest{Kind::Open, absolute(file)};
}

mivanta::LibraryAddress libraryOf(const QCommandLineParser& parser) {
    return mivanta::LibraryAddress::made(parser.isSet(QStringLiteral("library"))
                                             ? parser.value(QStringLiteral("library"))
                                             : mivanta::LibraryAddress::usual().folder());
}

mivanta::ThisComputer computerOf(const QCommandLineParser& parser) {
    return parser.isSet(QStringLiteral("computer"))
               ? mivanta::ThisComputer(QFileInfo(parser.value(QStringLiteral("computer"))).absoluteFilePath())
               : mivanta::ThisComputer();
}

int runDesks(QApplication& app) {
    mivanta::speak();
    mivanta::useNumbersOfMpv();
    QApplication::setApplicationName(QStringLiteral("mivanta"));
    QApplication::setOrganizationName(QStringLiteral("mivanta"));
    QApplication::setApplicationVersion(QStringLiteral("0.1.0"));
    QCommandLineParser parser;
    parser.setApplicationDescription(mivanta::Said::tr("Songs and scripture on the screens of a church."));
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addOption(
        {QStringLiteral("library"), mivanta::Said::tr("The library's folder."), QStringLiteral("DIR")});
    parser.addOption(
        {QStringLiteral("computer"),
         mivanta::Said::tr("Where what belongs to this computer is kept: outputs, unsaved work."),
         QStringLiteral("DIR")});
    parser.addOption({QStringLiteral("run"), mivanta::Said::tr("Start on the Run desk.")});
    parser.addOption({QStringLiteral("second"),
                      mivanta::Said::tr("A second window, to prepare while the first one runs.")});
    parser.addOption({QStringLiteral("new"), mivanta::Said::tr("Begin with a new service.")});
    parser.addOption({QStringLiteral("begin-with"),
                      mivanta::Said::tr("Begin with a service as it is in this file, to be saved elsewhere."),
                      QStringLiteral("FILE")});
    parser.addPositionalArgument(QStringLiteral("FILE"), mivanta::Said::tr("A service to open."),
                                 QStringLiteral("[FILE]"));
    parser.process(app);

    const mivanta::LibraryAddress library = libraryOf(parser);
    const mivanta::ThisComputer computer = computerOf(parser);
    const QString sessions = mivanta::sessionFolder(library.folder());
    const bool isSecond = parser.isSet(QStringLiteral("second"));
    const mivanta::DoorRequest wanted = wantedBy(parser);
    // A second start shows the window that is there already, and has it open what was double-clicked.
    if (mivanta::Door::knock(mivanta::Door::pathOf(sessions, isSecond), wanted))
        return 0;

    mivanta::loadShippedFonts();
    mivanta::applyStyle(app);
    const bool opensItself = !isSecond && wanted.kind == mivanta::DoorRequest::Kind::Open;
    const mivanta::LibraryClaim claim(library.folder(), computer.unsavedFolder(library),
                                      isSecond ? QString(mivanta::kSecondWindow) : QString(),
                                      QSysInfo::machineHostName());
    mivanta::Session session({library, computer, opensItself ? wanted.path : QString(),
                              parser.isSet(QStringLiteral("run")), QCoreApplication::applicationFilePath(),
                              QCoreApplication::applicationDirPath() + QStringLiteral("/mivanta-player"),
                              isSecond, claim.name(), claim.holder()});
    mivanta::MainWindow window(session);
    mivanta::RunSocket remote(session);
    // Not before the player has taken these desks: others may be at work with this library.
    QObject::connect(&session.player(), &mivanta::PlayerClient::welcomed, &remote, [&] {
        if (isSecond)
            return;
        const auto listening = remote.listen(mivanta::runSocketPath(sessions));
        if (!listening)
            Q_EMIT session.problem(listening.error());
        window.listenAtDoor();
    });
    QObject::connect(&session, &mivanta::Session::ready, &window, [&] {
        if (isSecond)
            window.listenAtDoor();
        if (!opensItself)
            window.obey(wanted);
    });
    QObject::connect(
        &app, &QGuiApplication::commitDataRequest, &window,
        [&](QSessionManager& manager) {
            const bool mayAsk = manager.allowsInteraction();
            const bool goes = window.prepareToLogOut(mayAsk);
            if (mayAsk)
                manager.release();
            if (!goes)
                manager.cancel();
        },
        Qt::DirectConnection);
    new mivanta::FocusWithoutManager(&app);
    window.show();
    session.start();
    return app.exec();
}

} // namespace

int main(int argc, char** argv) {
    QApplication app(argc, argv);
    const int result = runDesks(app);
    if (mivanta::leftWorks() > 0)
        std::_Exit(result); // it is no reason to wait, and uses what goes with the application
    return result;
}
