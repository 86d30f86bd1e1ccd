// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/work/FreezeWatch.h"

namespace mivanta {

FreezeWatch::FreezeWatch(std::chrono::milliseconds patience, std::function<void(bool)> told)
    : m_patience(patience),
      m_told(std::move(told)) {
    m_beat.callOnTimeout([this] { ++m_beats; });
    m_beat.start(m_patience / 10);
    m_thread = std::thread([this] { watch(); });
}

FreezeWatch::~FreezeWatch() {
    {
        const std::lock_guard lock(m_lock);
        m_isOver = true;
    }
    m_ends.notify_one();
    m_thread.join();
}

void FreezeWatch::watch() {
    bool isFrozen = false;
    unsigned seen = m_beats;
    int silent = 0; // looks in a row: one is also seen after the whole program was suspended
    std::unique_lock lock(m_lock);
    while (!m_ends.wait_for(lock, m_patience / 2, [this] { return m_isOver; })) {
        const unsigned now = m_beats;
        silent = now == seen ? silent + 1 : 0;
        if (std::exchange(isFrozen, silent >= 2) != isFrozen)
            m_told(isFrozen);
        seen = now;
    }
    if (isFrozen) // it came to its end all the same
        m_told(false);
}

} // namespace mivanta
