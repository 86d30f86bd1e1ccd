// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Look.h"
#include "link/FilmClient.h"
#include <QByteArray>
#include <QImage>
#include <QPainter>
#include <QPoint>
#include <memory>
#include <optional>
#include <vector>

namespace mivanta {

/// What stands behind the words, ready to be shown; shared by all pictures on the same backdrop. It is drawn
/// on other threads; a film is added and painted on the GUI thread.
struct BehindLayer {
    QByteArray key;
    QImage image; ///< on the scene's ground, as large as it is shown
    QImage layer; ///< the same as it was drawn: see-through where the scene is
    QImage small; ///< `layer` for the desks

    // Of a scene with a film, `image` and `layer` are without it, and:
    std::optional<Backdrop> filmPlace; ///< how the film stands on the picture
    QImage over;                       ///< over the film, as large as the picture; null = nothing
    std::shared_ptr<FilmClient> film;  ///< while it is shown
    QImage smallOver;                  ///< `over` for the desks

    /// Draws what is seen now into the area, which is as large as the picture; painters clip.
    void paint(QPainter& painter, QPoint origin) const;
    /// The same for the desks.
    [[nodiscard]] QImage smallNow() const;
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

/// An object that moves.
struct MovingObject {
    SlideObject object;
    std::shared_ptr<FilmClient> film; ///< while it is shown

    /// Its picture of now, on a picture of `size` px whose corner lies at `origin`.
    void paint(QPainter& painter, QPoint origin, QSize size) const;
    /// The part of such a picture that it is in.
    [[nodiscard]] QRect area(QSize size) const;
};

/// A picture that is ready to be shown. Immutable once made.
struct Frame {
    QByteArray key;
    BehindPtr behind;                 ///< null for an output without a window
    std::vector<MovingObject> moving; ///< between that and what is in front of it
    LayerPart front;                  ///< all that is in front of them
    LayerPart words;                  ///< the same without the objects that fade by themselves
    std::vector<ObjectLayer> fading;  ///< those objects
    bool isLate = false;              ///< a picture of it did not come in time; better drawn again
    QImage small;                     ///< for the desks; see-through where the scene is
    QImage smallFront;                ///< what is in front, for the desks; null = nothing

    [[nodiscard]] QImage smallNow() const; ///< `small`, with the films' pictures of now
    [[nodiscard]] bool isMoving() const { return !moving.empty() || (behind && behind->film); }
    /// Behind it and what moves, now.
    void paintBehind(QPainter& painter, QPoint origin) const;
};
using FramePtr = std::shared_ptr<const Frame>;

} // namespace mivanta
