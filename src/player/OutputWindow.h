// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "player/OutputPicture.h"
#include <QBackingStore>
#include <QWindow>

namespace mivanta {

/// An output's window: full-screen on a monitor, or an ordinary one that stands for a screen. Paints at
/// once when its picture changes; a take is one copy of a ready picture.
class OutputWindow : public QWindow {
    Q_OBJECT
public:
    OutputWindow(OutputPicture& picture, QSize pictureSize);

    void showFullScreenOn(QScreen* screen);
    /// `behind`: under the other windows, for when the real screens are elsewhere.
    void showAsWindow(int number, bool behind);

Q_SIGNALS:
    void closedByHand();

protected:
    void exposeEvent(QExposeEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool event(QEvent* event) override;

private:
    /// A part of the picture, or everything when it is empty.
    void paintNow(const QRect& part);
    /// Where the picture stands: as large as fits, in its own proportions. Device px.
    [[nodiscard]] QRect pictureArea() const;

    OutputPicture& m_picture;
    QSize m_pictureSize;
    QBackingStore m_store;
};

} // namespace mivanta
