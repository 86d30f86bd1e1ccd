// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <atomic>
#include <chrono>
#include <functional>
#include <future>
#include <memory>
#include <optional>
#include <thread>

namespace mivanta {

/// How many pieces of work go on that nobody waits for any more. A program that ends while there are any must
/// end at once (std::_Exit): they use what destructors of static objects take away.
[[nodiscard]] inline std::atomic<int>& leftWorks() {
    static std::atomic<int> count = 0;
    return count;
}

/// Work that cannot be stopped in its middle, as in a reader, on a thread of its own. Whoever waits for it
/// may leave it: then it goes on, and what it makes is thrown away. The work owns all that it uses.
template <typename Made>
class LeavableWork {
public:
    explicit LeavableWork(std::function<Made()> work) {
        std::packaged_task<Made()> task([work = std::move(work), isLeft = m_isLeft] {
            const struct End {
                std::shared_ptr<std::atomic<bool>> isLeft;
                ~End() { leftWorks() -= isLeft->exchange(true) ? 1 : 0; }
            } end{isLeft};
            return work();
        });
        m_made = task.get_future();
        std::thread(std::move(task)).detach();
    }
    ~LeavableWork() { leave(); }
    LeavableWork(LeavableWork&&) noexcept = default;
    LeavableWork& operator=(LeavableWork&& other) noexcept {
        leave();
        m_isLeft = std::move(other.m_isLeft);
        m_made = std::move(other.m_made);
        return *this;
    }

    /// What it made, or what it threw; nothing when `goesOn`, which is asked several times a second, said no.
    [[nodiscard]] std::optional<Made> wait(const std::function<bool()>& goesOn) {
        constexpr std::chrono::milliseconds kPatience(50);
        while (m_made.wait_for(kPatience) != std::future_status::ready)
            if (!goesOn()) {
                leave();
                return std::nullopt;
            }
        return m_made.get();
    }

private:
    /// Counts it as left, unless it is done.
    void leave() {
        if (!m_isLeft)
            return;
        ++leftWorks();
        if (m_isLeft->exchange(true))
            --leftWorks(); // it had ended
        m_isLeft.reset();
    }

    std::shared_ptr<std::atomic<bool>> m_isLeft = std::make_shared<std::atomic<bool>>(false); ///< or ended
    std::future<Made> m_made;
};

} // namespace mivanta
