// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QIODevice>
#include <algorithm>

namespace mivanta {

/// What a device has, `most` bytes of it at most. Takes the memory of what is there: QIODevice::read() makes
/// room for all that it is asked for.
[[nodiscard]] inline QByteArray readUpTo(QIODevice& device, qint64 most) {
    constexpr qint64 kLeast = 4096;
    constexpr qint64 kPiece = 256 * 1024;
    QByteArray bytes;
    while (bytes.size() < most) {
        const qint64 piece = std::clamp(device.bytesAvailable() + 1, kLeast, kPiece);
        const QByteArray more = device.read(std::min(piece, most - bytes.size()));
        if (more.isEmpty())
            break;
        bytes += more;
    }
    return bytes;
}

} // namespace mivanta
