// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/ClipRow.h"
#include "core/timing/Moment.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/media/ClipStrip.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <cmath>

namespace mivanta {

namespace {

QLabel* momentLabel(const char* name, Qt::Alignment alignment, QWidget* parent) {
    auto* label = new QLabel(parent);
    label->setObjectName(QLatin1String(name));
    label->setAlignment(alignment);
    makeQuiet(label);
    return label;
}

} // namespace

ClipRow::ClipRow(QWidget* parent) : QWidget(parent) {
    m_strip = new ClipStrip(this);
    m_from = momentLabel("clip-from", Qt::AlignLeft, this);
    m_place = momentLabel("clip-place", Qt::AlignHCenter, this);
    m_to = momentLabel("clip-to", Qt::AlignRight, this);
    auto* moments = new QHBoxLayout;
    for (QLabel* label : {m_from, m_place, m_to})
        moments->addWidget(label, 1);
    m_play = new QPushButton(this);
    m_play->setObjectName(QStringLiteral("play-preview"));
    m_play->setToolTip(tr("Play it here, without its sound (Space); nothing reaches a screen"));
    auto* rows = new QVBoxLayout(this);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->addWidget(m_strip);
    rows->addLayout(moments);
    rows->addWidget(m_play, 0, Qt::AlignLeft);
    setPlaying(false);
    connect(m_strip, &ClipStrip::sought, this, &ClipRow::sought);
    connect(m_strip, &ClipStrip::clipChanged, this, &ClipRow::clipChanged);
    connect(m_strip, &ClipStrip::playWanted, this, &ClipRow::playWanted);
    connect(m_play, &QPushButton::clicked, this, &ClipRow::playWanted);
}

void ClipRow::setClip(double length, double from, double to, bool canChoose) {
    m_strip->setClip(canChoose ? length : 0, from, to);
    m_from->setText(tr("from %1").arg(momentText(from)));
    m_to->setText(length > 0 ? tr("to %1").arg(momentText(to > 0 ? to : std::floor(length))) : QString());
}

void ClipRow::setPosition(double seconds) {
    m_strip->setPosition(seconds);
    m_place->setText(momentText(std::floor(seconds * 10) / 10));
}

double ClipRow::position() const {
    return m_strip->position();
}

void ClipRow::setMoments(std::vector<QImage> moments) {
    m_strip->setMoments(std::move(moments));
}

void ClipRow::setPlaying(bool isPlaying) {
    m_play->setText(isPlaying ? tr("Pause") : tr("Play"));
    m_play->setIcon(icon(isPlaying ? QStringLiteral("pause") : QStringLiteral("play"), day().text));
}

} // namespace mivanta

#include "moc_ClipRow.cpp"
