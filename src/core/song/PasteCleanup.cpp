// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/PasteCleanup.h"
#include "core/base/Said.h"
#include "core/song/Chords.h"
#include "core/song/PartEdits.h"
#include "core/song/SheetHeadings.h"
#include "core/song/WholeText.h"
#include <QRegularExpression>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kTab = 8;

QString plainSigns(const QString& text, int& changed) {
    static const QHash<QChar, QString> plain{
        {QChar(0x2018), u"'"_s},    {QChar(0x2019), u"'"_s},    {QChar(0x201b), u"'"_s},
        {QChar(0x201c), u"\""_s},   {QChar(0x201d), u"\""_s},   {QChar(0x2026), u"..."_s},
        {QChar(0xfb00), u"ff"_s},   {QChar(0xfb01), u"fi"_s},   {QChar(0xfb02), u"fl"_s},
        {QChar(0xfb03), u"ffi"_s},  {QChar(0xfb04), u"ffl"_s},  {QChar(0x00ad), QString()},
        {QChar(0x200b), QString()}, {QChar(0x2060), QString()}, {QChar(0xfeff), QString()}};
    QString result;
    result.reserve(text.size());
    for (const QChar c : text) {
        const auto known = plain.constFind(c);
        if (known == plain.constEnd()) {
            result += c;
            continue;
        }
        result += *known;
        ++changed;
    }
    return result;
}

/// Tabs to columns of eight, other white space to plain spaces; ends trimmed. Counts what was stray.
QString plainSpaces(const QString& line, int& stray) {
    QString result;
    for (const QChar c : line) {
        if (c == u'\t') {
            do
                result += u' ';
            while (result.size() % kTab != 0);
        } else {
            stray += c.isSpace() && c != u' ' ? 1 : 0;
            result += c.isSpace() ? QChar(u' ') : c;
        }
    }
    const qsizetype before = result.size();
    while (result.endsWith(u' '))
        result.chop(1);
    stray += before > result.size() && !result.isEmpty() ? 1 : 0;
    return result;
}

QString withoutBullet(const QString& line, int& bullets) {
    static const QRegularExpression bullet(
        u"^(\\s*)(?:(?:> ?)+|[\u2022\u00b7\u25cf\u25aa\u2023*\u2013-]\\s+(?=\\S))"_s);
    const auto match = bullet.match(line);
    if (!match.hasMatch())
        return line;
    ++bullets;
    return match.captured(1) + line.mid(match.capturedLength());
}

/// Several stray spaces inside a line, which are no columns of chords.
QString withoutDoubled(const QString& line, int& stray) {
    static const QRegularExpression doubled(u"(?<=\\S) {2,}(?=\\S)"_s);
    QString result = line;
    stray += int(line.count(doubled));
    return result.replace(doubled, u" "_s).trimmed();
}

struct Block {
    std::optional<PartHeading> heading;
    QStringList lines;
};

Part partOf(const Block& block) {
    Part part;
    part.id = PartId::create();
    if (block.heading) {
        part.kind = block.heading->kind;
        part.number = block.heading->number;
        part.name = block.heading->name;
    }
    bool breakNext = false;
    for (const QString& text : block.lines) {
        if (text.isEmpty() || (text.size() >= 3 && text.count(u'-') == text.size())) {
            breakNext = !part.lines.empty();
            continue;
        }
        Line line = tidied(readMarkedLine(text, true));
        line.breakBefore = std::exchange(breakNext, false);
        part.lines.push_back(std::move(line));
    }
    part.bandOnly =
        (block.heading ? block.heading->bandOnly : std::nullopt).value_or(isBandOnlyByDefault(part));
    return part;
}

QString wordsOf(const Part& part) {
    QStringList words;
    for (const Line& line : part.lines)
        words << line.words.toLower();
    return words.join(u'\n');
}

/// Blocks of lines: at headings, and at blank lines where no heading stands above.
std::vector<Block> blocksOf(const QStringList& lines, bool& hasHeadings) {
    std::vector<Block> blocks;
    bool open = false;
    bool headed = false;
    for (qsizetype i = 0; i < lines.size(); ++i) {
        const QString line = lines[i].trimmed();
        const bool head = i == 0 || lines[i - 1].trimmed().isEmpty() || !open;
        if (const auto found = readSheetHeading(line, head, false)) {
            blocks.push_back(
                {found->heading, found->words.isEmpty() ? QStringList() : QStringList{found->words}});
            hasHeadings = open = true;
            headed = found->words.isEmpty();
            continue;
        }
        if (line.isEmpty()) {
            if (headed && !blocks.back().lines.isEmpty())
                blocks.back().lines << QString();
            else if (!headed)
                open = false;
            continue;
        }
        if (!open) {
            blocks.push_back({});
            open = true;
        }
        blocks.back().lines << lines[i];
    }
    for (Block& block : blocks)
        while (!block.lines.isEmpty() && block.lines.back().trimmed().isEmpty())
            block.lines.removeLast();
    return blocks;
}

