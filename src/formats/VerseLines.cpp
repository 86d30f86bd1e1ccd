// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/VerseLines.h"
#include "core/base/Said.h"
#include "core/scripture/BookNames.h"
#include "formats/TextDecoding.h"
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestVerseFile = 64 * 1024 * 1024;

class VerseLineReader {
public:
    explicit VerseLineReader(const QString& where) : m_where(where), m_builder(where) {}

    Result<ScriptureText> run(const QString& text) {
        for (const QStringView raw : QStringView(text).tokenize(u'\n')) {
            ++m_line;
            const QString line = raw.trimmed().toString();
            if (line.isEmpty() || line.startsWith(u'#'))
                continue;
            m_problem.clear();
            if (!verse(line) && !detail(line))
                m_damages.push_back(
                    {m_where, m_line,
                     m_problem.isEmpty()
                         ? Said::tr("\u201c%1\u201d is no verse").arg(line.left(40))
                         : Said::tr("\u201c%1\u201d is no verse: %2").arg(line.left(40), m_problem)});
        }
        if (!m_damages.empty() && int(m_damages.size()) >= m_verses) // then it is no scripture at all
            return failure(m_damages.front().text,
                           Said::tr("%1, line %2").arg(m_where).arg(m_damages.front().line),
                           Said::tr("Write each verse as Luke 5:1 and its words."));
        ScriptureText read = m_builder.finish();
        takeUnnamed(read);
        read.damages = std::move(m_damages);
        read.details = m_details;
        for (ScriptureBook& book : read.books)
            book.name = m_names.value(book.code);
        return read;
    }

private:
    bool verse(const QString& line) {
        static const QRegularExpression form(
            u"^(.{1,60}?)\\s*(\\d{1,3})[:.](\\d{1,3})(?:[-\u2013](\\d{1,3}))?[ \\t]+(.+)$"_s);
        const auto match = form.match(line);
        if (!match.hasMatch())
            return false;
        const BookCode book = bookOf(match.captured(1));
        const int chapter = match.captured(2).toInt();
        const int first = match.captured(3).toInt();
        const int last = match.captured(4).isEmpty() ? first : match.captured(4).toInt();
        if (chapter == 0 || first == 0 || last < first)
            return false;
        if (!m_builder.hasBook() || !(m_builder.book().code == book)) {
            if (m_seen.contains(book)) {
                m_problem = Said::tr("put all verses of one book together");
                return false;
            }
            m_seen.insert(book);
            m_builder.startBook(book);
        }
        if (m_builder.chapter() != chapter)
            m_builder.startChapter(chapter);
        m_builder.startVerse(first, last, m_line);
        m_builder.addWords(match.capturedView(5));
        ++m_verses;
        return true;
    }

    /// A name that no book is known by stands for a book of its own, until a person says which.
    BookCode bookOf(const QString& name) {
        const auto known = m_books.constFind(name);
        if (known != m_books.constEnd())
            return *known;
        auto book = bookFromAnyName(name);
        if (!book) {
            book = BookCode::fromText(u"Y%1"_s.arg(m_unnamed.size() % 100, 2, 10, QLatin1Char('0')));
            m_unnamed.push_back({name, m_line, {}});
        }
        m_books.insert(name, *book);
        return *book;
    }

    void takeUnnamed(ScriptureText& read) {
        for (size_t i = 0; i < m_unnamed.size(); ++i) {
            const auto code = m_books.value(m_unnamed[i].name);
            const auto at = std::find_if(read.books.begin(), read.books.end(),
                                         [&](const ScriptureBook& book) { return book.code == code; });
            if (at == read.books.end())
                continue;
            m_unnamed[i].verses = std::move(at->verses);
            read.books.erase(at);
            read.unnamed.push_back(std::move(m_unnamed[i]));
        }
    }

    bool detail(const QString& line) {
        static const QRegularExpression form(u"^(Name|Short name|Language|Copyright|Book):\\s*(.+)$"_s,
                                             QRegularExpression::CaseInsensitiveOption);
        const auto match = form.match(line);
        if (!match.hasMatch())
            return false;
        const QString key = match.captured(1).toLower();
        const QString value = match.captured(2);
        if (key == u"name")
            m_details.name = value;
        else if (key == u"short name")
            m_details.shortName = value;
        else if (key == u"language")
            m_details.language = value;
        else if (key == u"copyright")
            m_details.copyright = value;
        else if (const auto code = BookCode::fromText(QStringView(value).left(3)); code && value.size() > 4) {
            m_names.insert(*code, value.mid(4).trimmed());
            m_books.insert(value.mid(4).trimmed(), *code);
        } else
            return false;
        return true;
    }

    QString m_where;
    ScriptureBuilder m_builder;
    Translation m_details;
    QHash<QString, BookCode> m_books; // by the names that lines use
    QHash<BookCode, QString> m_names;
    QSet<BookCode> m_seen;
    QString m_problem;
    std::vector<ScriptureDamage> m_damages;
    std::vector<UnnamedBook> m_unnamed;
    int m_verses = 0;
    int m_line = 0;
};

} // namespace

Result<ScriptureText> readVerseLines(QIODevice& device, const QString& where) {
    const auto text = readText(device, where, kLargestVerseFile);
    if (!text)
        return tl::unexpected(text.error());
    auto read = VerseLineReader(where).run(text->text);
    if (read && !text->damagedLines.empty())
        read->warnings.push_back({where, text->damagedLines.front(), damagedLettersText(*text)});
    if (read && !text->guessed.isEmpty())
        read->warnings.push_back({where, 0, guessedEncodingText(*text)});
    return read;
}

} // namespace mivanta
