// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/StageField.h"
#include <algorithm>

namespace mivanta {

const std::vector<StageField>& stageFields() {
    static const std::vector<StageField> fields{
        {"part", QT_TRANSLATE_NOOP("Said", "Part"), QT_TRANSLATE_NOOP("Said", "Verse 2")},
        {"follows", QT_TRANSLATE_NOOP("Said", "What follows"), QT_TRANSLATE_NOOP("Said", "C  B  C")},
        {"next-words", QT_TRANSLATE_NOOP("Said", "Next words"),
         QT_TRANSLATE_NOOP("Said", "Shine on, shine on\ntill every boat is home")},
        {"item", QT_TRANSLATE_NOOP("Said", "Item"), QT_TRANSLATE_NOOP("Said", "Lantern on the Water")},
        {"next-item", QT_TRANSLATE_NOOP("Said", "Next item"), QT_TRANSLATE_NOOP("Said", "Every Tide")},
        {"key", QT_TRANSLATE_NOOP("Said", "Key and capo"), QT_TRANSLATE_NOOP("Said", "G, capo 2")},
        {"note", QT_TRANSLATE_NOOP("Said", "Stage note"), QT_TRANSLATE_NOOP("Said", "Keys alone at first")},
        {"place", QT_TRANSLATE_NOOP("Said", "Item number"), QT_TRANSLATE_NOOP("Said", "4 of 12")},
        {"film-left", QT_TRANSLATE_NOOP("Said", "What is left of the film, or of the loop"),
         QT_TRANSLATE_NOOP("Said", "1:35")},
        {"leader", QT_TRANSLATE_NOOP("Said", "Who leads"), QT_TRANSLATE_NOOP("Said", "Maren Holt")},
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
