// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Chart.h"
#include "core/base/Said.h"
#include "core/run/Slides.h"
#include "core/song/Chords.h"
#include "core/song/Emphasis.h"
#include "core/song/SingingOrder.h"
#include "render/Fonts.h"
#include <QBuffer>
#include <QFontMetricsF>
#include <QPageSize>
#include <QPainter>
#include <QPdfWriter>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

const QColor kInk(0x1e, 0x2b, 0x31);
const QColor kChordInk(0x9a, 0x4e, 0x00);

/// Pieces of one row, from its left upper corner.
struct Row {
    double height = 0;
    std::vector<ChartText> texts;
};

/// Rows that belong together: a part, or the head of the song.
struct ChartBlock {
    std::vector<Row> rows;
    double spaceAfter = 0;
    [[nodiscard]] double height() const {
        double sum = 0;
        for (const Row& row : rows)
            sum += row.height;
        return sum;
    }
};

QFont pointFont(const QString& family, int weight, double size) {
    QFont font = slideFont(family, weight, 10);
    font.setPixelSize(std::max(1, int(std::lround(size * 10)))); // tenths of a point, scaled when drawn
    return font;
}

class ChartLayout {
public:
    ChartLayout(const Song& song, const ChartOptions& options)
        : m_song(song),
          m_options(options),
          m_words(pointFont({}, 400, options.size)),
          m_bold(pointFont({}, 700, options.size)),
          m_chords(pointFont(QString::fromLatin1(kChordFamily), 700, options.size * 0.9)) {
        const double room = options.page.width() - 2 * options.margin;
        m_column = options.columns == 2 ? (room - options.margin / 2) / 2 : room;
    }

    std::vector<ChartPage> pages() {
        place(head(), true);
        for (const Part& part : m_song.parts)
            if (m_options.chords || part.hasWords())
                place(blockOf(part), false);
        return std::move(m_pages);
    }

private:
    [[nodiscard]] static double heightOf(const QFont& font) { return QFontMetricsF(font).height() / 10; }
    [[nodiscard]] static double ascentOf(const QFont& font) { return QFontMetricsF(font).ascent() / 10; }
    [[nodiscard]] static double widthOf(const QFont& font, const QString& text) {
        return QFontMetricsF(font).horizontalAdvance(text) / 10;
    }

    [[nodiscard]] Row textRow(const QString& text, const QFont& font, bool isChord = false) const {
        return {heightOf(font), {{{0, ascentOf(font)}, text, font, isChord}}};
    }

    ChartBlock head() const {
        ChartBlock block;
        block.rows.push_back(textRow(m_song.title, pointFont({}, 700, m_options.size * 1.7)));
        QStringList facts{m_song.authorNames().join(u", "_s)};
        if (m_options.chords) {
            facts << (keyOf(m_song).isEmpty() ? QString() : Said::tr("Key %1").arg(keyOf(m_song)))
                  << (m_song.capo > 0 ? Said::tr("Capo %1").arg(m_song.capo) : QString())
                  << (m_song.tempo > 0 ? Said::tr("%1 bpm").arg(m_song.tempo) : QString())
                  << m_song.timeSignature;
        }
        facts.removeAll(QString());
        const QFont small = pointFont({}, 400, m_options.size * 0.9);
        for (const QString& line : {facts.join(u" \u00b7 "_s), singingOrderText(m_song), m_song.copyright})
            if (!line.isEmpty())
                for (const QString& piece : wrapped(line, small))
                    block.rows.push_back(textRow(piece, small));
        block.spaceAfter = m_options.size;
        return block;
    }

    [[nodiscard]] QStringList wrapped(const QString& text, const QFont& font) const {
        QStringList lines{QString()};
        for (const QString& word : text.split(u' ')) {
            const QString longer = lines.back().isEmpty() ? word : lines.back() + u' ' + word;
            if (lines.back().isEmpty() || widthOf(font, longer) <= m_column)
                lines.back() = longer;
            else
                lines << word;
        }
        return lines;
    }

    ChartBlock blockOf(const Part& part) const {
        ChartBlock block;
        block.rows.push_back(
            textRow(part.bandOnly ? Said::tr("%1 (band only)").arg(part.label()) : part.label(), m_bold));
        if (!part.comment.isEmpty() && m_options.chords)
            block.rows.push_back(commentRow(part.comment));
        for (const Line& line : part.lines) {
            if (!line.comment.isEmpty() && m_options.chords)
                block.rows.push_back(commentRow(line.comment));
            addLine(block, line);
        }
        block.spaceAfter = m_options.size * 0.9;
        return block;
    }

    [[nodiscard]] Row commentRow(const QString& text) const {
        QFont font = m_words;
        font.setItalic(true);
        return textRow(text, font);
    }

    /// One line of words as rows that fit the column, each with its chords above.
    void addLine(ChartBlock& block, const Line& line) const {
        int from = 0;
        const int size = int(line.words.size());
        do {
            int to = size;
            while (to > from && widthOf(m_words, line.words.mid(from, to - from)) > m_column) {
                const qsizetype space = line.words.lastIndexOf(u' ', to - 1);
                to = space > from ? int(space) : to - 1;
            }
            addRow(block, line, from, std::max(to, std::min(size, from + 1)));
            from = std::max(to, std::min(size, from + 1));
            while (from < size && line.words[from] == u' ')
                ++from;
        } while (from < size);
    }

