// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Worker.h"
#include "store/Library.h"
#include <atomic>
#include <functional>
#include <optional>

namespace mivanta {

/// What was read, passed along without copies; whoever gets it may take the songs out.
using ImportPlan = std::shared_ptr<std::vector<ImportCandidate>>;

/// The desks' way to the library: every call returns at once and answers later, on the GUI thread. Searches
/// and imports run on threads of their own, so that Find works while files come in.
class LibraryClient : public QObject {
    Q_OBJECT
public:
    explicit LibraryClient(const QString& folder, QObject* parent = nullptr);
    ~LibraryClient() override;

    void open();
    [[nodiscard]] bool isOpen() const { return m_isOpen; }
    [[nodiscard]] const QString& folder() const { return m_folder; }
    [[nodiscard]] const std::optional<Error>& error() const { return m_error; }

    /// Every song that passes the filter (an empty query) or those found among them. Only the last of several
    /// calls by one asker is answered.
    using Found = std::function<void(Result<std::vector<SongHit>>)>;
    void find(QObject* asker, const QString& query, const SongFilter& filter, const Found& found);
    void facets(QObject* asker, const std::function<void(Result<SongFacets>)>& found);
    /// A song is on a screen. Nobody waits for it; it is no reason to stop a service when it fails.
    void noteSung(const SongUse& use);
    void uses(QObject* asker, const SongId& id,
              const std::function<void(Result<std::vector<SongUse>>)>& found);
    void song(QObject* asker, const SongId& id, const std::function<void(Result<Song>)>& loaded);

    using Saved = std::function<void(Result<Song>)>;
    void save(QObject* asker, const Song& song, const Saved& saved);
    using Edited = std::function<void(Result<std::vector<SongEdit>>)>;
    void edit(QObject* asker, const std::vector<SongId>& ids, const std::function<void(Song&)>& change,
              const Edited& done);
    void takeBack(QObject* asker, const std::vector<SongEdit>& edits,
                  const std::function<void(Result<int>)>& done);
    using Versions = std::function<void(Result<std::vector<SongVersion>>)>;
    void versions(QObject* asker, const SongId& id, const Versions& found);
    void version(QObject* asker, const SongId& id, int revision,
                 const std::function<void(Result<Song>)>& loaded);
    using Done = std::function<void(Result<void>)>;
    void putInBin(QObject* asker, const std::vector<SongId>& ids, const Done& done);
    void takeFromBin(QObject* asker, const std::vector<SongId>& ids, const Done& done);
    void bin(QObject* asker, const std::function<void(Result<std::vector<SongSummary>>)>& found);
    void emptyBin(QObject* asker, const std::function<void(Result<int>)>& done);

    /// Reads song files and folders; lookedAt() answers. Only one import is at work at a time.
    void lookAtImport(const QStringList& paths);
    /// Stores what was decided; importFinished() answers.
    void bringIn(std::vector<ImportCandidate> candidates);
    void cancelImport();
    [[nodiscard]] bool isImporting() const { return m_importing; }

Q_SIGNALS:
    void opened();
    void failed(const mivanta::Error& error);
    void changed(); ///< songs were added or changed
    void importProgress(int done, int total);
    void lookedAt(const mivanta::ImportPlan& plan, bool cancelled);
    void importFinished(const std::vector<mivanta::ImportEntry>& entries, bool cancelled);

private:
    void checkInBackground();
    /// Runs one step of an import on a library of its own; `done` says whether it was cancelled.
    template <typename T>
    void importStep(std::function<T(Library&, const Library::Progress&)> work,
                    std::function<void(T, bool cancelled)> done);
    /// Runs work on the open library, on its thread; `changes` tells the world of a success.
    template <typename T>
    void ask(QObject* asker, std::function<Result<T>(Library&)> work, std::function<void(Result<T>)> done,
             bool changes);

    QString m_folder;
    std::unique_ptr<Library> m_library; ///< used on m_reader's thread only
    Worker m_reader{QStringLiteral("library")};
    Worker m_importer{QStringLiteral("import")};
    QHash<QObject*, std::shared_ptr<std::atomic<quint64>>> m_lastOf;
    std::shared_ptr<std::atomic<bool>> m_cancel = std::make_shared<std::atomic<bool>>(false);
    std::optional<Error> m_error;
    bool m_isOpen = false;
    bool m_importing = false;
};

} // namespace mivanta
