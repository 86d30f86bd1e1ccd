// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/SlideBook.h"
#include "desk/parts/PictureView.h"

namespace mivanta {

/// A song as the hall and the stream will show it, step by step. Slides are made a moment after the song
/// changed, so that typing is not held up.
class SongPreview : public QWidget {
    Q_OBJECT
public:
    SongPreview(SlideBook& book, ThumbnailStore& thumbnails, QWidget* parent = nullptr);
    /// `sameSong`: it was only edited; the step stays.
    void setSong(const std::optional<Song>& song, bool sameSong);
    /// Shows the slide that holds this line of the part, the first time that it is sung.
    void showPlace(int part, int line);
    [[nodiscard]] const std::optional<ItemSlides>& slides() const { return m_slides; }
    /// The song's slides are out of date, though the song is the same.
    void refresh();

Q_SIGNALS:
    void slidesMade();

private:
    void makeSlides();
    void stepBy(int by);
    void showStep();

    SlideBook& m_book;
    PictureView* m_hall;
    PictureView* m_stream;
    std::optional<Song> m_song;
    std::optional<ItemSlides> m_slides;
    std::pair<int, int> m_wantedPlace{-1, -1};
    QTimer m_soon;
    int m_step = 0;
};

} // namespace mivanta
