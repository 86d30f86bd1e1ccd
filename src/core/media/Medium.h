// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Loudness.h"
#include "core/media/MediumKind.h"
#include <QDateTime>
#include <QSize>
#include <QString>

namespace mivanta {

/// What a look into a medium's file finds.
struct MediumFacts {
    QSize size;         ///< px, as it is seen; empty for a sound
    double seconds = 0; ///< 0 = a picture, or its length is not known
    bool hasSound = false;
    friend bool operator==(const MediumFacts&, const MediumFacts&) = default;
};

/// The part of a film that is played, seconds of its file.
struct FilmPart {
    double from = 0;
    double to = 0; ///< 0 = its end
};

/// A piece that was cut out of a film.
struct CutFilm {
    double later = 0; ///< so many seconds later all of it lies in the piece than in the film; mostly below 0
    double seconds = 0; ///< how long the piece is
};

/// A picture, film or sound as the library knows it.
struct Medium {
    QString name;  ///< of its file in the media folder, see isMediaName(); empty = it is not there
    QString title; ///< what it is called
    QString caption;
    MediumKind kind = MediumKind::Picture;
    qint64 bytes = 0;
    std::optional<MediumFacts> facts; ///< nothing = nobody has looked yet
    QString problem;                  ///< why it cannot be shown or heard; empty = it can, as far as is known
    double from = 0;                  ///< seconds: the part of it that is played
    double to = 0;                    ///< 0 = its end
    std::optional<Loudness> loudness; ///< nothing = it has no sound, or was not measured yet
    double correction = 0;            ///< dB, -kMostCorrection to kMostCorrection: a person's own
    bool isStarred = false;
    QDateTime addedAt;
    QDateTime usedAt; ///< invalid = in no service yet
    friend bool operator==(const Medium&, const Medium&) = default;

    /// How long what is played of it lasts, seconds; 0 = not known.
    [[nodiscard]] double length() const;
    /// Where a film is likely to look like itself, seconds of its file: its first picture is often black.
    [[nodiscard]] double telling() const { return from + length() / 4; }
    [[nodiscard]] bool hasSound() const { return facts && facts->hasSound; }
};

/// "Picture", "Film", "Sound"
[[nodiscard]] QString mediumKindText(MediumKind kind);
/// "1920 × 1080", "0:42 · 1920 × 1080", "3:10": what is known of it, for a list.
[[nodiscard]] QString factsText(const Medium& medium);
/// "24.1 MB"
[[nodiscard]] QString bytesText(qint64 bytes);

enum class MediaOrder { NewestFirst, ByName, LargestFirst, LongestFirst, UsedLately };

/// What a list shows of many media.
struct MediaFilter {
    QString query; ///< words, each in its title, caption or folder; see foldedForSearch()
    QList<MediumKind> kinds{MediumKind::Picture, MediumKind::Film, MediumKind::Sound};
    MediaOrder order = MediaOrder::NewestFirst;
};

} // namespace mivanta
