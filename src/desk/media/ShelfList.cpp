// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/ShelfList.h"
#include "desk/kit/Style.h"
#include "session/Session.h"
#include <QContextMenuEvent>
#include <QFileInfo>
#include <QHeaderView>
#include <QKeyEvent>
#include <QMenu>
#include <QSignalBlocker>

namespace mivanta {

namespace {

constexpr int kKindRole = Qt::UserRole;
constexpr int kFolderRole = Qt::UserRole + 1;
constexpr int kWatchedRole = Qt::UserRole + 2;

MediaShelf shelfOf(const QTreeWidgetItem* item) {
    return item ? MediaShelf{MediaShelf::Kind(item->data(0, kKindRole).toInt()),
                             item->data(0, kFolderRole).toString()}
                : MediaShelf();
}

} // namespace

ShelfList::ShelfList(Session& session, MediaModel& model, QWidget* parent)
    : QTreeWidget(parent),
      m_session(session),
      m_model(model) {
    setObjectName(QStringLiteral("media-shelves"));
    setAccessibleName(tr("Shelves and watched folders"));
    setColumnCount(2);
    setHeaderHidden(true);
    header()->setStretchLastSection(false);
    header()->setSectionResizeMode(0, QHeaderView::Stretch);
    header()->setSectionResizeMode(1, QHeaderView::ResizeToContents);
    setFrameShape(QFrame::NoFrame);
    setStyleSheet(QStringLiteral("QTreeWidget { background: transparent; }"));
    setIndentation(spaced(3));
    setRootIsDecorated(false);
    connect(&m_model, &MediaModel::reloaded, this, &ShelfList::fill);
    connect(this, &QTreeWidget::currentItemChanged, this, [this](const QTreeWidgetItem* item) {
        if (item && item->flags() & Qt::ItemIsSelectable)
            Q_EMIT shelfChanged();
    });
    fill();
}

MediaShelf ShelfList::shelf() const {
    return shelfOf(currentItem());
}

QString ShelfList::watched() const {
    return currentItem() ? currentItem()->data(0, kWatchedRole).toString() : QString();
}

QTreeWidgetItem* ShelfList::addGroup(const QString& text) {
    auto* group = new QTreeWidgetItem(this, {text});
    group->setFlags(Qt::ItemIsEnabled);
    group->setFont(0, textFont(1.0, TextWeight::Bold));
    group->setForeground(0, day().accent);
    group->setFirstColumnSpanned(true);
    return group;
}

QTreeWidgetItem* ShelfList::addShelf(QTreeWidgetItem* group, const QString& text, const MediaShelf& shelf,
                                     const QString& side) {
    auto* item = new QTreeWidgetItem(group, {text, side});
    item->setData(0, kKindRole, int(shelf.kind));
    item->setData(0, kFolderRole, shelf.folder);
    item->setTextAlignment(1, Qt::AlignRight | Qt::AlignVCenter);
    item->setForeground(1, day().quiet);
    return item;
}

/// Anew whenever something has come or gone; what was chosen stays so.
void ShelfList::fill() {
    using Kind = MediaShelf::Kind;
    const MediaShelf chosen = shelf();
    QSignalBlocker blocker(this);
    clear();
    const auto count = [&](const MediaShelf& shelf) { return QString::number(m_model.countOn(shelf)); };
    QTreeWidgetItem* shelves = addGroup(tr("Shelves"));
    for (const auto& [kind, text] : {std::pair{Kind::Everything, tr("Everything")},
                                     {Kind::Library, tr("In the library")},
                                     {Kind::Starred, tr("Starred")},
                                     {Kind::UsedLately, tr("Used lately")}})
        addShelf(shelves, text, {kind, {}}, count({kind, {}}));
    const auto& folders = m_session.folders().all();
    QTreeWidgetItem* watched = folders.empty() ? nullptr : addGroup(tr("Folders on this computer"));
    for (const FolderWatch::Entry& entry : folders) {
        const QString& path = entry.folder.path;
        const MediaShelf shelf{Kind::Folder, path};
        QTreeWidgetItem* item = addShelf(watched, QFileInfo(path).fileName(), shelf,
                                         entry.isHere || !entry.isRead ? count(shelf) : tr("not here now"));
        item->setData(0, kWatchedRole, path);
        item->setToolTip(
            0, entry.isHere || !entry.isRead
                   ? path
                   : tr("%1 is not here now. Plug in what it is on; it is found again by itself.").arg(path));
        for (const QString& inside : m_model.foldersIn(path)) {
            const MediaShelf inner{Kind::Folder, path + u'/' + inside};
            addShelf(item, inside, inner, count(inner))->setData(0, kWatchedRole, path);
        }
    }
    expandAll();
    for (QTreeWidgetItemIterator at(this); *at; ++at)
        if ((*at)->flags() & Qt::ItemIsSelectable && shelfOf(*at) == chosen) {
            setCurrentItem(*at);
            return;
        }
    setCurrentItem(shelves->child(0));
    blocker.unblock();
    Q_EMIT shelfChanged(); // what was chosen is gone
}

void ShelfList::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Delete && !watched().isEmpty())
        Q_EMIT leaveWanted(watched());
    else
        QTreeWidget::keyPressEvent(event);
}

void ShelfList::contextMenuEvent(QContextMenuEvent* event) {
    const QTreeWidgetItem* item = itemAt(event->pos());
    const QString folder = item ? item->data(0, kWatchedRole).toString() : QString();
    if (folder.isEmpty())
        return;
    QMenu menu(this);
    connect(menu.addAction(tr("&Look again")), &QAction::triggered, &m_session.folders(), &FolderWatch::look);
    connect(menu.addAction(tr("No longer &watch this folder (Del)")), &QAction::triggered, this,
            [this, folder] { Q_EMIT leaveWanted(folder); });
    menu.exec(event->globalPos());
}

} // namespace mivanta

#include "moc_ShelfList.cpp"
