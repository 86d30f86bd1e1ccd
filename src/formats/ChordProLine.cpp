// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ChordProLine.h"
#include "core/song/Emphasis.h"
#include "core/song/PartEdits.h"
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr unsigned char kBold = 1;
constexpr unsigned char kItalic = 2;

/// Reads a tag or an entity at the place; returns how much was read, 0 when it is neither.
class Markup {
public:
    qsizetype readAt(const QString& text, qsizetype at, QString& words) {
        static const QRegularExpression tag(u"\\G<(/?)(b|i|u|s|tt|sup|sub|big|small|span)(\\s[^>]*)?>"_s);
        static const QRegularExpression entity(u"\\G&(lt|gt|amp|#(\\d{1,6}));"_s);
        if (text[at] == u'<') {
            const auto match = tag.match(text, at);
            if (match.hasMatch())
                obey(match.captured(2), match.captured(3), !match.captured(1).isEmpty());
            return match.capturedLength();
        }
        const auto match = entity.match(text, at);
        if (!match.hasMatch())
            return 0;
        const QString name = match.captured(1);
        const uint code = name == "lt"_L1    ? u'<'
                          : name == "gt"_L1  ? u'>'
                          : name == "amp"_L1 ? u'&'
                                             : match.captured(2).toUInt();
        if (code == 0 || code > 0x10ffff || QChar::isSurrogate(code))
            return 0;
        words += QString::fromUcs4(reinterpret_cast<const char32_t*>(&code), 1);
        return match.capturedLength();
    }
    [[nodiscard]] unsigned char weight() const { return m_stack.isEmpty() ? 0 : m_stack.last(); }

private:
    void obey(const QString& name, const QString& attributes, bool ends) {
        if (ends) {
            if (!m_stack.isEmpty())
                m_stack.removeLast();
            return;
        }
        unsigned char now = weight();
        if (name == u'b' || (name == "span"_L1 && attributes.contains("bold"_L1)))
            now |= kBold;
        if (name == u'i' || (name == "span"_L1 && attributes.contains("italic"_L1)))
            now |= kItalic;
        m_stack.append(now);
    }
    QList<unsigned char> m_stack;
};

} // namespace

Line readChordProLine(const QString& text) {
    Line line;
    std::vector<unsigned char> weights;
    Markup markup;
    // Behind the last one nothing is closed, and looking for it at each sign would cost the line's length.
    const qsizetype lastBracket = text.lastIndexOf(u']');
    const qsizetype lastTag = text.lastIndexOf(u'>');
    for (qsizetype i = 0; i < text.size(); ++i) {
        const QChar c = text[i];
        if (c == u'[') {
            const qsizetype close = i < lastBracket ? text.indexOf(u']', i) : -1;
            if (close > 0) {
                const QString inside = text.mid(i + 1, close - i - 1).trimmed();
                if (!inside.isEmpty() && !inside.startsWith(u'*'))
                    line.chords.push_back({int(line.words.size()), inside});
                i = close;
                continue;
            }
        }
        if ((c == u'<' && i < lastTag) || c == u'&') {
            const unsigned char now = markup.weight();
            if (const qsizetype read = markup.readAt(text, i, line.words)) {
                weights.resize(size_t(line.words.size()), now);
                i += read - 1;
                continue;
            }
        }
        line.words += c;
        weights.push_back(markup.weight());
    }
    setWeights(line, weights);
    return tidied(line);
}

QString chordProLine(const Line& line) {
    static const WeightMarks tags{{QString(), u"<b>"_s, u"<i>"_s, u"<b><i>"_s},
                                  {QString(), u"</b>"_s, u"</i>"_s, u"</i></b>"_s},
                                  [](QChar c, const QString& before) {
                                      if (c == u'<')
                                          return u"&lt;"_s;
                                      if (c == u'&')
                                          return u"&amp;"_s;
                                      const bool isDirective = before.isEmpty() && (c == u'{' || c == u'#');
                                      return c == u'[' || isDirective ? u"&#%1;"_s.arg(c.unicode())
                                                                      : QString(c);
                                  }};
    return writtenWords(line, chordMarks(line), tags);
}

} // namespace mivanta
