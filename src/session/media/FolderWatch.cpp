// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/FolderWatch.h"
#include <QDir>
#include <QFileInfo>
#include <QStorageInfo>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kOftenMs = 5000;

QStringList pluggedIn() {
    QStringList roots;
    for (const QStorageInfo& volume : QStorageInfo::mountedVolumes())
        if (!volume.isRoot() && volume.isReady() && volume.fileSystemType() != "tmpfs")
            roots << volume.rootPath();
    return roots;
}

bool isInside(const QString& path, const QString& folder) {
    return path == folder || path.startsWith(folder.endsWith(u'/') ? folder : folder + u'/');
}

/// "" is the folder itself.
QString placeIn(const QString& path, const QString& folder) {
    return path == folder ? QString() : path.mid(folder.size() + (folder.endsWith(u'/') ? 0 : 1));
}

} // namespace

/// What a look at one folder has found.
struct FolderWatch::Looked {
    QString path;  ///< as it was asked for
    QString found; ///< where it is now
    quint64 state = 0;
    std::optional<std::vector<FolderFile>> files; ///< nothing = as they were
    std::vector<FolderMark> marks;
    std::optional<Error> error;
};

FolderWatch::FolderWatch(ThisComputer computer, QObject* parent)
    : QObject(parent),
      m_computer(std::move(computer)),
      m_roots(pluggedIn) {
    m_often.setInterval(kOftenMs);
    connect(&m_often, &QTimer::timeout, this, &FolderWatch::look);
}

void FolderWatch::load() {
    m_settings.run(
        this, [computer = m_computer] { return computer.watchedFolders(); },
        [this](const Result<std::vector<WatchedFolder>>& folders) {
            if (!folders) {
                Q_EMIT problem(folders.error());
                return;
            }
            for (const WatchedFolder& folder : *folders)
                if (!entryOf(folder.path)) {
                    m_all.push_back({folder, {}, false, false});
                    m_states.push_back(0);
                }
            Q_EMIT changed();
            look();
        });
}

void FolderWatch::keep() {
    std::vector<WatchedFolder> folders;
    for (const Entry& entry : m_all)
        folders.push_back(entry.folder);
    m_settings.run(
        this, [computer = m_computer, folders] { return computer.saveWatchedFolders(folders); },
        [this](const Result<void>& saved) {
            if (!saved)
                Q_EMIT problem(saved.error());
        });
}

FolderWatch::Entry* FolderWatch::entryOf(const QString& path) {
    const auto at = std::find_if(m_all.begin(), m_all.end(),
                                 [&](const Entry& entry) { return entry.folder.path == path; });
    return at == m_all.end() ? nullptr : &*at;
}

/// The watched folder that it is, or lies in.
const FolderWatch::Entry* FolderWatch::entryAround(const QString& path) const {
    const auto at = std::find_if(m_all.begin(), m_all.end(),
                                 [&](const Entry& entry) { return isInside(path, entry.folder.path); });
    return at == m_all.end() ? nullptr : &*at;
}

void FolderWatch::watch(const QString& path) {
    const QString folder = QDir::cleanPath(path);
    if (entryAround(folder)) {
        Q_EMIT notice(tr("%1 is watched already.").arg(folder));
        return;
    }
    if (!add(folder))
        return;
    keep();
    Q_EMIT changed();
    look();
}

bool FolderWatch::add(const QString& folder) {
    if (m_all.size() >= kMostWatchedFolders) {
        Q_EMIT problem({tr("there are %n watched folders already", nullptr, kMostWatchedFolders), folder,
                        tr("Leave one of them first.")});
        return false;
    }
    m_all.push_back({{folder, 0, {}, {}}, {}, false, false});
    m_states.push_back(0);
    return true;
}

void FolderWatch::follow(const QString& path) {
    const QString folder = QDir::cleanPath(path);
    if (isFollowed(folder) || (!entryAround(folder) && !add(folder)))
        return;
    Entry* around = entryOf(entryAround(folder)->folder.path);
    around->folder.followed << placeIn(folder, around->folder.path);
    keep();
    Q_EMIT changed();
    look();
}

bool FolderWatch::isFollowed(const QString& path) const {
    const QString folder = QDir::cleanPath(path);
    const Entry* around = entryAround(folder);
    return around && around->folder.followed.contains(placeIn(folder, around->folder.path));
}

void FolderWatch::leave(const QString& path) {
    for (size_t i = 0; i < m_all.size(); ++i)
        if (m_all[i].folder.path == path) {
            m_all.erase(m_all.begin() + std::ptrdiff_t(i));
            m_states.erase(m_states.begin() + std::ptrdiff_t(i));
            keep();
            Q_EMIT changed();
            return;
        }
}

void FolderWatch::look() {
    if (m_isLooking) {
        m_isLookWanted = true;
        return;
    }
    m_isLookWanted = false;
    if (m_all.empty()) {
        m_often.stop();
        return;
    }
    m_isLooking = true;
    std::vector<std::pair<WatchedFolder, quint64>> asked;
    for (size_t i = 0; i < m_all.size(); ++i)
        asked.emplace_back(m_all[i].folder, m_states[i]);
    m_disk.run(
        this,
        [asked = std::move(asked), roots = m_roots] {
            std::vector<Looked> all;
            for (const auto& [folder, before] : asked) {
                Looked looked{folder.path, folder.path, folderState(folder.path), {}, {}, {}};
                if (looked.state == 0 && !folder.marks.empty())
                    if (const QString again = findFolderAgain(folder, roots()); !again.isEmpty()) {
                        looked.found = again;
                        looked.state = folderState(again);
                    }
                if (looked.state != 0 && (looked.state != before || looked.found != looked.path)) {
                    auto files = readMediaFolder(looked.found);
                    if (files) {
                        looked.marks = marksOf(looked.found, *files);
                        looked.files = std::move(*files);
                    } else {
                        looked.error = files.error();
                        looked.state = 0;
                    }
                }
                all.push_back(std::move(looked));
            }
            return all;
        },
        [this](std::vector<Looked> looked) { take(std::move(looked)); });
}

void FolderWatch::take(std::vector<Looked> looked) {
    m_isLooking = false;
    bool isOther = false;
    bool isToKeep = false;
    for (Looked& one : looked) {
        Entry* entry = entryOf(one.path);
        if (!entry)
            continue; // left meanwhile
        m_states[size_t(entry - m_all.data())] = one.state;
        const bool isHere = one.state != 0;
        isOther = isOther || isHere != entry->isHere || one.files || !entry->isRead;
        if (one.error && !entry->isRead)
            Q_EMIT problem(*one.error);
        entry->isRead = true;
        entry->isHere = isHere;
        if (!isHere)
            entry->files.clear();
        if (one.found != one.path) {
            Q_EMIT notice(tr("%1 is found again: it is %2 now.").arg(one.path, one.found));
            entry->folder.path = one.found;
        }
        if (one.files) {
            entry->files = std::move(*one.files);
            const WatchedFolder now{entry->folder.path, int(entry->files.size()), std::move(one.marks),
                                    entry->folder.followed};
            isToKeep = isToKeep || now != entry->folder || one.found != one.path;
            entry->folder = now;
        }
    }
    if (isToKeep)
        keep();
    if (isOther)
        Q_EMIT changed();
    m_often.start();
    if (m_isLookWanted)
        look();
}

} // namespace mivanta

#include "moc_FolderWatch.cpp"
