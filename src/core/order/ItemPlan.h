// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemLook.h"
#include <QString>
#include <QTime>
#include <optional>

namespace mivanta {

/// What sounds when an item is taken.
struct ItemSound {
    QString name;        ///< of its file in the media folder
    QString title;       ///< what it was called
    bool goesOn = false; ///< until its end, also when another item is taken
    friend bool operator==(const ItemSound&, const ItemSound&) = default;
};

/// What a song is sung to, when nobody plays: it begins with the take of one of its slides.
struct ItemTrack {
    QString name;       ///< of its file in the media folder
    QString title;      ///< what it was called
    double seconds = 0; ///< how long all of it is; 0 = not known
    double from = 0;    ///< seconds of its file
    SlidePlace begins;  ///< the slide; without a part it is the first that is taken
    friend bool operator==(const ItemTrack&, const ItemTrack&) = default;
};

/// Where a track begins that is typed as a moment ("0:12") or as a bar ("bar 9", of four beats, "bar 9/3", of
/// three), counted from 1 at so many beats a minute; seconds. Nothing for anything else, and for a bar
/// without a tempo.
[[nodiscard]] std::optional<double> trackMoment(const QString& text, int tempo);

/// What is planned for an item besides its words.
struct ItemPlan {
    std::optional<int> seconds; ///< how long it takes; nothing = as long as it usually does
    std::optional<QTime> at;    ///< it begins at this time of day, whatever comes before
    QString leader;             ///< who leads it
    QString note;               ///< for the operator
    std::optional<int> advance; ///< its next slide comes by itself after so many seconds, 1 to kLongestItem
    bool goesOn = false;        ///< with `advance`: behind its last slide the next item comes, too
    bool skipped = false;       ///< it stays in the order and is left out today
    std::optional<ItemSound> sound{};
    std::optional<ItemTrack> track{};
    friend bool operator==(const ItemPlan&, const ItemPlan&) = default;
};

/// The longest that an item can be planned for, in seconds.
inline constexpr int kLongestItem = 12 * 3600;

/// "30 s", "4 min", "1:30 min", "1:05 h"; as a person writes it.
[[nodiscard]] QString durationText(int seconds);
/// Understands "4", "4 min", "1:30", "90 s", "1:05 h", "1 h"; bare numbers are minutes. Nothing for anything
/// else, or for more than kLongestItem.
[[nodiscard]] std::optional<int> durationFrom(const QString& text);
/// Understands "10:30", "1030", "10.30", "9".
[[nodiscard]] std::optional<QTime> timeFrom(const QString& text);

} // namespace mivanta
