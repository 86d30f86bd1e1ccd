// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/LookDrag.h"
#include "link/FrameBoard.h"
#include "session/readings/ThumbnailStore.h"
#include <QWidget>
#include <optional>

namespace mivanta {

/// A picture of an output in its own proportions, with a tag in its corner and a caption under it. Shows
/// either a scene, drawn small, or the player's own small picture. A chequered ground stands for see-through.
class PictureView : public QWidget {
    Q_OBJECT
public:
    enum class Tag { None, OnScreen, Next };

    explicit PictureView(ThumbnailStore& thumbnails, QWidget* parent = nullptr);

    void setScene(const std::optional<Scene>& scene);
    void setPicture(const FrameBoard::Picture& picture); ///< the player's, instead of a scene
    void setPicture(const QImage& picture);              ///< any other, instead of a scene
    void setTag(Tag tag, const QString& text);
    void setCaption(const QString& left, const QString& right = {});
    void setNight(bool night) { m_night = night; }
    /// Shown when there is neither scene nor picture.
    void setEmptyText(const QString& text);

    /// It can be chosen by a click, Enter or Space, as `tip` says.
    void setChoosable(const QString& tip);
    void setChosen(bool chosen);
    /// Themes and pictures can be dropped on it.
    void setTakesLooks();

    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] int heightForWidth(int width) const override;

Q_SIGNALS:
    void clicked();
    void lookDropped(const mivanta::LookDrop& drop);

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dragLeaveEvent(QDragLeaveEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override; ///< its height follows its width

private:
    void followWidth();
    [[nodiscard]] QRect pictureRect() const;
    void paintPicture(QPainter& painter, const QRect& area) const;
    void paintTag(QPainter& painter, const QRect& area) const;

    ThumbnailStore& m_thumbnails;
    std::optional<Scene> m_scene;
    QPixmap m_last; ///< until the scene's own is drawn
    QImage m_picture;
    mutable QPixmap m_pictureScaled; ///< m_picture as large as it is shown
    Tag m_tag = Tag::None;
    QString m_tagText;
    QString m_left;
    QString m_right;
    QString m_emptyText;
    bool m_night = false;
    bool m_choosable = false;
    bool m_chosen = false;
    bool m_dropping = false; ///< something is over it that it takes
};

/// The ground that stands for see-through.
void paintChequers(QPainter& painter, const QRect& area, bool isNight);

} // namespace mivanta
