// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/Detached.h"
#include <QProcess>

namespace mivanta {

bool startDetached(const QString& program, const QStringList& arguments, const QString& logFile) {
    QProcess process;
    process.setProgram(program);
    process.setArguments(arguments);
    process.setStandardInputFile(QProcess::nullDevice());
    process.setStandardOutputFile(logFile);
    process.setStandardErrorFile(logFile, QIODevice::Append);
    return process.startDetached();
}

} // namespace mivanta
