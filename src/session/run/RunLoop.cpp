// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunLoop.h"
#include "session/run/KeptLoop.h"
#include "session/run/RunFilm.h"
#include "session/service/LoopPlans.h"
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {
constexpr int kTickMs = 1000;
const QString kKept = u"loop"_s;
} // namespace

RunLoop::RunLoop(RunController& run, ServiceDocument& document, SlideBook& book, PlayerClient& player,
                 RunFilm& film, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document),
      m_book(book),
      m_player(player),
      m_film(film) {
    m_run.setLoopPlaceOf([this](const Cue& cue) { return placeOf(cue); });
    m_run.setComesByItself([this] { return comesNext(); });
    connect(&m_run, &RunController::takenUp, this, &RunLoop::takeUp);
    connect(&m_run, &RunController::shown, this, &RunLoop::shown);
    connect(&m_book, &SlideBook::changed, this, &RunLoop::documentChanged);
    connect(&m_player, &PlayerClient::filmChanged, this, &RunLoop::lookAtFilm);
    connect(&m_due, &DueTimer::due, this, &RunLoop::showingIsOver);
    connect(&m_clock, &ClockWatch::wasSet, this, &RunLoop::clockWasSet);
    m_tick.setInterval(kTickMs);
    connect(&m_tick, &QTimer::timeout, this, &RunLoop::look);
}

std::optional<LoopStill> RunLoop::Stand::next() const {
    const auto& showings = plan.timeline.showings;
    return !isOver && size_t(showing) + 1 < showings.size()
               ? std::optional(plan.stillOf(showings[size_t(showing) + 1]))
               : std::nullopt;
}

const Item* RunLoop::loop() const {
    const Item* item = m_stand ? m_document.service().item(m_stand->loop) : nullptr;
    return item && item->loop() ? item : nullptr;
}

LoopMembersKnown RunLoop::known() const {
    LoopMembersKnown known = knownMembers(m_book);
    known.day = m_day;
    known.problem = [this, usual = known.problem](const Item& item, int still) {
        for (const Broken& broken : m_broken)
            if (broken.what.item == item.id && broken.what.still == still)
                return broken.why;
        return usual(item, still);
    };
    return known;
}

/// The whole loop by its rule, as the operator has changed it.
LoopPlan RunLoop::planned(const Item& loop) const {
    LoopPlan plan = loopPlanOf(loop, m_document.service(), m_begun, known());
    if (m_lastRound)
        plan.rule.rounds = *m_lastRound + 1;
    if (m_isLonger)
        plan.until = {};
    return plan;
}

std::optional<qint64> RunLoop::left() const {
    if (!m_stand || m_stand->isPaused || m_stand->isOver)
        return std::nullopt;
    return std::max<qint64>(0, m_planned + m_stand->shown().ends - Clock::the().steady());
}

QDateTime RunLoop::ends() const {
    return m_stand && !m_stand->isPaused && !m_stand->isOver ? m_stand->plan.ends() : QDateTime();
}

/// What is shown, and for how long it was.
LoopPlace RunLoop::place() const {
    const LoopShowing& shown = m_stand->shown();
    const qint64 left = m_stand->isPaused ? m_pausedLeft : this->left().value_or(0);
    const qint64 each = m_stand->plan.members[size_t(shown.member)].each;
    return {shown.round, shown.member, shown.still, std::max<qint64>(0, each - left)};
}

/// The stage is told when the loop ends.
std::optional<FilmPlace> RunLoop::placeOf(const Cue& cue) const {
    const Item* of = loopOf(cue.item, m_document.service());
    if (!of)
        return std::nullopt;
    if (m_stand && m_stand->loop == of->id) {
        const QDateTime end = ends();
        return end.isValid() ? std::optional(FilmPlace{cue.item, end.time(), {}}) : std::nullopt;
    }
    if (of->loop()->until == LoopUntil::Take)
        return std::nullopt;
    const QDateTime end =
        loopPlanOf(*of, m_document.service(), Clock::the().now(), knownMembers(m_book)).ends();
    return end.isValid() ? std::optional(FilmPlace{cue.item, end.time(), {}}) : std::nullopt;
}

std::optional<Cue> RunLoop::comesNext() const {
    if (!m_stand)
        return std::nullopt;
    if (const auto next = m_stand->next())
        return cueOf(*next, m_book);
    return std::nullopt;
}

