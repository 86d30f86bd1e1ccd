// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/Emphasis.h"
#include <algorithm>

namespace mivanta {

namespace {
constexpr unsigned char kBold = 1;
constexpr unsigned char kItalic = 2;
} // namespace

std::vector<unsigned char> weightsOf(const Line& line) {
    std::vector<unsigned char> weights(size_t(line.words.size()), 0);
    for (const Emphasis& e : line.emphasis)
        for (int i = std::max(0, e.from); i < std::min(e.to, int(weights.size())); ++i)
            weights[size_t(i)] = static_cast<unsigned char>((e.bold ? kBold : 0) | (e.italic ? kItalic : 0));
    return weights;
}

void setWeights(Line& line, const std::vector<unsigned char>& weights) {
    line.emphasis.clear();
    const int size = std::min(int(line.words.size()), int(weights.size()));
    for (int from = 0; from < size;) {
        int to = from;
        while (to < size && weights[size_t(to)] == weights[size_t(from)])
            ++to;
        if (const unsigned char w = weights[size_t(from)])
            line.emphasis.push_back({from, to, (w & kBold) != 0, (w & kItalic) != 0});
        from = to;
    }
}

void toggleWeight(Line& line, int from, int to, Weight weight) {
    auto weights = weightsOf(line);
    from = std::clamp(from, 0, int(weights.size()));
    to = std::clamp(to, from, int(weights.size()));
    const auto bit = static_cast<unsigned char>(weight);
    const auto first = weights.begin() + from;
    const auto last = weights.begin() + to;
    const bool all = std::all_of(first, last, [&](unsigned char w) { return (w & bit) != 0; });
    for (auto at = first; at != last; ++at)
        *at = static_cast<unsigned char>(all ? *at & ~bit : *at | bit);
    setWeights(line, weights);
}

QString writtenWords(const Line& line, const std::vector<std::pair<int, QString>>& marks,
                     const WeightMarks& as) {
    const auto weights = weightsOf(line);
    QString result;
    auto mark = marks.begin();
    unsigned char now = 0;
    for (int i = 0; i <= int(line.words.size()); ++i) {
        const unsigned char next = i < int(weights.size()) ? weights[size_t(i)] : 0;
        if (next != now)
            result += as.close[now]; // the old ends before a mark, the new begins behind it
        for (; mark != marks.end() && mark->first <= i; ++mark)
            result += mark->second;
        if (next != now)
            result += as.open[next];
        now = next;
        if (i < int(line.words.size()))
            result += as.written(line.words[i], result);
    }
    return result;
}

std::vector<std::pair<int, QString>> chordMarks(const Line& line) {
    std::vector<std::pair<int, QString>> marks;
    for (const ChordMark& chord : line.chords)
        marks.emplace_back(chord.position, u'[' + chord.name + u']');
    return marks;
}

QString markedWords(const Line& line, const std::vector<std::pair<int, QString>>& marks) {
    static const WeightMarks stars{
        {QString(), QStringLiteral("__"), QStringLiteral("*"), QStringLiteral("__*")},
        {QString(), QStringLiteral("__"), QStringLiteral("*"), QStringLiteral("*__")},
        [](QChar c, const QString&) {
            const bool isSign = c == u'*' || c == u'_' || c == u'[' || c == u'\\';
            return isSign ? QStringLiteral("\\") + c : QString(c);
        }};
    return writtenWords(line, marks, stars);
}

} // namespace mivanta
