// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemLook.h"
#include <algorithm>

namespace mivanta {

const LookChoice* ItemLook::slide(const SlidePlace& place) const {
    const auto at =
        std::find_if(slides.begin(), slides.end(), [&](const SlideLook& s) { return s.place == place; });
    return at == slides.end() ? nullptr : &at->choice;
}

void ItemLook::setSlide(const SlidePlace& place, LookChoice choice) {
    std::erase_if(slides, [&](const SlideLook& s) { return s.place == place; });
    if (!choice.isEmpty())
        slides.push_back({place, std::move(choice)});
}

const Theme* LookChain::theme(const QString& id) const {
    const Theme* found = own ? themeOf(id, *own) : nullptr;
    return !found && library ? themeOf(id, *library) : found;
}

LookChain plainChain(const Theme& ofService, const std::vector<Theme>& library) {
    return {{{LookLevel::Service, &ofService, nullptr}}, {}, nullptr, &library};
}

} // namespace mivanta
