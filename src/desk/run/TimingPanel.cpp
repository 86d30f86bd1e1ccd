// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/TimingPanel.h"
#include "core/timing/Moment.h"
#include "desk/kit/Style.h"
#include "session/service/PlannedLengths.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kTimingTickMs = 500;
constexpr int kLate = 120;  // seconds behind that are worth a colour
constexpr int kOnTime = 15; // nobody is that exact

} // namespace

TimingPanel::TimingPanel(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("run-timing"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(3));
    m_behind = addFigure("timing-behind");
    m_item = addFigure("timing-item");
    m_end = addFigure("timing-end");
    m_tick.setInterval(kTimingTickMs);
    connect(&m_tick, &QTimer::timeout, this, &TimingPanel::refresh);
    connect(&m_session.run(), &RunController::changed, this, &TimingPanel::refresh);
}

TimingPanel::Figure TimingPanel::addFigure(const char* name) {
    auto* value = new QLabel(this);
    value->setObjectName(QLatin1String(name));
    value->setFont(monoFont(1.45, TextWeight::Bold));
    auto* meaning = new QLabel(this);
    meaning->setFont(textFont(0.9));
    meaning->setWordWrap(true);
    meaning->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
    auto* column = new QVBoxLayout;
    column->setSpacing(0);
    column->addWidget(value);
    column->addWidget(meaning);
    static_cast<QHBoxLayout*>(layout())->addLayout(column, 1);
    return {value, meaning};
}

void TimingPanel::refresh() {
    if (!isVisible())
        return;
    const RunMoment moment = m_session.run().moment();
    const RunTiming timing =
        timingOf(m_session.document().service(), moment, plannedLengths(m_session.document()));
    const bool isRunning = moment.since.isValid() && m_session.run().state().onScreen;
    if (!isRunning) {
        m_behind.value->setText(QStringLiteral("\u2013"));
        m_behind.meaning->setText(tr("not begun"));
    } else if (!timing.behind) {
        m_behind.value->setText(momentText(timing.elapsed));
        m_behind.meaning->setText(tr("since the first take"));
    } else {
        const int seconds = *timing.behind;
        const bool isOnTime = std::abs(seconds) < kOnTime;
        m_behind.value->setText(isOnTime ? tr("on time")
                                         : (seconds > 0 ? QStringLiteral("+") : QStringLiteral("\u2212")) +
                                               momentText(std::abs(seconds)));
        m_behind.meaning->setText(isOnTime      ? tr("by the plan")
                                  : seconds > 0 ? tr("behind the plan")
                                                : tr("ahead of the plan"));
    }
    const bool isLate = isRunning && timing.behind.value_or(0) > kLate;
    m_behind.value->setStyleSheet(
        QStringLiteral("color: %1").arg((isLate ? night().marker : night().text).name()));
    m_item.value->setText(isRunning ? momentText(timing.inItem) : QStringLiteral("\u2013"));
    m_item.meaning->setText(timing.usually && isRunning
                                ? tr("in this item, usually %1").arg(momentText(*timing.usually))
                                : tr("in this item"));
    m_end.value->setText(timing.likelyEnd.isValid() && isRunning
                             ? timing.likelyEnd.toString(QStringLiteral("HH:mm"))
                             : QStringLiteral("\u2013"));
    m_end.meaning->setText(tr("likely end"));
}

void TimingPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    m_tick.start();
    refresh();
}

void TimingPanel::hideEvent(QHideEvent* event) {
    QWidget::hideEvent(event);
    m_tick.stop();
}

} // namespace mivanta

#include "moc_TimingPanel.cpp"
