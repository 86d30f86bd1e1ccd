// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/TimelineCommand.h"
#include "core/base/Said.h"
#include "core/timing/Chain.h"
#include "core/timing/Moment.h"
#include "core/timing/Timetable.h"
#include "store/ServiceStore.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <cmath>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr size_t kMostShown = 20'000; // of one loop

/// A time of day where the begin is known, else how long after it.
QString timeAt(const LoopPlan& plan, qint64 ms) {
    return plan.begins.isValid() ? plan.begins.addMSecs(ms).toString(u"HH:mm:ss"_s)
                                 : momentText(std::floor(double(ms) / 1000));
}

QJsonObject toJson(const Item& loop, const LoopPlan& plan, const Service& service,
                   const std::vector<ChainLink>& chain) {
    QJsonArray showings;
    for (size_t i = 0; i < std::min(kMostShown, plan.timeline.showings.size()); ++i) {
        const LoopShowing& showing = plan.timeline.showings[i];
        showings.append(QJsonObject{{u"begins"_s, timeAt(plan, showing.begins)},
                                    {u"ends"_s, timeAt(plan, showing.ends)},
                                    {u"round"_s, showing.round + 1},
                                    {u"what"_s, stillName(plan.stillOf(showing), service)}});
    }
    QJsonArray out;
    for (const LoopLeftOut& left : plan.leftOut)
        out.append(QJsonObject{{u"what"_s, left.title}, {u"why"_s, left.why}});
    QJsonArray follows;
    for (size_t i = 1; i < chain.size(); ++i) {
        QJsonObject link{{u"what"_s, service.item(chain[i].item)->title()}};
        if (chain[i].begins.isValid())
            link.insert(u"begins"_s, chain[i].begins.toString(u"HH:mm:ss"_s));
        follows.append(link);
    }
    QJsonObject json{{u"title"_s, loop.title()},
                     {u"rounds"_s, plan.timeline.rounds},
                     {u"endless"_s, plan.timeline.isEndless},
                     {u"gapSeconds"_s, double(plan.timeline.gap) / 1000},
                     {u"showings"_s, showings},
                     {u"leftOut"_s, out},
                     {u"byItselfBehind"_s, follows}};
    if (!plan.timeline.isEndless)
        json.insert(u"ends"_s, timeAt(plan, plan.timeline.ends()));
    if (!plan.problem.isEmpty())
        json.insert(u"problem"_s, plan.problem);
    return json;
}

void print(QTextStream& out, const Item& loop, const LoopPlan& plan, const Service& service,
           const std::vector<ChainLink>& chain) {
    out << u"# "_s << loop.title() << u'\n';
    if (!plan.problem.isEmpty())
        out << Said::tr("Its rule cannot be kept: %1").arg(plan.problem) << u'\n';
    for (size_t i = 0; i < std::min(kMostShown, plan.timeline.showings.size()); ++i) {
        const LoopShowing& showing = plan.timeline.showings[i];
        out << timeAt(plan, showing.begins) << u"  "_s << stillName(plan.stillOf(showing), service) << u'\n';
    }
    if (plan.timeline.isEndless)
        out << Said::tr("goes round until something is taken") << u'\n';
    else
        out << timeAt(plan, plan.timeline.ends()) << u"  "_s
            << Said::tr("end, after %n rounds", nullptr, plan.timeline.rounds) << u'\n';
    for (const LoopLeftOut& left : plan.leftOut)
        out << Said::tr("not shown: %1 (%2)").arg(left.title, left.why) << u'\n';
    for (size_t i = 1; i < chain.size(); ++i)
        out << (chain[i].begins.isValid() ? chain[i].begins.toString(u"HH:mm:ss"_s) + u"  "_s : QString())
            << Said::tr("%1, by itself").arg(service.item(chain[i].item)->title()) << u'\n';
}

} // namespace

Result<int> runTimeline(const Arguments& arguments, QTextStream& out) {
    const QString& path = arguments.words[1];
    const auto opened = openService(path);
    if (!opened)
        return tl::unexpected(opened.error());
    const Service& service = opened->service;
    const Timetable table = timetableOf(service);
    const auto isWanted = [&](size_t i) {
        return service.items[i].loop() && (arguments.item == 0 || arguments.item == int(i) + 1);
    };
    QJsonArray all;
    bool isAny = false;
    for (size_t i = 0; i < service.items.size(); ++i) {
        if (!isWanted(i))
            continue;
        isAny = true;
        const QDate day = service.start.isValid() ? service.start.date() : QDate::currentDate();
        const QDateTime begins =
            arguments.from.isValid() ? QDateTime(day, arguments.from) : table.rows[i].begins;
        const LoopPlan plan = loopPlanOf(service.items[i], service, begins);
        const std::vector<ChainLink> chain = chainFrom(service.items[i], service, begins);
        if (arguments.json)
            all.append(toJson(service.items[i], plan, service, chain));
        else
            print(out, service.items[i], plan, service, chain);
    }
    if (!isAny && arguments.item > 0)
        return failure(Said::tr("item %1 is no loop").arg(arguments.item), path,
                       Said::tr("Count items and headings from 1, as \"service show\" has them."));
    if (arguments.json)
        out << QJsonDocument(all).toJson();
    else if (!isAny)
        out << Said::tr("There is no loop in it.") << u'\n';
    return 0;
}

} // namespace mivanta
