// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Findings.h"
#include "desk/check/LookFindings.h"
#include "desk/kit/Prompts.h"
#include "session/Session.h"
#include <QScrollArea>

class QLabel;
class QVBoxLayout;

namespace mivanta {

class EmptyState;

class DifferencesPanel;
class MissingPanel;

/// What is better known before Sunday: findings about the service and its screens, worst first.
class CheckDesk : public QScrollArea {
    Q_OBJECT
public:
    CheckDesk(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    /// Findings that are more than a note.
    [[nodiscard]] int worrying() const { return m_worrying; }

Q_SIGNALS:
    void prepareWanted();
    void openWanted();
    void counted(int worrying);
    void showItem(const mivanta::ItemId& id);

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    void look();
    void lookAtLive();
    void liveChanged();
    [[nodiscard]] std::vector<Finding> screenFindings() const;
    void showSummary();
    void show(const std::vector<Finding>& findings);
    QWidget* row(const Finding& finding);

    Session& m_session;
    QLabel* m_summary;
    EmptyState* m_nothing; ///< what can be done while the service is empty
    MissingPanel* m_missing;
    DifferencesPanel* m_differences;
    QVBoxLayout* m_rows;
    FontFindings m_fontFindings;
    std::optional<std::vector<Finding>> m_shown;
    QStringList m_lost; ///< since when live inputs have had no picture, when that was looked at
    int m_worrying = 0;
};

} // namespace mivanta
