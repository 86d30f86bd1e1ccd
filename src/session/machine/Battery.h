// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>
#include <QThread>
#include <optional>

namespace mivanta {

/// What the battery of this computer says, of all of them together.
struct BatteryState {
    enum class Level { Fine, Low, Critical };
    bool isDischarging = false;
    int percent = 100;
    Level level = Level::Fine;
    friend bool operator==(const BatteryState&, const BatteryState&) = default;
};

/// What has to be said of it; empty while there is enough.
[[nodiscard]] QString batteryWarning(const BatteryState& state);

/// Watches the battery over the system's D-Bus (org.freedesktop.UPower, its display device). Where there is
/// no such service, or no battery, it says nothing. Lives on the GUI thread; the bus is spoken to on a thread
/// of its own.
class Battery : public QObject {
    Q_OBJECT
public:
    explicit Battery(QObject* parent = nullptr);
    ~Battery() override;
    void start();
    [[nodiscard]] const BatteryState& state() const { return m_state; }

Q_SIGNALS:
    void changed(const mivanta::BatteryState& state);

private:
    class Watcher;
    BatteryState m_state;
    QThread m_thread;
    Watcher* m_watcher; ///< on m_thread
};

} // namespace mivanta
