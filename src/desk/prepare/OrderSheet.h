// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/SlideBook.h"
#include "desk/parts/LookDrag.h"
#include "desk/prepare/OrderModel.h"
#include <QListView>
#include <QWidget>
#include <optional>

class QLabel;

namespace mivanta {

/// The list on the sheet, with the mark where the next addition goes. What changes a look is dropped onto an
/// item, or beside them onto the service; everything else between items.
class OrderView : public QListView {
    Q_OBJECT
public:
    using QListView::QListView;

Q_SIGNALS:
    /// `row`: -1 = onto the service.
    void lookDropped(int row, const mivanta::LookDrop& drop);

protected:
    void paintEvent(QPaintEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dragMoveEvent(QDragMoveEvent* event) override;
    void dragLeaveEvent(QDragLeaveEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    [[nodiscard]] int lookRowAt(QPoint at) const;
    void paintLookTarget(QPainter& painter) const;
    /// -1 = the service; nothing = nothing of that kind is dragged here.
    std::optional<int> m_lookRow;
};

/// The service order as the printed sheet that it is: title, place, headings and items, and what it comes to.
class OrderSheet : public QWidget {
    Q_OBJECT
public:
    OrderSheet(ServiceDocument& document, SlideBook& book, QWidget* parent = nullptr);

    [[nodiscard]] ItemId current() const;
    [[nodiscard]] std::vector<ItemId> selected() const;
    /// Where an addition goes: behind the current item, else at the end.
    [[nodiscard]] int markerRow() const;
    void select(const ItemId& id);
    void selectAll(const std::vector<ItemId>& ids);
    void moveSelected(int by);
    void removeSelected();
    void renameCurrent();
    [[nodiscard]] QListView* view() { return m_view; }
    [[nodiscard]] OrderModel* model() { return m_model; }

Q_SIGNALS:
    void currentChanged();
    void titleClicked();
    /// Onto these items, or onto the service when there are none.
    void lookDropped(const std::vector<mivanta::ItemId>& onto, const mivanta::LookDrop& drop);

protected:
    void paintEvent(QPaintEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void showHead();
    void showFoot();
    void restoreSelection();

    ServiceDocument& m_document;
    SlideBook& m_book;
    QLabel* m_title;
    QLabel* m_place;
    QLabel* m_empty;
    QLabel* m_foot;
    OrderModel* m_model;
    OrderView* m_view;
    ItemId m_current; ///< kept over resets of the model
    int m_currentRow = -1;
    std::vector<ItemId> m_selected;
};

} // namespace mivanta
