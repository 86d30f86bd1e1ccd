// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/LaneList.h"
#include "desk/parts/Style.h"
#include <QLabel>
#include <QScrollBar>
#include <QVBoxLayout>

namespace mivanta {

LaneList::LaneList(RunController& run, ServiceDocument& document, QWidget* parent)
    : QScrollArea(parent),
      m_run(run),
      m_document(document) {
    setObjectName(QStringLiteral("lanes"));
    setFocusPolicy(Qt::NoFocus);
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* content = new QWidget(this);
    m_column = new QVBoxLayout(content);
    m_column->setContentsMargins(spaced(3), spaced(2), spaced(2), spaced(4));
    m_column->setSpacing(0);
    m_empty = new QLabel(
        tr("Nothing to run yet. Put songs into the service order on the Prepare desk (Alt+2)."), content);
    m_empty->setWordWrap(true);
    m_empty->setFont(textFont(1.1));
    m_empty->setContentsMargins(spaced(4), spaced(6), spaced(4), 0);
    m_column->addWidget(m_empty);
    m_column->addStretch(1);
    setWidget(content);
    content->setAutoFillBackground(false); // the desk's night shows through
    viewport()->setAutoFillBackground(false);
    m_sightSoon.setSingleShot(true);
    m_sightSoon.setInterval(0);
    connect(&m_sightSoon, &QTimer::timeout, this, &LaneList::keepInSight);
    connect(&m_run.plan(), &SlideBook::changed, this, &LaneList::rebuild);
    connect(&m_run, &RunController::changed, this, &LaneList::mark);
    rebuild();
}

void LaneList::rebuild() {
    const SlideBook& plan = m_run.plan();
    for (Lane* lane : m_lanes)
        lane->deleteLater();
    m_lanes.clear();
    for (int i = 0; i < plan.itemCount(); ++i) {
        auto* lane = new Lane(i + 1, plan.itemId(i), widget());
        const ItemId id = plan.itemId(i);
        if (const Song* song = m_document.service().item(id)->song()) {
            QString side = song->key;
            if (song->capo > 0)
                side += tr(" \u00b7 capo %1").arg(song->capo);
            lane->setContent(song->title, side, partChips(contentOf(*song)));
        }
        connect(lane, &Lane::looked, this, [this, id](int step) {
            if (const int at = m_run.plan().indexOf(id); at >= 0)
                m_run.lookAt(m_run.plan().cue(at, step));
        });
        connect(lane, &Lane::taken, this, [this, id](int step) {
            if (const int at = m_run.plan().indexOf(id); at >= 0) {
                m_run.lookAt(m_run.plan().cue(at, step));
                m_run.take();
            }
        });
        m_column->insertWidget(i, lane);
        m_lanes.push_back(lane);
    }
    m_empty->setVisible(m_lanes.empty());
    mark();
}

void LaneList::mark() {
    const SlideBook& plan = m_run.plan();
    if (int(m_lanes.size()) != plan.itemCount())
        return; // a rebuild follows
    const RunState& state = m_run.state();
    const int onScreen = state.onScreen ? plan.indexOf(state.onScreen->item) : -1;
    const int next = state.next ? plan.indexOf(state.next->item) : -1;
    for (int i = 0; i < int(m_lanes.size()); ++i) {
        Lane* lane = m_lanes[size_t(i)];
        lane->setMarks(i == onScreen ? plan.slides(i).stepAt(state.onScreen->position) : -1,
                       i == next ? plan.slides(i).stepAt(state.next->position) : -1);
        lane->setPast(onScreen >= 0 && i < onScreen && i != next);
        if (i == onScreen || i == next)
            lane->open(plan.slides(i));
        else
            lane->close();
    }
    m_sightSoon.start();
}

void LaneList::keepInSight() {
    for (Lane* lane : m_lanes) {
        if (!lane->isOpen() || lane->markedArea() == lane->rect())
            continue;
        const QRect area = lane->markedArea().translated(lane->pos());
        ensureVisible(area.center().x(), area.bottom(), 0, spaced(6));
        ensureVisible(area.center().x(), std::max(lane->y(), area.top() - area.height()), 0, spaced(4));
    }
}

} // namespace mivanta
