// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Osis.h"
#include "formats/ScriptureReader.h"
#include "formats/Usfm.h"
#include "formats/VerseLines.h"
#include "support/Text.h"
#include "support/ZipWith.h"
#include <QBuffer>
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Result<ScriptureText> read(QByteArray bytes, const QString& name = u"file"_s) {
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::ReadOnly);
    return readScripture(buffer, name);
}

/// "LUK 5:1 words", one a line.
QStringList verses(const ScriptureText& text) {
    QStringList lines;
    for (const ScriptureBook& book : text.books)
        for (const Verse& verse : book.verses)
            lines << u"%1 %2:%3 %4"_s.arg(book.code.text(), QString::number(verse.chapter),
                                          verse.numberText(), verse.words());
    return lines;
}

QStringList versesOf(const QByteArray& bytes) {
    const auto text = read(bytes);
    EXPECT_TRUE(text) << (text ? "" : text.error().text().toStdString());
    return text ? verses(*text) : QStringList();
}

std::string problemOf(const QByteArray& bytes) {
    const auto text = read(bytes);
    return text ? "read all the same" : text.error().text().toStdString();
}

constexpr auto kUsfm = R"(\id PSA made up
\h Psalms
\toc1 The Psalms
\mt1 Psalms
\c 1
\s1 A heading
\q1
\v 1 Glad is the one\f + \ft a note \fq inside\f*
\q2 who walks the wall,
\q1
\v 2 and \em keeps\em* the \w lamp|lemma="light"\w* burning.
\c 2
\p
\v 1-2 Two at \add once\add*~here.\x - \xo 2:1 \xt Elsewhere\x*
\v 3 And a third,
\p in a new paragraph.
)";

constexpr auto kOsis = R"(<?xml version="1.0"?>
<osis xmlns="http://www.bibletechnologies.net/2003/OSIS/namespace"><osisText osisIDWork="Bible.en.X" xml:lang="en">
<header><work osisWork="X"><title>Made Up</title><rights>Free</rights></work></header>
<div type="book" osisID="Ps"><title type="main">Psalms</title>
<chapter osisID="Ps.1"><title>A heading</title><lg>
<l><verse sID="a" osisID="Ps.1.1"/>Glad is the one<note>a note</note></l><l>who walks the wall,<verse eID="a"/></l>
<l><verse sID="b" osisID="Ps.1.2"/>and <hi type="italic">keeps</hi> the <w lemma="light">lamp</w> burning.<verse eID="b"/></l>
</lg></chapter>
<chapter sID="c2" osisID="Ps.2"/><p><verse osisID="Ps.2.1 Ps.2.2">Two at <transChange>once</transChange> here.</verse>
<verse sID="d" osisID="Ps.2.3"/>And a third,</p><p>in a new paragraph.<verse eID="d"/></p><chapter eID="c2"/>
</div></osisText></osis>)";

constexpr auto kLines =
    "Name: Made Up\nCopyright: Free\n# a comment\n\nPsalm 1:1 Glad is the one who walks the wall,\n"
    "Psalm 1:2\tand keeps the lamp burning.\nPs 2:1-2 Two at once here.\n"
    "PSA 2:3   And a third,  in a new paragraph.\n";

TEST(Scripture, EqualContentGivesEqualVersesInEveryFormat) {
    const QStringList expected{
        u"PSA 1:1 Glad is the one who walks the wall,"_s, u"PSA 1:2 and keeps the lamp burning."_s,
        u"PSA 2:1\u20132 Two at once here."_s, u"PSA 2:3 And a third, in a new paragraph."_s};
    EXPECT_EQ(versesOf(kUsfm), expected);
    EXPECT_EQ(versesOf(kOsis), expected);
    EXPECT_EQ(versesOf(kLines), expected);
}

TEST(Scripture, FormAndEmphasisAreKeptWhereTheFormatHasThem) {
    const auto usfm = read(kUsfm);
    const auto osis = read(kOsis);
    ASSERT_TRUE(usfm && osis);
    for (size_t v = 0; v < 4; ++v)
        EXPECT_EQ(usfm->books[0].verses[v].pieces, osis->books[0].verses[v].pieces) << v;
    const auto& pieces = usfm->books[0].verses[0].pieces;
    ASSERT_EQ(pieces.size(), 2u);
    EXPECT_EQ(pieces[1].start, VerseStart::Poetry);
    const Emphasis keeps{4, 9, false, true};
    EXPECT_EQ(usfm->books[0].verses[1].pieces[0].emphasis, std::vector{keeps});
    EXPECT_EQ(usfm->books[0].verses[3].pieces[1].start, VerseStart::Paragraph);
}

