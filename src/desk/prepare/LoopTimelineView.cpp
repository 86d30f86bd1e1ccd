// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LoopTimelineView.h"
#include "core/timing/Moment.h"
#include "desk/kit/Style.h"
#include <QHelpEvent>
#include <QKeyEvent>
#include <QPainter>
#include <QScrollBar>
#include <QToolTip>
#include <algorithm>
#include <cmath>
#include <limits>

namespace mivanta {

namespace {

constexpr double kEndRoom = 26; // units of spaced() for what follows
constexpr double kZoomStep = 0.1;
constexpr qint64 kLongestDrawn = 4 * 3600'000; // ms: what has no end is drawn so far
constexpr double kNarrow = 3;                  // px: narrower blocks have no gap

} // namespace

LoopTimelineView::LoopTimelineView(QWidget* parent) : QAbstractScrollArea(parent) {
    setObjectName(QStringLiteral("loop-timeline"));
    setAccessibleName(tr("The loop as it goes by"));
    setToolTip(
        tr("+ and - (Ctrl with the wheel): from the whole of it to one round. Click on a block for its "
           "member."));
    setFocusPolicy(Qt::StrongFocus);
    setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAsNeeded);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    viewport()->setAutoFillBackground(true);
    QPalette colours = viewport()->palette();
    colours.setColor(QPalette::Window, day().sheet);
    viewport()->setPalette(colours);
}

QSize LoopTimelineView::sizeHint() const {
    return {spaced(100), spaced(24)};
}

void LoopTimelineView::setPlan(const LoopPlan& plan, const Names& names) {
    m_plan = plan;
    m_names = names;
    follow();
}

void LoopTimelineView::setZoom(double zoom) {
    zoom = std::clamp(zoom, 0.0, 1.0);
    if (zoom == m_zoom)
        return;
    m_zoom = zoom;
    follow();
    Q_EMIT zoomChanged(zoom);
}

void LoopTimelineView::setPlayed(std::optional<qint64> ms) {
    m_played = ms;
    if (ms) {
        const int x = xOf(*ms) - lane().left();
        if (x < 0 || x > lane().width() * 3 / 4)
            horizontalScrollBar()->setValue(horizontalScrollBar()->value() + x - lane().width() / 4);
    }
    viewport()->update();
}

qint64 LoopTimelineView::length() const {
    const qint64 whole = std::max(m_plan.timeline.ends(), m_plan.rule.length.value_or(0));
    return std::clamp<qint64>(whole, 1, m_plan.timeline.isEndless ? kLongestDrawn : kLongestLoop);
}

QRect LoopTimelineView::lane() const {
    const int margin = spaced(2.5);
    const int room = m_names.follows.isEmpty() ? margin : spaced(kEndRoom);
    return {margin, spaced(7.5), std::max(10, viewport()->width() - margin - room), spaced(6.5)};
}

/// Between the whole and one round, by equal factors.
double LoopTimelineView::perMs() const {
    const double whole = double(lane().width()) / double(length());
    const double round =
        double(lane().width()) / double(std::clamp<qint64>(m_plan.roundLength(), 1, length()));
    return whole * std::pow(round / whole, m_zoom);
}

int LoopTimelineView::xOf(qint64 ms) const {
    return lane().left() + int(std::lround(double(ms) * perMs())) - horizontalScrollBar()->value();
}

void LoopTimelineView::follow() {
    const int wide = int(std::lround(double(length()) * perMs()));
    horizontalScrollBar()->setPageStep(lane().width());
    horizontalScrollBar()->setRange(0, std::max(0, wide - lane().width()));
    viewport()->update();
}

void LoopTimelineView::resizeEvent(QResizeEvent*) {
    follow();
}

/// A time of day where the begin is known, else how long after it.
QString LoopTimelineView::timeText(qint64 ms) const {
    return m_plan.begins.isValid() ? m_plan.begins.addMSecs(ms).toString(QStringLiteral("HH:mm:ss"))
                                   : momentText(std::round(double(ms) / 1000));
}

void LoopTimelineView::paintEvent(QPaintEvent*) {
    QPainter painter(viewport());
    painter.setFont(textFont(0.85));
    if (m_plan.timeline.showings.empty()) {
        painter.setPen(day().quiet);
        painter.drawText(viewport()->rect().adjusted(spaced(3), 0, -spaced(3), 0),
                         Qt::AlignCenter | Qt::TextWordWrap,
                         tr("Nothing goes round yet. Drop pictures, films or a folder of them here."));
        return;
    }
    painter.save();
    painter.setClipRect(QRect(lane().left(), 0, lane().width() + 1, viewport()->height()));
    paintBlocks(painter);
    paintTimes(painter);
    painter.restore();
    paintEnd(painter);
}

