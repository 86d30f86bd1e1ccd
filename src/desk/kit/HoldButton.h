// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include <QTimer>
#include <QToolButton>

namespace mivanta {

/// A button for what must not happen by chance: it, or its keys, must be held down for a while, during which
/// it fills up. Its keys work wherever the focus is in its window while it is seen.
class HoldButton : public QToolButton {
    Q_OBJECT
public:
    HoldButton(const QString& text, QKeyCombination keys, int milliseconds, QWidget* parent = nullptr);

Q_SIGNALS:
    void held();

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void begin();
    void end();
    void tick();

    QKeyCombination m_keys;
    int m_milliseconds;
    qint64 m_since = 0; ///< of Clock::steady()
    QTimer m_ticks;
    DueTimer m_letGo; ///< its keys seem to have been let go
};

} // namespace mivanta
