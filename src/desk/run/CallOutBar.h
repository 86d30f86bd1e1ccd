// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include "session/run/RunKeys.h"
#include <QWidget>

class QLineEdit;
class QMenu;
class QToolButton;

namespace mivanta {

/// A short message over the bottom of the outputs: written or chosen among the saved ones, whose blanks are
/// filled one by one with Tab; shown with Enter.
class CallOutBar : public QWidget {
    Q_OBJECT
public:
    CallOutBar(Session& session, const RunKeys& keys, QWidget* parent = nullptr);
    void write(); ///< the keys go into the message

Q_SIGNALS:
    void done(); ///< the keys are to go back to the desk

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void refresh();
    void fillMenu();
    void take(const QString& message);
    bool goToBlank(int from);
    void showMessage();

    Session& m_session;
    const RunKeys& m_keys;
    QLineEdit* m_text;
    QToolButton* m_choose;
    QToolButton* m_show;
    QMenu* m_menu;
    std::set<QString> m_outputs; ///< empty = all
};

} // namespace mivanta
