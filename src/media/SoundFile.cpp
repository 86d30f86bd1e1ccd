// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/SoundFile.h"
#include "core/base/Said.h"
#include "media/FilmFormat.h"
#include "media/Mpv.h"
#include "media/SoundFormat.h"
#include <QFile>
#include <mpv/client.h>

namespace mivanta {

Result<void> writeSound(const QString& path, const QString& to) {
    const auto failed = [&](const QString& why) {
        return failure(Said::tr("its sound could not be written: %1").arg(why), path,
                       Said::tr("Choose another file, or another place."));
    };
    QByteArray format = soundFormatOf(path);
    if (format.isEmpty())
        format = filmFormatOf(path);
    if (format.isEmpty())
        return failed(Said::tr("it is of another kind"));
    const Mpv mpv = makeMpv({{"vid", "no"},
                             {"ao", "pcm"},
                             {"ao-pcm-file", QFile::encodeName(to)},
                             {"audio-format", "s16"},
                             {"demuxer-lavf-format", format}});
    if (!mpv)
        return failed(Said::tr("sounds cannot be played on this computer"));
    const QByteArray name = QFile::encodeName(path);
    const char* command[]{"loadfile", name.constData(), nullptr};
    if (mpv_command(mpv.get(), command) < 0)
        return failed(Said::tr("it cannot be opened"));
    for (;;) {
        const mpv_event* event = mpv_wait_event(mpv.get(), -1);
        if (event->event_id == MPV_EVENT_SHUTDOWN)
            return failed(Said::tr("it was stopped"));
        if (event->event_id != MPV_EVENT_END_FILE)
            continue;
        const auto* ended = static_cast<const mpv_event_end_file*>(event->data);
        if (ended->reason == MPV_END_FILE_REASON_ERROR)
            return failed(QString::fromUtf8(mpv_error_string(ended->error)));
        return {};
    }
}

} // namespace mivanta
