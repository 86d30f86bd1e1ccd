// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include "core/theme/Theme.h"
#include <vector>

namespace mivanta {

/// One part's words as slides are made from them, whatever kind of item they come from.
struct ContentPart {
    QString label;
    QString shortLabel;
    bool bandOnly = false;
    QString comment;
    std::vector<Line> lines;
    bool isBlank = false; ///< an empty slide on every output
};

/// One time that a part comes up, in the order in which it is sung or said.
struct ContentEntry {
    int part = 0;      ///< index into ItemContent::parts
    int pass = 1;      ///< 1 to passes
    int passes = 1;    ///< how many times in a row the part comes here
    QString stageNote; ///< for stage monitors
};

struct ItemContent {
    std::vector<ContentPart> parts;
    std::vector<ContentEntry> entries;
    CreditFields credit;
};

/// A song's parts and the order in which they are sung; entries naming a part that is gone are left out.
[[nodiscard]] ItemContent contentOf(const Song& song);

} // namespace mivanta
