// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QFile>
#include <QSize>
#include <memory>

namespace mivanta {

/// Small pictures in a file that both processes map: one slot an output, written by the player and read by
/// the desks without waiting for each other. A slot's counter is odd while it is being written (a sequence
/// lock), so a reader never takes half a picture for a whole one.
class FrameBoard {
public:
    static constexpr int kSlots = 16;
    static constexpr int kWidth = 480;  ///< px at most
    static constexpr int kHeight = 270; ///< px at most

    /// Makes the file anew (the player's side).
    [[nodiscard]] static Result<std::unique_ptr<FrameBoard>> create(const QString& path);
    /// Opens a file that is there (the desks' side).
    [[nodiscard]] static Result<std::unique_ptr<FrameBoard>> open(const QString& path);

    /// 32-bit premultiplied ARGB rows of size.width() * 4 bytes. Slots and sizes beyond the limits are
    /// refused.
    bool write(int slot, QSize size, const uchar* bits, qsizetype bytesPerLine);

    struct Picture {
        QSize size;
        QByteArray bits; ///< rows of size.width() * 4 bytes
    };
    /// An empty picture when nothing was written yet, or the writer was at it all the time.
    [[nodiscard]] Picture read(int slot) const;

private:
    FrameBoard(const QString& path) : m_file(path) {}
    [[nodiscard]] bool map();

    QFile m_file;
    uchar* m_memory = nullptr;
};

} // namespace mivanta
