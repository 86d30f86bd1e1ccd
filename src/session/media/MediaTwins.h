// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/work/LeavableWorker.h"
#include <QHash>
#include <QObject>

namespace mivanta {

class FolderWatch;
class MediaBook;

/// Which files of watched folders hold the same as others, or as one of the library, so that each is shown
/// once. Only files of the same length are read, and only their beginning and end. GUI thread; the reading is
/// done on another.
class MediaTwins : public QObject {
    Q_OBJECT
public:
    MediaTwins(MediaBook& book, FolderWatch& folders, QObject* parent = nullptr);
    /// Equal for files that hold the same; empty for one that has no twin, or was not read yet.
    [[nodiscard]] QByteArray digestOf(const QString& path) const { return m_digests.value(path); }

Q_SIGNALS:
    void changed();

private:
    void look();

    MediaBook& m_book;
    FolderWatch& m_folders;
    QHash<QString, QByteArray> m_digests; ///< by path
    bool m_isLooking = false;
    bool m_isLookWanted = false;
    LeavableWorker m_disk;
};

} // namespace mivanta
