// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunOnly.h"
#include <QSettings>

namespace mivanta {

namespace {
const QString kRunOnlyKey = QStringLiteral("run/only");
}

RunOnly::RunOnly(QObject* parent) : QObject(parent) {
    m_isSet = QSettings().value(kRunOnlyKey, false).toBool();
    m_isLocked = m_isSet;
}

void RunOnly::take(bool isSet, bool isLocked) {
    if (isSet == m_isSet && isLocked == m_isLocked)
        return;
    m_isSet = isSet;
    m_isLocked = isLocked;
    Q_EMIT changed();
}

void RunOnly::set(bool on) {
    QSettings().setValue(kRunOnlyKey, on);
    take(on, on && m_isLocked);
}

void RunOnly::lock() {
    take(m_isSet, m_isSet);
}

void RunOnly::unlock() {
    take(m_isSet, false);
}

} // namespace mivanta
