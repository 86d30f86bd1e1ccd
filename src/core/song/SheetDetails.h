// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QStringList>
#include <vector>

namespace mivanta {

/// One detail of a song: its name as files write it ("title", "words", "copyright", …) and its value.
struct SheetDetail {
    QString name;
    QString value;
    friend bool operator==(const SheetDetail&, const SheetDetail&) = default;
};

/// The one name of a detail that several are written for: "lyricist", "Words by" and "words" are "words".
/// Empty when it is none.
[[nodiscard]] QString detailNamed(const QString& name);

/// What a line of a lyric sheet says of the song: "Words: …", "Music by …", "© …", "Key of G", "Capo 2",
/// "Shore Hymnal 203". Empty when it is no such line. `writtenOnly`: nothing but "name: value".
[[nodiscard]] std::vector<SheetDetail> detailsOf(const QString& line, bool writtenOnly);

[[nodiscard]] bool isCopyright(const QString& line);

/// What a title line says: the title, put into ordinary letters when it is all capitals; a hymn number before
/// it; names behind a dash or "by".
[[nodiscard]] std::vector<SheetDetail> titleDetails(const QString& line);

/// A few words that all begin with a capital or a dot-ended letter: "Ivo Tarnwell", "I. Tarnwell and P. Osk".
[[nodiscard]] bool looksLikeNames(const QString& line);
[[nodiscard]] QString withoutBrackets(const QString& line);

} // namespace mivanta
