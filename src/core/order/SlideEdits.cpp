// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/SlideEdits.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

void SlideEdits::hide(const SlidePlace& place) {
    if (std::find(hidden.begin(), hidden.end(), place) == hidden.end())
        hidden.push_back(place);
}

void SlideEdits::show(const SlidePlace& place) {
    std::erase(hidden, place);
}

void SlideEdits::setWords(const SlidePlace& place, const QString& given) {
    std::erase_if(words, [&](const SlideWords& w) { return w.place == place; });
    if (!given.trimmed().isEmpty())
        words.push_back({place, given});
}

QString SlideEdits::wordsAt(const SlidePlace& place) const {
    const auto at =
        std::find_if(words.begin(), words.end(), [&](const SlideWords& w) { return w.place == place; });
    return at == words.end() ? QString() : at->words;
}

PartTime partTimeOf(int entry, const ItemContent& content) {
    const auto keyOf = [&](int e) -> const QString& {
        return content.parts[size_t(content.entries[size_t(e)].part)].key;
    };
    PartTime result{keyOf(entry), content.entries[size_t(entry)].time};
    if (result.time == 0)
        for (int e = 0; e <= entry; ++e)
            result.time += keyOf(e) == result.part ? 1 : 0;
    return result;
}

int entryOf(const PartTime& at, const ItemContent& content) {
    int time = 0;
    for (size_t e = 0; e < content.entries.size(); ++e) {
        const ContentEntry& entry = content.entries[e];
        if (content.parts[size_t(entry.part)].key != at.part)
            continue;
        ++time;
        if ((entry.time > 0 ? entry.time : time) == at.time)
            return int(e);
    }
    return -1;
}

std::vector<PartTime> movedEntry(const ItemContent& content, int entry, int by) {
    const int to = entry + by;
    const int count = int(content.entries.size());
    if (entry < 0 || entry >= count || to < 0 || to >= count || by == 0)
        return {};
    std::vector<PartTime> order;
    for (int e = 0; e < count; ++e)
        order.push_back(partTimeOf(e, content));
    const PartTime moved = order[size_t(entry)];
    order.erase(order.begin() + entry);
    order.insert(order.begin() + to, moved);
    return order;
}

namespace {

std::vector<ContentLine> linesOf(const QString& words) {
    std::vector<ContentLine> lines;
    for (const QString& line : words.split(u'\n'))
        lines.emplace_back(Line{line.trimmed()});
    return lines;
}

/// The content while it is changed: an entry gets a part of its own as soon as it differs from the others of
/// its part. Entries keep their places, so that edits name them as they were written.
class Editing {
public:
    explicit Editing(ItemContent& content) : m_content(content), m_gone(content.entries.size(), false) {
        for (ContentPart& part : content.parts)
            for (size_t l = 0; l < part.lines.size(); ++l)
                part.lines[l].number = int(l);
        for (size_t e = 0; e < content.entries.size(); ++e)
            content.entries[e].time = partTimeOf(int(e), content).time;
    }

    void replace(const SlideWords& given) {
        if (ContentPart* part = ownPart(given.place)) {
            const auto [first, last] = linesAt(*part, given.place);
            const bool breaks = first != last && first->breakBefore;
            auto lines = linesOf(given.words);
            lines.front().breakBefore = breaks;
            for (ContentLine& line : lines) {
                line.number = given.place.line;
                line.numberTo = given.place.toLine;
            }
            const auto at = part->lines.erase(first, last);
            part->lines.insert(at, lines.begin(), lines.end());
            part->isBlank = false;
        }
    }

    void hide(const SlidePlace& place) {
        ContentPart* part = ownPart(place);
        if (!part)
            return;
        const auto [first, last] = linesAt(*part, place);
        const bool wasBreak = first != last && first->breakBefore;
        const auto at = part->lines.erase(first, last);
        if (at != part->lines.end() && (wasBreak || at != part->lines.begin()))
            at->breakBefore = true; // what stood on either side of it stays apart
        if (part->lines.empty())
            m_gone[size_t(entryOf({place.part, place.time}, m_content))] = true;
    }

    /// Entries in this order, without those that are hidden.
    void arrange(const std::vector<PartTime>& order) {
        if (std::find(m_gone.begin(), m_gone.end(), false) == m_gone.end())
            return;
        std::vector<int> places;
        for (const PartTime& at : order)
            if (const int entry = entryOf(at, m_content);
                entry >= 0 && std::find(places.begin(), places.end(), entry) == places.end())
                places.push_back(entry);
        for (int e = 0; e < int(m_content.entries.size()); ++e)
            if (std::find(places.begin(), places.end(), e) == places.end())
                places.push_back(e);
        std::vector<ContentEntry> entries;
        for (const int place : places)
            if (!m_gone[size_t(place)])
                entries.push_back(m_content.entries[size_t(place)]);
        m_content.entries = std::move(entries);
    }

    [[nodiscard]] bool hidesAll() const {
        return std::find(m_gone.begin(), m_gone.end(), false) == m_gone.end();
    }

private:
    using At = std::vector<ContentLine>::iterator;

    ContentPart* ownPart(const SlidePlace& place) {
        const int entry = entryOf({place.part, place.time}, m_content);
        if (entry < 0)
            return nullptr;
        int& index = m_content.entries[size_t(entry)].part;
        const auto users = std::count_if(m_content.entries.begin(), m_content.entries.end(),
                                         [&](const ContentEntry& e) { return e.part == index; });
        if (users > 1) {
            m_content.parts.push_back(m_content.parts[size_t(index)]);
            index = int(m_content.parts.size()) - 1;
        }
        return &m_content.parts[size_t(index)];
    }

    static std::pair<At, At> linesAt(ContentPart& part, const SlidePlace& place) {
        const auto isIn = [&](const ContentLine& line) {
            return line.number >= place.line && line.number <= place.toLine;
        };
        const auto first = std::find_if(part.lines.begin(), part.lines.end(), isIn);
        return {first, std::find_if_not(first, part.lines.end(), isIn)};
    }

    ItemContent& m_content;
    std::vector<bool> m_gone; ///< by entry
};

} // namespace

ItemContent withEdits(ItemContent content, const SlideEdits& edits) {
    if (!edits.hidden.empty() || !edits.words.empty() || !edits.order.empty()) {
        ItemContent changed = content;
        Editing editing(changed);
        for (const SlideWords& words : edits.words)
            editing.replace(words);
        ItemContent shown = changed;
        for (const SlidePlace& place : edits.hidden)
            editing.hide(place);
        const bool isNothingLeft = !changed.entries.empty() && editing.hidesAll();
        editing.arrange(edits.order);
        content = isNothingLeft ? std::move(shown) : std::move(changed);
    }
    if (!edits.stageNote.isEmpty())
        for (ContentEntry& entry : content.entries)
            entry.stageNote = entry.stageNote.isEmpty()
                                  ? edits.stageNote
                                  : edits.stageNote + QStringLiteral(" \u00b7 ") + entry.stageNote;
    if (!edits.stageWords.trimmed().isEmpty()) {
        ContentPart part;
        part.key = QStringLiteral("Stage");
        part.label = Said::tr("Stage");
        part.lines = linesOf(edits.stageWords);
        content.stageWords = std::move(part);
    }
    return content;
}

} // namespace mivanta
