// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QString>

namespace mivanta {

/// A control sign that stands in no text: below U+0020, but for tabs and the ends of rows and pages.
[[nodiscard]] bool isNoLetter(char16_t sign);

/// Every byte as the letter that Windows-1252 has for it.
[[nodiscard]] QString fromWindows1252(const QByteArray& bytes);

struct GuessedText {
    QString text;
    QString encoding; ///< as people know it: "Windows-1251"
};

/// Text that is no UTF, in the encoding that its letters are likeliest in (uchardet); Windows-1252 where that
/// is not sure. Never fails: Windows-1252 has a letter for every byte.
[[nodiscard]] GuessedText guessedText(const QByteArray& bytes);

} // namespace mivanta
