// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QTimer>
#include <QWidget>

class QLabel;

namespace mivanta {

/// How the service goes against its plan: behind or ahead, the item on screen, the likely end.
class TimingPanel : public QWidget {
    Q_OBJECT
public:
    explicit TimingPanel(Session& session, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    struct Figure {
        QLabel* value;
        QLabel* meaning;
    };
    Figure addFigure(const char* name);
    void refresh();

    Session& m_session;
    QTimer m_tick;
    Figure m_behind;
    Figure m_item;
    Figure m_end;
};

} // namespace mivanta
