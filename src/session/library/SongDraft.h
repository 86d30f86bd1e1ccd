// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <QObject>
#include <QUndoStack>
#include <functional>
#include <optional>

namespace mivanta {

/// The song that is being edited, apart from the library until it is saved. Every change can be undone;
/// typing in one place counts as one change. Lives on the GUI thread.
class SongDraft : public QObject {
    Q_OBJECT
public:
    explicit SongDraft(QObject* parent = nullptr);

    /// Takes up a song as it is stored, or nothing.
    void load(std::optional<Song> stored);
    [[nodiscard]] const std::optional<Song>& song() const { return m_song; }
    [[nodiscard]] bool isChanged() const { return m_song && !m_undo.isClean(); }
    [[nodiscard]] QUndoStack& undoStack() { return m_undo; }

    /// Changes a copy of the song and takes it up as one undo step called `what`. Changes with the same
    /// `typingPlace` (0 = none) that follow one another are one step.
    void change(const QString& what, const std::function<void(Song&)>& work, int typingPlace = 0);
    /// Takes back every change since the song was loaded or saved; that, too, can be undone.
    void leaveAsItWas();
    /// The library's song has become another one meanwhile; the draft stays and may take its place.
    void setRevision(int revision);
    /// The song is in the library now, tidied, as given; what was changed since it was sent there is not.
    void saved(const Song& stored);

Q_SIGNALS:
    void loaded();       ///< another song is here, or none
    void changed();      ///< the song's content
    void stateChanged(); ///< changed or saved

private:
    class Change;
    void take(const Song& song);

    std::optional<Song> m_song;
    std::optional<Song> m_stored; ///< as it was loaded or saved
    QUndoStack m_undo;
};

} // namespace mivanta
