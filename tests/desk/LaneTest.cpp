// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/Lane.h"
#include "desk/kit/Chips.h"
#include "desk/kit/Style.h"
#include "desk/run/LaneCard.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QImage>
#include <QPainter>
#include <QSignalSpy>
#include <QTest>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

ItemSlides slidesOf(const Song& song) {
    EvenMeasures measures;
    return slidesFor(contentOf(song), usualOutputs(), plainChain(samples::theme(), {}), measures);
}

/// The colour of most pixels near the top of a widget.
QColor groundOf(QWidget& widget) {
    return widget.grab().toImage().pixelColor(widget.width() / 2, 6);
}

Card cardOf(const QStringList& lines) {
    return {0, 1, u"Verse 1"_s, u"1/2"_s, lines, 0};
}

TEST(LaneCard, SaysItsStateWithoutColourToo) {
    LaneCard card(cardOf({u"one"_s, u"two"_s}));
    EXPECT_EQ(card.accessibleName(), u"Verse 1 1/2"_s);
    EXPECT_EQ(card.accessibleDescription(), u"one\ntwo"_s);
    card.setMark({.state = LaneCard::State::Next, .step = 0, .holdsNext = true});
    EXPECT_TRUE(card.accessibleName().endsWith(u"NEXT"_s));
    card.setMark({.state = LaneCard::State::OnScreen, .step = 0});
    EXPECT_TRUE(card.accessibleName().endsWith(u"ON SCREEN"_s));
    card.setMark({.state = LaneCard::State::OnScreen,
                  .step = 0,
                  .holdsNext = true}); // a finer output has the next step inside it
    EXPECT_TRUE(card.accessibleName().contains(u"ON SCREEN"_s) && card.accessibleName().endsWith(u"NEXT"_s));
    card.setMark({.state = LaneCard::State::Past});
    EXPECT_EQ(card.accessibleName(), u"Verse 1 1/2"_s);
}

TEST(LaneCard, OnScreenIsAnAmberSlabAndNextIsNot) {
    LaneCard card(cardOf({u"one"_s}));
    card.resize(240, 120);
    card.setMark({.state = LaneCard::State::OnScreen, .step = 0});
    EXPECT_EQ(groundOf(card), night().marker);
    card.setMark({.state = LaneCard::State::Next, .step = 0});
    EXPECT_NE(groundOf(card), night().marker);
    card.setMark({.state = LaneCard::State::Coming, .step = 0});
    EXPECT_NE(groundOf(card), night().marker);
}

TEST(LaneCard, GrowsWithItsLinesAndWithLongOnes) {
    const LaneCard few(cardOf({u"one"_s, u"two"_s}));
    const LaneCard many(cardOf({u"one"_s, u"two"_s, u"three"_s, u"four"_s, u"five"_s}));
    EXPECT_GT(many.wantedHeight(240), few.wantedHeight(240));
    const LaneCard wide(cardOf({QString(60, u'x') + u' ' + QString(60, u'y'), u"two"_s}));
    EXPECT_GT(wide.wantedHeight(240), few.wantedHeight(240));
    EXPECT_EQ(wide.wantedHeight(4000), few.wantedHeight(4000));
    const LaneCard endless(cardOf({u"word "_s.repeated(400)})); // two rows a line at most, the rest elided
    EXPECT_EQ(endless.wantedHeight(240), few.wantedHeight(240));
}

TEST(LaneCard, AClickLooksAndADoubleClickTakes) {
    LaneCard card(cardOf({u"one"_s}));
    card.resize(200, 100);
    QSignalSpy looked(&card, &LaneCard::looked);
    QSignalSpy taken(&card, &LaneCard::taken);
    QTest::mouseClick(&card, Qt::RightButton);
    EXPECT_EQ(looked.count(), 0);
    QTest::mouseClick(&card, Qt::LeftButton);
    EXPECT_EQ(looked.count(), 1);
    EXPECT_EQ(taken.count(), 0);
    QTest::mouseDClick(&card, Qt::LeftButton);
    EXPECT_EQ(taken.count(), 1);
}

class LaneOfASong : public ::testing::Test {
protected:
    void SetUp() override {
        lane.setContent(u"Harbour"_s, u"G"_s, partChips(slides.content));
        lane.resize(800, lane.heightForWidth(800));
    }
    void open() {
        lane.open(slides);
        lane.resize(800, lane.heightForWidth(800));
    }
    const ItemSlides slides = slidesOf(samples::harbourSong());
    Lane lane{3, ItemId::create()};
};

