// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/Fit.h"
#include "core/fit/LineWrapper.h"
#include "core/fit/SlideDivision.h"
#include "support/EvenMeasure.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

FitPart partOf(const QStringList& lines) {
    FitPart part;
    for (int i = 0; i < int(lines.size()); ++i)
        part.lines.push_back({i, lines[i], false});
    return part;
}

FitLimits wide(int linesAtMost) {
    FitLimits limits;
    limits.box = {100'000, 100'000};
    limits.linesAtMost = linesAtMost;
    return limits;
}

std::vector<int> rowCounts(const std::vector<FitSlide>& slides) {
    std::vector<int> counts;
    for (const FitSlide& slide : slides)
        counts.push_back(int(slide.rows.size()));
    return counts;
}

/// Words of letters, spaces, commas and full stops; sometimes none, sometimes one very long word.
rc::Gen<QString> anyLine() {
    const auto word = rc::gen::map(
        rc::gen::resize(12, rc::gen::container<std::string>(rc::gen::element('a', 'b', 'c', '.', ','))),
        [](const std::string& s) { return QString::fromStdString(s); });
    return rc::gen::map(rc::gen::resize(14, rc::gen::container<std::vector<QString>>(word)),
                        [](const std::vector<QString>& words) {
                            return QStringList(words.begin(), words.end()).join(u' ').simplified();
                        });
}

rc::Gen<FitPart> anyPart() {
    return rc::gen::map(
        rc::gen::resize(14, rc::gen::container<std::vector<std::pair<QString, bool>>>(
                                rc::gen::pair(anyLine(), rc::gen::arbitrary<bool>()))),
        [](const std::vector<std::pair<QString, bool>>& lines) {
            FitPart part;
            for (size_t i = 0; i < lines.size(); ++i)
                part.lines.push_back({int(i), lines[i].first, i > 0 && lines[i].second && i % 3 == 0});
            return part;
        });
}

rc::Gen<FitLimits> anyLimits() {
    return rc::gen::apply(
        [](int width, int height, int size, int smallest, int lines, int gap, bool fillsRows) {
            FitLimits limits;
            limits.box = {double(width), double(height)};
            limits.size = size;
            limits.smallestSize = std::min(size, smallest);
            limits.linesAtMost = lines;
            limits.lineGap = gap / 10.0;
            limits.fillsRows = fillsRows;
            return limits;
        },
        rc::gen::inRange(20, 2000), rc::gen::inRange(10, 1000), rc::gen::inRange(1, 120),
        rc::gen::inRange(1, 60), rc::gen::inRange(1, 9), rc::gen::inRange(0, 15), rc::gen::arbitrary<bool>());
}

RC_GTEST_PROP(Fit, NeverLosesReordersOrInventsWords, ()) {
    const auto parts = *rc::gen::resize(5, rc::gen::container<std::vector<FitPart>>(anyPart()));
    const auto limits = *anyLimits();
    const FitResult result = fit(parts, limits, EvenMeasure());
    RC_ASSERT(result.parts.size() == parts.size());
    for (size_t p = 0; p < parts.size(); ++p) {
        QHash<int, int> shownUpTo;
        QString joined;
        int lastLine = -1;
        for (const FitSlide& slide : result.parts[p]) {
            RC_ASSERT(!slide.rows.empty());
            for (const FitRow& row : slide.rows) {
                RC_ASSERT(row.line >= lastLine);
                lastLine = row.line;
                RC_ASSERT(row.from == shownUpTo.value(row.line, 0));
                shownUpTo[row.line] = row.to;
                const QString& words = parts[p].lines[size_t(row.line)].words;
                RC_ASSERT(row.text == words.mid(row.from, row.to - row.from).trimmed());
                joined += words.mid(row.from, row.to - row.from);
            }
        }
        QString wanted;
        for (const FitLine& line : parts[p].lines)
            wanted += line.words.trimmed().isEmpty() ? QString() : line.words;
        RC_ASSERT(joined == wanted);
    }
}

RC_GTEST_PROP(Fit, KeepsEverySlideBreakSetByAPerson, ()) {
    const auto part = *anyPart();
    const FitResult result = fit({part}, *anyLimits(), EvenMeasure());
    for (const FitSlide& slide : result.parts[0])
        for (size_t r = 1; r < slide.rows.size(); ++r)
            for (int line = slide.rows[r - 1].line + 1; line <= slide.rows[r].line; ++line)
                RC_ASSERT(!part.lines[size_t(line)].breakBefore);
}

