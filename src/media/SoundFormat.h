// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QString>

namespace mivanta {

/// What a sound file is by its first bytes, as ffmpeg calls the reader of it ("wav", "ogg", "flac", "mp3",
/// "aac", "aiff", "mov"); empty when it is none of these. Players are told to use that reader and no other: a
/// file that is really a list of addresses would have them read other files, or ask a server.
[[nodiscard]] QByteArray soundFormatOf(const QString& path);

} // namespace mivanta
