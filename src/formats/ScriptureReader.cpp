// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ScriptureReader.h"
#include "core/base/LeavableWork.h"
#include "core/base/Said.h"
#include "formats/Osis.h"
#include "formats/Usfm.h"
#include "formats/VerseLines.h"
#include "formats/Zip.h"
#include <QBuffer>
#include <QDirIterator>
#include <QFileInfo>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestFile = 128 * 1024 * 1024;
constexpr qint64 kLargestTranslation = 256 * 1024 * 1024; ///< all of its files
constexpr int kMostFiles = 2000;
constexpr int kMostNamed = 5; // broken files in one message

bool mayBeScripture(const QString& name) {
    static const QStringList endings{u"usfm"_s, u"sfm"_s, u"usf"_s, u"xml"_s, u"osis"_s, u"txt"_s, u"text"_s};
    const QString file = name.section(u'/', -1);
    if (file.startsWith(u'.') || file.startsWith(u"__"_s) ||
        file.startsWith(u"readme"_s, Qt::CaseInsensitive) ||
        file.startsWith(u"license"_s, Qt::CaseInsensitive) ||
        file.startsWith(u"licence"_s, Qt::CaseInsensitive))
        return false;
    return endings.contains(file.section(u'.', -1).toLower());
}

struct Source {
    QString name;
    std::function<Result<QByteArray>()> bytes;
};

Result<QByteArray> bytesOf(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the file cannot be read: %1").arg(file.errorString()), path,
                       Said::tr("Check that it is there and may be read."));
    if (file.size() > kLargestFile)
        return failure(Said::tr("the file is larger than any scripture"), path,
                       Said::tr("Choose another file."));
    return file.readAll();
}

Result<std::vector<Source>> sourcesIn(const QString& path) {
    std::vector<Source> sources;
    const QFileInfo info(path);
    if (info.isDir()) {
        QDirIterator files(path, QDir::Files, QDirIterator::Subdirectories);
        while (files.hasNext() && sources.size() <= size_t(kMostFiles))
            if (const QString file = files.next(); mayBeScripture(file))
                sources.push_back({file, [file] { return bytesOf(file); }});
    } else {
        auto bytes = bytesOf(path);
        if (!bytes)
            return tl::unexpected(bytes.error());
        if (bytes->startsWith("PK\x03\x04")) {
            auto zip = ZipReader::open(*bytes, kLargestTranslation);
            if (!zip)
                return tl::unexpected(
                    Error{zip.error().what, path, Said::tr("Use another copy of the file.")});
            auto shared = std::make_shared<ZipReader>(std::move(*zip));
            for (const QString& entry : shared->entries())
                if (mayBeScripture(entry) && sources.size() <= size_t(kMostFiles))
                    sources.push_back(
                        {path + u'/' + entry, [shared, entry] { return shared->read(entry, kLargestFile); }});
        } else {
            sources.push_back({path, [bytes = std::move(*bytes)]() -> Result<QByteArray> { return bytes; }});
        }
    }
    if (sources.size() > size_t(kMostFiles))
        return failure(
            Said::tr("there are more than %1 files here; this is not one translation").arg(kMostFiles), path,
            Said::tr("Choose the folder of one translation."));
    std::sort(sources.begin(), sources.end(),
              [](const Source& a, const Source& b) { return a.name < b.name; });
    return sources;
}

/// Adds the books of a file; a book that is there already is refused.
Result<void> add(ScriptureText& all, ScriptureText file, const QString& where) {
    for (ScriptureBook& book : file.books) {
        const bool isDouble = std::any_of(all.books.begin(), all.books.end(),
                                          [&](const ScriptureBook& b) { return b.code == book.code; });
        if (isDouble)
            return failure(Said::tr("%1 is in two files").arg(englishName(book.code)), where,
                           Said::tr("Take one of them out."));
        all.books.push_back(std::move(book));
    }
    all.warnings.insert(all.warnings.end(), file.warnings.begin(), file.warnings.end());
    all.damages.insert(all.damages.end(), file.damages.begin(), file.damages.end());
    for (UnnamedBook& book : file.unnamed)
        all.unnamed.push_back(std::move(book));
    for (auto [to, from] : {std::pair(&all.details.name, &file.details.name),
                            std::pair(&all.details.shortName, &file.details.shortName),
                            std::pair(&all.details.language, &file.details.language),
                            std::pair(&all.details.copyright, &file.details.copyright)})
        if (to->isEmpty())
            *to = *from;
    return {};
}

