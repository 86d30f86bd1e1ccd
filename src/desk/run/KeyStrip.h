// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunKeys.h"
#include <QFrame>
#include <QWidget>

class QHBoxLayout;

namespace mivanta {

/// The keys that are wanted most, at the foot of the Run desk.
class KeyStrip : public QWidget {
    Q_OBJECT
public:
    explicit KeyStrip(const RunKeys& keys, QWidget* parent = nullptr);

private:
    void fill();
    const RunKeys& m_keys;
    QHBoxLayout* m_row;
};

/// Every key, over the desk; any key closes it.
class KeySheet : public QFrame {
    Q_OBJECT
public:
    KeySheet(const RunKeys& keys, QWidget* desk);
    void open();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    void fill();
    void place();
    const RunKeys& m_keys;
};

} // namespace mivanta