TEST(Scripture, DetailsComeFromTheFiles) {
    const auto osis = read(kOsis);
    ASSERT_TRUE(osis);
    EXPECT_EQ(osis->details.name, u"Made Up"_s);
    EXPECT_EQ(osis->details.copyright, u"Free"_s);
    EXPECT_EQ(osis->details.language, u"en"_s);
    EXPECT_EQ(osis->books[0].name, u"Psalms"_s);
    const auto lines = read(kLines);
    ASSERT_TRUE(lines);
    EXPECT_EQ(lines->details.name, u"Made Up"_s);
    const auto usfm = read(kUsfm);
    EXPECT_EQ(usfm->books[0].otherNames, QStringList{u"The Psalms"_s});
}

TEST(Scripture, OutlineKnowsWhatIsMissing) {
    const auto text = read("\\id LUK\n\\c 3\n\\p\n\\v 1 a\n\\v 2-3 b\n\\v 6 c\n\\c 5\n\\v 2 d\n");
    ASSERT_TRUE(text);
    const Outline outline = text->outline();
    ASSERT_EQ(outline.books[0].chapters.size(), 2u);
    EXPECT_EQ(outline.books[0].chapters[0].lastVerse, 6);
    EXPECT_EQ(outline.books[0].chapters[0].missing, (std::vector{4, 5}));
    EXPECT_EQ(outline.books[0].chapters[1].missing, std::vector{1});
    EXPECT_EQ(outline.books[0].name, u"Luke"_s);
}

TEST(Usfm, BooksBeyondTheUsualOnesAreKept) {
    EXPECT_EQ(versesOf("\\id TOB\n\\c 4\n\\v 5 a\n"), QStringList{u"TOB 4:5 a"_s});
    EXPECT_EQ(versesOf("\\id XXA own\n\\c 1\n\\v 1 a\n"), QStringList{u"XXA 1:1 a"_s});
    EXPECT_TRUE(versesOf("\\id GLO\n\\mt Words\n\\p \\k ark\\k* a boat\n\\id RUT\n\\c 1\n\\v 1 a\n") ==
                QStringList{u"RUT 1:1 a"_s});
}

TEST(Usfm, WhatIsOutOfOrderOrDoubledIsPutRightAndSaid) {
    const auto text =
        read("\\id LUK\n\\c 5\n\\v 2 second\n\\v 1 first\n\\v 3a one\n\\v 3b two\n\\v 2 again\n");
    ASSERT_TRUE(text);
    EXPECT_EQ(verses(*text),
              (QStringList{u"LUK 5:1 first"_s, u"LUK 5:2 second again"_s, u"LUK 5:3 one two"_s}));
    ASSERT_EQ(text->warnings.size(), 2u);
    EXPECT_EQ(text->warnings[0].line, 4);
    EXPECT_TRUE(text->warnings[0].text.contains(u"Luke 5:1 stands behind verse 2"_s));
    EXPECT_TRUE(text->warnings[1].text.contains(u"Luke 5:2 is there twice"_s));
}

TEST(Usfm, NestedAndUnclosedMarkersLoseNoWords) {
    const auto text = read(
        "\\id LUK\n\\c 5\n\\p\n\\v 1 a \\add b \\+nd c\\+nd* d\\add* e\n\\v 2 f \\f + \\ft never closed\n"
        "\\v 3 g \\em h\n\\p\n\\v 4 i \\qt-s |who=\"x\"\\*j \\unknown k\\unknown* l\n");
    ASSERT_TRUE(text);
    EXPECT_EQ(verses(*text),
              (QStringList{u"LUK 5:1 a b c d e"_s, u"LUK 5:2 f"_s, u"LUK 5:3 g h"_s, u"LUK 5:4 i j k l"_s}));
    ASSERT_EQ(text->warnings.size(), 1u);
    EXPECT_EQ(text->warnings[0].line, 5);
    EXPECT_TRUE(
        text->books[0].verses[3].pieces[0].emphasis.empty()); // the open style ended with its paragraph
}

TEST(Usfm, PsalmTitlesAreShownWhereTheyAreVerses) {
    EXPECT_EQ(versesOf("\\id PSA\n\\c 3\n\\d A song\n\\q1\n\\v 1 words\n"), QStringList{u"PSA 3:1 words"_s});
    EXPECT_EQ(versesOf("\\id PSA\n\\c 3\n\\d \\v 1 A song\n\\q1\n\\v 2 words\n"),
              (QStringList{u"PSA 3:1 A song"_s, u"PSA 3:2 words"_s}));
}

