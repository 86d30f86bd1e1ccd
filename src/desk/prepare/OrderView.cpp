// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/OrderView.h"
#include "desk/kit/Style.h"
#include "desk/prepare/OrderModel.h"
#include <QDropEvent>
#include <QLineEdit>
#include <QPainter>
#include <QStyledItemDelegate>

namespace mivanta {

namespace {

/// A heading with its rule, or an item with its number and what stands at its right.
class OrderDelegate : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;

    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const override {
        return {100, index.data(OrderModel::IsHeadingRole).toBool() ? spaced(9) : spaced(7)};
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        painter->save();
        const bool selected = option.state & QStyle::State_Selected;
        if (selected)
            painter->fillRect(option.rect, day().chosen);
        if (selected && option.state & QStyle::State_HasFocus) {
            painter->setPen(QPen(day().accent, 1));
            painter->drawRect(option.rect.adjusted(0, 0, -1, -1));
        }
        paintBracket(*painter, option.rect, index);
        if (index.data(OrderModel::IsHeadingRole).toBool())
            paintHeading(*painter, option.rect, index);
        else
            paintItem(*painter, option.rect, index, selected);
        painter->restore();
    }

    QWidget* createEditor(QWidget* parent, const QStyleOptionViewItem& option,
                          const QModelIndex& index) const override {
        QWidget* editor = QStyledItemDelegate::createEditor(parent, option, index);
        if (auto* line = qobject_cast<QLineEdit*>(editor)) {
            line->setFont(textFont(1.0, TextWeight::Bold));
            line->setStyleSheet(
                QStringLiteral("padding: 0 2px; border: 1px solid %1").arg(day().accent.name()));
            line->setText(index.data(Qt::EditRole).toString());
        }
        return editor;
    }

    /// What is being typed is not replaced when the order changes meanwhile.
    void setEditorData(QWidget*, const QModelIndex&) const override {}

private:
    /// Of items that stay together, at their left.
    static void paintBracket(QPainter& painter, const QRect& area, const QModelIndex& index) {
        const int place = index.data(OrderModel::GroupRole).toInt();
        if (place == OrderModel::InNone)
            return;
        painter.setPen(QPen(day().accent, 2));
        const int x = area.left() + 1;
        const int top = place == OrderModel::First ? area.top() + spaced(1) : area.top();
        const int bottom = place == OrderModel::Last ? area.bottom() - spaced(1) : area.bottom();
        painter.drawLine(x, top, x, bottom);
        if (place == OrderModel::First)
            painter.drawLine(x, top, x + spaced(0.75), top);
        if (place == OrderModel::Last)
            painter.drawLine(x, bottom, x + spaced(0.75), bottom);
    }

    static void paintHeading(QPainter& painter, const QRect& area, const QModelIndex& index) {
        QFont font = textFont(1.02, TextWeight::Bold);
        font.setCapitalization(QFont::SmallCaps);
        painter.setFont(font);
        painter.setPen(day().accent);
        const QRect text = area.adjusted(spaced(1), spaced(2.5), -spaced(1), -3);
        const QString side = index.data(OrderModel::SideRole).toString();
        const int sideWidth = side.isEmpty() ? 0 : painter.fontMetrics().horizontalAdvance(side) + spaced(3);
        painter.drawText(text, Qt::AlignLeft | Qt::AlignVCenter,
                         painter.fontMetrics().elidedText(index.data().toString(), Qt::ElideRight,
                                                          text.width() - sideWidth));
        painter.setFont(textFont(1.0, TextWeight::Bold));
        painter.drawText(text, Qt::AlignRight | Qt::AlignVCenter, side);
        painter.drawLine(area.left(), area.bottom() - 1, area.right(), area.bottom() - 1);
    }

