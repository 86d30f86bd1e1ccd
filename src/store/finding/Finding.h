// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "core/scripture/ReferenceParser.h"
#include "store/Library.h"

namespace mivanta {

/// A passage that a typed reference means.
struct FoundPassage {
    TranslationId translation;
    QString shortName;
    Understanding understood;
};

/// A book that a typed name may mean.
struct FoundBook {
    QString name;
    QString typed; ///< the query with this book in it
};

using FindHit = std::variant<SongHit, TextHit, VerseHit, FoundPassage, FoundBook>;

enum FindKind : unsigned { FindSongs = 1, FindTexts = 2, FindScripture = 4, FindAll = 7 };

struct FindQuery {
    QString text;
    unsigned kinds = FindAll; ///< of FindKind
    SongFilter filter;        ///< unless it is empty, only songs are found
};

struct FindResult {
    std::vector<FindHit> hits;
    Understanding understood; ///< of the query as a reference
};

/// A passage to be put into an order.
struct PassagePick {
    std::vector<TranslationId> translations; ///< empty = the usual one
    Reference reference;
    friend bool operator==(const PassagePick&, const PassagePick&) = default;
};

/// What can be put into an order.
using FindPick = std::variant<SongId, TextId, PassagePick>;

/// What choosing the hit puts into an order; nothing for a book.
[[nodiscard]] std::optional<FindPick> pickOf(const FindHit& hit);
[[nodiscard]] QString titleOf(const FindHit& hit);

/// Everything that the query finds, the best first: the passage that it names; songs; texts; verses of the
/// translation by their words. A translation's short name at its end chooses that translation. An empty query
/// finds every song and text.
[[nodiscard]] Result<FindResult> findEverything(Library& library, const FindQuery& query);
/// The words of a pick; a passage in its usual layout.
[[nodiscard]] Result<ItemWords> wordsOf(Library& library, const FindPick& pick);

/// Picks as they are dragged from one place to another.
[[nodiscard]] QByteArray picksToBytes(const std::vector<FindPick>& picks);
[[nodiscard]] std::vector<FindPick> picksFromBytes(const QByteArray& bytes);

} // namespace mivanta
