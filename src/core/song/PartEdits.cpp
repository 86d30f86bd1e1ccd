// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/PartEdits.h"
#include "core/base/Said.h"
#include "core/song/Emphasis.h"
#include <algorithm>

namespace mivanta {

namespace {

bool holds(const Song& song, int index) {
    return index >= 0 && index < int(song.parts.size());
}

bool sameFamily(const Part& a, const Part& b) {
    return a.kind == b.kind && a.name.compare(b.name, Qt::CaseInsensitive) == 0;
}

/// Numbers the parts of one family in the order in which they stand.
void renumber(Song& song, const Part& family) {
    std::vector<Part*> members;
    for (Part& part : song.parts)
        if (sameFamily(part, family))
            members.push_back(&part);
    const bool numbered = members.size() > 1 || family.kind == PartKind::Verse;
    for (size_t i = 0; i < members.size(); ++i)
        members[i]->number = numbered ? int(i) + 1 : 0;
}

template <typename Change>
void changeOrders(Song& song, Change change) {
    change(song.singingOrder);
    for (NamedOrder& order : song.otherOrders)
        change(order.entries);
}

void addComment(Part& part, const QString& comment) {
    part.comment += (part.comment.isEmpty() ? QString() : QStringLiteral("; ")) + comment;
}

void insertCopyAfter(Song& song, int index, Part part) {
    song.parts.insert(song.parts.begin() + index + 1, std::move(part));
    const Part family = song.parts[size_t(index)];
    renumber(song, family);
}

} // namespace

void takeParts(Song& song, std::vector<Part> parts) {
    song.parts = std::move(parts);
    changeOrders(song, [&](std::vector<SungPart>& order) {
        std::erase_if(order, [&](const SungPart& s) { return !s.isEmptySlide() && !song.part(s.part); });
    });
}

void useOtherOrder(Song& song, int index) {
    if (index < 0 || index >= int(song.otherOrders.size()))
        return;
    NamedOrder& other = song.otherOrders[size_t(index)];
    std::swap(song.singingOrder, other.entries);
    std::swap(song.orderName, other.name);
    if (other.name.isEmpty())
        other.name = Said::tr("Usual");
}

bool isUsuallyBandOnly(PartKind kind) {
    return kind == PartKind::Intro || kind == PartKind::Interlude;
}

bool isBandOnlyByDefault(const Part& part) {
    if (part.hasWords())
        return false;
    const bool hasChords = std::any_of(part.lines.begin(), part.lines.end(),
                                       [](const Line& line) { return !line.chords.empty(); });
    return hasChords || isUsuallyBandOnly(part.kind);
}

int addPart(Song& song, int before, PartKind kind, const QString& name) {
    const int index = std::clamp(before, 0, int(song.parts.size()));
    Part part;
    part.id = PartId::create();
    part.kind = kind;
    part.name = kind == PartKind::Other ? name : QString();
    part.bandOnly = isUsuallyBandOnly(kind);
    part.lines.emplace_back();
    song.parts.insert(song.parts.begin() + index, part);
    renumber(song, part);
    return index;
}

void removePart(Song& song, int index) {
    if (!holds(song, index))
        return;
    const Part gone = song.parts[size_t(index)];
    song.parts.erase(song.parts.begin() + index);
    changeOrders(song, [&](std::vector<SungPart>& order) {
        std::erase_if(order, [&](const SungPart& sung) { return sung.part == gone.id; });
    });
    if (gone.number > 0)
        for (Part& part : song.parts)
            if (sameFamily(part, gone) && part.number > gone.number)
                --part.number;
}

void duplicatePart(Song& song, int index) {
    if (!holds(song, index))
        return;
    Part copy = song.parts[size_t(index)];
    copy.id = PartId::create();
    insertCopyAfter(song, index, std::move(copy));
}

void movePart(Song& song, int index, int before) {
    if (!holds(song, index))
        return;
    before = std::clamp(before, 0, int(song.parts.size()));
    const auto at = song.parts.begin();
    if (before > index + 1)
        std::rotate(at + index, at + index + 1, at + before);
    else if (before < index)
        std::rotate(at + before, at + index, at + index + 1);
}

void splitPart(Song& song, const WordsPlace& place) {
    if (!holds(song, place.part))
        return;
    Part& first = song.parts[size_t(place.part)];
    if (place.line >= int(first.lines.size()) || (place.line == 0 && place.column == 0))
        return;
    int line = place.line;
    const int length = int(first.lines[size_t(line)].words.size());
    if (place.column > 0 && place.column < length) { // in the middle of a line: the line is parted too
        std::vector<Part> alone{first};
        const int offset = offsetOf(alone, {0, line, place.column});
        replaceText(alone, offset, 0, QStringLiteral("\n"));
        first.lines = std::move(alone.front().lines);
        ++line;
    } else if (place.column > 0) {
        ++line;
    }
    Part second = first;
    second.id = PartId::create();
    second.lines.assign(first.lines.begin() + line, first.lines.end());
    giveEveryPartALine(song.parts);
    if (second.lines.empty())
        second.lines.emplace_back();
    second.lines.front().breakBefore = false;
    first.lines.resize(size_t(line));
    const PartId firstId = first.id;
    const PartId secondId = second.id;
    insertCopyAfter(song, place.part, std::move(second));
    changeOrders(song, [&](std::vector<SungPart>& order) {
        std::vector<SungPart> both;
        for (const SungPart& sung : order) {
            if (!(sung.part == firstId)) {
                both.push_back(sung);
                continue;
            }
            for (int i = 0; i < sung.times; ++i) {
                both.push_back({firstId, 1, i == 0 ? sung.stageNote : QString()});
                both.push_back({secondId, 1, {}});
            }
        }
        order = std::move(both);
    });
}

void mergeWithNext(Song& song, int index) {
    if (!holds(song, index) || !holds(song, index + 1))
        return;
    Part& part = song.parts[size_t(index)];
    const Part next = song.parts[size_t(index) + 1];
    part.lines.insert(part.lines.end(), next.lines.begin(), next.lines.end());
    changeOrders(song, [&](std::vector<SungPart>& order) {
        std::vector<SungPart> joined;
        for (SungPart sung : order) {
            const bool follows = !joined.empty() && joined.back().part == part.id && sung.part == next.id &&
                                 joined.back().times == sung.times;
            if (follows)
                continue;
            if (sung.part == next.id)
                sung.part = part.id;
            joined.push_back(std::move(sung));
        }
        order = std::move(joined);
    });
    removePart(song, index + 1);
}

void setPartKind(Song& song, int index, PartKind kind, const QString& name) {
    if (!holds(song, index))
        return;
    Part& part = song.parts[size_t(index)];
    const Part before = part;
    part.kind = kind;
    part.name = kind == PartKind::Other ? name.trimmed() : QString();
    if (isUsuallyBandOnly(before.kind) != isUsuallyBandOnly(kind))
        part.bandOnly = isUsuallyBandOnly(kind);
    const Part after = part;
    renumber(song, before);
    renumber(song, after);
}

Line tidied(const Line& line) {
    Line result = line;
    result.words.clear();
    const auto weights = weightsOf(line);
    std::vector<unsigned char> kept;
    std::vector<int> moved(size_t(line.words.size()) + 1, 0);
    for (qsizetype i = 0; i < line.words.size(); ++i) {
        moved[size_t(i)] = int(result.words.size());
        const QChar c = line.words[i];
        const bool isSpace = c.isSpace();
        if (isSpace && (result.words.isEmpty() || result.words.endsWith(u' ')))
            continue;
        result.words += isSpace ? QChar(u' ') : c;
        kept.push_back(weights[size_t(i)]);
    }
    if (result.words.endsWith(u' '))
        result.words.chop(1);
    moved.back() = int(result.words.size());
    for (ChordMark& chord : result.chords)
        chord.position = std::min(moved[size_t(std::clamp(chord.position, 0, int(line.words.size())))],
                                  int(result.words.size()));
    setWeights(result, kept);
    return result;
}

Song tidied(Song song) {
    for (Part& part : song.parts) {
        std::vector<Line> lines;
        bool breakNext = false;
        QString comment;
        for (const Line& before : part.lines) {
            Line line = tidied(before);
            breakNext = breakNext || line.breakBefore;
            if (!comment.isEmpty())
                line.comment =
                    line.comment.isEmpty() ? comment : comment + QStringLiteral("; ") + line.comment;
            comment.clear();
            if (line.words.isEmpty() && line.chords.empty()) {
                breakNext = true;
                comment = line.comment;
                continue;
            }
            line.breakBefore = breakNext && !lines.empty();
            breakNext = false;
            if (lines.empty() && !line.comment.isEmpty()) // said before the first line = of the whole part
                addComment(part, std::exchange(line.comment, {}));
            lines.push_back(std::move(line));
        }
        if (!comment.isEmpty())
            addComment(part, comment);
        part.lines = std::move(lines);
        part.name = part.name.simplified();
    }
    song.title = song.title.simplified();
    std::erase_if(song.authors, [](const Author& a) { return a.name.trimmed().isEmpty(); });
    std::erase_if(song.bookNumbers,
                  [](const BookNumber& b) { return (b.book + b.number).trimmed().isEmpty(); });
    return song;
}

} // namespace mivanta
