// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QTimer>
#include <atomic>
#include <chrono>
#include <condition_variable>
#include <functional>
#include <mutex>
#include <thread>

namespace mivanta {

/// Notices from a thread of its own when the GUI thread has not answered for a long time, as when it works on
/// something without end, and when it answers again. Made and ended on the GUI thread.
class FreezeWatch {
public:
    /// `told`: called on the thread of the watch.
    FreezeWatch(std::chrono::milliseconds patience, std::function<void(bool isFrozen)> told);
    ~FreezeWatch();
    FreezeWatch(const FreezeWatch&) = delete;
    FreezeWatch& operator=(const FreezeWatch&) = delete;

private:
    void watch();

    std::chrono::milliseconds m_patience;
    std::function<void(bool)> m_told;
    QTimer m_beat;
    std::atomic<unsigned> m_beats = 0;
    std::mutex m_lock;
    std::condition_variable m_ends;
    bool m_isOver = false;
    std::thread m_thread;
};

} // namespace mivanta
