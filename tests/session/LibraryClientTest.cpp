// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/LibraryClient.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// The way to the library and out of it, without a window.
class Client : public ::testing::Test {
protected:
    void open() {
        client = std::make_unique<LibraryClient>(folder.filePath(u"library"_s));
        QObject::connect(client.get(), &LibraryClient::changed, [this] { ++changes; });
        client->open();
        ASSERT_TRUE(waitUntil([&] { return client->isOpen(); }));
    }
    Song saved(const QString& title) {
        std::optional<Song> result;
        client->save(&asker, samples::harbourSong(title), [&](const Result<Song>& song) { result = *song; });
        EXPECT_TRUE(waitUntil([&] { return result.has_value(); }));
        return *result;
    }
    QTemporaryDir folder;
    std::unique_ptr<LibraryClient> client;
    QObject asker;
    int changes = 0;
};

TEST_F(Client, OnlyTheLastOfSeveralSearchesIsAnswered) {
    open();
    saved(u"Harbour"_s);
    QStringList answered;
    for (const QString& query : {u"h"_s, u"ha"_s, u"har"_s})
        client->find(&asker, {query, FindAll, {}}, [&answered, query](const auto&) { answered << query; });
    ASSERT_TRUE(waitUntil([&] { return !answered.isEmpty(); }));
    QTest::qWait(50);
    EXPECT_EQ(answered, QStringList{u"har"_s});
}

TEST_F(Client, AnotherAskersSearchIsNoHindrance) {
    open();
    saved(u"Harbour"_s);
    QObject other;
    int answers = 0;
    client->find(&asker, {u"harbour"_s, FindAll, {}},
                 [&](const auto& found) { answers += int(found->hits.size()); });
    client->find(&other, {u"harbour"_s, FindAll, {}},
                 [&](const auto& found) { answers += int(found->hits.size()); });
    EXPECT_TRUE(waitUntil([&] { return answers == 2; }));
}

TEST_F(Client, NobodyIsAnsweredWhoIsGone) {
    open();
    auto gone = std::make_unique<QObject>();
    bool answered = false;
    client->find(gone.get(), {u"x"_s, FindAll, {}}, [&](const auto&) { answered = true; });
    client->song(gone.get(), SongId::create(), [&](const auto&) { answered = true; });
    gone.reset();
    saved(u"Later"_s); // the work is done by then
    EXPECT_FALSE(answered);
}

TEST_F(Client, BeforeItIsOpenEveryQuestionIsAnsweredWithTheReason) {
    client = std::make_unique<LibraryClient>(folder.filePath(u"library"_s));
    QString reason;
    client->song(&asker, SongId::create(), [&](const Result<Song>& song) { reason = song.error().text(); });
    ASSERT_TRUE(waitUntil([&] { return !reason.isEmpty(); }));
    EXPECT_TRUE(reason.contains(u"not open"_s));
}

TEST_F(Client, AFolderThatCannotBeMadeIsSaid) {
    QFile blocked(folder.filePath(u"library"_s));
    ASSERT_TRUE(blocked.open(QIODevice::WriteOnly));
    client = std::make_unique<LibraryClient>(folder.filePath(u"library/inside"_s));
    QString said;
    QObject::connect(client.get(), &LibraryClient::failed, [&](const Error& error) { said = error.text(); });
    client->open();
    ASSERT_TRUE(waitUntil([&] { return !said.isEmpty(); }));
    EXPECT_FALSE(client->isOpen());
    EXPECT_TRUE(client->error());
}

TEST_F(Client, AChangeIsToldAfterItsAnswer) {
    open();
    const Song song = saved(u"Harbour"_s);
    ASSERT_TRUE(waitUntil([&] { return changes == 1; }));
    QString problem;
    Song stale = song;
    stale.revision = 7;
    client->save(&asker, stale, [&](const Result<Song>& done) { problem = done.error().text(); });
    ASSERT_TRUE(waitUntil([&] { return !problem.isEmpty(); }));
    EXPECT_TRUE(problem.contains(u"changed in the library meanwhile"_s));
    EXPECT_EQ(changes, 1); // a refusal is no change
}

TEST_F(Client, SeveralSongsAreChangedAndTakenBack) {
    open();
    const Song a = saved(u"A"_s);
    const Song b = saved(u"B"_s);
    std::vector<SongEdit> edits;
    client->edit(
        &asker, {a.id, b.id}, [](Song& song) { song.topics = {u"sea"_s}; },
        [&](const Result<std::vector<SongEdit>>& done) { edits = *done; });
    ASSERT_TRUE(waitUntil([&] { return edits.size() == 2; }));
    int back = 0;
    client->takeBack(&asker, edits, [&](const Result<int>& count) { back = *count; });
    ASSERT_TRUE(waitUntil([&] { return back == 2; }));
    std::optional<SongFacets> facets;
    client->facets(&asker, [&](const Result<SongFacets>& found) { facets = *found; });
    ASSERT_TRUE(waitUntil([&] { return facets.has_value(); }));
    EXPECT_TRUE(facets->topics.empty());
}

TEST_F(Client, ASecondImportWaitsForNobodyAndIsNotBegun) {
    open();
    QDir(folder.path()).mkpath(u"in"_s);
    for (int i = 0; i < 300; ++i) {
        QFile file(folder.filePath(u"in/%1.txt"_s.arg(i)));
        ASSERT_TRUE(file.open(QIODevice::WriteOnly));
        file.write("Title: Song " + QByteArray::number(i) + "\n\nVerse 1\nwords\n");
    }
    int looked = 0;
    size_t songs = 0;
    QObject::connect(client.get(), &LibraryClient::lookedAt, [&](const ImportCandidates& candidates, bool) {
        ++looked;
        songs = candidates->size();
    });
    client->lookAtImport({folder.filePath(u"in"_s)});
    EXPECT_TRUE(client->isImporting());
    client->lookAtImport({folder.filePath(u"in"_s)});
    client->bringIn({});
    ASSERT_TRUE(waitUntil([&] { return !client->isImporting(); }));
    QTest::qWait(50);
    EXPECT_EQ(looked, 1);
    EXPECT_EQ(songs, 300u);
    EXPECT_EQ(changes, 0); // looking is no change
}

} // namespace
} // namespace mivanta
