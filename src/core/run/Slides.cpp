// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/FitContent.h"
#include <algorithm>
#include <set>

namespace mivanta {

namespace {

/// A passage's own credit, in the theme's words when those name a passage: what it leaves out stays out.
QString inThemeWords(const QString& own, const QString& fields, CreditFields values) {
    const bool namesPassage =
        fields.contains(QLatin1String("{reference}")) || fields.contains(QLatin1String("{translation}"));
    if (own.isEmpty() || !namesPassage)
        return own;
    values.title.clear(); // is the reference
    for (QString* value : {&values.reference, &values.copyright})
        if (!own.contains(*value))
            value->clear();
    return creditText(fields, values);
}

void addOwnCredits(OutputSlides& slides, const OwnCredit& credit, const CreditFields& values) {
    for (Slide& slide : slides.slides) {
        const bool isLast = &slide == &slides.slides.back();
        QString own = credit.every;
        if (isLast && !credit.last.isEmpty())
            own += (own.isEmpty() ? QString() : QStringLiteral(" \u00b7 ")) + credit.last;
        slide.credit = inThemeWords(own, slides.lookOf(slide).credit.fields, values);
        slide.besideWords = isLast && !credit.besideLast.isEmpty() ? credit.besideLast : credit.besideEvery;
    }
}

void addCredits(OutputSlides& slides, const ItemContent& content) {
    if (slides.slides.empty())
        return;
    if (content.ownCredit) {
        addOwnCredits(slides, ownCreditFor(slides.output, *content.ownCredit), content.credit);
        return;
    }
    for (Slide& slide : slides.slides) {
        const CreditLook& look = slides.lookOf(slide).credit;
        const bool isShown = look.when == CreditWhen::Every ||
                             (look.when == CreditWhen::First && &slide == &slides.slides.front()) ||
                             (look.when == CreditWhen::Last && &slide == &slides.slides.back());
        if (isShown)
            slide.credit = creditText(look.fields, content.credit);
    }
}

OutputSlides outputSlides(const ItemContent& content, const Output& output, const LookChain& chain,
                          MeasureSource& measures) {
    ResolvedLook resolved = lookOn(output, chain);
    const bool hasStageWords = !output.isForPeople() && content.stageWords;
    std::vector<FitPart> parts;
    if (hasStageWords)
        parts.push_back(fitPartOf(*content.stageWords, output, resolved.look, measures));
    else
        for (const ContentPart& part : content.parts)
            parts.push_back(fitPartOf(part, output, resolved.look, measures));
    const FitResult fitted = fitContent(parts, content, output, resolved.look, measures);

    OutputSlides result;
    result.output = output;
    result.look = std::move(resolved.look);
    result.sources = std::move(resolved.sources);
    result.fontSize = fitted.size;
    result.reason = fitted.reason;
    const int part = fitted.reason.part;
    result.reasonText = fitReasonText(fitted.reason, part < 0        ? QString()
                                                     : hasStageWords ? content.stageWords->label
                                                                     : content.parts[size_t(part)].label);
    for (size_t e = 0; e < content.entries.size(); ++e) {
        const ContentPart& from = content.partOf(content.entries[e], hasStageWords);
        if (from.isBlank) {
            result.slides.push_back({{int(e), 0, 0}, 1, 1, {}});
            continue;
        }
        const auto& slides = fitted.parts[hasStageWords ? 0 : size_t(content.entries[e].part)];
        for (size_t s = 0; s < slides.size(); ++s) {
            const FitRow& first = slides[s].rows.front();
            const ContentLine& line = from.lines[size_t(first.line)];
            const int offset = std::max(0, first.from - int(roleMark(line, result.look).size()));
            result.slides.push_back(
                {{int(e), first.line, offset}, int(s) + 1, int(slides.size()), slides[s].rows});
        }
    }
    applyOwnLooks(result, content, chain, measures);
    addCredits(result, content);
    return result;
}

} // namespace

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

FontChoice fontOf(const WordsLook& words) {
    return {words.family, words.weight, words.capitals};
}

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

bool sharesLines(const OutputSlides& output, int slide) {
    const Slide& meant = output.slides[size_t(slide)];
    return !meant.rows.empty() &&
           std::any_of(output.slides.begin(), output.slides.end(), [&](const Slide& other) {
               return &other != &meant && other.start.entry == meant.start.entry && !other.rows.empty() &&
                      other.rows.front().line <= meant.rows.back().line &&
                      meant.rows.front().line <= other.rows.back().line;
           });
}

SlidePlace slidePlace(const ItemContent& content, const Slide& slide) {
    const PartTime at = partTimeOf(slide.start.entry, content);
    SlidePlace place{at.part, at.time, 0, 0};
    if (!slide.rows.empty()) {
        const ContentPart& part = content.parts[size_t(content.entries[size_t(slide.start.entry)].part)];
        place.line = part.writtenLine(slide.rows.front().line);
        place.toLine = part.writtenTo(slide.rows.back().line);
    }
    return place;
}

ItemSlides slidesFor(const ItemContent& content, const std::vector<Output>& outputs, const LookChain& chain,
                     MeasureSource& measures) {
    ItemSlides result;
    result.content = content;
    for (const Output& output : outputs)
        result.outputs.push_back(outputSlides(content, output, chain, measures));
    result.steps = stepsFor(content, result.outputs);
    return result;
}

} // namespace mivanta
