// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/SlideBook.h"
#include "desk/prepare/OrderModel.h"
#include <QListView>
#include <QWidget>

class QLabel;

namespace mivanta {

/// The list on the sheet, with the mark where the next addition goes.
class OrderView : public QListView {
    Q_OBJECT
public:
    using QListView::QListView;

protected:
    void paintEvent(QPaintEvent* event) override;
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
