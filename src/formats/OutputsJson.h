// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/run/Output.h"
#include <QByteArray>

namespace mivanta {

/// The outputs file: a JSON array, an object for each output.
[[nodiscard]] QByteArray outputsToJson(const std::vector<Output>& outputs);
/// Fails on what is no JSON, on an output without a name or with the name of another, and on no outputs.
[[nodiscard]] Result<std::vector<Output>> outputsFromJson(const QByteArray& bytes, const QString& where);

} // namespace mivanta
