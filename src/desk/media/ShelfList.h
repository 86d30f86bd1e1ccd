// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/media/MediaModel.h"
#include <QTreeWidget>

namespace mivanta {

/// Where media lie: the library's shelves, and the folders of this computer that are watched, with what is in
/// them now.
class ShelfList : public QTreeWidget {
    Q_OBJECT
public:
    ShelfList(Session& session, MediaModel& model, QWidget* parent = nullptr);
    [[nodiscard]] MediaShelf shelf() const;
    /// The watched folder that is chosen, or in which one is; empty = none.
    [[nodiscard]] QString watched() const;

Q_SIGNALS:
    void shelfChanged();
    void leaveWanted(const QString& folder);

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;

private:
    void fill();
    QTreeWidgetItem* addShelf(QTreeWidgetItem* group, const QString& text, const MediaShelf& shelf,
                              const QString& side);
    QTreeWidgetItem* addGroup(const QString& text);

    Session& m_session;
    MediaModel& m_model;
};

} // namespace mivanta
