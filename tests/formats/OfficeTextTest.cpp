// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/OfficeText.h"
#include "formats/SongReader.h"
#include "support/Text.h"
#include "support/ZipWith.h"
#include <QBuffer>
#include <gtest/gtest.h>
#include <random>

namespace mivanta {
namespace {

QByteArray docx() {
    return zipWith(
        {{"word/document.xml",
          "<w:document xmlns:w='w'><w:body>"
          "<w:p><w:r><w:t>Verse 1</w:t></w:r></w:p>"
          "<w:p><w:r><w:t xml:space='preserve'>When the </w:t></w:r>"
          "<w:r><w:rPr><w:i/></w:rPr><w:t>harbour </w:t></w:r>"
          "<w:r><w:rPr><w:b w:val='0'/></w:rPr><w:t>bell</w:t></w:r><w:r><w:br/><w:t>is ringing</w:t></w:r>"
          "<w:del><w:r><w:t>never said</w:t></w:r></w:del></w:p>"
          "<w:p/><w:p><w:r><w:t>Chorus</w:t></w:r></w:p><w:p><w:r><w:rPr><w:b/></w:rPr>"
          "<w:t>Shine on</w:t></w:r></w:p></w:body></w:document>"}});
}

QByteArray odt() {
    return zipWith(
        {{"content.xml",
          "<office:document-content><office:automatic-styles><style:style style:name='T1'>"
          "<style:text-properties fo:font-style='italic'/></style:style></office:automatic-styles>"
          "<office:body><office:text><text:h>Verse 1</text:h>"
          "<text:p>When the <text:span text:style-name='T1'>harbour</text:span> bell<text:line-break/>"
          "is<text:s text:c='1'/>ringing</text:p><text:p/><text:p>Chorus</text:p><text:p>Shine on"
          "<office:annotation><text:p>a remark</text:p></office:annotation></text:p>"
          "</office:text></office:body></office:document-content>"}});
}

QByteArray pptx() {
    const auto slide = [](const QByteArray& words) {
        return "<p:sld><p:cSld><p:sp><p:txBody>" + words + "</p:txBody></p:sp></p:cSld></p:sld>";
    };
    return zipWith(
        {{"ppt/presentation.xml", "<p:presentation><p:sldIdLst><p:sldId r:id='r2'/><p:sldId "
                                  "r:id='r1'/><p:sldId r:id='r2'/></p:sldIdLst>"
                                  "</p:presentation>"},
         {"ppt/_rels/presentation.xml.rels",
          "<Relationships><Relationship Id='r1' Target='slides/slide1.xml'/><Relationship Id='r2' "
          "Target='slides/slide2.xml'/></Relationships>"},
         {"ppt/slides/slide1.xml", slide("<a:p><a:r><a:t>the wind has turned</a:t></a:r></a:p>")},
         {"ppt/slides/slide2.xml", slide("<a:p><a:r><a:rPr b='1'/><a:t>Shine "
                                         "on</a:t></a:r><a:br/><a:r><a:t>till home</a:t></a:r></a:p>")}});
}

QByteArray odp() {
    return zipWith({{"content.xml",
                     "<office:document-content><office:body><office:presentation>"
                     "<draw:page><draw:frame><text:p>one line</text:p><text:p>two lines</text:p></draw:frame>"
                     "<presentation:notes><text:p>for the speaker</text:p></presentation:notes></draw:page>"
                     "<draw:page><text:p>three lines</text:p></draw:page>"
                     "</office:presentation></office:body></office:document-content>"}});
}

QByteArray rtf() {
    return "{\\rtf1\\ansi{\\fonttbl{\\f0 Sans;}}{\\*\\generator x;}\\f0 Verse 1\\par\n"
           "When the {\\i harbour} bell\\line is ringing caf\\'e9 \\u1488? \\{so\\}\\par\\par Chorus\\par "
           "\\b Shine\\b0  on\\par}";
}

Result<std::vector<ReadSong>> readBytes(QByteArray bytes, const QString& name) {
    QBuffer buffer(&bytes);
    static_cast<void>(buffer.open(QIODevice::ReadOnly));
    return readSongs(buffer, name);
}

TEST(OfficeText, DocumentsBecomeSongs) {
    for (const auto& [bytes, name] :
         {std::pair{docx(), u"Harbour.docx"_s}, std::pair{odt(), u"Harbour.odt"_s},
          std::pair{rtf(), u"Harbour.rtf"_s}}) {
        const auto songs = readBytes(bytes, name);
        ASSERT_TRUE(songs) << name.toStdString() << songs.error().text().toStdString();
        const Song& song = songs->front().song;
        EXPECT_EQ(song.title, u"Harbour"_s);
        ASSERT_EQ(song.parts.size(), 2u) << name.toStdString();
        ASSERT_EQ(song.parts[0].lines.size(), 2u) << name.toStdString();
        EXPECT_EQ(song.parts[0].lines[0].words, u"When the harbour bell"_s);
        EXPECT_EQ(song.parts[0].lines[0].emphasis, (std::vector<Emphasis>{{9, 16, false, true}}));
        EXPECT_TRUE(song.parts[0].lines[1].words.startsWith(u"is ringing"_s));
        EXPECT_EQ(song.parts[1].label(), u"Chorus"_s);
        EXPECT_EQ(song.parts[1].lines[0].words, u"Shine on"_s);
    }
}

TEST(OfficeText, RtfKnowsLettersOfEveryKind) {
    EXPECT_TRUE(officeText(rtf(), u"a.rtf"_s)->contains(u"is ringing caf\u00e9 \u05d0 {so}\n"_s))
        << officeText(rtf(), u"a.rtf"_s)->toStdString();
    EXPECT_TRUE(officeText(rtf(), u"a.rtf"_s)->contains(u"__Shine__ on"_s));
}

TEST(OfficeText, SlidesBecomePartsAndRepeatedOnesTheChorus) {
    const auto slides = readBytes(pptx(), u"Shine.pptx"_s);
    ASSERT_TRUE(slides);
    const Song& song = slides->front().song;
    ASSERT_EQ(song.parts.size(), 2u); // in the order in which they are shown
    EXPECT_EQ(song.parts[0].label(), u"Chorus"_s);
    EXPECT_EQ(song.parts[0].lines[1].words, u"till home"_s);
    EXPECT_EQ(song.singingOrder.size(), 3u);
    EXPECT_EQ(*officeText(odp(), u"a.odp"_s), u"one line\ntwo lines\n\nthree lines\n\n"_s);
}

TEST(OfficeText, LockedOldAndForeignFilesSaySo) {
    const auto why = [](const QByteArray& bytes, const QString& name) {
        const auto text = officeText(bytes, name);
        return text ? QString() : text.error().text();
    };
    EXPECT_TRUE(why(QByteArray("\xd0\xcf\x11\xe0 and more"), u"a.docx"_s).contains(u"password"_s));
    EXPECT_TRUE(
        why(zipWith({{"META-INF/manifest.xml", "<m><manifest:encryption-data/></m>"}, {"content.xml", "x"}}),
            u"a.odt"_s)
            .contains(u"password"_s));
    EXPECT_TRUE(why(zipWith({{"other.txt", "x"}}), u"a.docx"_s).contains(u"word/document.xml"_s));
    EXPECT_TRUE(why("plain", u"a.rtf"_s).contains(u"RTF"_s));
    EXPECT_TRUE(why("{\\rtf1 {\\b never closed", u"a.rtf"_s).contains(u"middle"_s));
    EXPECT_TRUE(why("", u"a.pptx"_s).contains(u"a.pptx"_s));
    EXPECT_FALSE(why(QByteArray("{\\rtf1") + QByteArray(100'000, '{'), u"a.rtf"_s).isEmpty());
}

TEST(OfficeText, WordsTooDeepToBeReadAreNotDroppedInSilence) {
    const auto nested = [](int depth, const QByteArray& open, const QByteArray& close) {
        return open.repeated(depth) + "<w:p><w:r><w:t>deep words</w:t></w:r></w:p>" + close.repeated(depth);
    };
    for (const int depth : {100, 400}) {
        const auto text =
            officeText(zipWith({{"word/document.xml",
                                 "<w:document>" + nested(depth, "<w:sdt>", "</w:sdt>") + "</w:document>"}}),
                       u"a.docx"_s);
        EXPECT_EQ(bool(text), depth < 256);
        EXPECT_TRUE(text || text.error().what.contains(u"deep"_s));
    }
}

TEST(OfficeText, DamagedFilesAreNotSaidToBeLocked) {
    QByteArray bytes = docx();
    bytes[bytes.indexOf("harbour") < 0 ? 60 : bytes.indexOf("harbour")] ^= 1;
    const auto text = officeText(bytes, u"a.docx"_s);
    ASSERT_FALSE(text);
    EXPECT_TRUE(text.error().what.contains(u"damaged"_s)) << text.error().text().toStdString();
    EXPECT_FALSE(text.error().remedy.contains(u"password"_s));
}

TEST(OfficeText, ASlideNamedThousandsOfTimesIsBounded) {
    QByteArray list;
    for (int i = 0; i < 3000; ++i)
        list += "<p:sldId r:id='r1'/>";
    const auto text = officeText(
        zipWith({{"ppt/presentation.xml",
                  "<p:presentation><p:sldIdLst>" + list + "</p:sldIdLst></p:presentation>"},
                 {"ppt/_rels/presentation.xml.rels",
                  "<Relationships><Relationship Id='r1' Target='slides/slide1.xml'/></Relationships>"},
                 {"ppt/slides/slide1.xml", "<p:sld><a:p><a:r><a:t>x</a:t></a:r></a:p></p:sld>"}}),
        u"a.pptx"_s);
    ASSERT_FALSE(text);
    EXPECT_TRUE(text.error().what.contains(u"2000 slides"_s));
}

TEST(OfficeText, AFileThatUnpacksWithoutEndIsRefused) {
    const QByteArray bomb = zipWith({{"word/document.xml", QByteArray(40 * 1024 * 1024, ' ')}});
    EXPECT_LT(bomb.size(), 200'000);
    EXPECT_TRUE(officeText(bomb, u"a.docx"_s).error().what.contains(u"too large"_s));
}

TEST(OfficeText, CutAndFlippedFilesNeverCrash) {
    std::mt19937 random{3};
    for (const auto& [bytes, name] :
         {std::pair{docx(), u"a.docx"_s}, std::pair{odt(), u"a.odt"_s}, std::pair{pptx(), u"a.pptx"_s},
          std::pair{odp(), u"a.odp"_s}, std::pair{rtf(), u"a.rtf"_s}}) {
        for (qsizetype length = 0; length < bytes.size(); length += 7)
            static_cast<void>(readBytes(bytes.left(length), name));
        for (int i = 0; i < 200; ++i) {
            QByteArray flipped = bytes;
            flipped[qsizetype(random() % unsigned(flipped.size()))] = char(random());
            static_cast<void>(readBytes(flipped, name));
        }
    }
}

} // namespace
} // namespace mivanta
