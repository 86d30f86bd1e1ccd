// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/parts/Style.h"
#include "media/Mpv.h"
#include "render/Fonts.h"
#include <QApplication>
#include <gtest/gtest.h>

int main(int argc, char** argv) {
    ::testing::InitGoogleTest(&argc, argv);
    if (::testing::GTEST_FLAG(list_tests))
        return RUN_ALL_TESTS(); // needs no display
    QApplication app(argc, argv);
    mivanta::useNumbersOfMpv();
    QApplication::setApplicationName(QStringLiteral("mivanta-test"));
    QApplication::setOrganizationName(QStringLiteral("mivanta-test"));
    mivanta::loadShippedFonts();
    mivanta::applyStyle(app);
    return RUN_ALL_TESTS();
}
