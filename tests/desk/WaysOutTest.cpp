// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "session/machine/Battery.h"
#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusVirtualObject>
#include <QProcess>
#include <QPushButton>

namespace mivanta {
namespace {

/// Every way in which something may leave the screens.
class WaysOut : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemo();
        press(Qt::Key_2, Qt::AltModifier);
        addByFind(u"every tide"_s, u"Every Tide"_s);
        press(Qt::Key_4, Qt::AltModifier);
    }
    void takeFirst() {
        press(Qt::Key_Space);
        ASSERT_TRUE(waitUntil([&] { return lamp().startsWith(u"Words on screen"_s); }));
    }
    [[nodiscard]] QString lamp() const { return window->findChild<Header*>(u"header"_s)->lampText(); }
    [[nodiscard]] bool hasOutput(const QString& name) const {
        const auto& all = session->outputs().all();
        return std::any_of(all.begin(), all.end(), [&](const Output& output) { return output.name == name; });
    }
};

TEST_F(WaysOut, TheLampFollowsThePlayerWhateverTheDesksBelieve) {
    takeFirst();
    // The player is told by somebody else what to show: the desks ordered nothing.
    Scene black = session->run().shownNow().front();
    black.curtain = Curtain::Black;
    black.origin.curtain = Curtain::Black;
    for (Scene scene : session->run().shownNow()) {
        scene.curtain = Curtain::Black;
        scene.origin.curtain = Curtain::Black;
        session->player().show({scene}, Arrival::Cut);
    }
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Black"_s); })) << lamp().toStdString();
}

TEST_F(WaysOut, AnOutputThatShowsSomethingIsRemovedAfterAQuestionAndCanBePutBack) {
    takeFirst();
    press(Qt::Key_5, Qt::AltModifier);
    ASSERT_TRUE(hasOutput(u"stream"_s));
    for (QWidget* row : window->findChildren<QWidget*>())
        if (row->accessibleName() == u"Show how Stream is set up"_s)
            QTest::mouseClick(row, Qt::LeftButton);
    session->outputs().remove(u"stream"_s);
    EXPECT_FALSE(hasOutput(u"stream"_s));
    EXPECT_TRUE(lamp().contains(u"2 outputs"_s)) << lamp().toStdString();
    auto* back = child<QPushButton>(u"notice-action"_s);
    ASSERT_TRUE(back->isVisible());
    QTest::mouseClick(back, Qt::LeftButton);
    EXPECT_TRUE(hasOutput(u"stream"_s));
    EXPECT_TRUE(waitUntil([&] { return session->onScreen().of(u"stream"_s).kind == ShownKind::Words; }));
}

TEST_F(WaysOut, RemovingAnOutputSaysWhatItTakesAway) {
    takeFirst();
    press(Qt::Key_5, Qt::AltModifier);
    QTest::mouseClick(child<QPushButton>(u"remove-output"_s), Qt::LeftButton);
    ASSERT_EQ(answers->questions.size(), 1);
    EXPECT_TRUE(answers->questions[0].contains(u"shows something now"_s))
        << answers->questions[0].toStdString();
    EXPECT_EQ(session->outputs().all().size(), 3u); // the usual answer is no
}

TEST_F(WaysOut, LoggingOutAsksAndKeepsTheService) {
    takeFirst();
    EXPECT_FALSE(window->prepareToLogOut(true)); // stays
    EXPECT_EQ(answers->asked, 1);
    answers->quit = true;
    session->document().setTitle(u"As it was when the desktop ended"_s);
    EXPECT_TRUE(window->prepareToLogOut(true));
    window->close(); // asks no more
    EXPECT_EQ(answers->asked, 2);
    waitUntil([&] { return !window->isVisible(); });
    window.reset();
    session.reset();
    open();
    EXPECT_EQ(session->document().service().title, u"As it was when the desktop ended"_s);
    EXPECT_TRUE(session->document().isModified());
}

TEST_F(WaysOut, ADesktopThatAsksNobodyStillLosesNothing) {
    takeFirst();
    session->document().setTitle(u"Kept"_s);
    EXPECT_TRUE(window->prepareToLogOut(false));
    EXPECT_EQ(answers->asked, 0);
    EXPECT_TRUE(QFile::exists(unsavedPath(u"service"_s)));
}

TEST_F(WaysOut, AnItemThatWasRemovedStaysOnScreenAndIsSaidToBeThere) {
    takeFirst();
    session->document().remove({session->document().service().items[0].id});
    settle();
    EXPECT_TRUE(lamp().startsWith(u"Words on screen"_s));
    EXPECT_TRUE(child<QLabel>(u"run-where"_s)->text().contains(u"taken out of the order"_s));
    press(Qt::Key_Q, Qt::ControlModifier);
    EXPECT_EQ(answers->asked, 1); // it is still on the screens
}

/// What a laptop's power service says.
class Power : public QDBusVirtualObject {
public:
    QVariantMap facts;
    [[nodiscard]] QString introspect(const QString&) const override { return {}; }
    bool handleMessage(const QDBusMessage& message, const QDBusConnection& connection) override {
        return connection.send(message.createReply(facts));
    }
};

TEST(BatteryTest, SaysWhenItIsLow) {
    QProcess bus;
    bus.start(u"dbus-daemon"_s, {u"--session"_s, u"--nofork"_s, u"--print-address"_s});
    ASSERT_TRUE(bus.waitForReadyRead()) << "dbus-daemon does not run";
    const QByteArray address = bus.readLine().trimmed();
    qputenv("DBUS_SYSTEM_BUS_ADDRESS", address);
    Power power;
    power.facts = {{u"IsPresent"_s, true}, {u"State"_s, 2u}, {u"Percentage"_s, 9.0}, {u"WarningLevel"_s, 3u}};
    auto system = QDBusConnection::connectToBus(QString::fromLatin1(address), u"power"_s);
    ASSERT_TRUE(system.registerService(u"org.freedesktop.UPower"_s));
    ASSERT_TRUE(system.registerVirtualObject(u"/org/freedesktop/UPower/devices/DisplayDevice"_s, &power));
    Battery battery;
    BatteryState said;
    QObject::connect(&battery, &Battery::changed, [&](const BatteryState& state) { said = state; });
    battery.start();
    EXPECT_TRUE(QTest::qWaitFor([&] { return said.level == BatteryState::Level::Low; }, 10'000));
    EXPECT_TRUE(said.isDischarging);
    EXPECT_EQ(said.percent, 9);
    QDBusConnection::disconnectFromBus(u"power"_s);
    bus.terminate();
    bus.waitForFinished();
}

} // namespace
} // namespace mivanta
