// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/WatchedFolders.h"
#include "core/base/Said.h"
#include <QCryptographicHash>
#include <QFile>
#include <QFileInfo>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <algorithm>
#include <filesystem>
#include <sys/stat.h>

namespace mivanta {

using namespace Qt::StringLiterals;
namespace fs = std::filesystem;

namespace {

constexpr int kDeepest = 24;               // folders inside one another
constexpr int kMostFolders = 20'000;       // that folderState() looks at
constexpr qint64 kDigestPiece = 64 * 1024; // bytes
constexpr size_t kMarks = 8;               // files by which a folder is known
constexpr int kAskEvery = 256;             // entries

fs::path nativePath(const QString& path) {
    return QFile::encodeName(path).toStdString();
}

bool isHidden(const fs::path& path) {
    return path.filename().native().starts_with('.');
}

/// Walks through a folder and those inside it. `use` says whether to go on.
template <typename Use>
void walk(const fs::path& root, const Use& use) {
    std::error_code error;
    fs::recursive_directory_iterator at(root, fs::directory_options::skip_permission_denied, error);
    for (; !error && at != fs::recursive_directory_iterator(); at.increment(error)) {
        std::error_code unknown;
        const bool isFolder = at->is_directory(unknown) && !at->is_symlink(unknown);
        if (isHidden(at->path()) || at.depth() >= kDeepest) {
            if (isFolder)
                at.disable_recursion_pending();
            continue;
        }
        if (!use(*at, isFolder))
            return;
    }
}

qint64 millisecondsOf(const timespec& time) {
    return qint64(time.tv_sec) * 1000 + time.tv_nsec / 1'000'000;
}

} // namespace

Result<std::vector<FolderFile>> readMediaFolder(const QString& path, const std::function<bool()>& goOn) {
    const QFileInfo folder(path);
    if (!folder.isDir() || !folder.isReadable())
        return failure(folder.isDir() ? Said::tr("the folder may not be read")
                                      : Said::tr("there is no such folder"),
                       path, Said::tr("Plug in what it is on, or choose another folder."));
    const fs::path root = nativePath(path);
    const size_t inside = root.native().size() + (root.native().ends_with('/') ? 0 : 1);
    std::vector<FolderFile> files;
    int seen = 0;
    walk(root, [&](const fs::directory_entry& entry, bool isFolder) {
        if (++seen % kAskEvery == 0 && goOn && !goOn())
            return false;
        if (isFolder)
            return true;
        const QByteArray name = QByteArray::fromStdString(entry.path().native().substr(inside));
        const auto kind = mediumKindOf(QFile::decodeName(name));
        struct stat facts {};
        if (!kind || ::stat(entry.path().c_str(), &facts) != 0 || !S_ISREG(facts.st_mode))
            return true;
        files.push_back({QFile::decodeName(name), *kind, facts.st_size, millisecondsOf(facts.st_mtim)});
        return files.size() < kMostFolderFiles;
    });
    std::sort(files.begin(), files.end(),
              [](const FolderFile& a, const FolderFile& b) { return a.path < b.path; });
    return files;
}

quint64 folderState(const QString& path) {
    struct stat facts {};
    const fs::path root = nativePath(path);
    if (::stat(root.c_str(), &facts) != 0 || !S_ISDIR(facts.st_mode))
        return 0;
    quint64 state = 1;
    int folders = 0;
    const auto add = [&](const struct stat& of) {
        state = qHash(millisecondsOf(of.st_mtim), state) ^ qHash(quint64(of.st_ino), state);
        state += state == 0 ? 1 : 0;
    };
    add(facts);
    walk(root, [&](const fs::directory_entry& entry, bool isFolder) {
        if (isFolder && ::stat(entry.path().c_str(), &facts) == 0)
            add(facts);
        return !isFolder || ++folders < kMostFolders;
    });
    return state;
}

QByteArray quickDigest(const QString& path) {
    QFile file(path);
    if (!QFileInfo(path).isFile() || !file.open(QIODevice::ReadOnly))
        return {};
    QCryptographicHash hash(QCryptographicHash::Sha256);
    hash.addData(QByteArray::number(file.size()));
    hash.addData(file.read(kDigestPiece));
    if (file.size() > kDigestPiece) {
        file.seek(std::max(kDigestPiece, file.size() - kDigestPiece));
        hash.addData(file.read(kDigestPiece));
    }
    return file.error() == QFileDevice::NoError ? hash.result() : QByteArray();
}

std::vector<FolderMark> marksOf(const QString& path, const std::vector<FolderFile>& files) {
    std::vector<FolderMark> marks;
    const size_t count = std::min(kMarks, files.size());
    for (size_t i = 0; i < count; ++i) {
        const FolderFile& file = files[i * files.size() / count];
        if (const QByteArray digest = quickDigest(path + u'/' + file.path); !digest.isEmpty())
            marks.push_back({file.path, file.bytes, digest});
    }
    return marks;
}

namespace {

bool isThatFolder(const QString& path, const std::vector<FolderMark>& marks) {
    const auto found = std::count_if(marks.begin(), marks.end(), [&](const FolderMark& mark) {
        const QString file = path + u'/' + mark.path;
        return QFileInfo(file).size() == mark.bytes && quickDigest(file) == mark.digest;
    });
    return found > 0 && size_t(found) * 2 > marks.size();
}

} // namespace

QString findFolderAgain(const WatchedFolder& folder, const QStringList& roots) {
    // "/media/anna/STICK/Films/2026" is Films/2026, 2026 or the whole of another volume.
    const QStringList names = folder.path.split(u'/', Qt::SkipEmptyParts);
    for (const QString& root : roots)
        for (qsizetype from = 0; from <= names.size(); ++from) {
            const QString inside = names.mid(from).join(u'/');
            QString path = inside.isEmpty() ? root : root + u'/' + inside;
            if (path != folder.path && isThatFolder(path, folder.marks))
                return path;
        }
    return {};
}

QByteArray watchedFoldersToJson(const std::vector<WatchedFolder>& folders) {
    QJsonArray all;
    for (const WatchedFolder& folder : folders) {
        QJsonArray marks;
        for (const FolderMark& mark : folder.marks)
            marks.append(QJsonObject{{u"path"_s, mark.path},
                                     {u"bytes"_s, mark.bytes},
                                     {u"digest"_s, QString::fromLatin1(mark.digest.toHex())}});
        QJsonObject one{{u"path"_s, folder.path}, {u"files"_s, folder.files}, {u"marks"_s, marks}};
        if (!folder.followed.isEmpty())
            one[u"followed"_s] = QJsonArray::fromStringList(folder.followed);
        all.append(one);
    }
    return QJsonDocument(QJsonObject{{u"format"_s, u"mivanta-media-folders"_s}, {u"folders"_s, all}})
        .toJson();
}

Result<std::vector<WatchedFolder>> watchedFoldersFromJson(const QByteArray& json, const QString& where) {
    const QJsonObject object = QJsonDocument::fromJson(json).object();
    if (object[u"format"_s].toString() != u"mivanta-media-folders")
        return failure(Said::tr("the watched folders cannot be read"), where,
                       Said::tr("Watch the folders again under Library, Media."));
    std::vector<WatchedFolder> folders;
    for (const QJsonValue& value : object[u"folders"_s].toArray()) {
        WatchedFolder folder;
        folder.path = value[u"path"_s].toString();
        folder.files = std::clamp(value[u"files"_s].toInt(), 0, kMostFolderFiles);
        for (const QJsonValue& each : value[u"marks"_s].toArray()) {
            const FolderMark mark{each[u"path"_s].toString(), each[u"bytes"_s].toInteger(),
                                  QByteArray::fromHex(each[u"digest"_s].toString().toLatin1())};
            if (folder.marks.size() < kMarks && !mark.path.contains(u"..") && !mark.path.isEmpty())
                folder.marks.push_back(mark);
        }
        for (const QJsonValue& each : value[u"followed"_s].toArray())
            if (each.isString() && folder.followed.size() < kMostFollowed)
                folder.followed << each.toString();
        if (folder.path.startsWith(u'/') && folders.size() < kMostWatchedFolders)
            folders.push_back(std::move(folder));
    }
    return folders;
}

} // namespace mivanta
