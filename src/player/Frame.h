// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/SlideObject.h"
#include <QByteArray>
#include <QImage>
#include <QPoint>
#include <memory>
#include <vector>

namespace mivanta {

/// What stands behind the words, ready to be shown; shared by all pictures on the same backdrop.
struct BehindLayer {
    QByteArray key;
    QImage image; ///< on the scene's ground, as large as it is shown
    QImage layer; ///< the same as it was drawn: see-through where the scene is
};
using BehindPtr = std::shared_ptr<const BehindLayer>;

/// Only the part of a layer that holds something. A null image = there is nothing.
struct LayerPart {
    QImage image;
    QPoint at; ///< px

    [[nodiscard]] QRect area() const { return {at, image.size()}; }
};

/// An object that comes and goes by itself.
struct ObjectLayer {
    SlideObject object;
    LayerPart picture;
};

/// A picture that is ready to be shown. Immutable once made.
struct Frame {
    QByteArray key;
    BehindPtr behind;                ///< null for an output without a window
    LayerPart front;                 ///< all that is in front of it
    LayerPart words;                 ///< the same without the objects that fade by themselves
    std::vector<ObjectLayer> fading; ///< those objects
    bool isLate = false;             ///< a picture of it did not come in time; better drawn again
    QImage small;                    ///< for the desks; see-through where the scene is
};
using FramePtr = std::shared_ptr<const Frame>;

} // namespace mivanta
