// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/work/Worker.h"
#include "session/library/OneSave.h"
#include "support/Text.h"
#include <QTest>
#include <gtest/gtest.h>
#include <new>

namespace mivanta {
namespace {

TEST(Worker, WhatIsThrownBecomesAnErrorAndTheNextJobIsDone) {
    Worker worker(u"test"_s);
    QObject here;
    std::optional<Result<int>> first;
    std::optional<Result<int>> second;
    worker.run(
        &here, []() -> Result<int> { throw std::bad_alloc(); },
        [&](const Result<int>& result) { first = result; });
    worker.run([] { throw std::runtime_error("nobody waits for this one"); });
    worker.run(
        &here, []() -> Result<int> { return 7; }, [&](const Result<int>& result) { second = result; });
    ASSERT_TRUE(QTest::qWaitFor([&] { return second.has_value(); }));
    ASSERT_TRUE(first);
    ASSERT_FALSE(*first);
    EXPECT_FALSE(first->error().remedy.isEmpty());
    EXPECT_EQ(**second, 7);
}

TEST(Worker, WhoeverIsGoneIsToldNothing) {
    Worker worker(u"test"_s);
    int told = 0;
    for (int i = 0; i < 2000; ++i) { // they go while results are on their way
        auto receiver = std::make_unique<QObject>();
        worker.run(
            receiver.get(), [i] { return i; }, [&](int) { ++told; });
        receiver.reset();
        if (i % 3 == 0)
            QCoreApplication::processEvents();
    }
    QObject last;
    bool isDone = false;
    worker.run(
        &last, [] { return 0; }, [&](int) { isDone = true; });
    ASSERT_TRUE(QTest::qWaitFor([&] { return isDone; }, 20'000));
    EXPECT_EQ(told, 0); // each was gone before it could be told
}

TEST(OneSave, TheNextWaitsForTheAnswerAlsoWhenItComesAtOnce) {
    OneSave saves;
    QStringList done;
    saves.start([&] { done << u"first"_s; });
    const QString name(100, u'n'); // kept by the job alone
    saves.start([&, name] {
        saves.answered(); // there was nothing to save
        done << name;
    });
    EXPECT_EQ(done, QStringList{u"first"_s});
    saves.answered();
    EXPECT_EQ(done, (QStringList{u"first"_s, name}));
    saves.start([&] { done << u"third"_s; });
    EXPECT_EQ(done.size(), 3);
}

} // namespace
} // namespace mivanta
