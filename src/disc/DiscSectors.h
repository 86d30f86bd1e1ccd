// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QString>
#include <dvdread/dvd_reader.h>
#include <optional>
#include <vector>

namespace mivanta {

constexpr int kSector = 2048; ///< bytes

/// The film data of one title set, as the disc has it: nothing is ever decrypted.
class DiscSectors {
public:
    /// `path`: a drive or an image, which `dvd` has opened, too; or the folder that has the files.
    DiscSectors(dvd_reader_t* dvd, const QString& path, int titleSet);
    ~DiscSectors();
    DiscSectors(const DiscSectors&) = delete;
    DiscSectors& operator=(const DiscSectors&) = delete;

    /// Sectors from the begin of the title set's films; nothing when they cannot be read.
    [[nodiscard]] std::optional<QByteArray> read(qint64 first, int count) const;

private:
    struct Extent {
        int file = -1;
        qint64 begin = 0; ///< of it in the file, bytes
        qint64 sectors = 0;
    };
    std::vector<Extent> m_extents; ///< one behind the other
    std::vector<int> m_files;
};

/// Whether a sector is scrambled, as on discs that are protected against copying.
[[nodiscard]] bool isScrambled(const char* sector);

/// What a navigation sector says of the pictures that follow it, up to the next one.
struct Navigation {
    qint64 last = 0;            ///< of their sectors, counted from the navigation sector
    std::optional<qint64> next; ///< navigation sector, counted from this one; nothing at the end
    double seconds = 0;         ///< since the begin of the cell
};
/// Nothing when it is no navigation sector.
[[nodiscard]] std::optional<Navigation> navigationOf(const QByteArray& sector);

/// A time as discs have it: hours, minutes, seconds, and pictures with their rate in the two highest bits;
/// decimal digits of four bits each.
[[nodiscard]] double secondsOfDiscTime(quint8 hour, quint8 minute, quint8 second, quint8 pictures);

} // namespace mivanta
