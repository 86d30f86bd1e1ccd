// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include "formats/SongReader.h"
#include <optional>

namespace mivanta {

/// What a song that was read is to the library.
enum class ImportFinding {
    New,
    Same,        ///< the library has just this
    InBin,       ///< the library has just this, deleted
    NewerFile,   ///< it came from this file before; the file has changed since, the song has not
    BothChanged, ///< it came from this file before; both have changed since
    SameWords,   ///< mostly the words of another song, under another title or differing a little
    SameTitle,   ///< the title of another song that has other words
    Unreadable,
};

/// What became of what was brought in.
enum class ImportOutcome { Added, Changed, Unchanged, Refused, LeftOut };
inline constexpr int kImportOutcomes = 5;
/// "added", "left out", …
[[nodiscard]] QString outcomeName(ImportOutcome outcome); ///< for people
[[nodiscard]] QString outcomeKey(ImportOutcome outcome);  ///< for programs; never changes

enum class ImportDecision {
    LeaveOut,
    Add,          ///< as a song of its own
    Replace,      ///< the other song becomes this; its earlier version is kept
    MergeDetails, ///< the other song gets what only this one says; its words stay
};

/// A song on its way into the library, looked at and not stored yet; or a file that could not be read.
struct ImportCandidate {
    QString file;
    QString source; ///< what the library knows it by: the file's whole path, and "#2" for its second song
    Song song;
    std::vector<ReadWarning> warnings;
    ImportFinding finding = ImportFinding::New;
    std::optional<Song> other; ///< the one that the finding is about: of the library, or earlier among these
    bool otherIsStored = true; ///< false: it is an earlier one among these
    QString problem;           ///< of a file that could not be read
    ImportDecision decision = ImportDecision::Add;
};

/// True when it needs a person: it is like another song without being it.
[[nodiscard]] constexpr bool isDoubtful(ImportFinding finding) {
    return finding == ImportFinding::BothChanged || finding == ImportFinding::SameWords ||
           finding == ImportFinding::SameTitle;
}

/// What happens when nobody decides: doubtful songs stay out, so that nothing is doubled or overwritten.
[[nodiscard]] constexpr ImportDecision usualDecision(ImportFinding finding) {
    if (finding == ImportFinding::New || finding == ImportFinding::InBin)
        return ImportDecision::Add;
    return finding == ImportFinding::NewerFile ? ImportDecision::Replace : ImportDecision::LeaveOut;
}

} // namespace mivanta
