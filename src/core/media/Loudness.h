// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <algorithm>
#include <optional>

namespace mivanta {

/// How loud a recording is, all of it, by EBU R 128.
struct Loudness {
    double lufs = 0; ///< integrated, ITU-R BS.1770; -70 and below is silence
    double peak = 0; ///< true peak, dBFS
    friend bool operator==(const Loudness&, const Loudness&) = default;
};

inline constexpr double kEvenLoudness = -18;  ///< LUFS: what everything is brought to
inline constexpr double kMostLift = 12;       ///< dB; more would lift noise, too
inline constexpr double kMostLowering = 20;   ///< dB
inline constexpr double kHighestPeak = -1;    ///< dBFS, EBU R 128
inline constexpr double kSilence = -60;       ///< LUFS: what is softer is not lifted
inline constexpr double kMostGain = 20;       ///< dB, up and down, of all that is played
inline constexpr double kMostCorrection = 12; ///< dB, of a person's own, up and down

/// By how much a recording is to be made louder so that all of them are equally loud, dB, with a person's own
/// correction on top. Its peaks are not lifted beyond kHighestPeak; one that was not measured stays as it is.
[[nodiscard]] inline double evenGain(const std::optional<Loudness>& measured, double correction) {
    double gain = 0;
    if (measured && measured->lufs > kSilence) {
        const double room = std::max(0.0, kHighestPeak - measured->peak);
        gain = std::clamp(kEvenLoudness - measured->lufs, -kMostLowering, std::min(kMostLift, room));
    }
    return std::clamp(gain + correction, -kMostLowering, kMostLift);
}

} // namespace mivanta
