// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QFrame>
#include <QList>
#include <QString>

class QLabel;

namespace mivanta {

/// A strip under the head of the window for what went wrong or happened by itself. Never a dialog: it waits
/// until it is put away.
class NoticeBar : public QFrame {
    Q_OBJECT
public:
    explicit NoticeBar(QWidget* parent = nullptr);
    void tell(const QString& text, bool isProblem);
    [[nodiscard]] QString text() const;

private:
    void showNext();

    QLabel* m_label;
    struct Notice {
        QString text;
        bool isProblem;
    };
    QList<Notice> m_waiting;
};

} // namespace mivanta
