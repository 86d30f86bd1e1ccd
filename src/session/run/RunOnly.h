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

    [[nodiscard]] bool isSet() const { return m_isSet; }
    [[nodiscard]] bool isLocked() const { return m_isLocked; }
    /// Taking it away unlocks; setting it does not lock yet.
    void set(bool on);
    void lock();
    void unlock();

Q_SIGNALS:
    void changed();

private:
    void take(bool isSet, bool isLocked);
    bool m_isSet = false;
    bool m_isLocked = false;
};

} // namespace mivanta
