// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "store/Migrations.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// What a library tells of its changes.
class LibraryChanges : public ::testing::Test {
protected:
    LibraryParts after(const std::function<bool()>& work) {
        static_cast<void>(library->takeChanges());
        EXPECT_TRUE(work());
        return library->takeChanges();
    }
    QTemporaryDir folder;
    std::unique_ptr<Library> library = std::move(*Library::open(folder.path()));
};

TEST_F(LibraryChanges, OpeningAndReadingChangeNothing) {
    EXPECT_FALSE(library->takeChanges());
    EXPECT_FALSE(
        after([&] { return library->songs() && library->themes().all() && library->texts().find({}); }));
}

TEST_F(LibraryChanges, EachPartIsToldOnce) {
    const Song song = samples::harbourSong(u"Tide"_s);
    EXPECT_EQ(after([&] { return library->save(song).has_value(); }), LibraryParts(LibraryPart::Songs));
    EXPECT_FALSE(library->takeChanges());
    EXPECT_EQ(after([&] { return library->putInBin({song.id}).has_value(); }),
              LibraryParts(LibraryPart::Songs));
    EXPECT_EQ(after([&] { return library->emptyBin().has_value(); }), LibraryParts(LibraryPart::Songs));
    SpokenText text;
    text.id = TextId::create();
    text.title = u"Blessing"_s;
    EXPECT_EQ(after([&] { return library->texts().save(text).has_value(); }),
              LibraryParts(LibraryPart::Texts));
    EXPECT_EQ(after([&] { return library->themes().put(samples::theme()).has_value(); }),
              LibraryParts(LibraryPart::Themes));
    EXPECT_EQ(after([&] { return library->media().bringIn("bytes", u"a.png"_s).has_value(); }),
              LibraryParts(LibraryPart::Media));
    EXPECT_EQ(after([&] {
                  return library->noteSung({song.id, {}, ServiceId::create(), {}, {}}).has_value();
              }),
              LibraryParts(LibraryPart::History));
}

TEST_F(LibraryChanges, EveryTableBelongsToAPart) {
    const auto tables = library->database().all(
        u"SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE '%\\_fts\\_%' ESCAPE '\\'"_s,
        {}, [](const Row& row) { return row.text(0); });
    ASSERT_TRUE(tables);
    EXPECT_GT(tables->size(), 10u);
    const QStringList forTheLibraryAlone{u"pending_work"_s, u"song_vocabulary"_s};
    for (const QString& table : *tables)
        EXPECT_TRUE(partOfTable(table) || forTheLibraryAlone.contains(table) || table.endsWith(u"_fts"_s))
            << table.toStdString();
}

} // namespace
} // namespace mivanta
