// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/ImportCommand.h"
#include "core/base/Said.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <array>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr std::array<const char*, 8> kFindings{
    QT_TRANSLATE_NOOP("Said", "new"),          QT_TRANSLATE_NOOP("Said", "same"),
    QT_TRANSLATE_NOOP("Said", "in bin"),       QT_TRANSLATE_NOOP("Said", "newer file"),
    QT_TRANSLATE_NOOP("Said", "both changed"), QT_TRANSLATE_NOOP("Said", "same words"),
    QT_TRANSLATE_NOOP("Said", "same title"),   QT_TRANSLATE_NOOP("Said", "unreadable")};

QLatin1String keyOf(ImportFinding finding) { // in JSON
    return QLatin1String(kFindings[size_t(finding)]);
}

QString textOf(const ReadWarning& warning) {
    return Said::tr("line %1: %2").arg(QString::number(warning.line), warning.text);
}

int look(Library& library, const Arguments& arguments, QTextStream& out) {
    QJsonArray list;
    bool readable = true;
    for (const ImportCandidate& candidate : library.lookAtImport(arguments.words)) {
        const bool isSong = candidate.finding != ImportFinding::Unreadable;
        readable = readable && isSong;
        QJsonObject json{{u"file"_s, candidate.file}, {u"finding"_s, keyOf(candidate.finding)}};
        QStringList line{Said::tr(kFindings[size_t(candidate.finding)]) + u": "_s + candidate.file};
        if (isSong) {
            json.insert(u"title"_s, candidate.song.title);
            json.insert(u"parts"_s, int(candidate.song.parts.size()));
            line << candidate.song.title;
        } else {
            json.insert(u"reason"_s, candidate.problem);
            line << candidate.problem;
        }
        if (candidate.other) {
            json.insert(u"other"_s, QJsonObject{{u"id"_s, candidate.other->id.text()},
                                                {u"title"_s, candidate.other->title}});
            line << Said::tr("like \"%1\"").arg(candidate.other->title);
        }
        QJsonArray warnings;
        for (const ReadWarning& warning : candidate.warnings) {
            warnings.append(QJsonObject{{u"line"_s, warning.line}, {u"text"_s, warning.text}});
            line << textOf(warning);
        }
        json.insert(u"warnings"_s, warnings);
        list.append(json);
        if (!arguments.json)
            out << line.join(u" · "_s) << u'\n';
    }
    if (arguments.json)
        out << QJsonDocument(list).toJson();
    return readable ? 0 : 1;
}

std::vector<ImportEntry> bringIn(Library& library, const Arguments& arguments) {
    if (arguments.twins.isEmpty())
        return library.import(arguments.words);
    const ImportDecision decision = arguments.twins == u"keep"      ? ImportDecision::Add
                                    : arguments.twins == u"replace" ? ImportDecision::Replace
                                    : arguments.twins == u"merge"   ? ImportDecision::MergeDetails
                                                                    : ImportDecision::LeaveOut;
    auto candidates = library.lookAtImport(arguments.words);
    for (ImportCandidate& candidate : candidates)
        if (isDoubtful(candidate.finding))
            candidate.decision = decision;
    return library.bringIn(std::move(candidates));
}

} // namespace

int runImport(Library& library, const Arguments& arguments, QTextStream& out) {
    if (arguments.look)
        return look(library, arguments, out);
    int counts[kImportOutcomes]{};
    QJsonArray list;
    for (const ImportEntry& entry : bringIn(library, arguments)) {
        ++counts[int(entry.outcome)];
        QJsonObject json{{u"file"_s, entry.file}, {u"outcome"_s, outcomeKey(entry.outcome)}};
        if (!entry.title.isEmpty())
            json.insert(u"title"_s, entry.title);
        if (!entry.song.isNull())
            json.insert(u"id"_s, entry.song.text());
        if (entry.line > 0)
            json.insert(u"line"_s, entry.line);
        if (!entry.reason.isEmpty())
            json.insert(u"reason"_s, entry.reason);
        list.append(json);
        if (!arguments.json && (entry.outcome != ImportOutcome::Unchanged || !entry.reason.isEmpty()))
            out << outcomeName(entry.outcome) << u": "_s << entry.file
                << (entry.title.isEmpty() ? QString() : u" · "_s + entry.title)
                << (entry.reason.isEmpty() ? QString() : u" · "_s + entry.reason) << u'\n';
    }
    const auto count = [&](ImportOutcome outcome) { return counts[int(outcome)]; };
    if (arguments.json)
        out << QJsonDocument(QJsonObject{{u"added"_s, count(ImportOutcome::Added)},
                                         {u"changed"_s, count(ImportOutcome::Changed)},
                                         {u"unchanged"_s, count(ImportOutcome::Unchanged)},
                                         {u"refused"_s, count(ImportOutcome::Refused)},
                                         {u"leftOut"_s, count(ImportOutcome::LeftOut)},
                                         {u"entries"_s, list}})
                   .toJson();
    else
        out << Said::tr("%1 added, %2 changed, %3 unchanged, %4 refused, %5 left out\n")
                   .arg(count(ImportOutcome::Added))
                   .arg(count(ImportOutcome::Changed))
                   .arg(count(ImportOutcome::Unchanged))
                   .arg(count(ImportOutcome::Refused))
                   .arg(count(ImportOutcome::LeftOut));
    return count(ImportOutcome::Refused) > 0 ? 1 : 0;
}

} // namespace mivanta
