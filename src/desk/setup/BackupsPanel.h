// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "session/Session.h"
#include <QWidget>

class QLabel;
class QPushButton;
class QTreeWidget;

namespace mivanta {

/// The library's backups: when each was made, one more, and one brought back.
class BackupsPanel : public QWidget {
    Q_OBJECT
public:
    BackupsPanel(Session& session, Prompts& prompts, QWidget* parent = nullptr);

private:
    void refresh();
    void show(const std::vector<Backup>& backups);
    void backUp();
    void bringBack();
    void setBusy(const QString& what);
    [[nodiscard]] const Backup* chosen() const;

    Session& m_session;
    Prompts& m_prompts;
    QTreeWidget* m_list;
    QLabel* m_state;
    QPushButton* m_backUp;
    QPushButton* m_bringBack;
    std::vector<Backup> m_backups; ///< as in the list
    bool m_isBusy = false;
};

} // namespace mivanta
