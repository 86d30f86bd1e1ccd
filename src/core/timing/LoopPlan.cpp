// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/LoopPlan.h"
#include "core/base/Said.h"
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {

constexpr qint64 kMostToTheEnd = 12 * 3600'000; // ms: an end that is farther away lies before the begin
constexpr qint64 kSecond = 1000;

/// Of its own, the same on every computer, another one on every day.
quint32 seedOf(const ItemId& loop, QDate day) {
    const QByteArray bytes = loop.text().toLatin1();
    quint32 seed = 2166136261U; // FNV-1a
    for (const char byte : bytes)
        seed = (seed ^ quint32(quint8(byte))) * 16777619U;
    return seed ^ quint32(day.isValid() ? day.toJulianDay() : 0);
}

int stepsOf(const Item& item, const Service& service, const LoopMembersKnown& known) {
    if (known.steps)
        return known.steps(item);
    return int(contentOf(item, service).entries.size());
}

/// Puts the members of the order into a plan.
class Members {
public:
    Members(LoopPlan& plan, const LoopItem& rule, const Service& service, const LoopMembersKnown& known,
            QDate day)
        : m_plan(plan),
          m_rule(rule),
          m_service(service),
          m_known(known),
          m_day(day) {}

    void add(const Item& item) {
        if (const auto* set = std::get_if<PictureItem>(&item.words)) {
            for (int i = 0; i < int(set->pictures.size()); ++i) {
                const OrderPicture& picture = set->pictures[size_t(i)];
                addTimes(item, i, picture.caption, timesOf(item, 1, picture.seconds));
            }
            return;
        }
        LoopMemberTimes times = timesOf(item, std::max(1, stepsOf(item, m_service, m_known)), 0);
        times.isWhole = times.stills > 1;
        if (const auto* film = std::get_if<FilmItem>(&item.words); film && film->length() > 0) {
            times.isFilm = true;
            times.each = qint64(std::llround(film->length() * kSecond));
        }
        addTimes(item, 0, item.title(), times);
    }

private:
    [[nodiscard]] LoopMemberTimes timesOf(const Item& item, int stills, int own) const {
        LoopMemberTimes times;
        times.stills = stills;
        const int seconds = own > 0 ? own : item.inLoop.seconds > 0 ? item.inLoop.seconds : m_rule.seconds;
        times.each = seconds * kSecond;
        times.everyRounds = item.inLoop.everyRounds;
        return times;
    }

    [[nodiscard]] QString problemOf(const Item& item, int still) const {
        if (item.plan.skipped)
            return Said::tr("left out today");
        if (!isInSeason(item, still, m_day)) {
            const auto* set = std::get_if<PictureItem>(&item.words);
            const TextItem* text = item.text();
            const Season own = text  ? Season{{}, text->text->lastDay, 0}
                               : set ? set->pictures[size_t(still)].season
                                     : Season();
            return seasonText(own.isOn(m_day) ? item.inLoop.season : own);
        }
        return m_known.problem ? m_known.problem(item, still) : QString();
    }

    void addTimes(const Item& item, int still, const QString& title, LoopMemberTimes times) {
        const QString problem = int(m_plan.members.size()) >= kMostLoopMembers
                                    ? Said::tr("a loop has %n members at most", nullptr, kMostLoopMembers)
                                    : problemOf(item, still);
        if (!problem.isEmpty())
            m_plan.leftOut.push_back({{item.id, still}, title, problem});
        if (int(m_plan.members.size()) >= kMostLoopMembers)
            return;
        times.isLeftOut = !problem.isEmpty();
        m_plan.members.push_back(times);
        m_plan.stills.push_back({item.id, still});
    }

    LoopPlan& m_plan;
    const LoopItem& m_rule;
    const Service& m_service;
    const LoopMembersKnown& m_known;
    QDate m_day;
};

/// The next time that it is so late; invalid when that would be an end before the begin.
QDateTime nextTime(const QTime& time, const QDateTime& begins) {
    QDateTime next = begins; // with its time zone
    next.setTime(time);
    if (next <= begins) {
        next.setDate(next.date().addDays(1));
        next.setTime(time); // where it is another one when clocks are changed
    }
    return begins.msecsTo(next) <= kMostToTheEnd ? next : QDateTime();
}

void endBy(LoopPlan& plan, const LoopItem& rule, const Item& loop, const Service& service) {
    std::optional<qint64> length;
    switch (rule.until) {
    case LoopUntil::Take:
        return;
    case LoopUntil::Rounds:
        plan.rule.rounds = rule.rounds;
        return;
    case LoopUntil::Length:
        length = rule.length * kSecond;
        break;
    case LoopUntil::Music: {
        const auto music = musicUnder(loop, service);
        const double seconds = music && music->end != MusicEnd::Again ? music->length() : 0;
        if (seconds > 0)
            length = qint64(std::llround(seconds * kSecond));
        else
            plan.problem = music ? Said::tr("how long its music lasts is not known")
                                 : Said::tr("there is no music in it that could end");
        break;
    }
    case LoopUntil::Time: {
        const QDateTime begins = plan.begins.isValid() || !loop.plan.at
                                     ? plan.begins
                                     : QDateTime(QDate(2000, 1, 3), *loop.plan.at);
        if (!begins.isValid() || !rule.untilTime.isValid())
            return;
        const QDateTime until = nextTime(rule.untilTime, begins);
        if (until.isValid())
            length = begins.msecsTo(until);
        else
            plan.problem = Said::tr("its end, %1, is over when it begins")
                               .arg(rule.untilTime.toString(QStringLiteral("HH:mm")));
        break;
    }
    }
    if (length)
        plan.rule.length = *length;
    if (plan.rule.length && plan.begins.isValid())
        plan.until = plan.begins.addMSecs(*plan.rule.length);
}

} // namespace

