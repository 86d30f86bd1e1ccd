// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/WordsEdit.h"
#include "core/song/Chords.h"
#include <QRegularExpression>
#include <algorithm>
#include <map>
#include <optional>

namespace mivanta {

namespace {

/// What stands before a line: the start of a part, a break, a comment.
struct LineStart {
    std::optional<Part> part; ///< without its lines
    bool breakBefore = false;
    QString comment;
};

/// A song's words as one text, with everything else at an offset into it.
struct FlatWords {
    QString text;
    std::vector<unsigned char> weights; ///< one a character
    std::vector<ChordMark> chords;      ///< by rising offset
    std::map<int, LineStart> starts;    ///< by the offset of the line
};

FlatWords flattened(const std::vector<Part>& parts, int firstPart, int lastPart) {
    FlatWords flat;
    bool first = true;
    for (int p = firstPart; p <= lastPart; ++p) {
        const Part& part = parts[size_t(p)];
        for (size_t l = 0; l < part.lines.size(); ++l) {
            const Line& line = part.lines[l];
            if (!std::exchange(first, false)) {
                flat.text += u'\n';
                flat.weights.push_back(0);
            }
            const int offset = int(flat.text.size());
            LineStart start{std::nullopt, line.breakBefore, line.comment};
            if (l == 0) {
                start.part = part;
                start.part->lines.clear();
            }
            flat.starts.emplace(offset, std::move(start));
            for (const ChordMark& chord : line.chords)
                flat.chords.push_back({offset + chord.position, chord.name});
            const auto weights = weightsOf(line);
            flat.weights.insert(flat.weights.end(), weights.begin(), weights.end());
            flat.text += line.words;
        }
    }
    return flat;
}

std::vector<Part> parted(const FlatWords& flat) {
    std::vector<Part> parts;
    auto chord = flat.chords.begin();
    int offset = 0;
    for (const QString& words : flat.text.split(u'\n')) {
        Line line;
        line.words = words;
        const auto start = flat.starts.find(offset);
        if (start != flat.starts.end()) {
            line.breakBefore = start->second.breakBefore;
            line.comment = start->second.comment;
            if (start->second.part)
                parts.push_back(*start->second.part);
        }
        const int end = offset + int(words.size());
        for (; chord != flat.chords.end() && chord->position <= end; ++chord)
            line.chords.push_back({chord->position - offset, chord->name});
        setWeights(line, {flat.weights.begin() + offset, flat.weights.begin() + end});
        if (parts.back().lines.empty())
            line.breakBefore = false;
        parts.back().lines.push_back(std::move(line));
        offset = end + 1;
    }
    return parts;
}

bool isLineEnd(const QString& text, int offset) {
    return offset >= text.size() || text[offset] == u'\n';
}

/// Where a chord goes, or nothing when it goes with the words that are removed.
std::optional<int> movedChord(int offset, const QString& text, int at, int removed, int inserted) {
    if (offset < at)
        return offset;
    if (offset > at + removed || (offset == at + removed && removed > 0))
        return offset + inserted - removed;
    if (removed == 0) // it stands over the letter behind it; at the end of a line it stays where it is
        return isLineEnd(text, offset) ? offset : offset + inserted;
    if (QStringView(text).mid(at, removed).contains(u'\n')) {
        // Where the line ends there now, the chord stands at its end, as it may have before.
        const bool endsLine = offset == at && isLineEnd(text, at + removed);
        return endsLine ? std::optional(at) : std::nullopt;
    }
    if (offset == at)
        return at;
    if (inserted == 0)
        return std::nullopt;
    return at + (offset - at) * inserted / removed;
}

void replaceFlat(FlatWords& flat, int at, int removed, const QString& inserted) {
    const int by = int(inserted.size());
    std::vector<ChordMark> chords;
    for (ChordMark& chord : flat.chords)
        if (const auto to = movedChord(chord.position, flat.text, at, removed, by))
            chords.push_back({*to, std::move(chord.name)});
    flat.chords = std::move(chords);

    std::map<int, LineStart> starts;
    for (auto& [offset, start] : flat.starts)
        if (offset <= at)
            starts.emplace(offset, std::move(start));
        else if (offset > at + removed)
            starts.emplace(offset + by - removed, std::move(start));
    flat.starts = std::move(starts);

    // What is typed between two letters of the same weight has that weight too, as has what replaces.
    const auto weightAt = [&](int i) {
        return i < 0 || i >= int(flat.weights.size()) || flat.text[i] == u'\n' ? 0
                                                                               : int(flat.weights[size_t(i)]);
    };
    const int weight = removed > 0 ? weightAt(at) : weightAt(at - 1) & weightAt(at);
    const auto first = flat.weights.begin() + at;
    flat.weights.erase(first, first + removed);
    std::vector<unsigned char> typed;
    for (const QChar c : inserted)
        typed.push_back(c == u'\n' ? 0 : static_cast<unsigned char>(weight));
    flat.weights.insert(flat.weights.begin() + at, typed.begin(), typed.end());
    flat.text.replace(at, removed, inserted);
}

int lengthOf(const Part& part) {
    int length = int(part.lines.size()) - 1;
    for (const Line& line : part.lines)
        length += int(line.words.size());
    return length;
}

} // namespace

void giveEveryPartALine(std::vector<Part>& parts) {
    for (Part& part : parts)
        if (part.lines.empty())
            part.lines.emplace_back();
}

QString flatText(const std::vector<Part>& parts) {
    QStringList lines;
    for (const Part& part : parts)
        for (const Line& line : part.lines)
            lines << line.words;
    return lines.join(u'\n');
}

WordsPlace placeAt(const std::vector<Part>& parts, int offset) {
    WordsPlace last;
    for (int p = 0; p < int(parts.size()); ++p)
        for (int l = 0; l < int(parts[size_t(p)].lines.size()); ++l) {
            const int length = int(parts[size_t(p)].lines[size_t(l)].words.size());
            if (offset <= length)
                return {p, l, std::max(0, offset)};
            offset -= length + 1;
            last = {p, l, length};
        }
    return last;
}

int offsetOf(const std::vector<Part>& parts, const WordsPlace& place) {
    int offset = 0;
    for (int p = 0; p < int(parts.size()); ++p)
        for (int l = 0; l < int(parts[size_t(p)].lines.size()); ++l) {
            if (p == place.part && l == place.line)
                return offset + place.column;
            offset += int(parts[size_t(p)].lines[size_t(l)].words.size()) + 1;
        }
    return std::max(0, offset - 1);
}

void replaceText(std::vector<Part>& parts, int at, int removed, const QString& inserted) {
    if (parts.empty())
        return;
    // Only the parts that the edit touches are taken apart: a keystroke costs the same in a long song.
    int first = 0;
    int before = 0; // offset of the first part touched
    while (first + 1 < int(parts.size()) && before + lengthOf(parts[size_t(first)]) < at) {
        before += lengthOf(parts[size_t(first)]) + 1;
        ++first;
    }
    int last = first;
    int end = before + lengthOf(parts[size_t(first)]);
    while (last + 1 < int(parts.size()) && end < at + removed)
        end += lengthOf(parts[size_t(++last)]) + 1;

    at = std::clamp(at - before, 0, end - before);
    removed = std::clamp(removed, 0, end - before - at);
    FlatWords flat = flattened(parts, first, last);
    replaceFlat(flat, at, removed, inserted);
    auto changed = parted(flat);
    parts.erase(parts.begin() + first, parts.begin() + last + 1);
    parts.insert(parts.begin() + first, std::make_move_iterator(changed.begin()),
                 std::make_move_iterator(changed.end()));
}

void setChord(Line& line, int column, const QString& name) {
    std::erase_if(line.chords, [&](const ChordMark& chord) { return chord.position == column; });
    if (name.isEmpty())
        return;
    const auto behind = std::find_if(line.chords.begin(), line.chords.end(),
                                     [&](const ChordMark& chord) { return chord.position > column; });
    line.chords.insert(behind, {column, name});
}

void takeChordOutOfBrackets(std::vector<Part>& parts, int offset) {
    static const QRegularExpression bracket(QStringLiteral("\\[([^\\[\\]]{1,12})\\]"));
    const WordsPlace place = placeAt(parts, offset);
    const QString words = parts[size_t(place.part)].lines[size_t(place.line)].words;
    for (auto at = bracket.globalMatch(words); at.hasNext();) {
        const auto match = at.next();
        const QString name = match.captured(1).trimmed();
        if (!isChord(name))
            continue;
        const int column = int(match.capturedStart());
        replaceText(parts, offsetOf(parts, {place.part, place.line, column}), int(match.capturedLength()),
                    {});
        setChord(parts[size_t(place.part)].lines[size_t(place.line)], column, name);
        return;
    }
}

void toggleBreak(std::vector<Part>& parts, const WordsPlace& place) {
    const auto lineAt = [&](int line) -> Line& { return parts[size_t(place.part)].lines[size_t(line)]; };
    const int length = int(lineAt(place.line).words.size());
    if (place.column > 0 && place.column < length) {
        replaceText(parts, offsetOf(parts, place), 0, QStringLiteral("\n"));
        while (lineAt(place.line + 1).words.startsWith(u' '))
            replaceText(parts, offsetOf(parts, {place.part, place.line + 1, 0}), 1, {});
        lineAt(place.line + 1).breakBefore = true;
        return;
    }
    const int line = place.column > 0 ? place.line + 1 : place.line;
    if (line > 0 && line < int(parts[size_t(place.part)].lines.size()))
        lineAt(line).breakBefore = !lineAt(line).breakBefore;
}

void toggleWeight(std::vector<Part>& parts, const WordsPlace& from, const WordsPlace& to, Weight weight) {
    for (int p = from.part; p <= to.part; ++p) {
        auto& lines = parts[size_t(p)].lines;
        const int first = p == from.part ? from.line : 0;
        const int last = p == to.part ? to.line : int(lines.size()) - 1;
        for (int l = first; l <= last; ++l)
            toggleWeight(lines[size_t(l)], p == from.part && l == from.line ? from.column : 0,
                         p == to.part && l == to.line ? to.column : int(lines[size_t(l)].words.size()),
                         weight);
    }
}

} // namespace mivanta
