// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/LineWrapper.h"
#include <QTextBoundaryFinder>
#include <algorithm>
#include <limits>

namespace mivanta {

namespace {

constexpr double kRounding = 1e-6; // em, so that sums of pieces do not miss by a rounding error

bool isClosing(QChar c) {
    return c == u'"' || c == u'\'' || c == u')' || c == u']' || c == QChar(0x201d) || c == QChar(0x2019) ||
           c == QChar(0x00bb);
}

} // namespace

int breathAfter(QStringView text) {
    text = text.trimmed();
    while (!text.isEmpty() && isClosing(text.back()))
        text.chop(1);
    if (text.isEmpty())
        return 0;
    const QChar last = text.back();
    static const QString strong = QStringLiteral(".;:!?\u2026\u061f\u061b\u06d4\u3002\uff01\uff1f");
    static const QString weak = QStringLiteral(",\u2013\u2014-\u060c\u3001\uff0c");
    return strong.contains(last) ? 2 : weak.contains(last) ? 1 : 0;
}

LineWrapper::LineWrapper(const QString& text, const TextMeasure& measure) : m_text(text), m_measure(measure) {
    QTextBoundaryFinder finder(QTextBoundaryFinder::Line, m_text);
    int from = 0;
    while (finder.toNextBoundary() >= 0) {
        const int to = int(finder.position());
        if (to > from)
            m_pieces.push_back(measured(from, to));
        from = to;
    }
    if (from < m_text.size() || m_pieces.empty())
        m_pieces.push_back(measured(from, int(m_text.size())));
    for (const Piece& piece : m_pieces)
        m_widest = std::max(m_widest, piece.visible);
}

LineWrapper::LineWrapper(const QString& text, const TextMeasure& measure, std::vector<Piece> pieces)
    : m_text(text),
      m_measure(measure),
      m_pieces(std::move(pieces)) {
    for (const Piece& piece : m_pieces)
        m_widest = std::max(m_widest, piece.visible);
}

LineWrapper LineWrapper::between(int from, int to) const {
    std::vector<Piece> pieces;
    const auto first = std::partition_point(m_pieces.begin(), m_pieces.end(),
                                            [&](const Piece& piece) { return piece.to <= from; });
    for (auto piece = first; piece != m_pieces.end() && piece->from < to; ++piece)
        pieces.push_back(
            piece->from >= from && piece->to <= to
                ? *piece
                : measured(std::max(piece->from, from), std::min(piece->to, to))); // a parted word
    return {m_text, m_measure, std::move(pieces)};
}

std::vector<int> LineWrapper::breaksBetween(int from, int to) const {
    std::vector<int> breaks;
    auto piece = std::partition_point(m_pieces.begin(), m_pieces.end(),
                                      [&](const Piece& p) { return p.from <= from; });
    for (; piece != m_pieces.end() && piece->from < to; ++piece)
        breaks.push_back(piece->from);
    return breaks;
}

LineWrapper::Piece LineWrapper::measured(int from, int to) const {
    int end = to;
    while (end > from && m_text[end - 1].isSpace())
        --end;
    Piece piece{from, to, 0, m_measure.width(m_text.mid(from, end - from)), false, false};
    piece.full = piece.visible + (end < to ? m_measure.width(m_text.mid(end, to - end)) : 0);
    return piece;
}

double LineWrapper::width() const {
    double sum = 0;
    for (const Piece& piece : m_pieces)
        sum += piece.full;
    return sum - m_pieces.back().full + m_pieces.back().visible;
}

/// The pieces, with each that is wider than the row parted between letters.
std::vector<LineWrapper::Piece> LineWrapper::piecesFor(double widthEm) const {
    if (m_widest <= widthEm + kRounding)
        return m_pieces;
    std::vector<Piece> result;
    bool afterParted = false;
    for (const Piece& piece : m_pieces) {
        if (piece.visible <= widthEm + kRounding) {
            result.push_back(piece);
            result.back().startsRow = afterParted;
            afterParted = false;
            continue;
        }
        const QString word = m_text.mid(piece.from, piece.to - piece.from);
        QTextBoundaryFinder letters(QTextBoundaryFinder::Grapheme, word);
        int from = 0;
        while (letters.toNextBoundary() >= 0) {
            const int to = int(letters.position());
            if (to > from) {
                result.push_back(measured(piece.from + from, piece.from + to));
                result.back().insideWord = to < word.size();
                result.back().startsRow = from == 0;
            }
            from = to;
        }
        afterParted = true;
    }
    return result;
}

std::vector<LineWrapper::Row> LineWrapper::greedyRows(const std::vector<Piece>& pieces, double widthEm) {
    std::vector<Row> rows{{pieces.front().from, pieces.front().to}};
    double used = 0;
    for (const Piece& piece : pieces) {
        if (used > 0 && (piece.startsRow || used + piece.visible > widthEm + kRounding)) {
            rows.push_back({piece.from, piece.to});
            used = 0;
        }
        rows.back().to = piece.to;
        used += piece.full;
    }
    return rows;
}

int LineWrapper::rowCount(double widthEm) const {
    return int(greedyRows(piecesFor(widthEm), widthEm).size());
}

bool LineWrapper::overflows(double widthEm) const {
    const auto pieces = piecesFor(widthEm);
    return std::any_of(pieces.begin(), pieces.end(),
                       [&](const Piece& p) { return p.visible > widthEm + kRounding; });
}

/// In the unit of (difference from the mean row width / width)^2.
double LineWrapper::breakCost(const Piece& last) const {
    if (last.insideWord)
        return 4.0;
    const QStringView piece = QStringView(m_text).mid(last.from, last.to - last.from);
    const int breath = breathAfter(piece);
    if (breath > 0)
        return breath == 2 ? 0.0 : 0.01;
    // A short word ("a", "of", "the") reads better at the head of the next row than at the end of this one.
    return piece.trimmed().size() <= 3 ? 0.08 : 0.05;
}

std::vector<LineWrapper::Row> LineWrapper::rows(double widthEm, bool balanced) const {
    const std::vector<Piece> pieces = piecesFor(widthEm);
    const size_t count = pieces.size();
    std::vector<Row> greedy = greedyRows(pieces, widthEm);
    const size_t rowTotal = greedy.size();
    // Balance is for lines that people sing; what is longer (a word of thousands of letters) takes the rows
    // that it takes, in a time that grows as it does.
    constexpr size_t kMostBalanced = 1500; // pieces
    if (rowTotal == 1 || !balanced || count > kMostBalanced)
        return greedy;

    constexpr double kNever = std::numeric_limits<double>::infinity();
    const double mean = std::min(widthEm, width() / double(rowTotal));
    std::vector<double> best(count + 1, kNever); // least cost of the first i pieces in the rows so far
    best[0] = 0;
    std::vector<std::vector<int>> startOf(rowTotal, std::vector<int>(count + 1, -1));
    for (size_t row = 0; row < rowTotal; ++row) {
        std::vector<double> next(count + 1, kNever);
        for (size_t from = row; from < count; ++from) {
            if (best[from] == kNever)
                continue;
            double used = 0;
            for (size_t to = from; to < count; ++to) {
                const double visible = used + pieces[to].visible;
                if (to > from && (pieces[to].startsRow || visible > widthEm + kRounding))
                    break;
                used += pieces[to].full;
                const double off = (visible - mean) / widthEm;
                const double cost = best[from] + off * off + (to + 1 < count ? breakCost(pieces[to]) : 0);
                if (cost < next[to + 1]) {
                    next[to + 1] = cost;
                    startOf[row][to + 1] = int(from);
                }
            }
        }
        best = std::move(next);
    }
    std::vector<Row> result(rowTotal);
    size_t end = count;
    for (size_t row = rowTotal; row-- > 0;) {
        const size_t from = size_t(startOf[row][end]);
        result[row] = {pieces[from].from, pieces[end - 1].to};
        end = from;
    }
    return result;
}

} // namespace mivanta
