// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/library/VersionsPage.h"
#include "session/library/LibraryClient.h"

namespace mivanta {

/// Earlier versions of a song, each side by side with the song as it is now. Also for a song that was
/// changed in two places at once: the library's beside the one in the editor.
class SongHistory : public VersionsPage {
    Q_OBJECT
public:
    explicit SongHistory(LibraryClient& library, QWidget* parent = nullptr);
    /// `now`: as it stands in the editor.
    void setSong(const Song& now);
    /// `stored`: what the library holds since the song was opened.
    void setConflict(const Song& now, const Song& stored);

Q_SIGNALS:
    void songWanted(const mivanta::Song& version);
    void keepWanted(const mivanta::Song& stored); ///< mine takes the place of the library's

private:
    void show(const Song& version, const QString& caption);
    void showVersion(int revision);

    LibraryClient& m_library;
    Song m_now;
    std::optional<Song> m_version; ///< the one that is shown
    QPushButton* m_keep;
};

} // namespace mivanta
