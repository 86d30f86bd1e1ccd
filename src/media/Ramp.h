// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QtGlobal>
#include <algorithm>
#include <cmath>

namespace mivanta {

/// A loudness that goes from one to another in a while, as an amplitude from 0 to 1. Its power rises and
/// falls evenly, so that of two that go over into each other neither is missed in the middle.
class Ramp {
public:
    explicit Ramp(double value) : m_from(value), m_to(value) {}

    void goTo(double value, int milliseconds, qint64 now) {
        m_from = at(now);
        m_to = value;
        m_since = now;
        m_ms = milliseconds;
    }
    [[nodiscard]] double at(qint64 now) const {
        const double share = m_ms > 0 ? std::clamp(double(now - m_since) / m_ms, 0.0, 1.0) : 1;
        return std::sqrt(std::max(0.0, m_from * m_from + (m_to * m_to - m_from * m_from) * share));
    }
    [[nodiscard]] bool isOver(qint64 now) const { return now - m_since >= m_ms; }
    [[nodiscard]] double target() const { return m_to; }

private:
    double m_from;
    double m_to;
    qint64 m_since = 0; ///< of Clock::steady()
    int m_ms = 0;
};

} // namespace mivanta
