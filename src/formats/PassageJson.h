// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/scripture/Passage.h"
#include <QJsonArray>
#include <QJsonObject>

namespace mivanta {

[[nodiscard]] QJsonObject passageToJson(const Passage& passage);
/// Fails without a reference or without verses.
[[nodiscard]] Result<Passage> passageFromJson(const QJsonObject& json, const QString& where);

[[nodiscard]] QJsonArray rangesToJson(const Reference& reference);
/// Ranges that name no book are left out.
[[nodiscard]] Reference rangesFromJson(const QJsonArray& json);

[[nodiscard]] QJsonObject layoutToJson(const PassageLayout& layout);
[[nodiscard]] PassageLayout layoutFromJson(const QJsonObject& json);

/// The pieces of a verse; an empty array for a verse in one plain piece that goes on in its line.
[[nodiscard]] QJsonArray piecesToJson(const Verse& verse);
/// `words`: of the whole verse, for one without pieces of its own.
[[nodiscard]] std::vector<VersePiece> piecesFromJson(const QJsonArray& json, const QString& words);

[[nodiscard]] QJsonObject outlineToJson(const Outline& outline);
[[nodiscard]] Outline outlineFromJson(const QJsonObject& json);

} // namespace mivanta
