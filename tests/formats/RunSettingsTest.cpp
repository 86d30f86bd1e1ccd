// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/RunSettingsJson.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

TEST(RunSettingsJson, WrittenAndReadAgainIsTheSame) {
    RunSettings settings = usualRunSettings();
    settings.houseCard = {u"Welcome\nto the harbour"_s, QString(64, u'a') + u".png"_s};
    settings.callOutSeconds = 20;
    settings.takeOpensCurtain = true;
    settings.clickTakes = true;
    const auto again = runSettingsFromJson(runSettingsToJson(settings), u"run.json"_s);
    ASSERT_TRUE(again);
    EXPECT_EQ(*again, settings);
}

TEST(RunSettingsJson, WhatIsSenselessIsRefusedOrBroughtIntoRange) {
    for (const char* bytes : {"", "[]", "{\"callOuts\":", "nothing"})
        EXPECT_EQ(runSettingsFromJson(bytes, u"run.json"_s).error().where, u"run.json"_s);
    const auto settings =
        runSettingsFromJson("{\"callOuts\":[\" \", 7, \"a\"],\"callOutSeconds\":-5,\"houseCard\":3}", u"x"_s);
    ASSERT_TRUE(settings);
    EXPECT_EQ(settings->callOuts, QStringList{u"a"_s});
    EXPECT_EQ(settings->callOutSeconds, 0);
    EXPECT_EQ(settings->houseCard, HouseCard());
}

} // namespace
} // namespace mivanta
