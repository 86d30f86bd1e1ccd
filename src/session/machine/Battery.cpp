// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine/Battery.h"
#include <QDBusConnection>
#include <QDBusInterface>
#include <QDBusReply>
#include <QTimer>
#include <QVariantMap>

namespace mivanta {

namespace {

const QString kService = QStringLiteral("org.freedesktop.UPower");
const QString kDevice = QStringLiteral("/org/freedesktop/UPower/devices/DisplayDevice");
constexpr int kAnswerMs = 3000;
constexpr int kLookMs = 30'000;
// As UPower numbers them.
constexpr uint kDischarging = 2;
constexpr uint kLow = 3;
constexpr uint kCritical = 4; // and 5: the system is about to act

} // namespace

/// Asks every half minute: the battery has no news that could not wait so long.
class Battery::Watcher : public QObject {
public:
    explicit Watcher(Battery& battery) : m_battery(battery) {}
    void begin() {
        m_timer = new QTimer(this);
        connect(m_timer, &QTimer::timeout, this, [this] { look(); });
        m_timer->start(kLookMs);
        look();
    }

private:
    void look() {
        QDBusConnection system = QDBusConnection::systemBus();
        if (!system.isConnected())
            return;
        QDBusInterface device(kService, kDevice, QStringLiteral("org.freedesktop.DBus.Properties"), system);
        device.setTimeout(kAnswerMs);
        const QDBusReply<QVariantMap> all =
            device.call(QStringLiteral("GetAll"), kService + QStringLiteral(".Device"));
        if (!all.isValid() || !all.value().value(QStringLiteral("IsPresent")).toBool())
            return;
        const QVariantMap facts = all.value();
        const uint level = facts.value(QStringLiteral("WarningLevel")).toUInt();
        const BatteryState state{facts.value(QStringLiteral("State")).toUInt() == kDischarging,
                                 facts.value(QStringLiteral("Percentage")).toInt(),
                                 level >= kCritical ? BatteryState::Level::Critical
                                 : level == kLow    ? BatteryState::Level::Low
                                                    : BatteryState::Level::Fine};
        QMetaObject::invokeMethod(
            &m_battery,
            [&battery = m_battery, state] {
                if (state == battery.m_state)
                    return;
                battery.m_state = state;
                Q_EMIT battery.changed(state);
            },
            Qt::QueuedConnection);
    }

    Battery& m_battery; ///< outlives the thread
    QTimer* m_timer = nullptr;
};

Battery::Battery(QObject* parent) : QObject(parent), m_watcher(new Watcher(*this)) {
    m_thread.setObjectName(QStringLiteral("battery"));
    m_watcher->moveToThread(&m_thread);
    connect(&m_thread, &QThread::finished, m_watcher, &QObject::deleteLater);
    m_thread.start();
}

Battery::~Battery() {
    m_thread.quit();
    m_thread.wait();
}

void Battery::start() {
    QMetaObject::invokeMethod(
        m_watcher, [watcher = m_watcher] { watcher->begin(); }, Qt::QueuedConnection);
}

QString batteryWarning(const BatteryState& state) {
    if (!state.isDischarging || state.level == BatteryState::Level::Fine)
        return {};
    return state.level == BatteryState::Level::Critical
               ? Battery::tr("The battery is nearly empty (%1 %). Plug this computer in now: the screens go "
                             "dark with it. The service is kept, saved or not.")
                     .arg(state.percent)
               : Battery::tr("The battery is low (%1 %). Plug this computer in.").arg(state.percent);
}

} // namespace mivanta

#include "moc_Battery.cpp"
