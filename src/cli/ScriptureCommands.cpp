// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/ScriptureCommands.h"
#include "core/base/Said.h"
#include "core/scripture/ReferenceParser.h"
#include "formats/JsonNames.h"
#include "formats/PassageJson.h"
#include "formats/ScriptureReader.h"
#include <QFileInfo>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString placeOf(const QString& file, int line) {
    return line > 0 ? Said::tr("%1, line %2").arg(file, QString::number(line)) : file;
}

/// What somebody has to see before anything is stored.
void tellReview(const ScriptureText& text, bool asJson, QTextStream& out) {
    constexpr int kMostPlaces = 20;
    const QStringList missing = text.missing(kMostPlaces);
    if (asJson) {
        QJsonArray leftOut;
        for (const ScriptureDamage& damage : text.damages)
            leftOut.append(
                QJsonObject{{u"file"_s, damage.file}, {u"line"_s, damage.line}, {u"text"_s, damage.text}});
        QJsonArray unknown;
        for (const UnnamedBook& book : text.unnamed)
            unknown.append(QJsonObject{
                {u"name"_s, book.name}, {u"line"_s, book.line}, {u"verses"_s, int(book.verses.size())}});
        out << QJsonDocument(QJsonObject{{u"verses"_s, text.verseCount()},
                                         {u"leftOut"_s, leftOut},
                                         {u"unknownBooks"_s, unknown},
                                         {u"missing"_s, QJsonArray::fromStringList(missing)}})
                   .toJson();
        return;
    }
    for (const ScriptureDamage& damage : text.damages)
        out << Said::tr("left out: %1: %2").arg(placeOf(damage.file, damage.line), damage.text) << u'\n';
    for (const UnnamedBook& book : text.unnamed)
        out << Said::tr("not known: the book \u201c%1\u201d (line %2, %n verses)", nullptr,
                        Said::n(book.verses.size()))
                   .arg(book.name)
                   .arg(book.line)
            << u'\n';
    for (const QString& place : missing)
        out << Said::tr("not there: %1").arg(place) << u'\n';
}

} // namespace

Error problemOf(const Understanding& understood, const QString& typed) {
    switch (understood.state) {
    case ReferenceState::NotOne:
        return {Said::tr("\u201c%1\u201d does not begin with the name of a book").arg(typed),
                {},
                Said::tr("Write it as Luke 5:1-11.")};
    case ReferenceState::Unfinished:
        return {Said::tr("\u201c%1\u201d is not finished: %2").arg(typed, understood.help),
                {},
                Said::tr("Write it as Luke 5:1-11.")};
    default:
        return understood.problem;
    }
}

Result<int> runImportTranslation(Library& library, const Arguments& arguments, QTextStream& out) {
    auto text = readTranslation(arguments.words.first());
    if (!text)
        return tl::unexpected(text.error());
    if (!arguments.translation.isEmpty())
        text->details.shortName = arguments.translation;
    if (text->needsAPerson() && !arguments.asItIs) {
        tellReview(*text, arguments.json, out);
        return failure(Said::tr("not all of this can be read; nothing was changed"), arguments.words.first(),
                       Said::tr("Say --as-it-is to bring in the %n verses that can.", nullptr,
                                Said::n(text->verseCount())));
    }
    const auto stored = library.scripture().store(
        *text, arguments.translation.isEmpty() ? SameShortName::Number : SameShortName::Replace);
    if (!stored)
        return tl::unexpected(stored.error());
    QJsonArray warnings;
    for (const ScriptureWarning& warning : text->warnings) {
        warnings.append(
            QJsonObject{{u"file"_s, warning.file}, {u"line"_s, warning.line}, {u"text"_s, warning.text}});
        if (!arguments.json)
            out << placeOf(warning.file, warning.line) << u": "_s << warning.text << u'\n';
    }
    if (arguments.json)
        out << QJsonDocument(QJsonObject{{u"translation"_s, stored->shortName},
                                         {u"name"_s, stored->name},
                                         {u"books"_s, int(text->books.size())},
                                         {u"verses"_s, text->verseCount()},
                                         {u"warnings"_s, warnings}})
                   .toJson();
    else
        out << Said::tr("%1 (%2): %3, %4", "a translation, its short name, its books, its verses")
                   .arg(stored->name, stored->shortName,
                        Said::tr("%n books", nullptr, Said::n(text->books.size())),
                        Said::tr("%n verses", nullptr, Said::n(text->verseCount())))
            << u'\n';
    return 0;
}

