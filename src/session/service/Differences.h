// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/LibraryClient.h"
#include "session/service/ServiceDocument.h"
#include "store/ServiceDifferences.h"

namespace mivanta {

/// What the service has otherwise than the library, and ways to settle it. Looked for when a service is
/// opened and whenever either side changes. What was kept as it is here is not told again until it changes.
/// Lives on the GUI thread.
class Differences : public QObject {
    Q_OBJECT
public:
    Differences(ServiceDocument& document, LibraryClient& library, QObject* parent = nullptr);

    [[nodiscard]] const std::vector<LibraryDifference>& all() const { return m_all; }
    /// The service becomes as the library is, in these; one step that can be undone. What the library lacks
    /// stays.
    void takeLibrarys(const std::vector<LibraryDifference>& which);
    /// The library becomes as the service is, in these.
    void putIntoLibrary(const std::vector<LibraryDifference>& which);
    /// Both stay as they are.
    void keep(const std::vector<LibraryDifference>& which);

Q_SIGNALS:
    void changed();
    void failed(const mivanta::Error& error);

private:
    void look();
    void take(const LibraryDifference& difference, const LibraryDifference::Words& words);

    ServiceDocument& m_document;
    LibraryClient& m_library;
    std::vector<LibraryDifference> m_all;
    QTimer m_soon;
};

} // namespace mivanta
