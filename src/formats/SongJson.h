// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include <QJsonObject>

namespace mivanta {

/// A song as docs/formats.md describes it. Empty details are left out.
[[nodiscard]] QJsonObject songToJson(const Song& song);
/// Fails when there is no id or no title; numbers out of range are brought into it.
[[nodiscard]] Result<Song> songFromJson(const QJsonObject& json, const QString& where);

} // namespace mivanta
