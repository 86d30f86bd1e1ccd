// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

struct zip;
struct zip_source;

namespace mivanta {

// libzip moves 8 KiB at a time; these read and write files in larger pieces, so that packing films is limited
// by the disk and not by calls to the system.

/// A file to be read once, from its begin to its end. Null when libzip has no memory.
[[nodiscard]] zip_source* zipSourceOf(zip* archive, const QString& path);

/// A file to be written that must not be there yet; closing the archive brings it to the disk. A file that
/// was begun and not finished is removed.
[[nodiscard]] zip_source* zipTargetOf(const QString& path);

} // namespace mivanta
