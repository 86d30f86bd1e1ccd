// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/media/Disc.h"
#include "support/Text.h"
#include <QJsonDocument>
#include <QJsonObject>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

DiscTrack anyTrack(int most) {
    return {*rc::gen::inRange(0, 0x10000), *rc::gen::element(QString(), u"en"_s, u"de"_s),
            *rc::gen::inRange(0, most + 1)};
}

RC_GTEST_PROP(DiscJson, WhatIsWrittenIsRead, ()) {
    Disc disc{*rc::gen::element(QString(), u"HARBOUR"_s, u"Im „Hafen“"_s), {}};
    const int titles = *rc::gen::inRange(0, 5);
    for (int i = 0; i < titles; ++i) {
        DiscTitle title;
        title.number = i + 1;
        title.seconds = *rc::gen::inRange(1, 86400 * 25) / 25.0;
        for (int chapter = *rc::gen::inRange(0, 4); chapter > 0; --chapter)
            title.chapters.push_back(title.seconds / (chapter + 1));
        for (int track = *rc::gen::inRange(0, 8); track > 0; --track)
            title.sounds.push_back(anyTrack(8));
        for (int track = *rc::gen::inRange(0, 32); track > 0; --track)
            title.subtitles.push_back(anyTrack(0));
        title.size = {720, *rc::gen::element(480, 576)};
        for (int colour = *rc::gen::element(0, 16); colour > 0; --colour)
            title.palette << quint32(*rc::gen::inRange(0, 0x1000000));
        title.isProtected = *rc::gen::arbitrary<bool>();
        disc.titles.push_back(title);
    }
    const auto read = discFromJson(toJson(disc), u"/dev/sr0"_s);
    RC_ASSERT(read.has_value());
    RC_ASSERT(*read == disc);
}

TEST(DiscJson, WhatBreaksARuleIsRefused) {
    Disc disc{u"HARBOUR"_s, {DiscTitle{}}};
    disc.titles[0].number = 1;
    disc.titles[0].seconds = 10;
    disc.titles[0].sounds = {{0x80, u"en"_s, 2}};
    const QByteArray right = toJson(disc);
    ASSERT_TRUE(discFromJson(right, {}));
    for (const auto& [what, with] : {std::pair<QByteArray, QByteArray>{"\"number\":1", "\"number\":100"},
                                     {"\"number\":1", "\"number\":\"one\""},
                                     {"\"seconds\":10", "\"seconds\":-1"},
                                     {"\"seconds\":10", "\"seconds\":1e300"},
                                     {"\"id\":128", "\"id\":1000000"},
                                     {"\"en\"", "\"english\""},
                                     {"\"chapters\":[]", "\"chapters\":[11]"},
                                     {"\"chapters\":[]", "\"chapters\":7"},
                                     {"\"palette\":[]", "\"palette\":[-1]"},
                                     {"HARBOUR", QByteArray(100, 'H')}}) {
        QByteArray wrong = right;
        wrong.replace(what, with);
        ASSERT_NE(wrong, right) << what.constData();
        const auto read = discFromJson(wrong, u"/dev/sr0"_s);
        ASSERT_FALSE(read) << with.constData();
        EXPECT_EQ(read.error().where, u"/dev/sr0"_s);
    }
    for (const QByteArray& wrong :
         {QByteArray(), QByteArray("[]"), QByteArray("words"), QByteArray(2'000'000, ' ')})
        EXPECT_FALSE(discFromJson(wrong, {}));
}

TEST(DiscJson, ProblemsAreToldByKeysAndSaidInWords) {
    QStringList all;
    for (const DiscProblem problem :
         {DiscProblem::Unreadable, DiscProblem::NoDisc, DiscProblem::Protected, DiscProblem::Damaged}) {
        EXPECT_EQ(discProblemFromJson(toJson(problem)), problem);
        EXPECT_FALSE(discError(problem, {}).remedy.isEmpty());
        all << discError(problem, {}).what;
    }
    all.removeDuplicates();
    EXPECT_EQ(all.size(), 4);
    EXPECT_FALSE(discProblemFromJson("{\"problem\":\"rain\"}"));
    EXPECT_FALSE(discProblemFromJson("12.500"));
}

} // namespace
} // namespace mivanta
