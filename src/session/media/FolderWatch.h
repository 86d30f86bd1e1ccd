// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/work/LeavableWorker.h"
#include "session/work/Worker.h"
#include "store/ThisComputer.h"
#include <QObject>
#include <QTimer>

namespace mivanta {

/// The folders of this computer whose media are shown with the library's, and what is in them now. A folder
/// that is gone is looked for where sticks are plugged in. GUI thread; disks are read on others.
class FolderWatch : public QObject {
    Q_OBJECT
public:
    struct Entry {
        WatchedFolder folder;
        std::vector<FolderFile> files; ///< none while it is not here
        bool isHere = false;
        bool isRead = false; ///< else it is not known yet whether it is here
    };

    explicit FolderWatch(ThisComputer computer, QObject* parent = nullptr);

    /// Reads which ones there are, then changed(); from then on they are looked at now and then.
    void load();
    [[nodiscard]] const std::vector<Entry>& all() const { return m_all; }
    /// One that is watched already, or lies in one that is, is told and not added.
    void watch(const QString& path);
    void leave(const QString& path);
    /// Loops may follow that folder on this computer: it is watched, too.
    void follow(const QString& path);
    [[nodiscard]] bool isFollowed(const QString& path) const;
    /// Has them looked at now.
    void look();
    [[nodiscard]] bool isLooking() const { return m_isLooking; }
    /// Where sticks are plugged in; tests have places of their own.
    void setRoots(const std::function<QStringList()>& roots) { m_roots = roots; }

Q_SIGNALS:
    void changed();
    void notice(const QString& text);
    void problem(const mivanta::Error& error);

private:
    struct Looked;
    void keep();
    void take(std::vector<Looked> looked);
    [[nodiscard]] Entry* entryOf(const QString& path);
    [[nodiscard]] const Entry* entryAround(const QString& path) const;
    bool add(const QString& path);

    const ThisComputer m_computer;
    std::vector<Entry> m_all;
    std::vector<quint64> m_states; ///< of folderState(), like m_all
    std::function<QStringList()> m_roots;
    bool m_isLooking = false;
    bool m_isLookWanted = false; ///< once more, when this look is over
    QTimer m_often;
    Worker m_settings{QStringLiteral("media folders")}; // for machines
    LeavableWorker m_disk;
};

} // namespace mivanta
