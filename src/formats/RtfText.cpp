// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/RtfText.h"
#include "core/base/Said.h"
#include "formats/Encodings.h"
#include "formats/MarkedRuns.h"
#include "formats/TextDecoding.h"
#include <QSet>
#include <vector>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// Groups that hold no words of the document.
bool isSkipped(const QByteArray& word) {
    static const QSet<QByteArray> words{
        "fonttbl",   "colortbl",          "stylesheet", "info",    "pict",     "header", "footer",
        "headerl",   "headerr",           "footerl",    "footerr", "footnote", "object", "themedata",
        "listtable", "listoverridetable", "generator",  "fldinst", "xmlnstbl", "rsidtbl"};
    return words.contains(word);
}

class RtfReader {
public:
    explicit RtfReader(const QByteArray& bytes) : m_bytes(bytes) {}

    Result<QString> read() {
        if (!m_bytes.startsWith("{\\rtf"))
            return failure(Said::tr("it does not begin as RTF"));
        for (m_at = 0; m_at < m_bytes.size() && m_runs.size() <= MarkedRuns::kMost; ++m_at) {
            const char c = m_bytes[m_at];
            if (c == '{') {
                if (m_stack.size() > kDeepest)
                    return failure(Said::tr("its groups are nested too deeply"));
                m_stack.push_back(m_state);
            } else if (c == '}') {
                flush();
                if (m_stack.empty())
                    break;
                m_state = m_stack.back();
                m_stack.pop_back();
            } else if (c == '\\') {
                readControl();
            } else if (c != '\n' && c != '\r') {
                addByte(c);
            }
        }
        flush();
        if (!m_stack.empty() && m_runs.size() <= MarkedRuns::kMost)
            return failure(Said::tr("it ends in the middle"));
        return m_runs.take();
    }

private:
    static constexpr size_t kDeepest = 200;
    struct State {
        bool bold = false;
        bool italic = false;
        bool skipped = false;
        int unicodeSkip = 1; ///< characters that stand for a \u in older readers
    };

    void readControl() {
        const char next = m_at + 1 < m_bytes.size() ? m_bytes[m_at + 1] : '\0';
        if (next == '\'') {
            bool ok = false;
            const auto code = char(m_bytes.mid(m_at + 2, 2).toUInt(&ok, 16));
            m_at += 3;
            if (ok)
                addByte(code);
            return;
        }
        if (!((next >= 'a' && next <= 'z') || (next >= 'A' && next <= 'Z'))) {
            ++m_at;
            if (next == '*')
                m_state.skipped = true;
            else if (next == '~')
                addByte(' ');
            else if (next == '_')
                addByte('-');
            else if (next == '{' || next == '}' || next == '\\')
                addByte(next);
            else if (next == '\n' || next == '\r')
                endLine();
            return;
        }
        qsizetype end = m_at + 1;
        while (end < m_bytes.size() && std::isalpha(static_cast<unsigned char>(m_bytes[end])))
            ++end;
        const QByteArray word = m_bytes.mid(m_at + 1, end - m_at - 1);
        const qsizetype numberFrom = end;
        if (end < m_bytes.size() && m_bytes[end] == '-')
            ++end;
        while (end < m_bytes.size() && std::isdigit(static_cast<unsigned char>(m_bytes[end])))
            ++end;
        const bool hasNumber = end > numberFrom;
        const int number = m_bytes.mid(numberFrom, end - numberFrom).toInt();
        if (end < m_bytes.size() && m_bytes[end] == ' ')
            ++end;
        m_at = end - 1;
        obey(word, hasNumber, number);
    }

    void obey(const QByteArray& word, bool hasNumber, int number) {
        if (isSkipped(word)) {
            m_state.skipped = true;
        } else if (word == "par" || word == "line" || word == "sect" || word == "page" || word == "row") {
            endLine();
        } else if (word == "tab" || word == "cell") {
            flush();
            if (!m_state.skipped)
                m_runs.tab();
        } else if (word == "b" || word == "i" || word == "v") {
            flush();
            const bool on = !hasNumber || number != 0;
            (word == "b" ? m_state.bold : word == "i" ? m_state.italic : m_state.skipped) = on;
        } else if (word == "plain") {
            flush();
            m_state.bold = m_state.italic = false;
        } else if (word == "uc") {
            m_state.unicodeSkip = std::clamp(number, 0, 8);
        } else if (word == "u") {
            flush();
            addText(QString(QChar(char16_t(number < 0 ? number + 65536 : number))));
            skipCharacters(m_state.unicodeSkip);
        } else if (word == "bin") {
            m_at += std::clamp<qsizetype>(number, 0, m_bytes.size() - m_at);
        } else if (const QString sign = signOf(word); !sign.isEmpty()) {
            flush();
            addText(sign);
        }
    }

    static QString signOf(const QByteArray& word) {
        static const QHash<QByteArray, QString> signs{{"lquote", u"\u2018"_s},    {"rquote", u"\u2019"_s},
                                                      {"ldblquote", u"\u201c"_s}, {"rdblquote", u"\u201d"_s},
                                                      {"endash", u"\u2013"_s},    {"emdash", u"\u2014"_s},
                                                      {"bullet", u"\u2022"_s}};
        return signs.value(word);
    }

    /// Passes over the older readers' characters behind a \u.
    void skipCharacters(int count) {
        for (; count > 0 && m_at + 1 < m_bytes.size(); --count) {
            const char c = m_bytes[m_at + 1];
            if (c == '{' || c == '}')
                return;
            if (c == '\\' && m_at + 2 < m_bytes.size() && m_bytes[m_at + 2] == '\'')
                m_at += 4;
            else if (c == '\\')
                return;
            else
                ++m_at;
        }
    }

    void addByte(char c) {
        if (!m_state.skipped)
            m_pending += c;
    }
    void flush() {
        if (!m_pending.isEmpty())
            addText(fromWindows1252(std::exchange(m_pending, {})));
    }
    void addText(const QString& text) {
        if (!m_state.skipped)
            m_runs.add(text, m_state.bold, m_state.italic);
    }
    void endLine() {
        flush();
        if (!m_state.skipped)
            m_runs.endLine();
    }

    const QByteArray& m_bytes;
    qsizetype m_at = 0;
    State m_state;
    std::vector<State> m_stack;
    QByteArray m_pending; ///< bytes of Windows-1252 that wait for the end of their run
    MarkedRuns m_runs;
};

} // namespace

Result<QString> rtfText(const QByteArray& bytes) {
    return RtfReader(bytes).read();
}

} // namespace mivanta
