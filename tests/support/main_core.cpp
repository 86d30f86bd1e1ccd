// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include <QCoreApplication>
#include <gtest/gtest.h>

int main(int argc, char** argv) {
    ::testing::InitGoogleTest(&argc, argv);
    if (::testing::GTEST_FLAG(list_tests))
        return RUN_ALL_TESTS(); // needs no display
    QCoreApplication app(argc, argv);
    mivanta::speak(QStringLiteral("en"));
    return RUN_ALL_TESTS();
}
