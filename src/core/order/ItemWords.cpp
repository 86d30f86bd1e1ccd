// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemWords.h"
#include "core/base/Cases.h"

namespace mivanta {

SongItem songItem(Song song) {
    return {std::make_shared<const Song>(std::move(song))};
}

PassageItem passageItem(Passage passage) {
    return {std::make_shared<const Passage>(std::move(passage))};
}

TextItem textItem(SpokenText text, QMap<QString, QString> answers) {
    return {std::make_shared<const SpokenText>(std::move(text)), std::move(answers)};
}

namespace {

/// The name, or the kind of what has none.
QString namedOr(const QString& name, const ItemWords& words) {
    return name.trimmed().isEmpty() ? kindText(words) : name;
}

QString countdownTitle(const CountdownItem& item) {
    const QString words = item.words.section(u'\n', 0, 0).trimmed();
    return words.isEmpty() ? QStringLiteral("Countdown") : words;
}

QString slotText(const SlotItem& item) {
    if (item.wants == ItemKind::Song)
        return QStringLiteral("song to choose");
    if (item.wants == ItemKind::Passage)
        return QStringLiteral("scripture to choose");
    return item.wants == ItemKind::Text ? QStringLiteral("text to choose") : QStringLiteral("to choose");
}

QString pictureTitle(const PictureItem& item) {
    return !item.title.isEmpty() || item.pictures.empty() ? item.title : item.pictures.front().caption;
}

} // namespace

QString titleOf(const ItemWords& words) {
    return std::visit(
        Cases{[](const Heading& heading) { return heading.title; },
              [](const SongItem& item) { return item.song->title; },
              [](const PassageItem& item) { return item.passage->title(); },
              [](const TextItem& item) { return item.text->title; },
              [&](const PictureItem& item) { return namedOr(pictureTitle(item), words); },
              [&](const NoteItem& item) { return namedOr(item.words.section(u'\n', 0, 0), words); },
              [&](const PauseItem& item) { return namedOr(item.title, words); },
              [](const CountdownItem& item) { return countdownTitle(item); },
              [&](const SlotItem& item) { return namedOr(item.name, words); },
              [](const UnknownItem& item) { return item.title.isEmpty() ? item.kind : item.title; }},
        words);
}

QString kindText(const ItemWords& words) {
    return std::visit(Cases{[](const Heading&) { return QString(); },
                            [](const SongItem&) { return QStringLiteral("Song"); },
                            [](const PassageItem&) { return QStringLiteral("Scripture"); },
                            [](const TextItem& item) { return textKindName(item.text->kind); },
                            [](const PictureItem& item) {
                                return item.pictures.size() == 1
                                           ? QStringLiteral("Picture")
                                           : QStringLiteral("%1 pictures").arg(item.pictures.size());
                            },
                            [](const NoteItem&) { return QStringLiteral("Note"); },
                            [](const PauseItem&) { return QStringLiteral("Pause"); },
                            [](const CountdownItem& item) {
                                return item.to ? QStringLiteral("until ") +
                                                     item.to->toString(QStringLiteral("HH:mm"))
                                               : QStringLiteral("counts down");
                            },
                            [](const SlotItem& item) { return slotText(item); },
                            [](const UnknownItem&) { return QStringLiteral("not known here"); }},
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
    if (auto* note = std::get_if<NoteItem>(&words))
        return Name(&note->words);
    if (auto* pause = std::get_if<PauseItem>(&words))
        return Name(&pause->title);
    if (auto* slot = std::get_if<SlotItem>(&words))
        return Name(&slot->name);
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
              [&](const NoteItem& item) { return item == std::get<NoteItem>(b); },
              [&](const PauseItem& item) { return item == std::get<PauseItem>(b); },
              [&](const CountdownItem& item) { return item == std::get<CountdownItem>(b); },
              [&](const SlotItem& item) { return item == std::get<SlotItem>(b); },
              [&](const UnknownItem& item) { return item.json == std::get<UnknownItem>(b).json; }},
        a);
}

std::optional<ItemKind> kindOf(const ItemWords& words) {
    using Kind = std::optional<ItemKind>;
    return std::visit(
        Cases{[](const Heading&) { return Kind(); }, [](const SongItem&) { return Kind(ItemKind::Song); },
              [](const PassageItem&) { return Kind(ItemKind::Passage); },
              [](const TextItem&) { return Kind(ItemKind::Text); },
              [](const PictureItem&) { return Kind(ItemKind::Picture); },
              [](const NoteItem&) { return Kind(); }, [](const PauseItem&) { return Kind(ItemKind::Pause); },
              [](const CountdownItem&) { return Kind(ItemKind::Pause); },
              [](const SlotItem&) { return Kind(); }, [](const UnknownItem&) { return Kind(); }},
        words);
}

} // namespace mivanta
