// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SheetHeadings.h"
#include "core/song/PasteCleanup.h"
#include <QHash>
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kMostWritten = 9; ///< times that a "(9x)" may ask for

/// "2x", "x2", "×2", "twice", "repeat"; 0 = none of them.
int timesOf(const QString& text) {
    static const QRegularExpression figure(
        u"^(?:(\\d)\\s*[x\u00d7]|[x\u00d7]\\s*(\\d)|(\\d)\\s*(?:times|mal|fois|veces))$"_s,
        QRegularExpression::CaseInsensitiveOption);
    static const QHash<QString, int> words{{u"twice"_s, 2}, {u"repeat"_s, 2},      {u"bis"_s, 2},
                                           {u"again"_s, 2}, {u"three times"_s, 3}, {u"zweimal"_s, 2}};
    const QString plain = text.trimmed();
    const auto match = figure.match(plain);
    if (!match.hasMatch())
        return words.value(plain.toLower(), 0);
    for (int group = 1; group <= 3; ++group)
        if (!match.captured(group).isEmpty())
            return std::clamp(match.captured(group).toInt(), 0, kMostWritten);
    return 0;
}

/// Takes "(2x)", "[x2]" or, behind a heading, a bare "x2" off the end.
int takeTimes(QString& text, bool mayBeBare) {
    static const QRegularExpression bracketed(u"\\s*[(\\[]([^()\\[\\]]{1,12})[)\\]]\\s*$"_s);
    static const QRegularExpression bare(u"\\s+((?:\\d\\s*[x\u00d7]|[x\u00d7]\\s*\\d)|twice)\\s*$"_s,
                                         QRegularExpression::CaseInsensitiveOption);
    for (const auto* shape : {&bracketed, &bare}) {
        if (shape == &bare && !mayBeBare)
            continue;
        const auto match = shape->match(text);
        if (const int times = match.hasMatch() ? timesOf(match.captured(1)) : 0; times > 1) {
            text = text.left(match.capturedStart());
            return times;
        }
    }
    return 1;
}

/// Short and spoken forms: "Ref.", "V2", "Verse two", "2nd verse".
std::optional<PartHeading> shortHeading(const QString& words) {
    static const QHash<QString, PartKind> kinds{
        {u"v"_s, PartKind::Verse},      {u"vs"_s, PartKind::Verse},     {u"vers"_s, PartKind::Verse},
        {u"str"_s, PartKind::Verse},    {u"c"_s, PartKind::Chorus},     {u"ch"_s, PartKind::Chorus},
        {u"chor"_s, PartKind::Chorus},  {u"ref"_s, PartKind::Chorus},   {u"refr"_s, PartKind::Chorus},
        {u"r"_s, PartKind::Chorus},     {u"b"_s, PartKind::Bridge},     {u"br"_s, PartKind::Bridge},
        {u"pc"_s, PartKind::PreChorus}, {u"pre"_s, PartKind::PreChorus}};
    static const QRegularExpression shape(u"^(\\p{L}{1,4})\\.?\\s*(\\d{1,2})?\\.?$"_s);
    static const QRegularExpression spoken(u"^(\\p{L}+)\\s+(\\p{L}+)$"_s);
    static const QHash<QString, int> numbers{
        {u"one"_s, 1},   {u"two"_s, 2},    {u"three"_s, 3}, {u"four"_s, 4},   {u"five"_s, 5},  {u"six"_s, 6},
        {u"first"_s, 1}, {u"second"_s, 2}, {u"third"_s, 3}, {u"fourth"_s, 4}, {u"fifth"_s, 5}, {u"i"_s, 1},
        {u"ii"_s, 2},    {u"iii"_s, 3},    {u"iv"_s, 4},    {u"v"_s, 5},      {u"last"_s, 0}};
    if (const auto match = shape.match(words); match.hasMatch())
        if (const auto kind = kinds.constFind(match.captured(1).toLower()); kind != kinds.constEnd())
            return PartHeading{*kind, match.captured(2).toInt(), {}, {}};
    static const QRegularExpression ordinal(u"^(\\d{1,2})(?:st|nd|rd|th|\\.)\\s+(\\p{L}+)$"_s);
    if (const auto match = ordinal.match(words); match.hasMatch())
        if (auto heading = readPartHeading(match.captured(2))) {
            heading->number = match.captured(1).toInt();
            return heading;
        }
    if (const auto match = spoken.match(words.toLower()); match.hasMatch())
        for (const auto& [name, number] : {std::pair(1, 2), std::pair(2, 1)})
            if (auto heading = readPartHeading(match.captured(name));
                heading && numbers.contains(match.captured(number))) {
                heading->number = numbers.value(match.captured(number));
                return heading;
            }
    return std::nullopt;
}

