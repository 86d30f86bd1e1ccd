// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Osis.h"
#include "core/base/Said.h"
#include "formats/BoundedRead.h"
#include "formats/XmlRecovery.h"
#include <QBuffer>
#include <QSet>
#include <QXmlStreamReader>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kDeepestOsis = 200;
constexpr int kLargestOsisNumber = 999;      // of chapters and verses
constexpr qsizetype kLongestTag = 64 * 1024; // with its attributes, which are compared with one another
constexpr qint64 kLargestOsis = 128 * 1024 * 1024;

struct Place {
    BookCode book;
    int chapter = 0;
    int verse = 0;
};

class OsisReader {
public:
    OsisReader(QIODevice& device, const QString& where) : m_xml(&device), m_where(where), m_builder(where) {}

    Result<ScriptureText> run() {
        while (!m_xml.atEnd() && !m_error) {
            switch (m_xml.readNext()) {
            case QXmlStreamReader::DTD:
                if (!m_xml.entityDeclarations().isEmpty() || m_xml.text().contains(u"<!ENTITY"))
                    fail(
                        Said::tr(
                            "the file declares XML entities, which can hide other files or grow without end"),
                        Said::tr("Take the DOCTYPE out, or ask for a file without it."));
                break;
            case QXmlStreamReader::StartElement:
                start();
                break;
            case QXmlStreamReader::EndElement:
                end();
                break;
            case QXmlStreamReader::Characters:
                words();
                break;
            default:
                break;
            }
        }
        if (m_error)
            return tl::unexpected(*m_error);
        if (m_xml.hasError())
            return failure(Said::tr("this XML is damaged: %1").arg(m_xml.errorString()),
                           Said::tr("%1, line %2").arg(m_where).arg(m_xml.lineNumber()),
                           Said::tr("Use another copy of the file."));
        if (!m_isOsis)
            return failure(Said::tr("this is no OSIS file: it has no osisText"), m_where,
                           Said::tr("Choose another file."));
        ScriptureText text = m_builder.finish();
        text.details = m_details;
        text.damages = std::move(m_damages);
        return text;
    }
    /// The XML itself is broken, not what it says.
    [[nodiscard]] bool isBroken() const { return m_xml.hasError(); }

private:
    void fail(const QString& what, const QString& remedy) {
        m_error = Error{what, Said::tr("%1, line %2").arg(m_where).arg(m_xml.lineNumber()), remedy};
    }
    /// What stands here is left out; what follows is read.
    void damage(const QString& what) { m_damages.push_back({m_where, line(), what}); }
    [[nodiscard]] QString attribute(const QString& name) const {
        return m_xml.attributes().value(name).toString();
    }
    [[nodiscard]] int line() const { return int(m_xml.lineNumber()); }

    static std::optional<Place> placeOf(const QString& osisId) {
        const QStringList pieces = osisId.section(u'!', 0, 0).section(u':', -1).split(u'.');
        const auto book = bookFromOsis(pieces.value(0));
        if (!book)
            return std::nullopt;
        const int chapter = pieces.value(1).toInt();
        const int verse = pieces.value(2).toInt();
        if (chapter > kLargestOsisNumber || verse > kLargestOsisNumber)
            return std::nullopt;
        return Place{*book, chapter, verse};
    }

    void start() {
        const QString name = m_xml.name().toString();
        m_open << name;
        if (m_open.size() > kDeepestOsis) {
            fail(Said::tr("elements lie more than %1 deep inside one another").arg(kDeepestOsis),
                 Said::tr("Use another copy of the file."));
            return;
        }
        static const QSet<QString> hidden{u"title"_s, u"note"_s,      u"figure"_s,
                                          u"rdg"_s,   u"catchWord"_s, u"speaker"_s};
        if (m_hidden > 0 || (hidden.contains(name) && !m_inHeader)) {
            m_isBookName = m_hidden == 0 && name == u"title" && m_open.value(m_open.size() - 2) == u"div" &&
                           attribute(u"type"_s) == u"main" && m_builder.hasBook() && m_builder.chapter() == 0;
            ++m_hidden;
            return;
        }
        if (name == u"osisText") {
            m_isOsis = true;
            m_details.language =
                m_xml.attributes().value(u"http://www.w3.org/XML/1998/namespace"_s, u"lang"_s).toString();
            m_details.shortName = attribute(u"osisIDWork"_s).section(u'.', -1);
        } else if (name == u"header") {
            m_inHeader = true;
        } else if (name == u"div" && attribute(u"type"_s) == u"book") {
            startBook();
        } else if (name == u"chapter") {
            startChapter();
        } else if (name == u"verse") {
            startVerse();
        } else if (name == u"p" || name == u"item") {
            m_builder.startPiece(VerseStart::Paragraph);
        } else if (name == u"l") {
            if (attribute(u"eID"_s).isEmpty())
                m_builder.startPiece(VerseStart::Poetry);
        } else if (name == u"lb") {
            m_builder.addWords(u" ");
        } else if (name == u"hi") {
            const QString type = attribute(u"type"_s);
            m_bold += type == u"bold" ? 1 : 0;
            m_italic += type == u"italic" || type == u"emphasis" ? 1 : 0;
            m_weights << type;
        }
    }

    void startBook() {
        const QString id = attribute(u"osisID"_s);
        const auto place = placeOf(id);
        if (place)
            m_builder.startBook(place->book);
        else
            damage(Said::tr("\u201c%1\u201d is no book that OSIS knows").arg(id));
        m_book = place ? place->book : BookCode();
    }

