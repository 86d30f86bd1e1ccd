// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include "media/Mpv.h"
#include "player/Player.h"
#include "render/Fonts.h"
#include <QGuiApplication>

int main(int argc, char** argv) {
    QGuiApplication::setQuitOnLastWindowClosed(false);
    QGuiApplication app(argc, argv);
    QGuiApplication::setApplicationName(QStringLiteral("mivanta-player"));
    if (app.arguments().size() != 2) {
        qCritical("usage: mivanta-player SESSION-FOLDER (the desks start it)");
        return 2;
    }
    mivanta::speak();
    mivanta::useNumbersOfMpv();
    mivanta::loadShippedFonts();
    mivanta::Player player(app.arguments().at(1));
    const auto started = player.start();
    if (!started) {
        qCritical("%s", qPrintable(started.error().text()));
        return 1;
    }
    if (!*started)
        return 0; // the desks find the one that is there
    return app.exec();
}
