// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Worker.h"
#include "desk/library/SongDraft.h"
#include "store/SongJournal.h"
#include <QTimer>

namespace mivanta {

/// Keeps a changed song on the disk, at most 0.3 s behind the last key press, until it is saved or given up.
class DraftKeeper : public QObject {
    Q_OBJECT
public:
    DraftKeeper(SongDraft& draft, const QString& libraryFolder, QObject* parent = nullptr);
    /// Looks for a song from last time; found() answers when there is one. Before this nothing is written.
    void recover();

Q_SIGNALS:
    void found(const mivanta::Song& unsaved);
    void failed(const mivanta::Error& error);

private:
    void keep();

    SongDraft& m_draft;
    SongJournal m_journal;
    Worker m_files{QStringLiteral("song journal")};
    QTimer m_soon;
    bool m_holds = false; ///< there is a journal
    bool m_mayKeep = false;
};

} // namespace mivanta