/// The part's own number when no other of its name has it; else one that is free. Kinds that come once need
/// none.
int freeNumber(const Song& song, const Part& part) {
    int highest = 0;
    bool alone = true;
    bool taken = false;
    for (const Part& other : song.parts)
        if (other.kind == part.kind && other.name.compare(part.name, Qt::CaseInsensitive) == 0) {
            alone = false;
            taken = taken || other.number == part.number;
            highest = std::max(highest, std::max(1, other.number));
        }
    if (part.number > 0 && !taken)
        return part.number;
    return alone ? (part.kind == PartKind::Verse ? 1 : 0) : highest + 1;
}

} // namespace

std::optional<PartHeading> findHeading(const QString& line, bool mayBeBare) {
    static const QRegularExpression bracketed(u"^\\[([^\\]]+)\\]:?$"_s);
    static const QRegularExpression hashed(u"^#{1,6}\\s*(.+?)\\s*#*$"_s);
    static const QRegularExpression colon(u"^([^:]+):$"_s);
    for (const auto* marked : {&hashed, &bracketed, &colon}) {
        const auto match = marked->match(line);
        if (!match.hasMatch())
            continue;
        QString words = match.captured(1).trimmed();
        if (words.endsWith(u':'))
            words.chop(1);
        if (auto heading = readPartHeading(words))
            return heading;
        if (marked == &hashed)
            return readAnyHeading(words);
    }
    auto heading = readPartHeading(line);
    if (heading && (mayBeBare || heading->number > 0))
        return heading;
    return std::nullopt;
}

NumberedLines withChordsInWords(const QStringList& lines) {
    NumberedLines result;
    const auto add = [&](const QString& line, qsizetype from) {
        result.lines << line;
        result.from.push_back(int(from));
    };
    for (qsizetype i = 0; i < lines.size(); ++i) {
        const QString& chords = lines[i];
        if (!isChordLine(chords) || findHeading(chords.trimmed(), false)) {
            add(chords, i);
            continue;
        }
        const bool hasWords = i + 1 < lines.size() && !lines[i + 1].trimmed().isEmpty() &&
                              !isChordLine(lines[i + 1]) && !lines[i + 1].contains(u'[') &&
                              !findHeading(lines[i + 1].trimmed(), true);
        QString words = hasWords ? lines[++i] : QString();
        static const QRegularExpression word(u"\\S+"_s);
        std::vector<std::pair<qsizetype, QString>> marks;
        for (auto at = word.globalMatch(chords); at.hasNext();) {
            const auto match = at.next();
            if (isChord(match.captured()))
                marks.emplace_back(match.capturedStart(), u'[' + match.captured() + u']');
        }
        for (auto mark = marks.rbegin(); mark != marks.rend(); ++mark)
            words.insert(std::min(mark->first, words.size()), mark->second);
        result.joined += hasWords ? 1 : 0;
        add(words, i);
    }
    return result;
}

QString CleanedText::summary() const {
    QStringList removed;
    if (blankLines > 0)
        removed << Said::tr("%n blank lines", nullptr, blankLines);
    if (spaces > 0)
        removed << Said::tr("%n stray spaces", nullptr, spaces);
    if (bullets > 0)
        removed << Said::tr("%n bullets or quotation marks", nullptr, bullets);
    QStringList done;
    if (!removed.isEmpty())
        //: %1 is a list such as "2 blank lines and 3 stray spaces"; the number is how many things are gone in
        //: all
        done << Said::tr("%1 were removed", nullptr, blankLines + spaces + bullets).arg(Said::all(removed));
    if (signs > 0)
        done << Said::tr("%n typographic signs made plain", nullptr, signs);
    if (chordLines > 0)
        done << Said::tr("chords put over %n lines", nullptr, chordLines);
    if (hasHeadings)
        done << Said::tr("headings recognised");
    return done.join(u", "_s);
}

namespace {

/// Lines with plain signs and spaces, without list marks, no two blank ones behind each other.
QStringList plainLines(const QString& pasted, CleanedText& counts) {
    QString text = pasted;
    text.replace(u"\r\n"_s, u"\n"_s)
        .replace(u'\r', u'\n')
        .replace(QChar(0x2028), u'\n')
        .replace(QChar(0x2029), u'\n');
    QStringList lines;
    for (const QString& raw : plainSigns(text, counts.signs).split(u'\n')) {
        const QString line = withoutBullet(plainSpaces(raw, counts.spaces), counts.bullets);
        const bool blank = line.trimmed().isEmpty();
        if (blank && (lines.isEmpty() || lines.back().isEmpty())) {
            ++counts.blankLines;
            continue;
        }
        lines << (blank ? QString() : line);
    }
    return lines;
}

} // namespace

