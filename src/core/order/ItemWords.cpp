// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemWords.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include "core/order/ItemKinds.h"
#include <QFileInfo>
#include <array>

namespace mivanta {

SongItem songItem(Song song) {
    return {std::make_shared<const Song>(std::move(song))};
}

PassageItem passageItem(Passage passage) {
    return {std::make_shared<const Passage>(std::move(passage))};
}

namespace {

/// What files are called, as people say it.
QString captionOf(const Medium& medium) {
    return QString(medium.title).replace(u'-', u' ');
}

} // namespace

OrderPicture pictureOf(const Medium& medium) {
    return {medium.name, medium.caption.isEmpty() ? captionOf(medium) : medium.caption};
}

MusicPiece pieceOf(const Medium& medium) {
    return {medium.name, captionOf(medium), medium.facts ? medium.facts->seconds : 0, medium.from, medium.to};
}

ItemWords itemOf(const Medium& medium) {
    switch (medium.kind) {
    case MediumKind::Picture:
        return PictureItem{{}, {pictureOf(medium)}};
    case MediumKind::Film: {
        FilmItem film;
        film.name = medium.name;
        film.caption = captionOf(medium);
        film.seconds = medium.facts ? medium.facts->seconds : 0;
        film.isHeard = medium.facts && medium.facts->hasSound;
        film.from = medium.from;
        film.to = medium.to;
        return film;
    }
    case MediumKind::Sound:
        break;
    }
    return MusicItem{{}, {pieceOf(medium)}};
}

double MusicItem::length() const {
    double all = 0;
    for (const MusicPiece& piece : pieces) {
        if (piece.length() <= 0)
            return 0;
        all += piece.length();
        if (&piece != &pieces.back())
            all -= crossfadeOf(crossfade, piece.length());
    }
    return all;
}

TextItem textItem(SpokenText text, QMap<QString, QString> answers) {
    return {std::make_shared<const SpokenText>(std::move(text)), std::move(answers)};
}

namespace {

QString slotText(const SlotItem& item) {
    if (item.wants == ItemKind::Song)
        return Said::tr("song to choose");
    if (item.wants == ItemKind::Passage)
        return Said::tr("scripture to choose");
    return item.wants == ItemKind::Text ? Said::tr("text to choose") : Said::tr("to choose");
}

QString pictureTitle(const PictureItem& item) {
    return !item.title.isEmpty() || item.pictures.empty() ? item.title : item.pictures.front().caption;
}

QString firstLine(const QString& text) {
    return text.section(u'\n', 0, 0);
}

} // namespace

QString givenName(const ItemWords& words) {
    return std::visit(
        Cases{[](const Heading& heading) { return heading.title; },
              [](const SongItem& item) { return item.song->title; },
              [](const PassageItem& item) { return item.passage->title(); },
              [](const TextItem& item) { return item.text->title; },
              [](const PictureItem& item) { return pictureTitle(item); },
              [](const FilmItem& item) { return item.title.isEmpty() ? item.caption : item.title; },
              [](const LiveItem& item) { return item.title.isEmpty() ? item.caption : item.title; },
              [](const MusicItem& item) {
                  return item.title.isEmpty() && !item.pieces.empty() ? item.pieces.front().caption
                                                                      : item.title;
              },
              [](const NoteItem& item) { return firstLine(item.words); },
              [](const PauseItem& item) { return item.title; },
              [](const CountdownItem& item) { return firstLine(item.words).trimmed(); },
              [](const SlotItem& item) { return item.name; }, [](const LoopItem& item) { return item.title; },
              [](const UnknownItem& item) { return item.title; }},
        words);
}

QString titleOf(const ItemWords& words) {
    QString name = givenName(words);
    if (!name.trimmed().isEmpty())
        return name;
    return std::visit(Cases{[](const SlotItem& item) {
                                return item.wants == ItemKind::Song      ? Said::tr("A song")
                                       : item.wants == ItemKind::Passage ? Said::tr("A reading")
                                       : item.wants == ItemKind::Text    ? Said::tr("A text")
                                                                         : Said::tr("to choose");
                            },
                            [](const CountdownItem&) { return Said::tr("Countdown"); },
                            [](const UnknownItem& item) { return item.kind; },
                            [&](const auto&) { return kindText(words); }},
                      words);
}

const ItemKindFacts& factsOf(const ItemWords& words) {
    static const std::array<ItemKindFacts, std::variant_size_v<ItemWords>> facts{{
        {"heading", {}},
        {"song", ItemKind::Song, true},
        {"passage", ItemKind::Passage, true},
        {"text", ItemKind::Text, true},
        {"pictures", ItemKind::Picture, true},
        {"film", ItemKind::Picture, true},
        {"live", ItemKind::Picture, true},
        {"music", ItemKind::Pause, true},
        {"note", {}},
        {"pause", ItemKind::Pause, true},
        {"countdown", ItemKind::Pause, true},
        {"slot", {}, true},
        {"loop", {}, true},
        {"unknown", {}},
    }};
    return facts[words.index()];
}

QString kindKey(const ItemWords& words) {
    const auto* unknown = std::get_if<UnknownItem>(&words);
    return unknown ? unknown->kind : QString::fromLatin1(factsOf(words).key);
}

std::optional<ItemKind> kindOf(const ItemWords& words) {
    return factsOf(words).look;
}

QString kindText(const ItemWords& words) {
    return std::visit(
        Cases{[](const Heading&) { return QString(); }, [](const SongItem&) { return Said::tr("Song"); },
              [](const PassageItem&) { return Said::tr("Scripture"); },
              [](const TextItem& item) { return textKindName(item.text->kind); },
              [](const PictureItem& item) {
                  return item.pictures.size() == 1
                             ? Said::tr("Picture")
                             : Said::tr("%n pictures", nullptr, Said::n(item.pictures.size()));
              },
              [](const FilmItem&) { return Said::tr("Film"); },
              [](const LiveItem&) { return Said::tr("Live picture"); },
              [](const MusicItem& item) {
                  return item.pieces.size() == 1
                             ? Said::tr("Music")
                             : Said::tr("%n pieces of music", nullptr, Said::n(item.pieces.size()));
              },
              [](const NoteItem&) { return Said::tr("Note"); },
              [](const PauseItem&) { return Said::tr("Pause"); },
              [](const CountdownItem& item) {
                  return item.to ? Said::tr("until %1").arg(item.to->toString(QStringLiteral("HH:mm")))
                                 : Said::tr("counts down");
              },
              [](const SlotItem& item) { return slotText(item); },
              [](const LoopItem&) { return Said::tr("Loop"); },
              [](const UnknownItem&) { return Said::tr("not known here"); }},
        words);
}

namespace {

/// Where the name is kept; null for what has it elsewhere.
template <typename Words>
auto nameIn(Words& words) {
    using Name = std::conditional_t<std::is_const_v<Words>, const QString*, QString*>;
    if (auto* heading = std::get_if<Heading>(&words))
        return Name(&heading->title);
    if (auto* pictures = std::get_if<PictureItem>(&words))
        return Name(&pictures->title);
    if (auto* film = std::get_if<FilmItem>(&words))
        return Name(&film->title);
    if (auto* live = std::get_if<LiveItem>(&words))
        return Name(&live->title);
    if (auto* music = std::get_if<MusicItem>(&words))
        return Name(&music->title);
    if (auto* note = std::get_if<NoteItem>(&words))
        return Name(&note->words);
    if (auto* pause = std::get_if<PauseItem>(&words))
        return Name(&pause->title);
    if (auto* slot = std::get_if<SlotItem>(&words))
        return Name(&slot->name);
    if (auto* loop = std::get_if<LoopItem>(&words))
        return Name(&loop->title);
    auto* countdown = std::get_if<CountdownItem>(&words);
    return countdown ? Name(&countdown->words) : Name(nullptr);
}

} // namespace

bool canBeNamed(const ItemWords& words) {
    return nameIn(words) != nullptr;
}

ItemWords named(ItemWords words, const QString& name) {
    if (QString* kept = nameIn(words))
        *kept = name;
    return words;
}

bool isSame(const ItemWords& a, const ItemWords& b) {
    if (a.index() != b.index())
        return false;
    return std::visit(
        Cases{[&](const Heading& heading) { return heading.title == std::get<Heading>(b).title; },
              [&](const SongItem& item) { return item.song == std::get<SongItem>(b).song; },
              [&](const PassageItem& item) { return item.passage == std::get<PassageItem>(b).passage; },
              [&](const TextItem& item) {
                  const auto& other = std::get<TextItem>(b);
                  return item.text == other.text && item.answers == other.answers;
              },
              [&](const PictureItem& item) { return item == std::get<PictureItem>(b); },
              [&](const FilmItem& item) { return item == std::get<FilmItem>(b); },
              [&](const LiveItem& item) { return item == std::get<LiveItem>(b); },
              [&](const MusicItem& item) { return item == std::get<MusicItem>(b); },
              [&](const NoteItem& item) { return item == std::get<NoteItem>(b); },
              [&](const PauseItem& item) { return item == std::get<PauseItem>(b); },
              [&](const CountdownItem& item) { return item == std::get<CountdownItem>(b); },
              [&](const SlotItem& item) { return item == std::get<SlotItem>(b); },
              [&](const LoopItem& item) { return item == std::get<LoopItem>(b); },
              [&](const UnknownItem& item) { return item.json == std::get<UnknownItem>(b).json; }},
        a);
}

} // namespace mivanta
