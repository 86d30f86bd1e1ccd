// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/PassageJson.h"
#include "core/base/Said.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kLargestNumber = 999;

QString pointText(const VersePoint& point) {
    QString text = u"%1:%2"_s.arg(point.chapter).arg(point.verse);
    if (point.letter)
        text += QLatin1Char(point.letter);
    return text;
}

VersePoint pointFrom(QString text) {
    VersePoint point;
    if (text.endsWith(u'a') || text.endsWith(u'b') || text.endsWith(u'c')) {
        point.letter = text.back().toLatin1();
        text.chop(1);
    }
    point.chapter = std::clamp(text.section(u':', 0, 0).toInt(), 1, kLargestNumber);
    point.verse = std::clamp(text.section(u':', 1, 1).toInt(), 0, kLargestNumber);
    return point;
}

BookCode bookFrom(const QJsonValue& value) {
    return BookCode::fromText(value.toString()).value_or(BookCode());
}

QJsonObject verseToJson(const Verse& verse) {
    QJsonObject json{
        {u"book"_s, verse.book.text()}, {u"chapter"_s, verse.chapter}, {u"verse"_s, verse.number}};
    if (verse.lastNumber > verse.number)
        json.insert(u"lastVerse"_s, verse.lastNumber);
    const QJsonArray pieces = piecesToJson(verse);
    if (pieces.isEmpty())
        json.insert(u"words"_s, verse.words());
    else
        json.insert(u"pieces"_s, pieces);
    return json;
}

Verse verseFromJson(const QJsonObject& json) {
    Verse verse;
    verse.book = bookFrom(json[u"book"_s]);
    verse.chapter = std::clamp(json[u"chapter"_s].toInt(1), 1, kLargestNumber);
    verse.number = std::clamp(json[u"verse"_s].toInt(1), 0, kLargestNumber);
    verse.lastNumber = std::clamp(json[u"lastVerse"_s].toInt(verse.number), verse.number, kLargestNumber);
    verse.pieces = piecesFromJson(json[u"pieces"_s].toArray(), json[u"words"_s].toString());
    return verse;
}

QJsonObject versionToJson(const PassageWords& words) {
    const Translation& t = words.translation;
    QJsonObject translation{{u"id"_s, t.id.text()},
                            {u"name"_s, t.name},
                            {u"numbering"_s, nameOf(t.numbering)},
                            {u"copyrightOn"_s, nameOf(t.copyrightOn)}};
    put(translation, u"shortName"_s, t.shortName);
    put(translation, u"language"_s, t.language);
    put(translation, u"copyright"_s, t.copyright);
    QJsonArray verses;
    for (const Verse& verse : words.verses)
        verses.append(verseToJson(verse));
    QJsonArray starts;
    for (const int start : words.rangeStarts)
        starts.append(start);
    return {{u"translation"_s, translation},
            {u"reference"_s, words.reference},
            {u"verses"_s, verses},
            {u"rangeStarts"_s, starts}};
}

PassageWords versionFromJson(const QJsonObject& json) {
    PassageWords words;
    const QJsonObject t = json[u"translation"_s].toObject();
    words.translation = {TranslationId::fromText(t[u"id"_s].toString()),
                         t[u"name"_s].toString(),
                         t[u"shortName"_s].toString(),
                         t[u"language"_s].toString(),
                         t[u"copyright"_s].toString(),
                         valueOf(t[u"copyrightOn"_s].toString(), CopyrightOn::Last),
                         valueOf(t[u"numbering"_s].toString(), Numbering::English)};
    words.reference = json[u"reference"_s].toString();
    for (const QJsonValue& verse : json[u"verses"_s].toArray())
        words.verses.push_back(verseFromJson(verse.toObject()));
    for (const QJsonValue& start : json[u"rangeStarts"_s].toArray())
        words.rangeStarts.push_back(start.toInt());
    return words;
}

} // namespace

QJsonArray piecesToJson(const Verse& verse) {
    if (verse.pieces.size() == 1 && verse.pieces[0].start == VerseStart::Continues &&
        verse.pieces[0].emphasis.empty())
        return {};
    QJsonArray json;
    for (const VersePiece& piece : verse.pieces) {
        QJsonObject object{{u"words"_s, piece.words}};
        if (piece.start != VerseStart::Continues)
            object.insert(u"start"_s, nameOf(piece.start));
        put(object, u"emphasis"_s, emphasisToJson(piece.emphasis));
        json.append(object);
    }
    return json;
}

