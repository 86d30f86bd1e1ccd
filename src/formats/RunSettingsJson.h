// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/run/RunSettings.h"
#include <QByteArray>

namespace mivanta {

[[nodiscard]] QByteArray runSettingsToJson(const RunSettings& settings);
/// Fails for what is no JSON object; values out of range are brought into it.
[[nodiscard]] Result<RunSettings> runSettingsFromJson(const QByteArray& bytes, const QString& where);

} // namespace mivanta