    void addRow(ChartBlock& block, const Line& line, int from, int to) const {
        Row row;
        const QString words = line.words.mid(from, to - from);
        double free = 0;
        if (m_options.chords)
            for (const ChordMark& chord : line.chords) {
                const bool isLast = to >= line.words.size();
                if (chord.position < from || (chord.position >= to && !isLast))
                    continue;
                const double x = std::max(free, widthOf(m_words, words.left(chord.position - from)));
                row.texts.push_back({{x, ascentOf(m_chords)}, chord.name, m_chords, true});
                free = x + widthOf(m_chords, chord.name) + m_options.size * 0.4;
            }
        row.height = row.texts.empty() ? 0 : heightOf(m_chords);
        if (!words.trimmed().isEmpty()) {
            addWords(row, line, from, to);
            row.height += heightOf(m_words);
        }
        if (!row.texts.empty())
            block.rows.push_back(std::move(row));
    }

    /// The words in runs of one weight.
    void addWords(Row& row, const Line& line, int from, int to) const {
        const auto weights = weightsOf(line);
        double x = 0;
        for (int at = from; at < to;) {
            int end = at;
            while (end < to && weights[size_t(end)] == weights[size_t(at)])
                ++end;
            QFont font = (weights[size_t(at)] & 1) != 0 ? m_bold : m_words;
            font.setItalic((weights[size_t(at)] & 2) != 0);
            const QString run = line.words.mid(at, end - at);
            row.texts.push_back({{x, row.height + ascentOf(font)}, run, font, false});
            x += widthOf(font, run);
            at = end;
        }
    }

    void newColumn() {
        if (m_pages.empty() || ++m_columnIndex >= m_options.columns) {
            m_pages.emplace_back();
            m_columnIndex = 0;
        }
        m_y = m_columnIndex > 0 && m_pages.size() == 1 ? m_firstTop : m_options.margin;
    }

    void place(const ChartBlock& block, bool isHead) {
        if (m_pages.empty())
            newColumn();
        const double bottom = m_options.page.height() - m_options.margin;
        const double whole = bottom - m_options.margin;
        if (m_y + block.height() > bottom && block.height() <= whole)
            newColumn();
        for (const Row& row : block.rows) {
            if (m_y + row.height > bottom)
                newColumn();
            const double x = m_options.margin + m_columnIndex * (m_column + m_options.margin / 2);
            for (ChartText text : row.texts) {
                text.baseline += QPointF(x, m_y);
                m_pages.back().push_back(std::move(text));
            }
            m_y += row.height;
        }
        m_y += block.spaceAfter;
        if (isHead)
            m_firstTop = m_y; // the second column of the first page starts below the title, too
    }

    const Song& m_song;
    const ChartOptions& m_options;
    QFont m_words;
    QFont m_bold;
    QFont m_chords;
    double m_column = 0;
    std::vector<ChartPage> m_pages;
    int m_columnIndex = 0;
    double m_y = 0;
    double m_firstTop = 0;
};

Song asPlayed(const Song& song, const ChartOptions& options) {
    Song shown = transposed(song, options.transposedBy);
    if (options.capo && song.capo > 0)
        shown = withCapo(shown, song.capo);
    return options.numbers ? withChordNumbers(shown) : shown;
}

} // namespace

std::vector<ChartPage> layOutChart(const Song& song, const ChartOptions& options) {
    const Song shown = asPlayed(song, options);
    return ChartLayout(shown, options).pages();
}

void paintChart(QPainter& painter, const ChartPage& page) {
    for (const ChartText& text : page) {
        painter.save();
        painter.translate(text.baseline);
        painter.scale(0.1, 0.1); // fonts are set in tenths of a point
        painter.setFont(text.font);
        painter.setPen(text.isChord ? kChordInk : kInk);
        painter.drawText(QPointF(0, 0), text.text);
        painter.restore();
    }
}

bool paintCharts(QPagedPaintDevice& device, double dotsPerPoint, const std::vector<Song>& songs,
                 const ChartOptions& options) {
    QPainter painter;
    if (!painter.begin(&device))
        return false;
    bool first = true;
    for (const Song& song : songs)
        for (const ChartPage& page : layOutChart(song, options)) {
            if (!std::exchange(first, false) && !device.newPage())
                return false;
            painter.save();
            painter.scale(dotsPerPoint, dotsPerPoint);
            paintChart(painter, page);
            painter.restore();
        }
    return painter.end();
}

Result<void> writeChartPdf(QIODevice& device, const std::vector<Song>& songs, const ChartOptions& options) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    if (!buffer.open(QIODevice::WriteOnly))
        return failure(Said::tr("the PDF could not be made"));
    {
        QPdfWriter writer(&buffer);
        writer.setCreator(u"Mivanta"_s);
        writer.setTitle(songs.size() == 1 ? songs.front().title : Said::tr("Songs"));
        writer.setPageSize(QPageSize(options.page, QPageSize::Point));
        writer.setPageMargins(QMarginsF(0, 0, 0, 0));
        writer.setResolution(720);
        if (!paintCharts(writer, 10, songs, options))
            return failure(Said::tr("the PDF could not be made"));
    }
    if (device.write(bytes) != bytes.size())
        return failure(Said::tr("the PDF could not be written: %1").arg(device.errorString()), {},
                       Said::tr("Check the free space."));
    return {};
}

} // namespace mivanta
