// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QStringList>

namespace mivanta {

/// Where file dialogs begin, each kind of file by itself: where the last one was, else where such files
/// usually are.
enum class FolderKind { Services, Songs, Scripture, Texts, Themes, Pictures, Sounds, Exports, Missing };

/// The folder to begin in. That of services is made in the documents when it is first asked for.
[[nodiscard]] QString folderFor(FolderKind kind);
/// Something of this kind was chosen: a file, or (`isFolder`) a folder.
void noteFolder(FolderKind kind, const QString& path, bool isFolder = false);

/// A title as the name of a file: without what file systems refuse, and not too long. Never empty.
[[nodiscard]] QString fileNameOf(const QString& title);

} // namespace mivanta
