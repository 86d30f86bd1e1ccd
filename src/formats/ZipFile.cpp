// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Said.h"
#include "formats/Zip.h"
#include "formats/ZipStreams.h"
#include <QFile>
#include <QFileInfo>
#include <QScopeGuard>
#include <zip.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// What libzip tells while it writes.
struct Telling {
    ByteProgress progress;
    qint64 total = 0;
    bool isStopped = false;

    static void tell(zip_t*, double share, void* given) {
        auto& self = *static_cast<Telling*>(given);
        if (self.progress && !self.isStopped)
            self.isStopped = !self.progress(qint64(share * double(self.total)), self.total);
    }
    static int isCancelled(zip_t*, void* given) { return static_cast<Telling*>(given)->isStopped ? 1 : 0; }
};

tl::unexpected<Error> notWritten(const QString& why, const QString& path) {
    return failure(Said::tr("the file could not be packed: %1").arg(why), path,
                   Said::tr("Check the free space and that you may write there."));
}

bool addPart(zip_t* archive, const ZipFilePart& part) {
    zip_source_t* source = part.file.isEmpty() ? zip_source_buffer(archive, part.bytes.constData(),
                                                                   zip_uint64_t(part.bytes.size()), 0)
                                               : zipSourceOf(archive, part.file);
    if (!source)
        return false;
    const zip_int64_t index = zip_file_add(archive, part.name.toUtf8().constData(), source, ZIP_FL_ENC_UTF_8);
    if (index < 0) {
        zip_source_free(source);
        return false;
    }
    return part.file.isEmpty() ||
           zip_set_file_compression(archive, zip_uint64_t(index), ZIP_CM_STORE, 0) == 0;
}

} // namespace

Result<void> writeZipFile(const QString& path, const std::vector<ZipFilePart>& parts,
                          const ByteProgress& progress) {
    Telling telling{progress, 0, false};
    for (const ZipFilePart& part : parts)
        telling.total += part.file.isEmpty() ? part.bytes.size() : QFileInfo(part.file).size();
    if (QFileInfo::exists(path))
        return notWritten(Said::tr("there is something of that name already"), path);
    zip_error_t why;
    zip_error_init(&why);
    const auto finish = qScopeGuard([&] { zip_error_fini(&why); });
    zip_source_t* target = zipTargetOf(path);
    zip_t* archive = target ? zip_open_from_source(target, ZIP_CREATE | ZIP_TRUNCATE, &why) : nullptr;
    if (!archive) {
        if (target)
            zip_source_free(target);
        return notWritten(QString::fromUtf8(zip_error_strerror(&why)), path);
    }
    bool isWhole = true;
    for (const ZipFilePart& part : parts)
        isWhole = isWhole && addPart(archive, part);
    constexpr double kTellEvery = 0.002;
    zip_register_progress_callback_with_state(archive, kTellEvery, Telling::tell, nullptr, &telling);
    zip_register_cancel_callback_with_state(archive, Telling::isCancelled, nullptr, &telling);
    if (!isWhole || zip_close(archive) != 0) {
        const QString problem = QString::fromUtf8(zip_strerror(archive));
        zip_discard(archive);
        QFile::remove(path);
        return telling.isStopped ? Result<void>(failure(Said::tr("packing was stopped; nothing was written")))
                                 : Result<void>(notWritten(problem, path));
    }
    return {};
}

} // namespace mivanta
