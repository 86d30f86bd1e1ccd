// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/finding/Finding.h"
#include "core/base/Cases.h"
#include "core/base/Fold.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "formats/PassageJson.h"
#include "store/UsualLayout.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kMostSongs = 50;
constexpr int kMostVerses = 12;
constexpr size_t kMostMedia = 12;
constexpr size_t kMostBooks = 8;
constexpr qsizetype kLettersForVerses = 3; // shorter queries find too many to help

bool hasDigit(const QString& text) {
    return std::any_of(text.begin(), text.end(), [](QChar c) { return c.isDigit(); });
}

/// The translation that the query asks for by its last word, which is then taken off; else the usual one.
Result<std::optional<Translation>> translationFor(Library& library, QString& text) {
    const auto all = library.scripture().translations();
    if (!all)
        return tl::unexpected(all.error());
    if (all->empty())
        return std::nullopt;
    const QString last = text.trimmed().section(u' ', -1);
    for (const TranslationSummary& summary : *all)
        if (text.trimmed().contains(u' ') &&
            last.compare(summary.translation.shortName, Qt::CaseInsensitive) == 0) {
            text = text.trimmed().chopped(last.size());
            return summary.translation;
        }
    return all->front().translation;
}

/// Books to choose from, each with the query as it would be then.
std::vector<FindHit> booksFor(const Understanding& understood, const QString& text, const Outline& outline) {
    std::vector<FindHit> hits;
    if (understood.books.size() < 2)
        return hits;
    const auto digit = std::find_if(text.begin() + std::min<qsizetype>(1, text.size()), text.end(),
                                    [](QChar c) { return c.isDigit(); });
    const QString rest = text.mid(digit - text.begin());
    for (size_t i = 0; i < std::min(kMostBooks, understood.books.size()); ++i)
        if (const OutlineBook* book = outline.book(understood.books[i]))
            hits.push_back(FoundBook{book->name, book->name + u' ' + rest});
    return hits;
}

Result<void> addSongs(Library& library, const FindQuery& query, std::vector<FindHit>& hits) {
    if (!query.text.trimmed().isEmpty()) {
        auto songs = library.find(query.text, kMostSongs, query.filter);
        if (!songs)
            return tl::unexpected(songs.error());
        hits.insert(hits.end(), std::make_move_iterator(songs->begin()),
                    std::make_move_iterator(songs->end()));
        return {};
    }
    auto songs = library.songs(query.filter);
    if (!songs)
        return tl::unexpected(songs.error());
    hits.reserve(songs->size());
    for (SongSummary& song : *songs)
        hits.push_back(SongHit{std::move(song), {}, {}});
    return {};
}

Result<void> addTexts(Library& library, const FindQuery& query, std::vector<FindHit>& hits) {
    auto texts = library.texts().find(query.text);
    if (!texts)
        return tl::unexpected(texts.error());
    const QString key = foldedForSearch(query.text).trimmed();
    const auto isTitle = [&](const TextHit& hit) {
        return !key.isEmpty() && foldedForSearch(hit.text.title).trimmed().startsWith(key);
    };
    auto first = std::stable_partition(texts->begin(), texts->end(), isTitle);
    hits.insert(hits.begin(), texts->begin(),
                first); // named as it is typed: before songs that hold the words
    hits.insert(hits.end(), first, texts->end());
    return {};
}

/// In one translation: this is done with every key press, and the same verse ten times helps nobody.
Result<void> addVerses(Library& library, const QString& text, const TranslationId& in,
                       std::vector<FindHit>& hits) {
    if (text.trimmed().size() < kLettersForVerses)
        return {};
    auto verses = library.scripture().find(text, WordSearch::AllWords, in, kMostVerses);
    if (!verses)
        return tl::unexpected(verses.error());
    hits.insert(hits.end(), std::make_move_iterator(verses->begin()), std::make_move_iterator(verses->end()));
    return {};
}

