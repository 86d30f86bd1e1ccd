// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Zip.h"
#include "core/base/Said.h"
#include <QFile>
#include <QFileInfo>
#include <QScopeGuard>
#include <QSet>
#include <utility>
#include <zip.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {
constexpr qint64 kBlock = 1 << 20;
/// Each entry says of itself, at its begin and in the list at the end, the same.
constexpr int kOpening = ZIP_RDONLY | ZIP_CHECKCONS;
} // namespace

void ZipReader::Closer::operator()(zip* archive) const {
    zip_discard(archive);
}

Result<ZipReader> ZipReader::open(QByteArray bytes, qint64 mostBytes) {
    ZipReader reader;
    reader.m_bytes = std::make_shared<const QByteArray>(std::move(bytes));
    zip_error_t error;
    zip_error_init(&error);
    const auto finishError = qScopeGuard([&] { zip_error_fini(&error); });
    zip_source_t* source = zip_source_buffer_create(reader.m_bytes->constData(),
                                                    zip_uint64_t(reader.m_bytes->size()), 0, &error);
    reader.m_archive.reset(source ? zip_open_from_source(source, kOpening, &error) : nullptr);
    if (!reader.m_archive) {
        if (source)
            zip_source_free(source);
        return failure(QString::fromUtf8(zip_error_strerror(&error)));
    }
    if (auto fine = reader.checkSizes(reader.m_bytes->size(), mostBytes); !fine)
        return tl::unexpected(fine.error());
    return reader;
}

bool ZipReader::has(const QString& entry) const {
    return zip_name_locate(m_archive.get(), entry.toUtf8().constData(), 0) >= 0;
}

QStringList ZipReader::entries() const {
    QStringList names;
    const zip_int64_t count = zip_get_num_entries(m_archive.get(), 0);
    for (zip_int64_t i = 0; i < count; ++i)
        names << QString::fromUtf8(zip_get_name(m_archive.get(), zip_uint64_t(i), 0));
    return names;
}

Result<ZipReader> ZipReader::openFile(const QString& path, qint64 mostBytes) {
    ZipReader reader;
    int error = 0;
    reader.m_archive.reset(zip_open(QFile::encodeName(path).constData(), kOpening, &error));
    if (!reader.m_archive) {
        zip_error_t why;
        zip_error_init_with_code(&why, error);
        const auto finish = qScopeGuard([&] { zip_error_fini(&why); });
        return failure(QString::fromUtf8(zip_error_strerror(&why)));
    }
    if (auto fine = reader.checkSizes(QFileInfo(path).size(), mostBytes); !fine)
        return tl::unexpected(fine.error());
    return reader;
}

Result<ZipReader::Sizes> ZipReader::sizes() const {
    Sizes sum;
    constexpr zip_uint64_t kMost = zip_uint64_t(1) << 42; // far below what a sum of them could overflow
    const zip_int64_t count = zip_get_num_entries(m_archive.get(), 0);
    for (zip_uint64_t i = 0; i < zip_uint64_t(count); ++i) {
        zip_stat_t stat;
        if (zip_stat_index(m_archive.get(), i, 0, &stat) != 0 || !(stat.valid & ZIP_STAT_SIZE) ||
            !(stat.valid & ZIP_STAT_COMP_SIZE))
            return failure(Said::tr("its entry %1 is damaged").arg(i + 1));
        if (stat.size > kMost || stat.comp_size > kMost)
            return failure(Said::tr("it unpacks to more than it may"));
        sum.unpacked += qint64(stat.size);
        sum.packed += qint64(stat.comp_size);
    }
    return sum;
}

Result<void> ZipReader::checkSizes(qint64 fileBytes, qint64 mostBytes) {
    const auto sum = sizes();
    if (!sum)
        return tl::unexpected(sum.error());
    if (sum->packed > fileBytes)
        return failure(Said::tr("its entries lie over one another"));
    if (sum->unpacked > mostBytes)
        return failure(Said::tr("it unpacks to more than it may"));
    m_mayBeRead = mostBytes;
    return {};
}

/// An entry that is being read.
struct ZipReader::Opened {
    zip_stat_t stat{};
    zip_file_t* file = nullptr;
    Opened() = default;
    Opened(Opened&& other) noexcept : stat(other.stat), file(std::exchange(other.file, nullptr)) {}
    Opened& operator=(Opened&&) = delete;
    ~Opened() {
        if (file)
            zip_fclose(file);
    }

    static Result<Opened> entry(zip* archive, const QString& entry) {
        Opened opened;
        const QByteArray name = entry.toUtf8();
        if (zip_stat(archive, name.constData(), 0, &opened.stat) != 0 || !(opened.stat.valid & ZIP_STAT_SIZE))
            return failure(Said::tr("it holds no %1").arg(entry));
        if ((opened.stat.valid & ZIP_STAT_ENCRYPTION_METHOD) && opened.stat.encryption_method != ZIP_EM_NONE)
            return failure(Said::tr("it is locked with a password"));
        opened.file = zip_fopen(archive, name.constData(), 0);
        if (!opened.file)
            return failure(QString::fromUtf8(zip_strerror(archive)));
        return opened;
    }

    /// All of it was read and is as it was packed: the checksum is compared when the end is read.
    [[nodiscard]] bool isWhole() const {
        char behind = 0;
        return zip_fread(file, &behind, 1) == 0;
    }
};

qint64 ZipReader::sizeOf(const QString& entry) const {
    zip_stat_t stat;
    if (zip_stat(m_archive.get(), entry.toUtf8().constData(), 0, &stat) != 0 || !(stat.valid & ZIP_STAT_SIZE))
        return -1;
    return qint64(stat.size);
}

