// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>
#include <QStringList>

class QProcess;

namespace mivanta {

/// A helper that is started then has the lowest priority, and ends with this program. The thread that starts
/// it must last as long as it.
void becomeQuiet(QProcess& helper);

/// Runs ffmpeg on one file, at the lowest priority, and says what it said; an error when it failed or took
/// longer than `longestMs`. It reads that file with that reader (of soundFormatOf(), filmFormatOf()) and
/// nothing else. `before` and `behind`: its options before and behind the file. Any thread but the GUI's.
[[nodiscard]] Result<QString> runFfmpeg(const QString& path, const QByteArray& format,
                                        const QStringList& before, const QStringList& behind, int longestMs);

/// When the earliest picture is seen of those that are stored from that moment on, from the last one before
/// it that needs none before it; seconds of the file.
[[nodiscard]] Result<double> earliestPicture(const QString& path, const QByteArray& format, double at);

} // namespace mivanta
