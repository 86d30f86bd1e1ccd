// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemContent.h"
#include "core/run/RunState.h"
#include "core/text/TextMarks.h"
#include "support/EvenMeasure.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

TEST(TextMarks, RolesBreaksAndEmphasisAreRead) {
    const auto lines = linesFrom(
        u"Leader: The sea is his,\nfor he made it.\nAll: Thanks be to *God*.\n---\nReader 2: Hear\n:\nA notice"_s);
    ASSERT_EQ(lines.size(), 5u);
    EXPECT_EQ(lines[0].role, u"Leader"_s);
    EXPECT_EQ(lines[1].role, u"Leader"_s); // goes on
    EXPECT_EQ(lines[2].role, u"All"_s);
    EXPECT_EQ(lines[2].words, u"Thanks be to God."_s);
    EXPECT_EQ(lines[2].emphasis.size(), 1u);
    EXPECT_TRUE(lines[3].breakBefore);
    EXPECT_EQ(lines[3].role, u"Reader 2"_s);
    EXPECT_TRUE(lines[4].role.isEmpty());
}

TEST(TextMarks, TimesAndBracketsAreWords) {
    const auto lines = linesFrom(
        u"Thursday at 19:00: bring a needle\n10:30 begins\n[silence] we wait\n\\Note: this is no role"_s);
    ASSERT_EQ(lines.size(), 4u);
    for (const SpokenLine& line : lines)
        EXPECT_TRUE(line.role.isEmpty()) << line.role.toStdString();
    EXPECT_EQ(lines[2].words, u"[silence] we wait"_s);
    EXPECT_EQ(lines[3].words, u"Note: this is no role"_s);
}

RC_GTEST_PROP(TextMarks, WhatIsWrittenIsReadAsTheSame, ()) {
    const auto word =
        rc::gen::element<QString>(u"sea"_s, u"All:"_s, u"10:30"_s, u"*star*"_s, u"\\"_s, u"---"_s, u"[G]"_s,
                                  u"__x__"_s, u"b\u00e9"_s, u":"_s, u"#"_s, u"{date}"_s);
    std::vector<SpokenLine> lines;
    const int count = *rc::gen::inRange(1, 8);
    for (int i = 0; i < count; ++i) {
        const auto words =
            *rc::gen::nonEmpty(rc::gen::resize(5, rc::gen::container<std::vector<QString>>(word)));
        SpokenLine line{*rc::gen::element<QString>(u"Leader"_s, u"All"_s, QString(), u"First reader"_s),
                        QStringList(words.begin(), words.end()).join(u' '),
                        {},
                        i > 0 && *rc::gen::arbitrary<bool>()};
        if (*rc::gen::arbitrary<bool>())
            line.emphasis = {{0, int(line.words.size()), *rc::gen::arbitrary<bool>(), true}};
        lines.push_back(line);
    }
    const QString text = textOf(lines);
    RC_LOG() << qPrintable(text);
    RC_ASSERT(linesFrom(text) == lines);
}

TEST(TextFields, FillThemselves) {
    const FieldValues values{QDate(2026, 10, 4), u"the Chapel"_s, {{u"who leads"_s, u"Maren"_s}}};
    const auto words = [&](const QString& text, const QString& language = {}) {
        return filled({{}, text, {}, false}, values, language).words;
    };
    EXPECT_EQ(words(u"Today, {date}, at {church}."_s), u"Today, 4 October 2026, at the Chapel."_s);
    EXPECT_EQ(words(u"am {date}"_s, u"de"_s), u"am 4. Oktober 2026"_s);
    EXPECT_EQ(words(u"{Next Sunday}: {ask who leads} leads."_s), u"11 October 2026: Maren leads."_s);
    EXPECT_EQ(words(u"with {ask somebody}, and {other}"_s), u"with, and {other}"_s);
    EXPECT_EQ(nextSunday(QDate(2026, 10, 7)), QDate(2026, 10, 11));
    EXPECT_EQ(nextSunday(QDate(2026, 10, 4)), QDate(2026, 10, 11));
}

TEST(TextFields, EmphasisMovesAlong) {
    const SpokenLine line = filled({{}, u"on {date} we sing"_s, {{10, 12, true, false}}, false},
                                   {QDate(2026, 10, 4), {}, {}}, {});
    ASSERT_EQ(line.emphasis.size(), 1u);
    EXPECT_EQ(line.words.mid(line.emphasis[0].from, line.emphasis[0].to - line.emphasis[0].from), u"we"_s);
}

TEST(SpokenText, RolesLookAsTheThemeSays) {
    SpokenText text;
    text.id = TextId::create();
    text.title = u"Welcome"_s;
    text.lines = linesFrom(u"Leader: The sea is his,\nAll: and the land.\n---\nAll: Amen."_s);
    Theme theme = samples::theme();
    theme.look.roles = {{u"all"_s, true, false, Colour{255, 200, 0, 255}, u"\u25cf"_s}};
    EvenMeasures measures;
    const auto sceneAt = [&](int slide) {
        const ItemSlides slides =
            slidesFor(contentOf(text, {}), usualOutputs(), plainChain(theme, {}), measures);
        return sceneOf(slides, slides.outputs[0], slide);
    };
    Scene scene = sceneAt(0);
    ASSERT_EQ(scene.rows.size(), 2u);
    EXPECT_EQ(scene.rows[0].text, u"Leader:\u00a0The sea is his,"_s);
    EXPECT_FALSE(scene.rows[0].colour);
    EXPECT_EQ(scene.rows[0].numbers.size(), 1u); // the name stands back
    EXPECT_EQ(scene.rows[1].text, u"\u25cf\u00a0All:\u00a0and the land."_s);
    EXPECT_EQ(scene.rows[1].colour, (Colour{255, 200, 0, 255}));
    ASSERT_EQ(scene.rows[1].emphasis.size(), 1u);
    EXPECT_TRUE(scene.rows[1].emphasis[0].bold);
    EXPECT_EQ(sceneAt(1).rows[0].text, u"\u25cf\u00a0All:\u00a0Amen."_s); // said again on a new page
    text.namesRoles = false;
    EXPECT_EQ(sceneAt(0).rows[0].text, u"The sea is his,"_s);
}

} // namespace
} // namespace mivanta
