// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/LookProperty.h"
#include "core/theme/Theme.h"

namespace mivanta {

/// Who decides about a property, weakest first.
enum class LookLevel {
    BuiltIn,
    Output, ///< the output's theme
    Service,
    Kind, ///< of the item: all songs, all passages, all texts of the service
    /// A live item before it, whose picture stays behind what follows: over the item's theme, under what is
    /// set for the item itself.
    Live,
    Item,
    Slide,
    Insisted, ///< the output's theme again, for what the output insists on
};

/// What is chosen at one level: a theme, single properties on top of it, and objects besides the theme's.
struct LookChoice {
    QString theme; ///< id; empty = none at this level
    LookOverrides own;
    std::vector<SlideObject> objects;
    friend bool operator==(const LookChoice&, const LookChoice&) = default;

    [[nodiscard]] bool isEmpty() const { return theme.isEmpty() && own.isEmpty() && objects.empty(); }
};

/// A choice with its theme found. Points at both; null = nothing of it.
struct LookLayer {
    LookLevel level = LookLevel::BuiltIn;
    const Theme* theme = nullptr;
    const LookChoice* choice = nullptr;
};

/// Where the value of a property comes from.
struct LookSource {
    LookLevel level = LookLevel::BuiltIn;
    QString theme; ///< its name; empty = set for itself, or built in
    friend bool operator==(const LookSource&, const LookSource&) = default;
};

struct ResolvedLook {
    Look look;
    std::vector<LookSource> sources; ///< by the place of the property in lookProperties()

    [[nodiscard]] const LookSource& sourceOf(const LookProperty& property) const {
        return sources[indexOf(property)];
    }
    friend bool operator==(const ResolvedLook&, const ResolvedLook&) = default;
};

/// Property by property, what the strongest level says that says something: a level's own value before its
/// theme's, and the built-in look when none does. For the groups that are insisted on, only the layers of the
/// output's own level count. Objects of all levels' own choices stand on top of those of the look's theme.
///
/// `layers` are by rising level.
[[nodiscard]] ResolvedLook resolveLook(const std::vector<LookLayer>& layers,
                                       const std::vector<LookGroup>& insisted = {});

} // namespace mivanta
