// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QIODevice>
#include <vector>

namespace mivanta {

/// The largest song file that is read, in bytes.
inline constexpr qint64 kLargestSongFile = qint64(4) * 1024 * 1024;

struct DecodedText {
    QString text;        ///< lines end in '\n' alone; no byte order mark
    bool cutOff = false; ///< the file ends in the middle of a letter
    QString guessed;     ///< the encoding that it was taken for, as people know it; empty = it is UTF
    /// Lines of UTF-8 or UTF-16 with a letter that could not be read; U+FFFD stands for it. The first ones
    /// only.
    std::vector<int> damagedLines;
};

/// What a warning says of an encoding that was guessed.
[[nodiscard]] QString guessedEncodingText(const DecodedText& text);

/// What a warning says of damaged letters, with their lines.
[[nodiscard]] QString damagedLettersText(const DecodedText& text);

/// Reads text: UTF-8 with or without BOM, also when a few letters of it are damaged; UTF-16 by BOM, else
/// what guessedText() takes it for. At most `largest` bytes.
/// Fails on read errors, on too much data, on nothing at all, and on what is not text.
[[nodiscard]] Result<DecodedText> readText(QIODevice& device, const QString& where, qint64 largest);

} // namespace mivanta
