// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/Sound.h"
#include "core/base/Said.h"
#include "core/media/MediumKind.h"
#include "media/Mpv.h"
#include "media/SoundFormat.h"
#include <QElapsedTimer>
#include <QFile>
#include <mpv/client.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kSoundPatienceMs = 10'000;

/// Nothing when the file is open with sound in it; else why it is not.
std::optional<QString> problemOf(mpv_handle* mpv) {
    QElapsedTimer since;
    since.start();
    while (since.elapsed() < kSoundPatienceMs) {
        const mpv_event* event = mpv_wait_event(mpv, 0.5);
        if (event->event_id == MPV_EVENT_FILE_LOADED) {
            int64_t track = 0; // fails when nothing can be heard
            const bool isHeard =
                mpv_get_property(mpv, "current-tracks/audio/id", MPV_FORMAT_INT64, &track) >= 0;
            return isHeard ? std::nullopt : std::optional(Said::tr("there is no sound in it"));
        }
        if (event->event_id == MPV_EVENT_END_FILE) {
            const auto* end = static_cast<const mpv_event_end_file*>(event->data);
            return end->error < 0 ? QString::fromUtf8(mpv_error_string(end->error))
                                  : Said::tr("it is no sound");
        }
    }
    return Said::tr("it could not be read in time");
}

} // namespace

Result<SoundFacts> lookAtSound(const QString& path) {
    const auto refused = [&](const QString& why) {
        return failure(Said::tr("this cannot be played as a sound: %1").arg(why), path,
                       Said::tr("Choose a sound file, such as %1.").arg(soundSuffixes().join(u", "_s)));
    };
    if (!QFile::exists(path))
        return refused(Said::tr("it is not there"));
    const QByteArray format = soundFormatOf(path);
    if (format.isEmpty())
        return refused(Said::tr("it is of another kind"));
    const Mpv mpv =
        makeMpv({{"vid", "no"}, {"ao", "null"}, {"pause", "yes"}, {"demuxer-lavf-format", format}});
    if (!mpv)
        return failure(Said::tr("sounds cannot be played on this computer"), path,
                       Said::tr("Install libmpv again."));
    const QByteArray name = QFile::encodeName(path);
    const char* command[]{"loadfile", name.constData(), nullptr};
    if (mpv_command(mpv.get(), command) < 0)
        return refused(Said::tr("it cannot be opened"));
    if (const auto problem = problemOf(mpv.get()))
        return refused(*problem);
    SoundFacts facts;
    mpv_get_property(mpv.get(), "duration", MPV_FORMAT_DOUBLE, &facts.seconds);
    return facts;
}

} // namespace mivanta
