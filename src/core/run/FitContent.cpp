// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/FitContent.h"
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {

bool hasChords(const ItemContent& content) {
    for (const ContentPart& part : content.parts)
        for (const Line& line : part.lines)
            if (!line.chords.empty())
                return true;
    return false;
}

/// A line of chords without words is shown, to those who see chords, as a row that carries them.
QString wordsShown(const Output& output, const Line& line) {
    if (!line.words.trimmed().isEmpty() || !output.showsChords || line.chords.empty())
        return line.words;
    QStringList names;
    for (const ChordMark& chord : line.chords)
        names << chord.name;
    return names.join(QStringLiteral("   "));
}

FitLimits limitsFor(const Output& output, const Look& look, const ItemContent& content) {
    const double scale = output.size.height() / kLookHeight;
    const WordsLook& words = look.words;
    const QRectF box = content.countdown ? countdownBoxes(words.box).words : words.box;
    FitLimits limits;
    limits.box = {box.width() * output.size.width(), box.height() * output.size.height()};
    limits.size = int(std::lround(words.size * scale));
    limits.smallestSize = int(std::lround(words.smallestSize * scale));
    limits.linesAtMost = std::min(words.linesAtMost, output.linesAtMost);
    limits.rowHeight = words.lineSpacing + (output.showsChords && hasChords(content) ? kChordHeight : 0);
    limits.lineGap = words.paragraphSpacing;
    limits.fillsRows = words.filling == RowFilling::Full;
    return limits;
}

/// The line as this output sets it: with its role, and with what stands beside it if there is room.
FitLine fitLine(int number, const ContentLine& line, const Output& output, const Look& look,
                MeasureSource& measures) {
    const QString mark = roleMark(line, look);
    FitLine result{number, mark + wordsShown(output, line), line.breakBefore};
    for (const int unit : line.units)
        result.units.push_back(unit + int(mark.size()));
    const RoleLook* role = line.role.isEmpty() ? nullptr : look.role(line.role);
    if (role && role->bold) {
        FontChoice bold = fontOf(look.words);
        bold.weight = bolderThan(bold.weight);
        result.measure = &measures.measure(bold);
    }
    if (!line.beside.empty() && output.linesAtMost >= kLinesForColumns &&
        look.words.linesAtMost >= kLinesForColumns)
        result.beside = line.beside.front().words;
    return result;
}

} // namespace

CountdownBoxes countdownBoxes(const QRectF& words) {
    constexpr double kShareOfWords = 0.36;
    constexpr double kLow = 0.35;
    if (words.height() < kLow) {
        const double left = words.width() * (1 - kShareOfWords);
        return {{words.x(), words.y(), left, words.height()},
                {words.x() + left, words.y(), words.width() - left, words.height()},
                true};
    }
    const double upper = words.height() * kShareOfWords;
    return {{words.x(), words.y(), words.width(), upper},
            {words.x(), words.y() + upper, words.width(), words.height() - upper},
            false};
}

FitPart fitPartOf(const ContentPart& part, const Output& output, const Look& look, MeasureSource& measures) {
    FitPart result;
    if (part.bandOnly && !output.showsBandOnly)
        return result;
    for (size_t l = 0; l < part.lines.size(); ++l)
        result.lines.push_back(fitLine(int(l), part.lines[l], output, look, measures));
    return result;
}

FitResult fitContent(const std::vector<FitPart>& parts, const ItemContent& content, const Output& output,
                     const Look& look, MeasureSource& measures) {
    FitLimits limits = limitsFor(output, look, content);
    if (content.ownCredit) {
        const OwnCredit credit = ownCreditFor(output, *content.ownCredit);
        limits.rowsKept = credit.besideEvery.isEmpty() && credit.besideLast.isEmpty() ? 0 : 1;
    }
    const TextMeasure& measure = measures.measure(fontOf(look.words));
    return content.isProse ? fitProse(parts, limits, measure) : fit(parts, limits, measure);
}

} // namespace mivanta
