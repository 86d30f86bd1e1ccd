// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/LookDrag.h"
#include <QListView>
#include <optional>

class QAbstractItemDelegate;

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
    [[nodiscard]] bool isBetween(QPoint at, const LookDrop& drop) const;
    void followDrag(QDragMoveEvent* event);
    void paintLookTarget(QPainter& painter) const;
    /// -1 = the service; nothing = nothing of that kind is dragged here.
    std::optional<int> m_lookRow;
    std::optional<LookDrop> m_dragged; ///< what would change a look
};

/// Draws headings with their rule and items with their time; for a view of an OrderModel.
[[nodiscard]] QAbstractItemDelegate* makeOrderDelegate(QObject* parent);

} // namespace mivanta
