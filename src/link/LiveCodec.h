// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveAddress.h"
#include "core/live/LiveInput.h"
#include <QDataStream>

namespace mivanta {

/// What is read is in its range, else the stream is corrupt.
QDataStream& operator<<(QDataStream& stream, const LiveInput& input);
QDataStream& operator>>(QDataStream& stream, LiveInput& input);
QDataStream& operator<<(QDataStream& stream, const LiveInputId& id);
QDataStream& operator>>(QDataStream& stream, LiveInputId& id);
QDataStream& operator<<(QDataStream& stream, const LiveSecret& secret);
QDataStream& operator>>(QDataStream& stream, LiveSecret& secret);

} // namespace mivanta
