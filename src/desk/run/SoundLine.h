// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/ItemSounds.h"
#include "session/run/RunKeys.h"
#include <QLabel>

namespace mivanta {

/// What sounds, how far it is, and the key that ends it; nothing while nothing sounds.
class SoundLine : public QLabel {
    Q_OBJECT
public:
    SoundLine(ItemSounds& sounds, const RunKeys& keys, QWidget* parent = nullptr);

private:
    void refresh();
    [[nodiscard]] QString lineOf(SoundChannel channel) const;
    ItemSounds& m_sounds;
    const RunKeys& m_keys;
};

} // namespace mivanta
