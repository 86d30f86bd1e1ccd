// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/TestTone.h"
#include <QDataStream>
#include <QIODevice>
#include <cmath>

namespace mivanta {

QByteArray testTone() {
    constexpr int kRate = 48'000;
    constexpr int kFrames = kRate * 3 / 2;
    constexpr int kBytesAFrame = 4; // two channels of 16 bits
    constexpr double kHertz[]{523.25, 659.25};
    constexpr double kLoudness = 0.25;
    QByteArray bytes;
    QDataStream stream(&bytes, QIODevice::WriteOnly);
    stream.setByteOrder(QDataStream::LittleEndian);
    stream.writeRawData("RIFF", 4);
    stream << quint32(36 + kFrames * kBytesAFrame);
    stream.writeRawData("WAVEfmt ", 8);
    stream << quint32(16) << quint16(1) << quint16(2) << quint32(kRate) << quint32(kRate * kBytesAFrame)
           << quint16(kBytesAFrame) << quint16(16);
    stream.writeRawData("data", 4);
    stream << quint32(kFrames * kBytesAFrame);
    for (int i = 0; i < kFrames; ++i) {
        const int side = i < kFrames / 2 ? 0 : 1;
        const double at = double(i % (kFrames / 2)) / (kFrames / 2.0);
        const double swell = std::sin(M_PI * at); // comes and goes without a click
        const auto sample = qint16(32767 * kLoudness * swell * std::sin(2 * M_PI * kHertz[side] * i / kRate));
        stream << (side == 0 ? sample : qint16(0)) << (side == 1 ? sample : qint16(0));
    }
    return bytes;
}

} // namespace mivanta
