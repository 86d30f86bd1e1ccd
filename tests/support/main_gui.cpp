// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Fonts.h"
#include <QGuiApplication>
#include <gtest/gtest.h>

int main(int argc, char** argv) {
    QGuiApplication app(argc, argv);
    mivanta::loadShippedFonts();
    ::testing::InitGoogleTest(&argc, argv);
    return RUN_ALL_TESTS();
}
