// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLabel>

namespace mivanta {

class LiveOnScreen;

/// Which live inputs on screen have no picture, since when, and what people see meanwhile; nothing while all
/// of them have one.
class LiveLine : public QLabel {
    Q_OBJECT
public:
    explicit LiveLine(LiveOnScreen& live, QWidget* parent = nullptr);

private:
    void refresh();
    LiveOnScreen& m_live;
};

} // namespace mivanta
