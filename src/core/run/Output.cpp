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
    stage.insistedTheme = QStringLiteral("stage-plain");

    Output stream;
    stream.name = QStringLiteral("stream");
    stream.kind = OutputKind::Stream;
    stream.linesAtMost = 2;
    stream.insistedTheme = QStringLiteral("lower-third");
    return {hall, stage, stream};
}

Look lookFor(const Output& output, const Theme& service, const std::vector<Theme>& themes) {
    const auto insisted = std::find_if(themes.begin(), themes.end(), [&](const Theme& t) {
        return !output.insistedTheme.isEmpty() && t.id == output.insistedTheme;
    });
    return insisted == themes.end() ? service.look : insisted->look;
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
