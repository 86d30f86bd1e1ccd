// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>
#include <QIODevice>
#include <QStringList>
#include <functional>
#include <memory>
#include <vector>

struct zip;

namespace mivanta {

struct ZipEntry {
    QString name;
    QByteArray bytes;
};

/// The bytes of a ZIP file with these entries.
[[nodiscard]] Result<QByteArray> zipOf(const std::vector<ZipEntry>& entries);

/// What a large ZIP file is made of: small entries from memory, large ones from files, which are kept as they
/// are (pictures, films and fonts are small already).
struct ZipFilePart {
    QString name;
    QByteArray bytes;
    QString file; ///< taken instead of `bytes` when it is not empty
};

/// Called now and then with bytes done and in all; false stops the work.
using ByteProgress = std::function<bool(qint64 done, qint64 total)>;

/// Writes a ZIP file to `path`, which must not be there yet, and has it reach the disk. Leaves nothing behind
/// when it fails or is stopped; then the error says so.
[[nodiscard]] Result<void> writeZipFile(const QString& path, const std::vector<ZipFilePart>& parts,
                                        const ByteProgress& progress = {});

/// The entries of a ZIP file. What they unpack to is bounded, each and together and over all that is read, so
/// that a small file that grows without end does no harm; and every entry is compared with its checksum.
class ZipReader {
public:
    /// Fails on what is no ZIP file; when its entries say that they unpack to more than `mostBytes`, or that
    /// they are more than the file has (they lie over one another).
    [[nodiscard]] static Result<ZipReader> open(QByteArray bytes, qint64 mostBytes);
    /// The same for a file on the disk, of which only what is asked for is read.
    [[nodiscard]] static Result<ZipReader> openFile(const QString& path, qint64 mostBytes);
    [[nodiscard]] bool has(const QString& entry) const;
    [[nodiscard]] QStringList entries() const;
    /// Fails when there is no such entry, when it is damaged, locked, or larger than `largest` bytes, and
    /// when more than `mostBytes` were read altogether, as of one entry again and again.
    [[nodiscard]] Result<QByteArray> read(const QString& entry, qint64 largest) const;
    /// What the entry says that it unpacks to, in bytes; -1 when there is none.
    [[nodiscard]] qint64 sizeOf(const QString& entry) const;
    /// Copies an entry to a device, never more than it said.
    [[nodiscard]] Result<void> copy(const QString& entry, QIODevice& to) const;
    /// For what is unpacked to a folder. Fails when an entry has a name that leads out of it, is a link,
    /// comes twice, or when all of them unpack to more than `mostTimes` their size.
    [[nodiscard]] Result<void> checkSafe(int mostTimes) const;

private:
    struct Opened;
    struct Sizes {
        qint64 packed = 0;
        qint64 unpacked = 0;
    };
    /// What the entries say of themselves, in bytes.
    [[nodiscard]] Result<Sizes> sizes() const;
    [[nodiscard]] Result<void> checkSizes(qint64 fileBytes, qint64 mostBytes);
    struct Closer {
        void operator()(zip* archive) const;
    };
    ZipReader() = default;
    std::shared_ptr<const QByteArray> m_bytes; ///< outlives the archive that reads it
    std::unique_ptr<zip, Closer> m_archive;
    mutable qint64 m_mayBeRead = 0; ///< bytes, from now on
};

} // namespace mivanta
