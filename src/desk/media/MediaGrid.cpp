// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/MediaGrid.h"
#include "core/timing/Moment.h"
#include "desk/kit/Moments.h"
#include "desk/kit/Style.h"
#include "desk/media/MediaModel.h"
#include <QDrag>
#include <QKeyEvent>
#include <QMimeData>
#include <QMouseEvent>
#include <QPainter>
#include <QStyledItemDelegate>
#include <QWheelEvent>
#include <cmath>

namespace mivanta {

namespace {

constexpr int kWheelStep = 24;  // px of width, for a notch of the wheel
constexpr int kMostDragged = 5; // titles that a drag shows

QString lengthText(const Medium& medium) {
    const double length = medium.facts ? medium.length() : 0;
    return length > 0 ? momentText(std::floor(length)) : QString();
}

void paintTag(QPainter& painter, const QRect& picture, const QString& text) {
    if (text.isEmpty())
        return;
    painter.setFont(monoFont(0.8));
    const QRect words = painter.fontMetrics().boundingRect(text).adjusted(-4, -2, 4, 2);
    const QRect tag(picture.right() - words.width() - 3, picture.bottom() - words.height() - 3, words.width(),
                    words.height());
    painter.setPen(Qt::NoPen);
    painter.setBrush(QColor(0x1E, 0x2B, 0x31, 220));
    painter.drawRoundedRect(tag, 3, 3);
    painter.setPen(Qt::white);
    painter.drawText(tag, Qt::AlignCenter, text);
}

/// A medium as a picture with its words under it, or as a row.
class MediaDelegate : public QStyledItemDelegate {
public:
    MediaDelegate(MediaGrid& grid, const MediaModel& model, MediumPictures& pictures)
        : QStyledItemDelegate(&grid),
          m_grid(grid),
          m_model(model),
          m_pictures(pictures) {}

    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override {
        return m_grid.cellSize();
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        const ShownMedium* shown = m_model.medium(index);
        if (!shown)
            return;
        painter->save();
        painter->setRenderHint(QPainter::Antialiasing);
        const bool isList = m_grid.shape() == MediaGrid::Shape::List;
        const QSize size = m_grid.pictureSize();
        const QRect cell = option.rect;
        const QRect picture(isList ? cell.left() + spaced(1) : cell.center().x() - size.width() / 2,
                            isList ? cell.center().y() - size.height() / 2 : cell.top() + spaced(1),
                            size.width(), size.height());
        if (isList && option.state & QStyle::State_Selected)
            painter->fillRect(cell, day().chosen);
        paintPicture(*painter, picture, *shown, index);
        if (!isList && option.state & QStyle::State_Selected) {
            painter->setPen(QPen(day().accent, 3));
            painter->setBrush(Qt::NoBrush);
            painter->drawRoundedRect(picture.adjusted(-2, -2, 2, 2), 4, 4);
        }
        if (isList)
            paintRow(*painter, QRect(picture.right() + spaced(3), cell.top(), 0, cell.height()), cell,
                     *shown);
        else
            paintWords(*painter, QRect(picture.left(), picture.bottom() + 3, picture.width(), 0), *shown,
                       option);
        painter->restore();
    }

private:
    void paintPicture(QPainter& painter, const QRect& area, const ShownMedium& shown,
                      const QModelIndex& index) const {
        const Medium& medium = shown.medium;
        const double length = medium.facts ? medium.facts->seconds : 0;
        const auto share = m_grid.shareUnderMouse(index);
        const double end = medium.to > 0 ? medium.to : length;
        const double moment =
            share && end > 0
                ? momentsOf(medium.from, end)[size_t(std::min(kMoments - 1.0, *share * kMoments))]
                : medium.telling();
        const QPixmap picture = m_pictures.get(shown, moment, area.size());
        if (picture.isNull()) {
            painter.fillRect(area, day().line);
            const bool isSound = medium.kind == MediumKind::Sound;
            const int side = std::min(spaced(8), area.height() - 4);
            icon(isSound                           ? QStringLiteral("music")
                 : medium.kind == MediumKind::Film ? QStringLiteral("film")
                                                   : QStringLiteral("image"),
                 medium.problem.isEmpty() ? day().quiet : day().warning)
                .paint(&painter, QRect(area.center() - QPoint(side / 2, side / 2), QSize(side, side)));
        } else {
            painter.drawPixmap(area, picture);
        }
        paintTag(painter, area, share && end > 0 ? momentText(std::floor(moment)) : lengthText(medium));
        if (medium.isStarred) {
            const int side = std::min(spaced(5), area.height() / 2);
            icon(QStringLiteral("star"), QColor(0xFF, 0xB2, 0x24))
                .paint(&painter, QRect(area.topLeft() + QPoint(4, 4), QSize(side, side)));
        }
    }

