// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/FilmBoard.h"
#include <condition_variable>
#include <functional>
#include <mutex>
#include <optional>
#include <thread>

struct mpv_handle;
struct mpv_render_context;

namespace mivanta {

/// What the pictures of a player are written as.
struct PictureShape {
    QSize size; ///< px; empty = it is not known yet, and nothing is written
    FilmBoard::Alpha alpha = FilmBoard::Alpha::Opaque;
    friend bool operator==(const PictureShape&, const PictureShape&) = default;
};

/// Writes the pictures of one player of libmpv to a board, each when its time has come, on a thread of its
/// own. Used on one thread besides; ends before its player.
class PictureWriter {
public:
    /// `ring` is called on the thread of the pictures whenever there is a new one.
    PictureWriter(std::unique_ptr<FilmBoard> board, std::function<void()> ring);
    ~PictureWriter();
    PictureWriter(const PictureWriter&) = delete;
    PictureWriter& operator=(const PictureWriter&) = delete;

    /// Whose pictures they are. Before it opens a file. False = this libmpv hands none out.
    [[nodiscard]] bool attach(mpv_handle* mpv);
    /// Pictures are written from now on.
    void start();
    /// The picture that there is, is written in it at once.
    void setShape(const PictureShape& shape);
    [[nodiscard]] bool hasRoomFor(QSize size) const { return m_board->hasRoomFor(size); }
    /// How many pictures of the player were written.
    [[nodiscard]] quint64 written() const;

    /// Turns the last picture into a card within so many ms; a null card leaves nothing to be seen. The next
    /// picture of the player comes back from there, in the same time. `size`: of the card, where no picture
    /// was there yet.
    void cover(const QImage& card, QSize size, int milliseconds);

private:
    struct Cover {
        QImage card;
        QImage before;    ///< the last picture
        double level = 0; ///< 0 = the picture alone is seen, to 1 = the card alone
        bool isRising = true;
        int milliseconds = 0;
        qint64 at = 0; ///< of Clock::steady(), when `level` was that
    };

    void run();
    void writePicture();
    void writeCover(const QImage& picture, QSize size);
    [[nodiscard]] bool isThereAPicture() const; ///< besides the black that a player begins with
    [[nodiscard]] bool render(uchar* pixels, QSize size, qsizetype bytesPerLine) const;
    void stepCover();

    std::unique_ptr<FilmBoard> m_board;
    std::function<void()> m_ring;
    mpv_render_context* m_render = nullptr;
    std::thread m_thread;
    // Of m_thread alone:
    bool m_hasPicture = false; ///< there was one, which may be written again
    std::optional<Cover> m_cover;

    mutable std::mutex m_mutex; // of what follows
    std::condition_variable m_wake;
    PictureShape m_shape;
    std::optional<Cover> m_wanted; ///< a cover that is to begin
    quint64 m_written = 0;
    bool m_mayBeNew = false;  ///< there may be a picture
    bool m_isChanged = false; ///< the picture that there is, is to be written again
    bool m_isEnding = false;
};

} // namespace mivanta
