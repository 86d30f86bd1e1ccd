// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/ItemSounds.h"
#include "store/MediaFiles.h"

namespace mivanta {

ItemSounds::ItemSounds(RunController& run, ServiceDocument& document, PlayerClient& player, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document),
      m_player(player) {
    connect(&m_run, &RunController::takenUp, this, [this] {
        if (m_run.state().onScreen)
            m_item = m_run.state().onScreen->item; // its sound began when it was taken
    });
    connect(&m_run, &RunController::shown, this, &ItemSounds::itemShown);
    connect(&m_player, &PlayerClient::soundingChanged, this, &ItemSounds::heard);
    connect(&m_player, &PlayerClient::lost, this, &ItemSounds::changed);
}

const ItemSound* ItemSounds::soundOf(const ItemId& id) const {
    const Item* item = m_document.service().item(id);
    return item && item->plan.sound ? &*item->plan.sound : nullptr;
}

void ItemSounds::itemShown() {
    const ItemId item = m_run.state().onScreen ? m_run.state().onScreen->item : ItemId();
    if (item == m_item)
        return;
    const ItemId before = std::exchange(m_item, item);
    if (const ItemSound* sound = soundOf(item)) {
        m_player.sound(sound->name);
        return;
    }
    const bool isGone = !m_document.service().item(before) && !before.isNull();
    if (const ItemSound* ended = soundOf(before); isGone || (ended && !ended->goesOn))
        stop();
}

void ItemSounds::stop() {
    if (!sounding().name.isEmpty())
        m_player.sound({});
}

QString ItemSounds::title() const {
    const QString& name = sounding().name;
    if (name.isEmpty())
        return {};
    for (const Item& item : m_document.service().items)
        if (item.plan.sound && item.plan.sound->name == name && !item.plan.sound->title.isEmpty())
            return item.plan.sound->title;
    return m_document.mediaTitles().value(name, tr("a sound"));
}

void ItemSounds::heard() {
    if (const QString& problem = sounding().problem; !problem.isEmpty()) {
        const ItemSound* sound = soundOf(m_item);
        Q_EMIT failed({tr("The sound %1 cannot be played: %2")
                           .arg(sound ? u'\u201c' + sound->title + u'\u201d' : QString(), problem),
                       {},
                       tr("The screens go on. Choose another file on the Prepare desk.")});
    }
    Q_EMIT changed();
}

} // namespace mivanta
