// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include "core/base/LeavableWork.h"
#include "desk/kit/Style.h"
#include "media/Mpv.h"
#include "render/Fonts.h"
#include <QApplication>
#include <gtest/gtest.h>

int main(int argc, char** argv) {
    ::testing::InitGoogleTest(&argc, argv);
    if (::testing::GTEST_FLAG(list_tests))
        return RUN_ALL_TESTS(); // needs no display
    QApplication app(argc, argv);
    mivanta::speak(QStringLiteral("en"));
    mivanta::useNumbersOfMpv();
    QApplication::setApplicationName(QStringLiteral("mivanta-test"));
    QApplication::setOrganizationName(QStringLiteral("mivanta-test"));
    mivanta::loadShippedFonts();
    mivanta::applyStyle(app);
    const int result = RUN_ALL_TESTS();
    if (mivanta::leftWorks() > 0)
        std::_Exit(result); // before the application is gone, which it uses
    return result;
}
