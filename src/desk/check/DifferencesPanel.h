// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QLabel;
class QPushButton;
class QVBoxLayout;

namespace mivanta {

/// What the service has otherwise than the library, one row each with the ways to settle it, and for all at
/// once; hidden when there is nothing.
class DifferencesPanel : public QWidget {
    Q_OBJECT
public:
    explicit DifferencesPanel(Session& session, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void fill();
    QWidget* row(const LibraryDifference& difference);

    Session& m_session;
    QLabel* m_title;
    QVBoxLayout* m_rows;
    bool m_isStale = true; ///< rows are made when they are seen
    QPushButton* m_takeAll;
};

/// "3 songs and a theme are not as in the library."
[[nodiscard]] QString differencesText(const std::vector<LibraryDifference>& all);

} // namespace mivanta
