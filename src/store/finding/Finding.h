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

/// A picture, film or sound of the library.
struct MediumHit {
    Medium medium;
    QStringList marked; ///< as SongHit has it
    QString path{};     ///< of a file that is not in the library; empty = it is
};

using FindHit = std::variant<SongHit, TextHit, VerseHit, FoundPassage, FoundBook, MediumHit>;

enum FindKind : unsigned { FindSongs = 1, FindTexts = 2, FindScripture = 4, FindMedia = 8, FindAll = 15 };

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

/// A picture, film or sound to be put into an order.
struct MediumPick {
    QString name; ///< of its file in the media folder; empty = `path`, which is still to be brought in
    QString path;
    friend bool operator==(const MediumPick&, const MediumPick&) = default;
};

/// What can be put into an order.
using FindPick = std::variant<SongId, TextId, PassagePick, MediumPick>;

/// What choosing the hit puts into an order; nothing for a book.
[[nodiscard]] std::optional<FindPick> pickOf(const FindHit& hit);
[[nodiscard]] QString titleOf(const FindHit& hit);

/// Where Find looks, and where what was found comes from. Synchronous.
class Finder {
public:
    virtual ~Finder() = default;
    /// Everything that the query finds, the best first: the passage that it names; songs; texts; media by
    /// title and caption; verses of the translation by their words. A translation's short name at its end
    /// chooses that translation. An empty query finds every song and text.
    [[nodiscard]] virtual Result<FindResult> find(const FindQuery& query) = 0;
    /// The words of a pick; a passage in its usual layout, a film the part of it that was chosen in the
    /// library. A file that is not in the library has none.
    [[nodiscard]] virtual Result<ItemWords> words(const FindPick& pick) = 0;
};

/// In a library of a folder; used on its thread.
class LibraryFinder final : public Finder {
public:
    explicit LibraryFinder(Library& library) : m_library(library) {}
    [[nodiscard]] Result<FindResult> find(const FindQuery& query) override;
    [[nodiscard]] Result<ItemWords> words(const FindPick& pick) override;

private:
    Library& m_library;
};

/// Picks as they are dragged from one place to another.
[[nodiscard]] QByteArray picksToBytes(const std::vector<FindPick>& picks);
[[nodiscard]] std::vector<FindPick> picksFromBytes(const QByteArray& bytes);

} // namespace mivanta