/// What is named to be sung again: "Repeat chorus", "Chorus again", "Back to verse 1".
std::optional<PartHeading> namedAgain(const QString& words) {
    static const QRegularExpression before(u"^(?:repeat|back to|rep\\.?|wdh\\.?|sing)\\s+(?:the\\s+)?(.+)$"_s,
                                           QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression behind(u"^(.+?)\\s+(?:again|repeats?)$"_s,
                                           QRegularExpression::CaseInsensitiveOption);
    for (const auto* shape : {&before, &behind})
        if (const auto match = shape->match(words); match.hasMatch())
            if (auto heading = readPartHeading(match.captured(1)))
                return heading;
    return std::nullopt;
}

QString withoutMarks(const QString& line) {
    static const QRegularExpression around(
        u"^(?:\\*{1,2}|_{1,2}|[-\u2013=~<{(\\[]+\\s*)(.+?)(?:\\*{1,2}|_{1,2}|\\s*[-\u2013=~>})\\]]+)(:?)$"_s);
    const auto match = around.match(line);
    return match.hasMatch() ? match.captured(1).trimmed() : line;
}

std::optional<SheetHeading> wholeLine(const QString& line, bool isHead) {
    QString rest = line;
    SheetHeading found;
    found.times = takeTimes(rest, true);
    const QString bare = withoutMarks(rest.trimmed());
    const bool isMarked = bare != rest.trimmed() || bare.endsWith(u':') || found.times > 1;
    QString name = bare;
    found.times = std::max(found.times, takeTimes(name, true));
    if (name.endsWith(u':') || name.endsWith(u'.'))
        name.chop(1);
    name = name.trimmed();
    if (const auto again = namedAgain(name)) {
        found.heading = *again;
        return found;
    }
    if (const auto heading = readPartHeading(name); heading && (isHead || isMarked || heading->number > 0)) {
        found.heading = *heading;
        return found;
    }
    const auto short_ = shortHeading(name);
    const bool isLong = short_ && name.size() > 2;
    if (short_ && (isMarked || (isHead && (short_->number > 0 || isLong)))) {
        found.heading = *short_;
        return found;
    }
    return std::nullopt;
}

/// "Ref.: words", "V1: words", "2. words".
std::optional<SheetHeading> withWords(const QString& line, bool isHead) {
    static const QRegularExpression named(u"^([\\p{L}\\d. -]{1,18}?)\\s?:\\s+(\\S.*)$"_s);
    static const QRegularExpression shortNamed(u"^(ref\\.|refr\\.|chor\\.)\\s+(\\S.*)$"_s,
                                               QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression numbered(u"^\\(?(\\d{1,2})(?:[.):/]|\\s[-\u2013])\\s+(\\S.*)$"_s);
    if (!isHead)
        return std::nullopt;
    for (const auto* shape : {&named, &shortNamed})
        if (const auto match = shape->match(line); match.hasMatch()) {
            QString name = match.captured(1).trimmed();
            if (name.endsWith(u'.'))
                name.chop(1);
            auto heading = readPartHeading(name);
            if (!heading)
                heading = shortHeading(name);
            if (heading)
                return SheetHeading{*heading, 1, match.captured(2)};
        }
    if (const auto match = numbered.match(line); match.hasMatch())
        return SheetHeading{{PartKind::Verse, match.captured(1).toInt(), {}, {}}, 1, match.captured(2)};
    static const QRegularExpression number(u"^\\(?(\\d{1,2})[.):]$"_s);
    if (const auto match = number.match(line); match.hasMatch())
        return SheetHeading{{PartKind::Verse, match.captured(1).toInt(), {}, {}}, 1, {}};
    return std::nullopt;
}

} // namespace

std::optional<SheetHeading> readSheetHeading(const QString& line, bool isHead, bool writtenOnly) {
    if (const auto heading = findHeading(line, isHead))
        return SheetHeading{*heading, 1, {}, line.startsWith(u'#')};
    if (writtenOnly)
        return std::nullopt;
    if (auto heading = wholeLine(line, isHead))
        return heading;
    return withWords(line, isHead);
}

int repeatAlone(const QString& line) {
    return std::max(1, timesOf(withoutMarks(line)));
}

RepeatedLine repeatAtEnd(const QString& line) {
    RepeatedLine result{line, 1};
    result.times = takeTimes(result.words, false);
    result.words = result.words.trimmed();
    return result.words.isEmpty() ? RepeatedLine{line, 1} : result;
}

} // namespace mivanta
