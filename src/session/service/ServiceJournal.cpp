// SPDX-License-Identifier: GPL-3.0-or-later
// What keeps the work of a ServiceDocument over the end of the program.
#include "session/service/ServiceDocument.h"

namespace mivanta {

namespace {
constexpr std::chrono::seconds kFrozen(15); // nothing that ends takes so long on the GUI thread

/// What the journal holds, or what its file holds when all was saved and the file was changed since, as on
/// another computer.
Result<std::optional<JournalEntry>> lastWork(const Journal& journal, bool& isNewerFile) {
    auto entry = journal.read();
    if (!entry || !*entry || (*entry)->unsaved || (*entry)->path.isEmpty())
        return entry;
    JournalEntry& work = **entry;
    const auto stamp = stampOfFile(work.path);
    if (stamp && work.stamp == *stamp)
        return entry;
    auto opened = stamp ? openService(work.path) : tl::unexpected(stamp.error());
    isNewerFile = opened.has_value();
    if (opened)
        work = {std::move(opened->service), work.path, opened->stamp, false, opened->isPacked};
    else
        work.unsaved = true; // what was in the file is only here now
    return entry;
}

} // namespace

void ServiceDocument::recover() {
    auto file = std::make_shared<File>();
    auto isNewerFile = std::make_shared<bool>(false);
    auto isHeldBack = std::make_shared<bool>(false);
    m_files.run(
        this,
        [journal = m_journal, stamp = file->stamp, isNewerFile,
         isHeldBack]() -> Result<std::optional<JournalEntry>> {
            *isHeldBack = journal->wasFrozen() && journal->holdBack();
            if (*isHeldBack)
                return std::optional<JournalEntry>();
            auto entry = lastWork(*journal, *isNewerFile);
            if (entry && *entry)
                *stamp = (*entry)->stamp;
            return entry;
        },
        [this, file, isNewerFile, isHeldBack](Result<std::optional<JournalEntry>> entry) {
            if (!entry)
                Q_EMIT failed(entry.error());
            m_watch = std::make_unique<FreezeWatch>(
                kFrozen, [journal = m_journal](bool isFrozen) { journal->noteFrozen(isFrozen); });
            if (*isHeldBack)
                Q_EMIT heldBack();
            if (!entry || !*entry) {
                Q_EMIT nothingToRecover();
                return;
            }
            const bool unsaved = (*entry)->unsaved;
            file->path = (*entry)->path;
            file->isPacked = (*entry)->isPacked;
            take(std::move((*entry)->service), file, !unsaved, {});
            if (*isNewerFile)
                Q_EMIT newerFileTaken();
            Q_EMIT recovered(unsaved);
        });
}

void ServiceDocument::takeUpHeldBack() {
    m_files.run(
        this, [journal = m_journal->heldBack()] { return journal.read(); },
        [this](Result<std::optional<JournalEntry>> entry) {
            if (!entry)
                Q_EMIT failed(entry.error());
            else if (*entry)
                startFrom(std::move((*entry)->service));
        });
}

/// Also when changes never pause: what is unsaved is on the disk soon after the first of them.
void ServiceDocument::journalSoon() {
    if (!m_journalSoon.isActive())
        m_journalSoon.start();
}

void ServiceDocument::writeJournal() {
    m_journalSoon.stop();
    m_files.run(
        this,
        [journal = m_journal, stamp = m_file->stamp,
         entry = JournalEntry{m_service, m_file->path, {}, isModified(), m_file->isPacked}]() mutable {
            entry.stamp = *stamp;
            return journal->write(entry);
        },
        [this](const Result<void>& written) {
            if (!written)
                Q_EMIT failed(written.error());
        });
}

void ServiceDocument::forgetJournal() {
    m_journalSoon.stop();
    m_files.run([journal = m_journal] { journal->clear(); });
}

void ServiceDocument::keepNow() {
    writeJournal();
    m_files.wait();
}

void ServiceDocument::finishWriting() {
    if (m_journalSoon.isActive())
        writeJournal();
    m_files.finish();
}

} // namespace mivanta
