// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reading.h"
#include "formats/ScriptureReader.h"
#include "formats/ServiceFile.h"
#include "formats/ThemeFile.h"
#include "formats/ThemeJson.h"
#include "support/Samples.h"
#include "support/ZipWith.h"
#include <QFile>
#include <QJsonDocument>
#include <QTemporaryDir>
#include <functional>

namespace mivanta {
namespace {

/// What a reader makes of bytes, told as text; nothing when it refuses them.
using Reader = std::function<std::optional<QByteArray>(const QByteArray&)>;

/// Flips every bit of a file, one at a time: what is read is the same, or it is refused.
void expectEqualOrRefused(const QByteArray& whole, const Reader& read) {
    const auto right = read(whole);
    ASSERT_TRUE(right);
    int accepted = 0;
    int refused = 0;
    for (qsizetype byte = 0; byte < whole.size(); ++byte)
        for (int bit = 0; bit < 8; ++bit) {
            QByteArray flipped = whole;
            flipped[byte] = char(flipped[byte] ^ (1 << bit));
            const auto now = read(flipped);
            EXPECT_TRUE(now.value_or(*right) == *right) << "byte " << byte << " bit " << bit;
            (now ? accepted : refused) += 1;
        }
    EXPECT_GT(refused, accepted); // most of a small file is content
}

QByteArray wordsOf(const Song& song) {
    QStringList all{song.title};
    for (const Part& part : song.parts)
        all << part.label() << words(part);
    return all.join(u'\n').toUtf8();
}

Reader songs(const QString& name) {
    return [name](const QByteArray& bytes) -> std::optional<QByteArray> {
        const auto read = readBytes(bytes, name);
        if (!read)
            return std::nullopt;
        QByteArray all;
        for (const ReadSong& song : *read)
            all += wordsOf(song.song);
        return all;
    };
}

TEST(EveryBit, OfAService) {
    Service service;
    service.id = ServiceId::create();
    service.title = u"Sea Harvest"_s;
    service.theme = samples::theme();
    service.items.push_back({ItemId::create(), songItem(samples::harbourSong(u"First"_s))});
    expectEqualOrRefused(*serviceToZip(service), [](QByteArray bytes) -> std::optional<QByteArray> {
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::ReadOnly);
        const auto read = readServiceFile(buffer, u"x"_s);
        return read ? std::optional(serviceJsonBytes(*read)) : std::nullopt;
    });
}

TEST(EveryBit, OfATheme) {
    ThemeFile file;
    file.theme.id = u"sea"_s;
    file.theme.name = u"Sea"_s;
    file.theme.look.backdrop.kind = BackdropKind::Picture;
    file.theme.look.backdrop.picture = QString(64, u'a') + u".png"_s;
    file.pictures.insert(file.theme.look.backdrop.picture, "not many bytes");
    expectEqualOrRefused(*themeFileBytes(file), [](QByteArray bytes) -> std::optional<QByteArray> {
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::ReadOnly);
        const auto read = readThemeFile(buffer, u"x"_s);
        if (!read)
            return std::nullopt;
        QByteArray all = QJsonDocument(themeToJson(read->theme)).toJson();
        for (auto it = read->pictures.begin(); it != read->pictures.end(); ++it)
            all += it.key().toUtf8() + it.value();
        return all;
    });
}

TEST(EveryBit, OfATextDocument) {
    expectEqualOrRefused(
        zipWith({{"word/document.xml", "<w:document><w:p><w:r><w:t>Verse "
                                       "1</w:t></w:r></w:p><w:p><w:r><w:t>Shine on the water</w:t></w:r>"
                                       "</w:p></w:document>"}}),
        songs(u"a.docx"_s));
    expectEqualOrRefused(
        zipWith({{"content.xml",
                  "<office:document-content><office:body><text:p>Verse 1</text:p><text:p>Shine on the "
                  "water</text:p></office:body></office:document-content>"}}),
        songs(u"a.odt"_s));
}

TEST(EveryBit, OfSlides) {
    const auto slide = [](const QByteArray& words) {
        return "<p:sld><a:p><a:r><a:t>" + words + "</a:t></a:r></a:p></p:sld>";
    };
    expectEqualOrRefused(
        zipWith(
            {{"ppt/presentation.xml", "<p:presentation><p:sldIdLst><p:sldId r:id='r1'/><p:sldId r:id='r2'/>"
                                      "</p:sldIdLst></p:presentation>"},
             {"ppt/_rels/presentation.xml.rels",
              "<Relationships><Relationship Id='r1' Target='slides/slide1.xml'/><Relationship Id='r2' "
              "Target='slides/slide2.xml'/></Relationships>"},
             {"ppt/slides/slide1.xml", slide("the wind has turned")},
             {"ppt/slides/slide2.xml", slide("shine on till home")}}),
        songs(u"a.pptx"_s));
}

TEST(EveryBit, OfAPackedTranslation) {
    const QTemporaryDir folder;
    const QString path = folder.filePath(u"t.zip"_s);
    expectEqualOrRefused(zipWith({{"a/luk.usfm", "\\id LUK\n\\c 5\n\\v 1 by the lake\n"},
                                  {"gen.usfm", "\\id GEN\n\\c 1\n\\v 1 at first\n"}}),
                         [&](const QByteArray& bytes) -> std::optional<QByteArray> {
                             QFile file(path);
                             file.open(QIODevice::WriteOnly);
                             file.write(bytes);
                             file.close();
                             const auto read = readTranslation(path);
                             if (!read || read->needsAPerson()) // somebody is asked before anything is stored
                                 return std::nullopt;
                             QByteArray all;
                             for (const ScriptureBook& book : read->books)
                                 for (const Verse& verse : book.verses)
                                     all += book.code.text().toUtf8() + QByteArray::number(verse.chapter) +
                                            ':' + QByteArray::number(verse.number) + verse.words().toUtf8();
                             return all;
                         });
}

} // namespace
} // namespace mivanta
