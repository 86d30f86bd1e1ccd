// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Backups.h"
#include "core/base/Said.h"
#include "store/Database.h"
#include "store/SafeFiles.h"
#include <QCoreApplication>
#include <QDir>
#include <QSet>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

const QString kBringingBack = u".bringing-back"_s; ///< a file that says what the old library is to be called
constexpr auto kStampFormat = "yyyyMMdd-HHmmss-zzz";
constexpr int kDays = 7;
constexpr qint64 kWeeks = 5;
constexpr int kMonths = 12;
constexpr int kFewest = 3;
constexpr int kSetAsideDays = 30;

QString backupFolder(const QString& libraryFolder) {
    return libraryFolder + u"/backups"_s;
}

QString libraryFile(const QString& libraryFolder) {
    return libraryFolder + u"/library.db"_s;
}

QString beginningOf(Backup::Kind kind) {
    switch (kind) {
    case Backup::Kind::BeforeMigration:
        return u"library-before-"_s;
    case Backup::Kind::SetAside:
        return u"library-set-aside-"_s;
    case Backup::Kind::Daily:
        break;
    }
    return u"library-daily-"_s;
}

QString newPath(const QString& libraryFolder, Backup::Kind kind) {
    return u"%1/%2%3.db"_s.arg(backupFolder(libraryFolder), beginningOf(kind),
                               QDateTime::currentDateTimeUtc().toString(QLatin1String(kStampFormat)));
}

std::optional<Backup> backupOf(const QFileInfo& file) {
    const QString name = file.completeBaseName();
    for (const auto kind : {Backup::Kind::Daily, Backup::Kind::BeforeMigration, Backup::Kind::SetAside}) {
        if (!name.startsWith(beginningOf(kind)))
            continue;
        QDateTime at =
            QDateTime::fromString(name.right(int(qstrlen(kStampFormat))), QLatin1String(kStampFormat));
        if (!at.isValid())
            return std::nullopt; // not one of ours
        at.setTimeSpec(Qt::UTC);
        return Backup{file.filePath(), at, kind, file.size()};
    }
    return std::nullopt;
}

Result<void> makeFolder(const QString& folder) {
    if (QDir().mkpath(folder))
        return {};
    return failure(Said::tr("the folder for backups could not be made"), folder,
                   Said::tr("Check that you may write there."));
}

/// Puts all that is written into the one file and makes sure that nobody else has it open. What is damaged
/// stays as it is, in its parts.
Result<void> closeForAll(const QString& path) {
    auto database = Database::open(path);
    if (!database)
        return {}; // damaged
    // Leaving the write-ahead log asks for the file alone (https://www.sqlite.org/wal.html).
    if (auto done = (*database)->change(u"PRAGMA journal_mode=DELETE"_s); !done && (*database)->lastWasBusy())
        return done;
    return {};
}

/// A whole copy beside the library, on the disk.
Result<void> copyWhole(const QString& from, const QString& to) {
    QFile::remove(to);
    QFile source(from);
    if (source.copy(to) && syncFile(to))
        return {};
    const QString why = source.errorString();
    QFile::remove(to);
    return failure(Said::tr("the backup could not be copied: %1").arg(why), from,
                   Said::tr("Check the free space; nothing was changed."));
}

} // namespace

std::vector<Backup> backupsOf(const QString& libraryFolder) {
    std::vector<Backup> backups;
    const auto files = QDir(backupFolder(libraryFolder)).entryInfoList({u"*.db"_s}, QDir::Files);
    for (const QFileInfo& file : files)
        if (const auto backup = backupOf(file))
            backups.push_back(*backup);
    std::stable_sort(backups.begin(), backups.end(),
                     [](const Backup& a, const Backup& b) { return a.at > b.at; });
    return backups;
}

std::vector<Backup> outOfDate(const std::vector<Backup>& backups, const QDate& today) {
    std::vector<Backup> gone;
    QSet<QString> have; // of each day, week and month the newest
    QHash<Backup::Kind, int> seen;
    std::vector<Backup> newestFirst = backups;
    std::stable_sort(newestFirst.begin(), newestFirst.end(),
                     [](const Backup& a, const Backup& b) { return a.at > b.at; });
    for (const Backup& backup : newestFirst) {
        const QDate day = backup.at.date();
        const auto age = day.daysTo(today);
        const int before = seen[backup.kind]++;
        bool stays = before == 0;
        if (backup.kind == Backup::Kind::Daily) {
            const auto keep = [&](bool isRecent, const QString& key) {
                if (!isRecent || have.contains(key))
                    return;
                have.insert(key);
                stays = true;
            };
            int year = 0;
            const int week = day.weekNumber(&year);
            keep(age < kDays, u"d"_s + day.toString(Qt::ISODate));
            keep(age < kWeeks * 7, u"w%1-%2"_s.arg(year).arg(week));
            keep(day.addMonths(kMonths) > today, u"m"_s + day.toString(u"yyyy-MM"_s));
        } else {
            stays = before < kFewest || (backup.kind == Backup::Kind::SetAside && age < kSetAsideDays);
        }
        if (!stays)
            gone.push_back(backup);
    }
    return gone;
}

