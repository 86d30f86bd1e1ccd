// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QStringList>

namespace mivanta {

/// Where file dialogs begin, each kind of file by itself: where the last one was, else where such files
/// usually are.
enum class FolderKind {
    Services,
    Songs,
    Scripture,
    Texts,
    Themes,
    Pictures,
    Films,
    Sounds,
    Exports,
    Missing
};

/// The folder to begin in. That of services is made in the documents when it is first asked for.
[[nodiscard]] QString folderFor(FolderKind kind);
/// A file of this kind was chosen. An empty path changes nothing.
void noteFile(FolderKind kind, const QString& path);
/// The same for a whole folder.
void noteFolder(FolderKind kind, const QString& folder);

} // namespace mivanta