TEST(Usfm, RefusesNamingTheLine) {
    EXPECT_EQ(problemOf("\\id LUK\n\\v 1 a\n"),
              "file, line 2: verse 1 stands before any chapter. Put \\c and the chapter's number before it.");
    EXPECT_NE(problemOf("\\id LUK\n\\c 5\n\\v one a\n").find("line 3"), std::string::npos);
    EXPECT_NE(problemOf("\\id LUK\n\\c x\n").find("no chapter"), std::string::npos);
    EXPECT_NE(problemOf("\\id LU\n\\c 1\n\\v 1 a").find("three letters"), std::string::npos);
    EXPECT_NE(problemOf("\\c 1\n\\v 1 a\n").find("before any \\id"), std::string::npos);
    EXPECT_NE(problemOf("\\id LUK\n\\c 5\n\\v 1 a\xff\xfe\0\0\0 b"_ba + QByteArray(20, '\0'))
                  .find("not a text file"),
              std::string::npos);
}

TEST(Osis, NumbersBeyondAnyScriptureAreNoVerses) {
    for (const char* id : {"Luke.2147483647.1", "Luke.1.2147483647", "Luke.1.1 Luke.1.2147483647"}) {
        const auto text = read("<osis><osisText><div type='book' osisID='Luke'><verse "
                               "osisID='Luke.1.1'>a</verse><verse osisID='" +
                               QByteArray(id) + "'>words</verse></div></osisText></osis>");
        ASSERT_TRUE(text);
        EXPECT_EQ(verses(*text), QStringList{u"LUK 1:1 a"_s});
        EXPECT_EQ(text->damages.size(), 1u) << id;
    }
}

TEST(Usfm, DamageCostsWhatItTouchesOnly) {
    const auto text =
        read("\\id GEN\n\\c 1\n\\v 1 a\n\\v two b\n\\v 3 c\n\\c four\n\\p\n\\v 1 d\n\\v x e\n\\c 3\n\\v 1 f\n"
             "\\id ??\n\\h Lost\n\\c 1\n\\v 1 g\n\\id LUK\n\\v 9 h\n\\c 2\n\\v 1 i\n");
    ASSERT_TRUE(text);
    EXPECT_EQ(verses(*text), (QStringList{u"GEN 1:1 a"_s, u"GEN 1:3 c"_s, u"GEN 3:1 f"_s, u"LUK 2:1 i"_s}));
    std::vector<int> lines;
    for (const ScriptureDamage& damage : text->damages)
        lines.push_back(damage.line);
    EXPECT_EQ(lines, (std::vector{4, 6, 12, 17}));
    EXPECT_EQ(text->books[0].name, QString());
}

TEST(Usfm, OtherEncodingsAreReadAndSaid) {
    const auto text = read("\\id LUK\n\\c 5\n\\v 1 caf\xe9\n");
    ASSERT_TRUE(text);
    EXPECT_EQ(verses(*text), QStringList{u"LUK 5:1 caf\u00e9"_s});
    ASSERT_EQ(text->warnings.size(), 1u);
    EXPECT_TRUE(text->warnings[0].text.contains(u"Windows-1252"_s));
    QByteArray utf16("\xff\xfe", 2);
    for (const QChar c : u"\\id LUK\n\\c 5\n\\v 1 caf\u00e9\n"_s)
        utf16.append(char(c.unicode() & 0xff)).append(char(c.unicode() >> 8));
    EXPECT_EQ(versesOf(utf16), QStringList{u"LUK 5:1 caf\u00e9"_s});
}

TEST(Osis, EntitiesAreRefused) {
    const QByteArray bomb =
        R"(<?xml version="1.0"?><!DOCTYPE osis [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;">]>
<osis><osisText><div type="book" osisID="Ps">&b;</div></osisText></osis>)";
    EXPECT_NE(problemOf(bomb).find("entities"), std::string::npos);
    const QByteArray outside =
        R"(<!DOCTYPE osis [<!ENTITY x SYSTEM "file:///etc/passwd">]><osis><osisText>&x;</osisText></osis>)";
    EXPECT_NE(problemOf(outside).find("entities"), std::string::npos);
}

