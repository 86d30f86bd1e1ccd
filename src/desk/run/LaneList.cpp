// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/LaneList.h"
#include "desk/kit/Style.h"
#include "desk/run/CurtainBar.h"
#include "desk/run/LoopLane.h"
#include "session/service/PlannedLengths.h"
#include <QLabel>
#include <QScrollBar>
#include <QVBoxLayout>

namespace mivanta {

LaneList::LaneList(Session& session, QWidget* parent)
    : QScrollArea(parent),
      m_session(session),
      m_run(session.run()),
      m_orders(session.orders()),
      m_onScreen(session.onScreen()),
      m_document(session.document()) {
    setObjectName(QStringLiteral("lanes"));
    setFocusPolicy(Qt::NoFocus);
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* content = new QWidget(this);
    m_column = new QVBoxLayout(content);
    m_column->setContentsMargins(spaced(3), spaced(2), spaced(2), spaced(4));
    m_column->setSpacing(0);
    m_column->addStretch(1);
    setWidget(content);
    content->setAutoFillBackground(false); // the desk's night shows through
    viewport()->setAutoFillBackground(false);
    m_sightSoon.setSingleShot(true);
    m_sightSoon.setInterval(0);
    connect(&m_sightSoon, &QTimer::timeout, this, &LaneList::keepInSight);
    connect(&m_run.lineup(), &SlideBook::changed, this, &LaneList::planChanged);
    connect(&m_onScreen, &OnScreen::changed, this, &LaneList::mark);
}

void LaneList::planChanged() {
    m_isStale = true;
    if (isVisible())
        rebuild();
}

void LaneList::showEvent(QShowEvent* event) {
    QScrollArea::showEvent(event);
    if (m_isStale)
        rebuild();
}

namespace {

/// What a lane says: title, what sounds, who leads, key or kind, how long it takes and what comes by itself;
/// the parts of a song; the notes for the operator and the stage when it is open.
void setContent(Lane& lane, const Item& item, const ServiceDocument& document) {
    QStringList side;
    if (item.plan.sound)
        side << QStringLiteral("\u266a ") + item.plan.sound->title;
    if (item.plan.track)
        side << QStringLiteral("\u266a ") + item.plan.track->title;
    side << item.plan.leader;
    if (const Song* song = item.song())
        side << (song->capo > 0 ? LaneList::tr("%1, capo %2").arg(song->key).arg(song->capo) : song->key);
    else
        side << kindText(item.words);
    if (item.plan.advance)
        side << LaneList::tr("every %1 by itself").arg(durationText(*item.plan.advance));
    if (const int seconds = secondsOf(item, document.service(), {}, plannedLengths(document)); seconds > 0)
        side << durationText(seconds);
    side.removeAll(QString());
    QStringList notes{item.plan.note};
    if (!item.edits.stageNote.isEmpty())
        notes << LaneList::tr("Stage: %1").arg(item.edits.stageNote);
    notes.removeAll(QString());
    lane.setNote(notes.join(u'\n'));
    lane.setContent(item.title(), side.join(QStringLiteral(" \u00b7 ")),
                    laneChips(item, contentOf(item, document.service())));
}

/// What the operator is to read between two items.
QLabel* noteOf(const NoteItem& note, QWidget* parent) {
    auto* label = new QLabel(note.words, parent);
    label->setObjectName(QStringLiteral("run-note"));
    label->setTextFormat(Qt::PlainText);
    label->setWordWrap(true);
    label->setFont(textFont(1.05, TextWeight::Bold));
    label->setContentsMargins(spaced(10.5), spaced(1.5), spaced(2.5), spaced(1.5));
    label->setStyleSheet(QStringLiteral("color: %1").arg(night().text.name()));
    return label;
}

} // namespace

void LaneList::connectLane(Lane* lane, const ItemId& id) {
    const auto look = [this, id](int step) {
        const ItemSlides* slides = m_run.lineup().slidesOf(id);
        if (slides)
            m_orders.obey(order::LookAt{{id, slides->steps[size_t(step)].position}});
        return slides != nullptr;
    };
    connect(lane, &Lane::looked, this, [this, look](int step) {
        if (look(step) && m_run.settings().clickTakes)
            m_orders.obey(order::Take{});
    });
    connect(lane, &Lane::taken, this, [this, look](int step) {
        if (!m_run.settings().clickTakes && look(step)) // else the first click has taken it
            m_orders.obey(order::Take{});
    });
}

void LaneList::rebuild() {
    m_isStale = false;
    for (Lane* lane : m_lanes)
        lane->deleteLater();
    m_lanes.clear();
    if (m_unplanned)
        m_unplanned->deleteLater();
    m_unplanned = nullptr;
    for (QWidget* between : m_between)
        between->deleteLater();
    m_between.clear();
    int at = 0; // in the column
    for (const Item& item : m_document.service().items) {
        if (const auto* note = std::get_if<NoteItem>(&item.words)) {
            m_between.push_back(noteOf(*note, widget()));
            m_column->insertWidget(at++, m_between.back());
        }
        if (item.loop() && !item.plan.skipped) {
            m_between.push_back(new LoopLane(m_session, item.id, widget()));
            m_column->insertWidget(at++, m_between.back());
        }
        if (m_run.lineup().indexOf(item.id) < 0)
            continue;
        auto* lane = new Lane(int(m_lanes.size()) + 1, item.id, widget());
        setContent(*lane, item, m_document);
        connectLane(lane, item.id);
        m_column->insertWidget(at++, lane);
        m_lanes.push_back(lane);
    }
    mark();
}

/// Of the curtain that hides what was taken; empty when none does.
QString LaneList::coverName() const {
    const Curtain cover = m_onScreen.cover();
    return cover == Curtain::Open ? QString() : curtainName(cover);
}

void LaneList::mark() {
    const SlideBook& lineup = m_run.lineup();
    if (m_isStale || int(m_lanes.size()) != lineup.itemCount())
        return; // a rebuild follows
    const RunState& state = m_run.state();
    const auto cue = m_onScreen.cue();
    const int onScreen = cue ? lineup.indexOf(cue->item) : -1;
    const int next = state.next ? lineup.indexOf(state.next->item) : -1;
    const QString cover = coverName();
    for (int i = 0; i < int(m_lanes.size()); ++i) {
        Lane* lane = m_lanes[size_t(i)];
        lane->setMarks(i == onScreen ? lineup.slides(i).stepAt(cue->position) : -1,
                       i == next ? lineup.slides(i).stepAt(state.next->position) : -1, cover);
        lane->setPast(onScreen >= 0 && i < onScreen && i != next);
        if (i == onScreen || i == next)
            lane->open(lineup.slides(i));
        else
            lane->close();
    }
    showUnplanned();
    m_sightSoon.start();
}

void LaneList::showUnplanned() {
    const SlideBook& lineup = m_run.lineup();
    const RunState& state = m_run.state();
    const auto onScreen = m_onScreen.cue();
    const Item* item = state.next ? lineup.unplannedItem(state.next->item) : nullptr;
    if (!item && onScreen)
        item = lineup.unplannedItem(onScreen->item);
    if (m_unplanned && (!item || !(m_unplanned->item() == item->id))) {
        m_unplanned->deleteLater();
        m_unplanned = nullptr;
    }
    if (!item)
        return;
    const ItemSlides& slides = *lineup.slidesOf(item->id);
    if (!m_unplanned) {
        m_unplanned = new Lane(0, item->id, widget());
        m_unplanned->setObjectName(QStringLiteral("lane-unplanned"));
        setContent(*m_unplanned, *item, m_document);
        connectLane(m_unplanned, item->id);
        // Where it is read: behind what was on screen before.
        const int before = state.lineupOnScreen ? lineup.indexOf(state.lineupOnScreen->item) : -1;
        m_column->insertWidget(before >= 0 ? m_column->indexOf(m_lanes[size_t(before)]) + 1 : 0, m_unplanned);
    }
    const auto stepOf = [&](const std::optional<Cue>& cue) {
        return cue && cue->item == item->id ? slides.stepAt(cue->position) : -1;
    };
    m_unplanned->setMarks(stepOf(onScreen), stepOf(state.next), coverName());
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

#include "moc_LaneList.cpp"
