// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/ShownMedium.h"
#include "core/base/Fold.h"
#include "session/media/FolderWatch.h"
#include "session/media/MediaBook.h"
#include "session/media/MediaTwins.h"
#include <QFileInfo>
#include <QSet>
#include <algorithm>

namespace mivanta {

namespace {

ShownMedium shownOf(const WatchedFolder& folder, const FolderFile& file) {
    ShownMedium shown;
    shown.folder = folder.path;
    shown.path = file.path;
    shown.changedAt = file.changedAt;
    shown.medium.title = QFileInfo(file.path).completeBaseName();
    shown.medium.kind = file.kind;
    shown.medium.bytes = file.bytes;
    shown.medium.addedAt = QDateTime::fromMSecsSinceEpoch(file.changedAt, Qt::UTC);
    return shown;
}

bool passes(const ShownMedium& shown, const MediaFilter& filter, const QStringList& words) {
    return filter.kinds.contains(shown.medium.kind) &&
           std::all_of(words.begin(), words.end(),
                       [&](const QString& word) { return shown.folded.contains(word); });
}

void sort(std::vector<int>& shown, const std::vector<ShownMedium>& all, MediaOrder order) {
    const auto by = [&](auto&& isBefore) {
        std::stable_sort(shown.begin(), shown.end(), [&](int a, int b) {
            return isBefore(all[size_t(a)].medium, all[size_t(b)].medium);
        });
    };
    switch (order) {
    case MediaOrder::NewestFirst:
        by([](const Medium& a, const Medium& b) { return a.addedAt > b.addedAt; });
        break;
    case MediaOrder::ByName:
        by([](const Medium& a, const Medium& b) {
            return QString::compare(a.title, b.title, Qt::CaseInsensitive) < 0;
        });
        break;
    case MediaOrder::LargestFirst:
        by([](const Medium& a, const Medium& b) { return a.bytes > b.bytes; });
        break;
    case MediaOrder::LongestFirst:
        by([](const Medium& a, const Medium& b) { return a.length() > b.length(); });
        break;
    case MediaOrder::UsedLately:
        by([](const Medium& a, const Medium& b) { return a.usedAt > b.usedAt; });
        break;
    }
}

} // namespace

bool isOn(const ShownMedium& shown, const MediaShelf& shelf) {
    switch (shelf.kind) {
    case MediaShelf::Kind::Everything:
        return true;
    case MediaShelf::Kind::Starred:
        return shown.medium.isStarred;
    case MediaShelf::Kind::UsedLately:
        return shown.medium.usedAt.isValid();
    case MediaShelf::Kind::Library:
        return shown.isInLibrary();
    case MediaShelf::Kind::Folder:
        return !shown.isInLibrary() &&
               (shelf.folder == shown.folder || shown.filePath().startsWith(shelf.folder + u'/'));
    }
    return false;
}

std::vector<ShownMedium> allMedia(const MediaBook& book, const FolderWatch& folders,
                                  const MediaTwins& twins) {
    std::vector<ShownMedium> all;
    const auto add = [&](ShownMedium shown, const QString& path) {
        shown.folded =
            foldedForSearch(shown.medium.title + u'\n' + shown.medium.caption + u'\n' + shown.path);
        shown.digest = twins.digestOf(path);
        all.push_back(std::move(shown));
    };
    for (const Medium& medium : book.all())
        add({medium, {}, {}, 0, {}, {}}, book.pathOf(medium.name));
    for (const FolderWatch::Entry& entry : folders.all())
        for (const FolderFile& file : entry.files) {
            const ShownMedium shown = shownOf(entry.folder, file);
            add(shown, shown.filePath());
        }
    return all;
}

std::vector<int> mediaOn(const std::vector<ShownMedium>& all, const MediaShelf& shelf,
                         const MediaFilter& filter) {
    const QStringList words = searchWords(filter.query);
    std::vector<int> shown;
    QSet<QByteArray> seen;
    for (const ShownMedium& each : all) {
        if (!isOn(each, shelf) || !passes(each, filter, words) || seen.contains(each.digest))
            continue;
        if (!each.digest.isEmpty())
            seen.insert(each.digest);
        shown.push_back(int(&each - all.data()));
    }
    sort(shown, all, filter.order);
    return shown;
}

} // namespace mivanta
