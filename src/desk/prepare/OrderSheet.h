// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/LookDrag.h"
#include "desk/prepare/OrderModel.h"
#include "desk/prepare/OrderView.h"
#include "session/service/SlideBook.h"
#include <QWidget>
#include <optional>

class QLabel;

namespace mivanta {

class ElidedLabel;

/// The service order as the printed sheet that it is: title, place, headings and items, and what it comes to.
class OrderSheet : public QWidget {
    Q_OBJECT
public:
    OrderSheet(ServiceDocument& document, SlideBook& book, QWidget* parent = nullptr);

    [[nodiscard]] ItemId current() const;
    [[nodiscard]] std::vector<ItemId> selected() const;
    /// Where an addition goes: behind the current item, or all of the current loop, else at the end.
    [[nodiscard]] int markerRow() const;
    void select(const ItemId& id);
    void selectAll(const std::vector<ItemId>& ids);
    void moveSelected(int by);
    void removeSelected();
    void copySelected();
    void paste(); ///< behind the mark
    void duplicateSelected();
    void groupSelected(); ///< several: they stay together; one of a group: chooses all of it
    void ungroupSelected();
    void skipSelected(); ///< leaves them out today, or takes them back when all are
    void renameCurrent();
    [[nodiscard]] QListView* view() { return m_view; }
    void addToFoot(QWidget* widget);
    [[nodiscard]] OrderModel* model() { return m_model; }

Q_SIGNALS:
    void currentChanged();
    void selectionChanged();
    void titleClicked();
    void startClicked();
    void textPasted(const QString& text, int at);
    void failed(const mivanta::Error& error);
    /// Onto these items, or onto the service when there are none.
    void lookDropped(const std::vector<mivanta::ItemId>& onto, const mivanta::LookDrop& drop);

protected:
    void paintEvent(QPaintEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void showHead();
    void showFoot();
    void restoreSelection();
    [[nodiscard]] std::vector<Item> selectedItems() const;

    ServiceDocument& m_document;
    SlideBook& m_book;
    ElidedLabel* m_title;
    QLabel* m_place;
    QLabel* m_empty;
    QLabel* m_foot;
    QLabel* m_ends;
    OrderModel* m_model;
    OrderView* m_view;
    ItemId m_current; ///< kept over resets of the model
    int m_currentRow = -1;
    std::vector<ItemId> m_selected;
};

} // namespace mivanta
