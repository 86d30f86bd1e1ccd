// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QString>

namespace mivanta {

/// What a film's file is by its first bytes, as ffmpeg calls the reader of it ("mov", "matroska", "avi",
/// "mpeg", "mpegts", "asf", "flv", "ogg", "gif"); empty when it is none of these. As for sounds, that reader
/// and no other is used.
[[nodiscard]] QByteArray filmFormatOf(const QString& path);

/// Whether a WebM or Matroska film says that its pictures are see-through (AlphaMode): only some decoders
/// heed it.
[[nodiscard]] bool isSeeThrough(const QString& path);

} // namespace mivanta
