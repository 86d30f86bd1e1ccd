// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/outputs/Recordings.h"
#include "core/base/Clock.h"
#include "core/base/FileName.h"
#include "core/timing/Moment.h"
#include "link/PlayerClient.h"
#include <QDateTime>
#include <QDir>
#include <QFileInfo>
#include <QLocale>
#include <QStandardPaths>
#include <algorithm>
#include <cmath>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kMostTries = 1000;

/// A name that is free in the folder, which is made.
Result<QString> freePath(const QString& folder, const QString& name) {
    if (!QDir().mkpath(folder))
        return failure(Said::tr("the folder could not be made"), folder,
                       Said::tr("Choose another folder for recordings in Setup."));
    for (int i = 1; i < kMostTries; ++i) {
        const QString path =
            i == 1 ? u"%1/%2.mkv"_s.arg(folder, name) : u"%1/%2 (%3).mkv"_s.arg(folder, name).arg(i);
        if (!QFileInfo::exists(path))
            return path;
    }
    return failure(Said::tr("there are too many recordings of one minute"), folder);
}

} // namespace

QString recordingText(const message::Recording& recording) {
    if (recording.length == 0)
        return Said::tr("is about to begin");
    return Said::tr("%1 \u00b7 %2", "length and size of a recording")
        .arg(momentText(std::floor(double(recording.length) / 1000)),
             QLocale().formattedDataSize(recording.bytes));
}

Recordings::Recordings(PlayerClient& player, QObject* parent) : QObject(parent), m_player(player) {
    connect(&m_player, &PlayerClient::recordingChanged, this, &Recordings::take);
    connect(&m_player, &PlayerClient::lost, this, [this] { m_isPlayerLost = true; });
    connect(&m_player, &PlayerClient::welcomed, this, &Recordings::goOn);
}

QString Recordings::folder() const {
    if (!m_folder.isEmpty())
        return m_folder;
    const QString films = QStandardPaths::writableLocation(QStandardPaths::MoviesLocation);
    return (films.isEmpty() ? QDir::homePath() : films) + u"/Mivanta"_s;
}

bool Recordings::isRecorded(const QString& output, LiveInputId input) const {
    return std::any_of(m_running.begin(), m_running.end(), [&](const message::Recording& each) {
        return each.output == output && each.input == input;
    });
}

void Recordings::begin(const What& what) {
    if (isRecorded(what.output, what.input))
        return;
    const QString name = Clock::the().now().toString(u"yyyy-MM-dd HH-mm"_s) + u' ' + fileNameOf(what.name);
    m_files.run(
        this, [folder = folder(), name] { return freePath(folder, name); },
        [this, what](const Result<QString>& path) {
            if (!path) {
                Q_EMIT problem(path.error());
                return;
            }
            if (isRecorded(what.output, what.input))
                return;
            const message::Record record{RecordingId::create(), what.output, what.input, *path, what.isHeard};
            m_running.push_back(
                {record.id, record.output, record.input, record.path, record.isHeard, 0, 0, false, {}});
            m_player.record(record);
            Q_EMIT changed();
        });
}

void Recordings::end(RecordingId id) {
    m_player.endRecording(id);
}

void Recordings::take(const message::Recording& recording) {
    const auto at = std::find_if(m_running.begin(), m_running.end(),
                                 [&](const message::Recording& each) { return each.id == recording.id; });
    if (!recording.isOver) {
        if (at == m_running.end())
            m_running.push_back(recording); // it began before these desks did
        else
            *at = recording;
    } else {
        if (at != m_running.end())
            m_running.erase(at);
        const QString text = recording.length == 0
                                 ? QString()
                                 : tr("Recorded %1: %2").arg(recordingText(recording), recording.path);
        if (!recording.problem.isEmpty())
            Q_EMIT problem({tr("The recording has ended: %1").arg(recording.problem), recording.path,
                            text.isEmpty() ? tr("Nothing was recorded.")
                                           : tr("What was recorded until then is whole.")});
        else if (!text.isEmpty())
            Q_EMIT notice(text);
    }
    Q_EMIT changed();
}

/// What the player that died was recording is gone on with.
void Recordings::goOn() {
    if (!std::exchange(m_isPlayerLost, false))
        return;
    for (const message::Recording& before : std::exchange(m_running, {})) {
        const QString name = QFileInfo(before.path).completeBaseName().section(u' ', 2);
        begin({before.output, before.input, name, before.isHeard});
    }
    Q_EMIT changed();
}

QString Recordings::text() const {
    qint64 longest = 0;
    for (const message::Recording& each : m_running)
        longest = std::max(longest, each.length);
    return m_running.empty() ? QString()
                             : tr("recording %1").arg(momentText(std::floor(double(longest) / 1000)));
}

} // namespace mivanta

#include "moc_Recordings.cpp"
