// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/ReferenceTokens.h"
#include <QHash>
#include <QStringList>
#include <optional>

namespace mivanta {

namespace {

using Token = ReferenceToken;
using Kind = ReferenceToken::Kind;

constexpr int kLargestNumber = 9999;

bool isDash(QChar c) {
    const ushort u = c.unicode();
    return u == '-' || (u >= 0x2010 && u <= 0x2015) || u == 0x2212 || u == 0x00ad || u == 0xfe58;
}

/// "five" is 5, "twenty" 20; nothing for another word.
std::optional<int> spokenNumber(const QString& word) {
    static const QStringList small{
        QStringLiteral("zero"),     QStringLiteral("one"),      QStringLiteral("two"),
        QStringLiteral("three"),    QStringLiteral("four"),     QStringLiteral("five"),
        QStringLiteral("six"),      QStringLiteral("seven"),    QStringLiteral("eight"),
        QStringLiteral("nine"),     QStringLiteral("ten"),      QStringLiteral("eleven"),
        QStringLiteral("twelve"),   QStringLiteral("thirteen"), QStringLiteral("fourteen"),
        QStringLiteral("fifteen"),  QStringLiteral("sixteen"),  QStringLiteral("seventeen"),
        QStringLiteral("eighteen"), QStringLiteral("nineteen")};
    static const QStringList tens{
        QStringLiteral("twenty"), QStringLiteral("thirty"), QStringLiteral("forty"),
        QStringLiteral("fifty"),  QStringLiteral("sixty"),  QStringLiteral("seventy"),
        QStringLiteral("eighty"), QStringLiteral("ninety"), QStringLiteral("hundred")};
    if (const auto at = small.indexOf(word); at > 0)
        return int(at);
    if (const auto at = tens.indexOf(word); at >= 0)
        return int(at + 2) * 10;
    return std::nullopt;
}

std::optional<Kind> wordKind(const QString& word) {
    static const QHash<QString, Kind> kinds{
        {QStringLiteral("chapter"), Kind::Chapter},  {QStringLiteral("chapters"), Kind::Chapter},
        {QStringLiteral("ch"), Kind::Chapter},       {QStringLiteral("chap"), Kind::Chapter},
        {QStringLiteral("verse"), Kind::Verse},      {QStringLiteral("verses"), Kind::Verse},
        {QStringLiteral("v"), Kind::Verse},          {QStringLiteral("vv"), Kind::Verse},
        {QStringLiteral("vs"), Kind::Verse},         {QStringLiteral("vss"), Kind::Verse},
        {QStringLiteral("ver"), Kind::Verse},        {QStringLiteral("to"), Kind::Dash},
        {QStringLiteral("through"), Kind::Dash},     {QStringLiteral("thru"), Kind::Dash},
        {QStringLiteral("until"), Kind::Dash},       {QStringLiteral("till"), Kind::Dash},
        {QStringLiteral("and"), Kind::Comma},        {QStringLiteral("then"), Kind::Comma},
        {QStringLiteral("plus"), Kind::Comma},       {QStringLiteral("also"), Kind::Comma},
        {QStringLiteral("kapitel"), Kind::Chapter},  {QStringLiteral("vers"), Kind::Verse},
        {QStringLiteral("verset"), Kind::Verse},     {QStringLiteral("versets"), Kind::Verse},
        {QStringLiteral("chapitre"), Kind::Chapter}, {QStringLiteral("bis"), Kind::Dash},
        {QStringLiteral("und"), Kind::Comma},        {QStringLiteral("et"), Kind::Comma},
    };
    const auto at = kinds.constFind(word);
    return at == kinds.constEnd() ? std::nullopt : std::optional(*at);
}

class Tokenizer {
public:
    explicit Tokenizer(const QString& text) : m_text(text.toLower()) {}

    std::vector<Token> run() {
        while (m_at < m_text.size())
            step();
        return std::move(m_tokens);
    }

private:
    [[nodiscard]] QChar peek(qsizetype ahead = 0) const {
        return m_at + ahead < m_text.size() ? m_text[m_at + ahead] : QChar();
    }
    [[nodiscard]] QString letters(qsizetype from) const {
        qsizetype to = from;
        while (to < m_text.size() && (m_text[to].isLetter() || m_text[to].isMark()))
            ++to;
        return m_text.mid(from, to - from);
    }
    void add(Kind kind) { m_tokens.push_back({kind, {}, 0, 0, Token::Tail::None}); }
    [[nodiscard]] bool mayStartName() const {
        return m_tokens.empty() || m_tokens.back().kind == Kind::Semicolon ||
               m_tokens.back().kind == Kind::Comma || m_tokens.back().kind == Kind::Dash;
    }

    void step() {
        const QChar c = peek();
        if (c.isSpace() || c == QChar(0x200b)) {
            ++m_at;
        } else if (c.isDigit()) {
            if (!mayStartName() || !numberedName())
                number();
        } else if (c.isLetter()) {
            word();
        } else {
            sign(c);
            ++m_at;
        }
    }

    void sign(QChar c) {
        if (isDash(c))
            add(Kind::Dash);
        else if (c == u':')
            add(Kind::Colon);
        else if (c == u'.')
            add(Kind::Point);
        else if (c == u',' || c == u'&' || c == u'+')
            add(Kind::Comma);
        else if (c == u';')
            add(Kind::Semicolon);
        else
            m_tokens.push_back({Kind::Unknown, QString(c), 0, 0, Token::Tail::None});
    }

