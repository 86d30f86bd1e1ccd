// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/LibraryClient.h"
#include <QWidget>

class QLabel;
class QListWidget;
class QPushButton;

namespace mivanta {

class CompareView;

/// Earlier versions of a song, each side by side with the song as it is now. Also for a song that was
/// changed in two places at once: the library's beside the one in the editor.
class SongHistory : public QWidget {
    Q_OBJECT
public:
    explicit SongHistory(LibraryClient& library, QWidget* parent = nullptr);
    /// `now`: as it stands in the editor.
    void setSong(const Song& now);
    /// `stored`: what the library holds since the song was opened.
    void setConflict(const Song& now, const Song& stored);

Q_SIGNALS:
    void restoreWanted(const mivanta::Song& version);
    void keepWanted(const mivanta::Song& stored); ///< mine takes the place of the library's
    void left();

private:
    void fill(const std::vector<SongVersion>& versions);
    void show(const Song& version, const QString& caption);
    void showVersion();
    void restore();

    LibraryClient& m_library;
    Song m_now;
    std::optional<Song> m_version; ///< the one that is shown
    QLabel* m_heading;
    QListWidget* m_list;
    CompareView* m_words;
    QPushButton* m_keep;
    QPushButton* m_restore;
};

} // namespace mivanta