RC_GTEST_PROP(Fit, StaysWithinItsLimits, ()) {
    const auto part = *anyPart();
    const auto limits = *anyLimits();
    const FitResult result = fit({part}, limits, EvenMeasure());
    RC_ASSERT((result.size >= limits.smallestSize && result.size <= limits.size));
    for (const FitSlide& slide : result.parts[0]) {
        RC_ASSERT(int(slide.rows.size()) <= limits.linesAtMost);
        if (result.reason.cause == FitCause::TooNarrow)
            continue;
        int gaps = 0;
        for (size_t r = 1; r < slide.rows.size(); ++r)
            gaps += slide.rows[r].line != slide.rows[r - 1].line ? 1 : 0;
        const double height = double(slide.rows.size()) * limits.rowHeight + gaps * limits.lineGap;
        RC_ASSERT(height * result.size <= limits.box.height() + 1e-6);
        for (const FitRow& row : slide.rows)
            RC_ASSERT(EvenMeasure().width(row.text) * result.size <= limits.box.width() + 1e-3);
    }
}

RC_GTEST_PROP(Fit, ShortLinesMakeAsFewBalancedSlidesAsTheyCan, ()) {
    const int lines = *rc::gen::inRange(1, 60);
    const int most = *rc::gen::inRange(1, 9);
    QStringList words;
    for (int i = 0; i < lines; ++i)
        words << u"same words"_s;
    const FitResult result = fit({partOf(words)}, wide(most), EvenMeasure());
    const auto counts = rowCounts(result.parts[0]);
    RC_ASSERT(int(counts.size()) == (lines + most - 1) / most);
    const auto [least, largest] = std::minmax_element(counts.begin(), counts.end());
    RC_ASSERT(*largest - *least <= 1);
    RC_ASSERT(result.size == wide(most).size);
}

RC_GTEST_PROP(Fit, NoLineStandsAloneWhenThatCanBeAvoided, ()) {
    const int lines = *rc::gen::inRange(2, 60);
    const int most = *rc::gen::inRange(2, 9);
    QStringList words;
    for (int i = 0; i < lines; ++i)
        words << *rc::gen::element(u"plain words"_s, u"a comma,"_s, u"an end."_s);
    const auto counts = rowCounts(fit({partOf(words)}, wide(most), EvenMeasure()).parts[0]);
    const int slides = int(counts.size());
    if (lines >= 2 * slides) // enough lines for two on each
        RC_ASSERT(std::find(counts.begin(), counts.end(), 1) == counts.end());
}

RC_GTEST_PROP(Fit, TheNextLargerSizeWouldNeedMoreSlides, ()) {
    const auto part = *anyPart();
    const auto limits = *anyLimits();
    const FitResult result = fit({part}, limits, EvenMeasure());
    RC_PRE(result.size < limits.size);
    FitLimits larger = limits;
    larger.smallestSize = larger.size = result.size + 1;
    RC_ASSERT(fit({part}, larger, EvenMeasure()).parts[0].size() > result.parts[0].size());
}

TEST(Fit, RowsAreBalancedOrFilled) {
    const EvenMeasure measure;
    const LineWrapper line(u"aaa bbb ccc ddd"_s, measure);
    const auto lengths = [&](bool balanced) {
        std::vector<int> result;
        for (const auto& row : line.rows(5.5, balanced)) // eleven letters wide
            result.push_back(row.to - row.from);
        return result;
    };
    EXPECT_EQ(lengths(true), (std::vector<int>{8, 7}));
    EXPECT_EQ(lengths(false), (std::vector<int>{12, 3}));
}

