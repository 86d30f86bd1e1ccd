// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QToolButton>

namespace mivanta {

/// A button that stays down while something holds.
inline QToolButton* makeToggle(const QString& text, const QString& tip, bool on, QWidget* parent) {
    auto* button = new QToolButton(parent);
    button->setText(text);
    button->setCheckable(true);
    button->setChecked(on);
    button->setToolTip(tip);
    button->setAccessibleName(tip);
    return button;
}

/// A spin box that tells its value once it is typed in full.
template <typename Box, typename Value>
Box* makeNumber(Value value, Value least, Value most, const QString& suffix, const QString& tip,
                QWidget* parent) {
    auto* box = new Box(parent);
    box->setRange(least, most);
    box->setValue(value);
    box->setSuffix(suffix);
    box->setToolTip(tip);
    box->setAccessibleName(tip);
    box->setKeyboardTracking(false);
    return box;
}

} // namespace mivanta
