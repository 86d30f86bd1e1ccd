// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/ServiceCommands.h"
#include "core/base/Said.h"
#include "core/media/Medium.h"
#include "core/timing/Timetable.h"
#include "media/FilmCut.h"
#include "render/FontFiles.h"
#include "store/MediaFiles.h"
#include "store/PackParts.h"
#include "store/ServicePack.h"
#include "store/ServiceStore.h"
#include <QDir>
#include <QFileInfo>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QJsonObject toJson(const Service& service, const Timetable& table) {
    QJsonArray items;
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        const TimetableRow& row = table.rows[i];
        QJsonObject json{{u"title"_s, item.title()}, {u"seconds"_s, row.seconds}};
        if (item.isHeading())
            json.insert(u"heading"_s, true);
        if (row.begins.isValid() && !item.plan.skipped)
            json.insert(u"begins"_s, row.begins.toString(Qt::ISODate));
        if (row.isGuessed)
            json.insert(u"guessed"_s, true);
        if (row.slack)
            json.insert(u"slack"_s, *row.slack);
        if (!item.plan.leader.isEmpty())
            json.insert(u"leader"_s, item.plan.leader);
        if (!item.plan.note.isEmpty())
            json.insert(u"note"_s, item.plan.note);
        if (item.plan.skipped)
            json.insert(u"skipped"_s, true);
        items.append(json);
    }
    QJsonObject json{{u"title"_s, service.title},
                     {u"place"_s, service.place},
                     {u"items"_s, items},
                     {u"seconds"_s, table.seconds}};
    if (table.ends.isValid())
        json.insert(u"ends"_s, table.ends.toString(Qt::ISODate));
    return json;
}

QString lineOf(const Item& item, const TimetableRow& row) {
    if (item.isHeading())
        return u"# %1 (%2)\n"_s.arg(item.title(), durationText(row.seconds));
    QStringList facts;
    if (item.plan.skipped)
        facts << Said::tr("not today");
    else
        facts << lengthText(row);
    if (row.slack && *row.slack != 0)
        facts << (*row.slack > 0 ? Said::tr("%1 free before it") : Said::tr("%1 over before it"))
                     .arg(durationText(std::abs(*row.slack)));
    facts << item.plan.leader << item.plan.note;
    facts.removeAll(QString());
    const QString time =
        row.begins.isValid() && !item.plan.skipped ? row.begins.time().toString(u"HH:mm"_s) : u"     "_s;
    return u"%1  %2 \u00b7 %3\n"_s.arg(time, item.title(), facts.join(u" \u00b7 "_s));
}

} // namespace

Result<int> runServiceShow(const Arguments& arguments, QTextStream& out) {
    const auto opened = openService(arguments.words[1]);
    if (!opened)
        return tl::unexpected(opened.error());
    const Service& service = opened->service;
    const Timetable table = timetableOf(service);
    if (arguments.json) {
        out << QJsonDocument(toJson(service, table)).toJson();
        return 0;
    }
    out << service.title << '\n';
    for (size_t i = 0; i < service.items.size(); ++i)
        out << lineOf(service.items[i], table.rows[i]);
    if (table.ends.isValid())
        out << Said::tr("ends about %1").arg(table.ends.time().toString(u"HH:mm"_s)) << u'\n';
    return 0;
}