std::optional<LoopPlace> LoopPlan::placeOf(const LoopStill& still, int round) const {
    for (size_t i = 0; i < stills.size(); ++i)
        if (stills[i].item == still.item && still.still >= stills[i].still &&
            still.still < stills[i].still + members[i].stills)
            return LoopPlace{round, int(i), still.still - stills[i].still, 0};
    return std::nullopt;
}

QDateTime LoopPlan::ends() const {
    return begins.isValid() && !timeline.isEndless ? begins.addMSecs(timeline.ends()) : QDateTime();
}

int LoopPlan::roundSize() const {
    int size = 0;
    for (const LoopMemberTimes& member : members)
        size += member.isLeftOut || member.everyRounds > 1 ? 0 : member.stills;
    return size;
}

qint64 LoopPlan::roundLength() const {
    qint64 length = 0;
    for (const LoopMemberTimes& member : members)
        length += member.isLeftOut || member.everyRounds > 1 ? 0 : member.each * member.stills;
    return length;
}

namespace {

/// Everything but its timeline.
LoopPlan untimed(const Item& loop, const Service& service, const QDateTime& begins,
                 const LoopMembersKnown& known) {
    const LoopItem& rule = *loop.loop();
    const QDate day = begins.isValid() ? begins.date() : service.start.date();
    LoopPlan plan;
    plan.begins = begins;
    plan.rule.isShuffled = rule.isShuffled;
    plan.rule.seed = seedOf(loop.id, day);
    plan.rule.ending = rule.ending;
    Members members(plan, rule, service, known, known.day.isValid() ? known.day : day);
    for (const Item* item : membersOf(loop, service))
        members.add(*item);
    endBy(plan, rule, loop, service);
    return plan;
}

} // namespace

LoopPlan loopPlanOf(const Item& loop, const Service& service, const QDateTime& begins,
                    const LoopMembersKnown& known) {
    LoopPlan plan = untimed(loop, service, begins, known);
    plan.timeline = loopTimeline(plan.members, plan.rule);
    return plan;
}

std::optional<LoopStill> firstOf(const Item& loop, const Service& service, const QDateTime& begins,
                                 const LoopMembersKnown& known) {
    LoopPlan plan = untimed(loop, service, begins, known);
    plan.rule.rounds = 1;
    plan.timeline = loopTimeline(plan.members, plan.rule);
    return plan.timeline.showings.empty() ? std::nullopt
                                          : std::optional(plan.stillOf(plan.timeline.showings.front()));
}

QString stillName(const LoopStill& still, const Service& service) {
    const Item* item = service.item(still.item);
    const auto* set = item ? std::get_if<PictureItem>(&item->words) : nullptr;
    if (set && still.still >= 0 && still.still < int(set->pictures.size()) &&
        !set->pictures[size_t(still.still)].caption.isEmpty())
        return set->pictures[size_t(still.still)].caption;
    return item ? item->title() : QString();
}

LoopPlan continued(LoopPlan plan, const LoopPlace& from, const QDateTime& now) {
    plan.begins = now;
    plan.rule.length.reset();
    if (plan.until.isValid())
        plan.rule.length = std::max<qint64>(0, now.msecsTo(plan.until));
    plan.timeline = loopTimeline(plan.members, plan.rule, from);
    return plan;
}

QDateTime loopBegin(const Item& loop, const Service& service, const QDateTime& near) {
    if (!loop.plan.at)
        return {};
    const QDateTime around = near.isValid() ? near : service.start;
    if (!around.isValid())
        return {};
    QDateTime begins(around.date(), *loop.plan.at);
    if (begins.msecsTo(around) > kMostToTheEnd)
        begins = QDateTime(around.date().addDays(1), *loop.plan.at);
    else if (around.msecsTo(begins) > kMostToTheEnd)
        begins = QDateTime(around.date().addDays(-1), *loop.plan.at);
    return begins;
}

} // namespace mivanta