/// None for an empty query: there may be thousands, and the library has a page for them.
Result<void> addMedia(Library& library, const QString& text, std::vector<FindHit>& hits) {
    const QStringList words = searchWords(text);
    if (words.isEmpty())
        return {};
    auto media = library.catalogue().all();
    if (!media)
        return tl::unexpected(media.error());
    size_t found = 0;
    for (Medium& medium : *media) {
        const QString folded = u' ' + foldedForSearch(medium.title + u' ' + medium.caption);
        const bool hasAll = std::all_of(words.begin(), words.end(),
                                        [&](const QString& word) { return folded.contains(u' ' + word); });
        if (hasAll && ++found <= kMostMedia)
            hits.push_back(MediumHit{std::move(medium), words});
    }
    return {};
}

QJsonObject pickToJson(const FindPick& pick) {
    return std::visit(Cases{[](const SongId& id) {
                                return QJsonObject{{u"song"_s, id.text()}};
                            },
                            [](const TextId& id) {
                                return QJsonObject{{u"text"_s, id.text()}};
                            },
                            [](const PassagePick& passage) {
                                QJsonArray translations;
                                for (const TranslationId& id : passage.translations)
                                    translations.append(id.text());
                                return QJsonObject{{u"translations"_s, translations},
                                                   {u"ranges"_s, rangesToJson(passage.reference)}};
                            },
                            [](const MediumPick& medium) {
                                return QJsonObject{{u"medium"_s, medium.name}, {u"path"_s, medium.path}};
                            }},
                      pick);
}

} // namespace

std::optional<FindPick> pickOf(const FindHit& hit) {
    using Pick = std::optional<FindPick>;
    return std::visit(Cases{[](const SongHit& song) { return Pick(song.song.id); },
                            [](const TextHit& text) { return Pick(text.text.id); },
                            [](const VerseHit& verse) {
                                const VerseRange range{verse.book,
                                                       {verse.chapter, verse.number, 0},
                                                       {verse.chapter, verse.lastNumber, 0}};
                                return Pick(PassagePick{{verse.translation}, {{range}}});
                            },
                            [](const FoundPassage& passage) {
                                return Pick(PassagePick{{passage.translation}, passage.understood.reference});
                            },
                            [](const FoundBook&) { return Pick(); },
                            [](const MediumHit& hit) {
                                return Pick(MediumPick{hit.medium.name, hit.path});
                            }},
                      hit);
}

QString titleOf(const FindHit& hit) {
    return std::visit(Cases{[](const SongHit& song) { return song.song.title; },
                            [](const TextHit& text) { return text.text.title; },
                            [](const VerseHit& verse) { return verse.place(); },
                            [](const FoundPassage& passage) { return passage.understood.text; },
                            [](const FoundBook& book) { return book.name; },
                            [](const MediumHit& hit) { return hit.medium.title; }},
                      hit);
}

Result<FindResult> LibraryFinder::find(const FindQuery& query) {
    FindResult result;
    QString text = query.text;
    std::vector<FindHit> books;
    TranslationId read;
    const bool onlySongs = !query.filter.isEmpty();
    if ((query.kinds & FindScripture) && !onlySongs && !text.trimmed().isEmpty()) {
        const auto translation = translationFor(m_library, text);
        if (!translation)
            return tl::unexpected(translation.error());
        if (*translation) {
            read = (*translation)->id;
            const auto outline = m_library.scripture().outline((*translation)->id);
            if (!outline)
                return tl::unexpected(outline.error());
            result.understood = understandReference(text, *outline);
            if (result.understood.state == ReferenceState::Understood)
                result.hits.push_back(
                    FoundPassage{(*translation)->id, (*translation)->shortName, result.understood});
            books = booksFor(result.understood, text, *outline);
        }
    }
    if (hasDigit(text)) // it can hardly be anything else
        result.hits.insert(result.hits.end(), books.begin(), books.end());
    std::vector<FindHit> others;
    if (query.kinds & FindSongs)
        if (auto added = addSongs(m_library, query, others); !added)
            return tl::unexpected(added.error());
    if ((query.kinds & FindTexts) && !onlySongs)
        if (auto added = addTexts(m_library, query, others); !added)
            return tl::unexpected(added.error());
    if ((query.kinds & FindMedia) && !onlySongs)
        if (auto added = addMedia(m_library, query.text, others); !added)
            return tl::unexpected(added.error());
    result.hits.insert(result.hits.end(), std::make_move_iterator(others.begin()),
                       std::make_move_iterator(others.end()));
    if (!hasDigit(text))
        result.hits.insert(result.hits.end(), books.begin(), books.end());
    if (!read.isNull() && result.understood.state != ReferenceState::Understood)
        if (auto added = addVerses(m_library, text, read, result.hits); !added)
            return tl::unexpected(added.error());
    return result;
}

