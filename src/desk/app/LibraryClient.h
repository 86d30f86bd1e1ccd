// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Worker.h"
#include "store/Library.h"
#include <atomic>
#include <functional>
#include <optional>

namespace mivanta {

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

    /// Every song (an empty query) or those found. Only the last of several calls by one asker is answered.
    using Found = std::function<void(Result<std::vector<SongHit>>)>;
    void find(QObject* asker, const QString& query, const Found& found);
    void song(QObject* asker, const SongId& id, const std::function<void(Result<Song>)>& loaded);

    using Saved = std::function<void(Result<Song>)>;
    void save(QObject* asker, const Song& song, const Saved& saved);
    using Versions = std::function<void(Result<std::vector<SongVersion>>)>;
    void versions(QObject* asker, const SongId& id, const Versions& found);
    void version(QObject* asker, const SongId& id, int revision,
                 const std::function<void(Result<Song>)>& loaded);
    using Done = std::function<void(Result<void>)>;
    void putInBin(QObject* asker, const std::vector<SongId>& ids, const Done& done);
    void takeFromBin(QObject* asker, const std::vector<SongId>& ids, const Done& done);
    void bin(QObject* asker, const std::function<void(Result<std::vector<SongSummary>>)>& found);
    void emptyBin(QObject* asker, const std::function<void(Result<int>)>& done);

    void import(const QStringList& paths);
    void cancelImport();
    [[nodiscard]] bool isImporting() const { return m_importing; }

Q_SIGNALS:
    void opened();
    void failed(const mivanta::Error& error);
    void changed(); ///< songs were added or changed
    void importProgress(int done, int total);
    void importFinished(const std::vector<mivanta::ImportEntry>& entries, bool cancelled);

private:
    void checkInBackground();
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
