// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LoopWords.h"
#include "core/base/Said.h"
#include "core/timing/Moment.h"
#include <cmath>
#include <map>

namespace mivanta {

QStringList memberNames(const LoopPlan& plan, const Service& service) {
    QStringList names;
    for (const LoopStill& still : plan.stills)
        names << stillName(still, service);
    return names;
}

QString roundsText(const LoopPlan& plan, const Service& service) {
    const auto& timeline = plan.timeline;
    if (timeline.showings.empty())
        return Said::tr("nothing of it would be shown");
    const QString each =
        Said::tr("%n stills or films a round, %1", "begins a line of facts", plan.roundSize())
            .arg(durationText(int(std::lround(double(plan.roundLength()) / 1000))));
    QStringList facts{timeline.isEndless ? each
                                         : Said::tr("%n rounds", nullptr, timeline.rounds) +
                                               QStringLiteral(" \u00b7 ") + each};
    std::map<int, int> times; // of what comes every few rounds
    for (const LoopShowing& showing : timeline.showings)
        if (plan.members[size_t(showing.member)].everyRounds > 1 && showing.still == 0)
            ++times[showing.member];
    for (const auto& [member, count] : times)
        facts << (timeline.isEndless
                      ? Said::tr("%1 every %n rounds", nullptr, plan.members[size_t(member)].everyRounds)
                            .arg(stillName(plan.stills[size_t(member)], service))
                      : Said::tr("%1 %n times", nullptr, count)
                            .arg(stillName(plan.stills[size_t(member)], service)));
    return facts.join(QStringLiteral(" \u00b7 "));
}

QString chainText(const std::vector<ChainLink>& chain, const Service& service) {
    QStringList links;
    for (const ChainLink& link : chain) {
        const Item* item = service.item(link.item);
        const QString title = item ? item->title() : QString();
        const bool isWhole = link.begins.isValid() && link.begins.time().second() == 0;
        links << (link.begins.isValid()
                      ? link.begins.toString(isWhole ? QStringLiteral("HH:mm") : QStringLiteral("HH:mm:ss")) +
                            u' ' + title
                      : title);
    }
    return Said::tr("By itself: %1; then it waits for a take.").arg(links.join(QStringLiteral(" \u2192 ")));
}

QString thenText(const Item& loop, const Service& service) {
    if (loop.loop()->then == LoopThen::HouseCard)
        return Said::tr("house card");
    const Item* next = followsLoop(loop, service);
    return next ? next->title() : QString();
}

QString loopFacts(const Item& loop, const LoopPlan& plan) {
    QStringList facts{kindText(loop.words)};
    if (loop.loop()->beginsByItself && loop.plan.at)
        facts << Said::tr("begins by itself at %1, once armed")
                     .arg(loop.plan.at->toString(QStringLiteral("HH:mm")));
    const QDateTime ends = plan.ends();
    if (!plan.problem.isEmpty())
        facts << plan.problem;
    else if (plan.timeline.isEndless)
        facts << Said::tr("goes round until something is taken");
    else if (ends.isValid()) {
        const QString at = ends.time().toString(QStringLiteral("HH:mm:ss"));
        const int gap = int(plan.timeline.gap / 1000);
        const bool hasTime = loop.loop()->until == LoopUntil::Time && gap > 0;
        facts << (hasTime
                      ? Said::tr("ends at %1, %2 before %3")
                            .arg(at, durationText(gap), plan.until.time().toString(QStringLiteral("HH:mm")))
                      : Said::tr("ends at %1").arg(at));
    } else {
        facts << Said::tr("takes %1").arg(durationText(int((plan.timeline.ends() + 999) / 1000)));
    }
    return facts.join(QStringLiteral(" \u00b7 "));
}

} // namespace mivanta
