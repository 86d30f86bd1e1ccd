// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServicePack.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "formats/ServiceFile.h"
#include "store/MediaFiles.h"
#include "store/SafeFiles.h"
#include "store/UnfinishedFolder.h"
#include <QDateTime>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QScopeGuard>
#include <QTemporaryDir>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kMostTimes = 200; // pictures, films and fonts are packed already

QString mediaEntry(const QString& name) {
    return QLatin1String(kMediaFolder) + name;
}

const MediaFact* factOf(const Service& service, const QString& name) {
    const auto at = std::find_if(service.media.begin(), service.media.end(),
                                 [&](const MediaFact& fact) { return fact.name == name; });
    return at == service.media.end() ? nullptr : &*at;
}

tl::unexpected<Error> refused(const QString& why, const QString& where) {
    return failure(Said::tr("this packed service is refused: %1").arg(why), where,
                   Said::tr("Ask for another copy from whoever packed it."));
}

/// The entries of a packed file that are files of ours, seen to be safe.
Result<QStringList> safeEntries(const ZipReader& zip, const QString& where) {
    if (auto safe = zip.checkSafe(kMostTimes); !safe)
        return refused(safe.error().what, where);
    QStringList files;
    const QStringList entries = zip.entries();
    for (const QString& entry : entries) {
        const bool isMedia = entry.startsWith(QLatin1String(kMediaFolder));
        if (isMedia && !isMediaName(entry.mid(qsizetype(qstrlen(kMediaFolder)))))
            return refused(Said::tr("it holds \u201c%1\u201d, which is no name of a medium").arg(entry),
                           where);
        if ((isMedia || entry.startsWith(QLatin1String(kFontFolder))) && !entry.endsWith(u'/'))
            files << entry;
    }
    return files;
}

/// A packed file that has been seen to be safe.
struct Packed {
    ZipReader zip;
    QStringList entries; ///< of media and fonts
    Service service;
};

Result<Packed> openPacked(const QString& path) {
    auto zip = ZipReader::openFile(path, kMostUnpacked);
    if (!zip)
        return refused(zip.error().what, path);
    auto entries = safeEntries(*zip, path);
    if (!entries)
        return tl::unexpected(entries.error());
    auto service = readServiceZip(*zip, path);
    if (!service)
        return tl::unexpected(service.error());
    return Packed{std::move(*zip), std::move(*entries), std::move(*service)};
}

/// Unpacks an entry to a new file and sees that a medium is what its name says.
Result<void> extract(const ZipReader& zip, const QString& entry, const QString& to, const QString& where) {
    QFile file(to);
    if (!QDir().mkpath(QFileInfo(to).path()) || !file.open(QIODevice::WriteOnly | QIODevice::NewOnly))
        return failure(Said::tr("a file could not be written: %1").arg(file.errorString()), to,
                       Said::tr("Check the free space and that you may write there."));
    if (auto copied = zip.copy(entry, file); !copied)
        return refused(copied.error().what, where);
    const bool isOnDisk = file.flush() && syncFile(to);
    file.close();
    if (!isOnDisk || file.error() != QFileDevice::NoError)
        return failure(Said::tr("a file could not be written: %1").arg(file.errorString()), to,
                       Said::tr("Check the free space."));
    if (entry.startsWith(QLatin1String(kMediaFolder))) {
        const auto hash = contentHash(to);
        if (!hash || !entry.mid(qsizetype(qstrlen(kMediaFolder))).startsWith(*hash))
            return refused(Said::tr("\u201c%1\u201d is not what its name says").arg(entry), where);
    }
    return {};
}

} // namespace

qint64 PackList::bytes() const {
    qint64 sum = 0;
    for (const PackFile& file : files)
        sum += file.bytes;
    return sum;
}

std::vector<MediaFact> mediaFactsOf(const Service& service, const QString& mediaFolder,
                                    const QMap<QString, QString>& titles) {
    std::vector<MediaFact> facts;
    const QStringList names = mediaOf(service);
    for (const QString& name : names) {
        const MediaFact* known = factOf(service, name);
        MediaFact fact = known ? *known : MediaFact{name, {}, 0};
        fact.title = titles.value(name, fact.title);
        if (const QFileInfo file(mediaPath(mediaFolder, name)); file.isFile())
            fact.bytes = file.size();
        facts.push_back(std::move(fact));
    }
    return facts;
}

std::vector<MediaFact> missingMedia(const Service& service, const QString& mediaFolder) {
    std::vector<MediaFact> missing = mediaFactsOf(service, mediaFolder, {});
    std::erase_if(missing, [&](const MediaFact& fact) {
        return QFileInfo(mediaPath(mediaFolder, fact.name)).isFile();
    });
    return missing;
}

PackList packListOf(const Service& service, const QString& mediaFolder, const std::vector<FontFile>& fonts) {
    PackList list;
    const QStringList names = mediaOf(service);
    for (const QString& name : names) {
        const MediaFact* fact = factOf(service, name);
        const QString title = fact && !fact->title.isEmpty() ? fact->title : name;
        const QFileInfo file(mediaPath(mediaFolder, name));
        if (file.isFile())
            list.files.push_back({mediaEntry(name), file.filePath(), title, file.size()});
        else
            list.missing << title;
    }
    QStringList entries;
    for (const FontFile& font : fonts) {
        const QFileInfo file(font.path);
        const QString entry = QLatin1String(kFontFolder) + file.fileName();
        if (!font.refusal.isEmpty())
            list.leftOut.push_back(font);
        else if (file.isFile() && !entries.contains(entry))
            list.files.push_back({entry, font.path, font.font.family, file.size()});
        entries << entry;
    }
    return list;
}

