// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <deque>
#include <functional>

namespace mivanta {

/// Saves of one record, one at a time, so that each knows what the one before has made of it. GUI thread.
class OneSave {
public:
    /// Does it now, or once the save that is on its way was answered. It must lead to answered().
    void start(std::function<void()> save) {
        m_waiting.push_back(std::move(save));
        if (m_waiting.size() == 1)
            doFirst();
    }
    void answered() {
        m_waiting.pop_front();
        if (!m_waiting.empty())
            doFirst();
    }

private:
    void doFirst() {
        const auto save = m_waiting.front(); // it may be answered, and gone from here, before it returns
        save();
    }

    std::deque<std::function<void()>> m_waiting; ///< the first one is on its way
};

} // namespace mivanta
