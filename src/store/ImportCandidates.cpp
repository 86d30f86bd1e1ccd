// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ImportCandidates.h"
#include "core/base/Said.h"
#include <array>

namespace mivanta {

namespace {

constexpr std::array<std::pair<const char*, const char*>, kImportOutcomes> kOutcomes{
    {{"added", QT_TRANSLATE_NOOP("Said", "added")},
     {"changed", QT_TRANSLATE_NOOP("Said", "changed")},
     {"unchanged", QT_TRANSLATE_NOOP("Said", "unchanged")},
     {"refused", QT_TRANSLATE_NOOP("Said", "refused")},
     {"left out", QT_TRANSLATE_NOOP("Said", "left out")}}}; // for machines

} // namespace

QString outcomeKey(ImportOutcome outcome) {
    return QLatin1String(kOutcomes[size_t(outcome)].first);
}

QString outcomeName(ImportOutcome outcome) {
    return Said::tr(kOutcomes[size_t(outcome)].second);
}

} // namespace mivanta
