// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QFile>
#include <QString>

namespace mivanta {

/// One sum of a process's memory maps in MiB, by its name in /proc (proc_pid_smaps_rollup(5)): "Pss" counts
/// shared pages by the share, "Private_Dirty" none of them. 0 when there is no such process.
inline double memoryOf(qint64 process, const QByteArray& what) {
    QFile file(QStringLiteral("/proc/%1/smaps_rollup").arg(process));
    if (!file.open(QIODevice::ReadOnly))
        return 0;
    for (const QByteArray& line : file.readAll().split('\n'))
        if (line.startsWith(what + ':'))
            return line.simplified().split(' ').value(1).toDouble() / 1024;
    return 0;
}

} // namespace mivanta
