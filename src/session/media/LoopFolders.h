// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/LibraryClient.h"
#include "session/media/FolderWatch.h"
#include "session/service/ServiceDocument.h"
#include <QHash>

namespace mivanta {

/// Keeps the loops of the open service as the folders are that they are linked to: pictures that are saved
/// there join the loop's set, those that are removed leave it. A folder that is not here changes nothing, nor
/// does one that nobody has linked on this computer: a service of somebody else must not show what lies here.
/// GUI thread; files are brought into the library in the background.
class LoopFolders : public QObject {
    Q_OBJECT
public:
    LoopFolders(LibraryClient& library, ServiceDocument& document, FolderWatch& folders,
                QObject* parent = nullptr);

Q_SIGNALS:
    void problem(const mivanta::Error& error);

private:
    void look();
    void lookAt(const Item& loop);
    void take(const ItemId& loop, const std::vector<Medium>& media);

    LibraryClient& m_library;
    ServiceDocument& m_document;
    FolderWatch& m_folders;
    struct Seen {
        QString folder;
        std::vector<FolderFile> files;
        friend bool operator==(const Seen&, const Seen&) = default;
    };
    QHash<ItemId, Seen> m_seen; ///< by loop: what was taken last
};

} // namespace mivanta
