// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reading.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// What was understood, in one line: title, details, parts with their first words, order, lines.
QString understood(const Song& song) {
    QStringList facts{song.title};
    const auto add = [&](const QString& name, const QString& value) {
        if (!value.isEmpty())
            facts << name + u'=' + value;
    };
    add(u"words"_s, song.authorNames(AuthorRole::Words).join(u" & "_s));
    add(u"music"_s, song.authorNames(AuthorRole::Music).join(u" & "_s));
    add(u"arr"_s, song.authorNames(AuthorRole::Arrangement).join(u" & "_s));
    add(u"trans"_s, song.authorNames(AuthorRole::Translation).join(u" & "_s));
    add(u"c"_s, song.copyright);
    add(u"lic"_s, song.licenceNumber);
    for (const BookNumber& book : song.bookNumbers)
        add(u"no"_s, (book.book + u' ' + book.number).trimmed());
    add(u"key"_s, song.key);
    add(u"capo"_s, song.capo > 0 ? QString::number(song.capo) : QString());
    add(u"tempo"_s, song.tempo > 0 ? QString::number(song.tempo) : QString());
    add(u"time"_s, song.timeSignature);
    for (const Part& part : song.parts) {
        QStringList lines;
        for (const Line& line : part.lines)
            lines << (line.breakBefore ? u"/ "_s : QString()) + line.words;
        facts << part.shortLabel() + u": "_s + lines.join(u" | "_s);
    }
    add(u"order"_s, singingOrderText(song));
    return facts.join(u"; "_s);
}

struct Sheet {
    const char* name;
    const char* text;
    const char* understood;
};

void PrintTo(const Sheet& sheet, std::ostream* out) {
    *out << sheet.name;
}

class LyricSheet : public ::testing::TestWithParam<Sheet> {};

TEST_P(LyricSheet, IsUnderstood) {
    const ReadSong read = readOne(GetParam().text, u"New song.txt"_s);
    EXPECT_EQ(understood(read.song).toStdString(), GetParam().understood);
}

