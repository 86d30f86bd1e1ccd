// SPDX-License-Identifier: GPL-3.0-or-later
#include "disc/DiscSectors.h"
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QtEndian>
#include <dvdread/dvd_udf.h>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kMostParts = 9; // files of a title set's films
// ISO 13818-1: where the first packet's header lies behind a pack header without stuffing, and its bits
constexpr int kStreamId = 17;
constexpr int kScrambling = 20;
constexpr quint8 kScramblingBits = 0x30;
constexpr quint8 kPrivateStream2 = 0xbf;
// Where a navigation sector says what comes (DVD's data search information).
constexpr int kSearchHeader = 0x400; // 00 00 01 bf, two bytes of length, 01
constexpr int kSearch = 0x407;
constexpr int kLastSector = kSearch + 8;
constexpr int kCellTime = kSearch + 28;
constexpr int kNextUnit = kSearch + 314;
constexpr quint32 kNoUnit = 0x3fffffff;

int openToRead(const QString& path) {
    const int file =
        ::open(QFile::encodeName(path).constData(), O_RDONLY | O_NOFOLLOW | O_CLOEXEC | O_NONBLOCK);
    return file;
}

/// Of discs' files, whatever the letters' case.
QString partIn(const QString& folder, int titleSet, int part) {
    const QString name = u"VTS_%1_%2.VOB"_s.arg(titleSet, 2, 10, '0'_L1).arg(part);
    for (const QString& entry : QDir(folder).entryList(QDir::Files | QDir::System | QDir::Hidden))
        if (entry.compare(name, Qt::CaseInsensitive) == 0)
            return QDir(folder).filePath(entry);
    return {};
}

int fromDigits(quint8 value) {
    return (value >> 4) * 10 + (value & 0x0f);
}

} // namespace

DiscSectors::DiscSectors(dvd_reader_t* dvd, const QString& path, int titleSet) {
    const bool isFolder = QFileInfo(path).isDir();
    if (!isFolder)
        m_files.push_back(::open(QFile::encodeName(path).constData(), O_RDONLY | O_CLOEXEC));
    for (int part = 1; part <= kMostParts; ++part) {
        Extent extent;
        if (isFolder) {
            const QString file = partIn(path, titleSet, part);
            struct stat status {};
            if (file.isEmpty())
                break;
            m_files.push_back(openToRead(file));
            if (m_files.back() < 0 || ::fstat(m_files.back(), &status) != 0 || !S_ISREG(status.st_mode))
                break;
            extent = {m_files.back(), 0, status.st_size / kSector};
        } else {
            const QByteArray name =
                u"/VIDEO_TS/VTS_%1_%2.VOB"_s.arg(titleSet, 2, 10, '0'_L1).arg(part).toLatin1();
            uint32_t size = 0;
            const uint32_t at = UDFFindFile(dvd, name.constData(), &size);
            if (at == 0)
                break;
            extent = {m_files.front(), qint64(at) * kSector, size / kSector};
        }
        m_extents.push_back(extent);
    }
}

DiscSectors::~DiscSectors() {
    for (const int file : m_files)
        if (file >= 0)
            ::close(file);
}

std::optional<QByteArray> DiscSectors::read(qint64 first, int count) const {
    QByteArray all;
    for (const Extent& extent : m_extents) {
        while (first < extent.sectors && all.size() < qsizetype(count) * kSector) {
            const qint64 wanted = std::min<qint64>(count - all.size() / kSector, extent.sectors - first);
            QByteArray piece(qsizetype(wanted) * kSector, Qt::Uninitialized);
            const ssize_t came =
                ::pread(extent.file, piece.data(), size_t(piece.size()), extent.begin + first * kSector);
            if (came < kSector)
                return {};
            piece.truncate(came / kSector * kSector);
            all += piece;
            first += piece.size() / kSector;
        }
        first -= extent.sectors;
        if (first < 0)
            break;
    }
    return all.size() == qsizetype(count) * kSector ? std::optional(all) : std::nullopt;
}

bool isScrambled(const char* sector) {
    const auto* bytes = reinterpret_cast<const quint8*>(sector);
    const bool isPack =
        qFromBigEndian<quint32>(bytes) == 0x1ba && qFromBigEndian<quint32>(bytes + 14) >> 8 == 1;
    const quint8 stream = bytes[kStreamId]; // video, sound and private stream 1 have these bits
    return isPack && (stream == 0xbd || stream >= 0xc0) && (bytes[kScrambling] & kScramblingBits) != 0;
}

std::optional<Navigation> navigationOf(const QByteArray& sector) {
    const auto* bytes = reinterpret_cast<const quint8*>(sector.constData());
    if (sector.size() < kSector || qFromBigEndian<quint32>(bytes) != 0x1ba ||
        qFromBigEndian<quint32>(bytes + kSearchHeader) != (0x100 | kPrivateStream2))
        return {};
    Navigation navigation;
    navigation.last = qFromBigEndian<quint32>(bytes + kLastSector);
    const quint32 next = qFromBigEndian<quint32>(bytes + kNextUnit) & kNoUnit;
    if (next != kNoUnit && next > 0)
        navigation.next = next;
    navigation.seconds =
        secondsOfDiscTime(bytes[kCellTime], bytes[kCellTime + 1], bytes[kCellTime + 2], bytes[kCellTime + 3]);
    return navigation;
}

double secondsOfDiscTime(quint8 hour, quint8 minute, quint8 second, quint8 pictures) {
    const double rate = pictures >> 6 == 3 ? 30000.0 / 1001 : 25;
    return fromDigits(hour) * 3600.0 + fromDigits(minute) * 60.0 + fromDigits(second) +
           fromDigits(pictures & 0x3f) / rate;
}

} // namespace mivanta
