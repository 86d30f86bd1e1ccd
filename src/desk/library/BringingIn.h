// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/LibraryClient.h"

namespace mivanta {

class ImportReview;

/// The way of song files into the library: they are read, looked at in the review, stored, and told about.
class BringingIn : public QObject {
    Q_OBJECT
public:
    BringingIn(LibraryClient& library, ImportReview& review, QObject* parent = nullptr);
    void start(const QStringList& paths);

Q_SIGNALS:
    void reviewWanted(); ///< there are songs to be decided about
    void reviewIsNew();  ///< behind reviewWanted(): they were read just now
    void reviewLeft();
    void notice(const QString& text);

private:
    void lookedAt(const ImportCandidates& candidates, bool stopped);

    LibraryClient& m_library;
    ImportReview& m_review;
};

/// "Brought in: 3 added, …" with what was refused or read another way.
[[nodiscard]] QString importText(const std::vector<ImportEntry>& entries, bool cancelled);

} // namespace mivanta
