// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/PaintTurns.h"
#include <algorithm>
#include <utility>

namespace mivanta {

namespace {
// Not 0: such timers have to wait while others are always due, as those of a fade may be on a slow computer.
constexpr int kSoonMs = 1;
} // namespace

PaintTurns::PaintTurns(QObject* parent) : QObject(parent) {
    m_timer.setSingleShot(true);
    m_timer.setInterval(kSoonMs);
    connect(&m_timer, &QTimer::timeout, this, &PaintTurns::next);
}

void PaintTurns::ask(QObject* who, std::function<void()> paint) {
    const auto known =
        std::find_if(m_waiting.begin(), m_waiting.end(), [who](const Turn& turn) { return turn.who == who; });
    if (known != m_waiting.end())
        known->paint = std::move(paint);
    else
        m_waiting.push_back({who, std::move(paint)});
    m_timer.start();
}

void PaintTurns::forget(const QObject* who) {
    std::erase_if(m_waiting, [who](const Turn& turn) { return turn.who == who; });
}

void PaintTurns::next() {
    std::erase_if(m_waiting, [](const Turn& turn) { return !turn.who; });
    if (m_waiting.empty())
        return;
    const Turn turn = std::move(m_waiting.front());
    m_waiting.erase(m_waiting.begin());
    if (!m_waiting.empty())
        m_timer.start();
    turn.paint();
}

} // namespace mivanta

#include "moc_PaintTurns.cpp"
