// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/OrderSheet.h"
#include "desk/parts/Columns.h"
#include "desk/parts/Style.h"
#include <QDropEvent>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QScrollBar>
#include <QStyledItemDelegate>
#include <QVBoxLayout>

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
            line->setFont(textFont(1.0, true));
            line->setStyleSheet(
                QStringLiteral("padding: 0 2px; border: 1px solid %1").arg(day().accent.name()));
        }
        return editor;
    }

private:
    static void paintHeading(QPainter& painter, const QRect& area, const QModelIndex& index) {
        QFont font = textFont(1.02, true);
        font.setCapitalization(QFont::SmallCaps);
        painter.setFont(font);
        painter.setPen(day().accent);
        const QRect text = area.adjusted(spaced(1), spaced(2.5), -spaced(1), -3);
        painter.drawText(
            text, Qt::AlignLeft | Qt::AlignVCenter,
            painter.fontMetrics().elidedText(index.data().toString(), Qt::ElideRight, text.width()));
        painter.drawLine(area.left(), area.bottom() - 1, area.right(), area.bottom() - 1);
    }

    static void paintItem(QPainter& painter, const QRect& area, const QModelIndex& index, bool selected) {
        const QRect inner = area.adjusted(spaced(1), 0, -spaced(1), 0);
        painter.setFont(monoFont(0.95));
        painter.setPen(day().quiet);
        const int numberWidth = painter.fontMetrics().horizontalAdvance(QStringLiteral("000"));
        painter.drawText(QRect(inner.left(), inner.top(), numberWidth - spaced(2), inner.height()),
                         Qt::AlignRight | Qt::AlignVCenter, index.data(OrderModel::NumberRole).toString());
        const QString title = index.data().toString();
        painter.setFont(textFont(1.05, selected));
        const int left = inner.left() + numberWidth;
        const int titleWidth = std::min(painter.fontMetrics().horizontalAdvance(title), inner.right() - left);
        painter.setPen(day().text);
        painter.drawText(QRect(left, inner.top(), inner.right() - left, inner.height()),
                         Qt::AlignLeft | Qt::AlignVCenter | Qt::TextSingleLine,
                         painter.fontMetrics().elidedText(title, Qt::ElideRight, inner.right() - left));
        painter.setFont(textFont(0.85));
        painter.setPen(day().quiet);
        const int room = inner.right() - left - titleWidth - spaced(3);
        if (room > spaced(8))
            painter.drawText(inner, Qt::AlignRight | Qt::AlignVCenter,
                             painter.fontMetrics().elidedText(index.data(OrderModel::SideRole).toString(),
                                                              Qt::ElideRight, room));
    }
};

} // namespace

