// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/OfficeText.h"
#include "core/base/Said.h"
#include "formats/MarkedRuns.h"
#include "formats/RtfText.h"
#include "formats/Zip.h"
#include <QFileInfo>
#include <QRegularExpression>
#include <QSet>
#include <cstring>
#include <pugixml.hpp>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestEntry = 32 * 1024 * 1024;
constexpr qint64 kLargestUnpacked = 512 * 1024 * 1024; ///< with its pictures, which are not read
constexpr int kDeepest = 256;                          ///< elements inside one another
constexpr int kMostSlides = 2000;

tl::unexpected<Error> locked() {
    return failure(Said::tr("it is locked with a password"), {},
                   Said::tr("Open it where it was written and save it again without a password."));
}

tl::unexpected<Error> tooDeep() {
    return failure(Said::tr("its parts lie more than %1 deep inside one another").arg(kDeepest), {},
                   Said::tr("Copy the words out of it into a text file."));
}

QString ending(const QString& fileName) {
    return QFileInfo(fileName).suffix().toLower();
}

Result<pugi::xml_document> xmlOf(const ZipReader& zip, const QString& entry) {
    const auto bytes = zip.read(entry, kLargestEntry);
    if (!bytes)
        return tl::unexpected(bytes.error());
    pugi::xml_document document;
    const auto parsed = document.load_buffer(bytes->constData(), size_t(bytes->size()),
                                             pugi::parse_default | pugi::parse_ws_pcdata);
    if (!parsed)
        return failure(
            Said::tr("its %1 is damaged: %2").arg(entry, QString::fromLatin1(parsed.description())));
    return document;
}

bool is(const pugi::xml_node& node, const char* name) {
    return std::strcmp(node.name(), name) == 0;
}

/// Word processing and slides in the XML of ECMA-376: paragraphs of runs ("w:" or "a:").
class OfficeXml {
public:
    explicit OfficeXml(char prefix) : m_prefix(prefix) {}

    void read(const pugi::xml_node& node, int depth = 0) {
        m_isTooDeep = m_isTooDeep || depth > kDeepest;
        if (m_isTooDeep)
            return;
        for (const pugi::xml_node& child : node.children()) {
            const char* name = child.name();
            if (name[0] != m_prefix || name[1] != ':') {
                read(child, depth + 1);
                continue;
            }
            const char* local = name + 2;
            if (std::strcmp(local, "p") == 0) {
                read(child, depth + 1);
                m_runs.endLine();
            } else if (std::strcmp(local, "r") == 0) {
                readWeights(child);
                read(child, depth + 1);
            } else if (std::strcmp(local, "t") == 0) {
                m_runs.add(QString::fromUtf8(child.text().get()), m_bold, m_italic);
            } else if (std::strcmp(local, "br") == 0 || std::strcmp(local, "cr") == 0) {
                m_runs.endLine();
            } else if (std::strcmp(local, "tab") == 0) {
                m_runs.tab();
            } else if (std::strcmp(local, "del") != 0 && std::strcmp(local, "rPr") != 0) {
                read(child, depth + 1);
            }
        }
    }
    /// Fails when some words lie too deep to be read.
    [[nodiscard]] Result<QString> take() {
        if (m_isTooDeep)
            return tooDeep();
        return m_runs.take();
    }

private:
    void readWeights(const pugi::xml_node& run) {
        const std::string prefix{m_prefix, ':'};
        const pugi::xml_node look = run.child((prefix + "rPr").c_str());
        const auto isOn = [&](const char* element, const char* attribute) {
            if (m_prefix == 'a') { // b="1" on the element itself
                const std::string value = look.attribute(attribute).value();
                return value == "1" || value == "true";
            }
            const pugi::xml_node on = look.child((prefix + element).c_str());
            const std::string value = on.attribute("w:val").as_string("1");
            return on && value != "0" && value != "false" && value != "none";
        };
        m_bold = isOn("b", "b");
        m_italic = isOn("i", "i");
    }

    char m_prefix;
    bool m_isTooDeep = false;
    bool m_bold = false;
    bool m_italic = false;
    MarkedRuns m_runs;
};

/// White space as OpenDocument counts it: any stretch is one space.
QString collapsed(const QString& text) {
    static const QRegularExpression space(u"\\s+"_s);
    return QString(text).replace(space, u" "_s);
}

/// OpenDocument: paragraphs and headings of text, spans with named styles.
class OpenDocumentXml {
public:
    explicit OpenDocumentXml(const pugi::xml_node& root) {
        for (const pugi::xml_node& style : root.child("office:automatic-styles").children("style:style")) {
            const pugi::xml_node look = style.child("style:text-properties");
            const QString name = QString::fromUtf8(style.attribute("style:name").value());
            if (std::strcmp(look.attribute("fo:font-weight").value(), "bold") == 0)
                m_bold.insert(name);
            if (std::strcmp(look.attribute("fo:font-style").value(), "italic") == 0)
                m_italic.insert(name);
        }
    }

