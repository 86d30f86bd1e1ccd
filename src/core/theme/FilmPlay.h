// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveInput.h"
#include "core/theme/Look.h"
#include <optional>

namespace mivanta {

inline constexpr double kLongestFade = 30; ///< seconds

/// A film that plays with scenes, or a live input that stands in one's place. Scenes with equal ones show one
/// and the same film, at the same moment.
struct FilmPlay {
    QString name;         ///< a file of the library's media
    double from = 0;      ///< seconds
    double to = 0;        ///< seconds; 0 = its end
    bool isOnce = false;  ///< it keeps its last picture; else it goes round
    bool isHeard = false; ///< with its sound
    int volume = 100;     ///< per cent, to begin with
    double gain = 0;      ///< dB, -kMostGain to kMostGain: brings it to the loudness of the others
    double fadeIn = 0;  ///< seconds in which picture and sound come from black and silence, 0 to kLongestFade
    double fadeOut = 0; ///< in which they go there before the end
    PictureFit fit = PictureFit::Whole;
    Treatment treatment;
    QString item;     ///< one that belongs to an item begins anew with another item; empty = it goes on
    LiveInputId live; ///< this live input, and nothing of what a film says; null = a film
    friend bool operator==(const FilmPlay&, const FilmPlay&) = default;
};

/// A live input: whoever shows it, and however, shows one and the same.
[[nodiscard]] inline FilmPlay liveFilm(LiveInputId input) {
    FilmPlay film;
    film.live = input;
    return film;
}

/// A backdrop's film, which goes round in silence, or its live input; nothing for another backdrop.
[[nodiscard]] inline std::optional<FilmPlay> filmOf(const Backdrop& backdrop) {
    if (backdrop.kind == BackdropKind::Live) {
        const LiveInputId input = LiveInputId::fromText(backdrop.live);
        return input.isNull() ? std::nullopt : std::optional(liveFilm(input));
    }
    if (backdrop.kind != BackdropKind::Film || backdrop.film.isEmpty())
        return std::nullopt;
    FilmPlay film;
    film.name = backdrop.film;
    film.from = backdrop.filmFrom;
    film.to = backdrop.filmTo;
    film.fit = backdrop.fit;
    film.treatment = backdrop.treatment;
    return film;
}

/// An object's, which does the same; nothing for an object that shows none.
[[nodiscard]] inline std::optional<FilmPlay> filmOf(const SlideObject& object) {
    if (const auto* live = std::get_if<LiveObject>(&object.what)) {
        const LiveInputId input = LiveInputId::fromText(live->input);
        return input.isNull() ? std::nullopt : std::optional(liveFilm(input));
    }
    const auto* shown = std::get_if<FilmObject>(&object.what);
    if (!shown || shown->name.isEmpty())
        return std::nullopt;
    FilmPlay film;
    film.name = shown->name;
    film.from = shown->from;
    film.to = shown->to;
    film.fit = PictureFit::Fill;
    return film;
}

} // namespace mivanta
