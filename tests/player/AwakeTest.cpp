// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Awake.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QCoreApplication>
#include <QDBusConnection>
#include <QProcess>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// What a desktop has to keep its screen saver away.
class Saver : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.ScreenSaver")
public Q_SLOTS:
    uint Inhibit(const QString& application, const QString& reason) {
        asked << application + u": "_s + reason;
        held << ++last;
        return last;
    }
    void UnInhibit(uint cookie) { held.removeOne(cookie); }

public:
    QStringList asked;
    QList<uint> held;
    uint last = 40;
};

TEST(Awake, KeepsTheScreenSaverAwayWhileItIsOn) {
    QProcess bus;
    bus.start(u"dbus-daemon"_s, {u"--session"_s, u"--nofork"_s, u"--print-address"_s});
    ASSERT_TRUE(bus.waitForReadyRead()) << "dbus-daemon does not run";
    const QByteArray address = bus.readLine().trimmed();
    qputenv("DBUS_SESSION_BUS_ADDRESS", address);
    qputenv("DBUS_SYSTEM_BUS_ADDRESS", address); // without a login manager: that one is left alone
    Saver saver;
    auto desktop = QDBusConnection::connectToBus(QString::fromLatin1(address), u"desktop"_s);
    ASSERT_TRUE(desktop.registerService(u"org.freedesktop.ScreenSaver"_s));
    ASSERT_TRUE(
        desktop.registerObject(u"/org/freedesktop/ScreenSaver"_s, &saver, QDBusConnection::ExportAllSlots));
    {
        Awake awake;
        awake.setOn(true);
        awake.setOn(true);
        EXPECT_TRUE(waitUntil([&] { return saver.held.size() == 1; }));
        EXPECT_EQ(saver.asked.size(), 1);
        EXPECT_TRUE(saver.asked.value(0).startsWith(u"Mivanta"_s));
        awake.setOn(false);
        EXPECT_TRUE(waitUntil([&] { return saver.held.isEmpty(); }));
        awake.setOn(true);
        EXPECT_TRUE(waitUntil([&] { return saver.held.size() == 1; }));
        awake.setOn(false);
        EXPECT_TRUE(waitUntil([&] { return saver.held.isEmpty(); }));
    }
    QDBusConnection::disconnectFromBus(u"desktop"_s);
    bus.terminate();
    bus.waitForFinished();
}

} // namespace
} // namespace mivanta

#include "AwakeTest.moc"
