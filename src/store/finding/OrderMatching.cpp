// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/finding/OrderMatching.h"
#include "core/base/Cases.h"
#include "core/base/Fold.h"
#include "core/base/Said.h"
#include "store/finding/SurePick.h"
#include <algorithm>

namespace mivanta {

namespace {

constexpr size_t kMostChoices = 8;
constexpr int kFewestWords = 2;

QString keyOf(const QString& text) {
    return foldedForSearch(text).trimmed();
}

QString choiceText(const FindHit& hit) {
    return std::visit(
        Cases{[](const SongHit& song) { return Said::tr("Song: %1").arg(song.song.title); },
              [](const TextHit& text) { return Said::tr("Text: %1").arg(text.text.title); },
              [](const VerseHit& verse) { return Said::tr("Verse: %1").arg(verse.place()); },
              [](const FoundPassage& passage) {
                  return Said::tr("Scripture: %1 (%2)").arg(passage.understood.text, passage.shortName);
              },
              [](const FoundBook&) { return QString(); },
              [](const MediumHit& hit) { return Said::tr("Medium: %1").arg(hit.medium.title); }},
        hit);
}

/// What Find has for the words; where that is nothing, for fewer of them from the beginning.
Result<std::vector<FindHit>> hitsFor(Finder& finder, const QString& words) {
    QStringList left = words.split(u' ', Qt::SkipEmptyParts);
    while (true) {
        auto found = finder.find({left.join(u' '), FindAll, {}});
        if (!found)
            return tl::unexpected(found.error());
        std::erase_if(found->hits, [](const FindHit& hit) { return !pickOf(hit); });
        if (!found->hits.empty() || left.size() <= kFewestWords)
            return std::move(found->hits);
        left.removeLast();
    }
}

SlotItem slotOf(const OrderLine& line) {
    const QString name = !line.label.isEmpty() ? line.label : line.words;
    const QString key = keyOf(name);
    const auto hasAny = [&](std::initializer_list<const char*> words) {
        return std::any_of(words.begin(), words.end(),
                           [&](const char* word) { return key.contains(QLatin1String(word)); });
    };
    if (hasAny({"song", "hymn"}))
        return {name, ItemKind::Song};
    if (hasAny({"reading", "scripture", "psalm", "lesson"}))
        return {name, ItemKind::Passage};
    return {name, hasAny({"prayer", "creed"}) ? std::optional(ItemKind::Text) : std::nullopt};
}

MatchedLine matched(const OrderLine& line, std::vector<FindHit> hits) {
    MatchedLine result{line, {}, false};
    const auto sure = std::stable_partition(hits.begin(), hits.end(),
                                            [&](const FindHit& hit) { return isSure(hit, line.words); });
    const auto certain = sure - hits.begin();
    for (const FindHit& hit : hits)
        if (result.choices.size() < kMostChoices)
            result.choices.push_back({choiceText(hit), *pickOf(hit)});
    const LineChoice slot{Said::tr("To be chosen: %1").arg(slotOf(line).name), slotOf(line)};
    const LineChoice note{Said::tr("A note for the operator"), NoteItem{line.written}};
    const bool isPlace = !line.label.isEmpty();
    result.choices.push_back(isPlace ? slot : note);
    result.choices.push_back(isPlace ? note : slot);
    result.choices.push_back(
        {Said::tr("A heading"), Heading{line.words.isEmpty() ? line.label : line.words}});
    result.choices.push_back({Said::tr("Leave it out"), LineChoice::LeftOut{}});
    result.isDoubtful = certain != 1 && !(line.words.isEmpty() && isPlace);
    return result;
}

} // namespace

Result<std::vector<MatchedLine>> matchOrder(Finder& finder, const std::vector<OrderLine>& lines) {
    std::vector<MatchedLine> all;
    for (const OrderLine& line : lines) {
        if (line.kind == OrderLine::Kind::Heading) {
            all.push_back({line,
                           {{Said::tr("A heading"), Heading{line.words}},
                            {Said::tr("A note for the operator"), NoteItem{line.written}},
                            {Said::tr("Leave it out"), LineChoice::LeftOut{}}},
                           false});
            continue;
        }
        std::vector<FindHit> hits;
        if (!line.words.isEmpty()) {
            auto found = hitsFor(finder, line.words);
            if (!found)
                return tl::unexpected(found.error());
            hits = std::move(*found);
        }
        all.push_back(matched(line, std::move(hits)));
    }
    return all;
}

Result<std::optional<Item>> itemOf(Finder& finder, const OrderLine& line, const LineChoice::What& choice) {
    using Made = Result<std::optional<ItemWords>>;
    auto words = std::visit(Cases{[&](const FindPick& pick) -> Made {
                                      auto found = finder.words(pick);
                                      if (!found)
                                          return tl::unexpected(found.error());
                                      return std::optional(std::move(*found));
                                  },
                                  [](const LineChoice::LeftOut&) -> Made { return std::nullopt; },
                                  [](const auto& given) -> Made { return std::optional<ItemWords>(given); }},
                            choice);
    if (!words)
        return tl::unexpected(words.error());
    if (!*words)
        return std::optional<Item>();
    Item item{ItemId::create(), std::move(**words)};
    if (item.hasPlan()) {
        item.plan.leader = line.leader;
        item.plan.note = line.note;
        item.plan.seconds = line.seconds;
    }
    return std::optional(std::move(item));
}

} // namespace mivanta
