// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/LoopLane.h"
#include "core/timing/Moment.h"
#include "desk/kit/Style.h"
#include "desk/run/LoopText.h"
#include "session/service/LoopPlans.h"
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <cmath>

namespace mivanta {

namespace {
constexpr int kPlaceTickMs = 500;
}

LoopLane::LoopLane(Session& session, const ItemId& loop, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_loop(loop) {
    setObjectName(QStringLiteral("loop-lane"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setFocusPolicy(Qt::NoFocus);
    setToolTip(tr("Click: make this loop next. Double click: put it on screen."));
    m_arm = new QPushButton(this);
    m_arm->setObjectName(QStringLiteral("loop-lane-arm"));
    m_arm->setFocusPolicy(Qt::NoFocus);
    connect(m_arm, &QPushButton::clicked, this, [this] {
        const order::ArmLoop order{m_loop, !m_session.arming().isArmed(m_loop)};
        if (const auto done = m_session.orders().obey(order); !done)
            Q_EMIT m_session.problem(done.error());
    });
    m_ticks.setInterval(kPlaceTickMs);
    connect(&m_ticks, &QTimer::timeout, this, qOverload<>(&QWidget::update));
    connect(&m_session.loop(), &RunLoop::changed, this, &LoopLane::refresh);
    connect(&m_session.arming(), &LoopArming::changed, this, &LoopLane::refresh);
    refresh();
}

QSize LoopLane::sizeHint() const {
    return {spaced(100), spaced(13)};
}

void LoopLane::resizeEvent(QResizeEvent*) {
    const QSize size = m_arm->sizeHint();
    m_arm->setGeometry(width() - size.width() - spaced(2), spaced(1), size.width(), size.height());
}

void LoopLane::refresh() {
    const Item* item = m_session.document().service().item(m_loop);
    if (!item || !item->loop())
        return;
    const bool isOnScreen = m_session.loop().stand() && m_session.loop().stand()->loop == m_loop;
    const bool isArmed = m_session.arming().isArmed(m_loop);
    m_arm->setVisible(item->loop()->beginsByItself && item->plan.at && !isOnScreen);
    m_arm->setText(
        isArmed ? tr("Disarm")
                : tr("Arm for %1")
                      .arg(item->plan.at ? item->plan.at->toString(QStringLiteral("HH:mm")) : QString()));
    m_arm->setToolTip(tr("Arming is the take: it begins by itself at its time."));
    if (isArmed && !isOnScreen) // a loop on screen tells every second
        m_ticks.start();
    else
        m_ticks.stop();
    setAccessibleName(tr("Loop: %1. %2").arg(item->title(), facts()));
    resizeEvent(nullptr);
    update();
}

QString LoopLane::facts() const {
    const Service& service = m_session.document().service();
    const Item* item = service.item(m_loop);
    if (!item || !item->loop())
        return {};
    if (m_session.loop().stand() && m_session.loop().stand()->loop == m_loop)
        return loopNextText(m_session);
    for (const LoopArming::Armed& armed : m_session.arming().all())
        if (armed.loop == m_loop)
            return tr("begins by itself at %1, in %2")
                .arg(armed.at.toString(QStringLiteral("HH:mm")),
                     momentText(std::ceil(double(std::max<qint64>(0, Clock::the().now().msecsTo(armed.at))) /
                                          1000)));
    QStringList facts;
    if (item->plan.at)
        facts << tr("at %1").arg(item->plan.at->toString(QStringLiteral("HH:mm")));
    if (item->loop()->until == LoopUntil::Time)
        facts << tr("until %1").arg(item->loop()->untilTime.toString(QStringLiteral("HH:mm")));
    if (const Item* follows = followsLoop(*item, service))
        facts << tr("then %1 by itself").arg(follows->title());
    return facts.join(QStringLiteral(" \u00b7 "));
}

void LoopLane::look() {
    if (const auto cue = m_session.book().entryOf(m_loop))
        m_session.orders().obey(order::LookAt{*cue});
}

void LoopLane::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    look();
    if (m_session.run().settings().clickTakes)
        m_session.orders().obey(order::Take{});
}

void LoopLane::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && !m_session.run().settings().clickTakes) {
        look();
        m_session.orders().obey(order::Take{});
    }
}

void LoopLane::paintEvent(QPaintEvent*) {
    const Item* item = m_session.document().service().item(m_loop);
    if (!item)
        return;
    QPainter painter(this);
    const int left = spaced(2.5);
    const int right = (m_arm->isVisible() ? m_arm->x() : width()) - spaced(2);
    const QRect head(left, spaced(1), right - left, spaced(5.5));
    painter.setFont(textFont(1.05, TextWeight::Bold));
    painter.setPen(night().text);
    const QString title = painter.fontMetrics().elidedText(item->title(), Qt::ElideRight, head.width() / 2);
    painter.drawText(head, Qt::AlignLeft | Qt::AlignVCenter, title);
    const int used = painter.fontMetrics().horizontalAdvance(title) + spaced(3);
    painter.setFont(textFont(0.95));
    painter.setPen(m_session.arming().isArmed(m_loop) ? night().marker : night().quiet);
    painter.drawText(head.adjusted(used, 0, 0, 0), Qt::AlignRight | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(facts(), Qt::ElideRight, head.width() - used));
    paintPlace(painter, QRect(left, spaced(7.5), width() - left - spaced(2), spaced(3)));
}

/// The line of time from the begin of what was planned last; before it begins, all of it.
void LoopLane::paintPlace(QPainter& painter, const QRect& area) const {
    const auto& stand = m_session.loop().stand();
    const bool isOnScreen = stand && stand->loop == m_loop;
    painter.fillRect(area, night().side);
    if (!isOnScreen)
        return;
    const LoopTimeline& timeline = stand->plan.timeline;
    // Of an endless one, a round.
    const qint64 all = timeline.isEndless ? std::max<qint64>(1, stand->plan.roundLength()) : timeline.ends();
    const LoopShowing& shown = stand->shown();
    const qint64 now = shown.ends - m_session.loop().left().value_or(0);
    const qint64 from = timeline.isEndless ? now / all * all : 0;
    const auto xOf = [&](qint64 ms) {
        return area.left() + int(double(std::clamp<qint64>(ms - from, 0, all)) / double(all) * area.width());
    };
    int drawnTo = area.left();
    for (const LoopShowing& showing : timeline.showings) {
        if (showing.begins > from + all)
            break;
        const int to = xOf(showing.ends);
        if (showing.ends <= from || (to <= drawnTo && &showing != &shown)) // in the same px as the one before
            continue;
        drawnTo = to;
        const bool isFilm = stand->plan.members[size_t(showing.member)].isFilm;
        QColor colour = isFilm ? night().marker : night().accent;
        if (showing.ends <= now)
            colour = colour.darker(300);
        else if (&showing != &shown)
            colour = colour.darker(170);
        painter.fillRect(QRect(xOf(showing.begins), area.top(),
                               std::max(1, xOf(showing.ends) - xOf(showing.begins) - 1), area.height()),
                         colour);
    }
    painter.fillRect(QRect(xOf(now), area.top() - spaced(0.75), 2, area.height() + spaced(1.5)),
                     night().text);
}

} // namespace mivanta

#include "moc_LoopLane.cpp"