    void paintWords(QPainter& painter, const QRect& place, const ShownMedium& shown,
                    const QStyleOptionViewItem& option) const {
        painter.setFont(
            textFont(1.0, option.state & QStyle::State_Selected ? TextWeight::Bold : TextWeight::Regular));
        painter.setPen(day().text);
        const int height = painter.fontMetrics().height();
        painter.drawText(QRect(place.left(), place.top(), place.width(), height),
                         Qt::AlignLeft | Qt::AlignVCenter,
                         painter.fontMetrics().elidedText(shown.medium.title, Qt::ElideRight, place.width()));
        painter.setFont(textFont(0.85));
        painter.setPen(shown.medium.problem.isEmpty() ? day().quiet : day().warning);
        painter.drawText(
            QRect(place.left(), place.top() + height, place.width(), height),
            Qt::AlignLeft | Qt::AlignVCenter,
            painter.fontMetrics().elidedText(factsText(shown.medium), Qt::ElideRight, place.width()));
    }

    void paintRow(QPainter& painter, const QRect& from, const QRect& cell, const ShownMedium& shown) const {
        const Medium& medium = shown.medium;
        const int width = cell.right() - from.left() - spaced(2);
        const int facts = std::min(spaced(52), width / 2);
        painter.setFont(textFont());
        painter.setPen(day().text);
        painter.drawText(
            QRect(from.left(), cell.top(), width - facts, cell.height()), Qt::AlignLeft | Qt::AlignVCenter,
            painter.fontMetrics().elidedText(medium.title, Qt::ElideRight, width - facts - spaced(2)));
        painter.setFont(textFont(0.9));
        painter.setPen(medium.problem.isEmpty() ? day().quiet : day().warning);
        const QString text = QStringLiteral("%1 \u00b7 %2").arg(factsText(medium), bytesText(medium.bytes));
        painter.drawText(QRect(cell.right() - facts - spaced(2), cell.top(), facts, cell.height()),
                         Qt::AlignRight | Qt::AlignVCenter,
                         painter.fontMetrics().elidedText(text, Qt::ElideRight, facts));
    }

