// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/SingingOrder.h"
#include "formats/SongReader.h"
#include "support/Text.h"
#include <QBuffer>
#include <gtest/gtest.h>

namespace mivanta {

inline Result<std::vector<ReadSong>> readBytes(QByteArray bytes, const QString& name) {
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::ReadOnly);
    return readSongs(buffer, name);
}

/// The one song of a file that must be readable.
inline ReadSong readOne(const QByteArray& bytes, const QString& name = QStringLiteral("song.txt")) {
    const auto songs = readBytes(bytes, name);
    EXPECT_TRUE(songs) << (songs ? "" : songs.error().text().toStdString());
    EXPECT_TRUE(!songs || songs->size() == 1);
    return songs && !songs->empty() ? songs->front() : ReadSong();
}

inline QStringList labels(const Song& song) {
    QStringList result;
    for (const Part& part : song.parts)
        result << part.label();
    return result;
}

inline QStringList words(const Part& part) {
    QStringList result;
    for (const Line& line : part.lines)
        result << (line.breakBefore ? QStringLiteral("/ ") : QString()) + line.words;
    return result;
}

} // namespace mivanta
