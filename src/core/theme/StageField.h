// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <vector>

namespace mivanta {

/// Something that an object of the kind Field says of the run, by the key that stands in its text.
struct StageField {
    const char* key;
    const char* name;   ///< "Next words"
    const char* sample; ///< what a preview shows
};

[[nodiscard]] const std::vector<StageField>& stageFields();
/// Null for a key that there is not.
[[nodiscard]] const StageField* stageFieldOf(const QString& key);

} // namespace mivanta
