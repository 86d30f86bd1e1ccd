// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/StageFields.h"
#include "core/base/Cases.h"
#include "support/FixedLineup.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

SlideObject field(const QString& key) {
    SlideObject object;
    object.what = FieldObject{key};
    return object;
}

/// Two songs, sung V1 C V2 C, as a service and as its lineup.
class StageFields : public ::testing::Test {
protected:
    StageFields() {
        for (int i = 0; i < 2; ++i) {
            Song song = samples::harbourSong(i == 0 ? u"First"_s : u"Second"_s);
            song.key = u"G"_s;
            song.capo = i == 0 ? 2 : 0;
            service.items.push_back({lineup.ids[size_t(i)], songItem(song)});
        }
        service.items[0].plan.leader = u"Maren"_s;
        service.items[0].edits.stageNote = u"softly"_s;
        service.items[1].plan.at = QTime(11, 0);
    }
    [[nodiscard]] StageFacts factsAt(int item, int step) const {
        return stageFacts(service, lineup, lineup.cue(item, step), since);
    }
    FixedLineup lineup{2};
    Service service;
    const QDateTime since{QDate(2026, 10, 4), QTime(10, 31, 5, 730)};
};

TEST_F(StageFields, SayWhatIsSungWhatFollowsAndWhoLeads) {
    const StageFacts facts = factsAt(0, 1);
    EXPECT_EQ(facts.texts[u"part"_s], u"Chorus"_s);
    EXPECT_EQ(facts.texts[u"follows"_s], u"V2  C"_s);
    EXPECT_EQ(facts.texts[u"item"_s], u"First"_s);
    EXPECT_EQ(facts.texts[u"next-item"_s], u"Second"_s);
    EXPECT_EQ(facts.texts[u"key"_s], u"G, capo 2"_s);
    EXPECT_EQ(facts.texts[u"note"_s], u"softly"_s);
    EXPECT_EQ(facts.texts[u"leader"_s], u"Maren"_s);
    EXPECT_EQ(facts.texts[u"place"_s], u"1 of 2"_s);
    EXPECT_TRUE(facts.nextWords[u"hall"_s].startsWith(u"five lines here"_s));
    EXPECT_EQ(facts.nextFixed, QTime(11, 0));
}

TEST_F(StageFields, AtTheEndThereIsNothingBehind) {
    const StageFacts facts = factsAt(1, 3);
    EXPECT_FALSE(facts.texts.contains(u"next-item"_s));
    EXPECT_FALSE(facts.texts.contains(u"follows"_s));
    EXPECT_TRUE(facts.nextWords.isEmpty());
    EXPECT_FALSE(facts.nextFixed);
    EXPECT_TRUE(stageFacts(service, lineup, {ItemId::create(), {}}, since).texts.isEmpty());
}

TEST_F(StageFields, ObjectsSayItAndThoseWithNothingToSayAreLeftOut) {
    Scene scene;
    scene.output = u"hall"_s;
    SlideObject stopwatch;
    stopwatch.what = StopwatchObject();
    SlideObject toFixed;
    toFixed.what = CountdownObject();
    SlideObject toTime = toFixed;
    toTime.what = CountdownObject{QTime(12, 0)};
    scene.look.objects = {field(u"part"_s),
                          field(u"next-words"_s),
                          field(u"next-item"_s),
                          field(u"nonsense"_s),
                          stopwatch,
                          toFixed,
                          toTime};
    QStringList said;
    for (const SlideObject& object : withFacts(scene, factsAt(0, 0)).look.objects)
        said << std::visit(Cases{[](const TextObject& text) { return text.text.section(u'\n', 0, 0); },
                                 [](const StopwatchObject& stopwatch) {
                                     return stopwatch.began->toString(u"HH:mm:ss.zzz"_s);
                                 },
                                 [](const CountdownObject& countdown) { return countdownText(countdown); },
                                 [](const auto&) { return u"nothing that is said"_s; }},
                           object.what);
    EXPECT_EQ(said, (QStringList{u"Verse 1"_s, u"sing it out,"_s, u"Second"_s, u"10:31:05.000"_s, u"11:00"_s,
                                 u"12:00"_s}));
    EXPECT_EQ(withFacts(scene, factsAt(1, 3)).look.objects.size(), 3u);
    EXPECT_EQ(withFacts(scene, {}).look.objects.size(), 1u);
}

TEST(StageFieldNames, EachHasAKeyANameAndASample) {
    QStringList keys;
    for (const StageField& each : stageFields()) {
        EXPECT_EQ(stageFieldOf(QLatin1String(each.key)), &each);
        EXPECT_FALSE(keys.contains(QLatin1String(each.key)));
        EXPECT_GT(qstrlen(each.sample), 0u);
        keys << QLatin1String(each.key);
    }
    EXPECT_EQ(stageFieldOf(u"nonsense"_s), nullptr);
}

} // namespace
} // namespace mivanta
