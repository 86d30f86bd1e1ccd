// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/Passage.h"
#include "core/fit/LineWrapper.h"
#include <algorithm>

namespace mivanta {

namespace {

/// A place in a verse where it may be parted: before `at` characters of the piece.
struct Pause {
    size_t piece;
    int at;
    int before; ///< characters of the verse before it
};

std::vector<Pause> pausesOf(const Verse& verse) {
    std::vector<Pause> pauses;
    int before = 0;
    for (size_t p = 0; p < verse.pieces.size(); ++p) {
        const QString& words = verse.pieces[p].words;
        if (p > 0)
            pauses.push_back({p, 0, before});
        for (int i = 1; i + 1 < int(words.size()); ++i)
            if (words[i].isSpace() && breathAfter(QStringView(words).left(i)) > 0)
                pauses.push_back({p, i + 1, before + i});
        before += int(words.size());
    }
    return pauses;
}

VersePiece cut(const VersePiece& piece, int from, int to) {
    VersePiece result{from == 0 ? piece.start : VerseStart::Continues, piece.words.mid(from, to - from), {}};
    for (const Emphasis& e : piece.emphasis)
        if (std::max(e.from, from) < std::min(e.to, to))
            result.emphasis.push_back(
                {std::max(e.from, from) - from, std::min(e.to, to) - from, e.bold, e.italic});
    while (result.words.endsWith(u' '))
        result.words.chop(1);
    for (Emphasis& e : result.emphasis)
        e.to = std::min(e.to, int(result.words.size()));
    return result;
}

/// The verse between two places; nothing = its begin or end.
Verse between(const Verse& verse, const std::optional<Pause>& from, const std::optional<Pause>& to) {
    Verse result = verse;
    result.pieces.clear();
    for (size_t p = 0; p < verse.pieces.size(); ++p) {
        if ((from && p < from->piece) || (to && p > to->piece))
            continue;
        const int begin = from && p == from->piece ? from->at : 0;
        const int end = to && p == to->piece ? to->at : int(verse.pieces[p].words.size());
        if (begin < end)
            result.pieces.push_back(cut(verse.pieces[p], begin, end));
    }
    return result;
}

std::optional<Pause> pauseNear(const std::vector<Pause>& pauses, double place) {
    std::optional<Pause> best;
    for (const Pause& pause : pauses)
        if (!best || std::abs(pause.before - place) < std::abs(best->before - place))
            best = pause;
    return best;
}

/// The part of the verse from `from` to `to`, letters or 0. Whole when it has no pause to part it at.
Verse lettered(const Verse& verse, char from, char to) {
    const auto pauses = pausesOf(verse);
    double length = 0;
    for (const VersePiece& piece : verse.pieces)
        length += double(piece.words.size());
    const bool thirds = from == 'c' || to == 'c';
    const auto first = pauseNear(pauses, length / (thirds ? 3 : 2));
    const auto second = thirds ? pauseNear(pauses, length * 2 / 3) : std::nullopt;
    if (!first || (thirds && second->before == first->before))
        return verse;
    const auto begin = from == 'b' ? first : from == 'c' ? second : std::nullopt;
    const auto end = to == 'a' ? first : to == 'b' ? second : std::nullopt;
    return between(verse, begin, end);
}

} // namespace

QString Verse::words() const {
    QStringList all;
    for (const VersePiece& piece : pieces)
        if (!piece.words.isEmpty())
            all << piece.words;
    return all.join(u' ');
}

QString Verse::numberText() const {
    return lastNumber > number ? QStringLiteral("%1\u2013%2").arg(number).arg(lastNumber)
                               : QString::number(number);
}

QString Passage::title() const {
    QStringList names;
    for (const PassageWords& version : words)
        if (!version.translation.shortName.isEmpty())
            names << version.translation.shortName;
    const QString reference = words.empty() ? QString() : words.front().reference;
    return names.isEmpty() ? reference
                           : QStringLiteral("%1 (%2)").arg(reference, names.join(QStringLiteral(", ")));
}

std::vector<Verse> versesIn(const VerseRange& range, const std::vector<Verse>& verses) {
    std::vector<Verse> result;
    for (const Verse& verse : verses) {
        const auto at = std::pair(verse.chapter, verse.lastNumber);
        const auto begins = std::pair(verse.chapter, verse.number);
        if (!(verse.book == range.book) || at < std::pair(range.from.chapter, range.from.verse) ||
            verse.chapter > range.to.chapter ||
            (range.to.verse > 0 && begins > std::pair(range.to.chapter, range.to.verse)))
            continue;
        const bool isFirst = verse.chapter == range.from.chapter && verse.number == range.from.verse;
        const bool isLast = verse.chapter == range.to.chapter && verse.number == range.to.verse;
        const char from = isFirst ? range.from.letter : char(0);
        const char to = isLast ? range.to.letter : char(0);
        result.push_back(from || to ? lettered(verse, from, to) : verse);
    }
    return result;
}

} // namespace mivanta
