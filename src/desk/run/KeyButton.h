// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunKeys.h"
#include <QPushButton>

namespace mivanta {

/// A button that does what a key does, and says which. It never takes the focus: keys stay the desk's.
class KeyButton : public QPushButton {
    Q_OBJECT
public:
    KeyButton(const RunKeys& keys, RunAction action, const char* name, const QString& words, QWidget* parent);
    /// A sign alone stands without its key.
    void setWords(const QString& words);

private:
    void refresh();

    const RunKeys& m_keys;
    RunAction m_action;
    QString m_words;
};

} // namespace mivanta