namespace {

/// The service with what its files are known by, and where they are: in the library, or beside the service
/// where it was unpacked.
struct WithMedia {
    Service service;
    QString folder;
    PackList list;
    bool isPacked = false;
};

Result<WithMedia> withMedia(const Arguments& arguments) {
    auto opened = openService(arguments.words[1]);
    if (!opened)
        return tl::unexpected(opened.error());
    WithMedia result{std::move(opened->service), arguments.library.mediaFolder(), {}, opened->isPacked};
    const QString beside = QFileInfo(arguments.words[1]).absolutePath() + u"/media"_s;
    if (!missingMedia(result.service, result.folder).empty() && QDir(beside).exists())
        result.folder = beside;
    result.service.media = mediaFactsOf(result.service, result.folder, {});
    result.list = packListOf(result.service, result.folder, fontFilesOf(fontsOf(result.service)));
    return result;
}

/// What a packed service carries is not missing.
Result<void> countCarried(WithMedia& found, const QString& path) {
    const auto zip = ZipReader::openFile(path, kMostUnpacked);
    if (!zip)
        return tl::unexpected(zip.error());
    for (const MediaFact& fact : missingMedia(found.service, found.folder)) {
        const QString entry = QLatin1String(kMediaFolder) + fact.name;
        if (!zip->has(entry))
            continue;
        found.list.files.push_back({entry, {}, fact.title, zip->sizeOf(entry)});
        found.list.missing.removeOne(fact.title.isEmpty() ? fact.name : fact.title);
    }
    return {};
}

} // namespace

Result<int> runCheckFiles(const Arguments& arguments, QTextStream& out) {
    auto read = withMedia(arguments);
    if (!read)
        return tl::unexpected(read.error());
    if (read->isPacked)
        if (const auto counted = countCarried(*read, arguments.words[1]); !counted)
            return tl::unexpected(counted.error());
    const PackList& list = read->list;
    if (arguments.json) {
        QJsonArray files;
        for (const PackFile& file : list.files)
            files.append(QJsonObject{{u"title"_s, file.title}, {u"bytes"_s, file.bytes}});
        QJsonArray leftOut;
        for (const FontFile& font : list.leftOut)
            leftOut.append(QJsonObject{{u"font"_s, font.font.family}, {u"why"_s, font.refusal}});
        out << QJsonDocument(QJsonObject{{u"files"_s, files},
                                         {u"missing"_s, QJsonArray::fromStringList(list.missing)},
                                         {u"leftOut"_s, leftOut},
                                         {u"bytes"_s, list.bytes()}})
                   .toJson();
    } else {
        for (const PackFile& file : list.files)
            out << u"%1  %2\n"_s.arg(file.title, bytesText(file.bytes));
        for (const QString& title : list.missing)
            out << Said::tr("missing: %1").arg(title) << u'\n';
        for (const FontFile& font : list.leftOut)
            out << Said::tr("stays here: %1, %2").arg(font.font.family, font.refusal) << u'\n';
        out << Said::tr("%n files, %1", nullptr, Said::n(list.files.size())).arg(bytesText(list.bytes()))
            << u'\n';
    }
    return list.missing.isEmpty() ? 0 : 1;
}

Result<int> runPack(const Arguments& arguments, QTextStream& out) {
    auto read = withMedia(arguments);
    if (!read)
        return tl::unexpected(read.error());
    Result<PartsToPack> parts;
    if (arguments.onlyParts) {
        parts = cutToParts(read->service, read->list, arguments.to, {suffixOfCut, cutFilm});
        if (!parts)
            return tl::unexpected(parts.error());
        read->service = parts->service;
        read->list = parts->list;
        for (const QString& title : parts->whole)
            out << Said::tr("could not be cut, packed as a whole: %1").arg(title) << u'\n';
    }
    const auto packed = packService(read->service, read->list, arguments.to, std::nullopt);
    if (!packed)
        return tl::unexpected(packed.error());
    out << Said::tr("%1: %n files, %2", nullptr, Said::n(read->list.files.size()))
               .arg(arguments.to, bytesText(packed->size))
        << u'\n';
    for (const QString& title : read->list.missing)
        out << Said::tr("missing, not packed: %1").arg(title) << u'\n';
    for (const FontFile& font : read->list.leftOut)
        out << Said::tr("not packed: %1, %2").arg(font.font.family, font.refusal) << u'\n';
    return read->list.missing.isEmpty() ? 0 : 1;
}

Result<int> runUnpack(const Arguments& arguments, QTextStream& out) {
    const auto file = unpackService(arguments.words[1], arguments.to);
    if (!file)
        return tl::unexpected(file.error());
    out << *file << '\n';
    return 0;
}

} // namespace mivanta
