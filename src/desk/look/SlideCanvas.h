// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include "core/theme/BoxDrag.h"
#include "session/readings/ThumbnailStore.h"
#include <QWidget>
#include <optional>

namespace mivanta {

/// The slide itself, drawn by the one renderer, with its boxes to be moved and resized by hand: the words,
/// the credit line, and those of the objects that may be moved here. Pictures can be dropped and pasted.
/// Boxes stand at margins, thirds, the centre and each other's edges when they come near; Alt lets them stand
/// anywhere.
class SlideCanvas : public QWidget {
    Q_OBJECT
public:
    explicit SlideCanvas(ThumbnailStore& thumbnails, QWidget* parent = nullptr);

    /// Its look is the one that boxes belong to. Of its objects, only `count` from `first` on can be moved,
    /// or all from there on when it is negative.
    void setScene(const std::optional<Scene>& scene, int first = 0, int count = -1);
    void setGuidesShown(bool shown);
    /// Shown when there is no scene.
    void setEmptyText(const QString& text) { m_emptyText = text; }

    /// Boxes: 0 the words, 1 the credit line, then the objects that can be moved.
    static constexpr int kWords = 0;
    static constexpr int kCredit = 1;
    static constexpr int kObjects = 2;
    [[nodiscard]] int chosen() const { return m_chosen; }
    void choose(int box);

    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override;
    /// Where the picture stands on the widget, and a box on it; px.
    [[nodiscard]] QRectF pictureArea() const;
    [[nodiscard]] QRectF areaOf(int box) const;

Q_SIGNALS:
    void chosenChanged(int box);
    /// Many of these while a box is dragged; then dragEnded().
    void boxChanged(int box, const QRectF& shares);
    void dragEnded();
    void objectRemoved(int object);            ///< counted among those that can be moved
    void backdropDropped(const QString& path); ///< a picture is to be the backdrop
    void objectDropped(const QString& path);   ///< a picture is to stand on the slide; also when pasted
    void picturePasted(const QImage& picture); ///< the same, without a file

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool focusNextPrevChild(bool next) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    [[nodiscard]] int boxCount() const;
    [[nodiscard]] QRectF* boxOf(Look& look, int box) const; ///< null when there is none
    [[nodiscard]] QRectF shares(int box) const;
    [[nodiscard]] std::vector<QRectF> otherBoxes(int box) const;
    [[nodiscard]] std::optional<BoxGrip> gripAt(QPointF at, int box) const;
    [[nodiscard]] int boxAt(QPointF at) const;
    void setCursorFor(QPointF at);
    void send(const DraggedBox& dragged);
    void paste();
    void paintHandles(QPainter& painter) const;
    void paintGuides(QPainter& painter) const;

    struct Drag {
        BoxGrip grip;
        QPointF from; ///< px
        QRectF box;   ///< before, in shares
    };
    ThumbnailStore& m_thumbnails;
    std::optional<Scene> m_scene;
    int m_first = 0; ///< of the objects
    int m_count = 0;
    QString m_emptyText;
    QPixmap m_last; ///< until the scene's own is drawn
    int m_chosen = kWords;
    bool m_guidesShown = true;
    std::optional<Drag> m_drag;
    DraggedBox m_standing; ///< at which guides, while it is dragged
};

} // namespace mivanta
