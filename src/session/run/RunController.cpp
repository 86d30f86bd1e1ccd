// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunController.h"
#include "core/base/Clock.h"
#include "core/run/PartJumps.h"
#include "session/run/KeptRun.h"
#include <algorithm>

namespace mivanta {

namespace {
constexpr size_t kMostUndone = 50;
constexpr qint64 kPrefetchEveryMs = 40;
} // namespace

RunController::RunController(SlideBook& book, ServiceDocument& document, PlayerClient& player,
                             QObject* parent)
    : QObject(parent),
      m_book(book),
      m_document(document),
      m_player(player),
      m_scenes(book, document),
      m_covered(book, document) {
    m_prefetchSoon.setSingleShot(true);
    connect(&m_prefetchSoon, &QTimer::timeout, this, &RunController::prefetch);
    connect(&m_book, &SlideBook::changed, this, &RunController::planChanged);
    connect(&m_player, &PlayerClient::welcomed, this, [this] { prefetchSoon(); });
    connect(&m_player, &PlayerClient::placesChanged, this, [this] { prefetchSoon(); });
    m_state = startedRun(m_book);
    m_service = serviceId();
}

RunMoment RunController::moment() const {
    return {m_state.onScreen ? m_book.blockOf(m_state.onScreen->item) : ItemId(), m_itemSince, m_since,
            Clock::the().now()};
}

void RunController::change(const RunState& next) {
    const bool same = next == m_state;
    m_state = next;
    keep();
    prefetchSoon();
    if (!same)
        Q_EMIT changed();
}

void RunController::keep() {
    if (m_mayKeep)
        m_player.keep(keptState());
}

std::vector<Scene> RunController::shownNow() const {
    std::vector<Scene> shown = m_covered.shown(m_taken, m_state.covers);
    for (Scene& scene : shown)
        scene.origin.isFrozen = m_state.frozen.contains(scene.output);
    return shown;
}

/// Nothing of the open service was put on screen yet, and something of another one is there.
bool RunController::showsOtherService() const {
    return std::any_of(m_taken.begin(), m_taken.end(), [&](const Scene& scene) {
        return scene.origin.cue && !(scene.origin.service == m_service);
    });
}

void RunController::setFilmPlace(const FilmPlace& film) {
    if (m_scenes.setFilm(film) && m_state.onScreen && film.item == m_state.onScreen->item)
        showAgain();
}

std::vector<Colour> RunController::grounds() const {
    std::vector<Colour> colours;
    for (const Output& output : m_book.outputs())
        colours.push_back(output.groundColour());
    return colours;
}

void RunController::showTaken(Arrival arrival) {
    m_shownOn = grounds();
    m_player.show(shownNow(), arrival);
}

/// Whatever became of its item.
void RunController::keepFrozen(std::vector<Scene>& scenes,
                               const std::map<QString, std::optional<Cue>>& frozen) const {
    for (Scene& scene : scenes)
        for (const Scene& before : m_taken)
            if (before.output == scene.output && frozen.contains(scene.output))
                scene = before;
}

std::vector<Scene> RunController::drawnAnew() const {
    return m_scenes.withOrigin(
        startedAt(m_scenes.told(scenesFor(m_state, m_book, m_book.outputs()), m_state.onScreen, m_itemSince),
                  m_takenAt.time()),
        m_state.onScreen);
}

void RunController::rememberForUndo() {
    m_before.push_back({m_state, m_taken, m_itemSince});
    if (m_before.size() > kMostUndone)
        m_before.erase(m_before.begin());
}

void RunController::show(const RunState& next) {
    rememberForUndo();
    RunState opened = next;
    if (m_settings.takeOpensCurtain)
        opened.covers.curtain = Curtain::Open;
    showByItself(opened);
}

void RunController::showByItself(const RunState& next) {
    const auto blockOf = [&](const std::optional<Cue>& cue) {
        return cue ? m_book.blockOf(cue->item) : ItemId();
    };
    const bool isSameBlock = m_state.onScreen && blockOf(m_state.onScreen) == blockOf(next.onScreen);
    const QDateTime itemSince = isSameBlock ? m_itemSince : Clock::the().now();
    if (!m_state.onScreen || !next.onScreen || !(m_state.onScreen->item == next.onScreen->item))
        m_scenes.setFilm({});
    std::vector<Scene> scenes = m_scenes.withOrigin(
        startedAt(m_scenes.told(scenesFor(next, m_book, m_book.outputs()), next.onScreen, itemSince),
                  Clock::the().time()),
        next.onScreen);
    keepFrozen(scenes, next.frozen);
    m_itemSince = itemSince;
    put(next, std::move(scenes));
}

void RunController::put(const RunState& next, std::vector<Scene> live) {
    m_takenAt = Clock::the().now();
    if (!m_since.isValid())
        m_since = m_takenAt;
    m_taken = std::move(live);
    ++m_takes;
    m_state.covers = next.covers;
    showTaken();
    Q_EMIT ordered();
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

void RunController::undoTake() {
    if (m_before.empty())
        return;
    Before before = std::move(m_before.back());
    m_before.pop_back();
    before.state.covers = m_state.covers; // what was covered meanwhile stays so
    before.state.frozen = m_state.frozen;
    keepFrozen(before.live, m_state.frozen);
    if (before.live.empty()) // before the first take
        before.live = scenesFor(before.state, m_book, m_book.outputs());
    m_itemSince = before.itemSince;
    put(reconciled(before.state, m_book), std::move(before.live));
}

void RunController::goOn() {
    if (m_goesOnByItself && !m_state.isLooking && m_state.next)
        take();
}

void RunController::goOnTo(const Cue& cue, bool keepsUndo) {
    if (const RunState next = wentOnTo(m_state, m_book, cue); next.onScreen == cue) {
        if (keepsUndo)
            rememberForUndo();
        showByItself(next);
    }
}

void RunController::setGoesOnByItself(bool on) {
    if (std::exchange(m_goesOnByItself, on) == on)
        return;
    keepAlso(QStringLiteral("byItself"), {{QStringLiteral("isOff"), !on}});
    Q_EMIT changed();
}

void RunController::keepAlso(const QString& name, const QJsonObject& what) {
    m_also[name] = what;
    keep();
}

void RunController::lookAhead(int steps) {
    change(lookedAhead(m_state, m_book, steps));
}
void RunController::lookAtItem(int index) {
    change(lookedAtItem(m_state, m_book, index));
}
void RunController::lookAtItemsOn(int items) {
    change(lookedAtItemsOn(m_state, m_book, items));
}
void RunController::lookAtPart(QChar letter, std::optional<int> number) {
    change(lookedAtPart(m_state, m_book, letter, number));
}
void RunController::lookAtPartAgain() {
    change(lookedAtPartAgain(m_state, m_book));
}
void RunController::lookAtFirst() {
    change(lookedAtFirst(m_state, m_book));
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

void RunController::cover(const Covers& covers) {
    if (covers == m_state.covers)
        return;
    m_state.covers = covers;
    // Before the first take there is nothing to cover but black; a card or a message is seen all the same.
    const bool isSeen = covers.curtain == Curtain::HouseCard || !covers.own.empty() || covers.callOut ||
                        !covers.testCards.empty();
    if (m_taken.empty() && isSeen)
        m_taken = scenesFor(m_state, m_book, m_book.outputs());
    if (!m_taken.empty())
        showTaken();
    keep();
    m_covers.watchCallOut();
    prefetchSoon();
    Q_EMIT changed();
}

void RunController::setFrozen(const QString& output, bool frozen) {
    RunState next = m_state;
    if (frozen == next.frozen.contains(output))
        return;
    if (frozen) {
        next.frozen[output] = next.onScreen;
        m_state.frozen = next.frozen;
    } else {
        next.frozen.erase(output);
        m_state.frozen.erase(output);
        if (!showsOtherService()) // else it goes on with what it shows, until a take
            for (const Scene& now : drawnAnew())
                for (Scene& scene : m_taken)
                    if (scene.output == output && now.output == output)
                        scene = now;
    }
    if (!m_taken.empty())
        showTaken();
    Q_EMIT changed();
    change(next);
}

void RunController::renameOutput(const QString& from, const QString& to) {
    const auto move = [&](auto& byName) {
        if (auto entry = byName.extract(from)) {
            entry.key() = to;
            byName.insert(std::move(entry));
        }
    };
    const auto renameIn = [&](RunState& state, std::vector<Scene>& live) {
        move(state.frozen);
        move(state.covers.own);
        for (std::set<QString>* names :
             {&state.covers.testCards, state.covers.callOut ? &state.covers.callOut->outputs : nullptr})
            if (names && names->erase(from) > 0)
                names->insert(to);
        for (Scene& scene : live)
            if (scene.output == from)
                scene.output = to;
    };
    renameIn(m_state, m_taken);
    for (Before& before : m_before)
        renameIn(before.state, before.live);
    m_covers.renameOutput(from, to);
    keep();
}

void RunController::showAsIs() {
    if (!m_taken.empty())
        showTaken(Arrival::Cut);
}

void RunController::showNewOutputs() {
    if (m_taken.empty() || showsOtherService())
        return;
    for (Scene& scene : drawnAnew())
        if (std::none_of(m_taken.begin(), m_taken.end(),
                         [&](const Scene& live) { return live.output == scene.output; }))
            m_taken.push_back(std::move(scene));
    showTaken(Arrival::Cut);
    Q_EMIT changed();
}

void RunController::showAgain() {
    if (!m_state.onScreen || !m_book.slidesOf(m_state.onScreen->item))
        return;
    std::vector<Scene> scenes = drawnAnew();
    keepFrozen(scenes, m_state.frozen);
    m_taken = std::move(scenes);
    showTaken(Arrival::Cut);
    Q_EMIT changed();
}

void RunController::setSettings(const RunSettings& settings) {
    if (settings == m_settings)
        return;
    m_settings = settings;
    m_covered.setHouseCard(settings.houseCard);
    prefetchSoon();
    Q_EMIT settingsChanged();
}

void RunController::planChanged() {
    if (!(m_service == serviceId()))
        changeService();
    m_state = reconciled(m_state, m_book);
    const auto isGone = [&](const QString& name) { // an output that was removed takes its covers along
        const auto& outputs = m_book.outputs();
        return std::none_of(outputs.begin(), outputs.end(),
                            [&](const Output& output) { return output.name == name; });
    };
    if (!m_book.outputs().empty()) {
        std::erase_if(m_state.frozen, [&](const auto& apart) { return isGone(apart.first); });
        std::erase_if(m_state.covers.own, [&](const auto& apart) { return isGone(apart.first); });
        std::erase_if(m_state.covers.testCards, isGone);
    }
    m_covered.forgetHouseCards();
    if (!m_taken.empty() && m_shownOn != grounds())
        showTaken();
    keep();
    prefetchSoon();
    Q_EMIT changed();
}

void RunController::begin() {
    m_mayKeep = true;
    m_before.clear();
    m_since = {};
    RunState state = startedRun(m_book);
    state.covers = m_state.covers;
    state.frozen = m_state.frozen;
    change(state);
}

/// Another service is open: what is on screen stays until a take. A service that was open before is at its
/// place again.
void RunController::changeService() {
    const RunState before = m_state;
    m_left[m_service] = {before, std::move(m_before), m_takenAt, m_itemSince, m_since, m_takes};
    m_service = serviceId();
    const auto left = m_left.find(m_service);
    const Left here = left == m_left.end() ? Left{startedRun(m_book), {}, {}, {}, {}, m_takes} : left->second;
    m_state = here.state;
    m_before = here.before;
    m_takenAt = here.takenAt;
    m_itemSince = here.itemSince;
    m_since = here.since;
    if (here.takes != m_takes) // something else was put on screen meanwhile
        m_state.onScreen.reset();
    m_state.covers = before.covers;
    m_state.frozen = before.frozen;
}

void RunController::setDesk(const QString& desk) {
    m_desk = desk;
    keep();
}

/// At once, but not faster than pictures can be drawn when keys come in a row.
void RunController::prefetchSoon() {
    if (m_prefetchSoon.isActive())
        return;
    const qint64 since = m_prefetchedAt ? Clock::the().steady() - *m_prefetchedAt : qint64(kPrefetchEveryMs);
    m_prefetchSoon.start(int(std::max<qint64>(0, kPrefetchEveryMs - since)));
}

/// What is next, what would come after it, what was before, and what the other curtains would show.
void RunController::prefetch() {
    m_prefetchedAt = Clock::the().steady();
    if (!m_player.isConnected())
        return;
    std::vector<Scene> scenes;
    const auto addShown = [&](const std::vector<Scene>& live, const Covers& covers) {
        for (Scene& scene : m_covered.shown(live, covers))
            scenes.push_back(std::move(scene));
    };
    const auto add = [&](const std::optional<Cue>& cue) {
        const ItemSlides* slides = cue ? m_book.slidesOf(cue->item) : nullptr;
        if (!slides)
            return;
        const bool isSameItem = m_state.onScreen && m_state.onScreen->item == cue->item;
        auto at = m_scenes.told(scenesAt(*slides, cue->position), cue,
                                isSameItem ? m_itemSince : Clock::the().now());
        keepFrozen(at, m_state.frozen);
        addShown(at, m_state.covers);
    };
    if (m_comesByItself)
        add(m_comesByItself());
    add(m_state.next);
    if (m_state.next)
        add(following(*m_state.next, m_book));
    if (m_state.onScreen)
        add(preceding(*m_state.onScreen, m_book));
    for (const Curtain curtain :
         {Curtain::Open, Curtain::Plain, Curtain::WordsOff, Curtain::HouseCard, Curtain::Black})
        addShown(m_taken, {.curtain = curtain});
    m_player.prepare(scenes);
}

QByteArray RunController::keptState() const {
    KeptRun kept{m_state, m_covers.beforeBlack(), m_takenAt, m_itemSince, m_since, m_desk, {}, {}, m_also};
    if (showsOtherService())
        kept.live = m_taken;
    for (const auto& cue : {m_state.onScreen, m_state.next})
        if (const Item* item = cue ? m_book.unplannedItem(cue->item) : nullptr)
            kept.unplanned.push_back(*item);
    return keptRunToJson(kept);
}

void RunController::takeUp(const QByteArray& bytes) {
    m_mayKeep = true;
    const KeptRun kept = keptRunFromJson(bytes);
    m_desk = kept.desk;
    m_also = kept.also;
    m_goesOnByItself = !keptAlso(QStringLiteral("byItself"))[QStringLiteral("isOff")].toBool();
    for (const Item& item : kept.unplanned)
        if (!m_book.unplannedItem(item.id))
            m_book.addUnplanned(item);
    m_state = reconciled(kept.state, m_book);
    m_covers.setBeforeBlack(kept.beforeBlack);
    m_takenAt = kept.takenAt;
    m_itemSince = kept.itemSince;
    m_since = kept.since;
    m_taken = m_state.onScreen ? drawnAnew() : kept.live;
    m_shownOn = grounds(); // the player has it so already
    if (m_state.onScreen)
        m_player.remember(shownNow());
    keep();
    m_covers.watchCallOut();
    prefetchSoon();
    Q_EMIT takenUp();
    Q_EMIT changed();
    if (m_state.onScreen)
        Q_EMIT shown();
}

} // namespace mivanta

#include "moc_RunController.cpp"
