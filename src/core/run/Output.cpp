// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Output.h"
#include "core/base/Said.h"
#include "core/run/Insisting.h"
#include <array>

namespace mivanta {

const OutputKindFacts& factsOf(OutputKind kind) {
    static constexpr std::array<OutputKindFacts, 3> all{{
        {OutputKind::Hall, "hall", true, true},
        {OutputKind::Stage, "stage", false, false},
        {OutputKind::Stream, "stream", true, false},
    }};
    return all[size_t(kind)];
}

QString Output::label() const {
    for (const char* usual : {QT_TRANSLATE_NOOP("Said", "Hall"), QT_TRANSLATE_NOOP("Said", "Stage"),
                              QT_TRANSLATE_NOOP("Said", "Stream")})
        if (name.compare(QLatin1String(usual), Qt::CaseInsensitive) == 0)
            return Said::tr(usual);
    return name.isEmpty() ? name : name[0].toUpper() + name.mid(1);
}

Colour Output::groundColour() const {
    switch (ground) {
    case Ground::Key:
        return {keyColour.red, keyColour.green, keyColour.blue, 255};
    case Ground::SeeThrough:
        return {0, 0, 0, 0};
    case Ground::Black:
        break;
    }
    return {0, 0, 0, 255};
}

std::vector<Output> usualOutputs() {
    Output hall;
    hall.name = QLatin1String(factsOf(OutputKind::Hall).key);

    Output stage;
    stage.name = QLatin1String(factsOf(OutputKind::Stage).key);
    stage.kind = OutputKind::Stage;
    stage.ownSteps = false;
    stage.showsChords = true;
    stage.showsBandOnly = true;
    stage.look.theme = QStringLiteral("stage-words-and-next");
    stage.insists = allLookGroups();
    stage.pictureHeight = 0.5;
    stage.backRow = 3;

    Output stream;
    stream.name = QLatin1String(factsOf(OutputKind::Stream).key);
    stream.kind = OutputKind::Stream;
    stream.linesAtMost = 2;
    stream.look.theme = QStringLiteral("lower-third");
    stream.insists = allLookGroups();
    stream.pictureHeight = 0.6; // a television set in a living room
    stream.backRow = 3;
    return {hall, stage, stream};
}

std::vector<LookGroup> allLookGroups() {
    std::vector<LookGroup> groups;
    groups.reserve(kLookGroups);
    for (int i = 0; i < kLookGroups; ++i)
        groups.push_back(LookGroup(i));
    return groups;
}

ResolvedLook lookOn(const Output& output, const LookChain& chain, const LookChoice* slide) {
    std::vector<LookLayer> layers{{LookLevel::Output, chain.theme(output.look.theme), &output.look}};
    for (const LookLayer& layer : chain.layers)
        if (layer.level != LookLevel::Live || chain.isBehindOn.value(output.name, showsFilms(output)))
            layers.push_back(layer);
    if (slide)
        layers.push_back({LookLevel::Slide, chain.theme(slide->theme), slide});
    // A theme that is gone cannot be insisted on: the service's look is better than none.
    const bool isGone = !output.look.theme.isEmpty() && !layers.front().theme;
    return resolveLook(layers, isGone ? std::vector<LookGroup>() : output.insists);
}

} // namespace mivanta
