// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/PictureView.h"
#include "session/service/SlideBook.h"

namespace mivanta {

/// A song, passage or text as the hall and the stream will show it, step by step. Slides are made a moment
/// after it changed, so that typing is not held up.
class WordsPreview : public QWidget {
    Q_OBJECT
public:
    WordsPreview(SlideBook& book, ThumbnailStore& thumbnails, QWidget* parent = nullptr);
    /// `same`: it was only edited; the step stays.
    /// Is it what was shown before, changed, or another one, which is shown from its beginning?
    enum class Shows { Same, Another };
    void setSong(const std::optional<Song>& song, Shows shows);
    void setWords(const std::optional<ItemWords>& words, Shows shows);
    /// Shows the slide that holds this line of the part, the first time that it is sung.
    void showPlace(int part, int line);
    [[nodiscard]] const std::optional<ItemSlides>& slides() const { return m_slides; }
    /// What is said beside each part of the song: how many slides it takes, or that it is not sung.
    [[nodiscard]] QStringList partNotes() const;
    /// The song's slides are out of date, though the song is the same.
    void refresh();

Q_SIGNALS:
    void slidesMade();

private:
    void changed(Shows shows);
    void makeSlides();
    void stepBy(int by);
    void showStep();

    SlideBook& m_book;
    PictureView* m_hall;
    PictureView* m_stream;
    std::optional<Song> m_song;       ///< tidied when its slides are made
    std::optional<ItemWords> m_words; ///< instead of a song
    std::optional<ItemSlides> m_slides;
    std::pair<int, int> m_wantedPlace{-1, -1};
    QTimer m_soon;
    int m_step = 0;
};

} // namespace mivanta
