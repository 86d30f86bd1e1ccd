// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunOrders.h"
#include "session/outputs/Outputs.h"
#include "session/run/AutoAdvance.h"
#include "session/run/ItemSounds.h"
#include "session/run/LoopArming.h"
#include "session/run/OnScreen.h"
#include "session/run/RunController.h"
#include "session/run/RunFilm.h"
#include "session/run/RunKeys.h"
#include "session/run/RunWatch.h"
#include "session/service/ServiceDocument.h"
#include "session/service/SlideBook.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// A run of two songs and a heading, without a player and without a window.
class Orders : public ::testing::Test {
protected:
    void SetUp() override {
        outputs.load();
        ASSERT_TRUE(waitUntil([&] { return outputs.isLoaded(); }));
        document.insertItems(0,
                             {{ItemId::create(), songItem(samples::harbourSong(u"First"_s))},
                              {ItemId::create(), Heading{u"Then"_s}},
                              {ItemId::create(), songItem(samples::harbourSong(u"Second"_s))}},
                             {});
        QCoreApplication::processEvents();
        QObject::connect(&watch, &RunWatch::changed, [this] { ++told; });
    }
    Result<void> obey(const RunOrder& order) { return orders.obey(order); }
    /// What was refused: nothing is changed by it.
    void expectRefused(const RunOrder& order) {
        const RunState before = run.state();
        const auto done = obey(order);
        ASSERT_FALSE(done);
        EXPECT_FALSE(done.error().what.isEmpty());
        EXPECT_EQ(run.state(), before);
    }

    QTemporaryDir folder;
    ServiceDocument document{LibraryAddress(folder.path()).mediaFolder(), Journal(folder.path()),
                             samples::theme()};
    SlideBook book{document, {samples::theme()}};
    PlayerClient player{{folder.path(), {}, {}}};
    RunController run{book, document, player};
    Outputs outputs{book, run, player, ThisComputer(folder.path()), folder.path()};
    OnScreen onScreen{run, player};
    AutoAdvance advance{run, document};
    ItemSounds sounds{run, document, book, player};
    RunFilm film{run, document, player};
    RunLoop loop{run, document, book, player, film};
    LoopArming arming{run, document, loop};
    RunOrders orders{run, book, advance, sounds, film, loop, arming};
    RunWatch watch{run, book, document, onScreen};
    int told = 0;
};

TEST_F(Orders, LooksAndTakesAreInTheFacts) {
    ASSERT_TRUE(obey(order::LookAtItem{2}));
    RunFacts facts = watch.facts();
    EXPECT_EQ(facts.items, 2);
    EXPECT_FALSE(facts.onScreen);
    EXPECT_EQ(facts.next, (RunPlace{u"Second"_s, 2, 1, 6, u"Verse 1"_s}));
    ASSERT_TRUE(obey(order::LookAtPart{u'V', 2, 1}));
    EXPECT_EQ(watch.facts().next, (RunPlace{u"First"_s, 1, 4, 6, u"Verse 2"_s}));
    ASSERT_TRUE(obey(order::LookAtPart{u'c'}));
    EXPECT_EQ(watch.facts().next->part, u"Chorus"_s);
    EXPECT_FALSE(run.state().onScreen); // looking puts nothing on a screen
    ASSERT_TRUE(obey(order::LookAtItem{1}));
    ASSERT_TRUE(obey(order::Take{}));
    ASSERT_TRUE(run.state().onScreen);
    ASSERT_TRUE(obey(order::LookAtItem{2}));
    ASSERT_TRUE(obey(order::TakeFollowing{})); // not what is looked at
    EXPECT_EQ(book.indexOf(run.state().onScreen->item), 0);
}

TEST_F(Orders, APartOfAnyNameIsMeantByItsLetterAndItsNumber) {
    Part solo = samples::part(PartKind::Other, 2, {u"la la"_s});
    solo.name = u"Solo"_s;
    Song song = samples::harbourSong();
    song.parts.push_back(solo);
    song.singingOrder.push_back({solo.id, 1});
    ASSERT_TRUE(obey(order::LookAtUnplanned{songItem(song)}));
    ASSERT_TRUE(obey(order::LookAtPart{u's', 2}));
    EXPECT_EQ(watch.facts().next->part, u"Solo 2"_s);
    expectRefused(order::LookAtPart{u's', 1});
}

