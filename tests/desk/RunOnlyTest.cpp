// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "support/Samples.h"
#include <QAction>
#include <QCheckBox>
#include <QSettings>

namespace mivanta {
namespace {

/// A computer in a booth that just runs services.
class RunOnlyMode : public WindowTest {
protected:
    void setRunOnly() {
        window->goTo(MainWindow::SetupAt);
        child<QCheckBox>(u"run-only"_s)->click();
    }
    /// So much later the button has looked at the clock.
    void pass(int ms) {
        Clock::the().jump(ms);
        QTest::qWait(50);
    }
    void hold(int ms) {
        QTest::keyPress(window.get(), Qt::Key_F11);
        pass(ms);
        QTest::keyRelease(window.get(), Qt::Key_F11);
    }
    QAction* action(const QString& name) { return window->findChild<QAction*>(name); }
};

TEST_F(RunOnlyMode, LocksEditingAndQuittingUntilTheLockIsHeldOpen) {
    session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
    setRunOnly();
    EXPECT_EQ(window->currentDesk(), MainWindow::SetupAt); // not yet
    child<QToolButton>(u"lock"_s)->click();
    EXPECT_EQ(window->currentDesk(), MainWindow::RunAt);
    EXPECT_TRUE(window->isFullScreen());
    for (const Qt::Key key : {Qt::Key_1, Qt::Key_2, Qt::Key_3, Qt::Key_5}) {
        press(key, Qt::AltModifier);
        EXPECT_EQ(window->currentDesk(), MainWindow::RunAt);
    }
    for (const auto& name : {u"quit"_s, u"undo"_s, u"new-service"_s, u"open-service"_s, u"save-service-as"_s})
        EXPECT_FALSE(action(name)->isEnabled()) << name.toStdString();
    window->close();
    EXPECT_TRUE(window->isVisible());
    EXPECT_TRUE(window->notices()->text().contains(u"run only"_s));
    press(Qt::Key_F2);
    EXPECT_FALSE(child<QWidget>(u"mend-sheet"_s)->isVisible());
    press(Qt::Key_Space); // running works
    EXPECT_TRUE(session->run().state().onScreen.has_value());

    // Pressed again and again is not held, but a system that repeats a held key in this way is understood.
    for (int i = 0; i < 12; ++i) {
        hold(20);
        pass(230);
    }
    EXPECT_TRUE(session->runOnly().isLocked());
    hold(600); // by chance
    EXPECT_TRUE(session->runOnly().isLocked());
    QTest::keyPress(window.get(), Qt::Key_F11);
    Clock::the().jump(2300);
    EXPECT_TRUE(waitUntil([this] { return !session->runOnly().isLocked(); }));
    QTest::keyRelease(window.get(), Qt::Key_F11);
    EXPECT_FALSE(window->isFullScreen());
    press(Qt::Key_2, Qt::AltModifier);
    EXPECT_EQ(window->currentDesk(), MainWindow::PrepareAt);
    EXPECT_TRUE(action(u"quit"_s)->isEnabled());
    press(Qt::Key_F11, Qt::ShiftModifier);
    EXPECT_TRUE(session->runOnly().isLocked());
}

TEST_F(RunOnlyMode, IsLockedAtTheNextStartAndGoesAwayInSetup) {
    setRunOnly();
    session->player().quit();
    window.reset();
    session.reset();
    open();
    EXPECT_TRUE(session->runOnly().isLocked());
    EXPECT_EQ(window->currentDesk(), MainWindow::RunAt);
    QWidget* button = child<QWidget>(u"unlock"_s);
    QTest::mousePress(button, Qt::LeftButton);
    Clock::the().jump(2300);
    EXPECT_TRUE(waitUntil([this] { return !session->runOnly().isLocked(); }));
    QTest::mouseRelease(button, Qt::LeftButton);
    setRunOnly(); // and off again
    EXPECT_FALSE(session->runOnly().isSet());
    EXPECT_FALSE(child<QWidget>(u"lock"_s)->isVisible());
    EXPECT_FALSE(QSettings().value(u"run/only"_s).toBool());
}

} // namespace
} // namespace mivanta
