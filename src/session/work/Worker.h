// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/base/Said.h"
#include <QDebug>
#include <QObject>
#include <QPointer>
#include <QThread>
#include <exception>

namespace mivanta {

/// What the work makes; what it throws, as when memory runs out, becomes an error of a Result.
template <typename Work>
auto withoutThrowing(Work& work) -> std::invoke_result_t<Work&> {
    using Made = std::invoke_result_t<Work&>;
    if constexpr (std::is_constructible_v<Made, tl::unexpected<Error>>) {
        try {
            return work();
        } catch (const std::exception& problem) {
            return failure(Said::tr("this was more than this computer could do (%1)")
                               .arg(QString::fromUtf8(problem.what())),
                           {}, Said::tr("Nothing was changed. Close other programs, or try with less."));
        }
    } else {
        return work();
    }
}

/// A thread that works off jobs one after the other. Jobs are given on the thread that made the worker, as a
/// rule the GUI thread; their results come back there, unless the receiver is gone by then.
class Worker {
public:
    explicit Worker(const QString& name) {
        m_thread.setObjectName(name);
        m_there.moveToThread(&m_thread);
        m_thread.start();
    }
    ~Worker() { finish(); }
    Worker(const Worker&) = delete;
    Worker& operator=(const Worker&) = delete;

    /// Runs work() on the thread, then done(result) here.
    template <typename Work, typename Done>
    void run(QObject* receiver, Work work, Done done) {
        // The receiver may go at any time: only this thread may look whether it is still there. Where the
        // result goes to first stays as long as the worker's thread does.
        QMetaObject::invokeMethod(
            &m_there,
            [here = &m_here, guard = QPointer<QObject>(receiver), work = std::move(work),
             done = std::move(done)]() mutable {
                auto result = withoutThrowing(work);
                QMetaObject::invokeMethod(
                    here,
                    [guard = std::move(guard), result = std::move(result), done = std::move(done)]() mutable {
                        if (guard)
                            done(std::move(result));
                    },
                    Qt::QueuedConnection);
            },
            Qt::QueuedConnection);
    }

    /// Runs work() on the thread; nobody waits for it.
    template <typename Work>
    void run(Work work) {
        QMetaObject::invokeMethod(
            &m_there,
            [work = std::move(work)]() mutable {
                try {
                    work();
                } catch (const std::exception& problem) {
                    qWarning() << "a job was given up:" << problem.what();
                }
            },
            Qt::QueuedConnection);
    }

    /// Waits until what was given is worked off.
    void wait() {
        if (m_thread.isRunning())
            QMetaObject::invokeMethod(
                &m_there, [] {}, Qt::BlockingQueuedConnection);
    }

    /// Works off what was given, then ends the thread. Not by a job of its own: Qt wakes a thread for a job
    /// when that is in its queue already, and the thread could be gone by then.
    void finish() {
        if (!m_thread.isRunning())
            return;
        wait();
        m_thread.quit();
        m_thread.wait();
    }

private:
    QThread m_thread;
    QObject m_there; ///< on the thread
    QObject m_here;  ///< where the worker was made
};

} // namespace mivanta
