// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include "core/theme/BoxDrag.h"
#include "desk/parts/ThumbnailStore.h"
#include <QWidget>
#include <optional>

namespace mivanta {

/// The slide itself, drawn by the one renderer, with its boxes to be moved and resized by hand: the words,
/// the credit line, the objects. Boxes stand at margins, thirds, the centre and each other's edges when they
/// come near; Alt lets them stand anywhere.
class ThemeCanvas : public QWidget {
    Q_OBJECT
public:
    explicit ThemeCanvas(ThumbnailStore& thumbnails, QWidget* parent = nullptr);

    /// Its look is the one that boxes belong to.
    void setScene(const std::optional<Scene>& scene);
    void setGuidesShown(bool shown);

    /// Boxes: 0 the words, 1 the credit line, then the objects.
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
    void objectRemoved(int object);
    void picturesDropped(const QStringList& paths);

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
    [[nodiscard]] QRectF shares(int box) const;
    [[nodiscard]] std::vector<QRectF> otherBoxes(int box) const;
    [[nodiscard]] std::optional<BoxGrip> gripAt(QPointF at, int box) const;
    [[nodiscard]] int boxAt(QPointF at) const;
    void setCursorFor(QPointF at);
    void send(const DraggedBox& dragged);
    void paintHandles(QPainter& painter) const;
    void paintGuides(QPainter& painter) const;

    struct Drag {
        BoxGrip grip;
        QPointF from; ///< px
        QRectF box;   ///< before, in shares
    };
    ThumbnailStore& m_thumbnails;
    std::optional<Scene> m_scene;
    QPixmap m_last; ///< until the scene's own is drawn
    int m_chosen = kWords;
    bool m_guidesShown = true;
    std::optional<Drag> m_drag;
    DraggedBox m_standing; ///< at which guides, while it is dragged
};

} // namespace mivanta
