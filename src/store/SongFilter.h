// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDate>
#include <QString>
#include <QVariant>
#include <utility>
#include <vector>

namespace mivanta {

/// Which songs are looked among; what is empty does not count.
struct SongFilter {
    QString topic; ///< case and accents do not count
    QString book;  ///< as topic
    QString language;
    QString key;
    QDate notSungSince; ///< neither on this day nor later
    bool neverSung = false;

    [[nodiscard]] bool isEmpty() const;
    friend bool operator==(const SongFilter&, const SongFilter&) = default;
    /// A condition that begins with the column `row` of a song, as SQL, with the values bound in it; empty
    /// when every song passes.
    [[nodiscard]] std::pair<QString, QVariantList> condition() const;
};

/// What the songs of the library can be filtered by: each value once, with the number of songs, by name.
struct SongFacets {
    using Values = std::vector<std::pair<QString, int>>;
    Values topics;
    Values books;
    Values languages;
    Values keys;
};

} // namespace mivanta
