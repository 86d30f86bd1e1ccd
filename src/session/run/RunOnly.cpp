// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunOnly.h"
#include <QSettings>

namespace mivanta {

namespace {
const QString kRunOnlyKey = QStringLiteral("run/only");
}

RunOnly::RunOnly(QObject* parent) : QObject(parent) {
    const bool isSet = QSettings().value(kRunOnlyKey, false).toBool();
    m_state = {.isSet = isSet, .isLocked = isSet};
}

void RunOnly::become(const State& next) {
    if (next == m_state)
        return;
    m_state = next;
    Q_EMIT changed();
}

void RunOnly::set(bool on) {
    QSettings().setValue(kRunOnlyKey, on);
    become({.isSet = on, .isLocked = on && m_state.isLocked});
}

void RunOnly::lock() {
    become({.isSet = m_state.isSet, .isLocked = m_state.isSet});
}

void RunOnly::unlock() {
    become({.isSet = m_state.isSet, .isLocked = false});
}

} // namespace mivanta

#include "moc_RunOnly.cpp"
