// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Usfm.h"
#include "core/base/Said.h"
#include "formats/TextDecoding.h"
#include <QRegularExpression>
#include <QSet>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestUsfm = 64 * 1024 * 1024;
constexpr int kLargestUsfmNumber = 999;

const QSet<QString>& paragraphs() {
    static const QSet<QString> markers{u"p"_s,   u"m"_s,   u"po"_s, u"pr"_s,  u"cls"_s, u"pmo"_s, u"pm"_s,
                                       u"pmc"_s, u"pmr"_s, u"pi"_s, u"mi"_s,  u"nb"_s,  u"pc"_s,  u"ph"_s,
                                       u"li"_s,  u"lh"_s,  u"lf"_s, u"lim"_s, u"tr"_s,  u"phi"_s, u"ps"_s};
    return markers;
}
const QSet<QString>& poetry() {
    static const QSet<QString> markers{u"q"_s, u"qr"_s, u"qc"_s, u"qm"_s, u"d"_s};
    return markers;
}
/// Paragraphs that are not scripture's own words.
const QSet<QString>& headings() {
    static const QSet<QString> markers{
        u"s"_s,   u"sr"_s,   u"r"_s,   u"ms"_s,     u"mr"_s,      u"mt"_s,  u"mte"_s, u"sp"_s,   u"sd"_s,
        u"cl"_s,  u"cd"_s,   u"qa"_s,  u"qd"_s,     u"rem"_s,     u"sts"_s, u"ide"_s, u"usfm"_s, u"h"_s,
        u"toc"_s, u"toca"_s, u"cp"_s,  u"lit"_s,    u"is"_s,      u"ip"_s,  u"ipi"_s, u"im"_s,   u"imi"_s,
        u"ipq"_s, u"imq"_s,  u"ipr"_s, u"iq"_s,     u"ib"_s,      u"ili"_s, u"iot"_s, u"io"_s,   u"iex"_s,
        u"imt"_s, u"imte"_s, u"ie"_s,  u"periph"_s, u"restore"_s, u"b"_s,   u"pb"_s,  u"esb"_s,  u"esbe"_s};
    return markers;
}
/// What lies between such a marker and its end is not shown.
const QSet<QString>& notes() {
    static const QSet<QString> markers{u"f"_s,  u"fe"_s, u"ef"_s, u"x"_s,   u"ex"_s,  u"fig"_s, u"rq"_s,
                                       u"va"_s, u"vp"_s, u"ca"_s, u"jmp"_s, u"sup"_s, u"fm"_s};
    return markers;
}

class UsfmReader {
public:
    UsfmReader(const QString& text, const QString& where) : m_text(text), m_where(where), m_builder(where) {}

    Result<ScriptureText> run() {
        while (m_at < m_text.size() && !m_error) {
            if (m_text[m_at] == u'\\')
                marker();
            else
                words();
        }
        if (!m_error && !m_hasId)
            fail(Said::tr("this is no USFM: it does not begin with \\id and a book's code"),
                 Said::tr("Choose another file."));
        if (m_error)
            return tl::unexpected(*m_error);
        ScriptureText text = m_builder.finish();
        if (text.books.empty() && m_firstDamage)
            return tl::unexpected(*m_firstDamage);
        text.damages = std::move(m_damages);
        return text;
    }

private:
    [[nodiscard]] Error error(const QString& what, const QString& remedy) const {
        return {what, Said::tr("%1, line %2").arg(m_where).arg(m_line), remedy};
    }
    void fail(const QString& what, const QString& remedy) { m_error = error(what, remedy); }
    /// What stands here is left out, up to the next verse, chapter or book that can be read.
    void damage(const QString& what, const QString& remedy) {
        m_builder.endVerse();
        m_damages.push_back({m_where, m_line, what});
        if (!m_firstDamage)
            m_firstDamage = error(what, remedy);
    }

    void words() {
        const qsizetype from = m_at;
        while (m_at < m_text.size() && m_text[m_at] != u'\\') {
            if (m_text[m_at] == u'\n')
                ++m_line;
            ++m_at;
        }
        if (m_isHeading || !m_note.isEmpty())
            return;
        QStringView words = QStringView(m_text).mid(from, m_at - from);
        if (m_attributes || words.contains(u'|')) { // \w word|lemma="…"\w*
            const auto bar = words.indexOf(u'|');
            if (m_attributes)
                return;
            m_attributes = !m_styles.isEmpty();
            if (m_attributes)
                words = words.left(bar);
        }
        QString plain = words.toString();
        plain.replace(u"//"_s, u" "_s).replace(u'~', u' ');
        const bool both = m_styles.contains(u"bdit"_s);
        m_builder.addWords(plain, both || m_styles.contains(u"bd"_s),
                           both || m_styles.contains(u"it"_s) || m_styles.contains(u"em"_s));
    }

