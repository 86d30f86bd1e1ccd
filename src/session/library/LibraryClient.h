// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "formats/ScriptureReader.h"
#include "session/work/Worker.h"
#include "store/Backups.h"
#include "store/Library.h"
#include "store/LibraryAddress.h"
#include "store/finding/Finding.h"
#include <QPointer>
#include <QTimer>
#include <atomic>
#include <functional>
#include <optional>

namespace mivanta {

/// What was read, passed along without copies; whoever gets it may take the songs out.
using ImportCandidates = std::shared_ptr<std::vector<ImportCandidate>>;

/// A translation that was brought in.
struct BroughtIn {
    Translation translation;
    int books = 0;
    int verses = 0;
    std::vector<ScriptureWarning> warnings;
};

/// The desks' way to the library: every call returns at once and answers later, on the GUI thread. Searches
/// and imports run on threads of their own, so that Find works while files come in.
class LibraryClient : public QObject {
    Q_OBJECT
public:
    explicit LibraryClient(LibraryAddress address, QObject* parent = nullptr);
    ~LibraryClient() override;

    void open();
    [[nodiscard]] bool isOpen() const { return m_isOpen; }
    [[nodiscard]] const LibraryAddress& address() const { return m_address; }
    [[nodiscard]] const std::optional<Error>& error() const { return m_error; }

    /// Runs work on the open library, on its thread, then done(result) here unless the asker is gone. When
    /// the work has changed the library, changed() follows.
    template <typename T>
    void ask(QObject* asker, std::function<Result<T>(Library&)> work,
             std::type_identity_t<std::function<void(Result<T>)>> done);

    /// The same for what takes long, such as large files that come in: on a library and a thread of its own,
    /// so that nothing waits for it. The work asks `goOn` now and then, and ends when that says no.
    using GoOn = std::function<bool()>;
    template <typename T>
    void askAside(QObject* asker, std::function<Result<T>(Library&, const GoOn& goOn)> work,
                  std::type_identity_t<std::function<void(Result<T>)>> done);
    /// Ends what was asked aside.
    void stopAside();
    [[nodiscard]] bool isBusyAside() const { return m_aside > 0; }

    /// What the query means and finds. Only the last of several calls by one asker is answered.
    using Found = std::function<void(Result<FindResult>)>;
    void find(QObject* asker, const FindQuery& query, const Found& found);
    /// The words of what was picked, for putting them into a service. A text has no answers yet.
    void words(QObject* asker, const FindPick& pick, const std::function<void(Result<ItemWords>)>& loaded);
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
    using Done = std::function<void(Result<void>)>;
    void putInBin(QObject* asker, const std::vector<SongId>& ids, const Done& done);
    void takeFromBin(QObject* asker, const std::vector<SongId>& ids, const Done& done);

    /// Reads song files and folders; lookedAt() answers. Only one import is at work at a time.
    void lookAtImport(const QStringList& paths);
    /// Stores what was decided; importFinished() answers.
    void bringIn(std::vector<ImportCandidate> candidates);
    void cancelImport();
    [[nodiscard]] bool isImporting() const { return m_importing; }

    /// Reads a translation from a file, folder or ZIP and stores it; scriptureBroughtIn() or
    /// scriptureRefused() follows. Where not all of it can be read, scriptureToReview() follows instead, and
    /// nothing is stored. cancelImport() stops it.
    void bringInScripture(const QString& path);
    /// Stores what was reviewed, whole or not at all.
    void storeScripture(const std::shared_ptr<ScriptureText>& text);

