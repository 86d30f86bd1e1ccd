// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QPointer>
#include <QTimer>
#include <functional>
#include <vector>

namespace mivanta {

/// Paints that may wait a little: one in each turn of the event loop, so that an order that comes waits for
/// one output at most. Lives on the GUI thread.
class PaintTurns : public QObject {
    Q_OBJECT
public:
    explicit PaintTurns(QObject* parent = nullptr);

    /// `paint` is called once soon, unless `who` is gone by then; who waits already waits with this one.
    void ask(QObject* who, std::function<void()> paint);
    /// It needs no turn any more.
    void forget(const QObject* who);

private:
    void next();

    struct Turn {
        QPointer<QObject> who;
        std::function<void()> paint;
    };
    std::vector<Turn> m_waiting;
    QTimer m_timer;
};

} // namespace mivanta
