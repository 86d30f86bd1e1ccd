// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ImportPlan.h"

namespace mivanta {

QString outcomeName(ImportOutcome outcome) {
    static const char* const names[kImportOutcomes]{"added", "changed", "unchanged", "refused", "left out"};
    return QString::fromLatin1(names[int(outcome)]);
}

} // namespace mivanta
