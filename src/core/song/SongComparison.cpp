// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongComparison.h"
#include "core/base/Said.h"
#include "core/song/Emphasis.h"
#include "core/song/SingingOrder.h"
#include <QHash>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

using Kind = ComparedRow::Kind;
using What = ComparedRow::What;

constexpr size_t kMostCells = 4'000'000; ///< of the alignment's table
constexpr float kLeastAlike = 0.4F;      ///< from here on two lines are the same one, changed

struct SongRow {
    What what = What::Words;
    QString text;
    QString marked; ///< with chords and emphasis
};

struct Word {
    TextSpan at;
    QString text;
};

std::vector<Word> wordsOf(const QString& text) {
    std::vector<Word> words;
    for (int at = 0; at < text.size();) {
        int to = at;
        while (to < text.size() && !text[to].isSpace())
            ++to;
        if (to > at)
            words.push_back({{at, to - at}, text.mid(at, to - at)});
        at = to + 1;
    }
    return words;
}

/// For each element of a and b: is it in their longest common subsequence?
std::pair<std::vector<bool>, std::vector<bool>> common(const std::vector<Word>& a,
                                                       const std::vector<Word>& b) {
    const size_t width = b.size() + 1;
    std::vector<int> length((a.size() + 1) * width, 0);
    for (size_t i = a.size(); i-- > 0;)
        for (size_t j = b.size(); j-- > 0;)
            length[i * width + j] = a[i].text == b[j].text
                                        ? length[(i + 1) * width + j + 1] + 1
                                        : std::max(length[(i + 1) * width + j], length[i * width + j + 1]);
    std::vector<bool> inA(a.size(), false);
    std::vector<bool> inB(b.size(), false);
    for (size_t i = 0, j = 0; i < a.size() && j < b.size();) {
        if (a[i].text == b[j].text) {
            inA[i++] = true;
            inB[j++] = true;
        } else if (length[(i + 1) * width + j] >= length[i * width + j + 1]) {
            ++i;
        } else {
            ++j;
        }
    }
    return {inA, inB};
}

/// The words that are not common, neighbours joined.
std::vector<TextSpan> differing(const std::vector<Word>& words, const std::vector<bool>& isCommon) {
    std::vector<TextSpan> spans;
    for (size_t i = 0; i < words.size(); ++i) {
        if (isCommon[i])
            continue;
        const TextSpan at = words[i].at;
        if (i > 0 && !isCommon[i - 1])
            spans.back().length = at.from + at.length - spans.back().from;
        else
            spans.push_back(at);
    }
    return spans;
}

void markDifferences(ComparedRow& row) {
    const auto left = wordsOf(row.left);
    const auto right = wordsOf(row.right);
    const auto [inLeft, inRight] = common(left, right);
    row.leftMarks = differing(left, inLeft);
    row.rightMarks = differing(right, inRight);
}

std::vector<SongRow> linesOf(const Song& song) {
    std::vector<SongRow> rows;
    for (const Part& part : song.parts) {
        const QString heading = part.bandOnly ? Said::tr("%1 (band only)").arg(part.label()) : part.label();
        rows.push_back({What::Heading, heading, heading});
        const auto comment = [&](const QString& text) {
            if (!text.isEmpty())
                rows.push_back({What::Words, u"> "_s + text, u"> "_s + text});
        };
        comment(part.comment);
        for (const Line& line : part.lines) {
            if (line.breakBefore)
                rows.push_back({What::Break, Said::tr("slide break"), Said::tr("slide break")});
            comment(line.comment);
            const QString marked = markedWords(line, chordMarks(line));
            rows.push_back({What::Words, line.words.isEmpty() ? marked : line.words, marked});
        }
    }
    return rows;
}

/// How much of two lines' words is the same, 0 to 1; rows of another nature are nothing alike.
class Likeness {
public:
    float operator()(const SongRow& a, const SongRow& b) {
        if (a.what != b.what)
            return 0;
        if (a.text == b.text)
            return 1;
        if (a.what != What::Words)
            return a.what == What::Heading ? 0.45F : 0; // one part called otherwise
        const auto& x = sorted(a.text);
        const auto& y = sorted(b.text);
        size_t same = 0;
        for (size_t i = 0, j = 0; i < x.size() && j < y.size();) {
            const int order = x[i].compare(y[j]);
            same += order == 0 ? 1 : 0;
            i += order <= 0 ? 1 : 0;
            j += order >= 0 ? 1 : 0;
        }
        return x.empty() || y.empty() ? 0 : 2.0F * float(same) / float(x.size() + y.size());
    }

private:
    const std::vector<QString>& sorted(const QString& text) {
        auto at = m_words.find(text);
        if (at == m_words.end()) {
            std::vector<QString> words;
            for (const Word& word : wordsOf(text.toLower()))
                words.push_back(word.text);
            std::sort(words.begin(), words.end());
            at = m_words.insert(text, words);
        }
        return *at;
    }
    QHash<QString, std::vector<QString>> m_words;
};

ComparedRow paired(const SongRow& a, const SongRow& b) {
    ComparedRow row{Kind::Same, a.what, {}, a.text, b.text, {}, {}};
    if (a.marked == b.marked)
        return row;
    row.kind = Kind::Changed;
    if (a.text == b.text) {
        row.left = a.marked;
        row.right = b.marked;
    }
    markDifferences(row);
    return row;
}

ComparedRow onlyLeft(const SongRow& row) {
    return {Kind::OnlyLeft, row.what, {}, row.text, {}, {}, {}};
}

ComparedRow onlyRight(const SongRow& row) {
    return {Kind::OnlyRight, row.what, {}, {}, row.text, {}, {}};
}