    /// The rest of the line, as a paragraph's own text.
    QString restOfLine() {
        const auto end = m_text.indexOf(u'\n', m_at);
        QString rest = m_text.mid(m_at, (end < 0 ? m_text.size() : end) - m_at).simplified();
        m_at = end < 0 ? m_text.size() : end;
        return rest;
    }

    QString nextWord() {
        while (m_at < m_text.size() && m_text[m_at].isSpace() && m_text[m_at] != u'\n')
            ++m_at;
        const qsizetype from = m_at;
        while (m_at < m_text.size() && !m_text[m_at].isSpace() && m_text[m_at] != u'\\')
            ++m_at;
        QString word = m_text.mid(from, m_at - from);
        if (m_at < m_text.size() && m_text[m_at] != u'\n' && m_text[m_at].isSpace())
            ++m_at;
        return word;
    }

    void marker() {
        ++m_at;
        if (m_at < m_text.size() && m_text[m_at] == u'+')
            ++m_at; // a style inside another one
        const qsizetype from = m_at;
        while (m_at < m_text.size() && (m_text[m_at].isLetterOrNumber() || m_text[m_at] == u'-'))
            ++m_at;
        QString name = m_text.mid(from, m_at - from);
        const bool closes = m_at < m_text.size() && m_text[m_at] == u'*';
        if (closes)
            ++m_at;
        else if (m_at < m_text.size() && m_text[m_at].isSpace() && m_text[m_at] != u'\n')
            ++m_at;
        if (name.contains(u'-')) { // a milestone: up to its own \*
            skipMilestone();
            return;
        }
        static const QRegularExpression level(u"\\d+$"_s);
        if (name != u"1" && !name.isEmpty() && !name[0].isDigit())
            name.remove(level);
        if (closes)
            close(name);
        else
            open(name);
    }

    void skipMilestone() {
        qsizetype at =
            m_at; // only to the end of its line: one that is not closed must not cost the file's length
        while (at + 1 < m_text.size() && m_text[at] != u'\n' && m_text[at] != u'\\')
            ++at;
        if (at + 1 < m_text.size() && m_text[at] == u'\\' && m_text[at + 1] == u'*')
            m_at = at + 2;
    }

    void close(const QString& name) {
        if (name == m_note)
            m_note.clear();
        m_styles.remove(name);
        m_attributes = m_attributes && !m_styles.isEmpty();
    }

    void endNote() {
        if (m_note.isEmpty())
            return;
        m_builder.warn(
            m_noteLine,
            Said::tr("the note \\%1 is not closed; it ends where the next verse or paragraph begins")
                .arg(m_note));
        m_note.clear();
    }

    void startHeading() {
        endNote();
        m_styles.clear();
        m_attributes = false;
        m_isHeading = true;
    }

    void startParagraph(VerseStart start) {
        startHeading();
        m_isHeading = false;
        m_builder.startPiece(start);
    }

    void open(const QString& name) {
        if (name == u"id") {
            startBook();
        } else if (name == u"c") {
            startChapter();
        } else if (name == u"v") {
            startVerse();
        } else if (name == u"h" || name == u"toc" || name == u"toca" || name == u"mt") {
            startHeading();
            bookName(name);
        } else if (name == u"d") {
            startParagraph(VerseStart::Poetry); // a psalm's title; kept where it is a numbered verse
            m_builder.endVerse();
        } else if (paragraphs().contains(name)) {
            startParagraph(VerseStart::Paragraph);
        } else if (poetry().contains(name)) {
            startParagraph(VerseStart::Poetry);
        } else if (headings().contains(name)) {
            startHeading();
        } else if (notes().contains(name)) {
            if (m_note.isEmpty()) {
                m_note = name;
                m_noteLine = m_line;
            }
        } else if (m_note.isEmpty()) {
            m_styles.insert(name); // of words; an unknown one changes nothing
        }
    }

