// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/StageField.h"
#include <algorithm>

namespace mivanta {

const std::vector<StageField>& stageFields() {
    static const std::vector<StageField> fields{
        {"part", "Part", "Verse 2"},
        {"follows", "What follows", "C  B  C"},
        {"next-words", "Next words", "Shine on, shine on\ntill every boat is home"},
        {"item", "Item", "Lantern on the Water"},
        {"next-item", "Next item", "Every Tide"},
        {"key", "Key and capo", "G, capo 2"},
        {"note", "Stage note", "Keys alone at first"},
        {"place", "Item number", "4 of 12"},
        {"leader", "Who leads", "Maren Holt"},
    };
    return fields;
}

const StageField* stageFieldOf(const QString& key) {
    const auto& all = stageFields();
    const auto at = std::find_if(all.begin(), all.end(),
                                 [&](const StageField& each) { return key == QLatin1String(each.key); });
    return at == all.end() ? nullptr : &*at;
}

} // namespace mivanta
