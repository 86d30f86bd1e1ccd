// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <optional>

namespace mivanta {

/// The kind, number and name that a heading such as "Verse 2", "pre chorus" or "BRIDGE" stands for.
struct PartHeading {
    PartKind kind = PartKind::Verse;
    int number = 0;
    QString name;                 ///< for PartKind::Other
    std::optional<bool> bandOnly; ///< "(band only)" or "(sung)" behind it
};

/// Reads the words of a heading, without brackets, '#' or ':'. Nothing when it is no known part name.
[[nodiscard]] std::optional<PartHeading> readPartHeading(const QString& words);
/// The same for words that are surely a heading: what is no known name is PartKind::Other with that name.
[[nodiscard]] PartHeading readAnyHeading(const QString& words);

} // namespace mivanta
