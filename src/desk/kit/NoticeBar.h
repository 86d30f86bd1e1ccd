// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include <QFrame>
#include <QList>
#include <QString>
#include <functional>

class QLabel;
class QPushButton;

namespace mivanta {

/// A strip under the head of the window for what went wrong or happened by itself. Never a dialog: a problem
/// waits until it is put away, and so does what something can be done about; mere news go after a while.
class NoticeBar : public QFrame {
    Q_OBJECT
public:
    explicit NoticeBar(QWidget* parent = nullptr);
    enum class Weight { News, Problem };
    void tell(const QString& text, Weight weight);
    /// Good news with something that can be done about it, such as "Put it back".
    void offer(const QString& text, const QString& action, std::function<void()> act);
    [[nodiscard]] QString text() const;

private:
    struct Notice {
        QString text;
        Weight weight = Weight::News;
        QString action{};
        std::function<void()> act{};
    };
    void add(Notice notice);
    void showNext();
    void dismiss();

    QLabel* m_label;
    QPushButton* m_act;
    QList<Notice> m_waiting;
    DueTimer m_newsIsOld;
};

} // namespace mivanta
