// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>
#include <QStringList>
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

/// The entries of a ZIP file in memory. What an entry unpacks to is bounded, so that a small file that grows
/// without end does no harm.
class ZipReader {
public:
    /// Fails on what is no ZIP file.
    [[nodiscard]] static Result<ZipReader> open(QByteArray bytes);
    [[nodiscard]] bool has(const QString& entry) const;
    [[nodiscard]] QStringList entries() const;
    /// Fails when there is no such entry, when it is damaged, locked, or larger than `largest` bytes.
    [[nodiscard]] Result<QByteArray> read(const QString& entry, qint64 largest) const;

private:
    struct Closer {
        void operator()(zip* archive) const;
    };
    ZipReader() = default;
    std::shared_ptr<const QByteArray> m_bytes; ///< outlives the archive that reads it
    std::unique_ptr<zip, Closer> m_archive;
};

} // namespace mivanta