    /// The time, or the number where nobody said when the service begins.
    static int paintTime(QPainter& painter, const QRect& inner, const QModelIndex& index) {
        painter.setFont(monoFont(0.95));
        const QString time = index.data(OrderModel::TimeRole).toString();
        const int number = index.data(OrderModel::NumberRole).toInt();
        const bool hasTimes = !static_cast<const OrderModel*>(index.model())->timetable().ends.isNull();
        const int width = painter.fontMetrics().horizontalAdvance(hasTimes ? QStringLiteral("00:00")
                                                                           : QStringLiteral("00"));
        painter.setPen(index.data(OrderModel::IsLateRole).toBool() ? day().warning : day().quiet);
        painter.drawText(QRect(inner.left(), inner.top(), width, inner.height()),
                         Qt::AlignRight | Qt::AlignVCenter,
                         hasTimes     ? time
                         : number > 0 ? QString::number(number)
                                      : QString());
        return width + spaced(2);
    }

    static void paintItem(QPainter& painter, const QRect& area, const QModelIndex& index, bool selected) {
        const QRect inner = area.adjusted(spaced(1), 0, -spaced(1), 0);
        const bool isSkipped = index.data(OrderModel::SkippedRole).toBool();
        const int indent = index.data(OrderModel::IsMemberRole).toBool() ? spaced(3) : 0;
        const int left = inner.left() + paintTime(painter, inner, index) + indent;
        const QString title = index.data().toString();
        QFont font = textFont(1.05, selected ? TextWeight::Bold : TextWeight::Regular);
        font.setStrikeOut(isSkipped);
        font.setItalic(index.data(OrderModel::IsNoteRole).toBool());
        painter.setFont(font);
        const int titleWidth = std::min(painter.fontMetrics().horizontalAdvance(title), inner.right() - left);
        painter.setPen(isSkipped ? day().quiet : day().text);
        painter.drawText(QRect(left, inner.top(), inner.right() - left, inner.height()),
                         Qt::AlignLeft | Qt::AlignVCenter | Qt::TextSingleLine,
                         painter.fontMetrics().elidedText(title, Qt::ElideRight, inner.right() - left));
        painter.setFont(textFont(0.85));
        const QString slack = index.data(OrderModel::SlackRole).toString();
        const bool isLate = index.data(OrderModel::IsLateRole).toBool();
        painter.setPen(isLate ? day().warning : day().quiet);
        const int room = inner.right() - left - titleWidth - spaced(3);
        const QString side = isSkipped         ? OrderView::tr("not today")
                             : slack.isEmpty() ? index.data(OrderModel::SideRole).toString()
                                               : slack;
        if (room > spaced(8))
            painter.drawText(inner, Qt::AlignRight | Qt::AlignVCenter,
                             painter.fontMetrics().elidedText(side, Qt::ElideRight, room));
    }
};

} // namespace

void OrderView::paintEvent(QPaintEvent* event) {
    QListView::paintEvent(event);
    if (!model() || model()->rowCount() == 0)
        return;
    QModelIndex at = currentIndex().isValid() ? currentIndex() : model()->index(model()->rowCount() - 1, 0);
    if (at.data(OrderModel::IsLoopRole).toBool()) // behind its members
        for (QModelIndex next = at.siblingAtRow(at.row() + 1); next.data(OrderModel::IsMemberRole).toBool();
             next = next.siblingAtRow(next.row() + 1))
            at = next;
    const QRect row = visualRect(at);
    QPainter painter(viewport());
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setFont(textFont(0.75, TextWeight::Bold));
    const QString text = tr("adds here");
    const int width = painter.fontMetrics().horizontalAdvance(text) + spaced(3);
    const int y = row.bottom();
    painter.setPen(QPen(day().marker, 2));
    painter.drawLine(row.left(), y, row.right() - width, y);
    const QRectF pill(row.right() - width, y - spaced(2), width, spaced(4));
    painter.setPen(Qt::NoPen);
    painter.setBrush(QColor(0xA85A00));
    painter.drawRoundedRect(pill, pill.height() / 2, pill.height() / 2);
    painter.setPen(Qt::white);
    painter.drawText(pill, Qt::AlignCenter, text);
    paintLookTarget(painter);
}

