// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>
#include <memory>
#include <vector>

struct mpv_handle;

namespace mivanta {

struct MpvEnd {
    void operator()(mpv_handle* handle) const;
};

/// One player of libmpv. It reads the files that it is given and nothing else: no network, no scripts, no
/// configuration, no playlists, no files beside them. Ending it waits for its threads.
using Mpv = std::unique_ptr<mpv_handle, MpvEnd>;

/// Null when libmpv cannot be started. `more`: options and values on top, in UTF-8. Any thread; takes some
/// ms.
[[nodiscard]] Mpv makeMpv(const std::vector<std::pair<QByteArray, QByteArray>>& more = {});

/// libmpv wants numbers written as in C. Once, behind the making of the application object.
void useNumbersOfMpv();

} // namespace mivanta
