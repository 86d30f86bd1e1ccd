// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/ServiceStore.h"
#include "store/UnsavedFile.h"

namespace mivanta {

/// Work that is not saved yet, as it was at its last change.
struct JournalEntry {
    Service service;
    QString path;                   ///< the file it belongs to; empty = never saved
    std::optional<FileStamp> stamp; ///< of that file when it was read or written last
    bool unsaved = false;
    bool isPacked = false; ///< that file holds media, too
};

/// The file that holds the service being worked on, so that it outlives the program.
class Journal {
public:
    /// `folder`, `olderFolder`: as in UnsavedFile. `window`: empty, or the name of another window that has a
    /// service of its own.
    explicit Journal(const QString& folder, const QString& window = {}, const QString& olderFolder = {});
    [[nodiscard]] Result<void> write(const JournalEntry& entry) const;
    /// Nothing when there is no journal. Fails when it cannot be read; the file is then put aside under
    /// another name, so that nothing is written over it.
    [[nodiscard]] Result<std::optional<JournalEntry>> read() const;
    void clear() const;

    /// The program does not answer while it works on what the journal holds, or answers again.
    void noteFrozen(bool isFrozen) const;
    /// It did not when it ended.
    [[nodiscard]] bool wasFrozen() const;
    /// Keeps the journal beside, so that the next start begins without it; false when there is none.
    [[nodiscard]] bool holdBack() const;
    /// What is kept beside.
    [[nodiscard]] Journal heldBack() const;

private:
    explicit Journal(UnsavedFile file) : m_file(std::move(file)) {}
    [[nodiscard]] QString frozenPath() const;

    UnsavedFile m_file;
};

} // namespace mivanta