TEST_F(LaneOfASong, OpensIntoACardASlideAndClosesAgain) {
    const int closed = lane.heightForWidth(800);
    EXPECT_TRUE(lane.cards().empty());
    EXPECT_EQ(lane.accessibleName(), u"3 Harbour"_s);
    open();
    EXPECT_TRUE(lane.isOpen());
    EXPECT_EQ(lane.cards().size(), cardsFor(slides).size());
    EXPECT_GT(lane.heightForWidth(800), closed);
    const auto cards = lane.cards();
    lane.open(slides); // twice is once
    EXPECT_EQ(lane.cards(), cards);
    lane.close();
    EXPECT_FALSE(lane.isOpen());
    EXPECT_EQ(lane.heightForWidth(800), closed);
}

TEST_F(LaneOfASong, CardsStandBesideOneAnotherAndNeverOverlap) {
    open();
    lane.show(); // or it is not told of its size
    for (const int width : {300, 640, 800, 1400}) {
        lane.resize(width, lane.heightForWidth(width));
        for (size_t a = 0; a < lane.cards().size(); ++a) {
            EXPECT_TRUE(lane.rect().contains(lane.cards()[a]->geometry())) << width;
            for (size_t b = a + 1; b < lane.cards().size(); ++b)
                EXPECT_FALSE(lane.cards()[a]->geometry().intersects(lane.cards()[b]->geometry())) << width;
        }
    }
}

TEST_F(LaneOfASong, MarksTheCardsThatHoldTheSteps) {
    open();
    lane.setMarks(0, 1);
    const auto stateOf = [&](int step) {
        const int at = cardAt(cardsFor(slides), step);
        return lane.cards()[size_t(at)]->state();
    };
    EXPECT_EQ(stateOf(0), LaneCard::State::OnScreen);
    const int last = int(slides.steps.size()) - 1;
    EXPECT_EQ(stateOf(last), LaneCard::State::Coming);
    lane.setMarks(last, -1);
    EXPECT_EQ(stateOf(0), LaneCard::State::Past);
    EXPECT_EQ(stateOf(last), LaneCard::State::OnScreen);
    EXPECT_EQ(lane.markedArea(), lane.cards().back()->geometry());
    lane.setMarks(0, last);
    EXPECT_EQ(lane.markedArea(), lane.cards().back()->geometry()); // next goes before on screen
    lane.setMarks(-1, -1);
    EXPECT_EQ(lane.markedArea(), lane.rect());
}

TEST_F(LaneOfASong, CardsTellTheirFirstStep) {
    open();
    QSignalSpy looked(&lane, &Lane::looked);
    QSignalSpy taken(&lane, &Lane::taken);
    QTest::mouseClick(lane.cards().back(), Qt::LeftButton);
    ASSERT_EQ(looked.count(), 1);
    EXPECT_EQ(looked[0][0].toInt(), cardsFor(slides).back().firstStep);
    QTest::mouseDClick(lane.cards().front(), Qt::LeftButton);
    ASSERT_EQ(taken.count(), 1);
    EXPECT_EQ(taken[0][0].toInt(), 0);
}

TEST_F(LaneOfASong, AClosedLaneIsLookedAtFromItsBeginning) {
    QSignalSpy looked(&lane, &Lane::looked);
    QSignalSpy taken(&lane, &Lane::taken);
    QTest::mouseClick(&lane, Qt::LeftButton);
    QTest::mouseDClick(&lane, Qt::LeftButton);
    EXPECT_EQ(looked.last()[0].toInt(), 0);
    EXPECT_EQ(taken.count(), 1);
}

TEST_F(LaneOfASong, PaintsInEveryState) {
    const QImage plain = lane.grab().toImage();
    lane.setMarks(-1, 0);
    const QImage next = lane.grab().toImage();
    EXPECT_NE(plain, next); // a closed lane is tagged, too
    lane.setMarks(0, -1);
    EXPECT_NE(lane.grab().toImage(), next);
    lane.setMarks(-1, -1);
    lane.setPast(true);
    EXPECT_NE(lane.grab().toImage(), plain);
}

TEST(Lane, AnUnplannedOneSaysSo) {
    Lane lane(0, ItemId::create());
    lane.setContent(u"Jude 24"_s, u"Scripture"_s, {});
    EXPECT_EQ(lane.accessibleName(), u"Unplanned: Jude 24"_s);
}

TEST(Chips, WhatDoesNotFitIsCounted) {
    QImage image(400, 40, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter painter(&image);
    std::vector<PartChip> chips;
    for (int i = 1; i <= 12; ++i)
        chips.push_back({u"V%1"_s.arg(i), i == 1});
    const int whole = paintChips(painter, QRect(0, 0, 4000, 40), chips, Qt::black, Qt::black);
    const int cut = paintChips(painter, QRect(0, 0, 150, 40), chips, Qt::black, Qt::black);
    EXPECT_GT(whole, cut);
    EXPECT_LE(cut, 150);
    EXPECT_EQ(paintChips(painter, QRect(10, 0, 150, 40), {}, Qt::black, Qt::black), 10);
}

} // namespace
} // namespace mivanta
