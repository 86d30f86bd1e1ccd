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

Q_SIGNALS:
    void jumped();

private:
    Clock() = default;
    std::atomic<qint64> m_ahead = 0;
};

/// Tells once that a while is over, by that clock. Used on the thread that made it.
class DueTimer : public QObject {
    Q_OBJECT
public:
    explicit DueTimer(QObject* parent = nullptr);
    void start(qint64 milliseconds);
    void stop();
    [[nodiscard]] bool isActive() const { return m_timer.isActive(); }

Q_SIGNALS:
    void due();

private:
    void look();

    QTimer m_timer;
    qint64 m_at = 0; ///< of Clock::steady()
};

} // namespace mivanta
