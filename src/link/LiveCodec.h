// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveAddress.h"
#include "core/live/LiveInput.h"
#include <QDataStream>

namespace mivanta {

/// What is read is in its range, else the stream is corrupt.
QDataStream& operator<<(QDataStream& stream, const LiveInput& input);
QDataStream& operator>>(QDataStream& stream, LiveInput& input);
template <typename Tag>
QDataStream& operator<<(QDataStream& stream, const Id<Tag>& id) {
    return stream << id.text();
}
template <typename Tag>
QDataStream& operator>>(QDataStream& stream, Id<Tag>& id) {
    QString text;
    stream >> text;
    id = Id<Tag>::fromText(text);
    return stream;
}
QDataStream& operator<<(QDataStream& stream, const LiveSecret& secret);
QDataStream& operator>>(QDataStream& stream, LiveSecret& secret);

} // namespace mivanta