    void startBook() {
        startHeading();
        const QString code = nextWord().left(3).toUpper();
        const QString rest = restOfLine();
        m_hasId = true;
        static const QSet<QString> matter{u"FRT"_s, u"BAK"_s, u"OTH"_s, u"INT"_s,
                                          u"CNC"_s, u"GLO"_s, u"TDX"_s, u"NDX"_s};
        const auto book = BookCode::fromText(code);
        m_isLost = !book;
        if (!book) {
            damage(Said::tr("\\id is not followed by a book's code of three letters"),
                   Said::tr("Write it as \\id LUK."));
            return;
        }
        m_isMatter = matter.contains(code);
        if (!m_isMatter)
            m_builder.startBook(*book);
    }

    void bookName(const QString& marker) {
        const QString name = restOfLine();
        if (!m_builder.hasBook() || isOutside() || name.isEmpty())
            return;
        ScriptureBook& book = m_builder.book();
        if (marker == u"h" && book.name.isEmpty())
            book.name = name;
        else if (marker.startsWith(u"toc") && !book.otherNames.contains(name))
            book.otherNames << name;
    }

    /// 0 when it is none.
    static int numberOf(QStringView text) {
        bool isNumber = false;
        const int number = text.toInt(&isNumber);
        return isNumber && number >= 0 && number <= kLargestUsfmNumber ? number : 0;
    }

    void startChapter() {
        startHeading();
        const QString text = nextWord();
        const int number = numberOf(text);
        m_isChapterLost = number == 0;
        if (m_isChapterLost)
            damage(Said::tr("\\c is followed by \u201c%1\u201d, which is no chapter").arg(text),
                   Said::tr("Mend the file, or take it out."));
        else if (!m_hasId)
            fail(Said::tr("a chapter stands before any \\id"),
                 Said::tr("Begin the file with \\id and the book's code."));
        else if (!isOutside())
            m_builder.startChapter(number);
        m_isHeading = false;
        m_builder.startPiece(VerseStart::Paragraph);
    }

    void startVerse() {
        endNote();
        m_styles.clear();
        m_attributes = false;
        m_isHeading = false;
        const QString text = nextWord();
        static const QRegularExpression form(u"^(\\d+)(\\p{L})?(?:[-\u2013,](\\d+)(\\p{L})?)?$"_s);
        const auto match = form.match(text);
        const int first = numberOf(match.capturedView(1));
        const int last = match.capturedView(3).isEmpty() ? first : numberOf(match.capturedView(3));
        if (isOutside() || m_isChapterLost)
            return;
        if (first == 0 || last < first)
            damage(Said::tr("\\v is followed by \u201c%1\u201d, which is no verse").arg(text),
                   Said::tr("Mend the file, or take it out."));
        else if (!m_builder.hasBook() || m_builder.chapter() == 0)
            damage(Said::tr("verse %1 stands before any chapter").arg(first),
                   Said::tr("Put \\c and the chapter's number before it."));
        else
            m_builder.startVerse(first, last, m_line, !match.capturedView(2).isEmpty());
    }

    /// Nothing here is scripture, or nobody knows of which book.
    [[nodiscard]] bool isOutside() const { return m_isMatter || m_isLost; }

    const QString& m_text;
    QString m_where;
    ScriptureBuilder m_builder;
    qsizetype m_at = 0;
    int m_line = 1;
    bool m_hasId = false;
    bool m_isMatter = false; // front matter and the like: no scripture
    bool m_isLost = false;   // the book's code cannot be read
    bool m_isChapterLost = false;
    bool m_isHeading = true;   // words of this paragraph are not scripture's own
    bool m_attributes = false; // behind the bar of a word's attributes
    QString m_note;            // the note that is open; empty = none
    int m_noteLine = 0;
    QSet<QString> m_styles; // that are open
    std::vector<ScriptureDamage> m_damages;
    std::optional<Error> m_firstDamage;
    std::optional<Error> m_error; // nothing of the file can be read
};

} // namespace

Result<ScriptureText> readUsfm(QIODevice& device, const QString& where) {
    const auto text = readText(device, where, kLargestUsfm);
    if (!text)
        return tl::unexpected(text.error());
    auto read = UsfmReader(text->text, where).run();
    if (read && text->cutOff)
        read->warnings.push_back({where, 0, Said::tr("the file ends in the middle of a letter")});
    if (read && !text->damagedLines.empty())
        read->warnings.push_back({where, text->damagedLines.front(), damagedLettersText(*text)});
    if (read && !text->guessed.isEmpty())
        read->warnings.push_back({where, 0, guessedEncodingText(*text)});
    return read;
}

} // namespace mivanta
