// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <QScrollArea>
#include <optional>

class QLabel;
class QVBoxLayout;

namespace mivanta {

/// A song to read: its details, and its parts as cards with chords over the words.
class ReadingPane : public QScrollArea {
    Q_OBJECT
public:
    explicit ReadingPane(QWidget* parent = nullptr);
    /// Nothing shows `emptyText`.
    void setSong(const std::optional<Song>& song, const QString& emptyText = {});

private:
    void showParts();
    void transposeBy(int semitones);

    std::optional<Song> m_song;
    int m_semitones = 0; ///< for reading only; the song stays as it is
    QLabel* m_title;
    QLabel* m_details;
    QWidget* m_chordRow;
    QLabel* m_key;
    QVBoxLayout* m_parts;
};

} // namespace mivanta
