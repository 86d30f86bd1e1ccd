// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Cascade.h"

namespace mivanta {

/// What looks can be chosen for all items of. A countdown counts as a pause.
enum class ItemKind { Song, Passage, Text, Picture, Pause };

/// Lines of one part, one of the times that it comes. Named by the part, so that it stays where it is when
/// the order of the parts changes.
struct SlidePlace {
    QString part;   ///< its key
    int time = 1;   ///< 1 = the first time that the part comes in the item
    int line = 0;   ///< the first line of the slide
    int toLine = 0; ///< its last line, inclusive
    friend bool operator==(const SlidePlace&, const SlidePlace&) = default;
};

/// The look of one slide. On outputs that split differently it holds for the slides that begin in its lines.
struct SlideLook {
    SlidePlace place;
    LookChoice choice;
    friend bool operator==(const SlideLook&, const SlideLook&) = default;
};

/// What was chosen for an item.
struct ItemLook {
    LookChoice choice;
    std::vector<SlideLook> slides; ///< no two of the same place, none empty
    friend bool operator==(const ItemLook&, const ItemLook&) = default;

    [[nodiscard]] const LookChoice* slide(const SlidePlace& place) const;
    /// An empty choice takes the slide's look away.
    void setSlide(const SlidePlace& place, LookChoice choice);
};

/// Everything that decides how an item looks, but the output. Points into the service and the themes that it
/// was made from.
struct LookChain {
    std::vector<LookLayer> layers; ///< of service, kind, live item and item, by rising level
    std::vector<SlideLook> slides;
    const std::vector<Theme>* own = nullptr;     ///< where themes are looked for: the service's copies first
    const std::vector<Theme>* library = nullptr; ///< then these; either may be null
    std::shared_ptr<const LookChoice> behind;    ///< of LookLevel::Live, where there is one
    QMap<QString, bool> isBehindOn;              ///< by output, as LiveItem has it

    /// The theme of this id; null when there is none.
    [[nodiscard]] const Theme* theme(const QString& id) const;
};

/// The chain of an item without choices of its own in a service of this theme.
[[nodiscard]] LookChain plainChain(const Theme& ofService, const std::vector<Theme>& library);

} // namespace mivanta
