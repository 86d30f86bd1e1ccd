// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/ThemeList.h"
#include "core/run/Scene.h"
#include "desk/kit/LookDrag.h"
#include "desk/kit/PictureView.h"
#include "desk/kit/Style.h"
#include <QMimeData>
#include <QPainter>
#include <QScrollBar>
#include <QSignalBlocker>
#include <QWheelEvent>

namespace mivanta {

namespace {

const QSize kIcon(88, 50);

Scene iconScene(const Theme& theme) {
    Scene scene;
    scene.size = {1920, 1080};
    scene.look = theme.look;
    scene.fontSize = std::min(160, theme.look.words.size * 3 / 2);
    scene.rows = {{theme.name.left(14)}};
    return scene;
}

} // namespace

ThemeList::ThemeList(ThumbnailStore& thumbnails, QWidget* parent)
    : QListWidget(parent),
      m_thumbnails(thumbnails) {
    setAccessibleName(tr("Themes"));
    setIconSize(kIcon);
    setWordWrap(true);
    setFrameShape(QFrame::NoFrame);
    setDragEnabled(true);
    setDragDropMode(QAbstractItemView::DragOnly);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(&m_thumbnails, &ThumbnailStore::ready, this, &ThemeList::fillIcons);
    connect(this, &QListWidget::currentRowChanged, this, [this](int row) {
        if (row >= 0)
            Q_EMIT themeChosen(chosen());
    });
}

void ThemeList::setInARow() {
    m_inARow = true;
    setFlow(QListView::LeftToRight);
    setWrapping(false);
    setViewMode(QListView::IconMode);
    setMovement(QListView::Static);
    setDragEnabled(true); // a static view is not dragged from
    setWordWrap(false);
    setTextElideMode(Qt::ElideRight);
    setFont(textFont(0.8));
    setGridSize({kIcon.width() + spaced(3), kIcon.height() + spaced(6)});
    setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAsNeeded);
    setFixedHeight(kIcon.height() + spaced(7) + horizontalScrollBar()->sizeHint().height());
}

void ThemeList::setThemes(const std::vector<Theme>& themes) {
    const QSignalBlocker quiet(this);
    m_themes = themes;
    clear();
    for (const Theme& theme : themes) {
        auto* item = new QListWidgetItem(theme.name, this);
        item->setData(Qt::UserRole, theme.id);
        item->setToolTip(tr("The theme %1; drag it onto a service, an item or a slide").arg(theme.name));
    }
    fillIcons();
}

void ThemeList::choose(const QString& id) {
    const QSignalBlocker quiet(this);
    for (int row = 0; row < count(); ++row)
        if (item(row)->data(Qt::UserRole) == id) {
            setCurrentRow(row);
            return;
        }
    setCurrentRow(-1);
}

QString ThemeList::chosen() const {
    return currentItem() ? currentItem()->data(Qt::UserRole).toString() : QString();
}

QMimeData* ThemeList::mimeData(const QList<QListWidgetItem*>& items) const {
    return items.isEmpty() ? nullptr : themeToDrag(items.front()->data(Qt::UserRole).toString());
}

void ThemeList::fillIcons() {
    if (!isVisible())
        return;
    for (int row = 0; row < count(); ++row) {
        if (!item(row)->icon().isNull())
            continue;
        const QPixmap drawn = m_thumbnails.get(iconScene(m_themes[size_t(row)]), kIcon * devicePixelRatio());
        if (drawn.isNull())
            continue;
        QPixmap picture(drawn.size());
        {
            QPainter painter(&picture);
            paintChequers(painter, picture.rect(), false);
            painter.drawPixmap(0, 0, drawn);
        }
        QIcon icon(picture);
        icon.addPixmap(picture, QIcon::Selected); // or it would be tinted
        item(row)->setIcon(icon);
    }
}

void ThemeList::wheelEvent(QWheelEvent* event) {
    if (m_inARow && event->angleDelta().x() == 0)
        event->ignore();
    else
        QListWidget::wheelEvent(event);
}

void ThemeList::showEvent(QShowEvent* event) {
    QListWidget::showEvent(event);
    fillIcons();
}

} // namespace mivanta

#include "moc_ThemeList.cpp"