namespace {

Result<ItemWords> mediumWords(Library& library, const MediumPick& pick) {
    auto medium = library.catalogue().medium(pick.name);
    if (!medium)
        return tl::unexpected(medium.error());
    if (!*medium)
        return failure(Said::tr("this is no longer in the library"), pick.path,
                       Said::tr("Choose another one."));
    return itemOf(**medium);
}

} // namespace

Result<ItemWords> LibraryFinder::words(const FindPick& pick) {
    if (const auto* id = std::get_if<SongId>(&pick)) {
        auto song = m_library.song(*id);
        return song ? Result<ItemWords>(songItem(std::move(*song))) : tl::unexpected(song.error());
    }
    if (const auto* id = std::get_if<TextId>(&pick)) {
        auto text = m_library.texts().text(*id);
        return text ? Result<ItemWords>(textItem(std::move(*text))) : tl::unexpected(text.error());
    }
    if (const auto* medium = std::get_if<MediumPick>(&pick))
        return mediumWords(m_library, *medium);
    PassagePick wanted = std::get<PassagePick>(pick);
    if (wanted.translations.empty()) {
        const auto usual = m_library.scripture().translation({});
        if (!usual)
            return tl::unexpected(usual.error());
        wanted.translations.push_back(usual->id);
    }
    auto passage = m_library.scripture().passage(wanted.translations, wanted.reference,
                                                 loadUsualLayout(m_library.folder()));
    return passage ? Result<ItemWords>(passageItem(std::move(*passage))) : tl::unexpected(passage.error());
}

QByteArray picksToBytes(const std::vector<FindPick>& picks) {
    QJsonArray json;
    for (const FindPick& pick : picks)
        json.append(pickToJson(pick));
    return QJsonDocument(json).toJson(QJsonDocument::Compact);
}

std::vector<FindPick> picksFromBytes(const QByteArray& bytes) {
    std::vector<FindPick> picks;
    for (const QJsonValue& value : QJsonDocument::fromJson(bytes).array()) {
        if (const SongId song = SongId::fromText(value[u"song"_s].toString()); !song.isNull()) {
            picks.emplace_back(song);
        } else if (const TextId text = TextId::fromText(value[u"text"_s].toString()); !text.isNull()) {
            picks.emplace_back(text);
        } else if (PassagePick passage{{}, rangesFromJson(value[u"ranges"_s].toArray())};
                   !passage.reference.isEmpty()) {
            for (const QJsonValue& id : value[u"translations"_s].toArray())
                passage.translations.push_back(TranslationId::fromText(id.toString()));
            picks.emplace_back(std::move(passage));
        } else if (const MediumPick medium{trustedMediaName(value[u"medium"_s].toString()),
                                           value[u"path"_s].toString()};
                   !medium.name.isEmpty() || !medium.path.isEmpty()) {
            picks.emplace_back(medium);
        }
    }
    return picks;
}

} // namespace mivanta
