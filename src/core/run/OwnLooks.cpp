// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/FitContent.h"
#include <algorithm>

namespace mivanta {

namespace {

bool movesWords(const Look& from, const Look& to) {
    const auto properties = lookProperties();
    return std::any_of(properties.begin(), properties.end(), [&](const LookProperty& property) {
        return property.movesWords && !(property.get(from) == property.get(to));
    });
}

/// Slides [first, last) of one entry, with the words that stand on them.
class Stretch {
public:
    Stretch(const OutputSlides& slides, size_t first, size_t last, const ContentPart& part)
        : m_slides(slides),
          m_first(first),
          m_last(last),
          m_part(part) {}

    /// Divided again in another look. Nothing when that cannot be: where a line in two columns is parted.
    [[nodiscard]] std::optional<std::vector<Slide>>
    divided(const ItemContent& content, const ResolvedLook& look, MeasureSource& measures) const {
        const FitPart whole = fitPartOf(m_part, m_slides.output, look.look, measures);
        FitPart stretch;
        std::vector<int> begins(whole.lines.size(), 0); // where each line's words begin in the stretch
        for (size_t s = m_first; s < m_last; ++s)
            for (const FitRow& row : m_slides.slides[s].rows) {
                const ContentLine& line = m_part.lines[size_t(row.line)];
                const int moved =
                    int(roleMark(line, look.look).size()) - int(roleMark(line, m_slides.look).size());
                const int from = row.from == 0 ? 0 : row.from + moved;
                const FitLine& fitLine = whole.lines[size_t(row.line)];
                if (fitLine.beside && (from > 0 || row.besideFrom > 0) &&
                    (stretch.lines.empty() || stretch.lines.back().line != row.line))
                    return std::nullopt;
                add(stretch, begins, fitLine, from, row.to + moved);
            }
        const FitResult fitted = fitContent({stretch}, content, m_slides.output, look.look, measures);
        const auto own = std::make_shared<const OwnSlideLook>(OwnSlideLook{look, fitted.size});
        std::vector<Slide> result;
        for (const FitSlide& slide : fitted.parts.front()) {
            Slide made = m_slides.slides[m_first];
            made.own = own;
            made.rows = slide.rows;
            for (FitRow& row : made.rows) {
                row.from += begins[size_t(row.line)];
                row.to += begins[size_t(row.line)];
            }
            const FitRow& first = made.rows.front();
            const int mark = int(roleMark(m_part.lines[size_t(first.line)], look.look).size());
            made.start.line = first.line;
            made.start.offset = std::max(0, first.from - mark);
            result.push_back(std::move(made));
        }
        return result;
    }

private:
    static void add(FitPart& stretch, std::vector<int>& begins, const FitLine& line, int from, int to) {
        const bool isNew = stretch.lines.empty() || stretch.lines.back().line != line.line;
        if (isNew) {
            FitLine piece = line;
            piece.units.clear();
            for (const int unit : line.units)
                if (unit > from)
                    piece.units.push_back(unit - from);
            piece.words.clear();
            piece.breakBefore = line.breakBefore && from == 0;
            stretch.lines.push_back(std::move(piece));
            begins[size_t(line.line)] = from;
        }
        FitLine& piece = stretch.lines.back();
        piece.words = line.words.mid(begins[size_t(line.line)], to - begins[size_t(line.line)]);
    }

    const OutputSlides& m_slides;
    size_t m_first;
    size_t m_last;
    const ContentPart& m_part;
};

void applyOne(OutputSlides& slides, const ItemContent& content, const SlideLook& slideLook,
              const LookChain& chain, MeasureSource& measures) {
    const int entry = entryOf({slideLook.place.part, slideLook.place.time}, content);
    if (entry < 0)
        return;
    auto& all = slides.slides;
    const ContentPart& part = content.partOf(content.entries[size_t(entry)], !slides.output.isForPeople());
    const auto isMeant = [&](const Slide& slide) {
        if (slide.start.entry != entry)
            return false;
        const int line = part.lines.empty() ? 0 : part.writtenLine(slide.start.line);
        return line >= slideLook.place.line && line <= slideLook.place.toLine;
    };
    const auto first = std::find_if(all.begin(), all.end(), isMeant);
    if (first == all.end())
        return;
    const auto last = std::find_if_not(first, all.end(), isMeant);
    const ResolvedLook look = lookOn(slides.output, chain, &slideLook.choice);
    const bool isEmpty = first->rows.empty();
    if (!isEmpty && movesWords(slides.look, look.look)) {
        const Stretch stretch(slides, size_t(first - all.begin()), size_t(last - all.begin()), part);
        if (auto divided = stretch.divided(content, look, measures)) {
            const auto at = all.erase(first, last);
            all.insert(at, divided->begin(), divided->end());
            return;
        }
    }
    const auto own = std::make_shared<const OwnSlideLook>(OwnSlideLook{look, slides.fontSize});
    for (auto slide = first; slide != last; ++slide)
        slide->own = own;
}

} // namespace

void applyOwnLooks(OutputSlides& slides, const ItemContent& content, const LookChain& chain,
                   MeasureSource& measures) {
    for (const SlideLook& slideLook : chain.slides)
        applyOne(slides, content, slideLook, chain, measures);
    auto& all = slides.slides;
    for (auto first = all.begin(); first != all.end();) {
        const auto last = std::find_if(first, all.end(),
                                       [&](const Slide& s) { return s.start.entry != first->start.entry; });
        for (auto slide = first; slide != last; ++slide) {
            slide->number = int(slide - first) + 1;
            slide->of = int(last - first);
        }
        first = last;
    }
}

} // namespace mivanta
