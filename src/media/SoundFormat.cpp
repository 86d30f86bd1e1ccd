// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/SoundFormat.h"
#include <QFile>

namespace mivanta {

namespace {

constexpr qint64 kHead = 16;

/// The bytes in an ID3v2 tag before the sound, its own ten included; 0 when there is none. Sizes have seven
/// bits a byte (https://id3.org/id3v2.4.0-structure).
qint64 tagLength(const QByteArray& head) {
    if (!head.startsWith("ID3") || head.size() < 10)
        return 0;
    qint64 length = 0;
    for (int i = 6; i < 10; ++i)
        length = length << 7 | (head[i] & 0x7f);
    return length + 10;
}

/// Frames of MPEG audio begin with eleven set bits; two of the next say the layer, which ADTS has as none.
QByteArray frameFormat(const QByteArray& head) {
    if (head.size() < 2 || quint8(head[0]) != 0xff || (quint8(head[1]) & 0xe0) != 0xe0)
        return {};
    return (quint8(head[1]) & 0x06) == 0 ? "aac" : "mp3";
}

} // namespace

QByteArray soundFormatOf(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return {};
    QByteArray head = file.read(kHead);
    if (const qint64 tag = tagLength(head); tag > 0) {
        file.seek(tag);
        const QByteArray behind = frameFormat(file.read(kHead));
        return behind.isEmpty() ? "mp3" : behind; // there may be nothing but zeros between
    }
    if ((head.startsWith("RIFF") || head.startsWith("RF64")) && head.mid(8, 4) == "WAVE")
        return "wav";
    if (head.startsWith("OggS"))
        return "ogg";
    if (head.startsWith("fLaC"))
        return "flac";
    if (head.startsWith("FORM") && (head.mid(8, 4) == "AIFF" || head.mid(8, 4) == "AIFC"))
        return "aiff";
    if (head.mid(4, 4) == "ftyp")
        return "mov";
    return frameFormat(head);
}

} // namespace mivanta