Result<QByteArray> ZipReader::read(const QString& entry, qint64 largest) const {
    if (sizeOf(entry) > std::min(largest, m_mayBeRead))
        return failure(Said::tr("its %1 is too large").arg(entry));
    auto opened = Opened::entry(m_archive.get(), entry);
    if (!opened)
        return tl::unexpected(opened.error());
    QByteArray bytes(qsizetype(opened->stat.size), Qt::Uninitialized);
    m_mayBeRead -= bytes.size();
    if (zip_fread(opened->file, bytes.data(), opened->stat.size) != zip_int64_t(opened->stat.size) ||
        !opened->isWhole())
        return failure(Said::tr("its %1 is damaged").arg(entry));
    return bytes;
}

Result<void> ZipReader::copy(const QString& entry, QIODevice& to) const {
    auto opened = Opened::entry(m_archive.get(), entry);
    if (!opened)
        return tl::unexpected(opened.error());
    QByteArray block(kBlock, Qt::Uninitialized);
    for (qint64 left = qint64(opened->stat.size); left > 0;) {
        const qint64 got =
            zip_fread(opened->file, block.data(), zip_uint64_t(std::min<qint64>(left, kBlock)));
        if (got <= 0)
            return failure(Said::tr("its %1 is damaged or ends too early").arg(entry));
        if (to.write(block.constData(), got) != got)
            return failure(Said::tr("%1 could not be written: %2").arg(entry, to.errorString()));
        left -= got;
    }
    if (!opened->isWhole())
        return failure(Said::tr("its %1 is damaged").arg(entry));
    return {};
}

namespace {

bool leadsOut(const QString& name) {
    if (name.isEmpty() || name.startsWith(u'/') || name.contains(u'\\') || name.contains(QChar(0)) ||
        (name.size() > 1 && name[1] == u':'))
        return true;
    const QStringList parts = name.split(u'/');
    return parts.contains(u".."_s) || parts.contains(u"."_s);
}

bool isLink(zip* archive, zip_uint64_t index) {
    zip_uint8_t system = 0;
    zip_uint32_t attributes = 0;
    constexpr zip_uint32_t kFileType = 0170000;
    constexpr zip_uint32_t kLink = 0120000;
    return zip_file_get_external_attributes(archive, index, 0, &system, &attributes) == 0 &&
           system == ZIP_OPSYS_UNIX && ((attributes >> 16) & kFileType) == kLink;
}

} // namespace

Result<void> ZipReader::checkSafe(int mostTimes) const {
    QSet<QString> seen;
    const QStringList names = entries();
    for (qsizetype i = 0; i < names.size(); ++i) {
        const QString& name = names[i];
        if (leadsOut(name))
            return failure(
                Said::tr("it holds \u201c%1\u201d, a name that leads out of its folder").arg(name));
        if (isLink(m_archive.get(), zip_uint64_t(i)))
            return failure(Said::tr("it holds the link \u201c%1\u201d").arg(name));
        if (seen.contains(name))
            return failure(Said::tr("it holds \u201c%1\u201d twice").arg(name));
        seen.insert(name);
    }
    const auto sum = sizes();
    if (!sum)
        return tl::unexpected(sum.error());
    constexpr qint64 kSmall = 16 << 20; // words pack well
    if (sum->unpacked > kSmall && sum->unpacked / mostTimes > sum->packed)
        return failure(Said::tr("it grows far too much when it is unpacked"));
    return {};
}

namespace {

tl::unexpected<Error> notPacked(const QString& why) {
    return failure(why, {}, Said::tr("Save again."));
}

} // namespace

Result<QByteArray> zipOf(const std::vector<ZipEntry>& entries) {
    zip_error_t error;
    zip_error_init(&error);
    const auto finishError = qScopeGuard([&] { zip_error_fini(&error); });
    zip_source_t* target = zip_source_buffer_create(nullptr, 0, 0, &error);
    zip_t* archive = target ? zip_open_from_source(target, ZIP_TRUNCATE, &error) : nullptr;
    if (!archive) {
        if (target)
            zip_source_free(target);
        return notPacked(QString::fromUtf8(zip_error_strerror(&error)));
    }
    zip_source_keep(target); // the archive lets go of it when it closes
    const auto freeTarget = qScopeGuard([&] { zip_source_free(target); });
    bool isWhole = true;
    for (const ZipEntry& entry : entries) {
        zip_source_t* source =
            zip_source_buffer(archive, entry.bytes.constData(), zip_uint64_t(entry.bytes.size()), 0);
        isWhole = isWhole && source &&
                  zip_file_add(archive, entry.name.toUtf8().constData(), source, ZIP_FL_ENC_UTF_8) >= 0;
    }
    if (!isWhole || zip_close(archive) != 0) {
        const QString why = QString::fromUtf8(zip_strerror(archive));
        zip_discard(archive);
        return notPacked(why);
    }
    zip_stat_t stat;
    if (zip_source_stat(target, &stat) != 0 || zip_source_open(target) != 0)
        return notPacked(Said::tr("the packed file could not be read back"));
    QByteArray bytes(qsizetype(stat.size), Qt::Uninitialized);
    const bool wasRead = zip_source_read(target, bytes.data(), stat.size) == zip_int64_t(stat.size);
    zip_source_close(target);
    if (!wasRead)
        return notPacked(Said::tr("the packed file could not be read back"));
    return bytes;
}

} // namespace mivanta
