// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QStringList>
#include <optional>
#include <vector>

namespace mivanta {

/// A book of scripture, by its three letters in USFM 3.0 ("LUK", "1CO", "TOB"). Ordered as books usually
/// stand: the 66 first, then the others that USFM names, then any further code.
class BookCode {
public:
    BookCode() = default;
    /// Any three letters or digits, in either case; nothing otherwise.
    [[nodiscard]] static std::optional<BookCode> fromText(QStringView text);
    [[nodiscard]] QString text() const;
    [[nodiscard]] bool isNull() const { return m_code == 0; }
    /// Place among the known books, from 0; behind all of them for a code that is none of theirs.
    [[nodiscard]] int rank() const;

    friend bool operator==(BookCode a, BookCode b) { return a.m_code == b.m_code; }
    friend bool operator<(BookCode a, BookCode b) {
        const int left = a.rank();
        const int right = b.rank();
        return left != right ? left < right : a.m_code < b.m_code;
    }
    friend size_t qHash(BookCode book, size_t seed = 0) { return ::qHash(book.m_code, seed); }

private:
    quint32 m_code = 0;
};

/// What a book is called in English, and in OSIS.
struct KnownBook {
    BookCode code;
    QString osis;
    QString name;
    QStringList abbreviations; ///< usual ones that are no beginning of the name
};

/// The 66 books and those beyond them that USFM names, in their usual order.
[[nodiscard]] const std::vector<KnownBook>& knownBooks();
[[nodiscard]] const KnownBook* knownBook(BookCode code);
/// By the OSIS abbreviation, such as "1Cor".
[[nodiscard]] std::optional<BookCode> bookFromOsis(QStringView osis);
/// The English name, or the code itself.
[[nodiscard]] QString englishName(BookCode code);
/// By a whole English name or usual abbreviation, in any case, with or without spaces and points.
[[nodiscard]] std::optional<BookCode> bookFromName(const QString& name);

/// A book's name as names are compared: folded, without spaces, its number (1, I, First, 1.) as a digit.
[[nodiscard]] QString bookKey(const QString& name);

} // namespace mivanta