    /// Those of this library, the newest first.
    void backups(QObject* asker, const std::function<void(std::vector<Backup>)>& found);
    /// One more backup, now.
    void backUpNow(QObject* asker, const std::function<void(Result<Backup>)>& done);
    /// Puts a backup in the library's place; what is there now becomes one that can be brought back. opened()
    /// follows. Refused while anything is being brought in.
    void bringBack(QObject* asker, const Backup& backup, const Done& done);

Q_SIGNALS:
    void opened();
    void backedUp(); ///< there is a new backup
    void failed(const mivanta::Error& error);
    /// Something was added, changed or taken away, here or elsewhere. What was sung is not told.
    void changed(mivanta::LibraryParts parts);
    void busyAside(); ///< isBusyAside() may be another
    void scriptureProgress(int done, int total);
    void scriptureToReview(const std::shared_ptr<mivanta::ScriptureText>& text);
    void scriptureBroughtIn(const mivanta::BroughtIn& what);
    void scriptureRefused(const mivanta::Error& error); ///< nothing was changed
    void importProgress(int done, int total);
    void lookedAt(const mivanta::ImportCandidates& candidates, bool cancelled);
    void importFinished(const std::vector<mivanta::ImportEntry>& entries, bool cancelled);

private:
    enum class Check { AtStart, EveryDay };
    void checkInBackground(Check check);
    void leave();
    void watch();
    void tell(LibraryParts parts);
    template <typename T>
    struct Answer {
        Result<T> result;
        LibraryParts changes;
    };
    [[nodiscard]] ScriptureProgress scriptureProgressOf();
    /// Runs one step of an import on a library of its own; `done` says whether it was cancelled.
    template <typename T>
    void importStep(std::function<T(Library&, const Library::Progress&)> work,
                    std::function<void(T, bool cancelled)> done);
    const LibraryAddress m_address;
    std::unique_ptr<Library> m_library; ///< used on m_reader's thread only
    std::unique_ptr<Finder> m_finder;   ///< the same
    Worker m_reader{QStringLiteral("library")};
    Worker m_importer{QStringLiteral("import")};
    Worker m_asideWorker{QStringLiteral("media")};
    int m_aside = 0; ///< jobs that were asked aside
    std::shared_ptr<std::atomic<int>> m_stops = std::make_shared<std::atomic<int>>(0);
    QHash<QObject*, std::shared_ptr<std::atomic<quint64>>> m_lastOf;
    std::shared_ptr<std::atomic<bool>> m_cancel = std::make_shared<std::atomic<bool>>(false);
    std::optional<Error> m_error;
    QTimer m_daily; ///< looks for a new day
    QTimer m_watch; ///< looks for changes by other programs
    bool m_isOpen = false;
    bool m_importing = false;
};

template <typename T>
void LibraryClient::ask(QObject* asker, std::function<Result<T>(Library&)> work,
                        std::type_identity_t<std::function<void(Result<T>)>> done) {
    m_reader.run(
        this,
        [this, work = std::move(work)]() -> std::shared_ptr<Answer<T>> {
            if (!m_library)
                return std::make_shared<Answer<T>>(
                    Answer<T>{failure(Said::tr("the library is not open"), m_address.text()), {}});
            auto result = work(*m_library);
            return std::make_shared<Answer<T>>(Answer<T>{std::move(result), m_library->takeChanges()});
        },
        [this, asker = QPointer(asker), done = std::move(done)](const std::shared_ptr<Answer<T>>& answer) {
            if (asker)
                done(std::move(answer->result));
            tell(answer->changes);
        });
}

template <typename T>
void LibraryClient::askAside(QObject* asker, std::function<Result<T>(Library&, const GoOn&)> work,
                             std::type_identity_t<std::function<void(Result<T>)>> done) {
    ++m_aside;
    Q_EMIT busyAside();
    m_asideWorker.run(
        this,
        [work = std::move(work), address = m_address, stops = m_stops,
         asked = m_stops->load()]() -> std::shared_ptr<Answer<T>> {
            auto library = Library::open(address);
            if (!library)
                return std::make_shared<Answer<T>>(Answer<T>{tl::unexpected(library.error()), {}});
            auto result = work(**library, [stops, asked] { return *stops == asked; });
            return std::make_shared<Answer<T>>(Answer<T>{std::move(result), (*library)->takeChanges()});
        },
        [this, asker = QPointer(asker), done = std::move(done)](const std::shared_ptr<Answer<T>>& answer) {
            --m_aside;
            if (asker)
                done(std::move(answer->result));
            tell(answer->changes);
            Q_EMIT busyAside();
        });
}

} // namespace mivanta