std::vector<VersePiece> piecesFromJson(const QJsonArray& json, const QString& words) {
    std::vector<VersePiece> pieces;
    for (const QJsonValue& value : json) {
        VersePiece piece{
            valueOf(value[u"start"_s].toString(), VerseStart::Continues), value[u"words"_s].toString(), {}};
        piece.emphasis = emphasisFromJson(value[u"emphasis"_s], piece.words);
        pieces.push_back(std::move(piece));
    }
    if (pieces.empty())
        pieces.push_back({VerseStart::Continues, words, {}});
    return pieces;
}

QJsonObject layoutToJson(const PassageLayout& layout) {
    return {{u"flow"_s, nameOf(layout.flow)},
            {u"numbers"_s, nameOf(layout.numbers)},
            {u"referenceOn"_s, nameOf(layout.referenceOn)},
            {u"referencePlace"_s, nameOf(layout.referencePlace)},
            {u"namesTranslation"_s, layout.namesTranslation},
            {u"keepsPoetry"_s, layout.keepsPoetry}};
}

PassageLayout layoutFromJson(const QJsonObject& json) {
    PassageLayout layout;
    layout.flow = valueOf(json[u"flow"_s].toString(), layout.flow);
    layout.numbers = valueOf(json[u"numbers"_s].toString(), layout.numbers);
    layout.referenceOn = valueOf(json[u"referenceOn"_s].toString(), layout.referenceOn);
    layout.referencePlace = valueOf(json[u"referencePlace"_s].toString(), layout.referencePlace);
    layout.namesTranslation = json[u"namesTranslation"_s].toBool(layout.namesTranslation);
    layout.keepsPoetry = json[u"keepsPoetry"_s].toBool(layout.keepsPoetry);
    return layout;
}

QJsonArray rangesToJson(const Reference& reference) {
    QJsonArray ranges;
    for (const VerseRange& range : reference.ranges)
        ranges.append(QJsonObject{{u"book"_s, range.book.text()},
                                  {u"from"_s, pointText(range.from)},
                                  {u"to"_s, pointText(range.to)}});
    return ranges;
}

Reference rangesFromJson(const QJsonArray& json) {
    Reference reference;
    for (const QJsonValue& value : json) {
        const VerseRange range{bookFrom(value[u"book"_s]), pointFrom(value[u"from"_s].toString()),
                               pointFrom(value[u"to"_s].toString())};
        if (!range.book.isNull())
            reference.ranges.push_back(range);
    }
    return reference;
}

QJsonObject passageToJson(const Passage& passage) {
    QJsonArray words;
    for (const PassageWords& version : passage.words)
        words.append(versionToJson(version));
    return {{u"ranges"_s, rangesToJson(passage.reference)},
            {u"words"_s, words},
            {u"layout"_s, layoutToJson(passage.layout)}};
}

Result<Passage> passageFromJson(const QJsonObject& json, const QString& where) {
    Passage passage;
    passage.reference = rangesFromJson(json[u"ranges"_s].toArray());
    for (const QJsonValue& value : json[u"words"_s].toArray())
        passage.words.push_back(versionFromJson(value.toObject()));
    passage.layout = layoutFromJson(json[u"layout"_s].toObject());
    if (passage.reference.isEmpty() || passage.words.empty() || passage.words.front().verses.empty())
        return failure(Said::tr("a passage has no reference or no verses"), where,
                       Said::tr("The file is damaged; use an older copy."));
    return passage;
}

QJsonObject outlineToJson(const Outline& outline) {
    QJsonArray books;
    for (const OutlineBook& book : outline.books) {
        QJsonArray chapters;
        for (const OutlineChapter& chapter : book.chapters) {
            QJsonArray entry{chapter.number, chapter.lastVerse};
            for (const int verse : chapter.missing)
                entry.append(verse);
            chapters.append(entry);
        }
        QJsonObject object{{u"book"_s, book.code.text()}, {u"name"_s, book.name}, {u"chapters"_s, chapters}};
        put(object, u"otherNames"_s, QJsonArray::fromStringList(book.otherNames));
        books.append(object);
    }
    return {{u"books"_s, books}};
}

Outline outlineFromJson(const QJsonObject& json) {
    Outline outline;
    for (const QJsonValue& value : json[u"books"_s].toArray()) {
        OutlineBook book{
            bookFrom(value[u"book"_s]), value[u"name"_s].toString(), strings(value[u"otherNames"_s]), {}};
        for (const QJsonValue& entry : value[u"chapters"_s].toArray()) {
            OutlineChapter chapter{entry[0].toInt(), entry[1].toInt(), {}};
            for (int i = 2; i < int(entry.toArray().size()); ++i)
                chapter.missing.push_back(entry[i].toInt());
            book.chapters.push_back(std::move(chapter));
        }
        outline.books.push_back(std::move(book));
    }
    return outline;
}

} // namespace mivanta
