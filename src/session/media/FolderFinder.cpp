// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/FolderFinder.h"
#include "core/base/Fold.h"
#include "session/media/FolderWatch.h"
#include "session/media/MediaBook.h"
#include "session/media/MediaTwins.h"

namespace mivanta {

namespace {
constexpr size_t kMostFiles = 20;
}

FolderFinder::FolderFinder(const MediaBook& book, const FolderWatch& folders, const MediaTwins& twins,
                           QObject* parent)
    : QObject(parent),
      m_book(book),
      m_folders(folders),
      m_twins(twins) {
    const auto forget = [this] {
        m_all.reset();
        Q_EMIT changed();
    };
    connect(&folders, &FolderWatch::changed, this, forget);
    connect(&twins, &MediaTwins::changed, this, forget);
    connect(&book, &MediaBook::changed, this, [this] { m_all.reset(); });
}

std::vector<FindHit> FolderFinder::find(const QString& query) {
    std::vector<FindHit> hits;
    const QStringList words = searchWords(query);
    if (words.isEmpty())
        return hits;
    if (!m_all)
        m_all = allMedia(m_book, m_folders, m_twins);
    MediaFilter filter;
    filter.query = query;
    filter.order = MediaOrder::ByName;
    for (const int index : mediaOn(*m_all, {}, filter)) // one that the library has, too, stands for its twins
        if (const ShownMedium& shown = (*m_all)[size_t(index)];
            !shown.isInLibrary() && hits.size() < kMostFiles)
            hits.push_back(MediumHit{shown.medium, words, shown.filePath()});
    return hits;
}

} // namespace mivanta

#include "moc_FolderFinder.cpp"
