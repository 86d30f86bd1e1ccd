// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Slides.h"
#include <algorithm>
#include <cmath>
#include <set>

namespace mivanta {

namespace {

constexpr double kReferenceHeight = 1080; // px that a theme's lengths are made for

bool showsPart(const Output& output, const ContentPart& part) {
    return output.showsBandOnly || !part.bandOnly;
}

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

FitLimits limitsFor(const Output& output, const Look& look, bool withChords) {
    const double scale = output.size.height() / kReferenceHeight;
    const WordsLook& words = look.words;
    FitLimits limits;
    limits.box = {words.box.width() * output.size.width(), words.box.height() * output.size.height()};
    limits.size = int(std::lround(words.size * scale));
    limits.smallestSize = int(std::lround(words.smallestSize * scale));
    limits.linesAtMost = std::min(words.linesAtMost, output.linesAtMost);
    limits.rowHeight = words.lineSpacing + (withChords ? kChordHeight : 0);
    return limits;
}

/// Where lines are few, the reference leaves them to the words.
OwnCredit ownCreditFor(const Output& output, OwnCredit credit) {
    if (output.linesAtMost >= kLinesForColumns)
        return credit;
    const auto move = [](QString& from, QString& to) {
        if (!from.isEmpty())
            to = from + (to.isEmpty() ? QString() : QStringLiteral(" \u00b7 ") + to);
        from.clear();
    };
    move(credit.besideEvery, credit.every);
    move(credit.besideLast, credit.last);
    return credit;
}

void addOwnCredits(OutputSlides& slides, const OwnCredit& credit) {
    for (Slide& slide : slides.slides) {
        slide.credit = credit.every;
        slide.besideWords = credit.besideEvery;
    }
    Slide& last = slides.slides.back();
    if (!credit.last.isEmpty())
        last.credit += (last.credit.isEmpty() ? QString() : QStringLiteral(" \u00b7 ")) + credit.last;
    if (!credit.besideLast.isEmpty())
        last.besideWords = credit.besideLast;
}

void addCredits(OutputSlides& slides, const ItemContent& content) {
    if (slides.slides.empty())
        return;
    if (content.ownCredit) {
        addOwnCredits(slides, ownCreditFor(slides.output, *content.ownCredit));
        return;
    }
    if (slides.look.credit.when == CreditWhen::Never)
        return;
    const QString text = creditText(slides.look.credit.fields, content.credit);
    switch (slides.look.credit.when) {
    case CreditWhen::First:
        slides.slides.front().credit = text;
        break;
    case CreditWhen::Last:
        slides.slides.back().credit = text;
        break;
    case CreditWhen::Every:
        for (Slide& slide : slides.slides)
            slide.credit = text;
        break;
    case CreditWhen::Never:
        break;
    }
}

/// The line as this output sets it: with its role, and with what stands beside it if there is room.
FitLine fitLine(int number, const ContentLine& line, const Output& output, const Look& look,
                MeasureSource& measures) {
    const QString mark = roleMark(line, look);
    FitLine result{number, mark + wordsShown(output, line), line.breakBefore};
    for (const int unit : line.units)
        result.units.push_back(unit + int(mark.size()));
    const RoleLook* role = line.role.isEmpty() ? nullptr : look.role(line.role);
    if (role && role->bold)
        result.measure = &measures.measure(look.words.family, bolderThan(look.words.weight));
    if (!line.beside.empty() && output.linesAtMost >= kLinesForColumns &&
        look.words.linesAtMost >= kLinesForColumns)
        result.beside = line.beside.front().words;
    return result;
}

OutputSlides outputSlides(const ItemContent& content, const Output& output, const Look& look,
                          MeasureSource& measures) {
    std::vector<FitPart> parts(content.parts.size());
    for (size_t p = 0; p < parts.size(); ++p) {
        const ContentPart& part = content.parts[p];
        if (!showsPart(output, part))
            continue;
        for (size_t l = 0; l < part.lines.size(); ++l)
            parts[p].lines.push_back(fitLine(int(l), part.lines[l], output, look, measures));
    }
    FitLimits limits = limitsFor(output, look, output.showsChords && hasChords(content));
    if (content.ownCredit) {
        const OwnCredit credit = ownCreditFor(output, *content.ownCredit);
        limits.rowsKept = credit.besideEvery.isEmpty() && credit.besideLast.isEmpty() ? 0 : 1;
    }
    const TextMeasure& measure = measures.measure(look.words.family, look.words.weight);
    const FitResult fitted = content.isProse ? fitProse(parts, limits, measure) : fit(parts, limits, measure);

    OutputSlides result{output, look, fitted.size, fitted.reason, {}, {}};
    const int part = fitted.reason.part;
    result.reasonText =
        fitReasonText(fitted.reason, part >= 0 ? content.parts[size_t(part)].label : QString());
    for (size_t e = 0; e < content.entries.size(); ++e) {
        if (content.parts[size_t(content.entries[e].part)].isBlank) {
            result.slides.push_back({{int(e), 0, 0}, 1, 1, {}, {}, {}});
            continue;
        }
        const auto& slides = fitted.parts[size_t(content.entries[e].part)];
        for (size_t s = 0; s < slides.size(); ++s) {
            const FitRow& first = slides[s].rows.front();
            const ContentLine& line =
                content.parts[size_t(content.entries[e].part)].lines[size_t(first.line)];
            const int offset = std::max(0, first.from - int(roleMark(line, look).size()));
            result.slides.push_back(
                {{int(e), first.line, offset}, int(s) + 1, int(slides.size()), slides[s].rows, {}, {}});
        }
    }
    addCredits(result, content);
    return result;
}

} // namespace

QString roleMark(const ContentLine& line, const Look& look) {
    if (!line.startsRole)
        return {};
    const QChar noBreak(0x00a0);
    const RoleLook* role = look.role(line.role);
    QString mark;
    if (role && !role->symbol.isEmpty())
        mark = role->symbol + noBreak;
    if (line.namesRole)
        mark += QString(line.role).replace(u' ', noBreak) + u':' + noBreak;
    return mark;
}

std::optional<int> OutputSlides::slideAt(const Position& position) const {
    const auto after = std::upper_bound(slides.begin(), slides.end(), position,
                                        [](const Position& p, const Slide& s) { return p < s.start; });
    if (after != slides.begin() && std::prev(after)->start.entry == position.entry)
        return int(after - slides.begin()) - 1;
    // Before the entry's first words, such as a line that only others see: the entry's first slide.
    if (after != slides.end() && after->start.entry == position.entry)
        return int(after - slides.begin());
    return std::nullopt;
}

int ItemSlides::stepAt(const Position& position) const {
    const auto after = std::upper_bound(steps.begin(), steps.end(), position,
                                        [](const Position& p, const Step& s) { return p < s.position; });
    return after == steps.begin() ? 0 : int(after - steps.begin()) - 1;
}

std::vector<Step> stepsFor(const ItemContent& content, const std::vector<OutputSlides>& outputs) {
    std::set<Position> own;
    std::set<Position> all;
    for (const OutputSlides& output : outputs)
        for (const Slide& slide : output.slides) {
            all.insert(slide.start);
            if (output.output.ownSteps)
                own.insert(slide.start);
        }
    std::vector<Step> steps;
    for (const Position& position : own.empty() ? all : own)
        steps.push_back({position, content.entries[size_t(position.entry)].part});
    if (steps.empty())
        steps.push_back({{}, 0});
    return steps;
}

const Theme& themeFor(const ItemWords& words, const Theme& ofService, const std::vector<Theme>& themes) {
    const auto* item = std::get_if<SongItem>(&words);
    const QString wanted = item ? item->song->usualTheme : QString();
    const auto own = std::find_if(themes.begin(), themes.end(), [&](const Theme& theme) {
        return !wanted.isEmpty() && theme.id == wanted;
    });
    return own == themes.end() ? ofService : *own;
}

ItemSlides slidesFor(const ItemContent& content, const std::vector<Output>& outputs, const Theme& theme,
                     const std::vector<Theme>& themes, MeasureSource& measures) {
    ItemSlides result;
    result.content = content;
    for (const Output& output : outputs)
        result.outputs.push_back(outputSlides(content, output, lookFor(output, theme, themes), measures));
    result.steps = stepsFor(content, result.outputs);
    return result;
}

} // namespace mivanta
