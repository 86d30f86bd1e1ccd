// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Colour.h"
#include <QWidget>

class QLineEdit;
class QToolButton;

namespace mivanta {

/// A colour: a swatch that opens the palette, and its "#rrggbb" or "#rrggbbaa" to be typed.
class ColourEdit : public QWidget {
    Q_OBJECT
public:
    explicit ColourEdit(const QString& name, QWidget* parent = nullptr);
    void setColour(const Colour& colour);
    [[nodiscard]] const Colour& colour() const { return m_colour; }

Q_SIGNALS:
    void edited(const mivanta::Colour& colour);

private:
    void choose();
    void take(const Colour& colour);

    Colour m_colour;
    QToolButton* m_swatch;
    QLineEdit* m_text;
};

} // namespace mivanta