    /// "1 cor", "1co", "2. mose", "1st john" where a book may begin.
    bool numberedName() {
        qsizetype to = m_at + 1;
        if (to < m_text.size() && m_text[to].isDigit())
            return false;
        const QString ending = letters(to);
        if (ending == QLatin1String("st") || ending == QLatin1String("nd") || ending == QLatin1String("rd") ||
            ending == QLatin1String("th"))
            to += 2;
        while (to < m_text.size() && (m_text[to].isSpace() || m_text[to] == u'.'))
            ++to;
        const QString head = letters(to);
        if (head.size() < 2 && !(m_tokens.empty() && head.size() == 1))
            return false;
        if (wordKind(head) || head == QLatin1String("ff") || head == QLatin1String("from"))
            return false;
        const QString digit = m_text.mid(m_at, 1);
        m_at = to;
        name(digit + u' ');
        return true;
    }

    /// A book's name goes on over words and points, up to a number or a word with a meaning.
    void name(QString text) {
        while (m_at < m_text.size()) {
            const QChar c = peek();
            if (c.isLetter()) {
                const QString next = letters(m_at);
                const bool isFirst =
                    text.isEmpty() || text.endsWith(u' ') ? text.trimmed().size() <= 1 : false;
                if (!isFirst && (wordKind(next) || spokenNumber(next) || next == QLatin1String("from")))
                    break;
                text += next;
                m_at += next.size();
            } else if (c.isSpace() || c == u'.' || c == u'\'' || c == QChar(0x2019) || c == u'(' ||
                       c == u')') {
                text += c == u'.' ? u' ' : c;
                ++m_at;
            } else {
                break;
            }
        }
        m_tokens.push_back({Kind::Name, text.simplified(), 0, 0, Token::Tail::None});
    }

    void word() {
        const QString next = letters(m_at);
        if (m_tokens.empty()) {
            name({});
            return;
        }
        if (next == QLatin1String("from")) {
            m_at += next.size();
            m_openEnded = true;
            return;
        }
        if (const auto kind = wordKind(next)) {
            m_at += next.size();
            // "and then" is one comma; a comma before "and" is one, too
            if (*kind == Kind::Comma && m_tokens.back().kind == Kind::Comma)
                return;
            add(*kind);
            return;
        }
        if (const auto value = spokenNumber(next)) {
            m_at += next.size();
            spoken(*value);
            return;
        }
        if (mayStartName() && next.size() >= 2) {
            name({});
            return;
        }
        m_tokens.push_back({Kind::Unknown, next, 0, 0, Token::Tail::None});
        m_at += next.size();
    }

    /// "twenty" "-" "seven"; "one" "hundred" "and" "nineteen".
    void spoken(int value) {
        if (value != 100 && letters(skipped(m_at)) == QLatin1String("hundred")) {
            m_at = skipped(m_at) + 7;
            value *= 100;
        }
        if (value >= 100) {
            qsizetype at = skipped(m_at);
            if (letters(at) == QLatin1String("and"))
                at = skipped(at + 3);
            if (const auto more = spokenNumber(letters(at)); more && *more < 100) {
                m_at = at + letters(at).size();
                value += *more;
            }
        }
        if (value % 100 >= 20 && value % 10 == 0) {
            qsizetype at = skipped(m_at);
            if (at < m_text.size() && isDash(m_text[at]))
                ++at;
            if (const auto more = spokenNumber(letters(at)); more && *more < 10) {
                m_at = at + letters(at).size();
                value += *more;
            }
        }
        addNumber(value);
    }
    [[nodiscard]] qsizetype skipped(qsizetype at) const {
        while (at < m_text.size() && m_text[at].isSpace())
            ++at;
        return at;
    }

    void number() {
        int value = 0;
        while (peek().isDigit()) {
            value = std::min(kLargestNumber, value * 10 + peek().digitValue());
            ++m_at;
        }
        addNumber(value);
        const QString behind = letters(m_at);
        Token& token = m_tokens.back();
        if (behind.size() == 1 && behind[0] >= u'a' && behind[0] <= u'c')
            token.letter = char(behind[0].unicode());
        else if (behind == QLatin1String("ff"))
            token.tail = Token::Tail::Rest;
        else if (behind == QLatin1String("f"))
            token.tail = Token::Tail::Next;
        else if (const QString later = letters(skipped(m_at)); later == QLatin1String("ff")) {
            token.tail = Token::Tail::Rest;
            m_at = skipped(m_at) + 2;
            return;
        } else
            return;
        m_at += behind.size();
        if (peek() == u'.' && token.tail != Token::Tail::None)
            ++m_at;
    }

    void addNumber(int value) {
        m_tokens.push_back({Kind::Number, {}, value, 0, m_openEnded ? Token::Tail::Rest : Token::Tail::None});
        m_openEnded = false;
    }

    QString m_text;
    qsizetype m_at = 0;
    bool m_openEnded = false; // "from" stands before the next number
    std::vector<Token> m_tokens;
};

} // namespace

std::vector<ReferenceToken> referenceTokens(const QString& text) {
    return Tokenizer(text).run();
}

} // namespace mivanta
