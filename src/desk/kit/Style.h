// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QColor>
#include <QFont>
#include <QIcon>

class QWidget;
class QApplication;

namespace mivanta {

/// Colours by what they are for. Day: paper; night: the Run desk.
struct Palette {
    QColor ground; ///< behind everything
    QColor sheet;  ///< paper, panels
    QColor side;   ///< side columns, strips
    QColor line;
    QColor text;
    QColor quiet;  ///< secondary text; at least 4.5:1 on ground, sheet and side
    QColor accent; ///< structure by day, "next" by night
    QColor marker; ///< the adding mark by day, the lamp by night
    QColor warning;
    QColor chosen; ///< behind the chosen row
};

[[nodiscard]] const Palette& day();
[[nodiscard]] const Palette& night();

/// Fonts, colours and the look of standard controls for the whole application.
void applyStyle(QApplication& app);
/// The controls inside this widget use the night colours.
void applyNight(QWidget* widget);

/// The application's font, in proportion to the desktop's size.
enum class TextWeight { Regular, Bold };
[[nodiscard]] QFont textFont(double factor = 1.0, TextWeight weight = TextWeight::Regular);
[[nodiscard]] QFont monoFont(double factor = 1.0, TextWeight weight = TextWeight::Regular);
/// Lengths that grow with the text: `units` of a quarter of the text's height.
[[nodiscard]] int spaced(double units);

/// One of the shipped icons, drawn in a colour.
[[nodiscard]] QIcon icon(const QString& name, const QColor& colour);

} // namespace mivanta
