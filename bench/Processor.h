// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDir>
#include <QFile>
#include <QProcess>
#include <QString>
#include <sys/resource.h>
#include <unistd.h>

namespace mivanta {

/// The player that works in a session folder; 0 when there is none.
inline qint64 playerPid(const QString& session) {
    for (const QString& entry :
         QDir(QStringLiteral("/proc")).entryList({QStringLiteral("[0-9]*")}, QDir::Dirs)) {
        QFile file(QStringLiteral("/proc/%1/cmdline").arg(entry));
        if (file.open(QIODevice::ReadOnly) && file.readAll().split('\0').value(1) == session.toUtf8())
            return entry.toLongLong();
    }
    return 0;
}

/// Seconds of processor time that the process has taken.
inline double processorSeconds(qint64 pid) {
    QFile file(QStringLiteral("/proc/%1/stat").arg(pid));
    if (!file.open(QIODevice::ReadOnly))
        return 0;
    const QByteArray stat = file.readAll();
    const QList<QByteArray> fields = stat.mid(stat.lastIndexOf(')') + 2).split(' ');
    return (fields.value(11).toDouble() + fields.value(12).toDouble()) / double(::sysconf(_SC_CLK_TCK));
}

/// Seconds of processor time that a program takes from its start to its end.
inline double secondsToRun(const QString& program, const QStringList& arguments) {
    rusage before{};
    rusage after{};
    ::getrusage(RUSAGE_CHILDREN, &before);
    QProcess::execute(program, arguments);
    ::getrusage(RUSAGE_CHILDREN, &after);
    const auto seconds = [](const rusage& u) {
        return double(u.ru_utime.tv_sec + u.ru_stime.tv_sec) +
               double(u.ru_utime.tv_usec + u.ru_stime.tv_usec) / 1e6;
    };
    return seconds(after) - seconds(before);
}

/// Seconds that this computer's processors were taken away by others on the same hardware.
inline double stolenSeconds() {
    QFile file(QStringLiteral("/proc/stat"));
    if (!file.open(QIODevice::ReadOnly))
        return 0;
    const QList<QByteArray> fields = file.readLine().simplified().split(' '); // "cpu", user, nice …
    return fields.value(8).toDouble() / double(::sysconf(_SC_CLK_TCK));
}

/// The same of the processes that it has started and that live.
inline double childrenSeconds(qint64 pid) {
    QFile file(QStringLiteral("/proc/%1/task/%1/children").arg(pid));
    double seconds = 0;
    if (file.open(QIODevice::ReadOnly))
        for (const QByteArray& child : file.readAll().split(' '))
            seconds += child.isEmpty() ? 0 : processorSeconds(child.toLongLong());
    return seconds;
}

} // namespace mivanta
