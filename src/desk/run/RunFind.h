// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Session.h"
#include <QFrame>

namespace mivanta {

class FindPanel;

/// Find over the Run desk, for what nobody planned: a reading, a song. Enter makes it next; nothing reaches a
/// screen by it.
class RunFind : public QFrame {
    Q_OBJECT
public:
    RunFind(Session& session, QWidget* desk);
    void open();
    void close();

Q_SIGNALS:
    void chosen(const mivanta::FindPick& pick);
    void pictureWanted(); ///< a picture from a file
    void closed();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void place();
    /// Of the passage that is typed.
    void countSlides();

    Session& m_session;
    FindPanel* m_find;
};

} // namespace mivanta