TEST(Fit, RoomBetweenLinesCostsSize) {
    const FitPart part = partOf({u"one"_s, u"two"_s, u"three"_s});
    FitLimits limits;
    limits.box = {10'000, 3 * 1.2 * 72};
    const FitResult close = fit({part}, limits, EvenMeasure());
    EXPECT_EQ(close.size, 72);
    limits.lineGap = 0.5;
    const FitResult apart = fit({part}, limits, EvenMeasure());
    EXPECT_EQ(apart.parts[0].size(), 1u);
    EXPECT_EQ(apart.size, int(limits.box.height() / (3 * 1.2 + 2 * 0.5)));
    EXPECT_EQ(apart.reason.cause, FitCause::Height);
}

RC_GTEST_PROP(Fit, DivisionCountNeverFallsWhenALineGrows, ()) {
    auto rows = *rc::gen::nonEmpty(rc::gen::container<std::vector<int>>(rc::gen::inRange(1, 12)));
    const int most = *rc::gen::inRange(1, 9);
    const auto lines = [&] {
        std::vector<DivisionLine> result;
        for (const int r : rows)
            result.push_back({r, 0});
        return result;
    };
    const int before = slideCount(lines(), most);
    RC_ASSERT(before == int(divideIntoSlides(lines(), most).size()));
    rows[*rc::gen::inRange<size_t>(0, rows.size())] += 1;
    RC_ASSERT(slideCount(lines(), most) >= before);
}

RC_GTEST_PROP(Fit, RowsNeverShrinkInNumberWhenTheLineGetsNarrower, ()) {
    const EvenMeasure measure;
    const LineWrapper line(*anyLine(), measure);
    const double width = *rc::gen::inRange(1, 60) * 0.5;
    RC_ASSERT(line.rowCount(width) >= line.rowCount(width + 0.5));
    RC_ASSERT(int(line.rows(width).size()) == line.rowCount(width));
}

TEST(Fit, BreaksAfterAFullStopRatherThanEvenly) {
    const auto counts = rowCounts(
        fit({partOf({u"a,"_s, u"b,"_s, u"c,"_s, u"d."_s, u"e,"_s, u"f."_s})}, wide(5), EvenMeasure())
            .parts[0]);
    EXPECT_EQ(counts, (std::vector<int>{4, 2}));
}

TEST(Fit, WrapsALongLineNearItsMiddleAtACommaWhenThereIsOne) {
    FitLimits limits = wide(6);
    limits.size = limits.smallestSize = 10;
    limits.box = {150, 1000}; // 30 letters a row
    const auto slides =
        fit({partOf({u"one two three four, five six seven eight"_s})}, limits, EvenMeasure()).parts[0];
    ASSERT_EQ(slides[0].rows.size(), 2u);
    EXPECT_EQ(slides[0].rows[0].text, u"one two three four,"_s);
    EXPECT_EQ(slides[0].rows[1].text, u"five six seven eight"_s);
}

TEST(Fit, OneSizeForAllPartsSaysWhichLineDecided) {
    FitLimits limits = wide(2);
    limits.size = 100;
    limits.smallestSize = 10;
    limits.box = {1000, 10'000};
    const QString longLine(25, u'w'); // 12.5 em: fits 1000 px at 80
    const FitResult result =
        fit({partOf({u"short"_s, u"short"_s}), partOf({u"short"_s, longLine})}, limits, EvenMeasure());
    EXPECT_EQ(result.size, 80);
    EXPECT_EQ(result.reason.cause, FitCause::Width);
    EXPECT_EQ(result.reason.part, 1);
    EXPECT_EQ(result.reason.line, 1);
    EXPECT_EQ(fitReasonText(result.reason, u"Verse 2"_s),
              u"smaller, so that line 2 of Verse 2 fits the width"_s);
}

TEST(Fit, TooManyRowsForTheHeightMakeTheWordsSmaller) {
    FitLimits limits;
    limits.box = {10'000, 400};
    limits.size = 100;
    limits.smallestSize = 10;
    limits.linesAtMost = 4;
    limits.rowHeight = 1.25;
    const FitResult result = fit({partOf({u"a"_s, u"b"_s, u"c"_s, u"d"_s})}, limits, EvenMeasure());
    EXPECT_EQ(result.size, 80);
    EXPECT_EQ(result.reason.cause, FitCause::Height);
    EXPECT_EQ(result.parts[0].size(), 1u);
}

TEST(Fit, WhatTheSmallestSizeCannotHoldTakesMoreSlidesAndIsThenAsLargeAsThoseAllow) {
    FitLimits limits;
    limits.box = {100, 10'000};
    limits.size = 60;
    limits.smallestSize = 10;
    limits.linesAtMost = 2;
    const FitResult result =
        fit({partOf({u"aaaa bbbb cccc dddd eeee ffff gggg hhhh iiii"_s})}, limits, EvenMeasure());
    EXPECT_EQ(result.reason.cause, FitCause::MoreSlides);
    EXPECT_EQ(result.parts[0].size(), 2u);
    EXPECT_GT(result.size, 10);
}

TEST(Fit, ALineOfTenThousandLettersIsParted) {
    FitLimits limits;
    limits.box = {1600, 800};
    const FitResult oneWord = fit({partOf({QString(10'000, u'x')})}, limits, EvenMeasure());
    EXPECT_GT(oneWord.parts[0].size(), 10u);
    const FitResult words = fit({partOf({u"word "_s.repeated(2000).trimmed()})}, limits, EvenMeasure());
    EXPECT_GT(words.parts[0].size(), 10u);
    for (const FitSlide& slide : words.parts[0])
        EXPECT_LE(slide.rows.size(), 6u);
}

TEST(Fit, ABoxSmallerThanALetterStillShowsEveryLetter) {
    FitLimits limits;
    limits.box = {3, 3};
    limits.smallestSize = 20;
    const FitResult result = fit({partOf({u"abc"_s})}, limits, EvenMeasure());
    EXPECT_EQ(result.reason.cause, FitCause::TooNarrow);
    EXPECT_EQ(result.parts[0].size(), 3u);
}

TEST(Fit, APartWithoutWordsHasNoSlides) {
    EXPECT_TRUE(fit({partOf({}), partOf({u" "_s})}, wide(4), EvenMeasure()).parts[1].empty());
}

TEST(Breath, SeesThroughClosingMarks) {
    EXPECT_EQ(breathAfter(u"he said \u201cgo.\u201d"_s), 2);
    EXPECT_EQ(breathAfter(u"on, "_s), 1);
    EXPECT_EQ(breathAfter(u"on"_s), 0);
    EXPECT_EQ(breathAfter(u""_s), 0);
}

} // namespace
} // namespace mivanta
