// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "store/Library.h"

namespace mivanta {

/// A song, text or theme that a service has otherwise than the library, or that the library lacks. What was
/// changed for the service alone (from the version that the library still has) is none.
struct LibraryDifference {
    using Words = std::variant<std::shared_ptr<const Song>, std::shared_ptr<const SpokenText>, Theme>;
    Words here;                 ///< as the service has it
    std::optional<Words> there; ///< as the library has it; nothing = not there
    std::vector<ItemId> items;  ///< that have it; empty for a theme
    QString title;
    QStringList what; ///< what differs, in words for people; empty when it is not there
    QString key;      ///< says which difference this is, until either side changes
};

/// In the order of the service: songs and texts as they come, then themes.
[[nodiscard]] Result<std::vector<LibraryDifference>> differencesOf(const Service& service, Library& library);

/// Has the library take it over as the service has it; the version before is kept there. What it is then.
[[nodiscard]] Result<LibraryDifference::Words> putInto(Library& library, const LibraryDifference& difference);

} // namespace mivanta
