// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include <QFont>
#include <QIODevice>
#include <QPointF>
#include <QSizeF>

class QPagedPaintDevice;
class QPainter;

namespace mivanta {

/// How a musicians' page or a lyric sheet is laid out. All lengths in points (1/72 inch).
struct ChartOptions {
    QSizeF page{595, 842}; ///< A4
    double margin = 48;
    int columns = 1; ///< 1 or 2
    double size = 11;
    bool chords = true;   ///< above the words; without them it is a lyric sheet
    bool numbers = false; ///< chords as numbers of their key
    bool capo = false;    ///< chords as they are fingered with the song's capo
    int transposedBy = 0; ///< semitones, for this page only
};

/// A piece of text at its place on a page.
struct ChartText {
    QPointF baseline;
    QString text;
    QFont font; ///< its pixel size counts points
    bool isChord = false;
};
using ChartPage = std::vector<ChartText>;

/// A song's pages, as they print: title and details, parts with their labels, chords over their letters. A
/// part stays together when it fits on a page. Words too long for their column wrap at a space.
[[nodiscard]] std::vector<ChartPage> layOutChart(const Song& song, const ChartOptions& options);

/// Draws a page; one unit of the painter is one point.
void paintChart(QPainter& painter, const ChartPage& page);

/// Songs one after the other on paper, each on a new page. False when the device fails.
[[nodiscard]] bool paintCharts(QPagedPaintDevice& device, double dotsPerPoint, const std::vector<Song>& songs,
                               const ChartOptions& options);

/// Songs one after the other as a PDF, each on a new page. Fails when the device does not take it.
[[nodiscard]] Result<void> writeChartPdf(QIODevice& device, const std::vector<Song>& songs,
                                         const ChartOptions& options);

} // namespace mivanta
