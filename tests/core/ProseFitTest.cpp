// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/Fit.h"
#include "core/fit/LineWrapper.h"
#include "support/EvenMeasure.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// 20 letters a row at 50 px, `rows` rows on a slide.
FitLimits limits(int rows, int letters = 20) {
    FitLimits result;
    result.box = {letters * 25.0, 100'000};
    result.size = 50;
    result.smallestSize = 20;
    result.linesAtMost = rows;
    return result;
}

/// Verses in one running line.
FitPart running(const QStringList& verses) {
    FitLine line{0, verses.join(u' ')};
    int at = 0;
    for (const QString& verse : verses) {
        line.units.push_back(at);
        at += int(verse.size()) + 1;
    }
    return {{line}};
}

QStringList slides(const FitResult& result) {
    QStringList texts;
    for (const auto& part : result.parts)
        for (const FitSlide& slide : part) {
            QStringList rows;
            for (const FitRow& row : slide.rows)
                rows << row.text;
            texts << rows.join(u'|');
        }
    return texts;
}

TEST(ProseFit, SlidesBeginWithVerses) {
    const EvenMeasure measure;
    // Each verse takes two rows of twenty letters; three rows hold only one whole verse.
    const FitPart part = running({u"the first verse is thirty long."_s, u"the second is about as long."_s});
    const auto result = fitProse({part}, limits(3), measure);
    EXPECT_EQ(result.size, 50);
    EXPECT_EQ(slides(result).size(), 2);
    EXPECT_TRUE(slides(result)[1].startsWith(u"the second"_s));
}

TEST(ProseFit, ShortVersesShareRows) {
    const EvenMeasure measure;
    const auto result = fitProse({running({u"a b."_s, u"c d."_s, u"e f."_s})}, limits(3), measure);
    EXPECT_EQ(slides(result), QStringList{u"a b. c d. e f."_s});
}

TEST(ProseFit, AVerseOfMoreThanASlideIsPartedWhereAReaderPauses) {
    const EvenMeasure measure;
    const auto result =
        fitProse({running({u"when he had finished speaking, he told them to put out where it is deep"_s})},
                 limits(2), measure);
    EXPECT_EQ(slides(result).size(), 2);
    EXPECT_TRUE(slides(result)[0].endsWith(u"speaking,"_s)) << slides(result)[0].toStdString();
}

TEST(ProseFit, TheSizeFallsOnlyForAWordThatIsTooWide) {
    const EvenMeasure measure;
    const auto result = fitProse({running({QString(25, u'x'), u"b"_s})}, limits(4), measure);
    EXPECT_EQ(result.size, 40);
    EXPECT_EQ(result.reason.cause, FitCause::Width);
    EXPECT_EQ(fitProse({running({QString(200, u'x')})}, limits(4), measure).reason.cause,
              FitCause::TooNarrow);
}

TEST(ProseFit, BreaksSetByAPersonAreKept) {
    const EvenMeasure measure;
    FitPart part{{{0, u"one"_s}, {1, u"two"_s, true}, {2, u"three"_s}}};
    EXPECT_EQ(slides(fitProse({part}, limits(6), measure)), (QStringList{u"one"_s, u"two|three"_s}));
}

TEST(ProseFit, ColumnsAreLevel) {
    const EvenMeasure measure;
    FitPart part{{{0, u"short"_s}, {1, u"next"_s}}};
    part.lines[0].beside = u"this one is a good deal longer"_s;
    part.lines[1].beside = u"next to it"_s;
    const auto result = fitProse({part}, limits(8, 40), measure);
    const auto& rows = result.parts[0][0].rows;
    ASSERT_EQ(rows.size(), 3u); // two for the longer, one for the next
    EXPECT_EQ(rows[0].text, u"short"_s);
    EXPECT_TRUE(rows[1].text.isEmpty());
    EXPECT_FALSE(rows[1].beside.isEmpty());
    EXPECT_EQ(rows[2].text, u"next"_s);
    EXPECT_EQ(rows[2].beside, u"next to it"_s);
}

TEST(ProseFit, RoomIsKeptForWhatStandsUnderTheWords) {
    const EvenMeasure measure;
    FitPart part{{{0, u"one"_s}, {1, u"two"_s}, {2, u"three"_s}}};
    FitLimits whole = limits(3);
    whole.box.setHeight(3 * 50 * whole.rowHeight);
    FitLimits less = whole;
    less.rowsKept = 1;
    EXPECT_EQ(slides(fitProse({part}, whole, measure)).size(), 1);
    EXPECT_EQ(slides(fitProse({part}, less, measure)).size(), 2);
}

rc::Gen<QString> anyVerse() {
    const auto word =
        rc::gen::map(rc::gen::nonEmpty(rc::gen::resize(
                         8, rc::gen::container<std::string>(rc::gen::element('a', 'b', 'c', '.', ',')))),
                     [](const std::string& s) { return QString::fromStdString(s); });
    return rc::gen::map(
        rc::gen::nonEmpty(rc::gen::resize(25, rc::gen::container<std::vector<QString>>(word))),
        [](const std::vector<QString>& words) { return QStringList(words.begin(), words.end()).join(u' '); });
}

RC_GTEST_PROP(ProseFit, NothingIsLostAndNoVerseIsPartedThatFits, ()) {
    const EvenMeasure measure;
    const auto verses =
        *rc::gen::nonEmpty(rc::gen::resize(12, rc::gen::container<std::vector<QString>>(anyVerse())));
    const FitPart part = running(QStringList(verses.begin(), verses.end()));
    const int rows = *rc::gen::inRange(1, 7);
    const FitLimits limit = limits(rows, *rc::gen::inRange(8, 40));
    const auto result = fitProse({part}, limit, measure);
    const QString words = part.lines[0].words;
    const double width = limit.box.width() / result.size;
    QString together;
    int at = 0;
    for (const FitSlide& slide : result.parts[0]) {
        RC_ASSERT(int(slide.rows.size()) <= rows);
        for (const FitRow& row : slide.rows) {
            RC_ASSERT(row.from == at);
            at = row.to;
            together += words.mid(row.from, row.to - row.from);
            RC_ASSERT(
                (result.reason.cause == FitCause::TooNarrow || measure.width(row.text) <= width + 1e-6));
        }
        // A slide ends inside a verse only when that verse alone is more than a slide.
        const auto unit = std::upper_bound(part.lines[0].units.begin(), part.lines[0].units.end(), at);
        if (at < words.size() && *(unit - 1) != at) {
            const int begin = *(unit - 1);
            const int end = unit == part.lines[0].units.end() ? int(words.size()) : *unit;
            RC_ASSERT(LineWrapper(words.mid(begin, end - begin), measure).rowCount(width) > rows);
        }
    }
    RC_ASSERT(together == words);
}

} // namespace
} // namespace mivanta