void RunLoop::shown() {
    const auto& cue = m_run.state().onScreen;
    const Item* of = cue ? loopOf(cue->item, m_document.service()) : nullptr;
    if (!of) {
        stop();
        return;
    }
    const LoopStill still = stillOf(*cue, m_book);
    m_picture = pictureOf(still, m_document.service());
    const bool isTold = m_stand && m_stand->loop == of->id && m_stand->still() == still;
    if (isTold)
        return;
    if (!m_stand || !(m_stand->loop == of->id) || m_stand->isOver) {
        start(*of, still);
        return;
    }
    if (const auto to = m_stand->plan.placeOf(still, m_stand->shown().round)) { // somebody chose it
        m_stand->isPaused = false;
        goOnFrom(*to);
    } else {
        start(*of, still);
    }
}

void RunLoop::stop() {
    if (!m_stand)
        return;
    m_stand.reset();
    m_due.stop();
    m_tick.stop();
    m_run.keepAlso(kKept, {});
    Q_EMIT changed();
}

/// Somebody took one of its members.
void RunLoop::start(const Item& loop, const LoopStill& still) {
    stop();
    m_broken.clear();
    m_lastRound.reset();
    m_isLonger = false;
    m_begun = Clock::the().now();
    m_day = m_begun.date();
    LoopPlan plan = planned(loop);
    const auto& showings = plan.timeline.showings;
    const bool isFirst = !showings.empty() && plan.stillOf(showings.front()) == still;
    if (!isFirst) {
        const auto from = plan.placeOf(still, 0);
        if (!from || plan.members[size_t(from->member)].isLeftOut)
            return; // it is not among what goes round today: a picture like others
        plan = continued(std::move(plan), *from, m_begun);
    }
    m_stand = Stand{loop.id, std::move(plan)};
    m_planned = Clock::the().steady();
    wait();
    Q_EMIT changed();
}

Result<void> RunLoop::begin(const ItemId& id, const QDateTime& begun) {
    const Item* item = m_document.service().item(id);
    if (!item || !item->loop())
        return failure(tr("The loop is not in the order any more."));
    stop();
    m_broken.clear();
    m_lastRound.reset();
    m_isLonger = false;
    m_begun = begun;
    m_day = Clock::the().date();
    LoopPlan plan = planned(*item);
    if (plan.timeline.showings.empty())
        return failure(tr("Nothing of \u201c%1\u201d can be shown now.").arg(item->title()), {},
                       tr("Look at its members on the Prepare desk."));
    const qint64 since = begun.msecsTo(Clock::the().now());
    const int at = plan.timeline.at(std::max<qint64>(0, since));
    const int last = int(plan.timeline.showings.size()) - 1;
    m_stand = Stand{id, std::move(plan), at < 0 ? last : at};
    m_planned = Clock::the().steady() - since;
    if (at >= 0 || !isFollowed(*item)) // its last picture is what would be seen by now
        show(true);
    if (at < 0)
        end();
    return {};
}

/// Waits for the end of what is shown; what follows then is known again when it comes to stand elsewhere.
void RunLoop::wait() {
    const auto next = m_stand->next();
    m_nextPicture = next ? pictureOf(*next, m_document.service()) : OrderPicture();
    if (const auto time = left())
        m_due.start(*time);
    else
        m_due.stop();
    m_tick.start();
    keep();
}

/// Where it is by the clock: the next one, or a later one when this program was busy.
void RunLoop::showingIsOver() {
    if (!m_stand || m_stand->isPaused || m_stand->isOver)
        return;
    const auto& timeline = m_stand->plan.timeline;
    const int at = timeline.at(Clock::the().steady() - m_planned);
    if (at < 0) {
        end();
    } else if (at == m_stand->showing) { // the timer was early
        wait();
    } else {
        m_stand->showing = at;
        show();
    }
}

void RunLoop::show(bool keepsUndo) {
    const auto cue = cueOf(m_stand->still(), m_book);
    if (!cue) {
        leaveOut(tr("it has no slide"));
        return;
    }
    const auto& before = m_run.state().onScreen;
    const bool isSameFilm = before && before->item == cue->item && m_film.play().has_value();
    wait();
    m_run.goOnTo(*cue, keepsUndo);
    if (isSameFilm)
        m_film.fromTheBeginning();
    Q_EMIT changed();
}

/// The rest of the loop, from that place and from now on.
void RunLoop::goOnFrom(const LoopPlace& from) {
    const Item* item = loop();
    if (!item)
        return;
    LoopPlan plan = continued(planned(*item), from, Clock::the().now());
    if (plan.timeline.showings.empty()) {
        end();
        return;
    }
    m_stand->plan = std::move(plan);
    m_stand->showing = 0;
    m_stand->isOver = false;
    m_planned = Clock::the().steady();
    const auto cue = cueOf(m_stand->still(), m_book);
    if (cue && m_run.state().onScreen == cue) {
        wait();
        m_run.showAgain(); // the stage says when it ends
        Q_EMIT changed();
    } else {
        show();
    }
}

