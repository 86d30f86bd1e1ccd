// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/ColourEdit.h"
#include "desk/kit/Style.h"
#include <QColorDialog>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QPainter>
#include <QPixmap>
#include <QToolButton>

namespace mivanta {

namespace {

/// The colour on a chequered ground, so that what is see-through is seen to be.
QIcon swatchOf(const Colour& colour, int size) {
    QPixmap picture(size, size);
    picture.fill(Qt::white);
    QPainter painter(&picture);
    const int half = size / 2;
    painter.fillRect(0, 0, half, half, QColor(190, 190, 190));
    painter.fillRect(half, half, half, half, QColor(190, 190, 190));
    painter.fillRect(picture.rect(), QColor(colour.red, colour.green, colour.blue, colour.alpha));
    painter.setPen(QColor(0, 0, 0, 90));
    painter.drawRect(picture.rect().adjusted(0, 0, -1, -1));
    return QIcon(picture);
}

} // namespace

ColourEdit::ColourEdit(const QString& name, QWidget* parent) : QWidget(parent) {
    m_swatch = new QToolButton(this);
    m_swatch->setAccessibleName(tr("Choose: %1").arg(name));
    m_swatch->setToolTip(tr("Choose a colour"));
    m_text = new QLineEdit(this);
    m_text->setAccessibleName(name);
    m_text->setToolTip(tr("The colour as #rrggbb; two more digits are its opacity"));
    m_text->setMaximumWidth(spaced(26));
    setFocusProxy(m_text);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(1));
    row->addWidget(m_swatch);
    row->addWidget(m_text);
    row->addStretch(1);
    connect(m_swatch, &QToolButton::clicked, this, &ColourEdit::choose);
    connect(m_text, &QLineEdit::editingFinished, this, [this] {
        const auto colour = Colour::fromText(m_text->text().trimmed());
        if (colour && !(*colour == m_colour))
            take(*colour);
        else
            setColour(m_colour); // what was typed is no colour
    });
    setColour({});
}

void ColourEdit::setColour(const Colour& colour) {
    m_colour = colour;
    m_swatch->setIcon(swatchOf(colour, spaced(4)));
    if (m_text->text() != colour.text())
        m_text->setText(colour.text());
}

void ColourEdit::take(const Colour& colour) {
    setColour(colour);
    Q_EMIT edited(colour);
}

void ColourEdit::choose() {
    auto* dialog =
        new QColorDialog(QColor(m_colour.red, m_colour.green, m_colour.blue, m_colour.alpha), this);
    dialog->setOptions(QColorDialog::ShowAlphaChannel | QColorDialog::DontUseNativeDialog);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QColorDialog::colorSelected, this, [this](const QColor& c) {
        take({quint8(c.red()), quint8(c.green()), quint8(c.blue()), quint8(c.alpha())});
    });
    dialog->open();
}

} // namespace mivanta

#include "moc_ColourEdit.cpp"
