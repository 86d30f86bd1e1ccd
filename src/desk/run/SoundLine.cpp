// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/SoundLine.h"
#include "desk/kit/Style.h"

namespace mivanta {

SoundLine::SoundLine(ItemSounds& sounds, const RunKeys& keys, QWidget* parent)
    : QLabel(parent),
      m_sounds(sounds),
      m_keys(keys) {
    setObjectName(QStringLiteral("run-sound"));
    setTextFormat(Qt::PlainText);
    setFont(textFont(1.05));
    setWordWrap(true);
    connect(&m_sounds, &ItemSounds::changed, this, &SoundLine::refresh);
    refresh();
}

void SoundLine::refresh() {
    const message::Sounding& sounding = m_sounds.sounding();
    setVisible(!sounding.name.isEmpty());
    if (sounding.name.isEmpty())
        return;
    const auto clock = [](qint64 ms) {
        return QStringLiteral("%1:%2").arg(ms / 60000).arg(ms / 1000 % 60, 2, 10, QLatin1Char('0'));
    };
    const QString place = sounding.duration > 0
                              ? tr("%1 of %2").arg(clock(sounding.position), clock(sounding.duration))
                              : clock(sounding.position);
    setText(tr("\u266a %1 \u00b7 %2. %3 fades it out.")
                .arg(m_sounds.title(), place, m_keys.textOf(RunAction::FadeSound)));
}

} // namespace mivanta
