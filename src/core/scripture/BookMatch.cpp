// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/BookMatch.h"

namespace mivanta {

namespace {

QStringList ownKeys(const OutlineBook& book) {
    QStringList keys;
    for (const QString& name : book.otherNames + QStringList{book.name}) {
        keys << bookKey(name);
        // As it is typed where the keyboard has no such letters: "roemer".
        QString plain = name;
        for (const auto& [letter, typed] :
             {std::pair(u'\u00e4', "ae"), std::pair(u'\u00f6', "oe"), std::pair(u'\u00fc', "ue"),
              std::pair(u'\u00df', "ss"), std::pair(u'\u00e6', "ae"), std::pair(u'\u00f8', "oe")})
            plain.replace(QChar(letter), QLatin1String(typed), Qt::CaseInsensitive);
        if (plain != name)
            keys << bookKey(plain);
    }
    keys.removeAll(QString());
    return keys;
}

QStringList usualKeys(BookCode code) {
    QStringList keys{bookKey(code.text())};
    if (const KnownBook* known = knownBook(code)) {
        keys << bookKey(known->name) << bookKey(known->osis);
        keys << known->abbreviations;
    }
    if (code.text() == QLatin1String("JUD"))
        keys.removeAll(QStringLiteral("jud")); // as likely the beginning of Judges
    return keys;
}

template <typename Matches>
std::vector<BookCode> matching(const Outline& outline, Matches matches) {
    std::vector<BookCode> books;
    for (const OutlineBook& book : outline.books)
        if (matches(book))
            books.push_back(book.code);
    return books;
}

QString withoutNumber(const QString& key) {
    return !key.isEmpty() && key[0].isDigit() ? key.mid(1) : QString();
}

} // namespace

std::vector<BookCode> booksMatching(const QString& name, const Outline& outline) {
    const QString key = bookKey(name);
    if (key.isEmpty())
        return {};
    const auto begins = [&](const QString& other) { return other.startsWith(key); };
    const auto beginsUnnumbered = [&](const QString& other) { return withoutNumber(other).startsWith(key); };
    const auto any = [](const QStringList& keys, const auto& test) {
        return std::any_of(keys.begin(), keys.end(), test);
    };
    auto found = matching(outline, [&](const OutlineBook& b) { return ownKeys(b).contains(key); });
    if (found.empty())
        found = matching(outline, [&](const OutlineBook& b) { return usualKeys(b.code).contains(key); });
    if (found.empty())
        found = matching(outline, [&](const OutlineBook& b) {
            return any(ownKeys(b), begins) || bookKey(englishName(b.code)).startsWith(key);
        });
    if (found.empty())
        found = matching(outline, [&](const OutlineBook& b) {
            return any(ownKeys(b), beginsUnnumbered) || beginsUnnumbered(bookKey(englishName(b.code)));
        });
    return found;
}

std::optional<BookCode> missingBook(const QString& name, const Outline& outline) {
    const auto book = bookFromName(name);
    return book && !outline.book(*book) ? book : std::nullopt;
}

} // namespace mivanta
