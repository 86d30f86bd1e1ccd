// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// Collects runs of words with their weight into marked text, line by line.
class MarkedRuns {
public:
    /// Letters of all songs in one file; readers give up beyond.
    static constexpr qsizetype kMost = 4 * 1024 * 1024;

    void add(const QString& words, bool bold, bool italic) {
        if (words.isEmpty())
            return;
        if (bold != m_bold || italic != m_italic) {
            close();
            m_bold = bold;
            m_italic = italic;
        }
        for (const QChar c : words) {
            if (!m_open && !c.isSpace() && (m_bold || m_italic)) { // marks stand at words, not at spaces
                m_text += mark(true);
                m_open = true;
            }
            if (c == u'*' || c == u'_' || c == u'\\')
                m_text += u'\\';
            m_text += c.isSpace() ? QChar(u' ') : c;
        }
    }
    void endLine() {
        close();
        m_text += u'\n';
    }
    void tab() { m_text += u'\t'; }
    /// Letters and marks so far.
    [[nodiscard]] qsizetype size() const { return m_text.size(); }
    [[nodiscard]] QString take() {
        close();
        return std::exchange(m_text, {});
    }

private:
    [[nodiscard]] QString mark(bool opens) const {
        const QString bold = m_bold ? QStringLiteral("__") : QString();
        const QString italic = m_italic ? QStringLiteral("*") : QString();
        return opens ? bold + italic : italic + bold;
    }
    void close() {
        if (!m_open)
            return;
        qsizetype end = m_text.size();
        while (end > 0 && m_text[end - 1] == u' ')
            --end;
        m_text.insert(end, mark(false));
        m_open = false;
    }
    QString m_text;
    bool m_bold = false;
    bool m_italic = false;
    bool m_open = false;
};

} // namespace mivanta
