// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/run/RunOverlay.h"
#include "session/Session.h"
#include "session/run/MendOnScreen.h"

class QCheckBox;
class QLabel;
class QPlainTextEdit;
class QPushButton;

namespace mivanta {

/// The words of the part that is on screen, over the Run desk, to be mended.
class MendSheet : public RunOverlay {
    Q_OBJECT
public:
    MendSheet(Session& session, QWidget* desk);
    /// Stays away, and says why, when there is nothing to mend.
    void open();

protected:
    bool obeyKey(QKeyEvent* key) override;

private:
    void refresh();
    void mend();

    Session& m_session;
    MendOnScreen m_mend;
    std::optional<MendOnScreen::Found> m_found;
    QLabel* m_title;
    QPlainTextEdit* m_words;
    QCheckBox* m_atOnce;
    QCheckBox* m_inLibrary;
    QPushButton* m_do;
};

} // namespace mivanta
