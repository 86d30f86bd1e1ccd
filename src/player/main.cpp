// SPDX-License-Identifier: GPL-3.0-or-later
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
    mivanta::useNumbersOfMpv();
    mivanta::loadShippedFonts();
    mivanta::Player player(app.arguments().at(1));
    if (const auto started = player.start(); !started) {
        qCritical("%s", qPrintable(started.error().text()));
        return 1;
    }
    return app.exec();
}
