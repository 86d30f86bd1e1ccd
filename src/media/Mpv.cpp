// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/Mpv.h"
#include <clocale>
#include <mpv/client.h>

namespace mivanta {

void MpvEnd::operator()(mpv_handle* handle) const {
    mpv_terminate_destroy(handle);
}

Mpv makeMpv(const std::vector<std::pair<QByteArray, QByteArray>>& more) {
    Mpv mpv(mpv_create());
    if (!mpv)
        return mpv;
    std::vector<std::pair<QByteArray, QByteArray>> options{
        {"config", "no"},
        {"terminal", "no"},
        {"idle", "yes"},
        {"load-scripts", "no"},
        {"ytdl", "no"},
        {"input-default-bindings", "no"},
        {"autoload-files", "no"},
        {"audio-display", "no"},
        {"load-unsafe-playlists", "no"},
        {"demuxer", "lavf"}, // no lists, no discs, no addresses of mpv's own
        {"access-references", "no"},
        {"ordered-chapters", "no"},
        {"demuxer-lavf-o", "protocol_whitelist=file"},
        {"resume-playback", "no"},
        {"audio-client-name", "Mivanta"},
        {"audio-fallback-to-null", "yes"}, // without loudspeakers everything goes on
    };
    options.insert(options.end(), more.begin(), more.end());
    for (const auto& [name, value] : options)
        mpv_set_option_string(mpv.get(), name.constData(), value.constData());
    if (mpv_initialize(mpv.get()) < 0)
        mpv.reset();
    return mpv;
}

void useNumbersOfMpv() {
    std::setlocale(LC_NUMERIC, "C");
}

} // namespace mivanta
