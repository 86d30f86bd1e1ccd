// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include "store/finding/OrderMatching.h"
#include <QDialog>

class QComboBox;
class QLabel;
class QPlainTextEdit;
class QPushButton;
class QTableWidget;

namespace mivanta {

/// An order from an e-mail or a table: its text on the left, what each line becomes on the right, with
/// choices where that is doubtful. Nothing is added before it is agreed to.
class PasteOrder : public QDialog {
    Q_OBJECT
public:
    /// `action`: what agreeing does, such as "Add them to the order".
    PasteOrder(Session& session, const QString& text, const QString& action, QWidget* parent);

Q_SIGNALS:
    void taken(const std::vector<mivanta::Item>& items);

private:
    void match();
    void show(std::vector<MatchedLine> lines);
    void showSummary();
    void goToDoubtful();
    void take();
    [[nodiscard]] QComboBox* boxAt(int row) const;

    Session& m_session;
    QPlainTextEdit* m_text;
    QTableWidget* m_table;
    QLabel* m_summary;
    QPushButton* m_next;
    QPushButton* m_take;
    QTimer m_soon;
    std::vector<MatchedLine> m_lines;
    std::vector<bool> m_settled; ///< by line: a person has looked
    int m_asked = 0;             ///< matchings, so that only the last one is shown
};

} // namespace mivanta
