// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/LeavableWork.h"
#include <gtest/gtest.h>
#include <stdexcept>

namespace mivanta {
namespace {

/// A gate that work waits at.
struct Gate {
    std::promise<void> opened;
    std::shared_future<void> opens = opened.get_future().share();
    [[nodiscard]] LeavableWork<int> work() const {
        return LeavableWork<int>([opens = opens] {
            opens.wait();
            return 7;
        });
    }
};

template <typename Condition>
bool becomes(Condition condition) {
    for (int i = 0; i < 5000 && !condition(); ++i)
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    return condition();
}

TEST(LeavableWork, GivesWhatItMakes) {
    LeavableWork<int> work([] { return 7; });
    EXPECT_EQ(work.wait([] { return true; }), 7);
    EXPECT_TRUE(becomes([] { return leftWorks() == 0; }));
}

TEST(LeavableWork, IsLeftInTheMiddleAndNotWaitedFor) {
    Gate gate;
    {
        LeavableWork<int> work = gate.work();
        int asked = 0;
        EXPECT_EQ(work.wait([&] { return ++asked < 3; }), std::nullopt);
        EXPECT_EQ(asked, 3);
        EXPECT_EQ(leftWorks(), 1);
    }
    EXPECT_EQ(leftWorks(), 1); // once
    gate.opened.set_value();
    EXPECT_TRUE(becomes([] { return leftWorks() == 0; }));
}

TEST(LeavableWork, IsLeftWhenNobodyEverAsks) {
    Gate gate;
    {
        LeavableWork<int> first = gate.work();
        first = LeavableWork<int>([] { return 2; }); // instead of it
        EXPECT_EQ(leftWorks(), 1);
        EXPECT_EQ(first.wait([] { return true; }), 2);
    }
    gate.opened.set_value();
    EXPECT_TRUE(becomes([] { return leftWorks() == 0; }));
}

TEST(LeavableWork, WhatItThrowsComesToWhoWaits) {
    LeavableWork<int> work([]() -> int { throw std::runtime_error("no room"); });
    EXPECT_THROW(static_cast<void>(work.wait([] { return true; })), std::runtime_error);
    EXPECT_TRUE(becomes([] { return leftWorks() == 0; }));
}

} // namespace
} // namespace mivanta
