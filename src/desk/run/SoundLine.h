// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/ItemSounds.h"
#include <QLabel>

namespace mivanta {

/// What sounds, how far it is, and the key that ends it; nothing while nothing sounds.
class SoundLine : public QLabel {
    Q_OBJECT
public:
    explicit SoundLine(ItemSounds& sounds, QWidget* parent = nullptr);

private:
    void refresh();
    ItemSounds& m_sounds;
};

} // namespace mivanta
