// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QFrame>
#include <QList>
#include <QString>
#include <functional>

class QLabel;
class QPushButton;

namespace mivanta {

/// A strip under the head of the window for what went wrong or happened by itself. Never a dialog: it waits
/// until it is put away.
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

    QLabel* m_label;
    QPushButton* m_act;
    QList<Notice> m_waiting;
};

} // namespace mivanta
