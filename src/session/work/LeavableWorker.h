// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/LeavableWork.h"
#include <QCoreApplication>
#include <QPointer>
#include <QThreadPool>

namespace mivanta {

/// A thread that works off jobs which may hang, as on a disk that does not answer: then it is left to itself
/// when this goes. Jobs own all that they use. Used on the GUI thread, where results come, unless the
/// receiver is gone by then.
class LeavableWorker {
public:
    LeavableWorker() { m_pool->setMaxThreadCount(1); }
    ~LeavableWorker() {
        m_pool->clear();
        if (m_pool->waitForDone(kPatienceMs))
            return;
        static_cast<void>(m_pool.release());
        ++leftWorks();
    }
    LeavableWorker(const LeavableWorker&) = delete;
    LeavableWorker& operator=(const LeavableWorker&) = delete;

    /// Runs work() on the thread, then done(result) here. Jobs of a higher priority come first.
    template <typename Work, typename Done>
    void run(QObject* receiver, Work work, Done done, int priority = 0) {
        m_pool->start(
            [guard = QPointer(receiver), work = std::move(work), done = std::move(done)]() mutable {
                auto result = work();
                if (QCoreApplication* app = QCoreApplication::instance()) // lasts longer than anything here
                    QMetaObject::invokeMethod(
                        app,
                        [guard = std::move(guard), result = std::move(result),
                         done = std::move(done)]() mutable {
                            if (guard)
                                done(std::move(result));
                        },
                        Qt::QueuedConnection);
            },
            priority);
    }

private:
    static constexpr int kPatienceMs = 1000;
    std::unique_ptr<QThreadPool> m_pool = std::make_unique<QThreadPool>();
};

} // namespace mivanta
