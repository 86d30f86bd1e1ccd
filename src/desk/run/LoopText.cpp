// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/LoopText.h"
#include "core/base/Said.h"
#include "core/timing/Moment.h"
#include <cmath>

namespace mivanta {

QString loopNowText(Session& session) {
    const auto& stand = session.loop().stand();
    const Item* loop = stand ? session.document().service().item(stand->loop) : nullptr;
    if (!loop)
        return {};
    const auto& timeline = stand->plan.timeline;
    const int round = stand->shown().round + 1;
    const QString place = timeline.isEndless ? Said::tr("round %1").arg(round)
                                             : Said::tr("round %1 of %2").arg(round).arg(timeline.rounds);
    return Said::tr("%1: %2 \u00b7 %3", "a loop, what it shows, its round")
        .arg(loop->title(), stillName(stand->still(), session.document().service()), place);
}

QString loopNextText(Session& session) {
    const RunLoop& run = session.loop();
    const auto& stand = run.stand();
    const Item* loop = stand ? session.document().service().item(stand->loop) : nullptr;
    if (!loop)
        return {};
    if (stand->isOver)
        return Said::tr("It is over: its last picture stays until something is taken.");
    const Item* follows = followsLoop(*loop, session.document().service());
    const QString end = loop->loop()->then == LoopThen::HouseCard   ? Said::tr("the house card")
                        : follows && session.run().goesOnByItself() ? follows->title()
                                                                    : Said::tr("its last picture stays");
    if (stand->isPaused)
        return Said::tr("Paused. At its end: %1.").arg(end);
    const QString left = durationText(int((run.left().value_or(0) + 999) / 1000));
    const auto next = stand->next();
    if (!next)
        return Said::tr("In %1: %2.", "a time, what comes at the end").arg(left, end);
    const QString name = stillName(*next, session.document().service());
    return run.endsBehindRound() || !stand->plan.timeline.isEndless
               ? Said::tr("In %1: %2. At its end: %3.").arg(left, name, end)
               : Said::tr("In %1: %2. It goes round until something is taken.").arg(left, name);
}

QString loopLeftText(Session& session) {
    const QDateTime ends = session.loop().ends();
    return ends.isValid()
               ? momentText(std::ceil(double(std::max<qint64>(0, Clock::the().now().msecsTo(ends))) / 1000))
               : QString();
}

} // namespace mivanta