/// Rows [from, to) of both, paired for the most likeness.
void align(const std::vector<SongRow>& a, const std::vector<SongRow>& b, size_t from, size_t toA, size_t toB,
           std::vector<ComparedRow>& rows) {
    const size_t n = toA - from;
    const size_t m = toB - from;
    const size_t width = m + 1;
    if ((n + 1) * width > kMostCells) {
        for (size_t i = from; i < toA; ++i)
            rows.push_back(onlyLeft(a[i]));
        for (size_t j = from; j < toB; ++j)
            rows.push_back(onlyRight(b[j]));
        return;
    }
    Likeness likeness;
    std::vector<float> best((n + 1) * width, 0);
    std::vector<bool> pair((n + 1) * width, false);
    for (size_t i = n; i-- > 0;)
        for (size_t j = m; j-- > 0;) {
            const float alike = likeness(a[from + i], b[from + j]);
            const float without = std::max(best[(i + 1) * width + j], best[i * width + j + 1]);
            const float with = alike + best[(i + 1) * width + j + 1];
            const bool joins = alike >= kLeastAlike && with >= without;
            pair[i * width + j] = joins;
            best[i * width + j] = joins ? with : without;
        }
    size_t i = 0;
    size_t j = 0;
    while (i < n || j < m) {
        if (i < n && j < m && pair[i * width + j])
            rows.push_back(paired(a[from + i++], b[from + j++]));
        else if (j == m || (i < n && best[(i + 1) * width + j] >= best[i * width + j + 1]))
            rows.push_back(onlyLeft(a[from + i++]));
        else
            rows.push_back(onlyRight(b[from + j++]));
    }
}

using Details = std::vector<std::pair<QString, QString>>;

/// Every detail by its name, in a settled order, empty ones too.
Details detailsOf(const Song& song) {
    const auto number = [](int value) { return value == 0 ? QString() : QString::number(value); };
    QStringList books;
    for (const BookNumber& book : song.bookNumbers)
        books << (book.book + u' ' + book.number).trimmed();
    const auto by = [&](AuthorRole role) { return song.authorNames(role).join(u", "_s); };
    QStringList others;
    for (const NamedOrder& order : song.otherOrders)
        others << order.name + u": "_s + singingOrderText(order.entries, song.parts);
    return {{Said::tr("Title"), song.title},
            {Said::tr("Other titles"), song.otherTitles.join(u"; "_s)},
            {Said::tr("Words by"), by(AuthorRole::Words)},
            {Said::tr("Music by"), by(AuthorRole::Music)},
            {Said::tr("Translated by"), by(AuthorRole::Translation)},
            {Said::tr("Arranged by"), by(AuthorRole::Arrangement)},
            {Said::tr("Copyright"), song.copyright},
            {Said::tr("Licence number"), song.licenceNumber},
            {Said::tr("Hymn books"), books.join(u"; "_s)},
            {Said::tr("Key"), song.key},
            {Said::tr("Capo"), number(song.capo)},
            {Said::tr("Tempo"), number(song.tempo)},
            {Said::tr("Time"), song.timeSignature},
            {Said::tr("Topics"), song.topics.join(u", "_s)},
            {Said::tr("Language"), song.language},
            {Said::tr("Notes"), song.notes},
            {Said::tr("Usual theme"), song.usualTheme},
            {Said::tr("Backing track"), song.backingTrack},
            {song.orderName.isEmpty() ? Said::tr("Singing order") : song.orderName, singingOrderText(song)},
            {Said::tr("Other orders"), others.join(u"; "_s)}};
}

} // namespace

std::vector<ComparedRow> compareSongs(const Song& left, const Song& right) {
    std::vector<ComparedRow> rows;
    const Details a = detailsOf(left);
    const Details b = detailsOf(right);
    for (size_t d = 0; d < a.size(); ++d) {
        ComparedRow row{Kind::Same, What::Detail, a[d].first, a[d].second, b[d].second, {}, {}};
        if (row.left.isEmpty() && row.right.isEmpty())
            continue;
        row.kind = row.left == row.right ? Kind::Same
                   : row.right.isEmpty() ? Kind::OnlyLeft
                   : row.left.isEmpty()  ? Kind::OnlyRight
                                         : Kind::Changed;
        if (row.kind == Kind::Changed)
            markDifferences(row);
        rows.push_back(std::move(row));
    }
    const auto x = linesOf(left);
    const auto y = linesOf(right);
    const auto alike = [](const SongRow& p, const SongRow& q) {
        return p.what == q.what && p.text == q.text;
    };
    size_t from = 0;
    while (from < x.size() && from < y.size() && alike(x[from], y[from])) {
        rows.push_back(paired(x[from], y[from]));
        ++from;
    }
    size_t behind = 0;
    while (behind < x.size() - from && behind < y.size() - from &&
           alike(x[x.size() - 1 - behind], y[y.size() - 1 - behind]))
        ++behind;
    align(x, y, from, x.size() - behind, y.size() - behind, rows);
    for (size_t k = behind; k > 0; --k)
        rows.push_back(paired(x[x.size() - k], y[y.size() - k]));
    return rows;
}

std::vector<ComparedRow> rowsOf(const Song& song) {
    std::vector<ComparedRow> rows;
    for (const auto& [name, value] : detailsOf(song))
        if (!value.isEmpty())
            rows.push_back({Kind::Same, What::Detail, name, value, {}, {}, {}});
    for (const SongRow& line : linesOf(song))
        rows.push_back({Kind::Same, line.what, {}, line.marked, {}, {}, {}});
    return rows;
}

} // namespace mivanta
