// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/WordsMend.h"
#include "support/AnySong.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Item harbour() {
    Song song = samples::harbourSong();
    song.parts[0].lines[0].chords = {{0, u"G"_s}, {9, u"D"_s}};
    song.parts[0].lines[1].chords = {{4, u"Em"_s}};
    return {ItemId::create(), songItem(std::move(song))};
}

ItemContent contentOf(const Item& item) {
    return mivanta::contentOf(item, Service());
}

SpokenText prayer() {
    SpokenText text;
    text.id = TextId::create();
    text.title = u"Prayer"_s;
    text.lines = {{u"Leader"_s, u"We set out"_s, {}, false},
                  {u"All"_s, u"and we come hoem."_s, {}, false},
                  {u"Leader"_s, u"Go in peace"_s, {}, true},
                  {u"All"_s, u"Amen."_s, {}, false}};
    return text;
}

TEST(WordsMend, FindsThePartThatIsSungAndTheLineThatIsShown) {
    const Item item = harbour();
    const auto first = mendableAt(item, contentOf(item), {0, 2, 0});
    ASSERT_TRUE(first);
    EXPECT_EQ(first->part, u"Verse 1"_s);
    EXPECT_EQ(first->words, u"one line here,\ntwo lines here;\nthree lines here,\nfour lines here."_s);
    EXPECT_EQ(first->words.mid(first->caret).left(5), u"three"_s);
    EXPECT_EQ(mendableAt(item, contentOf(item), {1, 0, 0})->part, u"Chorus"_s);
    EXPECT_FALSE(mendableAt(item, contentOf(item), {9, 0, 0}));
    EXPECT_FALSE(mendableAt({ItemId::create(), PauseItem{u"Quiet"_s}},
                            contentOf({ItemId::create(), PauseItem{}}), {0, 0, 0}));
}

TEST(WordsMend, ChordsStayOverTheirLettersAndOtherPartsStay) {
    const Item item = harbour();
    const auto found = mendableAt(item, contentOf(item), {0, 0, 0});
    const Item after =
        mended(item, *found, u"one life here,\ntwo lines hear;\nthree lines here,\nfour lines here."_s);
    const Song& song = *after.song();
    EXPECT_EQ(song.parts[0].lines[0].words, u"one life here,"_s);
    EXPECT_EQ(song.parts[0].lines[0].chords, (std::vector<ChordMark>{{0, u"G"_s}, {9, u"D"_s}}));
    EXPECT_EQ(song.parts[0].lines[1].words, u"two lines hear;"_s);
    EXPECT_EQ(song.parts[0].lines[1].chords, (std::vector<ChordMark>{{4, u"Em"_s}}));
    EXPECT_EQ(song.parts[1].lines, item.song()->parts[1].lines);
    EXPECT_EQ(song.id, item.song()->id);
}

TEST(WordsMend, TheLibrarysSongIsMendedOnlyWhereItHasTheSameWords) {
    const Item item = harbour();
    const auto found = mendableAt(item, contentOf(item), {1, 0, 0});
    Song librarys = samples::harbourSong();
    EXPECT_EQ(mended(librarys, *found, u"sing it loud,\nsing it in."_s)->parts[1].lines[0].words,
              u"sing it loud,"_s);
    librarys.parts[1].lines[1].words = u"sing it twice."_s;
    EXPECT_FALSE(mended(librarys, *found, u"sing it loud,\nsing it in."_s));
    librarys.parts.erase(librarys.parts.begin() + 1);
    EXPECT_FALSE(mended(librarys, *found, u"sing it loud,\nsing it in."_s));
}

TEST(WordsMend, WordsThatASlideHasForItselfAreMendedThere) {
    Item item = harbour();
    item.edits.setWords({u"Chorus"_s, 1, 0, 1}, u"sing it todya"_s);
    const ItemContent content = contentOf(item);
    const auto found = mendableAt(item, content, {1, 0, 0});
    ASSERT_TRUE(found && found->slide);
    EXPECT_EQ(found->words, u"sing it todya"_s);
    const Item after = mended(item, *found, u"sing it today"_s);
    EXPECT_EQ(after.edits.wordsAt({u"Chorus"_s, 1, 0, 1}), u"sing it today"_s);
    EXPECT_EQ(after.song()->parts[1].lines, item.song()->parts[1].lines);
    EXPECT_FALSE(mendableAt(item, content, {3, 0, 0})->slide); // the second time it has its own words
}

TEST(WordsMend, TextsKeepWhoSaysWhatAndTheirPages) {
    const Item item{ItemId::create(), textItem(prayer(), {{u"who"_s, u"us"_s}})};
    const auto found = mendableAt(item, contentOf(item), {0, 1, 0});
    ASSERT_TRUE(found);
    EXPECT_EQ(found->words, u"We set out\nand we come hoem."_s);
    const Item after = mended(item, *found, u"We set out\nand we come home,\nevery one."_s);
    const auto& lines = after.text()->text->lines;
    ASSERT_EQ(lines.size(), 5u);
    EXPECT_EQ(lines[1].words, u"and we come home,"_s);
    EXPECT_EQ(lines[1].role, u"All"_s);
    EXPECT_EQ(lines[2].role, u"All"_s); // a new line is said by whoever says the one before
    EXPECT_TRUE(lines[3].breakBefore);
    EXPECT_EQ(lines[3].words, u"Go in peace"_s);
    EXPECT_EQ(after.text()->answers, item.text()->answers);
    const auto second = mendableAt(item, contentOf(item), {1, 0, 0});
    const Item last = mended(item, *second, u"Go in peace.\nAmen."_s);
    EXPECT_TRUE(last.text()->text->lines[2].breakBefore);
    EXPECT_EQ(last.text()->text->lines[2].words, u"Go in peace."_s);
    EXPECT_EQ(last.text()->text->lines[0], item.text()->text->lines[0]);
}

RC_GTEST_PROP(WordsMend, SaysAfterwardsWhatWasTyped, (const std::vector<uint8_t>& letters, uint8_t at)) {
    Song song = samples::harbourSong();
    song.parts[0].lines[0].chords = {{0, u"G"_s}};
    const Item item{ItemId::create(), songItem(song)};
    const auto found = mendableAt(item, contentOf(item), {0, 0, 0});
    QString typed;
    for (const uint8_t letter : letters)
        typed += letter % 9 == 0 ? QChar(u'\n') : QChar(u'a' + letter % 26);
    QString words = found->words;
    words.replace(at % words.size(), letters.size() / 2, typed);
    const Item after = mended(item, *found, words);
    QStringList said;
    for (const Line& line : after.song()->parts[0].lines)
        said << line.words;
    RC_ASSERT(said.join(u'\n') == words);
    RC_ASSERT(mended(item, *found, found->words).song()->parts[0].lines == song.parts[0].lines);
}

} // namespace
} // namespace mivanta
