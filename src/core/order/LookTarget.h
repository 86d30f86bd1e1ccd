// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <functional>

namespace mivanta {

/// What in a service a look is chosen for.
struct LookTarget {
    LookLevel level = LookLevel::Service; ///< Service, Kind, Item or Slide
    ItemKind kind = ItemKind::Song;       ///< for Kind
    std::vector<ItemId> items;            ///< for Item: all of these; for Slide: the one
    SlidePlace place;                     ///< for Slide
};

/// What is chosen there; of several items, the first. Of the service, its theme is not among it.
[[nodiscard]] LookChoice choiceAt(const Service& service, const LookTarget& target);

/// Changes what is chosen there, on every item of the target. A theme for the service becomes its theme;
/// themes that are used are copied from the library into the service, so that it opens anywhere, and those
/// that nothing uses any more leave it.
void changeChoice(Service& service, const LookTarget& target, const std::vector<Theme>& library,
                  const std::function<void(LookChoice&)>& change);

} // namespace mivanta
