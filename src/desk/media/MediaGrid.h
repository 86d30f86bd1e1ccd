// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/media/MediumPictures.h"
#include <QListView>

namespace mivanta {

class MediaModel;

/// The media as pictures side by side, or as a list. Moments of a film show under the mouse.
class MediaGrid : public QListView {
    Q_OBJECT
public:
    MediaGrid(MediaModel* model, MediumPictures& pictures, QWidget* parent = nullptr);

    enum class Shape { Grid, List };
    void setShape(Shape shape);
    [[nodiscard]] Shape shape() const { return m_shape; }
    static constexpr int kSmallest = 96; ///< px at the usual text size, the width of a picture
    static constexpr int kLargest = 400;
    void setPictureWidth(int width);
    [[nodiscard]] int pictureWidth() const { return m_width; }
    /// Of a row or a picture with its words, px.
    [[nodiscard]] QSize cellSize() const;
    [[nodiscard]] QSize pictureSize() const;
    /// The moment of this film that is under the mouse, 0 to 1; nothing for the others.
    [[nodiscard]] std::optional<double> shareUnderMouse(const QModelIndex& index) const;

Q_SIGNALS:
    void pictureWidthChanged(int width); ///< by the wheel
    void addWanted();                    ///< Enter, or a double click
    void binWanted();
    void playWanted(); ///< Space

protected:
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void startDrag(Qt::DropActions actions) override;

private:
    void lay();

    Shape m_shape = Shape::Grid;
    int m_width = 168;
    QPersistentModelIndex m_under;
    double m_share = 0;
};

} // namespace mivanta