void LoopTimelineView::paintBlocks(QPainter& painter) const {
    const QRect area = lane();
    const double scale = perMs();
    int drawnTo = std::numeric_limits<int>::min();
    for (const LoopShowing& showing : m_plan.timeline.showings) {
        const int from = xOf(showing.begins);
        const int to = xOf(showing.ends);
        if (to < area.left() || to <= drawnTo) // out of sight, or in the same px as the one before
            continue;
        drawnTo = to;
        if (from > area.right())
            break;
        const bool isNarrow = double(showing.ends - showing.begins) * scale < kNarrow;
        const QRect block(from, area.top(), std::max(1, to - from - (isNarrow ? 0 : 1)), area.height());
        const bool isFilm = m_plan.members[size_t(showing.member)].isFilm;
        const QColor colour = isFilm ? day().marker : day().accent;
        const int step = m_plan.stills[size_t(showing.member)].still + showing.still + showing.round;
        painter.fillRect(block, step % 2 == 0 ? colour : colour.lighter(isFilm ? 108 : 130));
        const QString name = m_names.members.value(showing.member);
        if (block.width() > painter.fontMetrics().averageCharWidth() * 5) {
            painter.setPen(Qt::white);
            painter.drawText(
                block.adjusted(spaced(1), 0, -2, 0), Qt::AlignLeft | Qt::AlignVCenter,
                painter.fontMetrics().elidedText(name, Qt::ElideRight, block.width() - spaced(1) - 2));
        }
    }
    if (m_played) {
        painter.setPen(QPen(day().text, 2));
        painter.drawLine(xOf(*m_played), area.top() - spaced(1), xOf(*m_played), area.bottom() + spaced(1));
    }
}

/// At steps that leave room between them.
void LoopTimelineView::paintTimes(QPainter& painter) const {
    const int wide = painter.fontMetrics().horizontalAdvance(QStringLiteral("00:00:00")) + spaced(6);
    qint64 step = 1000;
    for (const qint64 each : {5, 10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600})
        if (double(step) * perMs() < wide)
            step = each * 1000;
    painter.setPen(day().quiet);
    const qint64 first = qint64(double(horizontalScrollBar()->value()) / perMs()) / step * step;
    for (qint64 ms = first; ms <= length() && xOf(ms) <= lane().right(); ms += step) {
        const int x = xOf(ms);
        painter.drawLine(x, lane().top() - spaced(1), x, lane().top() - 2);
        painter.drawText(QRect(x, spaced(1.5), wide, spaced(5)), Qt::AlignLeft | Qt::AlignVCenter,
                         timeText(ms));
    }
}

/// Where it has to have ended, and what comes then.
void LoopTimelineView::paintEnd(QPainter& painter) const {
    if (m_names.follows.isEmpty())
        return;
    const qint64 end =
        m_plan.rule.length ? std::max(*m_plan.rule.length, m_plan.timeline.ends()) : m_plan.timeline.ends();
    const int x = std::min(xOf(end), lane().right() + spaced(1));
    if (!m_plan.timeline.isEndless && xOf(end) <= lane().right() + spaced(1)) {
        painter.setPen(QPen(day().warning, 2, Qt::DashLine));
        painter.drawLine(x, spaced(2), x, lane().bottom() + spaced(3));
    }
    const QRect text(lane().right() + spaced(2), spaced(1.5),
                     viewport()->width() - lane().right() - spaced(3), viewport()->height() - spaced(2));
    painter.setPen(day().text);
    painter.drawText(QRect(text.topLeft(), QSize(text.width(), spaced(5))), Qt::AlignLeft | Qt::AlignVCenter,
                     m_plan.timeline.isEndless ? tr("with a take") : timeText(end));
    painter.setFont(textFont(0.85, TextWeight::Bold));
    painter.drawText(QRect(text.left(), lane().top(), text.width(), lane().height()),
                     Qt::AlignLeft | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(m_names.follows, Qt::ElideRight, text.width()));
}

int LoopTimelineView::showingAt(QPoint at) const {
    const QRect area = lane();
    if (at.x() < area.left() || at.x() > area.right())
        return -1;
    return m_plan.timeline.at(
        qint64(double(at.x() - area.left() + horizontalScrollBar()->value()) / perMs()));
}

void LoopTimelineView::mouseReleaseEvent(QMouseEvent* event) {
    if (const int at = showingAt(event->pos()); at >= 0)
        Q_EMIT clicked(m_plan.stillOf(m_plan.timeline.showings[size_t(at)]));
}

void LoopTimelineView::wheelEvent(QWheelEvent* event) {
    if (event->modifiers() & Qt::ControlModifier) {
        setZoom(m_zoom + (event->angleDelta().y() > 0 ? kZoomStep : -kZoomStep));
        event->accept();
    } else {
        event->ignore(); // the page scrolls
    }
}

void LoopTimelineView::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Plus || event->key() == Qt::Key_Minus)
        setZoom(m_zoom + (event->key() == Qt::Key_Plus ? kZoomStep : -kZoomStep));
    else if (event->key() == Qt::Key_Left || event->key() == Qt::Key_Right)
        horizontalScrollBar()->setValue(horizontalScrollBar()->value() +
                                        (event->key() == Qt::Key_Right ? 1 : -1) * lane().width() / 4);
    else
        QAbstractScrollArea::keyPressEvent(event);
}

bool LoopTimelineView::viewportEvent(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(event);
        const int at = showingAt(help->pos());
        if (at >= 0) {
            const LoopShowing& showing = m_plan.timeline.showings[size_t(at)];
            QToolTip::showText(help->globalPos(),
                               tr("%1, from %2 to %3, round %4")
                                   .arg(m_names.members.value(showing.member), timeText(showing.begins),
                                        timeText(showing.ends))
                                   .arg(showing.round + 1),
                               this);
            return true;
        }
    }
    return QAbstractScrollArea::viewportEvent(event);
}

} // namespace mivanta

#include "moc_LoopTimelineView.cpp"