TEST_F(Orders, WhatIsUnplannedHasNoNumberAndGoesOnInTheOrder) {
    ASSERT_TRUE(obey(order::LookAtUnplanned{songItem(samples::harbourSong(u"Guest"_s))}));
    EXPECT_EQ(watch.facts().next, (RunPlace{u"Guest"_s, 0, 1, 6, u"Verse 1"_s}));
    ASSERT_TRUE(obey(order::Take{}));
    EXPECT_NE(book.itemOf(run.state().onScreen->item), nullptr);
    EXPECT_EQ(document.service().item(run.state().onScreen->item), nullptr);
}

TEST_F(Orders, CoversAreOfAllOutputsOrOfOne) {
    ASSERT_TRUE(obey(order::SetCurtain{Curtain::HouseCard}));
    ASSERT_TRUE(obey(order::SetOwnCurtain{u"stage"_s, Curtain::Black}));
    ASSERT_TRUE(obey(order::Freeze{u"hall"_s, true}));
    ASSERT_TRUE(obey(order::CallOut{u"Tea"_s, {}}));
    const RunFacts facts = watch.facts();
    EXPECT_EQ(facts.curtain, Curtain::HouseCard);
    EXPECT_EQ(facts.callOut, u"Tea"_s);
    EXPECT_EQ(facts.outputs, (std::vector<OutputFacts>{{u"hall"_s, Curtain::HouseCard, true},
                                                       {u"stage"_s, Curtain::Black, false},
                                                       {u"stream"_s, Curtain::HouseCard, false}}));
    ASSERT_TRUE(obey(order::SetOwnCurtain{u"stage"_s, std::nullopt}));
    ASSERT_TRUE(obey(order::EndCallOut{}));
    EXPECT_EQ(watch.facts().outputs[1].curtain, Curtain::HouseCard);
    EXPECT_TRUE(watch.facts().callOut.isEmpty());
}

TEST_F(Orders, WhatIsNotThereIsRefusedAndNothingIsDoneByHalves) {
    expectRefused(order::LookAtItem{0});
    expectRefused(order::LookAtItem{3});
    expectRefused(order::LookAtPart{u'Q'});
    expectRefused(order::LookAtPart{{}, {}, 1});
    expectRefused(order::LookAtPart{u'V', 9, 2});
    expectRefused(order::LookAtPart{u'C', {}, 7});
    expectRefused(order::Freeze{u"moon"_s, true});
    expectRefused(order::SetOwnCurtain{u"moon"_s, Curtain::Black});
}

TEST_F(Orders, ChangesAreToldOnceAndOnlyWhenFactsDiffer) {
    QCoreApplication::processEvents();
    told = 0;
    ASSERT_TRUE(obey(order::LookAtItem{2}));
    ASSERT_TRUE(obey(order::SetCurtain{Curtain::Black}));
    QCoreApplication::processEvents();
    EXPECT_EQ(told, 1);
    ASSERT_TRUE(obey(order::SetCurtain{Curtain::Black})); // it is
    QCoreApplication::processEvents();
    EXPECT_EQ(told, 1);
    ASSERT_TRUE(obey(order::LookAtItem{1}));
    ASSERT_TRUE(obey(order::LookAtItem{2})); // as it was
    QCoreApplication::processEvents();
    EXPECT_EQ(told, 1);
}

TEST_F(Orders, EveryActionOfAKeyIsAnOrderOrTheWindowsOwn) {
    const std::set<RunAction> windows{RunAction::CallOut, RunAction::FreezeMain,    RunAction::OutputsMenu,
                                      RunAction::Find,    RunAction::KeepUnplanned, RunAction::MendWords,
                                      RunAction::ShowKeys};
    for (const RunActionFacts& facts : runActions()) {
        EXPECT_EQ(facts.order || facts.inLoop, !windows.contains(facts.action)) << facts.id;
        if (facts.order && facts.action != RunAction::Arm) { // there is no loop
            EXPECT_TRUE(obey(*facts.order)) << facts.id;
        }
    }
}

} // namespace
} // namespace mivanta
