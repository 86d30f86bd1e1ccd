// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Output.h"
#include "player/OutputPicture.h"
#include <QBackingStore>
#include <QTransform>
#include <QWindow>

namespace mivanta {

/// An output's window: full-screen on a monitor, of a given place and size, or an ordinary one that stands
/// for a screen. Paints at once when its picture changes; a take is one copy of a ready picture.
class OutputWindow : public QWindow {
    Q_OBJECT
public:
    OutputWindow(OutputPicture& picture, const Output& output);

    void showFullScreenOn(QScreen* screen);
    /// Without a frame, just there; what captures it gets the picture and nothing else.
    void showAt(const QRect& place);
    /// `behind`: under the other windows, for when the real screens are elsewhere.
    void showAsWindow(int number, bool behind);
    /// Another shape; everything else of the output stays as it was when the window was made.
    void setShape(const OutputShape& shape);

Q_SIGNALS:
    void closedByHand();

protected:
    void exposeEvent(QExposeEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool event(QEvent* event) override;

private:
    void showWithoutFrame(const QRect& place);
    void fitPicture();
    /// A part of the picture, or everything when it is empty.
    void paintNow(const QRect& part);

    OutputPicture& m_picture;
    Output m_output;
    QBackingStore m_store;
    QSize m_drawn;          ///< device px of the picture, before it is turned
    QTransform m_transform; ///< from the picture's px to the window's device px
};

/// Where a picture of these proportions stands in a window of `device` px: as large as fits between the
/// margins, and how it is turned there.
struct Fitted {
    QSize size; ///< of the picture before it is turned
    QTransform transform;
};
[[nodiscard]] Fitted fitted(QSize picture, QSize device, const OutputShape& shape);

} // namespace mivanta
