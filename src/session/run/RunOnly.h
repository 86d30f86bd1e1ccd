// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>

namespace mivanta {

/// The mode for a computer in a booth that just runs services: locked at every start, when only the Run desk
/// is there, full screen, and neither editing nor quitting is. Unlocking takes a gesture that nobody makes by
/// chance. Kept in the settings. GUI thread.
class RunOnly : public QObject {
    Q_OBJECT
public:
    explicit RunOnly(QObject* parent = nullptr);

    [[nodiscard]] bool isSet() const { return m_state.isSet; }
    [[nodiscard]] bool isLocked() const { return m_state.isLocked; }
    /// Taking it away unlocks; setting it does not lock yet.
    void set(bool on);
    void lock();
    void unlock();

Q_SIGNALS:
    void changed();

private:
    struct State {
        bool isSet = false;
        bool isLocked = false;
        friend bool operator==(const State&, const State&) = default;
    };
    void become(const State& next);

    State m_state;
};

} // namespace mivanta
