// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

class QLabel;
class QScrollArea;
class QVBoxLayout;
class QWidget;

namespace mivanta {

/// The name of a group of controls, by day.
void makeHeading(QLabel* label);
[[nodiscard]] QLabel* headingOf(const QString& text, QWidget* parent);
/// Secondary text, by day.
void makeQuiet(QLabel* label);
/// A side column's ground, by day.
void makeSide(QWidget* widget);
/// The rows of such a column of the Library. It is so many units of spaced() wide at least, and never
/// narrower than what stands in it, in any language.
[[nodiscard]] QVBoxLayout* sideRows(QWidget* side, double units);

/// A column of pictures that scrolls up and down only. The bar's room is kept even when there is nothing to
/// scroll: pictures are as high as their width asks, and would swing to and fro with it.
void makeColumn(QScrollArea* area);
/// Such a column at the side of a desk.
[[nodiscard]] QScrollArea* columnOf(QWidget* content, QWidget* parent);

} // namespace mivanta
