// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "desk/kit/Tools.h"
#include "desk/sending/Sender.h"
#include "desk/song/WordsPreview.h"
#include "session/Session.h"
#include "session/library/RecordEditing.h"
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
class SungFacts;
template <typename T>
class RecordHistory;

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
    /// Stores the changed song.
    void saveSong() { m_editing.save(); }
    /// Runs the rest once a changed song is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then) { m_editing.settle(then); }
    /// What is not saved is on the disk when this returns.
    void keepNow() { m_editing.keepNow(); }

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
    void currentChanged(RecordEditing<Song>::By by);
    void chooseEdited();
    [[nodiscard]] std::optional<SongId> chosen() const; ///< in the list
    void showDraft(WordsPreview::Shows shows);
    void connectBringingIn();
    void showReview();
    void showSongs();
    void showHistory();

    Session& m_session;
    Prompts& m_prompts;
    Sender& m_sender;
    SongDraft m_draft;
    RecordEditing<Song> m_editing;
    Speller& m_speller;
    QStackedLayout* m_pages; ///< the songs; what is being brought in; a song's history
    LibraryList* m_list;
    QStackedLayout* m_beside; ///< one song; several songs
    SeveralSongs* m_several;
    ImportReview* m_review;
    RecordHistory<Song>* m_history;
    FindPanel* m_find;
    SongEditor* m_editor;
    WordsPreview* m_preview;
    EmptyState* m_nothing; ///< what can be done while the library has no song
    bool m_isEmpty = false;
    OrderEdit* m_order;
    int m_orderTyping = 0; ///< number of what is being typed there
    SungFacts* m_sung;
    QPushButton* m_add;
};

} // namespace mivanta
