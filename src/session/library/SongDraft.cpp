// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/SongDraft.h"
#include "core/song/PartEdits.h"

namespace mivanta {

class SongDraft::Change : public QUndoCommand {
public:
    Change(SongDraft& draft, Song before, Song after, const QString& what, int typingPlace)
        : QUndoCommand(what),
          m_draft(draft),
          m_before(std::move(before)),
          m_after(std::move(after)),
          m_typingPlace(typingPlace) {}
    void undo() override { m_draft.take(m_before); }
    void redo() override { m_draft.take(m_after); }
    [[nodiscard]] int id() const override { return m_typingPlace == 0 ? -1 : 1; }
    bool mergeWith(const QUndoCommand* later) override {
        const auto& other = static_cast<const Change&>(*later);
        if (other.m_typingPlace != m_typingPlace)
            return false;
        m_after = other.m_after;
        return true;
    }

private:
    SongDraft& m_draft;
    Song m_before;
    Song m_after;
    int m_typingPlace;
};

SongDraft::SongDraft(QObject* parent) : QObject(parent) {
    connect(&m_undo, &QUndoStack::cleanChanged, this, &SongDraft::stateChanged);
}

void SongDraft::load(std::optional<Song> stored) {
    m_song = stored;
    m_stored = std::move(stored);
    m_undo.clear();
    Q_EMIT loaded();
    Q_EMIT stateChanged();
}

void SongDraft::change(const QString& what, const std::function<void(Song&)>& work, int typingPlace) {
    if (!m_song)
        return;
    Song next = *m_song;
    work(next);
    if (sameContent(next, *m_song))
        return;
    m_undo.push(new Change(*this, *m_song, std::move(next), what, typingPlace));
}

void SongDraft::take(const Song& song) {
    const int revision = m_song->revision; // what was saved meanwhile stays known
    m_song = song;
    m_song->revision = revision;
    Q_EMIT changed();
}

void SongDraft::leaveAsItWas() {
    if (m_undo.cleanIndex() >= 0) {
        m_undo.setIndex(m_undo.cleanIndex());
        return;
    }
    // Undo cannot reach it any more: it was left by undoing and going on another way.
    change(tr("leaving the song as it was"), [this](Song& song) { song = *m_stored; });
    m_undo.setClean();
}

void SongDraft::setRevision(int revision) {
    if (m_song)
        m_song->revision = revision;
}

void SongDraft::saved(const Song& stored) {
    if (!m_song || !(m_song->id == stored.id))
        return;
    m_song->revision = stored.revision;
    m_stored = stored;
    if (sameContent(tidied(*m_song), stored))
        m_undo.setClean();
    else
        m_undo.resetClean(); // more was typed while it was being saved
    Q_EMIT stateChanged();
}

} // namespace mivanta
