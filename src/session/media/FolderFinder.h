// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/media/ShownMedium.h"
#include "store/finding/Finding.h"
#include <QObject>

namespace mivanta {

/// Finds files of watched folders by words of their names and folders, besides what the library finds. GUI
/// thread.
class FolderFinder : public QObject {
    Q_OBJECT
public:
    FolderFinder(const MediaBook& book, const FolderWatch& folders, const MediaTwins& twins,
                 QObject* parent = nullptr);

    /// A few of them, by name; none for an empty query, and none that the library has, too.
    [[nodiscard]] std::vector<FindHit> find(const QString& query);

Q_SIGNALS:
    void changed(); ///< others may be found

private:
    const MediaBook& m_book;
    const FolderWatch& m_folders;
    const MediaTwins& m_twins;
    std::optional<std::vector<ShownMedium>> m_all; ///< nothing = to be made anew
};

} // namespace mivanta
