// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"
#include "media/Mpv.h"
#include <QObject>
#include <functional>

namespace mivanta {

/// The loudspeakers that there are, also when some come or go. Lives on one thread with an event loop.
class SoundDevices : public QObject {
public:
    using Changed = std::function<void(const std::vector<SoundDevice>& devices)>;
    explicit SoundDevices(Changed changed, QObject* parent = nullptr);
    ~SoundDevices() override;

private:
    void readEvents();

    Changed m_changed;
    Mpv m_mpv;
    std::vector<SoundDevice> m_all;
};

} // namespace mivanta
