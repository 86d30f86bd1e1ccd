// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QImage>
#include <QPoint>
#include <memory>

namespace mivanta {

/// What stands behind the words, ready to be shown; shared by all pictures on the same backdrop.
struct BehindLayer {
    QByteArray key;
    QImage image; ///< opaque, on black, as large as it is shown
    QImage layer; ///< the same as it was drawn: see-through where the scene is
};
using BehindPtr = std::shared_ptr<const BehindLayer>;

/// A picture that is ready to be shown. Immutable once made.
struct Frame {
    QByteArray key;
    BehindPtr behind; ///< null for an output without a window
    QImage front;     ///< the words' layer, only the part that holds something; may be null
    QPoint frontAt;   ///< where that stands, px
    QImage small;     ///< for the desks; see-through where the scene is

    [[nodiscard]] QRect frontArea() const { return {frontAt, front.size()}; }
};
using FramePtr = std::shared_ptr<const Frame>;

} // namespace mivanta
