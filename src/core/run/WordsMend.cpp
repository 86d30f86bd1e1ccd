// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/WordsMend.h"
#include "core/song/WordsEdit.h"
#include <algorithm>

namespace mivanta {

namespace {

/// The stretch in which two texts differ, apart from what they begin and end with alike.
struct ChangedStretch {
    int from = 0;
    int removed = 0;
    QString inserted;
};

ChangedStretch differenceOf(const QString& before, const QString& after) {
    const qsizetype shorter = std::min(before.size(), after.size());
    qsizetype head = 0;
    while (head < shorter && before[head] == after[head])
        ++head;
    qsizetype tail = 0;
    while (tail < shorter - head && before[before.size() - 1 - tail] == after[after.size() - 1 - tail])
        ++tail;
    return {int(head), int(before.size() - head - tail), after.mid(head, after.size() - head - tail)};
}

/// Line by line while there are as many as before, so that a mend in one does not touch the chords of others.
void mendLines(Part& part, const QString& words) {
    std::vector<Part> alone{std::move(part)};
    giveEveryPartALine(alone);
    const QStringList before = flatText(alone).split(u'\n');
    const QStringList after = words.split(u'\n');
    if (before.size() == after.size()) {
        for (qsizetype i = 0, at = 0; i < before.size(); at += after[i].size() + 1, ++i) {
            const ChangedStretch stretch = differenceOf(before[i], after[i]);
            if (stretch.removed > 0 || !stretch.inserted.isEmpty())
                replaceText(alone, int(at) + stretch.from, stretch.removed, stretch.inserted);
        }
    } else {
        const ChangedStretch stretch = differenceOf(flatText(alone), words);
        replaceText(alone, stretch.from, stretch.removed, stretch.inserted);
    }
    part = std::move(alone.front());
}

QString wordsOf(const std::vector<Line>& lines) {
    QStringList words;
    for (const Line& line : lines)
        words << line.words;
    return words.join(u'\n');
}

Part* partOf(Song& song, const QString& key) {
    const auto at = std::find_if(song.parts.begin(), song.parts.end(),
                                 [&](const Part& part) { return part.key() == key; });
    return at == song.parts.end() ? nullptr : &*at;
}

/// The lines [from, to) of the page with this number, counted from 1.
std::pair<size_t, size_t> pageOf(const SpokenText& text, const QString& number) {
    int page = 0;
    size_t from = text.lines.size();
    for (size_t i = 0; i < text.lines.size(); ++i) {
        if (i == 0 || text.lines[i].breakBefore)
            ++page;
        if (page == number.toInt() && from == text.lines.size())
            from = i;
        if (page > number.toInt())
            return {from, i};
    }
    return {from, text.lines.size()};
}

/// A page as a part; who says a line travels with it where a song has its comments.
Part asPart(const SpokenText& text, const QString& number) {
    Part part;
    const auto [from, to] = pageOf(text, number);
    for (size_t i = from; i < to; ++i) {
        const SpokenLine& line = text.lines[i];
        part.lines.push_back({line.words, {}, false, line.role, line.emphasis});
    }
    return part;
}

void putPage(SpokenText& text, const QString& number, const Part& part) {
    const auto [from, to] = pageOf(text, number);
    const bool breaks = from < text.lines.size() && text.lines[from].breakBefore;
    const auto before = qsizetype(to - from);
    std::vector<SpokenLine> lines;
    for (const Line& line : part.lines) {
        const bool isNew = qsizetype(part.lines.size()) > before && line.comment.isEmpty() && !lines.empty();
        lines.push_back({isNew ? lines.back().role : line.comment, line.words, line.emphasis, false});
    }
    if (!lines.empty())
        lines.front().breakBefore = breaks;
    text.lines.erase(text.lines.begin() + qsizetype(from), text.lines.begin() + qsizetype(to));
    text.lines.insert(text.lines.begin() + qsizetype(from), lines.begin(), lines.end());
}

} // namespace

std::optional<MendableWords> mendableAt(const Item& item, const ItemContent& content,
                                        const Position& position) {
    if (position.entry < 0 || position.entry >= int(content.entries.size()))
        return std::nullopt;
    const ContentEntry& entry = content.entries[size_t(position.entry)];
    const ContentPart& part = content.parts[size_t(entry.part)];
    const bool hasLine = position.line >= 0 && position.line < int(part.lines.size());
    if (hasLine) {
        const ContentLine& line = part.lines[size_t(position.line)];
        for (const SlideWords& given : item.edits.words)
            if (given.place.part == part.key && given.place.line == line.number &&
                given.place.toLine == line.numberTo &&
                given.place.time == partTimeOf(position.entry, content).time)
                return MendableWords{part.key, part.label, given.words, 0, given.place};
    }
    Part whole;
    if (const Song* song = item.song()) {
        Song copy = *song;
        if (Part* found = partOf(copy, part.key))
            whole = std::move(*found);
    } else if (const TextItem* text = item.text()) {
        whole = asPart(*text->text, part.key);
    }
    MendableWords found{part.key, part.label, wordsOf(whole.lines)};
    if (found.words.trimmed().isEmpty())
        return std::nullopt;
    const int written = hasLine ? part.writtenLine(position.line) : 0;
    for (int line = 0; line < std::min(written, int(whole.lines.size())); ++line)
        found.caret += int(whole.lines[size_t(line)].words.size()) + 1;
    return found;
}

std::optional<Song> mended(const Song& song, const MendableWords& found, const QString& words) {
    Song result = song;
    Part* part = partOf(result, found.part);
    if (!part || wordsOf(part->lines) != found.words)
        return std::nullopt;
    mendLines(*part, words);
    return result;
}

std::optional<SpokenText> mended(const SpokenText& text, const MendableWords& found, const QString& words) {
    SpokenText result = text;
    Part part = asPart(result, found.part);
    if (part.lines.empty() || wordsOf(part.lines) != found.words)
        return std::nullopt;
    mendLines(part, words);
    putPage(result, found.part, part);
    return result;
}

Item mended(Item item, const MendableWords& found, const QString& words) {
    if (found.slide) {
        item.edits.setWords(*found.slide, words);
    } else if (const Song* song = item.song()) {
        if (auto changed = mended(*song, found, words))
            item.words = songItem(std::move(*changed));
    } else if (const TextItem* text = item.text()) {
        if (auto changed = mended(*text->text, found, words))
            item.words = textItem(std::move(*changed), text->answers);
    }
    return item;
}

} // namespace mivanta
