// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/finding/SurePick.h"
#include "core/base/Cases.h"
#include "core/base/Fold.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kMostNamed = 10;

QString titleKey(const QString& title) {
    return foldedForSearch(title).trimmed();
}

template <typename Hit>
std::vector<FindHit> only(const std::vector<FindHit>& hits, const auto& isWanted) {
    std::vector<FindHit> found;
    std::copy_if(hits.begin(), hits.end(), std::back_inserter(found),
                 [&](const FindHit& hit) { return std::holds_alternative<Hit>(hit) && isWanted(hit); });
    return found;
}

QString namedWithId(const FindHit& hit) {
    const QString id = std::visit(Cases{[](const SongHit& song) { return song.song.id.text(); },
                                        [](const TextHit& text) { return text.text.id.text(); },
                                        [](const auto&) { return QString(); }},
                                  hit);
    return id.isEmpty() ? titleOf(hit) : QStringLiteral("%1 (%2)").arg(titleOf(hit), id);
}

} // namespace

bool isSure(const FindHit& hit, const QString& words) {
    if (std::holds_alternative<FoundPassage>(hit))
        return true;
    const bool isNamed = std::holds_alternative<SongHit>(hit) || std::holds_alternative<TextHit>(hit);
    return isNamed && titleKey(titleOf(hit)) == titleKey(words);
}

Result<FindPick> surePick(Finder& finder, const QString& words, unsigned kinds) {
    const auto found = finder.find({words, kinds, {}});
    if (!found)
        return tl::unexpected(found.error());
    const auto sure = [&](const FindHit& hit) { return isSure(hit, words); };
    const auto songs = only<SongHit>(found->hits, [](const FindHit&) { return true; });
    std::vector<FindHit> meant = only<SongHit>(found->hits, sure);
    if (meant.empty())
        meant = only<TextHit>(found->hits, sure);
    if (meant.empty())
        meant = only<FoundPassage>(found->hits, sure);
    if (meant.empty())
        meant = songs;
    if (meant.size() == 1)
        return *pickOf(meant.front());
    if (meant.empty())
        return failure(kinds == FindSongs ? Said::tr("no song \"%1\" was found").arg(words)
                                          : Said::tr("nothing called \"%1\" was found").arg(words));
    QStringList choices;
    for (const FindHit& hit : meant)
        if (choices.size() < kMostNamed)
            choices << namedWithId(hit);
    return failure(Said::tr("\"%1\" could be %2").arg(words, Said::any(choices)), {},
                   Said::tr("Give the id."));
}

} // namespace mivanta
