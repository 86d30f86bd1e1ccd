// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/LibraryClient.h"
#include "media/MediumLook.h"
#include "store/MediaIntake.h"

namespace mivanta {

namespace {
constexpr int kCheckAfterMs = 4000;
constexpr int kNewDayMs = 3600 * 1000;
constexpr int kWatchMs = 1500;
} // namespace

LibraryClient::LibraryClient(LibraryAddress address, QObject* parent)
    : QObject(parent),
      m_address(std::move(address)) {
    m_daily.setInterval(kNewDayMs);
    connect(&m_daily, &QTimer::timeout, this, [this] { checkInBackground(Check::EveryDay); });
    m_watch.setInterval(kWatchMs);
    m_watch.setSingleShot(true); // from answer to question: none waits behind another
    connect(&m_watch, &QTimer::timeout, this, &LibraryClient::watch);
}

void LibraryClient::stopAside() {
    ++*m_stops;
}

LibraryClient::~LibraryClient() {
    *m_cancel = true;
    stopAside();
    m_asideWorker.finish();
    m_importer.finish();
    m_reader.run([this] { leave(); }); // where its connection was opened
    m_reader.finish();
}

/// On the reader's thread.
void LibraryClient::leave() {
    m_finder.reset();
    m_library.reset();
}

void LibraryClient::open() {
    m_reader.run(
        this,
        [this]() -> Result<void> {
            auto library = Library::open(m_address);
            if (!library)
                return tl::unexpected(library.error());
            m_library = std::move(*library);
            m_finder = std::make_unique<LibraryFinder>(*m_library);
            return {};
        },
        [this](const Result<void>& done) {
            if (!done) {
                m_error = done.error();
                Q_EMIT failed(done.error());
                return;
            }
            m_error.reset();
            m_isOpen = true;
            Q_EMIT opened();
            QTimer::singleShot(kCheckAfterMs, this, [this] { checkInBackground(Check::AtStart); });
            m_daily.start();
            m_watch.start();
        });
}

/// A second window, an import on the command line: what they change is seen here, too.
void LibraryClient::watch() {
    ask<bool>(
        this, [](Library& library) { return library.wasChangedElsewhere(); },
        [this](const Result<bool>& changedElsewhere) {
            if (changedElsewhere.value_or(false))
                tell(everyPart());
            m_watch.start();
        });
}

void LibraryClient::tell(LibraryParts parts) {
    parts.setFlag(LibraryPart::History, false);
    if (parts)
        Q_EMIT changed(parts);
}

/// A damaged library is better known on a week-night, and each day has its backup; neither must delay the
/// start or a search.
void LibraryClient::checkInBackground(Check check) {
    using Made = std::optional<Backup>;
    m_importer.run(
        this,
        [address = m_address, check]() -> Result<Made> {
            const auto library = Library::open(address);
            if (!library)
                return tl::unexpected(library.error());
            auto made = backUpToday((*library)->database(), address.folder());
            if (made && !*made && check == Check::AtStart)
                if (auto whole = checkIntegrity((*library)->database()); !whole)
                    return tl::unexpected(whole.error());
            return made;
        },
        [this](const Result<Made>& made) {
            if (!made)
                Q_EMIT failed(made.error());
            else if (*made)
                Q_EMIT backedUp();
        });
}

void LibraryClient::backups(QObject* asker, const std::function<void(std::vector<Backup>)>& found) {
    m_reader.run(
        asker, [address = m_address] { return backupsOf(address.folder()); }, found);
}

void LibraryClient::backUpNow(QObject* asker, const std::function<void(Result<Backup>)>& done) {
    m_importer.run(
        asker,
        [address = m_address]() -> Result<Backup> {
            const auto library = Library::open(address);
            if (!library)
                return tl::unexpected(library.error());
            if (auto whole = checkIntegrity((*library)->database()); !whole)
                return tl::unexpected(whole.error());
            return backUp((*library)->database(), address.folder(), Backup::Kind::Daily);
        },
        [this, done](const Result<Backup>& made) {
            done(made);
            if (made)
                Q_EMIT backedUp();
        });
}

void LibraryClient::bringBack(QObject* asker, const Backup& backup, const Done& done) {
    if (m_importing) {
        done(failure(tr("something is still being brought into the library"), {},
                     tr("Wait until it is done, or stop it.")));
        return;
    }
    const auto brought = [this, done](const Result<void>& result) {
        done(result);
        open();
    };
    const auto exchange = [this, asker, backup, brought] {
        m_reader.run(
            asker,
            [this, backup] {
                leave(); // nobody may have it open
                return mivanta::bringBack(backup, m_address.folder());
            },
            brought);
    };
    // behind a check or a backup that is at work there
    m_importer.run(
        asker, [] { return true; }, [exchange](bool) { exchange(); });
}

void LibraryClient::find(QObject* asker, const FindQuery& query, const Found& found) {
    auto& last = m_lastOf[asker];
    if (!last) {
        last = std::make_shared<std::atomic<quint64>>(0);
        connect(asker, &QObject::destroyed, this, [this, asker] { m_lastOf.remove(asker); });
    }
    const quint64 mine = ++*last;
    m_reader.run(
        asker,
        [this, last = last, mine, query]() -> std::optional<Result<FindResult>> {
            if (*last != mine || !m_finder)
                return std::nullopt; // overtaken by a later key press
            return m_finder->find(query);
        },
        [last = last, mine, found](std::optional<Result<FindResult>> result) {
            if (result && *last == mine)
                found(std::move(*result));
        });
}

void LibraryClient::words(QObject* asker, const FindPick& pick,
                          const std::function<void(Result<ItemWords>)>& loaded) {
    if (const auto* medium = std::get_if<MediumPick>(&pick); medium && medium->name.isEmpty())
        askAside<ItemWords>(
            asker,
            [path = medium->path](Library& library, const GoOn& goOn) {
                return bringInMedium(library, path, lookAtMedium, goOn).map(itemOf);
            },
            loaded);
    else
        ask<ItemWords>(
            asker, [this, pick](Library&) { return m_finder->words(pick); }, loaded);
}

void LibraryClient::song(QObject* asker, const SongId& id, const std::function<void(Result<Song>)>& loaded) {
    ask<Song>(
        asker, [id](Library& library) { return library.song(id); }, loaded);
}

void LibraryClient::save(QObject* asker, const Song& song, const Saved& saved) {
    ask<Song>(
        asker, [song](Library& library) { return library.save(song); }, saved);
}

void LibraryClient::facets(QObject* asker, const std::function<void(Result<SongFacets>)>& found) {
    ask<SongFacets>(
        asker, [](Library& library) { return library.facets(); }, found);
}

void LibraryClient::noteSung(const SongUse& use) {
    m_reader.run([this, use] {
        if (m_library)
            static_cast<void>(m_library->noteSung(use)); // the store has logged it
    });
}

void LibraryClient::uses(QObject* asker, const SongId& id,
                         const std::function<void(Result<std::vector<SongUse>>)>& found) {
    ask<std::vector<SongUse>>(
        asker, [id](Library& library) { return library.uses(id); }, found);
}

void LibraryClient::edit(QObject* asker, const std::vector<SongId>& ids,
                         const std::function<void(Song&)>& change, const Edited& done) {
    ask<std::vector<SongEdit>>(
        asker, [ids, change](Library& library) { return library.edit(ids, change); }, done);
}

void LibraryClient::takeBack(QObject* asker, const std::vector<SongEdit>& edits,
                             const std::function<void(Result<int>)>& done) {
    ask<int>(
        asker, [edits](Library& library) { return library.takeBack(edits); }, done);
}

void LibraryClient::putInBin(QObject* asker, const std::vector<SongId>& ids, const Done& done) {
    ask<void>(
        asker, [ids](Library& library) { return library.putInBin(ids); }, done);
}

void LibraryClient::takeFromBin(QObject* asker, const std::vector<SongId>& ids, const Done& done) {
    ask<void>(
        asker, [ids](Library& library) { return library.takeFromBin(ids); }, done);
}

template <typename T>
void LibraryClient::importStep(std::function<T(Library&, const Library::Progress&)> work,
                               std::function<void(T, bool)> done) {
    m_importing = true;
    *m_cancel = false;
    m_importer.run(
        this,
        [this, address = m_address, work = std::move(work), cancel = m_cancel]() -> Result<T> {
            auto library = Library::open(address);
            if (!library)
                return tl::unexpected(library.error());
            return work(**library, [&](int at, int total) {
                if (at % 10 == 0)
                    QMetaObject::invokeMethod(this, [this, at, total] { Q_EMIT importProgress(at, total); });
                return !*cancel;
            });
        },
        [this, done = std::move(done)](Result<T> result) {
            m_importing = false;
            if (!result)
                Q_EMIT failed(result.error());
            done(result ? std::move(*result) : T(), *m_cancel);
        });
}

void LibraryClient::lookAtImport(const QStringList& paths) {
    if (m_importing || paths.isEmpty())
        return;
    importStep<ImportCandidates>(
        [paths](Library& library, const Library::Progress& progress) {
            return std::make_shared<std::vector<ImportCandidate>>(library.lookAtImport(paths, progress));
        },
        [this](const ImportCandidates& candidates, bool cancelled) {
            Q_EMIT lookedAt(candidates ? candidates : std::make_shared<std::vector<ImportCandidate>>(),
                            cancelled);
        });
}

void LibraryClient::bringIn(std::vector<ImportCandidate> candidates) {
    if (m_importing)
        return;
    auto decided = std::make_shared<std::vector<ImportCandidate>>(std::move(candidates));
    importStep<std::vector<ImportEntry>>(
        [decided](Library& library, const Library::Progress& progress) {
            return library.bringIn(std::move(*decided), progress);
        },
        [this](const std::vector<ImportEntry>& entries, bool cancelled) {
            Q_EMIT importFinished(entries, cancelled);
            tell(LibraryPart::Songs);
        });
}

ScriptureProgress LibraryClient::scriptureProgressOf() {
    return [this, cancel = m_cancel](int done, int total) {
        QMetaObject::invokeMethod(this, [this, done, total] { Q_EMIT scriptureProgress(done, total); });
        return !*cancel;
    };
}

void LibraryClient::bringInScripture(const QString& path) {
    if (m_importing)
        return;
    m_importing = true;
    *m_cancel = false;
    using Read = std::shared_ptr<ScriptureText>;
    m_importer.run(
        this,
        [path, progress = scriptureProgressOf()]() -> Result<Read> {
            auto text = readTranslation(path, progress);
            if (!text)
                return tl::unexpected(text.error());
            return std::make_shared<ScriptureText>(std::move(*text));
        },
        [this](const Result<Read>& read) {
            m_importing = false;
            if (!read)
                Q_EMIT scriptureRefused(read.error());
            else if ((*read)->needsAPerson())
                Q_EMIT scriptureToReview(*read);
            else
                storeScripture(*read);
        });
}

void LibraryClient::storeScripture(const std::shared_ptr<ScriptureText>& text) {
    if (m_importing)
        return;
    m_importing = true;
    *m_cancel = false;
    m_importer.run(
        this,
        [text, address = m_address, progress = scriptureProgressOf()]() -> Result<BroughtIn> {
            auto library = Library::open(address);
            if (!library)
                return tl::unexpected(library.error());
            const auto stored = (*library)->scripture().store(*text, SameShortName::Number, progress);
            if (!stored)
                return tl::unexpected(stored.error());
            return BroughtIn{*stored, int(text->books.size()), text->verseCount(), text->warnings};
        },
        [this](const Result<BroughtIn>& done) {
            m_importing = false;
            if (!done) {
                Q_EMIT scriptureRefused(done.error());
                return;
            }
            Q_EMIT scriptureBroughtIn(*done);
            tell(LibraryPart::Scripture);
        });
}

void LibraryClient::cancelImport() {
    *m_cancel = true;
}

} // namespace mivanta

#include "moc_LibraryClient.cpp"
