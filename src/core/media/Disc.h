// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>
#include <QList>
#include <QSize>
#include <optional>
#include <vector>

namespace mivanta {

/// Sound or subtitles of a disc's title.
struct DiscTrack {
    int id = 0;       ///< of its stream in the title, as MPEG program streams and ffmpeg number them
    QString language; ///< ISO 639-1, such as "en"; empty = not known
    int channels = 0; ///< of sound; 0 = not known
    friend bool operator==(const DiscTrack&, const DiscTrack&) = default;
};

/// A title of a video disc: one film on it.
struct DiscTitle {
    int number = 0; ///< as the disc counts them, from 1
    double seconds = 0;
    std::vector<double> chapters; ///< seconds at which they begin, the first one at 0
    std::vector<DiscTrack> sounds;
    std::vector<DiscTrack> subtitles;
    QSize size{0, 0};         ///< of its pictures, px as they are stored
    QList<quint32> palette;   ///< 0xRRGGBB: the 16 colours of its subtitles; empty = not known
    bool isProtected = false; ///< against copying; then nothing of it is shown
    friend bool operator==(const DiscTitle&, const DiscTitle&) = default;
};

struct Disc {
    QString name; ///< what it calls itself; may be empty
    std::vector<DiscTitle> titles;
    friend bool operator==(const Disc&, const Disc&) = default;
};

/// A part of a title, with what is to be heard and read with it.
struct DiscPart {
    DiscTitle title;
    double from = 0; ///< seconds of the title
    double to = 0;
    std::optional<int> sound; ///< ids of tracks
    std::optional<int> subtitles;
};

/// What is wrong with a disc, as the program that reads it says it.
enum class DiscProblem { Unreadable, NoDisc, Protected, Damaged };
[[nodiscard]] Error discError(DiscProblem problem, const QString& path);

/// Between the program that reads discs and those that ask it. A text that breaks a rule of the above is an
/// error; at most 99 titles, each at most a day long.
[[nodiscard]] QByteArray toJson(const Disc& disc);
[[nodiscard]] Result<Disc> discFromJson(const QByteArray& json, const QString& path);
[[nodiscard]] QByteArray toJson(DiscProblem problem);
/// Nothing when it says none.
[[nodiscard]] std::optional<DiscProblem> discProblemFromJson(const QByteArray& json);

/// "English", "German" …, as Qt calls them; "?" when it is not known.
[[nodiscard]] QString languageText(const QString& code);

} // namespace mivanta
