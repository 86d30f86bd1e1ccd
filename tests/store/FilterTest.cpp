// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "store/Database.h"

namespace mivanta {
namespace {

class Filters : public LibraryTest {
protected:
    void SetUp() override {
        LibraryTest::SetUp();
        tide = add(u"Tide"_s, [](Song& song) {
            song.topics = {u"Sea"_s, u"Trust"_s};
            song.bookNumbers = {{u"Shore Hymnal"_s, u"88"_s}};
            song.key = u"D"_s;
            song.language = u"en"_s;
        });
        etoile = add(u"\u00c9toile"_s, [](Song& song) {
            song.topics = {u"sea"_s};
            song.bookNumbers = {{u"Port Songs"_s, u"3"_s}, {u"Shore Hymnal"_s, u"4"_s}};
            song.key = u"G"_s;
            song.language = u"fr"_s;
        });
        bare = add(u"Bare"_s, [](Song&) {});
    }
    Song add(const QString& title, const std::function<void(Song&)>& details) {
        Song song;
        song.id = SongId::create();
        song.title = title;
        song.parts = {{PartId::create(), PartKind::Verse, 1, {}, false, {}, {{u"one line here"_s}}}};
        details(song);
        const auto saved = library->save(song);
        EXPECT_TRUE(saved);
        return *saved;
    }
    QStringList list(const SongFilter& filter) {
        QStringList titles;
        const auto songs = library->songs(filter);
        EXPECT_TRUE(songs) << songs.error().text().toStdString();
        for (const SongSummary& song : *songs)
            titles << song.title;
        return titles;
    }
    QStringList found(const QString& query, const SongFilter& filter) {
        QStringList titles;
        const auto hits = library->find(query, 50, filter);
        EXPECT_TRUE(hits) << hits.error().text().toStdString();
        for (const SongHit& hit : *hits)
            titles << hit.song.title;
        titles.sort();
        return titles;
    }
    void sing(const Song& song, const QDate& day, const ServiceId& service = ServiceId::create()) {
        ASSERT_TRUE(library->noteSung({song.id, song.title, service, u"Sunday"_s, day.startOfDay()}));
    }
    Song tide;
    Song etoile;
    Song bare;
};

SongFilter with(const std::function<void(SongFilter&)>& set) {
    SongFilter filter;
    set(filter);
    return filter;
}

TEST_F(Filters, ByTopicBookLanguageAndKey) {
    EXPECT_EQ(list({}).size(), 3);
    EXPECT_EQ(list(with([](SongFilter& f) { f.topic = u"SEA"_s; })),
              (QStringList{u"\u00c9toile"_s, u"Tide"_s}));
    EXPECT_EQ(list(with([](SongFilter& f) { f.topic = u"Se"_s; })), QStringList()); // whole topics only
    EXPECT_EQ(list(with([](SongFilter& f) { f.book = u"port songs"_s; })), QStringList{u"\u00c9toile"_s});
    EXPECT_EQ(list(with([](SongFilter& f) { f.language = u"en"_s; })), QStringList{u"Tide"_s});
    EXPECT_EQ(list(with([](SongFilter& f) {
                  f.book = u"Shore Hymnal"_s;
                  f.key = u"G"_s;
              })),
              QStringList{u"\u00c9toile"_s});
}

TEST_F(Filters, GoTogetherWithAQuery) {
    const auto sea = with([](SongFilter& f) { f.topic = u"Sea"_s; });
    EXPECT_EQ(found(u"one line"_s, sea), (QStringList{u"Tide"_s, u"\u00c9toile"_s}));
    EXPECT_EQ(found(u"bare"_s, sea), QStringList());
    EXPECT_EQ(found(u"etoile"_s, sea), QStringList{u"\u00c9toile"_s});
}

TEST_F(Filters, ByWhenTheyWereSung) {
    sing(tide, QDate(2026, 3, 1));
    sing(etoile, QDate(2026, 9, 6));
    EXPECT_EQ(list(with([](SongFilter& f) { f.neverSung = true; })), QStringList{u"Bare"_s});
    EXPECT_EQ(list(with([](SongFilter& f) { f.notSungSince = QDate(2026, 6, 1); })),
              (QStringList{u"Bare"_s, u"Tide"_s}));
    EXPECT_EQ(list(with([](SongFilter& f) { f.notSungSince = QDate(2026, 9, 6); })),
              (QStringList{u"Bare"_s, u"Tide"_s}));
    EXPECT_EQ(list(with([](SongFilter& f) { f.notSungSince = QDate(2026, 9, 7); })).size(), 3);
}

TEST_F(Filters, ASongSungTwiceInAServiceCountsOnce) {
    const ServiceId service = ServiceId::create();
    sing(tide, QDate(2026, 3, 1), service);
    sing(tide, QDate(2026, 3, 1), service);
    sing(tide, QDate(2026, 3, 8), service); // the same file next week
    const auto uses = library->uses(tide.id);
    ASSERT_EQ(uses->size(), 2u);
    EXPECT_EQ(uses->front().at.date(), QDate(2026, 3, 8));
    EXPECT_EQ(uses->front().serviceTitle, u"Sunday"_s);
}

TEST_F(Filters, FacetsCountEachValueOnce) {
    const auto facets = library->facets();
    ASSERT_TRUE(facets);
    EXPECT_EQ(facets->topics, (SongFacets::Values{{u"Sea"_s, 2}, {u"Trust"_s, 1}}));
    EXPECT_EQ(facets->books, (SongFacets::Values{{u"Port Songs"_s, 1}, {u"Shore Hymnal"_s, 2}}));
    EXPECT_EQ(facets->keys, (SongFacets::Values{{u"D"_s, 1}, {u"G"_s, 1}}));
    ASSERT_TRUE(library->putInBin({etoile.id}));
    EXPECT_EQ(library->facets()->languages, (SongFacets::Values{{u"en"_s, 1}}));
    ASSERT_TRUE(library->takeFromBin({etoile.id}));
    EXPECT_EQ(library->facets()->languages.size(), 2u);
}

TEST_F(Filters, AnOlderLibraryIsFilteredAfterItWasOpened) {
    for (const QString& table :
         {u"song_facts"_s, u"song_use"_s, u"verse_fts"_s, u"verse"_s, u"translation"_s, u"spoken_text_fts"_s,
          u"spoken_text_version"_s, u"spoken_text"_s, u"theme_version"_s, u"theme_gone"_s, u"theme"_s,
          u"medium"_s, u"medium_use"_s, u"take"_s, u"item_time"_s})
        ASSERT_TRUE(library->database().change(u"DROP TABLE "_s + table));
    ASSERT_TRUE(library->database().change(u"PRAGMA user_version=3"_s));
    open();
    EXPECT_EQ(list(with([](SongFilter& f) { f.topic = u"sea"_s; })).size(), 2);
}

TEST_F(Filters, SeveralSongsAreChangedTogetherAndTakenBack) {
    const auto addTopic = [](Song& song) {
        if (!song.topics.contains(u"Sea"_s))
            song.topics << u"Sea"_s;
    };
    auto edits = library->edit({tide.id, etoile.id, bare.id}, addTopic);
    ASSERT_TRUE(edits);
    EXPECT_EQ(edits->size(), 2u); // one had it
    EXPECT_EQ(library->song(bare.id)->topics, QStringList{u"Sea"_s});
    Song again = *library->song(bare.id);
    again.notes = u"changed since"_s;
    ASSERT_TRUE(library->save(again));
    EXPECT_EQ(*library->takeBack(*edits), 1);
    EXPECT_EQ(library->song(etoile.id)->topics, QStringList{u"sea"_s});
    EXPECT_EQ(library->song(bare.id)->notes, u"changed since"_s);
}

TEST_F(Filters, OneSongThatIsGoneLeavesAllAsTheyWere) {
    EXPECT_FALSE(library->edit({tide.id, SongId::create()}, [](Song& song) { song.language = u"de"_s; }));
    EXPECT_EQ(library->song(tide.id)->language, u"en"_s);
}

} // namespace
} // namespace mivanta
