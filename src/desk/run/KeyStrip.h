// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunKeys.h"
#include <QFrame>
#include <QWidget>
#include <vector>

class QHBoxLayout;
class QLabel;

namespace mivanta {

/// The keys that are wanted most, at the foot of the Run desk; as many as there is room for.
class KeyStrip : public QWidget {
    Q_OBJECT
public:
    explicit KeyStrip(const RunKeys& keys, QWidget* parent = nullptr);
    [[nodiscard]] QSize minimumSizeHint() const override;

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void fill();
    /// Those that are wanted less give way when there is no room; none is cut off.
    void fit();
    std::vector<QLabel*> m_entries; ///< the most wanted first
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
