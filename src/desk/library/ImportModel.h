// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/ImportCandidates.h"
#include <QAbstractListModel>

namespace mivanta {

/// The songs of an import and what shall become of each: what a person has to decide first, then what comes
/// in, then what cannot or need not. Has the roles of FindListModel, for its delegate.
class ImportModel : public QAbstractListModel {
    Q_OBJECT
public:
    using QAbstractListModel::QAbstractListModel;

    void setCandidates(std::vector<ImportCandidate> candidates);
    /// In the order in which they were read; the model is empty afterwards.
    [[nodiscard]] std::vector<ImportCandidate> takeCandidates();
    [[nodiscard]] const ImportCandidate* candidate(int row) const;
    /// What can be chosen for it; empty when there is nothing to choose.
    [[nodiscard]] static std::vector<ImportDecision> choicesOf(const ImportCandidate& candidate);
    /// Nothing happens when the candidate does not offer it.
    void decide(int row, ImportDecision decision);
    /// Decides the same for every song of the same finding as the row's that nobody has decided.
    void decideAllLike(int row, ImportDecision decision);
    [[nodiscard]] bool isToDecide(int row) const;
    /// The next row behind this one, from the start again, that is to decide; -1 = none.
    [[nodiscard]] int nextToDecide(int row) const;
    [[nodiscard]] int toDecide() const;
    [[nodiscard]] int comingIn() const; ///< songs that will be stored
    [[nodiscard]] int count(ImportFinding finding) const;

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;

private:
    std::vector<ImportCandidate> m_candidates;
    std::vector<bool> m_decided; ///< by a person
    std::vector<size_t> m_order; ///< index of each row
};

/// "already in the library", "mostly the words of “Morning”".
[[nodiscard]] QString findingText(const ImportCandidate& candidate);
[[nodiscard]] QString decisionText(const ImportCandidate& candidate, ImportDecision decision);

} // namespace mivanta
