// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "render/SceneRenderer.h"
#include <QProcess>
#include <QToolButton>

namespace mivanta {
namespace {

class Run : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        importDemo();
        press(Qt::Key_2, Qt::AltModifier);
        addByFind(u"lantern"_s, u"Lantern on the Water"_s);
        addByFind(u"every tide"_s, u"Every Tide"_s);
        press(Qt::Key_4, Qt::AltModifier);
        ASSERT_EQ(window->currentDesk(), MainWindow::RunAt);
    }
    [[nodiscard]] const RunState& state() const { return session->run().state(); }
    [[nodiscard]] QString lamp() const { return window->findChild<Header*>(u"header"_s)->lampText(); }
    [[nodiscard]] std::vector<LaneCard*> cards(int lane) const {
        return window->runDesk()->lanes()->lanes()[size_t(lane)]->cards();
    }

    /// Waits until the player really shows what was ordered for an output.
    bool isShown(const QString& output) {
        return waitUntil([&] {
            for (const Scene& scene : session->run().shownNow())
                if (scene.output == output) {
                    const QImage wanted =
                        renderScene(scene).scaled(480, 270, Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
                    return difference(shown(output), wanted).share < 0.01;
                }
            return false;
        });
    }
};

TEST_F(Run, KeysTakeWordsToTheScreensAndBack) {
    EXPECT_TRUE(lamp().startsWith(u"Nothing on screen"_s));
    press(Qt::Key_Space);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 0));
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Words on screen"_s); }));
    for (const auto& output : {u"hall"_s, u"stage"_s, u"stream"_s})
        EXPECT_TRUE(isShown(output)) << output.toStdString();
    press(Qt::Key_Return);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 1));
    EXPECT_TRUE(isShown(u"hall"_s));
    press(Qt::Key_Backspace);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 0));
    EXPECT_TRUE(isShown(u"hall"_s));
}

TEST_F(Run, LookingAheadLeavesTheScreenAlone) {
    press(Qt::Key_Space);
    ASSERT_TRUE(isShown(u"hall"_s));
    const QImage before = shown(u"hall"_s);
    press(Qt::Key_Down);
    press(Qt::Key_Down);
    EXPECT_EQ(state().next, session->book().cue(0, 3));
    press(Qt::Key_Up);
    press(Qt::Key_2);
    EXPECT_EQ(state().next, session->book().cue(1, 0));
    settle();
    EXPECT_EQ(shown(u"hall"_s), before);
    press(Qt::Key_Escape);
    EXPECT_EQ(state().next, session->book().cue(0, 1));
    press(Qt::Key_9);
    EXPECT_EQ(state().next, session->book().cue(0, 1));
    EXPECT_TRUE(child<QLabel>(u"run-goto"_s)->text().contains(u"no item 9"_s));
}

TEST_F(Run, TheColumnSaysWhatComesAfterTheNextStepAndLeavesThePicturesWhole) {
    const ItemId last = session->document().service().items[1].id;
    session->document().changePlan(
        {last},
        [](ItemPlan& plan) {
            plan.note =
                u"The band waits until the bell has rung for the third time, then all of it at once, and "
                "softly, until the second verse"_s;
        },
        {});
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { return lamp().startsWith(u"Words on screen"_s); }));
    auto* then = child<QLabel>(u"run-then"_s);
    const QString before = then->text();
    EXPECT_FALSE(before.isEmpty());
    press(Qt::Key_Down);
    EXPECT_TRUE(waitUntil([&] { return then->text() != before; }));
    press(Qt::Key_2); // the next one is in the last item
    EXPECT_TRUE(waitUntil([&] { return child<QLabel>(u"run-next-item"_s)->text() == u"Every Tide"_s; }));
    EXPECT_TRUE(child<QLabel>(u"run-next-note"_s)->text().startsWith(u"The band waits"_s));
    for (auto* picture : window->runDesk()->findChildren<PictureView*>())
        EXPECT_TRUE(!picture->isVisible() ||
                    picture->parentWidget()->height() >= picture->geometry().bottom());
}

