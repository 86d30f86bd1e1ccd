// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "Timing.h"
#include "core/run/Scene.h"
#include "player/PreparedFrames.h"
#include <QElapsedTimer>
#include <algorithm>
#include <array>

namespace mivanta {

class Figures;

inline const QSize kFullHd(1920, 1080);

/// Frames of a fade that came more than half a frame late.
class FrameWatch {
public:
    static constexpr double kFrameMs = 1000.0 / 60;

    void begin() {
        m_last = -1;
        m_time.restart();
    }
    void frame() {
        const double now = msOf(m_time);
        if (m_last >= 0) {
            ++m_frames;
            m_gaps.push_back(now - m_last);
            m_late += now - m_last > 1.5 * kFrameMs;
        }
        m_last = now;
    }
    /// In %, of all frames.
    [[nodiscard]] double lateShare() const { return m_frames ? 100.0 * m_late / m_frames : 100; }
    [[nodiscard]] double shareOver(double milliseconds) const {
        const auto over =
            std::count_if(m_gaps.begin(), m_gaps.end(), [&](double gap) { return gap > milliseconds; });
        return m_frames ? 100.0 * double(over) / m_frames : 100;
    }
    [[nodiscard]] const std::vector<double>& gaps() const { return m_gaps; }

private:
    QElapsedTimer m_time;
    double m_last = -1;
    int m_frames = 0;
    int m_late = 0;
    std::vector<double> m_gaps;
};

using FrameWatches = std::array<FrameWatch, 2>;

/// Two outputs that go from scene to scene as each says, each full-screen on a monitor of its own. The next
/// one is drawn ahead meanwhile, as the player does.
[[nodiscard]] FrameWatches fadeThrough(const std::vector<Scene>& scenes, PreparedFrames& frames);

void addFrames(Figures& figures, const QString& what, const FrameWatches& watches);

/// A window that does nothing but copy a picture into itself at every tick, on two monitors: what this
/// machine can do at this moment.
[[nodiscard]] FrameWatches blitOnly();

} // namespace mivanta
