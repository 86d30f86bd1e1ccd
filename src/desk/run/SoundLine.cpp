// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/SoundLine.h"
#include "core/timing/Moment.h"
#include "desk/kit/Style.h"
#include <cmath>

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

QString SoundLine::lineOf(SoundChannel channel) const {
    const message::Sounding& sounding = m_sounds.sounding(channel);
    if (sounding.name.isEmpty())
        return {};
    const auto clock = [](qint64 ms) { return momentText(std::floor(double(ms) / 1000)); };
    const QString place = sounding.duration > 0
                              ? tr("%1 of %2").arg(clock(sounding.position), clock(sounding.duration))
                              : clock(sounding.position);
    const QString line = tr("\u266a %1 \u00b7 %2").arg(m_sounds.title(channel), place);
    return sounding.isPaused ? tr("%1, paused", "a piece of music").arg(line) : line;
}

void SoundLine::refresh() {
    setVisible(m_sounds.isAnythingHeard());
    QStringList lines;
    for (size_t i = 0; i < kSoundChannels; ++i)
        if (const QString line = lineOf(SoundChannel(i)); !line.isEmpty())
            lines << line;
    lines << tr("%1 fades it out.").arg(m_keys.textOf(RunAction::FadeSound));
    if (!m_sounds.sounding(SoundChannel::Music).name.isEmpty())
        lines.back() +=
            u' ' + tr("%1 pauses the music, %2 goes to the next piece.")
                       .arg(m_keys.textOf(RunAction::PauseMusic), m_keys.textOf(RunAction::NextPiece));
    setText(lines.join(u'\n'));
}

} // namespace mivanta

#include "moc_SoundLine.cpp"
