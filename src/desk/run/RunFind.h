// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Tools.h"
#include "desk/run/RunOverlay.h"
#include "session/Session.h"

namespace mivanta {

class FindPanel;

/// Find over the Run desk, for what nobody planned: a reading, a song. Enter makes it next; nothing reaches a
/// screen by it.
class RunFind : public RunOverlay {
    Q_OBJECT
public:
    RunFind(const Tools& tools, QWidget* desk);
    void open();

Q_SIGNALS:
    void chosen(const mivanta::FindPick& pick);
    void pictureWanted(); ///< a picture from a file

private:
    /// Of the passage that is typed.
    void countSlides();

    Session& m_session;
    FindPanel* m_find;
};

} // namespace mivanta
