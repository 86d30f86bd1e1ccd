// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <utility>
#include <vector>
#include <zip.h>

namespace mivanta {

/// A ZIP file of these entries.
inline QByteArray zipOf(const std::vector<std::pair<QByteArray, QByteArray>>& entries) {
    zip_error_t error;
    zip_source_t* target = zip_source_buffer_create(nullptr, 0, 0, &error);
    zip_t* archive = zip_open_from_source(target, ZIP_TRUNCATE, &error);
    zip_source_keep(target);
    for (const auto& [name, bytes] : entries)
        zip_file_add(archive, name.constData(),
                     zip_source_buffer(archive, bytes.constData(), zip_uint64_t(bytes.size()), 0),
                     ZIP_FL_ENC_UTF_8);
    zip_close(archive);
    zip_stat_t stat;
    zip_source_stat(target, &stat);
    zip_source_open(target);
    QByteArray bytes(qsizetype(stat.size), '\0');
    zip_source_read(target, bytes.data(), stat.size);
    zip_source_close(target);
    zip_source_free(target);
    return bytes;
}

} // namespace mivanta
