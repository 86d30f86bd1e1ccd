// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/Lamp.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

namespace {

QString textOf(ShownKind kind) {
    switch (kind) {
    case ShownKind::Nothing:
        return Said::tr("Nothing on screen");
    case ShownKind::Black:
        return Said::tr("Black");
    case ShownKind::TestCard:
        return Said::tr("Test card");
    case ShownKind::HouseCard:
        return Said::tr("House card");
    case ShownKind::Backdrop:
        return Said::tr("Backdrop only");
    case ShownKind::PlainWords:
        return Said::tr("Plain words");
    case ShownKind::Words:
        return Said::tr("Words on screen");
    case ShownKind::Film:
        return Said::tr("Film on screen");
    case ShownKind::Picture:
        return Said::tr("Picture on screen");
    case ShownKind::Live:
        return Said::tr("Live picture on screen");
    }
    return {};
}

/// The curtain that most outputs have; the first's where there are as many of each.
Curtain usualCurtain(const std::vector<Shown>& outputs) {
    Curtain usual = Curtain::Open;
    long most = 0;
    for (const Shown& each : outputs) {
        const long count = std::count_if(outputs.begin(), outputs.end(), [&](const Shown& other) {
            return other.origin.curtain == each.origin.curtain;
        });
        if (count > most)
            usual = each.origin.curtain;
        most = std::max(most, count);
    }
    return usual;
}

} // namespace

LampState lampOf(const std::vector<Shown>& outputs, const LampFacts& more) {
    const Curtain curtain = usualCurtain(outputs);
    const auto isApart = [&](const Shown& each) {
        return each.origin.isFrozen || each.origin.curtain != curtain;
    };
    const auto isTestCard = [](const Shown& each) { return each.kind == ShownKind::TestCard; };
    // What most of them do is what the first of these shows: a hall, as a rule.
    auto first = std::find_if(outputs.begin(), outputs.end(),
                              [&](const Shown& each) { return !isApart(each) && !isTestCard(each); });
    if (first == outputs.end())
        first = outputs.begin();
    const ShownKind kind = first == outputs.end() ? ShownKind::Nothing : first->kind;
    LampState lamp;
    lamp.lit = kind == ShownKind::Words || kind == ShownKind::PlainWords || kind == ShownKind::Picture ||
               kind == ShownKind::Film || kind == ShownKind::Live;
    QStringList facts{textOf(kind)};
    if (!more.otherService.isEmpty())
        facts << Said::tr("from \u201c%1\u201d").arg(more.otherService);
    facts << Said::tr("%n outputs", nullptr, Said::n(outputs.size()));
    if (std::any_of(outputs.begin(), outputs.end(), [](const Shown& each) { return each.hasCallOut; }))
        facts << Said::tr("call-out");
    if (const auto apart = std::count_if(outputs.begin(), outputs.end(), isApart); apart > 0)
        facts << Said::tr("%1 apart").arg(apart);
    if (more.withoutScreen > 0)
        facts << Said::tr("%1 without a screen").arg(more.withoutScreen);
    if (kind != ShownKind::TestCard && std::any_of(outputs.begin(), outputs.end(), isTestCard))
        facts << Said::tr("test card");
    facts = more.lost + facts; // first, where there is little room
    if (!more.recording.isEmpty())
        facts.prepend(QStringLiteral("\u25cf ") + more.recording);
    lamp.text = facts.join(QStringLiteral(" \u00b7 "));
    return lamp;
}

} // namespace mivanta
