// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/library/ImportModel.h"
#include <QWidget>

class QLabel;
class QListView;
class QPushButton;

namespace mivanta {

class CompareView;

/// What was read from song files, before any of it is stored: what each song was understood as, what it is
/// like in the library, and what shall become of it.
class ImportReview : public QWidget {
    Q_OBJECT
public:
    explicit ImportReview(QWidget* parent = nullptr);

    /// `stopped`: not everything was read.
    void setCandidates(std::vector<ImportCandidate> candidates, bool stopped);
    [[nodiscard]] bool isEmpty() const { return m_model->rowCount() == 0; }
    [[nodiscard]] int count() const { return m_model->rowCount(); }
    void focusList();

Q_SIGNALS:
    void decided(const std::vector<mivanta::ImportCandidate>& candidates);
    void givenUp();
    void later(); ///< the review waits

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    QWidget* buildDecisions();
    QWidget* buildFoot();
    void decide(ImportDecision decision);
    bool decideByKey(const QKeyEvent& key);
    void showRow();
    void showCounts();
    [[nodiscard]] int row() const;

    ImportModel* m_model;
    QListView* m_list;
    QLabel* m_heading;
    QLabel* m_counts;
    QLabel* m_finding;
    QLabel* m_warnings;
    CompareView* m_words;
    std::vector<std::pair<ImportDecision, QPushButton*>> m_decisions;
    QPushButton* m_allLike;
    QPushButton* m_bringIn;
    bool m_stopped = false;
};

} // namespace mivanta
