// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QLabel>
#include <QPalette>
#include <QScrollArea>
#include <QScrollBar>
#include <QVBoxLayout>

namespace mivanta {

void makeHeading(QLabel* label) {
    label->setFont(textFont(1.0, TextWeight::Bold));
    label->setStyleSheet(QStringLiteral("color: %1").arg(day().accent.name()));
}

QLabel* headingOf(const QString& text, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    makeHeading(label);
    return label;
}

void makeQuiet(QLabel* label) {
    label->setStyleSheet(QStringLiteral("color: %1").arg(day().quiet.name()));
}

void makeSide(QWidget* widget) {
    widget->setAutoFillBackground(true);
    QPalette colours = widget->palette();
    colours.setColor(QPalette::Window, day().side);
    widget->setPalette(colours);
}

QVBoxLayout* sideRows(QWidget* side, double units) {
    makeSide(side);
    auto* rows = new QVBoxLayout(side);
    rows->setContentsMargins(spaced(3), spaced(4), spaced(3), spaced(3));
    rows->setSpacing(spaced(2));
    rows->addStrut(spaced(units) - 2 * spaced(3)); // a minimum of the widget would hide that of its rows
    return rows;
}

void makeColumn(QScrollArea* area) {
    area->setWidgetResizable(true);
    area->setFrameShape(QFrame::NoFrame);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    area->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOn);
    QScrollBar* bar = area->verticalScrollBar();
    bar->setEnabled(false); // not seen until there is something to scroll
    QObject::connect(bar, &QScrollBar::rangeChanged, bar,
                     [bar](int least, int most) { bar->setEnabled(most > least); });
}

QScrollArea* columnOf(QWidget* content, QWidget* parent) {
    auto* area = new QScrollArea(parent);
    makeColumn(area);
    area->setMinimumWidth(spaced(64));
    area->setWidget(content);
    return area;
}

} // namespace mivanta
