// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/Zip.h"
#include <utility>

namespace mivanta {

/// A ZIP file of these entries.
inline QByteArray zipWith(const std::vector<std::pair<QByteArray, QByteArray>>& entries) {
    std::vector<ZipEntry> named;
    for (const auto& [name, bytes] : entries)
        named.push_back({QString::fromUtf8(name), bytes});
    return zipOf(named).value();
}

} // namespace mivanta