void OrderView::paintEvent(QPaintEvent* event) {
    QListView::paintEvent(event);
    if (!model() || model()->rowCount() == 0)
        return;
    const QModelIndex at =
        currentIndex().isValid() ? currentIndex() : model()->index(model()->rowCount() - 1, 0);
    const QRect row = visualRect(at);
    QPainter painter(viewport());
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setFont(textFont(0.75, true));
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
    painter.setFont(textFont(0.75, true));
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

void OrderView::dragEnterEvent(QDragEnterEvent* event) {
    if (!lookDropIn(*event->mimeData())) {
        QListView::dragEnterEvent(event);
        return;
    }
    m_lookRow = lookRowAt(event->position().toPoint());
    event->setDropAction(Qt::CopyAction);
    event->accept();
    viewport()->update();
}

void OrderView::dragMoveEvent(QDragMoveEvent* event) {
    if (!m_lookRow) {
        QListView::dragMoveEvent(event);
        return;
    }
    m_lookRow = lookRowAt(event->position().toPoint());
    event->setDropAction(Qt::CopyAction);
    event->accept();
    viewport()->update();
}

void OrderView::dragLeaveEvent(QDragLeaveEvent* event) {
    m_lookRow.reset();
    QListView::dragLeaveEvent(event);
    viewport()->update();
}

void OrderView::dropEvent(QDropEvent* event) {
    const auto drop = lookDropIn(*event->mimeData());
    if (!drop) {
        QListView::dropEvent(event);
        return;
    }
    m_lookRow.reset();
    viewport()->update();
    event->setDropAction(Qt::CopyAction);
    event->accept();
    Q_EMIT lookDropped(lookRowAt(event->position().toPoint()), *drop);
}

OrderSheet::OrderSheet(ServiceDocument& document, SlideBook& book, QWidget* parent)
    : QWidget(parent),
      m_document(document),
      m_book(book) {
    m_title = new QLabel(this);
    m_title->setObjectName(QStringLiteral("sheet-title"));
    m_title->setFont(textFont(1.4, true));
    m_title->setAlignment(Qt::AlignCenter);
    m_title->setWordWrap(true);
    m_title->setToolTip(tr("The name of the service; click to change it"));
    m_title->setCursor(Qt::PointingHandCursor);
    m_title->setAcceptDrops(true);
    m_title->installEventFilter(this);
    m_place = new QLabel(this);
    m_place->setAlignment(Qt::AlignCenter);
    makeQuiet(m_place);
    m_empty = new QLabel(
        tr("Nothing in this service yet.\n\nType a few words of a song into Find, on the right, and "
           "press Enter. Or drag songs here."),
        this);
    m_empty->setObjectName(QStringLiteral("sheet-empty"));
    m_empty->setWordWrap(true);
    m_empty->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    m_empty->setStyleSheet(m_place->styleSheet());
    m_foot = new QLabel(this);
    m_foot->setObjectName(QStringLiteral("sheet-foot"));
    m_foot->setStyleSheet(QStringLiteral("color: %1; border-top: 1px solid %2; padding-top: 5px")
                              .arg(day().quiet.name(), day().line.name()));
    m_model = new OrderModel(m_document, this);
    m_view = new OrderView(this);
    m_view->setObjectName(QStringLiteral("order-view"));
    m_view->setAccessibleName(tr("Service order"));
    m_view->setToolTip(
        tr("Drag, or Alt+Up and Alt+Down, to reorder; Delete removes; F2 renames a heading. A theme or "
           "a picture dropped on an item is its look."));
    m_view->setModel(m_model);
    m_view->setItemDelegate(new OrderDelegate(m_view));
    m_view->setSelectionMode(QAbstractItemView::ExtendedSelection);
    m_view->setDragDropMode(QAbstractItemView::DragDrop);
    m_view->setDefaultDropAction(Qt::MoveAction);
    m_view->setDropIndicatorShown(true);
    m_view->setEditTriggers(QAbstractItemView::EditKeyPressed | QAbstractItemView::DoubleClicked);
    m_view->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_view->installEventFilter(this);

    connect(m_view, &OrderView::lookDropped, this, [this](int row, const LookDrop& drop) {
        const ItemId onto = m_model->idAt(row);
        const std::vector<ItemId> chosen = selected();
        const bool isChosen = std::find(chosen.begin(), chosen.end(), onto) != chosen.end();
        Q_EMIT lookDropped(row < 0 ? std::vector<ItemId>() : isChosen ? chosen : std::vector{onto}, drop);
    });

    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(5), spaced(5), spaced(5), spaced(3));
    column->setSpacing(spaced(1));
    column->addWidget(m_title);
    column->addWidget(m_place);
    column->addWidget(m_empty);
    column->addWidget(m_view, 1);
    column->addWidget(m_foot);

    connect(m_view->selectionModel(), &QItemSelectionModel::currentChanged, this,
            [this](const QModelIndex& now) {
                if (!now.isValid())
                    return; // the model is being reset
                m_current = m_model->idAt(now.row());
                m_currentRow = now.row();
                m_view->viewport()->update();
                Q_EMIT currentChanged();
            });
    connect(m_view->selectionModel(), &QItemSelectionModel::selectionChanged, this, [this] {
        if (m_view->currentIndex().isValid())
            m_selected = selected();
    });
    connect(m_model, &QAbstractItemModel::modelReset, this, [this] {
        restoreSelection();
        showHead();
        showFoot();
    });
    connect(&m_book, &SlideBook::completed, this, &OrderSheet::showFoot);
    showHead();
    showFoot();
}

void OrderSheet::restoreSelection() {
    std::vector<ItemId> kept;
    for (const ItemId& id : m_selected)
        if (m_document.service().indexOf(id) >= 0)
            kept.push_back(id);
    const int row = m_document.service().indexOf(m_current);
    if (row >= 0) {
        selectAll(kept.empty() ? std::vector<ItemId>{m_current} : kept);
    } else if (m_model->rowCount() > 0 && m_currentRow >= 0) {
        m_view->setCurrentIndex(m_model->index(std::min(m_currentRow, m_model->rowCount() - 1)));
    } else {
        m_current = {};
        m_selected.clear();
    }
    Q_EMIT currentChanged();
}

