// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/MediaSearch.h"
#include "store/SafeFiles.h"
#include <QDateTime>
#include <QDirIterator>
#include <QFileInfo>
#include <QSet>
#include <algorithm>

namespace mivanta {

namespace {

constexpr qsizetype kHashLength = 64;
constexpr int kMostFiles = 300'000; ///< of one search, so that it ends on any disk

struct Search {
    const std::vector<MediaFact>& missing;
    std::vector<QString> same; ///< by place in `missing`; empty = not found yet
    std::vector<QFileInfo> likeNamed;

    explicit Search(const std::vector<MediaFact>& wanted)
        : missing(wanted),
          same(wanted.size()),
          likeNamed(wanted.size()) {}

    [[nodiscard]] bool isDone() const {
        return std::none_of(same.begin(), same.end(), [](const QString& path) { return path.isEmpty(); });
    }

    void look(const QFileInfo& file) {
        QString hash;
        for (size_t i = 0; i < missing.size(); ++i) {
            const MediaFact& fact = missing[i];
            if (!same[i].isEmpty())
                continue;
            const bool isNamed =
                file.fileName().compare(fact.title, Qt::CaseInsensitive) == 0 || file.fileName() == fact.name;
            // Without a size only what is called the same is worth reading.
            if (fact.bytes > 0 ? file.size() == fact.bytes : isNamed) {
                if (hash.isEmpty())
                    hash = contentHash(file.filePath()).value_or(QString());
                if (hash == fact.name.left(kHashLength)) {
                    same[i] = file.filePath();
                    continue;
                }
            }
            if (isNamed && (!likeNamed[i].exists() || likeNamed[i].lastModified() < file.lastModified()))
                likeNamed[i] = file;
        }
    }
};

} // namespace

std::vector<MediaMatch> findMedia(const std::vector<MediaFact>& missing, const QStringList& folders,
                                  const std::function<bool()>& goOn) {
    Search search(missing);
    int files = 0;
    QSet<QString> seen; // folders inside others are looked through once
    for (const QString& folder : folders) {
        if (missing.empty() || folder.isEmpty())
            break;
        QDirIterator it(folder, QDir::Files | QDir::Readable, QDirIterator::Subdirectories);
        while (it.hasNext() && !search.isDone() && files < kMostFiles && goOn()) {
            it.next();
            const QString path = it.fileInfo().canonicalFilePath();
            if (path.isEmpty() || seen.contains(path))
                continue;
            seen.insert(path);
            ++files;
            search.look(it.fileInfo());
        }
    }
    std::vector<MediaMatch> matches;
    for (size_t i = 0; i < missing.size(); ++i)
        if (!search.same[i].isEmpty())
            matches.push_back({missing[i].name, search.same[i], true});
        else if (search.likeNamed[i].exists())
            matches.push_back({missing[i].name, search.likeNamed[i].filePath(), false});
    return matches;
}

} // namespace mivanta
