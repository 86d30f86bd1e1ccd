// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>
#include <QPointer>
#include <QThread>

namespace mivanta {

/// A thread that works off jobs one after the other. Jobs are given on the GUI thread; their results come
/// back there, unless the receiver is gone by then.
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

    /// Runs work() on the thread, then done(result) on the receiver's thread.
    template <typename Work, typename Done>
    void run(QObject* receiver, Work work, Done done) {
        QPointer<QObject> guard(receiver);
        QMetaObject::invokeMethod(
            &m_there,
            [guard, work = std::move(work), done = std::move(done)]() mutable {
                auto result = work();
                if (guard)
                    QMetaObject::invokeMethod(
                        guard,
                        [result = std::move(result), done = std::move(done)]() mutable {
                            done(std::move(result));
                        },
                        Qt::QueuedConnection);
            },
            Qt::QueuedConnection);
    }

    /// Runs work() on the thread; nobody waits for it.
    template <typename Work>
    void run(Work work) {
        QMetaObject::invokeMethod(&m_there, std::move(work), Qt::QueuedConnection);
    }

    /// Waits until what was given is worked off.
    void wait() {
        if (m_thread.isRunning())
            QMetaObject::invokeMethod(
                &m_there, [] {}, Qt::BlockingQueuedConnection);
    }

    /// Works off what was given, then ends the thread.
    void finish() {
        if (!m_thread.isRunning())
            return;
        QMetaObject::invokeMethod(
            &m_there, [this] { m_thread.quit(); }, Qt::QueuedConnection);
        m_thread.wait();
    }

private:
    QThread m_thread;
    QObject m_there;
};

} // namespace mivanta
