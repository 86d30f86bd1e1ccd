// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "session/run/RunKeys.h"
#include "support/Samples.h"
#include <QLineEdit>
#include <QPushButton>

namespace mivanta {
namespace {

/// Services that have nothing to run, and outputs that have nowhere to go.
class EmptyRun : public PlayerTest {
protected:
    /// Every key of the desk, digits and letters, but those that open something over it.
    void pressEverything() {
        for (const RunActionFacts& facts : runActions()) {
            const bool opens = facts.action == RunAction::Find || facts.action == RunAction::CallOut ||
                               facts.action == RunAction::OutputsMenu || facts.action == RunAction::ShowKeys;
            for (const Qt::Key key : opens ? std::vector<Qt::Key>() : facts.usual)
                press(key);
        }
        for (int key = Qt::Key_A; key <= Qt::Key_Z; ++key)
            press(Qt::Key(key));
        for (int key = Qt::Key_0; key <= Qt::Key_9; ++key)
            press(Qt::Key(key));
        press(Qt::Key_Return);
    }
    const RunState& state() { return session->run().state(); }
};

TEST_F(EmptyRun, AnEmptyServiceTakesEveryKeyAndShowsNothing) {
    window->goTo(MainWindow::RunAt);
    pressEverything();
    EXPECT_FALSE(state().onScreen);
    EXPECT_FALSE(state().next);
    press(Qt::Key_F5);
    session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
    EXPECT_TRUE(state().next); // what comes in can be run at once
    press(Qt::Key_Space);
    EXPECT_TRUE(state().onScreen);
}

TEST_F(EmptyRun, AServiceOfLeftOutItemsIsAsEmpty) {
    std::vector<ItemId> ids;
    for (const auto& title : {u"First"_s, u"Second"_s})
        ids.push_back(session->document().insert(9, songItem(samples::harbourSong(title))));
    session->document().insertHeading(0, u"Gathering"_s);
    session->document().insert(9, NoteItem{u"Dim the lights"_s});
    session->document().changePlan(
        ids, [](ItemPlan& plan) { plan.skipped = true; }, u"leaving out"_s);
    window->goTo(MainWindow::RunAt);
    pressEverything();
    EXPECT_FALSE(state().onScreen);
    EXPECT_FALSE(state().next);
    EXPECT_EQ(session->book().itemCount(), 0);
    session->document().undoStack().undo();
    press(Qt::Key_Space);
    EXPECT_TRUE(state().onScreen);
}

TEST_F(EmptyRun, WhenEverythingIsLeftOutWhatIsOnScreenStays) {
    const ItemId id = session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { return !shown(u"hall"_s).isNull(); }));
    const auto before = session->run().shownNow();
    session->document().changePlan(
        {id}, [](ItemPlan& plan) { plan.skipped = true; }, u"leaving out"_s);
    EXPECT_EQ(session->run().shownNow(), before);
    press(Qt::Key_Space);
    press(Qt::Key_Backspace);
    EXPECT_EQ(session->run().shownNow(), before);
}

TEST_F(EmptyRun, AnOutputWithoutItsMonitorIsRunWithTheOthers) {
    Output hall = session->outputs().all()[0];
    hall.place = {PlaceKind::Monitor, u"HDMI-9"_s};
    session->outputs().change(hall);
    session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    for (const auto& output : {u"hall"_s, u"stage"_s, u"stream"_s})
        EXPECT_TRUE(waitUntil([&] { return !shown(output).isNull(); })) << output.toStdString();
    EXPECT_EQ(session->outputs().placements()[0].kind, Placement::Kind::Missing);
    EXPECT_EQ(child<PictureView>(u"run-hall"_s)->accessibleName(), u"HALL \u00b7 NO SCREEN"_s);
}

} // namespace
} // namespace mivanta
