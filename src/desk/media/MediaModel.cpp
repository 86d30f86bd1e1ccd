// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/MediaModel.h"
#include "desk/find/FindList.h"
#include "session/Session.h"
#include <QMimeData>
#include <QSet>
#include <QUrl>
#include <algorithm>

namespace mivanta {

MediaModel::MediaModel(Session& session, QObject* parent) : QAbstractListModel(parent), m_session(session) {
    connect(&session.media(), &MediaBook::changed, this, &MediaModel::reload);
    connect(&session.folders(), &FolderWatch::changed, this, &MediaModel::reload);
    connect(&session.twins(), &MediaTwins::changed, this, &MediaModel::reload);
    reload();
}

void MediaModel::reload() {
    select(allMedia(m_session.media(), m_session.folders(), m_session.twins()));
    Q_EMIT reloaded();
}

void MediaModel::show(const MediaShelf& shelf, const MediaFilter& filter) {
    m_shelf = shelf;
    m_filter = filter;
    select(std::move(m_all));
}

/// Where the same ones are shown as before, nothing moves and nothing that was chosen is lost.
void MediaModel::select(std::vector<ShownMedium> all) {
    std::vector<int> shown = mediaOn(all, m_shelf, m_filter);
    QStringList keys;
    keys.reserve(qsizetype(shown.size()));
    for (const int each : shown)
        keys << all[size_t(each)].key();
    const bool isSame = keys == m_keys;
    if (!isSame)
        beginResetModel();
    m_all = std::move(all);
    m_shown = std::move(shown);
    m_keys = std::move(keys);
    if (!isSame)
        endResetModel();
    else if (!m_shown.empty())
        Q_EMIT dataChanged(index(0), index(rowCount() - 1));
    Q_EMIT refilled();
}

const ShownMedium* MediaModel::medium(const QModelIndex& index) const {
    return index.isValid() && index.row() < int(m_shown.size()) ? &m_all[size_t(m_shown[size_t(index.row())])]
                                                                : nullptr;
}

QModelIndex MediaModel::indexOf(const QString& key) const {
    const auto at = m_keys.indexOf(key);
    return at < 0 ? QModelIndex() : index(int(at));
}

int MediaModel::countOn(const MediaShelf& shelf) const {
    return int(std::count_if(m_all.begin(), m_all.end(),
                             [&](const ShownMedium& shown) { return isOn(shown, shelf); }));
}

QStringList MediaModel::foldersIn(const QString& watched) const {
    QSet<QString> folders;
    for (const ShownMedium& shown : m_all)
        if (shown.folder == watched)
            if (const auto slash = shown.path.indexOf(u'/'); slash > 0)
                folders.insert(shown.path.left(slash));
    QStringList sorted(folders.begin(), folders.end());
    sorted.sort(Qt::CaseInsensitive);
    return sorted;
}

FindPick MediaModel::pickOf(const ShownMedium& shown) const {
    return shown.isInLibrary() ? MediumPick{shown.medium.name, {}} : MediumPick{{}, shown.filePath()};
}

QString MediaModel::pathOf(const ShownMedium& shown) const {
    return shown.isInLibrary() ? m_session.media().pathOf(shown.medium.name) : shown.filePath();
}

int MediaModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : int(m_shown.size());
}

QVariant MediaModel::data(const QModelIndex& index, int role) const {
    const ShownMedium* shown = medium(index);
    if (!shown)
        return {};
    switch (role) {
    case Qt::DisplayRole:
        return shown->medium.title;
    case Qt::AccessibleTextRole:
        return tr("%1, %2, %3")
            .arg(shown->medium.title, mediumKindText(shown->medium.kind), factsText(shown->medium));
    case Qt::ToolTipRole: {
        const QString where = shown->isInLibrary() ? tr("in the library") : shown->filePath();
        return QStringLiteral("%1\n%2\n%3").arg(shown->medium.title, factsText(shown->medium), where);
    }
    default:
        return {};
    }
}

Qt::ItemFlags MediaModel::flags(const QModelIndex& index) const {
    return QAbstractListModel::flags(index) | Qt::ItemIsDragEnabled;
}

QStringList MediaModel::mimeTypes() const {
    return {QString::fromLatin1(FindListModel::kMimeType), QStringLiteral("text/uri-list")};
}

QMimeData* MediaModel::mimeData(const QModelIndexList& indexes) const {
    std::vector<FindPick> picks;
    QList<QUrl> urls;
    for (const QModelIndex& index : indexes)
        if (const ShownMedium* shown = medium(index)) {
            picks.push_back(pickOf(*shown));
            urls << QUrl::fromLocalFile(pathOf(*shown));
        }
    auto* data = new QMimeData;
    data->setData(QString::fromLatin1(FindListModel::kMimeType), picksToBytes(picks));
    data->setUrls(urls);
    return data;
}

} // namespace mivanta

#include "moc_MediaModel.cpp"
