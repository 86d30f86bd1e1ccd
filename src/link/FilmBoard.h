// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QImage>
#include <memory>

namespace mivanta {

/// A picture of a film.
struct FilmPicture {
    QImage image;       ///< RGB32, or ARGB32 (not premultiplied) where the film is see-through
    quint64 number = 0; ///< of the pictures that were published, from 1; 0 = there is none
};

/// The pictures of one film in memory that two processes share: one writes them, the other reads the newest
/// without waiting and without copying it. What the reader holds is never written to, so that no picture is
/// half a picture; the memory stays the reader's when the writer dies.
class FilmBoard {
public:
    static constexpr int kSlots = 4; ///< held, newest, being written, and one to choose
    static constexpr int kLongestSide = 8192;

    /// Memory of its own for pictures of up to so many px; the reader's side.
    [[nodiscard]] static Result<std::unique_ptr<FilmBoard>> create(QSize largest);
    /// Takes over a descriptor of such memory; the writer's side.
    [[nodiscard]] static Result<std::unique_ptr<FilmBoard>> open(int descriptor);
    ~FilmBoard();
    FilmBoard(const FilmBoard&) = delete;
    FilmBoard& operator=(const FilmBoard&) = delete;

    [[nodiscard]] int descriptor() const { return m_descriptor; }
    /// Of 32-bit pixels, with rows as bytesPerLine() has them.
    [[nodiscard]] bool hasRoomFor(QSize size) const;
    /// A multiple of 64, as decoders like it.
    [[nodiscard]] static qsizetype bytesPerLine(int width) { return (qsizetype(width) * 4 + 63) / 64 * 64; }

    enum class Alpha { Opaque, Straight };
    /// Where the next picture is to be written; there must be room for it. The writer's thread.
    [[nodiscard]] uchar* begin(QSize size, Alpha alpha);
    /// It is the newest from now on.
    void publish();
    /// The newest again, on the writer's side: stays as it is until the next but one begins. Null = none yet.
    [[nodiscard]] QImage lastWritten() const;

    /// The newest picture. Its pixels are the board's: they stay as they are until the next call. The
    /// reader's thread.
    [[nodiscard]] FilmPicture newest();

private:
    struct Header;
    FilmBoard(int descriptor, size_t bytes, uchar* memory)
        : m_descriptor(descriptor),
          m_bytes(bytes),
          m_memory(memory) {}
    static Result<std::unique_ptr<FilmBoard>> mapped(int descriptor, size_t bytes);
    [[nodiscard]] Header& header() const;
    [[nodiscard]] size_t slotBytes() const;
    [[nodiscard]] uchar* pixels(quint32 slot) const;
    [[nodiscard]] QImage imageOf(quint32 slot) const; ///< null when what it says of itself is nonsense

    int m_descriptor;
    size_t m_bytes;
    uchar* m_memory;
    quint32 m_writing = 0;
    FilmPicture m_held;
};

} // namespace mivanta
