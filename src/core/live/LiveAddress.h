// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"

namespace mivanta {

/// What only people who may see a picture know: it is kept in the desktop's key ring, never in files that
/// others get, and never told in messages for people.
struct LiveSecret {
    QString user;
    QString password;
    QString passphrase; ///< of SRT
    friend bool operator==(const LiveSecret&, const LiveSecret&) = default;

    [[nodiscard]] bool isEmpty() const {
        return user.isEmpty() && password.isEmpty() && passphrase.isEmpty();
    }
};

struct CheckedAddress {
    QString address; ///< without what is secret
    LiveSecret secret;
};

/// An address of the network as a person types it, or a file holds it: of a kind that pictures come by
/// (RTSP, SRT, MPEG-TS over UDP, RTMP, HTTP with MJPEG or HLS), naming a computer or a port here. Else what
/// is wrong with it.
[[nodiscard]] Result<CheckedAddress> checkedAddress(const QString& typed);

/// The same, with what is secret in its places.
[[nodiscard]] QString completeAddress(const QString& address, const LiveSecret& secret);

/// The computer that it leads to: "camera.local"; empty for one that waits here for others, which leads
/// nowhere.
[[nodiscard]] QString hostOf(const QString& address);

} // namespace mivanta
