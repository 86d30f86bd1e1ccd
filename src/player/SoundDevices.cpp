// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/SoundDevices.h"
#include <mpv/client.h>

namespace mivanta {

namespace {

QString textIn(const mpv_node& map, const char* key) {
    for (int i = 0; map.format == MPV_FORMAT_NODE_MAP && i < map.u.list->num; ++i)
        if (qstrcmp(map.u.list->keys[i], key) == 0 && map.u.list->values[i].format == MPV_FORMAT_STRING)
            return QString::fromUtf8(map.u.list->values[i].u.string);
    return {};
}

/// "auto" stands for the usual one, and devices are listed once for each way to them: those of the way that
/// is taken come first.
std::vector<SoundDevice> devicesIn(const mpv_node& list) {
    std::vector<SoundDevice> devices;
    QString way;
    for (int i = 0; list.format == MPV_FORMAT_NODE_ARRAY && i < list.u.list->num; ++i) {
        const SoundDevice device{textIn(list.u.list->values[i], "name"),
                                 textIn(list.u.list->values[i], "description")};
        const auto slash = device.name.indexOf(u'/');
        if (slash < 0)
            continue;
        if (way.isEmpty())
            way = device.name.left(slash);
        if (device.name.left(slash) == way && devices.size() < kMostSoundDevices)
            devices.push_back(device);
    }
    return devices;
}

} // namespace

SoundDevices::SoundDevices(Changed changed, QObject* parent)
    : QObject(parent),
      m_changed(std::move(changed)),
      m_mpv(makeMpv({{"vid", "no"}})) {
    if (!m_mpv)
        return;
    mpv_set_wakeup_callback(
        m_mpv.get(),
        [](void* devices) {
            auto* self = static_cast<SoundDevices*>(devices);
            QMetaObject::invokeMethod(
                self, [self] { self->readEvents(); }, Qt::QueuedConnection);
        },
        this);
    mpv_observe_property(m_mpv.get(), 0, "audio-device-list", MPV_FORMAT_NODE);
}

SoundDevices::~SoundDevices() {
    if (m_mpv)
        mpv_set_wakeup_callback(m_mpv.get(), nullptr, nullptr);
}

void SoundDevices::readEvents() {
    while (m_mpv) {
        const mpv_event* event = mpv_wait_event(m_mpv.get(), 0);
        if (event->event_id == MPV_EVENT_NONE)
            return;
        if (event->event_id != MPV_EVENT_PROPERTY_CHANGE)
            continue;
        const auto* property = static_cast<const mpv_event_property*>(event->data);
        if (property->format != MPV_FORMAT_NODE)
            continue;
        auto devices = devicesIn(*static_cast<const mpv_node*>(property->data));
        if (std::exchange(m_all, std::move(devices)) != m_all)
            m_changed(m_all);
    }
}

} // namespace mivanta