TEST_F(Run, DigitsAndEnterGoToAnItem) {
    press(Qt::Key_2);
    press(Qt::Key_Return);
    EXPECT_EQ(state().onScreen, session->book().cue(1, 0));
}

TEST_F(Run, CardsTellWhatIsOnScreenNextAndPast) {
    press(Qt::Key_Space);
    press(Qt::Key_Space);
    const auto lane = cards(0);
    ASSERT_EQ(lane.size(), 9u);
    EXPECT_EQ(lane[0]->state(), LaneCard::State::Past);
    EXPECT_EQ(lane[1]->state(), LaneCard::State::OnScreen);
    EXPECT_EQ(lane[2]->state(), LaneCard::State::Next);
    EXPECT_EQ(lane[3]->state(), LaneCard::State::Coming);
    EXPECT_TRUE(lane[1]->accessibleName().contains(u"ON SCREEN"_s));
    EXPECT_TRUE(lane[2]->accessibleName().contains(u"NEXT"_s));
}

TEST_F(Run, AClickLooksAndADoubleClickTakes) {
    press(Qt::Key_Space);
    QTest::mouseClick(cards(0)[4], Qt::LeftButton);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 0));
    EXPECT_EQ(state().next, session->book().cue(0, 4));
    QTest::mouseDClick(cards(0)[5], Qt::LeftButton);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 5));
}

TEST_F(Run, TheCurtainCoversAndOpens) {
    press(Qt::Key_Space);
    ASSERT_TRUE(isShown(u"hall"_s));
    const QImage words = shown(u"hall"_s);
    press(Qt::Key_F7);
    EXPECT_TRUE(isShown(u"hall"_s));
    EXPECT_NE(shown(u"hall"_s), words);
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Backdrop only"_s); }));
    QTest::mouseClick(child<QToolButton>(u"curtain-%1"_s.arg(int(Curtain::Black))), Qt::LeftButton);
    EXPECT_TRUE(waitUntil([&] { return shown(u"hall"_s).pixel(240, 135) == qRgb(0, 0, 0); }));
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Black"_s); }));
    press(Qt::Key_Space); // a take behind the curtain does not open it
    EXPECT_EQ(state().covers.curtain, Curtain::Black);
    press(Qt::Key_F5);
    EXPECT_TRUE(isShown(u"hall"_s));
    EXPECT_EQ(state().onScreen, session->book().cue(0, 1));
}

TEST_F(Run, EditingIsOffWhileRunning) {
    const auto before = titles();
    press(Qt::Key_Z, Qt::ControlModifier);
    press(Qt::Key_N, Qt::ControlModifier);
    EXPECT_EQ(titles(), before);
}

TEST_F(Run, AnItemRemovedWhileOnScreenStaysThereUntilATake) {
    press(Qt::Key_Space);
    ASSERT_TRUE(isShown(u"hall"_s));
    const QImage before = shown(u"hall"_s);
    press(Qt::Key_2, Qt::AltModifier);
    session->document().remove({session->document().service().items[0].id});
    settle();
    EXPECT_EQ(shown(u"hall"_s), before);
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 0));
    EXPECT_TRUE(isShown(u"hall"_s));
}

TEST_F(Run, ANewPlayerShowsTheSameAgain) {
    press(Qt::Key_Space);
    ASSERT_TRUE(isShown(u"hall"_s));
    const QImage before = shown(u"hall"_s);
    QProcess::execute(u"pkill"_s, {u"-9"_s, u"-f"_s, sessionFolder(libraryFolder)});
    ASSERT_TRUE(waitUntil([&] { return shown(u"hall"_s).isNull(); }));
    EXPECT_TRUE(waitUntil([&] { return shown(u"hall"_s) == before; }, 3000));
}

TEST_F(Run, QuittingWithWordsOnScreenAsks) {
    press(Qt::Key_Space);
    answers->quit = false;
    window->close();
    EXPECT_EQ(answers->asked, 1);
    EXPECT_TRUE(window->isVisible());
}

TEST_F(Run, ItsWordsFitTheirCardsOrAreMarked) {
    for (const LaneCard* card : cards(0))
        EXPECT_GE(card->height(), card->wantedHeight(card->width()));
}

} // namespace
} // namespace mivanta
