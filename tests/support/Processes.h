// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDir>
#include <QFile>
#include <QString>
#include <algorithm>
#include <fstream>
#include <iterator>
#include <string>
#include <unistd.h>
#include <vector>

namespace mivanta {

inline qint64 parentOf(qint64 pid) {
    std::ifstream file("/proc/" + std::to_string(pid) + "/stat");
    const std::string stat{std::istreambuf_iterator<char>(file), {}};
    const size_t name = stat.rfind(") ");
    return name == std::string::npos ? 0
                                     : std::atoll(stat.c_str() + name + 4); // after the name: state, parent
}

/// Processes of a program that work on the folder; not a copy of one that is about to become another program.
inline std::vector<qint64> pidsOf(const QString& program, const QString& folder) {
    std::vector<qint64> pids;
    for (const QString& entry :
         QDir(QStringLiteral("/proc")).entryList({QStringLiteral("[0-9]*")}, QDir::Dirs)) {
        QFile file(QStringLiteral("/proc/%1/cmdline").arg(entry));
        if (!file.open(QIODevice::ReadOnly))
            continue;
        const QList<QByteArray> words = file.readAll().split('\0');
        if (QString::fromUtf8(words[0]).endsWith(QStringLiteral("/bin/") + program) &&
            words.contains(folder.toUtf8()))
            pids.push_back(entry.toLongLong());
    }
    const std::vector<qint64> all = pids;
    std::erase_if(pids, [&](qint64 pid) { return std::ranges::count(all, parentOf(pid)) > 0; });
    return pids;
}

/// What this process has written into memory that is its own, in KiB.
inline int ownMemory() {
    std::ifstream file("/proc/self/smaps_rollup");
    for (std::string line; std::getline(file, line);)
        if (line.starts_with("Private_Dirty:"))
            return std::atoi(line.c_str() + 14);
    return 0;
}

/// Files, sockets and the like that this process holds open.
inline int openDescriptors() {
    return int(QDir(QStringLiteral("/proc/self/fd")).entryList(QDir::System | QDir::AllEntries).size());
}

/// Films that a process plays, by default this one.
inline std::vector<qint64> filmsOf(qint64 parent = ::getpid()) {
    std::vector<qint64> pids;
    const std::string pid = std::to_string(parent);
    std::ifstream children("/proc/" + pid + "/task/" + pid + "/children");
    for (qint64 child = 0; children >> child;) {
        QFile name(QStringLiteral("/proc/%1/comm").arg(child));
        if (name.open(QIODevice::ReadOnly) && name.readAll().trimmed() == "mivanta-film")
            pids.push_back(child);
    }
    return pids;
}

} // namespace mivanta
