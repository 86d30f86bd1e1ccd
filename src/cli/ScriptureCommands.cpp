// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/ScriptureCommands.h"
#include "core/base/Fold.h"
#include "core/scripture/ReferenceParser.h"
#include "formats/PassageJson.h"
#include "formats/ScriptureReader.h"
#include <QFileInfo>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// The layout that words in an order ask for; false when they ask for none.
bool readLayout(const QString& words, PassageLayout& layout) {
    if (words == u"running")
        layout.flow = PassageFlow::Running;
    else if (words == u"a verse a line")
        layout.flow = PassageFlow::VerseALine;
    else if (words == u"a verse a slide")
        layout.flow = PassageFlow::VerseASlide;
    else if (words == u"no numbers")
        layout.numbers = VerseNumbers::None;
    else if (words == u"inline numbers")
        layout.numbers = VerseNumbers::Inline;
    else if (words == u"reference under the words")
        layout.referencePlace = ReferencePlace::BesideWords;
    else
        return false;
    return true;
}

Error problemOf(const Understanding& understood, const QString& typed) {
    switch (understood.state) {
    case ReferenceState::NotOne:
        return {u"\u201c%1\u201d does not begin with the name of a book"_s.arg(typed),
                {},
                u"Write it as Luke 5:1-11."_s};
    case ReferenceState::Unfinished:
        return {u"\u201c%1\u201d is not finished: %2"_s.arg(typed, understood.help),
                {},
                u"Write it as Luke 5:1-11."_s};
    default:
        return understood.problem;
    }
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
        out << u"left out: %1%2: %3\n"_s.arg(
            damage.file, damage.line > 0 ? u", line %1"_s.arg(damage.line) : QString(), damage.text);
    for (const UnnamedBook& book : text.unnamed)
        out << u"not known: the book \u201c%1\u201d (line %2, %3 verses)\n"_s.arg(book.name)
                   .arg(book.line)
                   .arg(book.verses.size());
    for (const QString& place : missing)
        out << u"not there: %1\n"_s.arg(place);
}

} // namespace

Result<int> runImportTranslation(Library& library, const Arguments& arguments, QTextStream& out) {
    auto text = readTranslation(arguments.words.first());
    if (!text)
        return tl::unexpected(text.error());
    if (!arguments.translation.isEmpty())
        text->details.shortName = arguments.translation;
    if (text->needsAPerson() && !arguments.asItIs) {
        tellReview(*text, arguments.json, out);
        return failure(u"not all of this can be read; nothing was changed"_s, arguments.words.first(),
                       u"Say --as-it-is to bring in the %1 verses that can."_s.arg(text->verseCount()));
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
            out << warning.file << (warning.line > 0 ? u", line %1"_s.arg(warning.line) : QString())
                << u": "_s << warning.text << u'\n';
    }
    if (arguments.json)
        out << QJsonDocument(QJsonObject{{u"translation"_s, stored->shortName},
                                         {u"name"_s, stored->name},
                                         {u"books"_s, int(text->books.size())},
                                         {u"verses"_s, text->verseCount()},
                                         {u"warnings"_s, warnings}})
                   .toJson();
    else
        out << u"%1 (%2): %3 books, %4 verses\n"_s.arg(stored->name, stored->shortName)
                   .arg(text->books.size())
                   .arg(text->verseCount());
    return 0;
}

Result<int> runImportTexts(Library& library, const Arguments& arguments, QTextStream& out) {
    QJsonArray list;
    bool refused = false;
    for (const TextImport& entry : library.texts().import(arguments.words)) {
        refused = refused || entry.outcome == ImportOutcome::Refused;
        QJsonObject json{
            {u"file"_s, entry.file}, {u"outcome"_s, outcomeName(entry.outcome)}, {u"title"_s, entry.title}};
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
            out << u"Note: "_s << note << u'\n';
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
        out << u"nothing found\n"_s;
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
                                {u"textKind"_s, textKindName(hit.text.kind).toLower()},
                                {u"matchingLine"_s, hit.matchingLine}});
        if (!arguments.json)
            out << hit.text.title << (hit.matchingLine.isEmpty() ? QString() : u" · "_s + hit.matchingLine)
                << u'\n';
    }
    if (arguments.json)
        out << QJsonDocument(list).toJson();
    else if (hits->empty())
        out << u"nothing found\n"_s;
    return hits->empty() ? 1 : 0;
}

Result<std::optional<Passage>> passageFromLine(Library& library, const QString& line) {
    const auto known = library.scripture().translations();
    if (!known)
        return tl::unexpected(known.error());
    if (known->empty())
        return std::nullopt;
    const QStringList pieces = line.split(u'|');
    PassageLayout layout;
    std::vector<TranslationId> ids;
    for (const QString& piece : pieces.mid(1)) {
        if (readLayout(piece.trimmed().toLower(), layout))
            continue;
        for (const QString& code : piece.split(u',')) {
            const auto translation = library.scripture().translation(code.trimmed());
            if (!translation)
                return tl::unexpected(translation.error());
            ids.push_back(translation->id);
        }
    }
    if (ids.empty())
        ids.push_back(known->front().translation.id);
    if (ids.size() > 2)
        return failure(u"a passage can stand in two translations at most"_s, {}, u"Take one of them out."_s);
    const auto outline = library.scripture().outline(ids.front());
    if (!outline)
        return tl::unexpected(outline.error());
    const Understanding understood = understandReference(pieces.first(), *outline);
    if (understood.state != ReferenceState::Understood) {
        if (pieces.size() > 1)
            return tl::unexpected(problemOf(understood, pieces.first()));
        return std::nullopt;
    }
    auto passage = library.scripture().passage(ids, understood.reference, layout);
    if (!passage)
        return tl::unexpected(passage.error());
    return std::optional(std::move(*passage));
}

Result<std::optional<SpokenText>> textOfTitle(Library& library, const QString& title) {
    const auto hits = library.texts().find(title);
    if (!hits)
        return tl::unexpected(hits.error());
    const QString key = foldedForSearch(title).trimmed();
    for (const TextHit& hit : *hits)
        if (foldedForSearch(hit.text.title).trimmed() == key) {
            auto text = library.texts().text(hit.text.id);
            if (!text)
                return tl::unexpected(text.error());
            return std::optional(std::move(*text));
        }
    return std::nullopt;
}

} // namespace mivanta
