// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include <QString>
#include <vector>

namespace mivanta {

/// Something that an object of the kind Field says of the run, by the key that stands in its text.
struct StageField {
    const char* key;
    const char* name;   ///< in English, for label()
    const char* sample; ///< what a preview shows, in English, for sampleText()

    [[nodiscard]] QString label() const { return Said::tr(name); } ///< "Next words"
    [[nodiscard]] QString sampleText() const { return Said::tr(sample); }
};

[[nodiscard]] const std::vector<StageField>& stageFields();
/// Null for a key that there is not.
[[nodiscard]] const StageField* stageFieldOf(const QString& key);

} // namespace mivanta
