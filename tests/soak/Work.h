// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta::soak {

/// Works on a service and on its files at random, as somebody at the desks does, until it is killed. Never
/// returns but for what is wrong.
int workOnServices(const QString& folder, quint32 seed);
/// The same for the songs of the library, with another program beside it.
int workOnSongs(const QString& folder, quint32 seed);
/// Brings back the backup named.
int bringBackup(const QString& folder, const QString& backup);

[[nodiscard]] QString libraryOf(const QString& folder);
[[nodiscard]] QString servicesDiary(const QString& folder);
[[nodiscard]] QString songsDiary(const QString& folder);
/// The files that services are saved to.
[[nodiscard]] QStringList serviceFiles(const QString& folder);

} // namespace mivanta::soak
