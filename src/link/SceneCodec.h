// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Placement.h"
#include "core/run/Shown.h"
#include <QDataStream>
#include <QIODevice>

namespace mivanta {

// Both programs come from one build, so the wire has no versions; see Protocol.h.
QDataStream& operator<<(QDataStream& stream, const Scene& scene);
QDataStream& operator>>(QDataStream& stream, Scene& scene);
QDataStream& operator<<(QDataStream& stream, const FilmPlay& film);
QDataStream& operator>>(QDataStream& stream, FilmPlay& film);
QDataStream& operator<<(QDataStream& stream, const Shown& shown);
QDataStream& operator>>(QDataStream& stream, Shown& shown);
/// What the player needs of it: not its look, its layers and its hall, for it is sent whole scenes.
QDataStream& operator<<(QDataStream& stream, const Output& output);
QDataStream& operator>>(QDataStream& stream, Output& output);
QDataStream& operator<<(QDataStream& stream, const Monitor& monitor);
QDataStream& operator>>(QDataStream& stream, Monitor& monitor);
QDataStream& operator<<(QDataStream& stream, const Placement& placement);
QDataStream& operator>>(QDataStream& stream, Placement& placement);

template <typename T>
requires requires(QDataStream& s, const T& value) {
    s << value;
}
QDataStream& operator<<(QDataStream& stream, const std::vector<T>& values) {
    stream << quint32(values.size());
    for (const T& value : values)
        stream << value;
    return stream;
}

template <typename T>
requires requires(QDataStream& s, T& value) {
    s >> value;
}
QDataStream& operator>>(QDataStream& stream, std::vector<T>& values) {
    quint32 count = 0;
    stream >> count;
    values.clear();
    if (qint64(count) > stream.device()->bytesAvailable()) // each takes a byte at least
        stream.setStatus(QDataStream::ReadCorruptData);
    for (quint32 i = 0; i < count && stream.status() == QDataStream::Ok; ++i)
        stream >> values.emplace_back();
    return stream;
}

/// The same for all scenes that show one and the same film.
[[nodiscard]] QByteArray filmKey(const FilmPlay& film);

/// Of the scene's bytes, as a key: equal for equal pictures only, whatever their origin.
[[nodiscard]] QByteArray sceneKey(const Scene& scene);

} // namespace mivanta