Error together(const std::vector<Error>& errors, const QString& path) {
    if (errors.size() == 1)
        return errors.front();
    QStringList named;
    for (size_t i = 0; i < std::min(errors.size(), size_t(kMostNamed)); ++i)
        named << errors[i].text();
    if (errors.size() > size_t(kMostNamed))
        named << u"\u2026"_s;
    return {
        Said::tr("%n files cannot be read, so nothing was brought in: %1", nullptr, Said::n(errors.size()))
            .arg(named.join(u" \u00b7 "_s)),
        path, Said::tr("Mend these files or take them out, and bring the rest in again.")};
}

} // namespace

Result<ScriptureText> readScripture(QIODevice& device, const QString& where) {
    QByteArray head = device.peek(4096);
    if (head.startsWith("\xff\xfe") || head.startsWith("\xfe\xff")) // UTF-16: its letters without the zeros
        head = head.mid(2).replace('\0', "");
    else if (head.startsWith("\xef\xbb\xbf"))
        head = head.mid(3);
    head = head.trimmed();
    if (head.startsWith('<'))
        return readOsis(device, where);
    if (head.startsWith('\\') || head.contains("\n\\c ") || head.contains("\n\\id "))
        return readUsfm(device, where);
    return readVerseLines(device, where);
}

Result<ScriptureText> readTranslation(const QString& path, const ScriptureProgress& progress) {
    const auto sources = sourcesIn(path);
    if (!sources)
        return tl::unexpected(sources.error());
    ScriptureText all;
    std::vector<Error> errors;
    qint64 total = 0;
    for (size_t i = 0; i < sources->size(); ++i) {
        const Source& source = (*sources)[i];
        const auto goesOn = [&] { return !progress || progress(int(i), int(sources->size())); };
        if (!goesOn())
            return failure(Said::tr("bringing in was stopped; nothing was changed"), path);
        auto bytes = source.bytes();
        total += bytes ? bytes->size() : 0;
        if (total > kLargestTranslation)
            return failure(Said::tr("its files are larger than any translation"), path,
                           Said::tr("Choose the folder of one translation."));
        if (!bytes) {
            errors.push_back(bytes.error());
            continue;
        }
        LeavableWork<Result<ScriptureText>> reading(
            [bytes = std::move(*bytes), name = source.name]() mutable {
                QBuffer buffer(&bytes);
                buffer.open(QIODevice::ReadOnly);
                return readScripture(buffer, name);
            });
        auto read = reading.wait(goesOn);
        if (!read)
            return failure(Said::tr("bringing in was stopped; nothing was changed"), path);
        auto file = std::move(*read);
        if (file)
            if (auto added = add(all, std::move(*file), source.name); !added)
                file = tl::unexpected(added.error());
        if (!file)
            errors.push_back(file.error());
    }
    if (!errors.empty() && all.books.empty() && all.unnamed.empty())
        return tl::unexpected(together(errors, path));
    for (const Error& error : errors) // the other files can be read all the same
        all.damages.push_back({error.where, 0, error.what});
    if (all.books.empty() && all.unnamed.empty())
        return failure(Said::tr("there is no scripture here"), path,
                       Said::tr("Choose USFM or OSIS files, or text with a verse a line."));
    std::stable_sort(all.books.begin(), all.books.end(),
                     [](const ScriptureBook& a, const ScriptureBook& b) { return a.code < b.code; });
    if (all.details.name.isEmpty())
        all.details.name = QFileInfo(path).completeBaseName();
    all.details.numbering = numberingOf(all.outline());
    return all;
}

} // namespace mivanta
