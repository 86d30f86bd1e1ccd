// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDateTime>
#include <QObject>
#include <QTimer>
#include <atomic>

namespace mivanta {

/// The time that the program goes by: the system's, until a test lets it jump. Any thread.
class Clock : public QObject {
    Q_OBJECT
public:
    [[nodiscard]] static Clock& the();
    [[nodiscard]] QDateTime now() const; ///< local
    [[nodiscard]] QTime time() const { return now().time(); }
    [[nodiscard]] QDate date() const { return now().date(); }
    /// ms since some begin; only grows, whatever becomes of the system's clock.
    [[nodiscard]] qint64 steady() const;
    /// For tests: from here on it is so much later. What is due by then is due at once.
    void jump(qint64 milliseconds);
    /// For tests: somebody sets the system's clock, or the computer has slept. steady() knows nothing of it.
    void set(qint64 milliseconds);

Q_SIGNALS:
    void jumped();

private:
    Clock() = default;
    std::atomic<qint64> m_ahead = 0;
    std::atomic<qint64> m_set = 0;
};

/// Tells when the system's clock was set, or the computer has slept: the time of day and steady() went apart.
/// Looks every second. Used on the thread that made it.
class ClockWatch : public QObject {
    Q_OBJECT
public:
    explicit ClockWatch(QObject* parent = nullptr);

Q_SIGNALS:
    void wasSet(qint64 by); ///< ms, negative = back

private:
    void look();

    QTimer m_timer;
    qint64 m_apart = 0;
};

/// Tells once that a while is over, by that clock. Used on the thread that made it.
class DueTimer : public QObject {
    Q_OBJECT
public:
    explicit DueTimer(QObject* parent = nullptr);
    void start(qint64 milliseconds);
    void stop();
    [[nodiscard]] bool isActive() const { return m_timer.isActive(); }
    /// ms until then; 0 when it is not waiting.
    [[nodiscard]] qint64 left() const;

Q_SIGNALS:
    void due();

private:
    void look();

    QTimer m_timer;
    qint64 m_at = 0; ///< of Clock::steady()
};

} // namespace mivanta
