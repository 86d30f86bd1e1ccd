// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/Commands.h"
#include "core/base/Language.h"
#include "media/Mpv.h"
#include "render/Fonts.h"
#include <QGuiApplication>

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen"); // pictures are drawn, never shown
    QGuiApplication app(argc, argv);
    mivanta::speak();
    mivanta::useNumbersOfMpv();
    QGuiApplication::setApplicationName(QStringLiteral("mivanta"));
    QTextStream out(stdout);
    QTextStream err(stderr);
    const auto arguments = mivanta::readArguments(app.arguments());
    if (!arguments) {
        err << QStringLiteral("mivanta-cli: ") << arguments.error().text() << u'\n';
        return 2;
    }
    if (arguments->help) {
        out << mivanta::usageText();
        return 0;
    }
    mivanta::loadShippedFonts();
    return mivanta::runCommand(*arguments, out, err);
}
