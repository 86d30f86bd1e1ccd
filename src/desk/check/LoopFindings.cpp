// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/check/LoopFindings.h"
#include "core/base/Said.h"
#include "session/Session.h"
#include "session/service/LoopPlans.h"

namespace mivanta {

namespace {

constexpr int kMostNamedOut = 5;

void addLeftOut(const Item& loop, const LoopPlan& plan, std::vector<Finding>& findings) {
    if (plan.leftOut.empty())
        return;
    QStringList names;
    for (const LoopLeftOut& left : plan.leftOut)
        names << Said::tr("%1 (%2)", "what is not shown, and why").arg(left.title, left.why);
    if (names.size() > kMostNamedOut)
        names = names.mid(0, kMostNamedOut) + QStringList{QStringLiteral("\u2026")};
    findings.push_back(
        {Severity::Note, loop.id,
         Said::tr("%n of the loop are not shown on that day", nullptr, Said::n(plan.leftOut.size())),
         names.join(QStringLiteral(", "))});
}

void addFindingsOf(const Item& loop, const LoopPlan& plan, const Service& service,
                   std::vector<Finding>& findings) {
    const LoopItem& rule = *loop.loop();
    if (plan.timeline.showings.empty())
        findings.push_back(
            {Severity::Blocks, loop.id, Said::tr("Nothing goes round in this loop"),
             Said::tr("Put pictures, films or texts into it on the Prepare desk; it is passed over "
                      "while running.")});
    if (!plan.problem.isEmpty())
        findings.push_back(
            {Severity::Doubt, loop.id, Said::tr("The loop has no end: %1").arg(plan.problem),
             Said::tr("It goes round until something is taken. Say on the Prepare desk what ends it.")});
    if (rule.then == LoopThen::Item && !service.item(rule.thenItem))
        findings.push_back(
            {Severity::Doubt, loop.id, Said::tr("What comes at the loop's end is gone"),
             Said::tr("Its last picture would stay. Choose on the Prepare desk what comes then.")});
    addLeftOut(loop, plan, findings);
}

/// A link that was made on another computer does nothing here.
void addFolderFinding(const Item& loop, const FolderWatch& folders, std::vector<Finding>& findings) {
    const QString folder = loop.loop()->folder;
    if (!folder.isEmpty() && !folders.isFollowed(folder))
        findings.push_back({Severity::Note, loop.id,
                            Said::tr("The loop is linked to a folder of another computer: %1").arg(folder),
                            Said::tr("It shows the pictures that it has. Link it here, too, on the Prepare "
                                     "desk if new ones are to join.")});
}

} // namespace

std::vector<Finding> loopFindings(Session& session) {
    const Service& service = session.document().service();
    const Timetable& table = session.document().timetable();
    std::vector<Finding> findings;
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        if (!item.loop() || item.plan.skipped)
            continue;
        addFindingsOf(item, loopPlanOf(item, service, table.rows[i].begins, knownMembers(session.book())),
                      service, findings);
        addFolderFinding(item, session.folders(), findings);
    }
    return findings;
}

} // namespace mivanta
