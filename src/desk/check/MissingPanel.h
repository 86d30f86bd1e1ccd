// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "session/Session.h"
#include <QWidget>

class QLabel;
class QPushButton;
class QVBoxLayout;

namespace mivanta {

/// The pictures that the service shows and this computer lacks, and ways to find them; hidden when there are
/// none.
class MissingPanel : public QWidget {
    Q_OBJECT
public:
    MissingPanel(Session& session, Prompts& prompts, QWidget* parent = nullptr);

private:
    void refresh();
    QWidget* row(const MissingFiles::Entry& entry);
    [[nodiscard]] QString usersOf(const QString& name) const;

    Session& m_session;
    Prompts& m_prompts;
    QLabel* m_title;
    QLabel* m_state;
    QVBoxLayout* m_rows;
    QPushButton* m_again;
    QPushButton* m_stop;
    std::vector<MissingFiles::Entry> m_shown;
};

} // namespace mivanta
