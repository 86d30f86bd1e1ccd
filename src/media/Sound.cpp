// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/Sound.h"
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
            return isHeard ? std::nullopt : std::optional(u"there is no sound in it"_s);
        }
        if (event->event_id == MPV_EVENT_END_FILE) {
            const auto* end = static_cast<const mpv_event_end_file*>(event->data);
            return end->error < 0 ? QString::fromUtf8(mpv_error_string(end->error)) : u"it is no sound"_s;
        }
    }
    return u"it could not be read in time"_s;
}

} // namespace

const QStringList& soundSuffixes() {
    static const QStringList suffixes{u"aac"_s, u"aif"_s, u"aiff"_s, u"flac"_s, u"m4a"_s,
                                      u"mp3"_s, u"oga"_s, u"ogg"_s,  u"opus"_s, u"wav"_s};
    return suffixes;
}

Result<SoundFacts> lookAtSound(const QString& path) {
    const auto refused = [&](const QString& why) {
        return failure(u"this cannot be played as a sound: "_s + why, path,
                       u"Choose a sound file, such as %1."_s.arg(soundSuffixes().join(u", "_s)));
    };
    if (!QFile::exists(path))
        return refused(u"it is not there"_s);
    const QByteArray format = soundFormatOf(path);
    if (format.isEmpty())
        return refused(u"it is of another kind"_s);
    const Mpv mpv =
        makeMpv({{"vid", "no"}, {"ao", "null"}, {"pause", "yes"}, {"demuxer-lavf-format", format}});
    if (!mpv)
        return failure(u"sounds cannot be played on this computer"_s, path, u"Install libmpv again."_s);
    const QByteArray name = QFile::encodeName(path);
    const char* command[]{"loadfile", name.constData(), nullptr};
    if (mpv_command(mpv.get(), command) < 0)
        return refused(u"it cannot be opened"_s);
    if (const auto problem = problemOf(mpv.get()))
        return refused(*problem);
    SoundFacts facts;
    mpv_get_property(mpv.get(), "duration", MPV_FORMAT_DOUBLE, &facts.seconds);
    return facts;
}

} // namespace mivanta
