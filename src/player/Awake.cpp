// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Awake.h"
#include "core/base/Said.h"
#include <QDBusInterface>
#include <QDBusReply>
#include <QDBusUnixFileDescriptor>
#include <optional>

namespace mivanta {

namespace {
const QString kName = QStringLiteral("Mivanta");
const QString kSaver = QStringLiteral("org.freedesktop.ScreenSaver");
const QString kLogin = QStringLiteral("org.freedesktop.login1");
constexpr int kDesktopPatienceMs = 3000;

QString reason() {
    return Said::tr("A service is on the screens");
}
} // namespace

/// Holds what was asked for until it is given back.
class Awake::Keeper : public QObject {
public:
    void begin() {
        QDBusConnection session = QDBusConnection::sessionBus();
        if (session.isConnected()) {
            QDBusInterface saver(kSaver, QStringLiteral("/org/freedesktop/ScreenSaver"), kSaver, session);
            saver.setTimeout(kDesktopPatienceMs);
            const QDBusReply<uint> cookie = saver.call(QStringLiteral("Inhibit"), kName, reason());
            if (cookie.isValid())
                m_cookie = cookie.value();
        }
        QDBusConnection system = QDBusConnection::systemBus();
        if (system.isConnected()) {
            QDBusInterface login(kLogin, QStringLiteral("/org/freedesktop/login1"),
                                 kLogin + QStringLiteral(".Manager"), system);
            login.setTimeout(kDesktopPatienceMs);
            const QDBusReply<QDBusUnixFileDescriptor> lock =
                login.call(QStringLiteral("Inhibit"), QStringLiteral("idle:sleep"), kName, reason(),
                           QStringLiteral("block"));
            if (lock.isValid())
                m_lock = lock.value();
        }
    }

    void end() {
        m_lock = QDBusUnixFileDescriptor(); // closing it gives it back
        if (!m_cookie)
            return;
        QDBusInterface saver(kSaver, QStringLiteral("/org/freedesktop/ScreenSaver"), kSaver,
                             QDBusConnection::sessionBus());
        saver.setTimeout(kDesktopPatienceMs);
        saver.call(QStringLiteral("UnInhibit"), *m_cookie);
        m_cookie.reset();
    }

private:
    std::optional<uint> m_cookie;
    QDBusUnixFileDescriptor m_lock;
};

Awake::Awake(QObject* parent) : QObject(parent), m_keeper(new Keeper) {
    m_thread.setObjectName(QStringLiteral("awake"));
    m_keeper->moveToThread(&m_thread);
    connect(&m_thread, &QThread::finished, m_keeper, &QObject::deleteLater);
    m_thread.start();
}

Awake::~Awake() {
    setOn(false);
    m_thread.quit();
    m_thread.wait();
}

void Awake::setOn(bool on) {
    if (on == m_on)
        return;
    m_on = on;
    QMetaObject::invokeMethod(
        m_keeper, [keeper = m_keeper, on] { on ? keeper->begin() : keeper->end(); }, Qt::QueuedConnection);
}

} // namespace mivanta

#include "moc_Awake.cpp"
