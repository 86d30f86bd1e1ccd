// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/AutoAdvance.h"
#include "session/run/RunKeys.h"
#include <QTimer>
#include <QWidget>

namespace mivanta {

/// When the next slide comes by itself: a line that becomes shorter, the time left, and the key that holds
/// it. Nothing while nothing comes.
class AdvanceLine : public QWidget {
    Q_OBJECT
public:
    AdvanceLine(AutoAdvance& advance, const RunController& run, const RunKeys& keys,
                QWidget* parent = nullptr);
    /// What is left, 1 to 0; 0 when nothing comes.
    [[nodiscard]] double shareLeft() const;
    [[nodiscard]] QString text() const;
    [[nodiscard]] QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void refresh();
    AutoAdvance& m_advance;
    const RunController& m_run;
    const RunKeys& m_keys;
    QTimer m_tick;
};

} // namespace mivanta
