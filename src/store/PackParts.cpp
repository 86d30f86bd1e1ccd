// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/PackParts.h"
#include "core/base/Said.h"
#include "store/SafeFiles.h"
#include <QFileInfo>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

auto entryOf(PackList& list, const QString& name) {
    return std::find_if(list.files.begin(), list.files.end(), [&](const PackFile& file) {
        return file.entry == QLatin1String(kMediaFolder) + name;
    });
}

} // namespace

qint64 savedByParts(const Service& service, const PackList& list) {
    double saved = 0;
    for (const UsedPart& used : usedParts(service))
        for (const PackFile& file : list.files)
            if (file.entry == QLatin1String(kMediaFolder) + used.name)
                saved += double(file.bytes) * (1 - used.share());
    return qint64(saved);
}

Result<PartsToPack> cutToParts(const Service& service, const PackList& list, const QString& path,
                               const PartCutter& cutter, const std::function<bool()>& goOn) {
    PartsToPack parts{service, list, {}, std::make_unique<UnfinishedFolder>(QFileInfo(path).absolutePath())};
    if (!parts.folder->isThere())
        return failure(Said::tr("a file could not be written"), path,
                       Said::tr("Check the free space and that you may write there."));
    int number = 0;
    for (const UsedPart& used : usedParts(service)) {
        if (goOn && !goOn())
            return failure(Said::tr("it was stopped"), path);
        const auto entry = entryOf(parts.list, used.name);
        if (entry == parts.list.files.end())
            continue; // it is missing
        const QString file =
            parts.folder->filePath(u"%1.%2"_s.arg(++number).arg(cutter.suffixOf(entry->path)));
        const auto cut = cutter.cut(entry->path, used.part, file);
        const auto hash = cut ? contentHash(file, goOn) : Result<QString>(QString());
        if (!cut || !hash) {
            parts.whole << used.title;
            continue;
        }
        const QString name = *hash + u'.' + QFileInfo(file).suffix();
        playFromPart(parts.service, used.name, name, cut->later, cut->seconds);
        for (MediaFact& fact : parts.service.media)
            if (fact.name == used.name) {
                fact.name = name;
                fact.bytes = QFileInfo(file).size();
            }
        *entry = {QLatin1String(kMediaFolder) + name, file, entry->title, QFileInfo(file).size()};
    }
    return parts;
}

} // namespace mivanta
