// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/RunController.h"
#include "formats/ItemJson.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QJsonObject cueToJson(const Cue& cue) {
    return {{u"item"_s, cue.item.text()},
            {u"entry"_s, cue.position.entry},
            {u"line"_s, cue.position.line},
            {u"offset"_s, cue.position.offset}};
}

std::optional<Cue> cueFromJson(const QJsonValue& json) {
    const ItemId item = ItemId::fromText(json[u"item"_s].toString());
    if (item.isNull())
        return std::nullopt;
    return Cue{item, {json[u"entry"_s].toInt(), json[u"line"_s].toInt(), json[u"offset"_s].toInt()}};
}

} // namespace

RunController::RunController(SlideBook& book, PlayerClient& player, QObject* parent)
    : QObject(parent),
      m_book(book),
      m_player(player) {
    m_prefetchSoon.setSingleShot(true);
    m_prefetchSoon.setInterval(0);
    connect(&m_prefetchSoon, &QTimer::timeout, this, &RunController::prefetch);
    connect(&m_book, &SlideBook::changed, this, &RunController::planChanged);
    connect(&m_player, &PlayerClient::welcomed, this, [this] { m_prefetchSoon.start(); });
    connect(&m_player, &PlayerClient::placesChanged, this, [this] { m_prefetchSoon.start(); });
    m_state = startedRun(m_book);
}

void RunController::change(const RunState& next) {
    const bool same = next == m_state;
    m_state = next;
    keep();
    m_prefetchSoon.start();
    if (!same)
        Q_EMIT changed();
}

void RunController::keep() {
    if (m_mayKeep)
        m_player.keep(keptState());
}

void RunController::showLive() {
    for (Scene& scene : m_live)
        scene.curtain = m_state.curtain;
    m_player.show(m_live);
}

void RunController::show(const RunState& next) {
    m_takenAt = QDateTime::currentDateTime();
    m_live = startedAt(scenesFor(next, m_book, m_book.outputs()), m_takenAt.time());
    showLive();
    change(next);
    Q_EMIT shown();
}

void RunController::take() {
    if (const RunState next = taken(m_state, m_book); m_state.next && !(next == m_state))
        show(next);
}

void RunController::back() {
    if (const RunState next = takenBack(m_state, m_book); !(next == m_state))
        show(next);
}

void RunController::lookAhead(int steps) {
    change(lookedAhead(m_state, m_book, steps));
}
void RunController::lookAtItem(int index) {
    change(lookedAtItem(m_state, m_book, index));
}
void RunController::lookAt(const Cue& cue) {
    change(lookedAt(m_state, cue));
}
void RunController::lookBack() {
    change(lookedBack(m_state, m_book));
}

void RunController::lookAtUnplanned(ItemWords words) {
    const Item item{ItemId::create(), std::move(words)};
    m_book.addUnplanned(item);
    change(lookedAtUnplanned(m_state, m_book, item.id));
}

void RunController::setCurtain(Curtain curtain) {
    m_state.curtain = curtain;
    if (!m_live.empty())
        showLive();
    keep();
    m_prefetchSoon.start();
    Q_EMIT changed();
}

void RunController::planChanged() {
    m_state = reconciled(m_state, m_book);
    keep();
    m_prefetchSoon.start();
    Q_EMIT changed();
}

void RunController::startOver() {
    m_mayKeep = true;
    RunState state = startedRun(m_book);
    state.curtain = m_state.curtain;
    change(state);
}

void RunController::setDesk(const QString& desk) {
    m_desk = desk;
    keep();
}

/// What is next, what would come after it, what was before, and what the other curtains would show.
void RunController::prefetch() {
    if (!m_player.isConnected())
        return;
    std::vector<Scene> scenes;
    const auto add = [&](const std::optional<Cue>& cue) {
        const ItemSlides* slides = cue ? m_book.slidesOf(cue->item) : nullptr;
        if (!slides)
            return;
        const auto at = scenesAt(*slides, cue->position, m_state.curtain);
        scenes.insert(scenes.end(), at.begin(), at.end());
    };
    add(m_state.next);
    if (m_state.next)
        add(following(*m_state.next, m_book));
    if (m_state.onScreen)
        add(preceding(*m_state.onScreen, m_book));
    for (const Curtain curtain : {Curtain::Open, Curtain::WordsOff, Curtain::Black})
        for (Scene scene : m_live) {
            scene.curtain = curtain;
            scenes.push_back(scene);
        }
    m_player.prepare(scenes);
}

QByteArray RunController::keptState() const {
    QJsonObject json{
        {u"curtain"_s, int(m_state.curtain)}, {u"hint"_s, m_state.itemHint}, {u"desk"_s, m_desk}};
    if (m_state.onScreen)
        json.insert(u"onScreen"_s, cueToJson(*m_state.onScreen));
    if (m_takenAt.isValid())
        json.insert(u"takenAt"_s, m_takenAt.toString(Qt::ISODateWithMs));
    json.insert(u"looking"_s, m_state.isLooking);
    if (m_state.next)
        json.insert(u"next"_s, cueToJson(*m_state.next));
    if (m_state.planOnScreen)
        json.insert(u"planOnScreen"_s, cueToJson(*m_state.planOnScreen));
    if (m_state.planNext)
        json.insert(u"planNext"_s, cueToJson(*m_state.planNext));
    QJsonArray unplanned; // what other desks would not know
    for (const auto& cue : {m_state.onScreen, m_state.next})
        if (const Item* item = cue ? m_book.unplannedItem(cue->item) : nullptr)
            unplanned.append(itemToJson(*item));
    json.insert(u"unplanned"_s, unplanned);
    return QJsonDocument(json).toJson(QJsonDocument::Compact);
}

QString RunController::deskOf(const QByteArray& kept) {
    return QJsonDocument::fromJson(kept).object()[u"desk"_s].toString();
}

void RunController::takeUp(const QByteArray& kept) {
    m_mayKeep = true;
    const QJsonObject json = QJsonDocument::fromJson(kept).object();
    m_desk = json[u"desk"_s].toString();
    RunState state;
    for (const QJsonValue& value : json[u"unplanned"_s].toArray())
        if (const auto item = itemFromJson(value.toObject(), {}); item && !m_book.unplannedItem(item->id))
            m_book.addUnplanned(*item);
    state.planOnScreen = cueFromJson(json[u"planOnScreen"_s]);
    state.planNext = cueFromJson(json[u"planNext"_s]);
    state.onScreen = cueFromJson(json[u"onScreen"_s]);
    state.next = cueFromJson(json[u"next"_s]);
    state.isLooking = json[u"looking"_s].toBool();
    state.curtain = Curtain(json[u"curtain"_s].toInt());
    state.itemHint = json[u"hint"_s].toInt();
    m_state = reconciled(state, m_book);
    m_takenAt = QDateTime::fromString(json[u"takenAt"_s].toString(), Qt::ISODateWithMs);
    if (m_state.onScreen)
        m_live = startedAt(scenesFor(m_state, m_book, m_book.outputs()), m_takenAt.time());
    for (Scene& scene : m_live)
        scene.curtain = m_state.curtain;
    keep();
    m_prefetchSoon.start();
    Q_EMIT takenUp();
    Q_EMIT changed();
    if (m_state.onScreen)
        Q_EMIT shown();
}

} // namespace mivanta
