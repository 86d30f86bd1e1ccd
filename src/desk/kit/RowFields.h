// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Style.h"
#include <QLabel>
#include <QLineEdit>
#include <QString>
#include <QToolButton>

namespace mivanta {

/// What it is for is said in a tool tip, and to those who hear the screen.
template <typename Field>
Field* named(Field* field, const char* name, const QString& tip) {
    field->setObjectName(QLatin1String(name));
    field->setToolTip(tip);
    field->setAccessibleName(tip);
    return field;
}

inline QLineEdit* makeField(const char* name, const QString& tip, QWidget* parent) {
    return named(new QLineEdit(parent), name, tip);
}

/// Says what is wrong with what was typed; hidden while nothing is.
inline QLabel* makeComplaint(const char* name, QWidget* parent) {
    auto* label = new QLabel(parent);
    label->setObjectName(QLatin1String(name));
    label->setWordWrap(true);
    label->setStyleSheet(QStringLiteral("color: %1").arg(day().warning.name()));
    label->hide();
    return label;
}

/// A button with a picture alone; see icon().
inline QToolButton* makeIconButton(const char* name, const QString& picture, const QString& tip,
                                   QWidget* parent) {
    QToolButton* button = named(new QToolButton(parent), name, tip);
    button->setIcon(icon(picture, day().text));
    return button;
}

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
