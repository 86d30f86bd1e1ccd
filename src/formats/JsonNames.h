// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveInput.h"
#include "core/run/Output.h"
#include "core/scripture/Passage.h"
#include "core/song/Song.h"
#include "core/text/SpokenText.h"
#include "core/theme/Theme.h"
#include <QLatin1String>
#include <array>
#include <utility>

namespace mivanta {

/// The words that stand for enumerators in files. They never change once released.
template <typename Enum>
struct JsonNames;

template <>
struct JsonNames<PartKind> {
    static constexpr std::array names{
        std::pair{PartKind::Verse, "verse"},   std::pair{PartKind::PreChorus, "pre-chorus"},
        std::pair{PartKind::Chorus, "chorus"}, std::pair{PartKind::Bridge, "bridge"},
        std::pair{PartKind::Intro, "intro"},   std::pair{PartKind::Interlude, "interlude"},
        std::pair{PartKind::Tag, "tag"},       std::pair{PartKind::Ending, "ending"},
        std::pair{PartKind::Other, "other"}};
};
template <>
struct JsonNames<AuthorRole> {
    static constexpr std::array names{
        std::pair{AuthorRole::Words, "words"}, std::pair{AuthorRole::Music, "music"},
        std::pair{AuthorRole::Translation, "translation"}, std::pair{AuthorRole::Arrangement, "arrangement"}};
};
template <>
struct JsonNames<OutputKind> {
    static constexpr std::array names{std::pair{OutputKind::Hall, "hall"},
                                      std::pair{OutputKind::Stage, "stage"},
                                      std::pair{OutputKind::Stream, "stream"}};
};
template <>
struct JsonNames<LiveKind> {
    static constexpr std::array names{
        std::pair{LiveKind::Camera, "camera"}, std::pair{LiveKind::Monitor, "monitor"},
        std::pair{LiveKind::Window, "window"}, std::pair{LiveKind::Network, "network"},
        std::pair{LiveKind::File, "file"},     std::pair{LiveKind::Output, "output"}};
};
template <>
struct JsonNames<PlaceKind> {
    static constexpr std::array names{
        std::pair{PlaceKind::Automatic, "automatic"}, std::pair{PlaceKind::Monitor, "monitor"},
        std::pair{PlaceKind::Window, "window"}, std::pair{PlaceKind::Closed, "closed"}};
};

template <>
struct JsonNames<RoomLight> {
    static constexpr std::array names{std::pair{RoomLight::Dark, "dark"},
                                      std::pair{RoomLight::Dimmed, "dimmed"},
                                      std::pair{RoomLight::Daylight, "daylight"}};
};
template <>
struct JsonNames<PictureFit> {
    static constexpr std::array names{std::pair{PictureFit::Fill, "fill"},
                                      std::pair{PictureFit::Whole, "whole"},
                                      std::pair{PictureFit::Stretch, "stretch"}};
};
template <>
struct JsonNames<HorizontalAlign> {
    static constexpr std::array names{std::pair{HorizontalAlign::Left, "left"},
                                      std::pair{HorizontalAlign::Centre, "centre"},
                                      std::pair{HorizontalAlign::Right, "right"}};
};
template <>
struct JsonNames<Turn> {
    static constexpr std::array names{std::pair{Turn::None, "none"}, std::pair{Turn::Right, "right"},
                                      std::pair{Turn::Half, "half"}, std::pair{Turn::Left, "left"}};
};
template <>
struct JsonNames<Ground> {
    static constexpr std::array names{std::pair{Ground::Black, "black"}, std::pair{Ground::Key, "key"},
                                      std::pair{Ground::SeeThrough, "see-through"}};
};
template <>
struct JsonNames<ItemKind> {
    static constexpr std::array names{
        std::pair{ItemKind::Song, "song"}, std::pair{ItemKind::Passage, "passage"},
        std::pair{ItemKind::Text, "text"}, std::pair{ItemKind::Picture, "picture"},
        std::pair{ItemKind::Pause, "pause"}};
};

template <>
struct JsonNames<TextKind> {
    static constexpr std::array names{
        std::pair{TextKind::Liturgy, "liturgy"},   std::pair{TextKind::Prayer, "prayer"},
        std::pair{TextKind::Response, "response"}, std::pair{TextKind::Creed, "creed"},
        std::pair{TextKind::Notice, "notice"},     std::pair{TextKind::Other, "other"}};
};
template <>
struct JsonNames<VerseStart> {
    static constexpr std::array names{std::pair{VerseStart::Continues, "continues"},
                                      std::pair{VerseStart::Paragraph, "paragraph"},
                                      std::pair{VerseStart::Poetry, "poetry"}};
};
template <>
struct JsonNames<CopyrightOn> {
    static constexpr std::array names{std::pair{CopyrightOn::Every, "every"},
                                      std::pair{CopyrightOn::Last, "last"},
                                      std::pair{CopyrightOn::Never, "never"}};
};
template <>
struct JsonNames<Numbering> {
    static constexpr std::array names{std::pair{Numbering::English, "english"},
                                      std::pair{Numbering::Hebrew, "hebrew"},
                                      std::pair{Numbering::Greek, "greek"}};
};
template <>
struct JsonNames<PassageFlow> {
    static constexpr std::array names{std::pair{PassageFlow::Running, "running"},
                                      std::pair{PassageFlow::VerseALine, "verse-a-line"},
                                      std::pair{PassageFlow::VerseASlide, "verse-a-slide"}};
};
template <>
struct JsonNames<VerseNumbers> {
    static constexpr std::array names{std::pair{VerseNumbers::Raised, "raised"},
                                      std::pair{VerseNumbers::Inline, "inline"},
                                      std::pair{VerseNumbers::None, "none"}};
};
template <>
struct JsonNames<ReferenceOn> {
    static constexpr std::array names{std::pair{ReferenceOn::Every, "every"},
                                      std::pair{ReferenceOn::Last, "last"},
                                      std::pair{ReferenceOn::None, "none"}};
};
template <>
struct JsonNames<ReferencePlace> {
    static constexpr std::array names{std::pair{ReferencePlace::CreditLine, "credit-line"},
                                      std::pair{ReferencePlace::BesideWords, "beside-words"}};
};

template <typename Enum>
[[nodiscard]] QString nameOf(Enum value) {
    for (const auto& [known, name] : JsonNames<Enum>::names)
        if (known == value)
            return QLatin1String(name);
    return {};
}

/// The enumerator, or `otherwise` for a word that this version does not know.
template <typename Enum>
[[nodiscard]] Enum valueOf(const QString& text, Enum otherwise) {
    for (const auto& [known, name] : JsonNames<Enum>::names)
        if (text == QLatin1String(name))
            return known;
    return otherwise;
}

} // namespace mivanta