    void startChapter() {
        const QString id = attribute(u"eID"_s).isEmpty() ? attribute(u"osisID"_s) : QString();
        if (id.isEmpty())
            return; // the end of a milestone
        const auto place = placeOf(id);
        if (!place || place->chapter <= 0 || !enterBook(place->book))
            damage(Said::tr("\u201c%1\u201d is no chapter").arg(id));
        else {
            m_builder.startChapter(place->chapter);
            m_builder.startPiece(VerseStart::Paragraph);
        }
    }

    bool enterBook(BookCode book) {
        if (!(book == m_book)) {
            m_book = book;
            m_builder.startBook(book);
        }
        return true;
    }

    void startVerse() {
        if (!attribute(u"eID"_s).isEmpty()) {
            m_builder.endVerse();
            return;
        }
        const QStringList ids = attribute(u"osisID"_s).split(u' ', Qt::SkipEmptyParts);
        const auto first = placeOf(ids.value(0));
        const auto last = placeOf(ids.isEmpty() ? QString() : ids.last());
        if (!first || !last || first->verse <= 0 || last->verse < first->verse || first->chapter <= 0) {
            damage(Said::tr("\u201c%1\u201d is no verse").arg(attribute(u"osisID"_s)));
            m_builder.endVerse();
            return;
        }
        enterBook(first->book);
        if (m_builder.chapter() != first->chapter)
            m_builder.startChapter(first->chapter);
        m_builder.startVerse(first->verse, last->verse, line(), ids.value(0).contains(u'!'));
        m_isMilestone = !attribute(u"sID"_s).isEmpty();
    }

    void end() {
        const QString name = m_open.isEmpty() ? QString() : m_open.takeLast();
        if (m_hidden > 0) {
            --m_hidden;
            return;
        }
        if (name == u"header")
            m_inHeader = false;
        else if (name == u"verse" && !m_isMilestone)
            m_builder.endVerse();
        else if (name == u"hi" && !m_weights.isEmpty()) {
            const QString type = m_weights.takeLast();
            m_bold -= type == u"bold" ? 1 : 0;
            m_italic -= type == u"italic" || type == u"emphasis" ? 1 : 0;
        }
    }

    void words() {
        if (m_hidden > 0) {
            if (const QString text = m_xml.text().toString().simplified(); m_isBookName && !text.isEmpty())
                m_builder.book().name = text;
            return;
        }
        if (!m_inHeader) {
            m_builder.addWords(m_xml.text(), m_bold > 0, m_italic > 0);
            return;
        }
        const QString text = m_xml.text().toString().simplified();
        if (m_open.value(m_open.size() - 2) != u"work" || text.isEmpty())
            return;
        if (m_open.last() == u"title" && m_details.name.isEmpty())
            m_details.name = text;
        else if (m_open.last() == u"rights" && m_details.copyright.isEmpty())
            m_details.copyright = text;
        else if (m_open.last() == u"language" && m_details.language.isEmpty())
            m_details.language = text;
    }

    QXmlStreamReader m_xml;
    QString m_where;
    ScriptureBuilder m_builder;
    Translation m_details;
    BookCode m_book;
    QStringList m_open;
    QStringList m_weights;
    int m_hidden = 0; // depth inside something that is not shown
    int m_bold = 0;
    int m_italic = 0;
    bool m_isBookName = false; // the hidden title says what the book is called
    bool m_inHeader = false;
    bool m_isOsis = false;
    bool m_isMilestone = false;
    std::vector<ScriptureDamage> m_damages;
    std::optional<Error> m_error;
};

/// Whether a tag is longer than any that scripture has.
bool hasEndlessTag(const QByteArray& bytes) {
    for (qsizetype at = bytes.indexOf('<'); at >= 0; at = bytes.indexOf('<', at + 1)) {
        if (bytes[std::min(at + 1, bytes.size() - 1)] == '!') // a comment may be as long as it likes
            continue;
        const qsizetype end = bytes.indexOf('>', at);
        if ((end < 0 ? bytes.size() : end) - at > kLongestTag)
            return true;
        if (end < 0)
            return false;
        at = end;
    }
    return false;
}

} // namespace

Result<ScriptureText> readOsis(QIODevice& device, const QString& where) {
    if (!device.isSequential() && device.size() > kLargestOsis)
        return failure(Said::tr("the file is larger than any scripture"), where,
                       Said::tr("Choose another file."));
    QByteArray bytes = readUpTo(device, kLargestOsis);
    if (hasEndlessTag(bytes))
        return failure(Said::tr("one of its tags is longer than %1 letters").arg(kLongestTag), where,
                       Said::tr("Use another copy of the file."));
    QBuffer whole(&bytes);
    whole.open(QIODevice::ReadOnly);
    OsisReader reader(whole, where);
    auto read = reader.run();
    if (read || !reader.isBroken())
        return read;
    // One wrong tag is no reason to lose the other 31,000 verses.
    RecoveredXml recovered = recoveredXml(bytes);
    QBuffer mended(&recovered.bytes);
    mended.open(QIODevice::ReadOnly);
    auto saved = OsisReader(mended, where).run();
    if (!saved || saved->books.empty())
        return read;
    for (const RecoveredXml::Fault& fault : recovered.faults)
        saved->damages.push_back({where, fault.line, Said::tr("this XML is damaged: %1").arg(fault.text)});
    return saved;
}

} // namespace mivanta
