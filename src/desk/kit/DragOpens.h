// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QAbstractButton>
#include <QDragEnterEvent>
#include <QTimer>

namespace mivanta {

/// Makes a button act when something is dragged onto it and stays a moment, so that a drag can go on to what
/// the button opens. Belongs to the button.
class DragOpens : public QObject {
    Q_OBJECT
public:
    explicit DragOpens(QAbstractButton* button) : QObject(button) {
        button->setAcceptDrops(true);
        button->installEventFilter(this);
        m_stays.setSingleShot(true);
        m_stays.setInterval(kStaysMs);
        connect(&m_stays, &QTimer::timeout, button, &QAbstractButton::click);
    }
    static constexpr int kStaysMs = 450;

protected:
    bool eventFilter(QObject*, QEvent* event) override {
        switch (event->type()) {
        case QEvent::DragEnter:
            static_cast<QDragEnterEvent*>(event)->accept();
            m_stays.start();
            return true;
        case QEvent::DragMove:
            static_cast<QDragMoveEvent*>(event)->ignore(); // it cannot be dropped here
            return true;
        case QEvent::DragLeave:
        case QEvent::Drop:
            m_stays.stop();
            return true;
        default:
            return false;
        }
    }

private:
    QTimer m_stays;
};

} // namespace mivanta
