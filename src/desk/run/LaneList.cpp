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
    m_empty = new QLabel(tr("Nothing to run yet. Put songs, scripture and texts into the service order on "
                            "the Prepare desk (Alt+2)."),
                         content);
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

namespace {

/// What a lane says: title, who leads, key or kind, the parts of a song; the operator's note when it is open.
void setContent(Lane& lane, const Item& item, const Service& service) {
    QString side;
    if (const Song* song = item.song()) {
        side = song->key;
        if (song->capo > 0)
            side += LaneList::tr(" \u00b7 capo %1").arg(song->capo);
    } else {
        side = kindText(item.content);
    }
    if (!item.plan.leader.isEmpty())
        side = side.isEmpty() ? item.plan.leader : item.plan.leader + QStringLiteral(" \u00b7 ") + side;
    if (item.plan.sound)
        side = QStringLiteral("\u266a ") + item.plan.sound->title +
               (side.isEmpty() ? side : QStringLiteral(" \u00b7 ") + side);
    lane.setNote(item.plan.note);
    const bool hasParts = item.song() != nullptr;
    lane.setContent(item.title(), side,
                    hasParts ? partChips(contentOf(item, service)) : std::vector<PartChip>());
}

/// What the operator is to read between two items.
QLabel* noteOf(const NoteItem& note, QWidget* parent) {
    auto* label = new QLabel(note.words, parent);
    label->setObjectName(QStringLiteral("run-note"));
    label->setTextFormat(Qt::PlainText);
    label->setWordWrap(true);
    label->setFont(textFont(1.05, true));
    label->setContentsMargins(spaced(10.5), spaced(1.5), spaced(2.5), spaced(1.5));
    label->setStyleSheet(QStringLiteral("color: %1").arg(night().text.name()));
    return label;
}

} // namespace

void LaneList::connectLane(Lane* lane, const ItemId& id) {
    const auto look = [this, id](int step) {
        const ItemSlides* slides = m_run.plan().slidesOf(id);
        if (slides)
            m_run.lookAt({id, slides->steps[size_t(step)].position});
        return slides != nullptr;
    };
    connect(lane, &Lane::looked, this, look);
    connect(lane, &Lane::taken, this, [this, look](int step) {
        if (look(step))
            m_run.take();
    });
}

void LaneList::rebuild() {
    for (Lane* lane : m_lanes)
        lane->deleteLater();
    m_lanes.clear();
    if (m_unplanned)
        m_unplanned->deleteLater();
    m_unplanned = nullptr;
    for (QLabel* note : m_notes)
        note->deleteLater();
    m_notes.clear();
    int at = 0; // in the column
    for (const Item& item : m_document.service().items) {
        if (const auto* note = std::get_if<NoteItem>(&item.content)) {
            m_notes.push_back(noteOf(*note, widget()));
            m_column->insertWidget(at++, m_notes.back());
        }
        if (!item.isRun())
            continue;
        auto* lane = new Lane(int(m_lanes.size()) + 1, item.id, widget());
        setContent(*lane, item, m_document.service());
        connectLane(lane, item.id);
        m_column->insertWidget(at++, lane);
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
    showUnplanned();
    m_sightSoon.start();
}

void LaneList::showUnplanned() {
    const SlideBook& plan = m_run.plan();
    const RunState& state = m_run.state();
    const Item* item = state.next ? plan.unplannedItem(state.next->item) : nullptr;
    if (!item && state.onScreen)
        item = plan.unplannedItem(state.onScreen->item);
    if (m_unplanned && (!item || !(m_unplanned->item() == item->id))) {
        m_unplanned->deleteLater();
        m_unplanned = nullptr;
    }
    if (!item)
        return;
    const ItemSlides& slides = *plan.slidesOf(item->id);
    if (!m_unplanned) {
        m_unplanned = new Lane(0, item->id, widget());
        m_unplanned->setObjectName(QStringLiteral("lane-unplanned"));
        setContent(*m_unplanned, *item, m_document.service());
        connectLane(m_unplanned, item->id);
        // Where it is read: behind what was on screen before.
        const int before = state.planOnScreen ? plan.indexOf(state.planOnScreen->item) : -1;
        m_column->insertWidget(before >= 0 ? m_column->indexOf(m_lanes[size_t(before)]) + 1 : 0, m_unplanned);
    }
    const auto stepOf = [&](const std::optional<Cue>& cue) {
        return cue && cue->item == item->id ? slides.stepAt(cue->position) : -1;
    };
    m_unplanned->setMarks(stepOf(state.onScreen), stepOf(state.next));
    m_unplanned->open(slides);
}

void LaneList::keepInSight() {
    std::vector<Lane*> lanes = m_lanes;
    if (m_unplanned)
        lanes.push_back(m_unplanned);
    for (Lane* lane : lanes) {
        if (!lane->isOpen() || lane->markedArea() == lane->rect())
            continue;
        const QRect area = lane->markedArea().translated(lane->pos());
        ensureVisible(area.center().x(), area.bottom(), 0, spaced(6));
        ensureVisible(area.center().x(), std::max(lane->y(), area.top() - area.height()), 0, spaced(4));
    }
}

} // namespace mivanta
