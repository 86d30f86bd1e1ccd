// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Zip.h"
#include <QScopeGuard>
#include <zip.h>

namespace mivanta {

using namespace Qt::StringLiterals;

void ZipReader::Closer::operator()(zip* archive) const {
    zip_discard(archive);
}

Result<ZipReader> ZipReader::open(QByteArray bytes) {
    ZipReader reader;
    reader.m_bytes = std::make_shared<const QByteArray>(std::move(bytes));
    zip_error_t error;
    zip_error_init(&error);
    const auto finishError = qScopeGuard([&] { zip_error_fini(&error); });
    zip_source_t* source = zip_source_buffer_create(reader.m_bytes->constData(),
                                                    zip_uint64_t(reader.m_bytes->size()), 0, &error);
    reader.m_archive.reset(source ? zip_open_from_source(source, ZIP_RDONLY, &error) : nullptr);
    if (!reader.m_archive) {
        if (source)
            zip_source_free(source);
        return failure(QString::fromUtf8(zip_error_strerror(&error)));
    }
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

Result<QByteArray> ZipReader::read(const QString& entry, qint64 largest) const {
    const QByteArray name = entry.toUtf8();
    zip_stat_t stat;
    if (zip_stat(m_archive.get(), name.constData(), 0, &stat) != 0 || !(stat.valid & ZIP_STAT_SIZE))
        return failure(u"it holds no %1"_s.arg(entry));
    if (qint64(stat.size) > largest)
        return failure(u"its %1 is too large"_s.arg(entry));
    if ((stat.valid & ZIP_STAT_ENCRYPTION_METHOD) && stat.encryption_method != ZIP_EM_NONE)
        return failure(u"it is locked with a password"_s);
    zip_file_t* file = zip_fopen(m_archive.get(), name.constData(), 0);
    if (!file)
        return failure(QString::fromUtf8(zip_strerror(m_archive.get())));
    const auto closeFile = qScopeGuard([&] { zip_fclose(file); });
    QByteArray bytes(qsizetype(stat.size), Qt::Uninitialized);
    if (zip_fread(file, bytes.data(), stat.size) != zip_int64_t(stat.size))
        return failure(u"its %1 ends too early"_s.arg(entry));
    return bytes;
}

namespace {

tl::unexpected<Error> notPacked(const QString& why) {
    return failure(why, {}, u"Save again."_s);
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
        return notPacked(u"the packed file could not be read back"_s);
    QByteArray bytes(qsizetype(stat.size), Qt::Uninitialized);
    const bool wasRead = zip_source_read(target, bytes.data(), stat.size) == zip_int64_t(stat.size);
    zip_source_close(target);
    if (!wasRead)
        return notPacked(u"the packed file could not be read back"_s);
    return bytes;
}

} // namespace mivanta
