// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/Cascade.h"
#include <algorithm>

namespace mivanta {

namespace {

void apply(ResolvedLook& into, const LookLayer& layer) {
    if (layer.theme) {
        into.look = layer.theme->look;
        std::fill(into.sources.begin(), into.sources.end(), LookSource{layer.level, layer.theme->name});
    }
    if (!layer.choice)
        return;
    layer.choice->own.applyTo(into.look);
    for (const LookProperty* property : layer.choice->own.properties())
        into.sources[indexOf(*property)] = {layer.level, {}};
}

ResolvedLook resolved(const std::vector<LookLayer>& layers, LookLevel most) {
    ResolvedLook result;
    result.sources.resize(lookProperties().size());
    for (const LookLayer& layer : layers)
        if (layer.level <= most)
            apply(result, layer);
    const LookProperty& objects = *lookProperty(QStringLiteral("objects"));
    for (const LookLayer& layer : layers)
        if (layer.level <= most && layer.choice && !layer.choice->objects.empty()) {
            auto& all = result.look.objects;
            all.insert(all.end(), layer.choice->objects.begin(), layer.choice->objects.end());
            result.sources[indexOf(objects)] = {layer.level, {}};
        }
    return result;
}

} // namespace

ResolvedLook resolveLook(const std::vector<LookLayer>& layers, const std::vector<LookGroup>& insisted) {
    ResolvedLook result = resolved(layers, LookLevel::Slide);
    if (insisted.empty())
        return result;
    const ResolvedLook own = resolved(layers, LookLevel::Output);
    for (const LookProperty& property : lookProperties()) {
        if (std::find(insisted.begin(), insisted.end(), property.group) == insisted.end())
            continue;
        property.set(result.look, property.get(own.look));
        result.sources[indexOf(property)] = {LookLevel::Insisted, own.sourceOf(property).theme};
    }
    return result;
}

} // namespace mivanta
