// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/OrderSheet.h"
#include "core/order/Groups.h"
#include "desk/kit/Columns.h"
#include "desk/kit/ElidedLabel.h"
#include "desk/kit/Style.h"
#include "desk/prepare/LoopDrops.h"
#include "session/service/ItemClipboard.h"
#include <QClipboard>
#include <QDropEvent>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QLocale>
#include <QMimeData>
#include <QPainter>
#include <QScrollBar>
#include <QStyledItemDelegate>
#include <QVBoxLayout>

namespace mivanta {

OrderSheet::OrderSheet(ServiceDocument& document, SlideBook& book, QWidget* parent)
    : QWidget(parent),
      m_document(document),
      m_book(book) {
    m_title = new ElidedLabel(this);
    m_title->setObjectName(QStringLiteral("sheet-title"));
    m_title->setFont(textFont(1.4, TextWeight::Bold));
    m_title->setAlignment(Qt::AlignCenter);
    m_title->setToolTip(tr("The name of the service; click to change it"));
    m_title->setCursor(Qt::PointingHandCursor);
    m_title->setAcceptDrops(true);
    m_title->installEventFilter(this);
    m_place = new QLabel(this);
    m_place->setObjectName(QStringLiteral("sheet-place"));
    m_place->setAlignment(Qt::AlignCenter);
    m_place->setToolTip(tr("When the service begins; click to change it"));
    m_place->setCursor(Qt::PointingHandCursor);
    m_place->installEventFilter(this);
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
    m_ends = new QLabel(this);
    m_ends->setObjectName(QStringLiteral("sheet-ends"));
    m_ends->setAlignment(Qt::AlignRight);
    m_ends->setToolTip(tr("As planned; what nobody planned is guessed from its words"));
    for (QLabel* foot : {m_foot, m_ends})
        foot->setStyleSheet(QStringLiteral("color: %1; border-top: 1px solid %2; padding-top: 5px")
                                .arg(day().quiet.name(), day().line.name()));
    m_model = new OrderModel(m_document, this);
    m_view = new OrderView(this);
    m_view->setObjectName(QStringLiteral("order-view"));
    m_view->setAccessibleName(tr("Service order"));
    m_view->setToolTip(
        tr("Drag, or Alt+Up and Alt+Down, to reorder; Delete removes; F2 renames a heading. A theme or "
           "a picture dropped on an item is its look."));
    m_view->setModel(m_model);
    m_view->setItemDelegate(makeOrderDelegate(m_view));
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
    auto* foot = new QHBoxLayout;
    foot->setSpacing(0);
    foot->addWidget(m_foot, 1);
    foot->addWidget(m_ends);
    column->addLayout(foot);

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
        if (!m_view->currentIndex().isValid())
            return;
        m_selected = selected();
        Q_EMIT selectionChanged();
    });
    connect(m_model, &QAbstractItemModel::modelReset, this, &OrderSheet::restoreSelection);
    connect(m_model, &OrderModel::followed, this, [this] {
        Q_EMIT currentChanged();
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
    const Item* current = m_document.service().item(m_current);
    if (current && current->loop())
        return behindLoop(*current, m_document.service());
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

std::vector<Item> OrderSheet::selectedItems() const {
    std::vector<Item> items;
    for (const ItemId& id : withLoopMembers(m_document.service().items, selected()))
        items.push_back(*m_document.service().item(id));
    return items;
}

void OrderSheet::copySelected() {
    if (const std::vector<Item> items = selectedItems(); !items.empty())
        QGuiApplication::clipboard()->setMimeData(itemsToMime(items));
}

void OrderSheet::paste() {
    const QMimeData* data = QGuiApplication::clipboard()->mimeData();
    if (!data)
        return;
    if (!holdsItems(*data)) {
        if (data->hasText())
            Q_EMIT textPasted(data->text(), markerRow());
        return;
    }
    const auto items = itemsFromMime(*data);
    if (!items) {
        Q_EMIT failed(items.error());
        return;
    }
    std::vector<ItemId> ids;
    for (const Item& item : *items)
        ids.push_back(item.id);
    m_document.insertItems(markerRow(), *items,
                           items->size() == 1 ? tr("pasting %1").arg(items->front().title())
                                              : tr("pasting %n items", nullptr, int(items->size())));
    selectAll(ids);
}

void OrderSheet::duplicateSelected() {
    selectAll(m_document.duplicate(selected()));
}

void OrderSheet::groupSelected() {
    const std::vector<ItemId> ids = selected();
    if (ids.empty())
        return;
    const std::vector<ItemId> members = groupOf(m_document.service().items, ids.front());
    const bool isInside = std::all_of(ids.begin(), ids.end(), [&](const ItemId& id) {
        return std::find(members.begin(), members.end(), id) != members.end();
    });
    const auto loop = std::find_if(ids.begin(), ids.end(), [&](const ItemId& id) {
        const Item* item = m_document.service().item(id);
        return item && item->loop();
    });
    if (isInside)
        selectAll(members);
    else if (loop != ids.end())
        m_document.putIntoLoop(ids, *loop);
    else
        m_document.group(ids);
}

void OrderSheet::ungroupSelected() {
    m_document.ungroup(selected());
}

void OrderSheet::skipSelected() {
    const std::vector<Item> items = selectedItems();
    const bool skip = std::any_of(items.begin(), items.end(), [](const Item& item) { return item.isRun(); });
    m_document.changePlan(
        selected(), [skip](ItemPlan& plan) { plan.skipped = skip; },
        skip ? tr("leaving out today") : tr("not leaving out today"));
}

void OrderSheet::renameCurrent() {
    const QModelIndex index = m_view->currentIndex();
    if (index.isValid() && index.flags() & Qt::ItemIsEditable)
        m_view->edit(index);
}

void OrderSheet::addToFoot(QWidget* widget) {
    layout()->addWidget(widget);
}

void OrderSheet::showHead() {
    const Service& service = m_document.service();
    m_title->setText(service.title.isEmpty() ? tr("A service without a name") : service.title);
    QStringList facts{service.place};
    if (service.start.isValid())
        facts << QLocale().toString(service.start, tr("dddd d MMMM, HH:mm", "date format"));
    facts.removeAll(QString());
    m_place->setText(facts.isEmpty() ? tr("When does it begin?") : facts.join(QStringLiteral(" \u00b7 ")));
    m_empty->setVisible(service.items.empty());
}

void OrderSheet::showFoot() {
    const int items = m_book.itemCount();
    QStringList facts{tr("%n items", nullptr, items)};
    if (m_book.isComplete())
        facts << tr("%n slides", nullptr, int(m_book.slideCount()));
    m_foot->setText(facts.join(QStringLiteral(" \u00b7 ")));
    const QDateTime ends = m_model->timetable().ends;
    m_ends->setText(
        ends.isValid() && items > 0 ? tr("ends about %1").arg(ends.time().toString(QStringLiteral("HH:mm")))
        : items > 0 ? tr("about %1").arg(durationText((m_model->timetable().seconds + 59) / 60 * 60))
                    : QString());
}

bool OrderSheet::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_title && event->type() == QEvent::MouseButtonRelease) {
        Q_EMIT titleClicked();
        return true;
    }
    if (watched == m_place && event->type() == QEvent::MouseButtonRelease) {
        Q_EMIT startClicked();
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
    if (key->key() == Qt::Key_Backspace) {
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

#include "moc_OrderSheet.cpp"
