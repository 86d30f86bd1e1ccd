// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/PictureView.h"
#include "session/service/SlideBook.h"
#include <QScrollArea>

class QGridLayout;

namespace mivanta {

/// The slides of an item on the main output, as large as they can be while they all are seen; very many
/// scroll.
class SlideGrid : public QScrollArea {
    Q_OBJECT
public:
    explicit SlideGrid(ThumbnailStore& thumbnails, QWidget* parent = nullptr);
    void setSlides(const ItemSlides& slides);
    /// What is shown in a place of the grid.
    struct Picture {
        Scene scene;
        QString name;
        QString place; ///< at the right: "3 of 9"
    };
    /// Smaller ones, six a row: of what has much to be said below them.
    void setPictures(const std::vector<Picture>& pictures);
    void setChosen(const std::optional<int>& slide);
    /// The focus goes with a slide that was moved, so that the key can be pressed again.
    void moveFocus(int from, int to);
    [[nodiscard]] int count() const { return m_count; }
    [[nodiscard]] QSize sizeHint() const override;

Q_SIGNALS:
    void clicked(int slide);
    void hideWanted(int slide);
    void moveWanted(int slide, int by);
    void lookDropped(int slide, const mivanta::LookDrop& drop);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override; ///< keys on a slide
    void resizeEvent(QResizeEvent* event) override;

private:
    void addPicture();
    void arrange();
    void show(const std::vector<Picture>& pictures);

    ThumbnailStore& m_thumbnails;
    QGridLayout* m_grid;
    std::vector<PictureView*> m_pictures;
    int m_count = 0;
    int m_columns = 0;
    bool m_isSmall = false;
};

} // namespace mivanta