void OrderView::paintLookTarget(QPainter& painter) const {
    if (!m_lookRow)
        return;
    const QRect area = *m_lookRow < 0 ? viewport()->rect() : visualRect(model()->index(*m_lookRow, 0));
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(day().accent, 2));
    painter.drawRoundedRect(area.adjusted(1, 1, -2, -2), 3, 3);
    const QString text = *m_lookRow < 0 ? tr("look of the service") : tr("look of this item");
    painter.setFont(textFont(0.75, TextWeight::Bold));
    QRect pill(QPoint(0, 0), QSize(painter.fontMetrics().horizontalAdvance(text) + spaced(3), spaced(4)));
    pill.moveTopRight(area.topRight() + QPoint(-spaced(1), spaced(1)));
    painter.setPen(Qt::NoPen);
    painter.setBrush(day().accent);
    painter.drawRoundedRect(pill, pill.height() / 2.0, pill.height() / 2.0);
    painter.setPen(Qt::white);
    painter.drawText(pill, Qt::AlignCenter, text);
}

int OrderView::lookRowAt(QPoint at) const {
    const QModelIndex index = indexAt(at);
    return index.isValid() && !index.data(OrderModel::IsHeadingRole).toBool() ? index.row() : -1;
}

/// A picture file is put into the order where it is dropped between two items or behind the last one.
bool OrderView::isBetween(QPoint at, const LookDrop& drop) const {
    if (drop.file.isEmpty() || drop.isThemeFile)
        return false;
    const QModelIndex index = indexAt(at);
    if (!index.isValid() || index.data(OrderModel::IsLoopRole).toBool()) // a loop takes it as a member
        return true;
    const QRect row = visualRect(index);
    const int edge = row.height() / 4;
    return at.y() < row.top() + edge || at.y() > row.bottom() - edge;
}

void OrderView::dragEnterEvent(QDragEnterEvent* event) {
    m_dragged = lookDropIn(*event->mimeData());
    QListView::dragEnterEvent(event); // also for a picture, which may go between items
    if (!m_dragged)
        return;
    followDrag(event);
}

void OrderView::followDrag(QDragMoveEvent* event) {
    m_lookRow.reset();
    if (!isBetween(event->position().toPoint(), *m_dragged))
        m_lookRow = lookRowAt(event->position().toPoint());
    event->setDropAction(Qt::CopyAction);
    event->accept();
    viewport()->update();
}

void OrderView::dragMoveEvent(QDragMoveEvent* event) {
    const bool isBetweenItems = m_dragged && isBetween(event->position().toPoint(), *m_dragged);
    setDropIndicatorShown(!m_dragged || isBetweenItems);
    if (!m_dragged || isBetweenItems)
        QListView::dragMoveEvent(event);
    if (m_dragged)
        followDrag(event);
}

void OrderView::dragLeaveEvent(QDragLeaveEvent* event) {
    m_lookRow.reset();
    m_dragged.reset();
    setDropIndicatorShown(true);
    QListView::dragLeaveEvent(event);
    viewport()->update();
}

void OrderView::dropEvent(QDropEvent* event) {
    const auto drop = lookDropIn(*event->mimeData());
    m_lookRow.reset();
    m_dragged.reset();
    setDropIndicatorShown(true);
    if (!drop || isBetween(event->position().toPoint(), *drop)) {
        QListView::dropEvent(event);
        viewport()->update();
        return;
    }
    viewport()->update();
    event->setDropAction(Qt::CopyAction);
    event->accept();
    Q_EMIT lookDropped(lookRowAt(event->position().toPoint()), *drop);
}

QAbstractItemDelegate* makeOrderDelegate(QObject* parent) {
    return new OrderDelegate(parent);
}

} // namespace mivanta

#include "moc_OrderView.cpp"