/// An item comes at its end by itself.
bool RunLoop::isFollowed(const Item& loop) const {
    return m_run.goesOnByItself() && followsLoop(loop, m_document.service());
}

void RunLoop::end() {
    m_due.stop();
    m_stand->isOver = true;
    keep();
    Q_EMIT changed();
    const Item* item = loop();
    if (!item || !m_run.goesOnByItself())
        return;
    if (item->loop()->then == LoopThen::HouseCard) {
        m_run.covers().setCurtain(Curtain::HouseCard);
        return;
    }
    if (const Item* next = followsLoop(*item, m_document.service()))
        if (const auto cue = m_book.entryOf(next->id))
            m_run.goOnTo(*cue, true);
}

/// Members may have come and gone, or its rule is another one: never in the middle of what is shown.
void RunLoop::documentChanged() {
    const Item* item = loop();
    if (!m_stand || m_stand->isPaused || m_stand->isOver)
        return;
    if (!item || item->plan.skipped) {
        stop();
        return;
    }
    const int round = m_stand->shown().round;
    const qint64 rest = left().value_or(0);
    LoopPlan plan = planned(*item);
    const LoopStill still = whereNow(m_stand->still(), m_picture, m_document.service());
    const auto at = plan.placeOf(still, round);
    if (at && !plan.members[size_t(at->member)].isLeftOut)
        goOnWith(std::move(plan), still, *at, rest);
    else
        stayWithout(std::move(plan), round, rest);
    m_planned = Clock::the().steady();
    wait();
    Q_EMIT changed();
}

/// What is shown is shown for as long as it was to be, wherever it stands now.
void RunLoop::goOnWith(LoopPlan plan, const LoopStill& still, const LoopPlace& at, qint64 rest) {
    LoopPlace from = at;
    from.shown = std::max<qint64>(0, plan.members[size_t(at.member)].each - rest);
    m_stand->plan = continued(std::move(plan), from, Clock::the().now());
    m_stand->showing = 0;
    m_planned = Clock::the().steady();
    if (const auto cue = cueOf(still, m_book); cue && !(m_run.state().onScreen == cue))
        m_run.goOnTo(*cue, false); // the same picture, at its new place
}

/// What is shown is no member any more: it stays until its time is over; what was to follow it does, or else
/// the next round.
void RunLoop::stayWithout(LoopPlan plan, int round, qint64 rest) {
    const LoopStill still = m_stand->still();
    LoopPlace behind{round, -1, 0, 0};
    if (const auto next = m_stand->next()) {
        const int roundThen = m_stand->plan.timeline.showings[size_t(m_stand->showing) + 1].round;
        const auto to = plan.placeOf(whereNow(*next, m_nextPicture, m_document.service()), roundThen);
        if (to && !plan.members[size_t(to->member)].isLeftOut)
            behind = *to;
    }
    LoopPlan other = continued(std::move(plan), behind, Clock::the().now().addMSecs(rest));
    for (LoopShowing& showing : other.timeline.showings) {
        showing.begins += rest;
        showing.ends += rest;
    }
    other.members.push_back({1, std::max(rest, kShortestStill)});
    other.stills.push_back(still);
    other.timeline.showings.insert(other.timeline.showings.begin(),
                                   {int(other.members.size()) - 1, 0, round, 0, rest});
    other.begins = Clock::the().now();
    m_stand->plan = std::move(other);
    m_stand->showing = 0;
}

/// Its end stays at its time of day; what lasts for a while goes on as if nothing was.
void RunLoop::clockWasSet(qint64 by) {
    const Item* item = loop();
    if (!item || m_stand->isOver)
        return;
    if (item->loop()->until != LoopUntil::Time)
        m_begun = m_begun.addMSecs(by);
    if (!m_stand->isPaused)
        goOnFrom(place());
}

/// A new day has other members.
void RunLoop::look() {
    if (const QDate today = Clock::the().date(); m_stand && today != m_day) {
        m_day = today;
        documentChanged();
    }
    Q_EMIT changed();
}

void RunLoop::pauseOrGoOn() {
    if (!m_stand || m_stand->isOver)
        return;
    const bool showsFilm = m_film.stands() && m_film.play() && !m_film.stands()->isOver;
    if (!m_stand->isPaused) {
        m_pausedLeft = left().value_or(0);
        m_stand->isPaused = true;
        wait();
        m_run.showAgain();
        Q_EMIT changed();
    } else {
        const LoopPlace from = place();
        m_stand->isPaused = false;
        goOnFrom(from);
    }
    if (showsFilm)
        m_film.pauseOrGoOn();
}