QString plainText(const QString& pasted) {
    CleanedText counts;
    return plainLines(pasted, counts).join(u'\n');
}

CleanedText cleanedUp(const QString& pasted) {
    CleanedText result;
    QStringList lines = plainLines(pasted, result);
    if (pasted.endsWith(u'\n') && result.blankLines > 0 && lines.isEmpty())
        result.blankLines = 0; // nothing but line ends
    while (!lines.isEmpty() && lines.back().isEmpty()) {
        lines.removeLast();
        ++result.blankLines;
    }
    if (pasted.endsWith(u'\n') && result.blankLines > 0)
        --result.blankLines; // the end of the last line is no blank line
    const NumberedLines joined = withChordsInWords(lines);
    result.chordLines = joined.joined;
    lines = joined.lines;
    for (QString& line : lines)
        line = withoutDoubled(line, result.spaces);
    const std::vector<Block> blocks = blocksOf(lines, result.hasHeadings);
    for (const Block& block : blocks) {
        const auto again = std::count_if(blocks.begin(), blocks.end(), [&](const Block& other) {
            return !other.heading && other.lines == block.lines;
        });
        result.parts.push_back(partOf(block));
        if (!block.heading && again > 1)
            result.parts.back().kind = PartKind::Chorus;
    }
    return result;
}

WordsPlace pasteInto(Song& song, const WordsPlace& place, int selected, const CleanedText& text) {
    if (text.parts.empty())
        return place;
    giveEveryPartALine(song.parts);
    if (song.parts.empty())
        addPart(song, 0, PartKind::Verse);
    const int at = offsetOf(song.parts, place);
    if (selected > 0)
        replaceText(song.parts, at, selected, {});
    WordsPlace here = placeAt(song.parts, at);
    if (text.parts.size() == 1 && !text.hasHeadings) {
        // Into the words: as plain text, then the chords, breaks and weights of each line.
        const std::vector<Line>& lines = text.parts.front().lines;
        QStringList words;
        for (const Line& line : lines)
            words << line.words;
        const QString inserted = words.join(u'\n');
        replaceText(song.parts, at, 0, inserted);
        for (int i = 0; i < int(lines.size()); ++i) {
            Line& into = song.parts[size_t(here.part)].lines[size_t(here.line + i)];
            const int shift = i == 0 ? here.column : 0;
            for (const ChordMark& chord : lines[size_t(i)].chords)
                into.chords.push_back({chord.position + shift, chord.name});
            std::stable_sort(into.chords.begin(), into.chords.end(),
                             [](const ChordMark& a, const ChordMark& b) { return a.position < b.position; });
            for (const Emphasis& e : lines[size_t(i)].emphasis)
                into.emphasis.push_back({e.from + shift, e.to + shift, e.bold, e.italic});
            into.breakBefore = into.breakBefore || (lines[size_t(i)].breakBefore && here.line + i > 0);
        }
        return placeAt(song.parts, at + int(inserted.size()));
    }

    const Part& current = song.parts[size_t(here.part)];
    const bool replaces = current.lines.size() == 1 && current.lines.front().words.isEmpty() &&
                          current.lines.front().chords.empty();
    int into = here.part + 1;
    if (replaces) {
        into = here.part;
        removePart(song, here.part);
    }
    std::vector<SungPart> order;
    QHash<QString, PartId> known;
    int last = into - 1;
    for (const Part& part : text.parts) {
        const QString words = wordsOf(part);
        const auto again = std::find_if(song.parts.begin(), song.parts.end(), [&](const Part& p) {
            return words.isEmpty() ? p.key() == part.key() || (p.kind == part.kind && part.number == 0)
                                   : known.contains(words) && known.value(words) == p.id;
        });
        if (again != song.parts.end()) { // sung again
            order.push_back({again->id, 1, {}});
            continue;
        }
        Part added = part;
        added.number = freeNumber(song, part);
        known.insert(words, added.id);
        order.push_back({added.id, 1, {}});
        song.parts.insert(song.parts.begin() + ++last, std::move(added));
    }
    giveEveryPartALine(song.parts);
    const bool repeats = size_t(known.size()) < order.size();
    if (repeats && song.singingOrder.empty()) {
        for (const Part& part : song.parts) // parts that stood before come first
            if (std::none_of(order.begin(), order.end(),
                             [&](const SungPart& s) { return s.part == part.id; }))
                song.singingOrder.push_back({part.id, 1, {}});
        song.singingOrder.insert(song.singingOrder.end(), order.begin(), order.end());
    }
    const Part& end = song.parts[size_t(std::max(0, last))];
    return {std::max(0, last), int(end.lines.size()) - 1, int(end.lines.back().words.size())};
}

} // namespace mivanta
