// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/live/LiveInput.h"
#include <QByteArray>
#include <QJsonObject>

namespace mivanta {

/// The file of a computer's live inputs: a JSON array, an object for each. What is secret is never in it.
[[nodiscard]] QByteArray liveInputsToJson(const std::vector<LiveInput>& inputs);
/// Fails on what is no JSON, and on an input that is none or has the identity of another.
[[nodiscard]] Result<std::vector<LiveInput>> liveInputsFromJson(const QByteArray& bytes,
                                                                const QString& where);

/// One of them, as services carry it, too.
[[nodiscard]] QJsonObject liveInputToJson(const LiveInput& input);
/// Nothing for one that is none, or has something out of its range.
[[nodiscard]] std::optional<LiveInput> liveInputFromJson(const QJsonObject& json);

} // namespace mivanta
