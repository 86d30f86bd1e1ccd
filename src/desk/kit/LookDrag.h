// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QStringList>
#include <optional>

class QMimeData;

namespace mivanta {

/// What changes a look where it is dropped: a theme of the library, a theme file, a picture or a film.
struct LookDrop {
    QString theme; ///< id; empty = a file
    QString file;  ///< of a picture, a film or a theme
    bool isThemeFile = false;
};

/// Nothing for what changes no look. Several files are none of ours.
[[nodiscard]] std::optional<LookDrop> lookDropIn(const QMimeData& data);

/// A theme as it is dragged; the caller owns it.
[[nodiscard]] QMimeData* themeToDrag(const QString& id);
[[nodiscard]] QStringList localFilesIn(const QMimeData& data);

} // namespace mivanta
