// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include <optional>

namespace mivanta {

/// One file in the library folder that holds the song being edited while it is not saved, so that what was
/// typed outlives the program.
class SongJournal {
public:
    explicit SongJournal(const QString& libraryFolder);
    [[nodiscard]] Result<void> write(const Song& song) const;
    /// Nothing when there is no journal. Fails when it cannot be read; the file is then left as it is.
    [[nodiscard]] Result<std::optional<Song>> read() const;
    void clear() const;

private:
    QString m_path;
};

} // namespace mivanta