    void read(const pugi::xml_node& node, bool bold = false, bool italic = false, int depth = 0) {
        m_isTooDeep = m_isTooDeep || depth > kDeepest;
        if (m_isTooDeep)
            return;
        for (const pugi::xml_node& child : node.children()) {
            if (child.type() == pugi::node_pcdata) {
                if (m_inParagraph)
                    m_runs.add(collapsed(QString::fromUtf8(child.value())), bold, italic);
            } else if (is(child, "text:p") || is(child, "text:h")) {
                m_inParagraph = true;
                read(child, bold, italic, depth + 1);
                m_inParagraph = false;
                m_runs.endLine();
            } else if (is(child, "text:span")) {
                const QString style = QString::fromUtf8(child.attribute("text:style-name").value());
                read(child, bold || m_bold.contains(style), italic || m_italic.contains(style), depth + 1);
            } else if (is(child, "text:line-break")) {
                m_runs.endLine();
            } else if (is(child, "text:tab")) {
                m_runs.tab();
            } else if (is(child, "text:s")) {
                m_runs.add(QString(std::clamp(child.attribute("text:c").as_int(1), 1, 200), u' '), bold,
                           italic);
            } else if (!is(child, "presentation:notes") && !is(child, "text:tracked-changes") &&
                       !is(child, "office:annotation") && !is(child, "text:note")) {
                read(child, bold, italic, depth + 1);
            }
        }
    }
    /// Fails when some words lie too deep to be read.
    [[nodiscard]] Result<QString> take() {
        if (m_isTooDeep)
            return tooDeep();
        return m_runs.take();
    }

private:
    QSet<QString> m_bold;
    QSet<QString> m_italic;
    bool m_inParagraph = false;
    bool m_isTooDeep = false;
    MarkedRuns m_runs;
};

QString withBlankLineAfter(QString text) {
    while (text.endsWith(u'\n'))
        text.chop(1);
    return text.isEmpty() ? text : text + u"\n\n"_s;
}

/// The slides' entries in the order in which they are shown.
Result<QStringList> slideEntries(const ZipReader& zip) {
    const auto presentation = xmlOf(zip, u"ppt/presentation.xml"_s);
    const auto relations = xmlOf(zip, u"ppt/_rels/presentation.xml.rels"_s);
    if (!presentation)
        return tl::unexpected(presentation.error());
    if (!relations)
        return tl::unexpected(relations.error());
    QHash<QString, QString> targets;
    for (const pugi::xml_node& relation : relations->document_element().children())
        targets.insert(QString::fromUtf8(relation.attribute("Id").value()),
                       QString::fromUtf8(relation.attribute("Target").value()));
    QStringList entries;
    for (const pugi::xml_node& slide :
         presentation->document_element().child("p:sldIdLst").children("p:sldId")) {
        const QString target = targets.value(QString::fromUtf8(slide.attribute("r:id").value()));
        if (entries.size() == kMostSlides)
            return failure(Said::tr("it has more than %1 slides").arg(kMostSlides), {},
                           Said::tr("Copy the words out of it."));
        if (!target.isEmpty())
            entries << (target.startsWith(u'/') ? target.mid(1) : u"ppt/"_s + target);
    }
    return entries;
}

Result<QString> slidesText(const ZipReader& zip) {
    const auto entries = slideEntries(zip);
    if (!entries)
        return tl::unexpected(entries.error());
    QString text;
    QHash<QString, QString> read; // a slide that is shown again and again is read once
    for (const QString& entry : *entries) {
        if (!read.contains(entry)) {
            const auto slide = xmlOf(zip, entry);
            if (!slide)
                return tl::unexpected(slide.error());
            OfficeXml xml('a');
            xml.read(*slide);
            auto words = xml.take();
            if (!words)
                return words;
            read.insert(entry, withBlankLineAfter(std::move(*words)));
        }
        text += read.value(entry);
        if (text.size() > MarkedRuns::kMost)
            break;
    }
    return text;
}

Result<QString> openDocumentText(const ZipReader& zip, bool slides) {
    if (zip.has(u"META-INF/manifest.xml"_s)) {
        const auto manifest = zip.read(u"META-INF/manifest.xml"_s, kLargestEntry);
        if (manifest && manifest->contains("encryption-data"))
            return locked();
    }
    const auto content = xmlOf(zip, u"content.xml"_s);
    if (!content)
        return tl::unexpected(content.error());
    const pugi::xml_node root = content->document_element();
    OpenDocumentXml xml(root);
    const pugi::xml_node body = root.child("office:body");
    if (!slides) {
        xml.read(body);
        return xml.take();
    }
    QString text;
    for (const pugi::xml_node& page : body.child("office:presentation").children("draw:page")) {
        xml.read(page);
        auto words = xml.take();
        if (!words)
            return words;
        text += withBlankLineAfter(std::move(*words));
    }
    return text;
}

Result<QString> zippedText(const QByteArray& bytes, const QString& kind) {
    if (bytes.startsWith("\xd0\xcf\x11\xe0"))
        return failure(Said::tr("it is locked with a password, or of a format from before 2007"), {},
                       Said::tr("Open it where it was written and save it again without a password."));
    const auto zip = ZipReader::open(bytes, kLargestUnpacked);
    if (!zip)
        return tl::unexpected(zip.error());
    if (kind == u"docx") {
        const auto document = xmlOf(*zip, u"word/document.xml"_s);
        if (!document)
            return tl::unexpected(document.error());
        OfficeXml xml('w');
        xml.read(*document);
        return xml.take();
    }
    return kind == u"pptx" ? slidesText(*zip) : openDocumentText(*zip, kind == u"odp");
}

} // namespace

bool isOfficeFileName(const QString& fileName) {
    return QStringList{u"docx"_s, u"odt"_s, u"pptx"_s, u"odp"_s, u"rtf"_s}.contains(ending(fileName));
}

Result<QString> officeText(const QByteArray& bytes, const QString& fileName) {
    const QString kind = ending(fileName);
    auto text = kind == u"rtf" ? rtfText(bytes) : zippedText(bytes, kind);
    if (text && text->size() > MarkedRuns::kMost)
        text = failure(Said::tr("it holds more words than a book of songs"), {},
                       Said::tr("Copy the words out of it."));
    if (!text)
        return failure(Said::tr("the file cannot be read: %1").arg(text.error().what), fileName,
                       text.error().remedy.isEmpty()
                           ? Said::tr("Use another copy of it, or copy the words into a text file.")
                           : text.error().remedy);
    return text;
}

} // namespace mivanta
