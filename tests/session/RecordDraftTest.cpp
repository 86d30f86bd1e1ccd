// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/ThemeDraft.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

class Draft : public ::testing::Test {
protected:
    void SetUp() override {
        stored = samples::harbourSong(u"Tide"_s);
        stored.revision = 1;
        draft.load(stored);
    }
    void retitle(const QString& title, int typingPlace = 0) {
        draft.change(
            u"title"_s, [&](Song& song) { song.title = title; }, typingPlace);
    }
    [[nodiscard]] QString title() const { return draft.record()->title; }

    Song stored;
    SongDraft draft;
};

TEST_F(Draft, EveryChangeIsUndoneOneByOne) {
    retitle(u"A"_s);
    retitle(u"B"_s);
    EXPECT_TRUE(draft.isChanged());
    draft.undoStack().undo();
    EXPECT_EQ(title(), u"A"_s);
    draft.undoStack().undo();
    EXPECT_EQ(title(), u"Tide"_s);
    EXPECT_FALSE(draft.isChanged());
}

TEST_F(Draft, TypingInOnePlaceIsOneStepAndElsewhereAnother) {
    for (const auto& typed : {u"A"_s, u"AB"_s, u"ABC"_s})
        retitle(typed, 7);
    retitle(u"ABC!"_s, 8);
    EXPECT_EQ(draft.undoStack().count(), 2);
    draft.undoStack().undo();
    EXPECT_EQ(title(), u"ABC"_s);
    draft.undoStack().undo();
    EXPECT_EQ(title(), u"Tide"_s);
}

TEST_F(Draft, WhatIsTypedWhileItIsBeingSavedIsNotSaved) {
    retitle(u"A"_s, 7);
    Song sent = *draft.record();
    retitle(u"AB"_s, 7); // before the answer comes
    sent.revision = 2;
    draft.saved(sent);
    EXPECT_TRUE(draft.isChanged());
    EXPECT_EQ(title(), u"AB"_s);
    EXPECT_EQ(draft.record()->revision, 2); // the next save knows of this one
    draft.leaveAsItWas();
    EXPECT_EQ(title(), u"A"_s); // as it is stored
}

TEST_F(Draft, AChangeThatChangesNothingIsNone) {
    retitle(u"Tide"_s);
    EXPECT_EQ(draft.undoStack().count(), 0);
    EXPECT_FALSE(draft.isChanged());
}

TEST_F(Draft, SavingKeepsUndoAndTheNewRevision) {
    retitle(u"A"_s);
    Song saved = *draft.record();
    saved.revision = 2;
    draft.saved(saved);
    EXPECT_FALSE(draft.isChanged());
    draft.undoStack().undo();
    EXPECT_EQ(title(), u"Tide"_s);
    EXPECT_EQ(draft.record()->revision, 2); // undoing the words does not undo what the library has
    EXPECT_TRUE(draft.isChanged());
}

TEST_F(Draft, LeavingItAsItWasWorksEvenWhereUndoCannotGo) {
    retitle(u"A"_s);
    retitle(u"B"_s);
    draft.leaveAsItWas();
    EXPECT_EQ(title(), u"Tide"_s);

    retitle(u"A"_s);
    draft.saved(*draft.record());
    draft.undoStack().undo();
    retitle(u"Elsewhere"_s); // the saved state is no step of the undo stack any more
    draft.leaveAsItWas();
    EXPECT_EQ(title(), u"A"_s);
    EXPECT_FALSE(draft.isChanged());
    draft.undoStack().undo();
    EXPECT_EQ(title(), u"Elsewhere"_s);
}

TEST_F(Draft, AnotherSongsSavingIsNotThisOnes) {
    retitle(u"A"_s);
    draft.saved(samples::harbourSong());
    EXPECT_TRUE(draft.isChanged());
    draft.load(std::nullopt);
    retitle(u"B"_s);
    EXPECT_FALSE(draft.record());
    EXPECT_FALSE(draft.isChanged());
}

TEST(ThemeDraft, ADragIsOneStepAndOtherChangesAreTheirOwn) {
    ThemeDraft draft;
    draft.load(ThemeRecord{samples::theme(), 1});
    const LookProperty& box = *lookProperty(u"words.box"_s);
    for (double x = 0; x < 0.3; x += 0.05)
        draft.set(box, QRectF(x, 0.1, 0.5, 0.5));
    draft.endVisit();
    draft.set(*lookProperty(u"words.size"_s), 40);
    draft.set(*lookProperty(u"words.size"_s), 40); // the same again is none
    EXPECT_EQ(draft.undoStack().count(), 2);
    EXPECT_TRUE(draft.isChanged());
    draft.undo();
    draft.undo();
    EXPECT_FALSE(draft.isChanged());
    draft.redo();
    EXPECT_EQ(draft.theme()->look.words.box, QRectF(0.25, 0.1, 0.5, 0.5));
    draft.saved(*draft.record());
    EXPECT_FALSE(draft.isChanged());
    draft.rename(u"  "_s);
    EXPECT_FALSE(draft.isChanged());
}

} // namespace
} // namespace mivanta