TEST(Osis, RefusesNamingTheLine) {
    EXPECT_NE(problemOf("<html><p>x</p></html>").find("no osisText"), std::string::npos);
    EXPECT_NE(problemOf("<osis><osisText><div>").find("damaged"), std::string::npos);
    QByteArray deep = "<osis><osisText>";
    for (int i = 0; i < 100'000; ++i)
        deep += "<div>";
    EXPECT_NE(problemOf(deep).find("deep"), std::string::npos);
}

TEST(Osis, ReadsOnBehindAWrongTagAndSaysWhere) {
    const auto text =
        read("<osis><osisText osisIDWork='T'>\n<div type='book' osisID='Luke'>\n<chapter osisID='Luke.5'>\n"
             "<verse osisID='Luke.5.1'>one</verse>\n<verse osisID='Luke.5.2'><hi>two</verse></hi>\n"
             "<verse osisID='Luke.5.3'>three</verse>\n</chapter></div></osisText></osis>");
    ASSERT_TRUE(text) << text.error().text().toStdString();
    EXPECT_EQ(verses(*text), (QStringList{u"LUK 5:1 one"_s, u"LUK 5:2 two"_s, u"LUK 5:3 three"_s}));
    ASSERT_FALSE(text->damages.empty());
    EXPECT_EQ(text->damages[0].line, 5);
    EXPECT_TRUE(text->needsAPerson());
}

TEST(Osis, WhatHasNoGoodNameIsLeftOutAndSaid) {
    const auto text =
        read("<osis><osisText>\n<div type='book' osisID='Nope'/>\n<verse osisID='Luke.5.x'>a</verse>\n"
             "<verse osisID='Luke.5.1'>b</verse></osisText></osis>");
    ASSERT_TRUE(text);
    EXPECT_EQ(verses(*text), QStringList{u"LUK 5:1 b"_s});
    ASSERT_EQ(text->damages.size(), 2u);
    EXPECT_EQ(text->damages[0].line, 2);
    EXPECT_TRUE(text->damages[1].text.contains(u"no verse"_s));
}

TEST(VerseLines, RefusesWhatIsNoScripture) {
    EXPECT_NE(problemOf("Luke 5:3-1 a\n").find("no verse"), std::string::npos);
    EXPECT_NE(problemOf("Dear all,\nthe rota for June\nLuke 5:1 a\nis below\n").find("file, line 1"),
              std::string::npos);
    EXPECT_EQ(versesOf("Book: LUK Lukas\nLukas 5:1 a\n1 Cor. 13:4 b\n"),
              (QStringList{u"LUK 5:1 a"_s, u"1CO 13:4 b"_s}));
}

TEST(VerseLines, LinesThatAreNoVersesAreLeftOutAndSaid) {
    const auto text = read("Luke 5:1 a\nthis is no verse\nLuke 5:2 b\nJohn 3:16 c\nLuke 5:4 d\n");
    ASSERT_TRUE(text);
    EXPECT_EQ(verses(*text), (QStringList{u"LUK 5:1 a"_s, u"LUK 5:2 b"_s, u"JHN 3:16 c"_s}));
    ASSERT_EQ(text->damages.size(), 2u);
    EXPECT_EQ(text->damages[0].line, 2);
    EXPECT_TRUE(text->damages[1].text.contains(u"together"_s)) << text->damages[1].text.toStdString();
}

TEST(VerseLines, ANameThatNoBookHasIsAskedForOnce) {
    auto text = read("Luke 5:1 a\nHarbourites 1:1 b\nHarbourites 1:2 c\n");
    ASSERT_TRUE(text);
    EXPECT_EQ(verses(*text), QStringList{u"LUK 5:1 a"_s});
    ASSERT_EQ(text->unnamed.size(), 1u);
    EXPECT_EQ(text->unnamed[0].name, u"Harbourites"_s);
    EXPECT_EQ(text->unnamed[0].line, 2);
    EXPECT_FALSE(text->nameBook(u"Harbourites"_s, *BookCode::fromText(u"LUK"))); // that one is there
    EXPECT_TRUE(text->nameBook(u"Harbourites"_s, *BookCode::fromText(u"GEN")));
    EXPECT_EQ(verses(*text), (QStringList{u"GEN 1:1 b"_s, u"GEN 1:2 c"_s, u"LUK 5:1 a"_s}));
    EXPECT_FALSE(text->needsAPerson());
}

TEST(VerseLines, WhatIsMissingBetweenIsNamed) {
    const auto text = read("Luke 1:1 a\nLuke 1:3 b\nLuke 3:1 c\n");
    ASSERT_TRUE(text);
    EXPECT_EQ(text->missing(10), (QStringList{u"Luke 1:2"_s, u"Luke 2"_s}));
    EXPECT_EQ(text->missing(1).size(), 1);
}

class Files : public ::testing::Test {
protected:
    QString write(const QString& name, const QByteArray& bytes) {
        const QString path = folder.filePath(name);
        QDir().mkpath(QFileInfo(path).path());
        QFile file(path);
        EXPECT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(bytes);
        return path;
    }
    QTemporaryDir folder;
};

TEST_F(Files, AFolderIsOneTranslation) {
    write(u"t/02.usfm"_s, "\\id LUK\n\\c 5\n\\v 1 a\n");
    write(u"t/inside/01.SFM"_s, "\\id GEN\n\\c 1\n\\v 1 b\n");
    write(u"t/about.txt"_s, "Name: Two Books\nShort name: TB\n");
    write(u"t/cover.png"_s, "no text");
    write(u"t/README.txt"_s, "anything");
    const auto text = readTranslation(folder.filePath(u"t"_s));
    ASSERT_TRUE(text) << text.error().text().toStdString();
    EXPECT_EQ(verses(*text), (QStringList{u"GEN 1:1 b"_s, u"LUK 5:1 a"_s}));
    EXPECT_EQ(text->details.name, u"Two Books"_s);
    EXPECT_EQ(text->details.shortName, u"TB"_s);
}

TEST_F(Files, AZipIsOneTranslation) {
    const QString path = write(u"t.zip"_s, zipWith({{"a/luk.usfm", "\\id LUK\n\\c 5\n\\v 1 a\n"},
                                                    {"gen.usfm", "\\id GEN\n\\c 1\n\\v 1 b\n"}}));
    const auto text = readTranslation(path);
    ASSERT_TRUE(text) << text.error().text().toStdString();
    EXPECT_EQ(verses(*text).size(), 2);
    EXPECT_EQ(text->details.name, u"t"_s);
}

TEST_F(Files, ABrokenFileIsLeftOutAndSaidAndAllBrokenIsRefused) {
    write(u"t/01.usfm"_s, "\\id GEN\n\\c 1\n\\v 1 b\n");
    write(u"t/02.usfm"_s, "\\id LUK\n\\v 1 a\n");
    const auto one = readTranslation(folder.filePath(u"t"_s));
    ASSERT_TRUE(one);
    EXPECT_EQ(verses(*one), QStringList{u"GEN 1:1 b"_s});
    ASSERT_EQ(one->damages.size(), 1u);
    EXPECT_TRUE(one->damages[0].file.endsWith(u"02.usfm, line 2"_s));
    write(u"t/01.usfm"_s, "\\id \n");
    const auto none = readTranslation(folder.filePath(u"t"_s));
    ASSERT_FALSE(none);
    EXPECT_TRUE(none.error().what.contains(u"01.usfm"_s) && none.error().what.contains(u"02.usfm"_s));
}

TEST_F(Files, ABookInTwoFilesIsSaid) {
    write(u"t/01.usfm"_s, "\\id GEN\n\\c 1\n\\v 1 b\n");
    write(u"t/02.usfm"_s, "\\id GEN\n\\c 1\n\\v 2 b\n");
    const auto text = readTranslation(folder.filePath(u"t"_s));
    ASSERT_TRUE(text);
    ASSERT_EQ(text->damages.size(), 1u);
    EXPECT_TRUE(text->damages[0].text.contains(u"Genesis is in two files"_s));
}

TEST_F(Files, NothingThereIsSaid) {
    EXPECT_FALSE(readTranslation(folder.filePath(u"missing"_s)));
    write(u"empty/readme.txt"_s, "x");
    EXPECT_TRUE(readTranslation(folder.filePath(u"empty"_s)).error().what.contains(u"no scripture"_s));
    const QString path = write(u"t.usfm"_s, "\\id GEN\n\\c 1\n\\v 1 b\n");
    EXPECT_TRUE(readTranslation(path, [](int, int) { return false; }).error().what.contains(u"stopped"_s));
}

RC_GTEST_PROP(Scripture, NoiseIsReadOrRefusedAndNeverHurts, (const std::string& noise)) {
    for (const char* head : {"\\id LUK\n\\c 5\n\\v 1 ", "<osis><osisText>", "Luke 5:1 "})
        static_cast<void>(read(QByteArray(head) + QByteArray::fromStdString(noise)));
}

RC_GTEST_PROP(Usfm, CutAnywhereItIsReadOrRefused, ()) {
    const QByteArray whole(kUsfm);
    const auto text = read(whole.left(*rc::gen::inRange(1, int(whole.size()))));
    if (text)
        for (const ScriptureBook& book : text->books)
            for (const Verse& verse : book.verses)
                RC_ASSERT(!verse.words().isEmpty());
}

} // namespace
} // namespace mivanta
