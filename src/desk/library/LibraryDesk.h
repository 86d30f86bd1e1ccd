// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Prompts.h"
#include "desk/app/Session.h"
#include "desk/library/ReadingPane.h"
#include "desk/parts/Chips.h"
#include "desk/parts/FindPanel.h"
#include "desk/parts/PictureView.h"

class QProgressBar;
class QPushButton;

namespace mivanta {

/// The library: find a song, read it, see it as the outputs will show it, bring in more.
class LibraryDesk : public QWidget {
    Q_OBJECT
public:
    LibraryDesk(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent = nullptr);

    void focusFind();
    void showSong(const SongId& id);
    void importFiles();
    void importFolder();

Q_SIGNALS:
    void addToService(const mivanta::SongId& id);

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    QWidget* buildList();
    QWidget* buildSide(ThumbnailStore& thumbnails);
    void currentChanged();
    void songLoaded(const Result<Song>& song);
    void importFinished(const std::vector<ImportEntry>& entries, bool cancelled);
    void stepPreview(int by);
    void showPreview();

    Session& m_session;
    Prompts& m_prompts;
    FindPanel* m_find;
    ReadingPane* m_reading;
    QLabel* m_count;
    PictureView* m_hall;
    PictureView* m_stream;
    Chips* m_order;
    QLabel* m_orderTitle;
    QPushButton* m_add;
    QWidget* m_importRow;
    QProgressBar* m_progress;
    std::optional<Song> m_song;
    std::optional<ItemSlides> m_slides;
    int m_step = 0;
    SongId m_wanted;
};

} // namespace mivanta
