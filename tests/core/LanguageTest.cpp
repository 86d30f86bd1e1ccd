// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include "core/base/Said.h"
#include "core/song/PartHeading.h"
#include "core/song/SingingOrder.h"
#include "core/song/SongBounds.h"
#include "core/theme/LookProperty.h"
#include "support/Pseudo.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

QString pseudo(const char* text, const char* what = nullptr) {
    const QTranslator english;
    return PseudoLanguage(english).translate("Said", text, what, -1);
}

TEST(Language, CountsHaveOneFormForOneAndAnotherForMany) {
    EXPECT_EQ(Said::tr("%n songs", nullptr, 1), u"1 song"_s);
    EXPECT_EQ(Said::tr("%n songs", nullptr, 0), u"0 songs"_s);
    EXPECT_EQ(Said::tr("%n songs", nullptr, 27), u"27 songs"_s);
    EXPECT_EQ(Said::n(qint64(1) << 40), INT_MAX);
}

TEST(Language, ListsEndAsPeopleSayThem) {
    EXPECT_EQ(Said::all({}), QString());
    EXPECT_EQ(Said::all({u"a"_s}), u"a"_s);
    EXPECT_EQ(Said::all({u"a"_s, u"b"_s}), u"a and b"_s);
    EXPECT_EQ(Said::any({u"a"_s, u"%1"_s, u"c"_s}), u"a, %1 or c"_s);
}

TEST(Language, PseudoTurnsWordsAndKeepsWhatProgramsFillIn) {
    EXPECT_EQ(pseudo("Save as"), u"[Šávé áš]"_s);
    EXPECT_EQ(pseudo("&Save"), u"[&Šávé]"_s);
    EXPECT_EQ(pseudo("C"), u"Ç"_s);
    EXPECT_EQ(pseudo("%n songs in %1"), u"[%n šóñgš íñ %1]"_s);
    EXPECT_EQ(pseudo("<b>no</b> &nbsp;%L2"), u"[<b>ñó</b> &nbsp;%L2]"_s);
    EXPECT_EQ(pseudo("Songs (*.cho *.txt)"), u"[Šóñgš (*.cho *.txt)]"_s);
    EXPECT_EQ(pseudo("d MMMM yyyy", "date format"), u"d MMMM yyyy"_s);
}

RC_GTEST_PROP(Language, PseudoKeepsEveryPlaceThatIsFilledIn, (const std::vector<int>& pieces)) {
    static const QStringList all{u"%1"_s, u"%n"_s,  u"%L3"_s,     u"songs"_s,
                                 u" "_s,  u"<i>"_s, u"{title}"_s, u"and"_s};
    QString text;
    QStringList filled;
    for (const int piece : pieces) {
        const QString& each = all[qsizetype(unsigned(piece) % unsigned(all.size()))];
        text += each;
        if (each.startsWith(u'%') || each.startsWith(u'<') || each.startsWith(u'{'))
            filled << each;
    }
    const QString said = pseudo(text.toUtf8().constData());
    qsizetype from = 0;
    for (const QString& each : filled) {
        const qsizetype at = said.indexOf(each, from);
        RC_ASSERT(at >= 0);
        from = at + each.size();
    }
    RC_ASSERT(said.size() == text.size() + (text.size() > 3 ? 2 : 0));
}

TEST(Language, PartsAreShownInTheReadersLanguageAndKeepTheirKeys) {
    const Part verse = samples::part(PartKind::Verse, 2, {u"la"_s});
    const samples::Pseudo spoken;
    EXPECT_EQ(verse.key(), u"Verse 2"_s);
    EXPECT_EQ(verse.label(), u"[%1 %2]"_s.arg(u"[Véršé]"_s, u"2"_s));
    EXPECT_EQ(verse.shortLabel(), u"V2"_s);
}

TEST(Language, NamesThatLookLikePlacesToFillInStayAsTheyAre) {
    Part part = samples::part(PartKind::Other, 2, {u"la"_s});
    part.name = u"%1 and %2"_s;
    EXPECT_EQ(part.label(), u"%1 and %2 2"_s);
    Song song = samples::song(u"x"_s, {part});
    song.parts[0].lines.resize(size_t(kMostLines) + 1);
    EXPECT_EQ(excessOf(song), u"1001 lines in %1 and %2 2; 1000 is the most"_s);
    const PictureItem twice{
        {}, {{u"a.png"_s, u"100%1"_s}, {u"a.png"_s, u"100%1"_s}}, PictureFit::Whole, false};
    EXPECT_EQ(contentOf(twice).parts[1].label, u"100%1 (2)"_s);
}

TEST(Language, HeadingsAndOrdersAreUnderstoodInBoth) {
    const samples::Pseudo spoken;
    for (const PartKind kind : {PartKind::Verse, PartKind::PreChorus, PartKind::Chorus, PartKind::Bridge,
                                PartKind::Intro, PartKind::Interlude, PartKind::Tag, PartKind::Ending}) {
        EXPECT_EQ(readAnyHeading(partKindName(kind)).kind, kind);
        EXPECT_EQ(readAnyHeading(partKindKey(kind)).kind, kind);
    }
    const Song song = samples::harbourSong();
    const ReadOrder keys = readSingingOrder(u"V1 Chorus V2 C"_s, song.parts);
    EXPECT_EQ(keys.entries, song.singingOrder);
    EXPECT_EQ(readSingingOrder(singingOrderText(song), song.parts).entries, song.singingOrder);
}

TEST(Language, EveryPropertyAndChoiceHasALabel) {
    const samples::Pseudo spoken;
    for (const LookProperty& property : lookProperties()) {
        EXPECT_NE(property.label(), QString::fromUtf8(property.name)) << property.key;
        for (const LookChoiceName& choice : property.choices)
            EXPECT_NE(choice.label(), QString::fromUtf8(choice.name)) << property.key << ' ' << choice.key;
    }
}

} // namespace
} // namespace mivanta
