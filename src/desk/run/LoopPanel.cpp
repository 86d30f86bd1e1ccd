// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/LoopPanel.h"
#include "desk/kit/ElidedLabel.h"
#include "desk/kit/Style.h"
#include "desk/run/KeyButton.h"
#include "desk/run/LoopText.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>

namespace mivanta {

LoopPanel::LoopPanel(Session& session, const RunKeys& keys, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_keys(keys) {
    setObjectName(QStringLiteral("loop-panel"));
    m_now = new ElidedLabel(this);
    m_now->setObjectName(QStringLiteral("loop-now"));
    m_now->setFont(textFont(1.15, TextWeight::Bold));
    m_next = new QLabel(this);
    m_next->setObjectName(QStringLiteral("loop-next"));
    m_next->setTextFormat(Qt::PlainText);
    m_end = new QLabel(this);
    m_end->setObjectName(QStringLiteral("loop-end"));
    m_end->setFont(monoFont(1.6, TextWeight::Bold));
    m_end->setStyleSheet(QStringLiteral("color: %1").arg(night().marker.name()));
    auto* row = new QHBoxLayout;
    row->setSpacing(spaced(1));
    m_pause = addButton(row, RunAction::PauseFilm, "loop-pause", tr("Pause"));
    addButton(row, RunAction::FilmBack, "loop-before", tr("The one before"));
    addButton(row, RunAction::FilmOn, "loop-on", tr("The next one"));
    m_more = addButton(row, RunAction::FilmAgain, "loop-more", tr("One more round"));
    m_endHere = addButton(row, RunAction::EndLoop, "loop-end-here", tr("End behind this round"));
    row->addStretch(1);
    auto* head = new QHBoxLayout;
    head->addWidget(m_now, 1);
    head->addWidget(m_end);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(4), spaced(2), spaced(4), spaced(2));
    column->setSpacing(spaced(1));
    column->addLayout(head);
    column->addWidget(m_next);
    column->addLayout(row);
    connect(&m_session.loop(), &RunLoop::changed, this, &LoopPanel::refresh);
    refresh();
}

KeyButton* LoopPanel::addButton(QHBoxLayout* row, RunAction action, const char* name, const QString& words) {
    auto* button = new KeyButton(m_keys, action, name, words, this);
    connect(button, &QPushButton::clicked, this,
            [this, action] { m_session.orders().obey(*RunKeys::orderOf(action, RunKeys::Moving::Loop)); });
    row->addWidget(button);
    return button;
}

void LoopPanel::refresh() {
    const auto& stand = m_session.loop().stand();
    setVisible(stand.has_value());
    if (!stand)
        return;
    m_now->setText(loopNowText(m_session));
    m_next->setText(loopNextText(m_session));
    const QDateTime ends = m_session.loop().ends();
    m_end->setText(stand->isPaused  ? tr("paused")
                   : stand->isOver  ? tr("over")
                   : ends.isValid() ? QStringLiteral("\u2212") + loopLeftText(m_session)
                                    : QString());
    m_end->setToolTip(ends.isValid()
                          ? tr("Until its end, at %1").arg(ends.toString(QStringLiteral("HH:mm:ss")))
                          : QString());
    m_pause->setWords(stand->isPaused ? tr("Go on") : tr("Pause"));
    m_pause->setEnabled(!stand->isOver);
    m_more->setEnabled(!stand->plan.timeline.isEndless || m_session.loop().endsBehindRound());
    m_endHere->setEnabled(!stand->isOver && !m_session.loop().endsBehindRound());
}

} // namespace mivanta

#include "moc_LoopPanel.cpp"
