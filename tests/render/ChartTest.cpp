// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Chart.h"
#include "render/Fonts.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QBuffer>
#include <QFontMetricsF>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Song withChords() {
    Song song = samples::harbourSong();
    song.key = u"G"_s;
    song.capo = 2;
    song.parts[0].lines[0].chords = {{4, u"G"_s}, {9, u"D/F#"_s}};
    return song;
}

QStringList chordsOf(const std::vector<ChartPage>& pages) {
    QStringList names;
    for (const ChartPage& page : pages)
        for (const ChartText& text : page)
            if (text.isChord)
                names << text.text;
    return names;
}

QStringList wordsOf(const std::vector<ChartPage>& pages) {
    QStringList words;
    for (const ChartPage& page : pages)
        for (const ChartText& text : page)
            if (!text.isChord)
                words << text.text.split(u' ', Qt::SkipEmptyParts);
    return words;
}

TEST(Chart, ChordsStandOverTheirLetters) {
    const auto pages = layOutChart(withChords(), {});
    ASSERT_EQ(pages.size(), 1u);
    const ChartText* words = nullptr;
    const ChartText* chord = nullptr;
    for (const ChartText& text : pages[0]) {
        if (text.text == u"one line here,"_s)
            words = &text;
        if (text.text == u"G"_s && text.isChord)
            chord = &text;
    }
    ASSERT_TRUE(words && chord);
    EXPECT_LT(chord->baseline.y(), words->baseline.y());
    EXPECT_NEAR(chord->baseline.x() - words->baseline.x(),
                QFontMetricsF(words->font).horizontalAdvance(u"one "_s) / 10, 0.1);
}

TEST(Chart, ShowsChordsAsAskedAndKeepsTheSong) {
    ChartOptions options;
    EXPECT_EQ(chordsOf(layOutChart(withChords(), options)), (QStringList{u"G"_s, u"D/F#"_s}));
    options.numbers = true;
    EXPECT_EQ(chordsOf(layOutChart(withChords(), options)), (QStringList{u"1"_s, u"5/7"_s}));
    options.numbers = false;
    options.capo = true;
    EXPECT_EQ(chordsOf(layOutChart(withChords(), options)), (QStringList{u"F"_s, u"C/E"_s}));
    options.transposedBy = 2;
    EXPECT_EQ(chordsOf(layOutChart(withChords(), options)), (QStringList{u"G"_s, u"D/F#"_s}));
    options.chords = false;
    EXPECT_TRUE(chordsOf(layOutChart(withChords(), options)).isEmpty());
}

TEST(Chart, LongSongsGoOnOnTheNextColumnAndPageWithoutLosingAWord) {
    std::vector<Part> parts;
    QStringList said;
    for (int p = 1; p <= 30; ++p) {
        QStringList lines;
        for (int l = 0; l < 5; ++l)
            lines
                << u"word%1x%2 and quite a few more words that go on beyond one column of the page at last"_s
                       .arg(p)
                       .arg(l);
        said << lines.join(u' ').split(u' ');
        parts.push_back(samples::part(PartKind::Verse, p, lines));
    }
    const Song song = samples::song(u"Long"_s, parts);
    for (const int columns : {1, 2}) {
        ChartOptions options;
        options.columns = columns;
        const auto pages = layOutChart(song, options);
        EXPECT_GT(pages.size(), 1u);
        QStringList words = wordsOf(pages);
        for (const QString& word : said)
            EXPECT_TRUE(words.removeOne(word)) << word.toStdString();
        for (const ChartPage& page : pages)
            for (const ChartText& text : page) {
                EXPECT_GE(text.baseline.x(), options.margin - 0.1);
                EXPECT_LE(text.baseline.x() + QFontMetricsF(text.font).horizontalAdvance(text.text) / 10,
                          options.page.width() - options.margin + 1);
                EXPECT_LE(text.baseline.y(), options.page.height() - options.margin + 1);
            }
    }
}

TEST(Chart, APdfHoldsASongAPage) {
    QBuffer buffer;
    ASSERT_TRUE(buffer.open(QIODevice::WriteOnly));
    ASSERT_TRUE(writeChartPdf(buffer, {withChords(), withChords(), withChords()}, {}));
    EXPECT_TRUE(buffer.data().startsWith("%PDF-"));
    EXPECT_EQ(buffer.data().count("/Type /Page\n"), 3);
    QBuffer closed;
    EXPECT_FALSE(writeChartPdf(closed, {withChords()}, {}));
}

} // namespace
} // namespace mivanta
