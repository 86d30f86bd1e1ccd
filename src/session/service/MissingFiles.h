// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/service/ServiceDocument.h"
#include "store/LibraryAddress.h"
#include "store/MediaSearch.h"
#include <atomic>

namespace mivanta {

/// The media that the service shows and this computer lacks. They are looked for in the known folders as soon
/// as the service is opened: the very same content is brought into the library, a file that is only called
/// the same is offered. Lives on the GUI thread; the disk is read on another.
class MissingFiles : public QObject {
    Q_OBJECT
public:
    struct Entry {
        MediaFact fact;
        QString offered; ///< a file that is called the same; empty = none was found
        friend bool operator==(const Entry&, const Entry&) = default;
    };

    MissingFiles(ServiceDocument& document, LibraryAddress library, QObject* parent = nullptr);
    ~MissingFiles() override;

    [[nodiscard]] const std::vector<Entry>& all() const { return m_all; }
    [[nodiscard]] bool isSearching() const { return m_isSearching; }
    /// Where people keep pictures, films and sounds; the tests have their own.
    void setKnownFolders(const QStringList& folders) { m_known = folders; }
    /// Besides these: those that are watched and here now.
    void setWatchedFolders(const QStringList& folders) { m_watched = folders; }

    /// Finds out what is missing and looks for it in the known folders and beside the service.
    void look();
    /// Looks in this folder, too, and from now on.
    void lookIn(const QString& folder);
    /// This file in the missing one's place; what else is missing is then looked for around it, and taken
    /// when it is called the same.
    void use(const QString& name, const QString& path);
    void stop();

Q_SIGNALS:
    void changed();
    void found(int files); ///< so many are in the library now
    void failed(const mivanta::Error& error);

private:
    struct Found;
    struct Job;
    void run(Job job);
    void take(const Found& found);

    ServiceDocument& m_document;
    LibraryAddress m_library;
    QStringList m_known;
    QStringList m_watched;
    QStringList m_added; ///< folders that were chosen by hand
    std::vector<Entry> m_all;
    QStringList m_looked; ///< the media of the service when it was looked last
    bool m_isSearching = false;
    int m_search = 0; ///< the last one asked for
    std::shared_ptr<std::atomic<int>> m_wanted = std::make_shared<std::atomic<int>>(0);
    Worker m_worker{QStringLiteral("missing files")}; // for machines
};

} // namespace mivanta
