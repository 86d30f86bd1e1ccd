// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/find/PastedLines.h"
#include "desk/kit/Style.h"
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

PastedLines::PastedLines(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("pasted-lines"));
    m_label = new QLabel(this);
    m_label->setWordWrap(true);
    m_song = new QPushButton(tr("New song from these words"), this);
    m_song->setObjectName(QStringLiteral("pasted-new-song"));
    m_song->setToolTip(tr("Opens a new song in the library; nothing is saved before you say so"));
    m_order = new QPushButton(tr("Add these lines to the order"), this);
    m_order->setObjectName(QStringLiteral("pasted-order"));
    m_order->setToolTip(
        tr("Each line is matched with songs, passages and texts; you see it before it is added"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1));
    for (QWidget* each :
         {static_cast<QWidget*>(m_label), static_cast<QWidget*>(m_song), static_cast<QWidget*>(m_order)})
        column->addWidget(each);
    connect(m_song, &QPushButton::clicked, this, [this] {
        hide();
        Q_EMIT newSongWanted(m_text);
    });
    connect(m_order, &QPushButton::clicked, this, [this] {
        hide();
        Q_EMIT orderWanted(m_text);
    });
    hide();
}

void PastedLines::setOffers(unsigned offers) {
    m_song->setVisible(offers & NewSong);
    m_order->setVisible(offers & NewItems);
}

void PastedLines::offer(const QString& text) {
    m_text = text;
    const auto lines = text.trimmed().count(u'\n') + 1;
    m_label->setText(tr("%n lines were pasted. Find looks for the first one.", nullptr, int(lines)));
    setVisible(!m_song->isHidden() || !m_order->isHidden());
}

} // namespace mivanta

#include "moc_PastedLines.cpp"