// Everything is made up; the shapes are those of e-mails, printed sheets and web pages.
INSTANTIATE_TEST_SUITE_P(
    Pasted, LyricSheet,
    ::testing::Values(
        Sheet{"TitleBlankHeadings",
              "Lantern on the Water\n\nVerse 1\nWhen the bell is low\nwe row\n\nChorus\nShine on us\n\nVerse "
              "2\nNight is long\n",
              "Lantern on the Water; V1: When the bell is low | we row; C: Shine on us; V2: Night is long"},
        Sheet{"HeadingsKeepTheirNumbers", "Tide\n\nVerse 2\ntwo\n\nVerse 5\nfive\n",
              "Tide; V2: two; V5: five"},
        Sheet{"AHeadingsOnlyLineIsSung", "Tide\n\nVerse 1\nsong number 5\n", "Tide; V1: song number 5"},
        Sheet{"TitleInCapitals", "LANTERN ON THE WATER\n\nVerse 1\none\n\nVerse 2\ntwo\n",
              "Lantern on the Water; V1: one; V2: two"},
        Sheet{"TitleDashAuthor", "Every Tide \xe2\x80\x93 Ivo Tarnwell\n\nVerse 1\none\n",
              "Every Tide; words=Ivo Tarnwell; V1: one"},
        Sheet{"TitleHyphenAuthor", "Every Tide - Ivo Tarnwell & Petra Osk\n\none\ntwo\n\nthree\nfour\n",
              "Every Tide; words=Ivo Tarnwell & Petra Osk; V1: one | two; V2: three | four"},
        Sheet{"TitleByAuthor", "Every Tide by Ivo Tarnwell\n\n[Verse 1]\none\n",
              "Every Tide; words=Ivo Tarnwell; V1: one"},
        Sheet{"ADashWithoutNamesIsTitle", "Hold fast - the line\n\nVerse 1\none\n",
              "Hold fast - the line; V1: one"},
        Sheet{"AuthorBelowTitle", "Every Tide\nIvo Tarnwell\n\nVerse 1\none\n",
              "Every Tide; words=Ivo Tarnwell; V1: one"},
        Sheet{"AuthorInBrackets", "Every Tide\n(Ivo Tarnwell)\n\n1. one\n\n2. two\n",
              "Every Tide; words=Ivo Tarnwell; V1: one; V2: two"},
        Sheet{"WordsAndMusicColon", "Tide\nWords: Ivo Tarnwell\nMusic: Petra Osk\n\nVerse 1\none\n",
              "Tide; words=Ivo Tarnwell; music=Petra Osk; V1: one"},
        Sheet{"WordsAndMusicBy", "Tide\nWords and music by Ivo Tarnwell\n\nVerse 1\none\n",
              "Tide; words=Ivo Tarnwell; music=Ivo Tarnwell; V1: one"},
        Sheet{"TextUndMelodie",
              "Hafenlicht\nText und Melodie: Ada Lund\n\nStrophe 1\neins\n\nRefrain\nzwei\n\nStrophe "
              "2\ndrei\n\nRefrain\n",
              "Hafenlicht; words=Ada Lund; music=Ada Lund; V1: eins; C: zwei; V2: drei; order=V1 C V2 C"},
        Sheet{"SeveralOnOneLine", "Tide\nWords: Ivo Tarnwell / Music: Petra Osk\n\nVerse 1\none\n",
              "Tide; words=Ivo Tarnwell; music=Petra Osk; V1: one"},
        Sheet{"RightsAtTheHead", "Tide\n\xc2\xa9 2019 Quillhaven Songs\nKey: G\n\nVerse 1\none\n",
              "Tide; c=\xc2\xa9 2019 Quillhaven Songs; key=G; V1: one"},
        Sheet{"RightsAtTheFoot",
              "Tide\n\nVerse 1\none\n\nWords: Ivo Tarnwell\nCopyright 2019 Quillhaven Songs\nLicence no. 550 "
              "1203\n",
              "Tide; words=Ivo Tarnwell; c=Copyright 2019 Quillhaven Songs; lic=550 1203; V1: one"},
        Sheet{"KeyCapoTempo", "Tide\nKey of Bb\nCapo 2\n72 bpm\n3/4\n\nVerse 1\none\n",
              "Tide; key=Bb; capo=2; tempo=72; time=3/4; V1: one"},
        Sheet{"HymnNumberBeforeTheTitle", "203 Lantern on the Water\n\n1. one\n\n2. two\n",
              "Lantern on the Water; no=203; V1: one; V2: two"},
        Sheet{"HymnNumberOnItsOwnLine", "Shore Hymnal, No. 203\nTide\n\n1. one\n\n2. two\n",
              "Tide; no=Shore Hymnal 203; V1: one; V2: two"},
        Sheet{"NumberedVersesAndRef",
              "Tide\n\n1. When the bell\nis low\n\nRef.: Shine on,\nshine on\n\n2. Night is "
              "long\n\nRef.\n\n3. Morning\n\nRef.\n",
              "Tide; V1: When the bell | is low; C: Shine on, | shine on; V2: Night is long; V3: Morning; "
              "order=V1 C V2 C V3 C"},
        Sheet{"NumbersInBrackets", "Tide\n\n(1) one\nmore\n\n(2) two\n", "Tide; V1: one | more; V2: two"},
        Sheet{"NumbersAlone", "Tide\n\n1.\none\n\n2.\ntwo\n", "Tide; V1: one; V2: two"},
        Sheet{"BracketedHeadings", "Tide\n\n[Verse 1]\none\n\n[Chorus]\nsing\n\n[Verse 2]\ntwo\n\n[Chorus]\n",
              "Tide; V1: one; C: sing; V2: two; order=V1 C V2 C"},
        Sheet{"ChorusTwice", "Tide\n\nVerse 1\none\n\nChorus (2x)\nsing\n\nVerse 2\ntwo\n\nChorus x3\n",
              "Tide; V1: one; C: sing; V2: two; order=V1 C x2 V2 C x3"},
        Sheet{"RepeatOnItsOwnLine", "Tide\n\nVerse 1\none\n\nChorus\nsing\n(repeat)\n",
              "Tide; V1: one; C: sing; order=V1 C x2"},
        Sheet{"ALineSungTwice", "Tide\n\nVerse 1\none (2x)\nmore\n", "Tide; V1: one | one | more"},
        Sheet{"RepeatsByNameOnly",
              "Tide\n\nVerse 1\none\n\nChorus\nsing\n\nVerse 2\ntwo\n\n(Repeat Chorus)\n",
              "Tide; V1: one; C: sing; V2: two; order=V1 C V2 C"},
        Sheet{"RepeatsWrittenOut",
              "Tide\n\nVerse 1\none\n\nChorus\nSing it in, sing it out.\n\nVerse 2\ntwo\n\nChorus\nSing it "
              "in; sing it out!\n",
              "Tide; V1: one; C: Sing it in, sing it out.; V2: two; order=V1 C V2 C"},
        Sheet{"WithoutHeadingsTheChorusComesAgain",
              "Tide\n\none\ntwo\n\nsing it\n\nthree\nfour\n\nSing it!\n",
              "Tide; V1: one | two; C: sing it; V2: three | four; order=V1 C V2 C"},
        Sheet{"ChordsOverWords", "Tide\nKey: G\n\nVerse 1\nG       Em\nWhen the bell\n\nChorus\nC\nSing\n",
              "Tide; key=G; V1: When the bell; C: Sing"},
        Sheet{"TwoColumns",
              "Tide\n\nVerse 1                 Verse 2\nWhen the bell is low    Night is very long\nwe row   "
              "               we "
              "know\nhome again              morning comes\n",
              "Tide; V1: When the bell is low | we row | home again; V2: Night is very long | we know | "
              "morning comes"},
        Sheet{"TwoColumnsByTabs",
              "Tide\n\nVerse 1\tVerse 2\nWhen the bell is low\tNight is very long\nwe row\twe know\n",
              "Tide; V1: When the bell is low | we row; V2: Night is very long | we know"},
        Sheet{"PageNumbers", "Tide\n\nVerse 1\none\n\nPage 1 of 2\n\nVerse 2\ntwo\n\n- 2 -\n",
              "Tide; V1: one; V2: two"},
        Sheet{"WebDebris",
              "Home > Songs > T\nPrint\nShare\n\nTide\n\nVerse 1\none\n\nYou might also like\n\nVerse "
              "2\ntwo\n\nhttps://songs.example/tide\n1,204 views\n",
              "Tide; V1: one; V2: two"},
        Sheet{"ADebrisWordAmongWordsStays", "Tide\n\nVerse 1\nall I have I\nshare\nwith you\n",
              "Tide; V1: all I have I | share | with you"},
        Sheet{"SpokenNumbers", "Tide\n\nVerse One\none\n\nSecond verse\ntwo\n\n3rd verse\nthree\n",
              "Tide; V1: one; V2: two; V3: three"},
        Sheet{"ShortHeadings", "Tide\n\nV1:\none\n\nC:\nsing\n\nV2:\ntwo\n\nC:\n",
              "Tide; V1: one; C: sing; V2: two; order=V1 C V2 C"},
        Sheet{"HeadingWithWordsBehind", "Tide\n\nVerse 1: one\nmore\n\nChorus: sing\n\nBridge: cross\n",
              "Tide; V1: one | more; C: sing; B: cross"},
        Sheet{"StarsAroundHeadings", "Tide\n\n*Verse 1*\none\n\n**Chorus**\nsing\n\n-- Bridge --\ncross\n",
              "Tide; V1: one; C: sing; B: cross"},
        Sheet{
            "French",
            "La lampe\nParoles et musique : Odile Marec\n\nCouplet 1\nun\n\nRefrain\ndeux\n\nCouplet "
            "2\ntrois\n\nRefrain (bis)\n",
            "La lampe; words=Odile Marec; music=Odile Marec; V1: un; C: deux; V2: trois; order=V1 C V2 C x2"},
        Sheet{"Spanish",
              "La luz\nLetra: Ines Varga\n\nEstrofa 1\nuno\n\nCoro\ndos\n\nEstrofa 2\ntres\n\nCoro\n",
              "La luz; words=Ines Varga; V1: uno; C: dos; V2: tres; order=V1 C V2 C"},
        Sheet{"NoTitle", "When the bell is low\nwe row\n\nNight is long\nwe know\n",
              "New song; V1: When the bell is low | we row; V2: Night is long | we know"},
        Sheet{"OneVerseOnly", "When the bell is low\nwe row\nhome again\n",
              "New song; V1: When the bell is low | we row | home again"},
        Sheet{"Arranger", "Tide\nIvo Tarnwell\narr. Petra Osk\n\nVerse 1\none\n",
              "Tide; words=Ivo Tarnwell; arr=Petra Osk; V1: one"},
        Sheet{"ATimeInTheWordsIsNoDetail", "Tide\n\nVerse 1\nKey of my heart\nby the water\nnumber my days\n",
              "Tide; V1: Key of my heart | by the water | number my days"}),
    [](const auto& info) { return std::string(info.param.name); });

/// Whatever the sheet, no line of words disappears.
RC_GTEST_PROP(LyricSheetWords, AreNeverLost, ()) {
    const auto word = rc::gen::element<std::string>("sea", "the", "by", "share", "2", "Tide", "light", "C",
                                                    "v", "home", "print", "x2", "end", "key", "words", "G");
    const auto line =
        rc::gen::resize(6, rc::gen::nonEmpty(rc::gen::container<std::vector<std::string>>(word)));
    const auto lines = *rc::gen::resize(
        12, rc::gen::nonEmpty(rc::gen::container<std::vector<std::vector<std::string>>>(line)));
    QStringList written{u"Verse 1"_s};
    for (const auto& words : lines) {
        QStringList one{u"every"_s}; // so that none is a heading, a chord or a number by itself
        for (const std::string& w : words)
            one << QString::fromStdString(w);
        one << u"sings"_s;
        written << one.join(u' ');
    }
    const ReadSong read = readOne(written.join(u'\n').toUtf8());
    QStringList sung;
    for (const Part& part : read.song.parts)
        for (const Line& l : part.lines)
            sung << l.words;
    written.removeFirst();
    RC_ASSERT(sung == written);
}

} // namespace
} // namespace mivanta
