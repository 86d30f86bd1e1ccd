// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "desk/kit/Tools.h"
#include "desk/sending/Sender.h"
#include "session/Session.h"
#include "session/library/DraftKeeper.h"
#include "session/library/OneSave.h"
#include "session/library/SongDraft.h"
#include "session/readings/ThumbnailStore.h"
#include <QWidget>

class QPushButton;
class QStackedLayout;

namespace mivanta {

class EmptyState;

class FindPanel;
class ImportReview;
class LibraryList;
class OrderEdit;
class SeveralSongs;
class SongEditor;
class SongHistory;
class WordsPreview;
class SungFacts;

/// The songs of the library: find one, edit it, see it as the outputs will show it, bring in more.
class SongLibrary : public QWidget {
    Q_OBJECT
public:
    explicit SongLibrary(const Tools& tools, QWidget* parent = nullptr);

    void focusFind();
    void showSong(const SongId& id);
    void newSong();
    /// A new song of words that were pasted elsewhere.
    void newSongFrom(const QString& text);
    void bringInFiles();
    void bringInFolder();

    [[nodiscard]] bool hasUnsavedSong() const { return m_draft.isChanged(); }
    void undo();
    void redo();
    /// Stores the changed song; `then` runs once it is in the library.
    void saveSong(const std::function<void()>& then = {});
    /// Runs the rest once a changed song is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then);

Q_SIGNALS:
    void addToService(const std::vector<mivanta::FindPick>& picks);
    void dropped(const QStringList& paths);
    void reviewIsThere(); ///< songs were read and want to be decided about

private:
    QWidget* buildSongs(ThumbnailStore& thumbnails);
    QWidget* buildSide(ThumbnailStore& thumbnails);
    void connectOrder();
    void connectList();
    void connectEditor();
    void selectionChanged();
    void currentChanged();
    void load(const SongId& id);
    void sendSong(const std::function<void()>& then);
    void draftChanged(bool sameSong);
    void connectBringingIn();
    void showReview();
    void showSongs();
    void showHistory();
    void restoreVersion(const Song& version);
    void refused(const Error& error);
    void recover(const Song& unsaved);
    void putInBin();

    Session& m_session;
    Prompts& m_prompts;
    Sender& m_sender;
    OneSave m_saves;
    SongDraft m_draft;
    DraftKeeper m_keeper;
    Speller& m_speller;
    QStackedLayout* m_pages; ///< the songs; what is being brought in; a song's history
    LibraryList* m_list;
    QStackedLayout* m_beside; ///< one song; several songs
    SeveralSongs* m_several;
    ImportReview* m_review;
    SongHistory* m_history;
    FindPanel* m_find;
    SongEditor* m_editor;
    WordsPreview* m_preview;
    EmptyState* m_nothing; ///< what can be done while the library has no song
    bool m_isEmpty = false;
    OrderEdit* m_order;
    int m_orderTyping = 0; ///< number of what is being typed there
    SungFacts* m_sung;
    QPushButton* m_add;
    SongId m_wanted;
    bool m_selecting = false; ///< the list is brought back to the song that stays
};

} // namespace mivanta
