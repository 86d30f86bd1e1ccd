// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/KeyButton.h"
#include <QCoreApplication>

namespace mivanta {

KeyButton::KeyButton(const RunKeys& keys, RunAction action, const char* name, const QString& words,
                     QWidget* parent)
    : QPushButton(parent),
      m_keys(keys),
      m_action(action),
      m_words(words) {
    setObjectName(QLatin1String(name));
    setFocusPolicy(Qt::NoFocus);
    connect(&m_keys, &RunKeys::changed, this, &KeyButton::refresh);
    refresh();
}

void KeyButton::setWords(const QString& words) {
    if (std::exchange(m_words, words) != words)
        refresh();
}

void KeyButton::refresh() {
    const QString keys = m_keys.textOf(m_action);
    const bool isSign = m_words.size() == 1;
    setText(keys.isEmpty() || isSign ? m_words : tr("%1  (%2)", "a button, and its key").arg(m_words, keys));
    setAccessibleName(isSign ? QCoreApplication::translate("RunKeys", factsOf(m_action).name) : m_words);
    setToolTip(keys.isEmpty() ? QString() : tr("Key: %1").arg(keys));
}

} // namespace mivanta

#include "moc_KeyButton.cpp"