Result<int> runImportTexts(Library& library, const Arguments& arguments, QTextStream& out) {
    QJsonArray list;
    bool refused = false;
    for (const TextImport& entry : library.texts().import(arguments.words)) {
        refused = refused || entry.outcome == ImportOutcome::Refused;
        QJsonObject json{
            {u"file"_s, entry.file}, {u"outcome"_s, outcomeKey(entry.outcome)}, {u"title"_s, entry.title}};
        if (!entry.reason.isEmpty())
            json.insert(u"reason"_s, entry.reason);
        list.append(json);
        if (!arguments.json)
            out << outcomeName(entry.outcome) << u": "_s << entry.file << u" · "_s
                << (entry.reason.isEmpty() ? entry.title : entry.reason) << u'\n';
    }
    if (arguments.json)
        out << QJsonDocument(list).toJson();
    return refused ? 1 : 0;
}

Result<int> runPassage(Library& library, const Arguments& arguments, QTextStream& out) {
    const auto translation = library.scripture().translation(arguments.translation);
    if (!translation)
        return tl::unexpected(translation.error());
    const auto outline = library.scripture().outline(translation->id);
    if (!outline)
        return tl::unexpected(outline.error());
    const QString typed = arguments.words.join(u' ');
    const Understanding understood = understandReference(typed, *outline);
    if (understood.state != ReferenceState::Understood)
        return tl::unexpected(problemOf(understood, typed));
    const auto words = library.scripture().words(translation->id, understood.reference);
    if (!words)
        return tl::unexpected(words.error());
    if (!arguments.json) {
        out << words->reference << u" ("_s << translation->shortName << u")\n"_s;
        for (const QString& note : understood.notes)
            out << Said::tr("Note: %1").arg(note) << u'\n';
        for (const Verse& verse : words->verses)
            out << u"%1:%2 "_s.arg(verse.chapter).arg(verse.numberText()) << verse.words() << u'\n';
        return 0;
    }
    QJsonArray verses;
    for (const Verse& verse : words->verses) {
        QJsonObject json{{u"book"_s, verse.book.text()},
                         {u"chapter"_s, verse.chapter},
                         {u"verse"_s, verse.number},
                         {u"text"_s, verse.words()}};
        if (verse.lastNumber > verse.number)
            json.insert(u"lastVerse"_s, verse.lastNumber);
        verses.append(json);
    }
    out << QJsonDocument(QJsonObject{{u"reference"_s, words->reference},
                                     {u"translation"_s, translation->shortName},
                                     {u"ranges"_s, rangesToJson(understood.reference)},
                                     {u"notes"_s, QJsonArray::fromStringList(understood.notes)},
                                     {u"verses"_s, verses}})
               .toJson();
    return 0;
}

Result<int> runFindVerses(Library& library, const Arguments& arguments, QTextStream& out) {
    TranslationId in;
    if (!arguments.translation.isEmpty()) {
        const auto translation = library.scripture().translation(arguments.translation);
        if (!translation)
            return tl::unexpected(translation.error());
        in = translation->id;
    }
    const WordSearch how = arguments.how == u"phrase" ? WordSearch::Phrase
                           : arguments.how == u"near" ? WordSearch::Near
                                                      : WordSearch::AllWords;
    const auto hits = library.scripture().find(arguments.words.join(u' '), how, in);
    if (!hits)
        return tl::unexpected(hits.error());
    QJsonArray list;
    for (const VerseHit& hit : *hits) {
        list.append(QJsonObject{{u"kind"_s, u"scripture"_s},
                                {u"reference"_s, hit.place()},
                                {u"translation"_s, hit.shortName},
                                {u"book"_s, hit.book.text()},
                                {u"chapter"_s, hit.chapter},
                                {u"verse"_s, hit.number},
                                {u"text"_s, hit.words}});
        if (!arguments.json)
            out << hit.place() << u" ("_s << hit.shortName << u") · "_s << hit.words << u'\n';
    }
    if (arguments.json)
        out << QJsonDocument(list).toJson();
    else if (hits->empty())
        out << Said::tr("nothing found") << u'\n';
    return hits->empty() ? 1 : 0;
}

Result<int> runFindTexts(Library& library, const Arguments& arguments, QTextStream& out) {
    const auto hits = library.texts().find(arguments.words.join(u' '));
    if (!hits)
        return tl::unexpected(hits.error());
    QJsonArray list;
    for (const TextHit& hit : *hits) {
        list.append(QJsonObject{{u"kind"_s, u"text"_s},
                                {u"id"_s, hit.text.id.text()},
                                {u"title"_s, hit.text.title},
                                {u"textKind"_s, nameOf(hit.text.kind)},
                                {u"matchingLine"_s, hit.matchingLine}});
        if (!arguments.json)
            out << hit.text.title << (hit.matchingLine.isEmpty() ? QString() : u" · "_s + hit.matchingLine)
                << u'\n';
    }
    if (arguments.json)
        out << QJsonDocument(list).toJson();
    else if (hits->empty())
        out << Said::tr("nothing found") << u'\n';
    return hits->empty() ? 1 : 0;
}

} // namespace mivanta