ItemId OrderSheet::current() const {
    return m_document.service().indexOf(m_current) >= 0 ? m_current : ItemId();
}

std::vector<ItemId> OrderSheet::selected() const {
    QModelIndexList rows = m_view->selectionModel()->selectedIndexes();
    std::sort(rows.begin(), rows.end(),
              [](const QModelIndex& a, const QModelIndex& b) { return a.row() < b.row(); });
    std::vector<ItemId> ids;
    for (const QModelIndex& index : rows)
        ids.push_back(m_model->idAt(index.row()));
    return ids;
}

int OrderSheet::markerRow() const {
    const int row = m_document.service().indexOf(m_current);
    return row < 0 ? m_model->rowCount() : row + 1;
}

void OrderSheet::select(const ItemId& id) {
    selectAll({id});
}

void OrderSheet::selectAll(const std::vector<ItemId>& ids) {
    if (ids.empty())
        return;
    const bool holdsCurrent = std::find(ids.begin(), ids.end(), m_current) != ids.end();
    const int current = m_document.service().indexOf(holdsCurrent ? m_current : ids.back());
    m_view->setCurrentIndex(m_model->index(current));
    m_view->selectionModel()->clearSelection();
    for (const ItemId& id : ids)
        if (const int row = m_document.service().indexOf(id); row >= 0)
            m_view->selectionModel()->select(m_model->index(row), QItemSelectionModel::Select);
    m_view->scrollTo(m_model->index(current));
}

void OrderSheet::moveSelected(int by) {
    const std::vector<ItemId> ids = selected();
    if (ids.empty())
        return;
    const int first = m_document.service().indexOf(ids.front());
    const int last = m_document.service().indexOf(ids.back());
    if (by < 0 && first > 0)
        m_document.move(ids, first - 1);
    else if (by > 0 && last + 1 < m_model->rowCount())
        m_document.move(ids, last + 2);
}

void OrderSheet::removeSelected() {
    const std::vector<ItemId> ids = selected();
    if (!ids.empty())
        m_document.remove(ids);
}

void OrderSheet::renameCurrent() {
    const QModelIndex index = m_view->currentIndex();
    if (index.isValid() && index.flags() & Qt::ItemIsEditable)
        m_view->edit(index);
}

void OrderSheet::showHead() {
    const Service& service = m_document.service();
    m_title->setText(service.title.isEmpty() ? tr("A service without a name") : service.title);
    m_place->setText(service.place);
    m_place->setVisible(!service.place.isEmpty());
    m_empty->setVisible(service.items.empty());
}

void OrderSheet::showFoot() {
    const int items = m_book.itemCount();
    m_foot->setText(m_book.isComplete() ? tr("%1 items \u00b7 %2 slides").arg(items).arg(m_book.slideCount())
                                        : tr("%1 items").arg(items));
}

bool OrderSheet::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_title && event->type() == QEvent::MouseButtonRelease) {
        Q_EMIT titleClicked();
        return true;
    }
    if (watched == m_title && (event->type() == QEvent::DragEnter || event->type() == QEvent::Drop)) {
        auto* dropped = static_cast<QDropEvent*>(event); // entering is one of its kinds
        const auto drop = lookDropIn(*dropped->mimeData());
        if (!drop)
            return false;
        dropped->acceptProposedAction();
        if (event->type() == QEvent::Drop)
            Q_EMIT lookDropped({}, *drop);
        return true;
    }
    if (watched != m_view || event->type() != QEvent::KeyPress)
        return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->key() == Qt::Key_Delete || key->key() == Qt::Key_Backspace) {
        removeSelected();
        return true;
    }
    if (key->modifiers() & Qt::AltModifier && (key->key() == Qt::Key_Up || key->key() == Qt::Key_Down)) {
        moveSelected(key->key() == Qt::Key_Up ? -1 : 1);
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

void OrderSheet::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), day().sheet);
    painter.setPen(day().line);
    painter.drawRect(rect().adjusted(0, 0, -1, -1));
}

} // namespace mivanta
