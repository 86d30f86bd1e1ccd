// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/ImportModel.h"
#include "core/base/Said.h"
#include "desk/find/FindList.h"
#include <algorithm>
#include <numeric>

namespace mivanta {

namespace {

int rankOf(ImportFinding finding) {
    if (isDoubtful(finding))
        return 0;
    switch (finding) {
    case ImportFinding::New:
        return 1;
    case ImportFinding::NewerFile:
    case ImportFinding::InBin:
        return 2;
    case ImportFinding::Unreadable:
        return 3;
    default:
        return 4;
    }
}

} // namespace

QString findingText(const ImportCandidate& candidate) {
    const QString other = candidate.other ? candidate.other->title : QString();
    switch (candidate.finding) {
    case ImportFinding::New:
        return Said::tr("new");
    case ImportFinding::Same:
        return Said::tr("already in the library, just as it is");
    case ImportFinding::InBin:
        return Said::tr("lies in the bin");
    case ImportFinding::NewerFile:
        return Said::tr("the file is newer than the song in the library");
    case ImportFinding::BothChanged:
        return Said::tr("the file and the library\u2019s song were both changed");
    case ImportFinding::SameWords:
        return other == candidate.song.title ? Said::tr("the same title and mostly the same words")
                                             : Said::tr("mostly the words of \u201c%1\u201d").arg(other);
    case ImportFinding::SameTitle:
        return Said::tr("the title of a song that has other words");
    case ImportFinding::Unreadable:
        return candidate.problem;
    }
    return {};
}

QString decisionText(const ImportCandidate& candidate, ImportDecision decision) {
    switch (decision) {
    case ImportDecision::LeaveOut:
        return Said::tr("Leave out");
    case ImportDecision::Add:
        return candidate.finding == ImportFinding::InBin ? Said::tr("Restore")
               : candidate.other                         ? Said::tr("Keep both")
                                                         : Said::tr("Add");
    case ImportDecision::Replace:
        return Said::tr("Replace");
    case ImportDecision::MergeDetails:
        return Said::tr("Merge details");
    }
    return {};
}

void ImportModel::setCandidates(std::vector<ImportCandidate> candidates) {
    beginResetModel();
    m_candidates = std::move(candidates);
    m_decided.assign(m_candidates.size(), false);
    m_order.resize(m_candidates.size());
    std::iota(m_order.begin(), m_order.end(), size_t(0));
    std::stable_sort(m_order.begin(), m_order.end(), [this](size_t a, size_t b) {
        return rankOf(m_candidates[a].finding) < rankOf(m_candidates[b].finding);
    });
    endResetModel();
}

std::vector<ImportCandidate> ImportModel::takeCandidates() {
    beginResetModel();
    m_order.clear();
    m_decided.clear();
    endResetModel();
    return std::exchange(m_candidates, {});
}

const ImportCandidate* ImportModel::candidate(int row) const {
    return row >= 0 && row < int(m_order.size()) ? &m_candidates[m_order[size_t(row)]] : nullptr;
}

std::vector<ImportDecision> ImportModel::choicesOf(const ImportCandidate& candidate) {
    using enum ImportDecision;
    switch (candidate.finding) {
    case ImportFinding::Unreadable:
    case ImportFinding::Same:
        return {};
    case ImportFinding::New:
    case ImportFinding::InBin:
        return {Add, LeaveOut};
    default:
        return {Add, Replace, MergeDetails, LeaveOut};
    }
}

void ImportModel::decide(int row, ImportDecision decision) {
    const ImportCandidate* at = candidate(row);
    if (!at)
        return;
    const auto choices = choicesOf(*at);
    if (std::find(choices.begin(), choices.end(), decision) == choices.end())
        return;
    const size_t i = m_order[size_t(row)];
    m_candidates[i].decision = decision;
    m_decided[i] = true;
    Q_EMIT dataChanged(index(row), index(row));
}

void ImportModel::decideAllLike(int row, ImportDecision decision) {
    const ImportCandidate* at = candidate(row);
    if (!at)
        return;
    const ImportFinding finding = at->finding;
    decide(row, decision);
    for (int r = 0; r < rowCount(); ++r)
        if (candidate(r)->finding == finding && !m_decided[m_order[size_t(r)]])
            decide(r, decision);
}

bool ImportModel::isToDecide(int row) const {
    const ImportCandidate* at = candidate(row);
    return at && isDoubtful(at->finding) && !m_decided[m_order[size_t(row)]];
}

int ImportModel::nextToDecide(int row) const {
    for (int by = 1; by <= rowCount(); ++by)
        if (const int at = (row + by) % rowCount(); isToDecide(at))
            return at;
    return -1;
}

int ImportModel::toDecide() const {
    int result = 0;
    for (int row = 0; row < rowCount(); ++row)
        result += isToDecide(row) ? 1 : 0;
    return result;
}

int ImportModel::comingIn() const {
    return int(std::count_if(m_candidates.begin(), m_candidates.end(), [](const ImportCandidate& candidate) {
        return candidate.decision != ImportDecision::LeaveOut;
    }));
}

int ImportModel::count(ImportFinding finding) const {
    return int(std::count_if(m_candidates.begin(), m_candidates.end(),
                             [&](const ImportCandidate& candidate) { return candidate.finding == finding; }));
}

int ImportModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : int(m_order.size());
}

QVariant ImportModel::data(const QModelIndex& index, int role) const {
    const ImportCandidate* at = candidate(index.row());
    if (!at)
        return {};
    const QString file = at->file.section(u'/', -1);
    switch (role) {
    case Qt::DisplayRole:
        return at->finding == ImportFinding::Unreadable ? file : at->song.title;
    case FindListModel::NumberRole:
        return isToDecide(index.row())  ? Said::tr("to decide")
               : choicesOf(*at).empty() ? QString()
                                        : decisionText(*at, at->decision);
    case FindListModel::SecondLineRole:
        return findingText(*at);
    case Qt::ToolTipRole:
        return QStringLiteral("%1\n%2").arg(at->file, findingText(*at));
    case Qt::AccessibleTextRole:
        return QStringLiteral("%1, %2").arg(data(index, Qt::DisplayRole).toString(), findingText(*at));
    default:
        return {};
    }
}

} // namespace mivanta

#include "moc_ImportModel.cpp"
