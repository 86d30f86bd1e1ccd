// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/SongJson.h"
#include "core/base/Said.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"
#include <algorithm>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

QJsonObject lineToJson(const Line& line) {
    QJsonObject json{{u"words"_s, line.words}};
    QJsonArray chords;
    for (const ChordMark& chord : line.chords)
        chords.append(QJsonObject{{u"at"_s, chord.position}, {u"name"_s, chord.name}});
    put(json, u"chords"_s, chords);
    if (line.breakBefore)
        json.insert(u"breakBefore"_s, true);
    put(json, u"comment"_s, line.comment);
    put(json, u"emphasis"_s, emphasisToJson(line.emphasis));
    return json;
}

Line lineFromJson(const QJsonObject& json) {
    Line line;
    line.words = json[u"words"_s].toString();
    line.breakBefore = json[u"breakBefore"_s].toBool();
    line.comment = json[u"comment"_s].toString();
    for (const QJsonValue& value : json[u"chords"_s].toArray()) {
        const QJsonObject chord = value.toObject();
        line.chords.push_back(
            {std::clamp(chord[u"at"_s].toInt(), 0, int(line.words.size())), chord[u"name"_s].toString()});
    }
    line.emphasis = emphasisFromJson(json[u"emphasis"_s], line.words);
    return line;
}

QJsonObject partToJson(const Part& part) {
    QJsonObject json{{u"id"_s, part.id.text()}, {u"kind"_s, nameOf(part.kind)}};
    put(json, u"number"_s, part.number);
    put(json, u"name"_s, part.name);
    if (part.bandOnly)
        json.insert(u"bandOnly"_s, true);
    put(json, u"comment"_s, part.comment);
    QJsonArray lines;
    for (const Line& line : part.lines)
        lines.append(lineToJson(line));
    json.insert(u"lines"_s, lines);
    return json;
}

Part partFromJson(const QJsonObject& json) {
    Part part;
    part.id = PartId::fromText(json[u"id"_s].toString());
    if (part.id.isNull())
        part.id = PartId::create();
    part.kind = valueOf(json[u"kind"_s].toString(), PartKind::Other);
    part.number = std::clamp(json[u"number"_s].toInt(), 0, 999);
    part.name = json[u"name"_s].toString();
    part.bandOnly = json[u"bandOnly"_s].toBool();
    part.comment = json[u"comment"_s].toString();
    for (const QJsonValue& line : json[u"lines"_s].toArray())
        part.lines.push_back(lineFromJson(line.toObject()));
    return part;
}

QJsonArray orderToJson(const std::vector<SungPart>& entries) {
    QJsonArray order;
    for (const SungPart& sung : entries) {
        QJsonObject entry;
        put(entry, u"part"_s, sung.isEmptySlide() ? QString() : sung.part.text());
        if (sung.times > 1)
            entry.insert(u"times"_s, sung.times);
        put(entry, u"stageNote"_s, sung.stageNote);
        order.append(entry);
    }
    return order;
}

/// Entries that name a part which is not there are left out; one without a part is an empty slide.
std::vector<SungPart> orderFromJson(const QJsonArray& json, const Song& song) {
    std::vector<SungPart> entries;
    for (const QJsonValue& value : json) {
        const PartId part = PartId::fromText(value[u"part"_s].toString());
        const bool isEmpty = !value.toObject().contains(u"part"_s);
        if (isEmpty || song.part(part))
            entries.push_back({part, std::clamp(value[u"times"_s].toInt(1), 1, kMostTimes),
                               value[u"stageNote"_s].toString()});
    }
    return entries;
}

} // namespace

QJsonObject songToJson(const Song& song) {
    QJsonObject json{{u"id"_s, song.id.text()}, {u"title"_s, song.title}};
    put(json, u"revision"_s, song.revision);
    put(json, u"otherTitles"_s, QJsonArray::fromStringList(song.otherTitles));
    QJsonArray authors;
    for (const Author& author : song.authors)
        authors.append(QJsonObject{{u"role"_s, nameOf(author.role)}, {u"name"_s, author.name}});
    put(json, u"authors"_s, authors);
    put(json, u"copyright"_s, song.copyright);
    put(json, u"licenceNumber"_s, song.licenceNumber);
    QJsonArray books;
    for (const BookNumber& book : song.bookNumbers)
        books.append(QJsonObject{{u"book"_s, book.book}, {u"number"_s, book.number}});
    put(json, u"books"_s, books);
    put(json, u"key"_s, song.key);
    put(json, u"tempo"_s, song.tempo);
    put(json, u"timeSignature"_s, song.timeSignature);
    put(json, u"capo"_s, song.capo);
    put(json, u"topics"_s, QJsonArray::fromStringList(song.topics));
    put(json, u"language"_s, song.language);
    put(json, u"notes"_s, song.notes);
    QJsonArray parts;
    for (const Part& part : song.parts)
        parts.append(partToJson(part));
    json.insert(u"parts"_s, parts);
    put(json, u"singingOrder"_s, orderToJson(song.singingOrder));
    put(json, u"orderName"_s, song.orderName);
    QJsonArray others;
    for (const NamedOrder& other : song.otherOrders)
        others.append(QJsonObject{{u"name"_s, other.name}, {u"entries"_s, orderToJson(other.entries)}});
    put(json, u"otherOrders"_s, others);
    put(json, u"theme"_s, song.usualTheme);
    put(json, u"backingTrack"_s, song.backingTrack);
    return json;
}

Result<Song> songFromJson(const QJsonObject& json, const QString& where) {
    Song song;
    song.id = SongId::fromText(json[u"id"_s].toString());
    song.title = json[u"title"_s].toString();
    if (song.id.isNull() || song.title.isEmpty())
        return failure(Said::tr("a song has no id or no title"), where,
                       Said::tr("The file is damaged; use an older copy."));
    song.revision = std::max(0, json[u"revision"_s].toInt());
    song.otherTitles = strings(json[u"otherTitles"_s]);
    for (const QJsonValue& value : json[u"authors"_s].toArray())
        song.authors.push_back(
            {valueOf(value[u"role"_s].toString(), AuthorRole::Words), value[u"name"_s].toString()});
    song.copyright = json[u"copyright"_s].toString();
    song.licenceNumber = json[u"licenceNumber"_s].toString();
    for (const QJsonValue& value : json[u"books"_s].toArray())
        song.bookNumbers.push_back({value[u"book"_s].toString(), value[u"number"_s].toString()});
    song.key = json[u"key"_s].toString();
    song.tempo = std::clamp(json[u"tempo"_s].toInt(), 0, 400);
    song.timeSignature = json[u"timeSignature"_s].toString();
    song.capo = std::clamp(json[u"capo"_s].toInt(), 0, 12);
    song.topics = strings(json[u"topics"_s]);
    song.language = json[u"language"_s].toString();
    song.notes = json[u"notes"_s].toString();
    for (const QJsonValue& part : json[u"parts"_s].toArray())
        song.parts.push_back(partFromJson(part.toObject()));
    song.singingOrder = orderFromJson(json[u"singingOrder"_s].toArray(), song);
    song.orderName = json[u"orderName"_s].toString();
    for (const QJsonValue& value : json[u"otherOrders"_s].toArray())
        song.otherOrders.push_back(
            {value[u"name"_s].toString(), orderFromJson(value[u"entries"_s].toArray(), song)});
    song.usualTheme = json[u"theme"_s].toString();
    song.backingTrack = json[u"backingTrack"_s].toString();
    return song;
}

} // namespace mivanta