Result<FileStamp> packService(const Service& service, const PackList& list, const QString& path,
                              const std::optional<FileStamp>& expected, const ByteProgress& progress) {
    if (auto unchanged = checkUnchanged(path, expected); !unchanged)
        return tl::unexpected(unchanged.error());
    std::vector<ZipFilePart> parts{{QString::fromLatin1(kServiceEntry), serviceJsonBytes(service), {}}};
    for (const PackFile& file : list.files)
        parts.push_back({file.entry, {}, file.path});
    const QString beside = path + u".packing"_s;
    QFile::remove(beside); // of a program that died while it packed
    if (auto written = writeZipFile(beside, parts, progress); !written)
        return tl::unexpected(written.error());
    auto placed = checkUnchanged(path, expected); // packing takes a while
    if (placed)
        placed = replaceFile(beside, path);
    if (!placed) {
        QFile::remove(beside);
        return tl::unexpected(placed.error());
    }
    return stampOfFile(path);
}

namespace {

/// A medium that is there is what its name says, or it is brought in again.
bool isThere(const QString& entry, const QString& path) {
    if (!QFileInfo::exists(path))
        return false;
    if (!entry.startsWith(QLatin1String(kMediaFolder)))
        return true;
    const auto hash = contentHash(path);
    return hash && QFileInfo(path).fileName().startsWith(*hash);
}

} // namespace

Result<UnpackedMedia> bringInMedia(const QString& path, MediaFiles& media, const QString& fontFolder) {
    const auto packed = openPacked(path);
    if (!packed)
        return tl::unexpected(packed.error());
    // All of it is unpacked and seen to be whole before the library gets any of it.
    if (!QDir().mkpath(media.folder()))
        return failure(Said::tr("the folder for media could not be made"), media.folder(),
                       Said::tr("Check that you may write there."));
    const UnfinishedFolder waiting(media.folder());
    UnpackedMedia result;
    QStringList fresh;
    for (const QString& entry : packed->entries) {
        const QString name = entry.section(u'/', 1);
        const QString there =
            entry.startsWith(QLatin1String(kFontFolder)) ? fontFolder + u'/' + name : media.pathOf(name);
        if (isThere(entry, there)) {
            ++result.already;
            continue;
        }
        if (auto done = extract(packed->zip, entry, waiting.filePath(entry), path); !done)
            return tl::unexpected(done.error());
        fresh << entry;
    }
    for (const QString& entry : fresh) {
        const QString name = entry.section(u'/', 1);
        const QString from = waiting.filePath(entry);
        if (entry.startsWith(QLatin1String(kFontFolder))) {
            if (!QDir().mkpath(fontFolder) || !replaceFile(from, fontFolder + u'/' + name))
                return failure(Said::tr("a font could not be put into the library"), fontFolder,
                               Said::tr("Check that you may write there."));
        } else {
            const MediaFact* fact = factOf(packed->service, name);
            if (auto taken = media.moveIn(from, name, fact ? fact->title : QString()); !taken)
                return tl::unexpected(taken.error());
        }
        ++result.added;
    }
    return result;
}

Result<QString> unpackService(const QString& path, const QString& folder) {
    const auto packed = openPacked(path);
    if (!packed)
        return tl::unexpected(packed.error());
    const QString file = QFileInfo(path).completeBaseName() + u".mivanta"_s;
    QStringList all = packed->entries;
    all << file;
    const QDir target(folder);
    for (const QString& name : all)
        if (QFileInfo::exists(target.filePath(name)))
            return failure(Said::tr("there is a \u201c%1\u201d already").arg(name), folder,
                           Said::tr("Choose an empty folder."));
    const bool isNew = !target.exists();
    if (!QDir().mkpath(folder))
        return failure(Said::tr("the folder could not be made"), folder,
                       Said::tr("Check that you may write there."));
    auto takeBack = qScopeGuard([&] {
        if (isNew)
            QDir(folder).removeRecursively();
    });
    const UnfinishedFolder waiting(folder);
    for (const QString& entry : packed->entries)
        if (auto done = extract(packed->zip, entry, waiting.filePath(entry), path); !done)
            return tl::unexpected(done.error());
    if (auto saved = saveService(packed->service, waiting.filePath(file), {}); !saved)
        return tl::unexpected(saved.error());
    for (const QString& name : all)
        if (!QDir().mkpath(QFileInfo(target.filePath(name)).path()) ||
            !QFile::rename(waiting.filePath(name), target.filePath(name)))
            return failure(Said::tr("\u201c%1\u201d could not be put in its place").arg(name), folder,
                           Said::tr("Check that you may write there."));
    for (const QString& sub : {QString(), u"/media"_s, u"/fonts"_s})
        syncFolder(folder + sub);
    takeBack.dismiss();
    return target.filePath(file);
}

} // namespace mivanta
