// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include "render/Fonts.h"
#include <QGuiApplication>
#include <gtest/gtest.h>

int main(int argc, char** argv) {
    ::testing::InitGoogleTest(&argc, argv);
    if (::testing::GTEST_FLAG(list_tests))
        return RUN_ALL_TESTS(); // needs no display
    QGuiApplication app(argc, argv);
    mivanta::speak(QStringLiteral("en"));
    mivanta::loadShippedFonts();
    return RUN_ALL_TESTS();
}
