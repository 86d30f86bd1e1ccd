// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/FilmFormat.h"
#include <QFile>
#include <QtEndian>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kFilmHead = 4096;
constexpr qint64 kTracksWithin = 65'536; ///< of a Matroska file
constexpr int kPacket = 188;             ///< of an MPEG transport stream; each begins with 0x47
constexpr int kTimedPacket = 192;

bool hasPackets(const QByteArray& head, int length, int first) {
    for (int i = 0; i < 5; ++i)
        if (first + i * length >= head.size() || head[first + i * length] != 0x47)
            return false;
    return true;
}

} // namespace

QByteArray filmFormatOf(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return {};
    const QByteArray head = file.read(kFilmHead);
    const QByteArray box = head.mid(4, 4); // of ISO 14496-12, and of what came before it
    if (box == "ftyp" || box == "moov" || box == "mdat" || box == "wide" || box == "free" || box == "skip")
        return "mov";
    if (head.startsWith("\x1a\x45\xdf\xa3"))
        return "matroska";
    if (head.startsWith("RIFF") && head.mid(8, 4) == "AVI ")
        return "avi";
    if (head.startsWith(QByteArray("\x00\x00\x01\xba", 4)))
        return "mpeg";
    if (head.startsWith(QByteArray("\x00\x00\x01\xb3", 4)))
        return "mpegvideo";
    if (hasPackets(head, kPacket, 0) || hasPackets(head, kTimedPacket, 4))
        return "mpegts";
    if (head.startsWith("\x30\x26\xb2\x75\x8e\x66\xcf\x11"))
        return "asf";
    if (head.startsWith("FLV"))
        return "flv";
    if (head.startsWith("OggS"))
        return "ogg";
    if (head.startsWith("GIF8"))
        return "gif";
    return {};
}

bool isSeeThrough(const QString& path) {
    QFile file(path);
    return filmFormatOf(path) == "matroska" && file.open(QIODevice::ReadOnly) &&
           file.read(kTracksWithin).contains(QByteArray("\x53\xc0\x81\x01", 4));
}

} // namespace mivanta
