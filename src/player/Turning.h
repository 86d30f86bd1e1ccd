// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Look.h"
#include "player/Frame.h"
#include <QPainter>
#include <optional>

namespace mivanta {

/// One picture turning into another: the words, the backdrop and the objects that fade by themselves each in
/// their own way and time; a backdrop or such an object that stays is left alone. Draws ready layers only.
class Turning {
public:
    Turning() = default;
    Turning(FramePtr from, FramePtr to, const Transition& words, const Transition& backdrop);

    /// True when everything that changes fades in one and the same way: then whole pictures are mixed, which
    /// is several times faster than layers. Such a turning begins as what was seen before.
    [[nodiscard]] bool fadesAsAWhole() const;
    /// ms until all have come to their end; 0 = at once.
    [[nodiscard]] int duration() const;
    /// Draws what is seen so many ms after the beginning, 1:1 from `origin`.
    void paint(QPainter& painter, QPoint origin, int elapsed) const;
    /// The part of the picture that may differ from what was drawn at `before`; null = everything.
    [[nodiscard]] QRect changedSince(int before) const;
    /// What is seen then, as a frame that another turning can begin from.
    [[nodiscard]] FramePtr frozen(int elapsed) const;
    [[nodiscard]] QImage smallPicture(int elapsed) const;

private:
    [[nodiscard]] bool backdropStays() const;
    [[nodiscard]] QRect mixedArea() const;
    void makeWhole();
    void paintWhole(QPainter& painter, QPoint origin, double progress) const;
    void paintBackdrop(QPainter& painter, QRect area, double progress) const;
    void paintWords(QPainter& painter, QPoint origin, double progress) const;
    void paintMoving(QPainter& painter, QPoint origin, int elapsed) const;
    void paintFading(QPainter& painter, QPoint origin, int elapsed) const;
    /// How much of an object is seen that is on the one frame and not on the other.
    [[nodiscard]] double opacityOf(const SlideObject& object, bool comes, int elapsed) const;
    [[nodiscard]] QSize size() const { return m_to->behind->image.size(); }

    /// For a fade as a whole: what is in mixedArea(). Made beforehand: the first step is as quick as the
    /// rest.
    struct Whole {
        QImage from;
        QImage to;
        mutable QImage mixed;
    };

    FramePtr m_from;
    FramePtr m_to;
    Whole m_whole;
    Transition m_words;
    Transition m_backdrop;
};

} // namespace mivanta
