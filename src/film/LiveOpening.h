// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "link/Protocol.h"
#include "media/XDisplay.h"

namespace mivanta {

/// How libmpv opens a live input.
struct LiveOpening {
    QByteArray address;
    QByteArray options; ///< of ffmpeg's reader, with the only protocols that it may use
    QByteArray format;  ///< of ffmpeg's reader; empty = it finds out
    quint32 window = 0; ///< the window that is shown
    QSize size;         ///< of that window, px
    bool isUnsteady =
        false; ///< a file: its pictures come when they are written, and it is no loss when none is
};

/// `display` may be null; `ofOutput`: the window of the output that it shows, 0 = there is none. Says what is
/// wrong when it cannot be opened now.
[[nodiscard]] Result<LiveOpening> openingOf(const message::LiveOrder& live, XDisplay* display,
                                            quint32 ofOutput);

/// What becomes of its pictures before they are shown: the part, turning, mirroring. Empty = nothing.
[[nodiscard]] QByteArray liveFilters(const LiveInput& input);

/// What a line of the log of libmpv says, in words for people and without what is secret; null when it says
/// nothing of use.
[[nodiscard]] QString liveProblemOf(const QByteArray& line);

} // namespace mivanta