/// Along the whole loop, as it would go on without an end.
void RunLoop::goToMember(int by) {
    const Item* item = loop();
    if (!item)
        return;
    LoopPlan plan = planned(*item);
    plan.rule.length.reset();
    plan.rule.rounds.reset();
    const auto& showings = (plan.timeline = loopTimeline(plan.members, plan.rule)).showings;
    const LoopShowing now = m_stand->shown();
    const auto at = std::find_if(showings.begin(), showings.end(), [&](const LoopShowing& showing) {
        return showing.round == now.round && showing.member == now.member && showing.still == now.still;
    });
    const auto to = at == showings.end() ? -1 : (at - showings.begin()) + by;
    if (to < 0 || to >= std::ptrdiff_t(showings.size()))
        return;
    const LoopShowing& wanted = showings[size_t(to)];
    m_stand->isPaused = false;
    goOnFrom({wanted.round, wanted.member, wanted.still, 0});
}

void RunLoop::oneMoreRound() {
    if (!m_stand || (m_stand->plan.timeline.isEndless && !m_lastRound))
        return;
    const auto& showings = m_stand->plan.timeline.showings;
    m_lastRound = m_lastRound.value_or(showings.back().round) + 1;
    m_isLonger = true;
    if (m_stand->isPaused) {
        Q_EMIT changed();
        return;
    }
    goOnFrom(place());
}

void RunLoop::endBehindRound() {
    if (!m_stand || m_stand->isOver)
        return;
    m_lastRound = m_stand->shown().round;
    if (m_stand->isPaused)
        Q_EMIT changed();
    else
        goOnFrom(place());
}

/// A film that cannot be played has told it; the loop goes on without it.
void RunLoop::lookAtFilm(const QByteArray& key) {
    const auto film = m_film.play();
    const auto stands = film && filmKey(*film) == key ? m_player.film(key) : std::nullopt;
    if (m_stand && stands && !stands->problem.isEmpty() && film->item == m_stand->still().item.text())
        leaveOut(stands->problem);
}

void RunLoop::leaveOut(const QString& why) {
    const Item* item = loop();
    if (!item)
        return;
    m_broken.push_back({m_stand->still(), why});
    const auto next = m_stand->next();
    const int round = size_t(m_stand->showing) + 1 < m_stand->plan.timeline.showings.size()
                          ? m_stand->plan.timeline.showings[size_t(m_stand->showing) + 1].round
                          : 0;
    const LoopPlan plan = planned(*item);
    const auto to = next ? plan.placeOf(*next, round) : std::nullopt;
    const Item* member = m_document.service().item(m_stand->still().item);
    Q_EMIT failed(
        {tr("\u201c%1\u201d is left out of the loop: %2").arg(member ? member->title() : QString(), why),
         {},
         tr("The loop goes on. Choose another file on the Prepare desk.")});
    if (to && !plan.members[size_t(to->member)].isLeftOut)
        goOnFrom(*to);
    else
        end();
}

void RunLoop::keep() {
    if (!m_stand)
        return;
    const LoopPlace now = place();
    m_run.keepAlso(kKept,
                   keptLoopToJson({m_stand->loop, m_begun, Clock::the().now(), m_stand->still(), now.round,
                                   now.shown, m_stand->isPaused, m_stand->isOver, m_isLonger, m_lastRound}));
}

/// Behind a restart it is where it would be by the clock.
void RunLoop::takeUp() {
    const auto kept = keptLoopFromJson(m_run.keptAlso(kKept));
    const auto& cue = m_run.state().onScreen;
    const Item* item = kept ? m_document.service().item(kept->loop) : nullptr;
    if (!cue || !item || !item->loop() || !(stillOf(*cue, m_book) == kept->still))
        return;
    m_day = Clock::the().date();
    m_begun = kept->begun;
    m_isLonger = kept->isLonger;
    m_lastRound = kept->lastRound;
    LoopPlan plan = planned(*item);
    auto from = plan.placeOf(kept->still, kept->round);
    if (!from)
        return;
    from->shown = kept->shown;
    plan = continued(std::move(plan), *from, kept->at);
    if (plan.timeline.showings.empty())
        return;
    m_stand = Stand{item->id, std::move(plan), 0, kept->isPaused, kept->isOver};
    m_pausedLeft = m_stand->shown().ends;
    m_planned = Clock::the().steady() - std::max<qint64>(0, kept->at.msecsTo(Clock::the().now()));
    wait(); // what is due by now is due at once
    Q_EMIT changed();
}

} // namespace mivanta

#include "moc_RunLoop.cpp"
