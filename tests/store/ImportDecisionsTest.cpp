// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include <gmock/gmock.h>

namespace mivanta {
namespace {

using ::testing::ElementsAre;
using enum ImportFinding;
using enum ImportDecision;

const QByteArray kVerse = "Verse 1\nThe nets are mended on the quay\nand every boat is home from sea\n"
                          "the lamps are lit along the wall\nand peace is falling over all\n";
const QByteArray kOtherVerse =
    "Verse 1\nA hundred fields of barley stand\nso ripe and golden in the land\n"
    "we sing the song that reapers sing\nand bring the sheaves that reapers bring\n";

QByteArray text(const char* title, const QByteArray& words, const char* more = "") {
    return QByteArray("Title: ") + title + "\n" + more + "\n" + words;
}

class ImportDecisions : public LibraryTest {
protected:
    void SetUp() override {
        LibraryTest::SetUp();
        EXPECT_EQ(outcomes({file(u"first/evening.txt"_s, text("Evening Nets", kVerse, "Key: D\n"))}), u"A"_s);
    }
    std::vector<ImportCandidate> look() { return library->lookAtImport({path(u"in"_s)}); }
    std::vector<ImportFinding> findings() {
        std::vector<ImportFinding> result;
        for (const ImportCandidate& candidate : look())
            result.push_back(candidate.finding);
        return result;
    }
    /// Brings in the only song of the folder, as decided.
    ImportEntry decide(ImportDecision decision) {
        auto candidates = look();
        EXPECT_EQ(candidates.size(), 1u);
        candidates.front().decision = decision;
        return library->bringIn(std::move(candidates)).front();
    }
    int count() { return *library->songCount(); }
    Song only(const QString& query) { return *library->song(library->find(query)->front().song.id); }
};

TEST_F(ImportDecisions, SaysWhatEachSongIsToTheLibrary) {
    file(u"in/1 new.txt"_s, text("Barley", kOtherVerse));
    file(u"in/2 same.txt"_s, text("Evening Nets", kVerse, "Key: D\n"));
    file(u"in/3 other title.txt"_s, text("Home from Sea", kVerse + "\nVerse 2\nOne more thing to sing\n"));
    file(u"in/4 same title.txt"_s,
         text("evening nets!", "Verse 1\nSomething else altogether is sung here\n"));
    file(u"in/5 nothing.txt"_s, "");
    EXPECT_THAT(findings(), ElementsAre(New, Same, SameWords, SameTitle, Unreadable));
    const auto seen = look();
    EXPECT_EQ(seen[2].other->title, u"Evening Nets"_s);
    EXPECT_EQ(seen[2].decision, LeaveOut);
    EXPECT_TRUE(seen[4].problem.contains(u"empty"_s));
    EXPECT_EQ(count(), 1); // looking changes nothing
}

TEST_F(ImportDecisions, TwinsAmongTheFilesThemselvesAreSeen) {
    file(u"in/a.txt"_s, text("Barley", kOtherVerse));
    file(u"in/b.txt"_s, text("Golden Fields", kOtherVerse));
    file(u"in/c.txt"_s, text("Barley", kOtherVerse));
    EXPECT_THAT(findings(), ElementsAre(New, SameWords, Same));
    auto candidates = look();
    candidates[1].decision = MergeDetails;
    const auto entries = library->bringIn(std::move(candidates));
    EXPECT_EQ(entries[0].outcome, ImportOutcome::Added);
    EXPECT_EQ(entries[1].outcome, ImportOutcome::Changed);
    EXPECT_EQ(only(u"golden fields"_s).title, u"Barley"_s);
    EXPECT_EQ(count(), 2);
}

TEST_F(ImportDecisions, ATwinOfASongThatStayedOutComesInItself) {
    file(u"in/a.txt"_s, text("Barley", kOtherVerse));
    file(u"in/b.txt"_s, text("Golden Fields", kOtherVerse));
    auto candidates = look();
    candidates[0].decision = LeaveOut;
    candidates[1].decision = Replace;
    const auto entries = library->bringIn(std::move(candidates));
    EXPECT_EQ(entries[0].outcome, ImportOutcome::LeftOut);
    EXPECT_EQ(entries[1].outcome, ImportOutcome::Added);
    EXPECT_EQ(only(u"golden"_s).title, u"Golden Fields"_s);
}

TEST_F(ImportDecisions, ReplaceKeepsTheIdAndTheVersionBefore) {
    const Song before = only(u"evening"_s);
    file(u"in/a.txt"_s, text("Home from Sea", kVerse + "\nVerse 2\nOne more thing to sing\n"));
    EXPECT_EQ(decide(Replace).outcome, ImportOutcome::Changed);
    const Song after = *library->song(before.id);
    EXPECT_EQ(after.title, u"Home from Sea"_s);
    EXPECT_EQ(after.parts[0].id, before.parts[0].id);
    EXPECT_EQ(library->versions(before.id)->size(), 1u);
    EXPECT_EQ(library->version(before.id, 1)->title, u"Evening Nets"_s);
    EXPECT_EQ(count(), 1);
}

TEST_F(ImportDecisions, MergingTakesDetailsAndLeavesTheWords) {
    const Song before = only(u"evening"_s);
    file(u"in/a.txt"_s, text("Home from Sea", kVerse + "\nVerse 2\nOne more thing to sing\n",
                             "Key: G\nCopyright: Quay Press\nTopics: Sea, Rest\n"));
    EXPECT_EQ(decide(MergeDetails).outcome, ImportOutcome::Changed);
    const Song after = *library->song(before.id);
    EXPECT_EQ(after.title, u"Evening Nets"_s);
    EXPECT_EQ(after.otherTitles, QStringList{u"Home from Sea"_s});
    EXPECT_EQ(after.copyright, u"Quay Press"_s);
    EXPECT_EQ(after.key, u"D"_s); // it had one
    EXPECT_EQ(after.parts.size(), before.parts.size());
    EXPECT_EQ(decide(MergeDetails).outcome, ImportOutcome::Unchanged); // nothing more to take
}

TEST_F(ImportDecisions, SeveralTwinsOfOneSongAreAllMerged) {
    file(u"in/a.txt"_s, text("Home from Sea", kVerse, "Topics: Sea\n"));
    file(u"in/b.txt"_s, text("The Nets Are Mended", kVerse, "Topics: Rest\n"));
    auto candidates = look();
    for (ImportCandidate& candidate : candidates) {
        EXPECT_EQ(candidate.finding, SameWords);
        candidate.decision = MergeDetails;
    }
    for (const ImportEntry& entry : library->bringIn(std::move(candidates)))
        EXPECT_EQ(entry.outcome, ImportOutcome::Changed) << entry.reason.toStdString();
    const Song merged = only(u"evening"_s);
    EXPECT_EQ(merged.topics, (QStringList{u"Sea"_s, u"Rest"_s}));
    EXPECT_EQ(merged.otherTitles, (QStringList{u"Home from Sea"_s, u"The Nets Are Mended"_s}));
}

TEST_F(ImportDecisions, KeepingBothAndLeavingOut) {
    file(u"in/a.txt"_s, text("Home from Sea", kVerse));
    EXPECT_EQ(decide(LeaveOut).outcome, ImportOutcome::LeftOut);
    EXPECT_EQ(count(), 1);
    EXPECT_EQ(decide(Add).outcome, ImportOutcome::Added);
    EXPECT_EQ(count(), 2);
}

TEST_F(ImportDecisions, AFileThatChangedAgainstASongThatChanged) {
    Song song = only(u"evening"_s);
    file(u"in/x.txt"_s, text("Unrelated", kOtherVerse)); // so that the folder is there
    song.notes = u"slow"_s;
    ASSERT_TRUE(library->save(song));
    file(u"first/evening.txt"_s, text("Evening Nets", kVerse + "last line\n"));
    auto seen = library->lookAtImport({path(u"first"_s)});
    ASSERT_EQ(seen.front().finding, BothChanged);
    EXPECT_EQ(seen.front().other->notes, u"slow"_s);
    seen.front().decision = Add; // both stay, and the file is the new one's
    EXPECT_EQ(library->bringIn(std::move(seen)).front().outcome, ImportOutcome::Added);
    EXPECT_EQ(library->lookAtImport({path(u"first"_s)}).front().finding, Same);
    file(u"first/evening.txt"_s, text("Evening Nets", kVerse + "another last line\n"));
    EXPECT_EQ(library->lookAtImport({path(u"first"_s)}).front().finding, NewerFile);
}

TEST_F(ImportDecisions, ASongChangedWhileThePersonDecidesIsNotOverwritten) {
    file(u"in/a.txt"_s, text("Home from Sea", kVerse));
    auto candidates = look();
    candidates.front().decision = Replace;
    Song song = only(u"evening"_s);
    song.notes = u"changed in another window"_s;
    ASSERT_TRUE(library->save(song));
    const auto entry = library->bringIn(std::move(candidates)).front();
    EXPECT_EQ(entry.outcome, ImportOutcome::Refused);
    EXPECT_TRUE(entry.reason.contains(u"meanwhile"_s));
    EXPECT_EQ(library->song(song.id)->title, u"Evening Nets"_s);
}

TEST_F(ImportDecisions, WhatLiesInTheBinComesBack) {
    const Song song = only(u"evening"_s);
    ASSERT_TRUE(library->putInBin({song.id}));
    file(u"in/same.txt"_s, text("Evening Nets", kVerse, "Key: D\n"));
    EXPECT_THAT(findings(), ElementsAre(InBin));
    EXPECT_EQ(decide(Add).song, song.id);
    EXPECT_EQ(only(u"evening"_s).id, song.id);
}

TEST_F(ImportDecisions, LookingCanBeStopped) {
    for (int i = 0; i < 5; ++i)
        file(u"in/%1.txt"_s.arg(i), text("T", "Verse 1\nline " + QByteArray::number(i) + "\n"));
    const auto seen = library->lookAtImport({path(u"in"_s)}, [](int done, int) { return done < 2; });
    EXPECT_EQ(seen.size(), 2u);
}

} // namespace
} // namespace mivanta
