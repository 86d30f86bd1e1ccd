// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Output.h"
#include <QSet>
#include <algorithm>

namespace mivanta {

QString Output::label() const {
    return name.isEmpty() ? name : name[0].toUpper() + name.mid(1);
}

std::vector<Output> usualOutputs() {
    Output hall;
    hall.name = QStringLiteral("hall");

    Output stage;
    stage.name = QStringLiteral("stage");
    stage.kind = OutputKind::Stage;
    stage.ownSteps = false;
    stage.showsChords = true;
    stage.showsBandOnly = true;
    stage.look.theme = QStringLiteral("stage-plain");
    stage.insists = allLookGroups();
    stage.pictureHeight = 0.5;
    stage.backRow = 3;

    Output stream;
    stream.name = QStringLiteral("stream");
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
    for (int i = 0; i < kLookGroups; ++i)
        groups.push_back(LookGroup(i));
    return groups;
}

ResolvedLook lookOn(const Output& output, const LookChain& chain, const LookChoice* slide) {
    std::vector<LookLayer> layers{{LookLevel::Output, chain.theme(output.look.theme), &output.look}};
    layers.insert(layers.end(), chain.layers.begin(), chain.layers.end());
    if (slide)
        layers.push_back({LookLevel::Slide, chain.theme(slide->theme), slide});
    // A theme that is gone cannot be insisted on: the service's look is better than none.
    const bool isGone = !output.look.theme.isEmpty() && !layers.front().theme;
    return resolveLook(layers, isGone ? std::vector<LookGroup>() : output.insists);
}

std::vector<Placement> placementsFor(const std::vector<Output>& outputs,
                                     const std::vector<Monitor>& monitors) {
    std::vector<Placement> result(outputs.size());
    QSet<QString> taken;
    const auto has = [&](const QString& name) {
        return std::any_of(monitors.begin(), monitors.end(),
                           [&](const Monitor& m) { return m.name == name; });
    };
    for (size_t i = 0; i < outputs.size(); ++i) {
        const OutputPlace& place = outputs[i].place;
        if (place.kind == PlaceKind::Monitor && has(place.monitor) && !taken.contains(place.monitor)) {
            result[i] = {Placement::Kind::FullScreen, place.monitor};
            taken.insert(place.monitor);
        } else if (place.kind != PlaceKind::Automatic && place.kind != PlaceKind::Closed) {
            result[i] = {Placement::Kind::Window, {}};
        }
    }
    for (size_t i = 0; i < outputs.size(); ++i) {
        if (outputs[i].place.kind != PlaceKind::Automatic)
            continue;
        const auto spare = std::find_if(monitors.begin(), monitors.end(), [&](const Monitor& m) {
            return !m.isDesk && !taken.contains(m.name);
        });
        if (spare == monitors.end()) {
            result[i] = {Placement::Kind::Window, {}};
        } else {
            result[i] = {Placement::Kind::FullScreen, spare->name};
            taken.insert(spare->name);
        }
    }
    return result;
}

} // namespace mivanta
