// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/DeskKeeper.h"
#include "core/base/Clock.h"
#include "link/Detached.h"

namespace mivanta {

namespace {
constexpr int kShortLifeMs = 700;
constexpr int kMostShortLives = 5;
} // namespace

void DeskKeeper::arrived(const message::Hello& hello) {
    m_hello = hello;
    m_arrivedAt = Clock::the().steady();
}

bool DeskKeeper::died() {
    m_shortLives = Clock::the().steady() - m_arrivedAt < kShortLifeMs ? m_shortLives + 1 : 0;
    if (m_hello.program.isEmpty() || m_shortLives >= kMostShortLives)
        return false;
    return startDetached(m_hello.program, m_hello.arguments, m_logFile);
}

} // namespace mivanta
