// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Prompts.h"
#include "desk/app/Session.h"
#include "desk/library/SongDraft.h"
#include "desk/library/Speller.h"
#include "desk/parts/ThumbnailStore.h"
#include <QWidget>

class QLabel;
class QMenu;
class QProgressBar;
class QPushButton;

namespace mivanta {

class FindPanel;
class OrderEdit;
class SongEditor;
class SongPreview;

/// The library: find a song, edit it, see it as the outputs will show it, bring in more.
class LibraryDesk : public QWidget {
    Q_OBJECT
public:
    LibraryDesk(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent = nullptr);

    void focusFind();
    void showSong(const SongId& id);
    void newSong();
    void importFiles();
    void importFolder();

    [[nodiscard]] bool hasUnsavedSong() const { return m_draft.isChanged(); }
    void undo();
    void redo();
    /// Stores the changed song; `then` runs once it is in the library.
    void saveSong(const std::function<void()>& then = {});
    /// Runs the rest once a changed song is saved or given up; not when the person wants to stay.
    void settle(const std::function<void()>& then);

Q_SIGNALS:
    void addToService(const mivanta::SongId& id);

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    QWidget* buildList();
    QWidget* buildImportRow(QWidget* side);
    QWidget* buildSide(ThumbnailStore& thumbnails);
    void connectOrder();
    void currentChanged();
    void load(const SongId& id);
    void draftChanged(bool sameSong);
    void showPartNotes();
    void importFinished(const std::vector<ImportEntry>& entries, bool cancelled);
    void showVersions(const QPoint& globalPlace);
    void putInBin();
    void fillBinMenu();

    Session& m_session;
    Prompts& m_prompts;
    SongDraft m_draft;
    Speller m_speller;
    FindPanel* m_find;
    SongEditor* m_editor;
    SongPreview* m_preview;
    OrderEdit* m_order;
    QLabel* m_count;
    QPushButton* m_add;
    QMenu* m_binMenu;
    QWidget* m_importRow;
    QProgressBar* m_progress;
    SongId m_wanted;
    bool m_selecting = false; ///< the list is brought back to the song that stays
};

} // namespace mivanta