Result<void> checkIntegrity(Database& database) {
    QStringList problems;
    if (auto done = database.read(u"PRAGMA quick_check(5)"_s, {},
                                  [&](const Row& row) {
                                      problems << row.text(0);
                                      return true;
                                  });
        !done)
        return done;
    if (problems != QStringList{u"ok"_s})
        return failure(Said::tr("the library file is damaged: %1").arg(problems.join(u"; "_s)),
                       database.path(),
                       Said::tr("It was left as it is. Bring a backup back on the Setup desk."));
    return {};
}

Result<Backup> backUp(Database& database, const QString& libraryFolder, Backup::Kind kind) {
    if (auto made = makeFolder(backupFolder(libraryFolder)); !made)
        return tl::unexpected(made.error());
    const QString path = newPath(libraryFolder, kind);
    const QString unfinished = u"%1.%2.part"_s.arg(path).arg(QCoreApplication::applicationPid());
    QFile::remove(unfinished);
    if (auto done = database.change(u"VACUUM INTO ?"_s, {unfinished}); !done) {
        QFile::remove(unfinished);
        return tl::unexpected(done.error());
    }
    if (!QFile::rename(unfinished, path)) {
        QFile::remove(unfinished);
        return failure(Said::tr("the backup could not be written"), path, Said::tr("Check the free space."));
    }
    syncFolder(backupFolder(libraryFolder));
    return *backupOf(QFileInfo(path));
}

Result<std::optional<Backup>> backUpToday(Database& database, const QString& libraryFolder) {
    const QDate today = QDateTime::currentDateTimeUtc().date();
    for (const Backup& backup : backupsOf(libraryFolder))
        if (backup.kind == Backup::Kind::Daily && backup.at.date() == today)
            return std::optional<Backup>();
    if (auto whole = checkIntegrity(database); !whole)
        return tl::unexpected(whole.error()); // no good one is ever replaced by a damaged one
    auto made = backUp(database, libraryFolder, Backup::Kind::Daily);
    if (!made)
        return tl::unexpected(made.error());
    for (const Backup& gone : outOfDate(backupsOf(libraryFolder), today))
        QFile::remove(gone.path);
    return std::optional(*made);
}

Result<void> bringBack(const Backup& backup, const QString& libraryFolder) {
    const QString library = libraryFile(libraryFolder);
    const QString fresh = library + u".new"_s;
    if (auto copied = copyWhole(backup.path, fresh); !copied)
        return copied;
    const auto failed = [&](const Error& error) {
        for (const QString& part : {QString(), u"-wal"_s, u"-shm"_s})
            QFile::remove(fresh + part);
        return tl::unexpected(error);
    };
    {
        auto copy = Database::open(fresh);
        if (!copy)
            return failed(copy.error());
        if (auto whole = checkIntegrity(**copy); !whole)
            return failed(
                {Said::tr("this backup is damaged, too"), backup.path, Said::tr("Choose another one.")});
    }
    if (auto made = makeFolder(backupFolder(libraryFolder)); !made)
        return failed(made.error());
    if (auto closed = closeForAll(library); !closed)
        return failed(closed.error());
    // From here on it is done to its end, whatever happens; by the next start if need be.
    const QString aside = newPath(libraryFolder, Backup::Kind::SetAside);
    if (auto begun = writeSafely(library + kBringingBack, QFileInfo(aside).fileName().toUtf8()); !begun)
        return failed(begun.error());
    return finishBringingBack(libraryFolder);
}

Result<void> finishBringingBack(const QString& libraryFolder) {
    const QString library = libraryFile(libraryFolder);
    const QString fresh = library + u".new"_s;
    QFile marker(library + kBringingBack);
    if (!marker.exists())
        return {};
    if (!marker.open(QIODevice::ReadOnly))
        return failure(marker.errorString(), marker.fileName(), Said::tr("Check that you may read it."));
    const QString aside = QString::fromUtf8(marker.readAll());
    marker.close();
    if (!aside.startsWith(beginningOf(Backup::Kind::SetAside)) || aside.contains(u'/'))
        return failure(Said::tr("a backup was being brought back, and what it says of that is damaged"),
                       marker.fileName(),
                       Said::tr("Remove this file, and look which library is the right one."));
    if (QFile::exists(fresh)) {
        for (const QString& part : {u"-wal"_s, u"-shm"_s, QString()}) // the library itself last
            if (QFile::exists(library + part))
                if (auto placed =
                        replaceFile(library + part, backupFolder(libraryFolder) + u'/' + aside + part);
                    !placed)
                    return placed;
        for (const QString& part : {u"-wal"_s, u"-shm"_s}) // it was closed whole
            QFile::remove(fresh + part);
        if (auto placed = replaceFile(fresh, library); !placed && QFile::exists(fresh))
            return placed;
    }
    marker.remove();
    syncFolder(libraryFolder);
    return {};
}

} // namespace mivanta
