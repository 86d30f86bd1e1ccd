// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QStringList>
#include <optional>

namespace mivanta {

enum class MediumKind { Picture, Film, Sound };

/// Suffixes of the files that can be shown or heard, lower case.
[[nodiscard]] const QStringList& pictureSuffixes();
[[nodiscard]] const QStringList& filmSuffixes();
[[nodiscard]] const QStringList& soundSuffixes();
[[nodiscard]] const QStringList& suffixesOf(MediumKind kind);

/// By what the file is called; nothing for other files.
[[nodiscard]] std::optional<MediumKind> mediumKindOf(const QString& path);

} // namespace mivanta
