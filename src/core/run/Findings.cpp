// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Findings.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

namespace {

void addFitFindings(std::vector<Finding>& findings, const Item& item, const ItemSlides& slides) {
    for (const OutputSlides& output : slides.outputs) {
        const QString where = output.output.label();
        if (output.reason.cause == FitCause::TooNarrow)
            findings.push_back({Severity::Blocks, item.id,
                                Said::tr("%1: words run out of the picture").arg(where),
                                Said::tr("%1. Use a theme with a larger words box.").arg(output.reasonText)});
        else if (output.reason.cause == FitCause::MoreSlides)
            findings.push_back(
                {Severity::Doubt, item.id, Said::tr("%1: more slides than usual").arg(where),
                 Said::tr("%1. Shorter lines would keep it together.").arg(output.reasonText)});
    }
}

void addSongFindings(std::vector<Finding>& findings, const Item& item, const Song& song) {
    const bool silent = std::none_of(song.parts.begin(), song.parts.end(),
                                     [](const Part& p) { return p.hasWords() && !p.bandOnly; });
    if (silent)
        findings.push_back({Severity::Doubt, item.id, Said::tr("No words to show"),
                            Said::tr("The hall screen will show the backdrop only.")});
    if (song.authors.empty() && song.copyright.isEmpty())
        findings.push_back({Severity::Note, item.id, Said::tr("No author or copyright"),
                            Said::tr("The credit line will name only the title.")});
    if (song.licenceNumber.isEmpty())
        findings.push_back({Severity::Note, item.id, Said::tr("No licence number"),
                            Said::tr("Add it if the song is sung under a licence.")});
}

void addSlotFindings(std::vector<Finding>& findings, const Service& service) {
    for (const Item& item : service.items)
        if (item.isSlot() && !item.plan.skipped)
            findings.push_back(
                {Severity::Doubt, item.id, Said::tr("Nothing is chosen yet"),
                 Said::tr("Find fills this place on the Prepare desk; while running it is passed over.")});
}

} // namespace

std::vector<Finding> findingsOf(const Service& service, const Lineup& lineup) {
    std::vector<Finding> findings;
    for (int i = 0; i < lineup.itemCount(); ++i) {
        const Item* item = service.item(lineup.itemId(i));
        if (!item)
            continue;
        addFitFindings(findings, *item, lineup.slides(i));
        if (const Song* song = item->song())
            addSongFindings(findings, *item, *song);
    }
    addSlotFindings(findings, service);
    std::stable_sort(findings.begin(), findings.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return findings;
}

} // namespace mivanta
