// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/VerseLines.h"
#include "formats/TextDecoding.h"
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestText = 64 * 1024 * 1024;

class Reader {
public:
    explicit Reader(const QString& where) : m_where(where), m_builder(where) {}

    Result<ScriptureText> run(const QString& text) {
        for (const QStringView raw : QStringView(text).tokenize(u'\n')) {
            ++m_line;
            const QString line = raw.trimmed().toString();
            if (line.isEmpty() || line.startsWith(u'#'))
                continue;
            if (!verse(line) && !detail(line))
                return failure(u"\u201c%1\u201d is no verse"_s.arg(line.left(40)),
                               u"%1, line %2"_s.arg(m_where).arg(m_line),
                               m_problem.isEmpty() ? u"Write each verse as Luke 5:1 and its words."_s
                                                   : m_problem);
        }
        ScriptureText read = m_builder.finish();
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
        const auto book = bookOf(match.captured(1));
        const int chapter = match.captured(2).toInt();
        const int first = match.captured(3).toInt();
        const int last = match.captured(4).isEmpty() ? first : match.captured(4).toInt();
        if (!book) {
            m_problem =
                u"No book is called \u201c%1\u201d; use English names or codes, or a line \u201cBook: LUK %1\u201d before."_s
                    .arg(match.captured(1));
            return false;
        }
        if (chapter == 0 || first == 0 || last < first)
            return false;
        if (!m_builder.hasBook() || !(m_builder.book().code == *book)) {
            if (m_seen.contains(*book)) {
                m_problem = u"Put all verses of one book together."_s;
                return false;
            }
            m_seen.insert(*book);
            m_builder.startBook(*book);
        }
        if (m_builder.chapter() != chapter)
            m_builder.startChapter(chapter);
        m_builder.startVerse(first, last, m_line);
        m_builder.addWords(match.capturedView(5));
        return true;
    }

    std::optional<BookCode> bookOf(const QString& name) {
        const auto known = m_books.constFind(name);
        if (known != m_books.constEnd())
            return *known;
        const auto book = bookFromName(name);
        if (book)
            m_books.insert(name, *book);
        return book;
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
    int m_line = 0;
};

} // namespace

Result<ScriptureText> readVerseLines(QIODevice& device, const QString& where) {
    const auto text = readText(device, where, kLargestText);
    if (!text)
        return tl::unexpected(text.error());
    auto read = Reader(where).run(text->text);
    if (read && text->isGuessed)
        read->warnings.push_back(
            {where, 0, u"the file is no UTF-8; it was read as Windows-1252, so look at its accents"_s});
    return read;
}

} // namespace mivanta