    MediaGrid& m_grid;
    const MediaModel& m_model;
    MediumPictures& m_pictures;
};

} // namespace

MediaGrid::MediaGrid(MediaModel* model, MediumPictures& pictures, QWidget* parent) : QListView(parent) {
    setObjectName(QStringLiteral("media-grid"));
    setAccessibleName(tr("Media"));
    setModel(model);
    setItemDelegate(new MediaDelegate(*this, *model, pictures));
    setUniformItemSizes(true);
    setSelectionMode(QAbstractItemView::ExtendedSelection);
    setResizeMode(QListView::Adjust);
    setMovement(QListView::Static);
    setDragEnabled(true);
    setDragDropMode(QAbstractItemView::DragOnly);
    setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setMouseTracking(true);
    setFrameShape(QFrame::NoFrame);
    connect(&pictures, &MediumPictures::ready, viewport(), qOverload<>(&QWidget::update));
    connect(this, &QListView::doubleClicked, this, &MediaGrid::addWanted);
    lay();
}

void MediaGrid::setShape(Shape shape) {
    m_shape = shape;
    lay();
}

void MediaGrid::setPictureWidth(int width) {
    m_width = std::clamp(width, kSmallest, kLargest);
    lay();
}

void MediaGrid::lay() {
    const bool isGrid = m_shape == Shape::Grid;
    setViewMode(isGrid ? QListView::IconMode : QListView::ListMode);
    setMovement(QListView::Static); // a change of the mode sets it
    setFlow(isGrid ? QListView::LeftToRight : QListView::TopToBottom);
    setWrapping(isGrid);
    setGridSize(isGrid ? cellSize() : QSize());
    setDragEnabled(true);
    scheduleDelayedItemsLayout();
}

QSize MediaGrid::pictureSize() const {
    const int width = m_shape == Shape::Grid ? m_width : std::max(spaced(12), m_width / 3);
    return {width, width * 9 / 16};
}

QSize MediaGrid::cellSize() const {
    const QSize picture = pictureSize();
    if (m_shape == Shape::List)
        return {viewport()->width(), std::max(picture.height() + 4, spaced(8))};
    return {picture.width() + spaced(3), picture.height() + spaced(13)};
}

std::optional<double> MediaGrid::shareUnderMouse(const QModelIndex& index) const {
    return m_under == index ? std::optional(m_share) : std::nullopt;
}

void MediaGrid::wheelEvent(QWheelEvent* event) {
    if (!(event->modifiers() & Qt::ControlModifier)) {
        QListView::wheelEvent(event);
        return;
    }
    setPictureWidth(m_width + (event->angleDelta().y() > 0 ? kWheelStep : -kWheelStep));
    Q_EMIT pictureWidthChanged(m_width);
    event->accept();
}

void MediaGrid::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter)
        Q_EMIT addWanted();
    else if (event->key() == Qt::Key_Delete)
        Q_EMIT binWanted();
    else if (event->key() == Qt::Key_Space && event->modifiers() == Qt::NoModifier)
        Q_EMIT playWanted();
    else
        QListView::keyPressEvent(event);
}

void MediaGrid::mouseMoveEvent(QMouseEvent* event) {
    const QModelIndex under = indexAt(event->pos());
    const QRect cell = under.isValid() ? visualRect(under) : QRect();
    m_share =
        cell.width() > 0 ? std::clamp(double(event->pos().x() - cell.left()) / cell.width(), 0.0, 0.999) : 0;
    if (m_under.isValid() && m_under != under)
        update(m_under);
    m_under = under;
    if (under.isValid())
        update(under);
    QListView::mouseMoveEvent(event);
}

void MediaGrid::leaveEvent(QEvent* event) {
    m_under = QModelIndex();
    viewport()->update();
    QListView::leaveEvent(event);
}

/// With the titles under the pointer: a view's own picture of many items is as large as the view.
void MediaGrid::startDrag(Qt::DropActions actions) {
    const QModelIndexList chosen = selectedIndexes();
    if (chosen.isEmpty())
        return;
    QStringList titles;
    for (const QModelIndex& index : chosen.mid(0, kMostDragged))
        titles << index.data().toString();
    if (chosen.size() > kMostDragged)
        titles << tr("and %n more", nullptr, int(chosen.size() - kMostDragged));
    const QFontMetrics metrics(textFont());
    int width = 0;
    for (const QString& title : titles)
        width = std::max(width, metrics.horizontalAdvance(title));
    QPixmap picture(std::min(width, spaced(80)) + spaced(4),
                    int(titles.size()) * metrics.height() + spaced(2));
    picture.fill(day().sheet);
    QPainter painter(&picture);
    painter.setFont(textFont());
    painter.setPen(day().text);
    painter.drawText(picture.rect().adjusted(spaced(2), spaced(1), -spaced(2), -spaced(1)),
                     Qt::AlignLeft | Qt::AlignTop, titles.join(u'\n'));
    auto* drag = new QDrag(this);
    drag->setMimeData(model()->mimeData(chosen));
    drag->setPixmap(picture);
    drag->exec(actions | Qt::CopyAction, Qt::CopyAction);
}

} // namespace mivanta

#include "moc_MediaGrid.cpp"
