// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Cards.h"
#include <algorithm>

namespace mivanta {

int mainOutput(const ItemSlides& slides) {
    const auto hall = std::find_if(slides.outputs.begin(), slides.outputs.end(),
                                   [](const OutputSlides& o) { return o.output.isInTheHall(); });
    if (hall != slides.outputs.end())
        return int(hall - slides.outputs.begin());
    return slides.outputs.empty() ? -1 : 0;
}

namespace {

QString placeOf(const ContentEntry& entry, const Slide* slide) {
    QStringList pieces;
    if (slide && slide->of > 1)
        pieces << QStringLiteral("%1/%2").arg(slide->number).arg(slide->of);
    if (entry.passes > 1)
        pieces << QStringLiteral("\u00d7%1: %2").arg(entry.passes).arg(entry.pass);
    return pieces.join(QStringLiteral(" \u00b7 "));
}

/// The words of a band-only part, for the person at the desk.
QStringList bandLines(const ContentPart& part) {
    QStringList lines;
    for (const Line& line : part.lines) {
        QStringList chords;
        for (const ChordMark& chord : line.chords)
            chords << chord.name;
        lines << (line.words.isEmpty() ? chords.join(QStringLiteral("  ")) : line.words);
    }
    return lines;
}

CardVoice voiceOf(const ContentLine& line, const Look& look) {
    for (const RoleLook& role : look.roles)
        if (!line.role.isEmpty() && role.role.compare(line.role, Qt::CaseInsensitive) == 0)
            return {line.role, role.colour};
    return {line.role, std::nullopt};
}

void addLines(Card& card, const Slide& slide, const ContentPart& part, const Look& look) {
    bool speaks = false;
    for (const FitRow& row : slide.rows) {
        card.lines << row.text;
        const bool isThere = row.line >= 0 && row.line < int(part.lines.size());
        card.voices.push_back(isThere ? voiceOf(part.lines[size_t(row.line)], look) : CardVoice());
        speaks = speaks || !card.voices.back().role.isEmpty();
    }
    if (!speaks)
        card.voices.clear();
}

/// The numbers of the verses, as they stand in the words.
std::vector<PartChip> verseChips(const ItemContent& content) {
    std::vector<PartChip> chips;
    for (const ContentPart& part : content.parts)
        for (const ContentLine& line : part.lines)
            for (const NumberSpan& number : line.numbers)
                chips.push_back({line.words.mid(number.from, number.to - number.from).trimmed()});
    return chips;
}

/// Whoever speaks, in turn.
std::vector<PartChip> voiceChips(const ItemContent& content) {
    std::vector<PartChip> chips;
    for (const ContentPart& part : content.parts)
        for (const ContentLine& line : part.lines)
            if (!line.role.isEmpty() && (chips.empty() || chips.back().label != line.role))
                chips.push_back({line.role});
    return chips;
}

} // namespace

std::vector<Card> cardsFor(const ItemSlides& slides) {
    std::vector<Card> cards;
    const int main = mainOutput(slides);
    int lastEntry = -1;
    for (int s = 0; s < int(slides.steps.size()); ++s) {
        const Step& step = slides.steps[size_t(s)];
        const int slide = main < 0 ? -1 : slides.outputs[size_t(main)].slideAt(step.position).value_or(-1);
        if (!cards.empty() && cards.back().slide == slide && lastEntry == step.position.entry) {
            cards.back().lastStep = s;
            continue;
        }
        lastEntry = step.position.entry;
        Card card{s, s, {}, {}, {}, slide};
        if (step.part < int(slides.content.parts.size())) {
            const ContentPart& part = slides.content.parts[size_t(step.part)];
            card.label = part.label;
            const Slide* shown = slide < 0 ? nullptr : &slides.outputs[size_t(main)].slides[size_t(slide)];
            if (lastEntry < int(slides.content.entries.size()))
                card.place = placeOf(slides.content.entries[size_t(lastEntry)], shown);
            if (shown)
                addLines(card, *shown, part, slides.outputs[size_t(main)].lookOf(*shown));
            else
                card.lines = bandLines(part);
        }
        cards.push_back(std::move(card));
    }
    return cards;
}

std::vector<PartChip> partChips(const ItemContent& content) {
    std::vector<PartChip> chips;
    for (const ContentEntry& entry : content.entries) {
        if (entry.pass > 1)
            continue;
        const ContentPart& part = content.parts[size_t(entry.part)];
        chips.push_back({entry.passes > 1
                             ? QStringLiteral("%1 \u00d7%2").arg(part.shortLabel).arg(entry.passes)
                             : part.shortLabel,
                         part.bandOnly});
    }
    return chips;
}

std::vector<PartChip> laneChips(const Item& item, const ItemContent& content) {
    return item.song()      ? partChips(content)
           : item.passage() ? verseChips(content)
           : item.text()    ? voiceChips(content)
                            : std::vector<PartChip>();
}

int cardAt(const std::vector<Card>& cards, int step) {
    for (size_t i = 0; i < cards.size(); ++i)
        if (cards[i].firstStep <= step && step <= cards[i].lastStep)
            return int(i);
    return -1;
}

} // namespace mivanta
