// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/BringingIn.h"
#include "desk/library/ImportReview.h"
#include <algorithm>

namespace mivanta {

BringingIn::BringingIn(LibraryClient& library, ImportReview& review, QObject* parent)
    : QObject(parent),
      m_library(library),
      m_review(review) {
    connect(&m_review, &ImportReview::later, this, &BringingIn::reviewLeft);
    connect(&m_review, &ImportReview::givenUp, this, &BringingIn::reviewLeft);
    connect(&m_review, &ImportReview::decided, this, [this](const std::vector<ImportCandidate>& candidates) {
        Q_EMIT reviewLeft();
        m_library.bringIn(candidates);
    });
    connect(&m_library, &LibraryClient::lookedAt, this, &BringingIn::lookedAt);
    connect(&m_library, &LibraryClient::importFinished, this,
            [this](const std::vector<ImportEntry>& entries, bool cancelled) {
                Q_EMIT notice(importText(entries, cancelled));
            });
}

void BringingIn::start(const QStringList& paths) {
    if (m_library.isImporting())
        Q_EMIT notice(tr("Songs are being brought in. Bring in more when that is done."));
    else if (!m_review.isEmpty())
        Q_EMIT reviewWanted(); // these first
    else
        m_library.lookAtImport(paths);
}

void BringingIn::lookedAt(const ImportCandidates& candidates, bool stopped) {
    const bool anything =
        std::any_of(candidates->begin(), candidates->end(), [](const ImportCandidate& candidate) {
            return !ImportModel::choicesOf(candidate).empty();
        });
    if (!anything) { // nothing to decide: only to be told
        m_library.bringIn(std::move(*candidates));
        return;
    }
    m_review.setCandidates(std::move(*candidates), stopped);
    Q_EMIT reviewWanted();
    Q_EMIT reviewIsNew();
}

QString importText(const std::vector<ImportEntry>& entries, bool cancelled) {
    int counts[kImportOutcomes]{};
    QStringList refusals;
    QStringList warnings;
    for (const ImportEntry& entry : entries) {
        ++counts[int(entry.outcome)];
        const QString file = entry.file.section(u'/', -1);
        if (entry.outcome == ImportOutcome::Refused)
            refusals << QStringLiteral("%1: %2").arg(file, entry.reason);
        else if (entry.outcome == ImportOutcome::Added && !entry.reason.isEmpty())
            warnings << QStringLiteral("%1: %2").arg(file, entry.reason);
    }
    constexpr int kMostTold = 6;
    const auto count = [&](ImportOutcome outcome) { return counts[int(outcome)]; };
    QString text = BringingIn::tr("Brought in: %1 added, %2 changed, %3 unchanged, %4 refused.")
                       .arg(count(ImportOutcome::Added))
                       .arg(count(ImportOutcome::Changed))
                       .arg(count(ImportOutcome::Unchanged))
                       .arg(count(ImportOutcome::Refused));
    if (const int out = count(ImportOutcome::LeftOut); out > 0)
        text += u' ' + BringingIn::tr("%1 left out.").arg(out);
    if (cancelled)
        text += u' ' + BringingIn::tr("Stopped before the end.");
    const QStringList told = refusals + warnings;
    for (const QString& line : told.mid(0, kMostTold))
        text += u'\n' + line;
    if (told.size() > kMostTold)
        text += u'\n' + BringingIn::tr("and %n more.", nullptr, int(told.size() - kMostTold));
    return text;
}

} // namespace mivanta

#include "moc_BringingIn.cpp"
