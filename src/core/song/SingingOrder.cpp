// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SingingOrder.h"
#include "core/base/Said.h"
#include "core/song/PartHeading.h"
#include "core/song/SongBounds.h"
#include <QRegularExpression>
#include <QSet>
#include <algorithm>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

QString squeezed(const QString& text) {
    QString result;
    for (const QChar c : text.toLower())
        if (c.isLetterOrNumber() || c.isMark() || c == u'~')
            result += c;
    return result;
}

QString letters(const QString& text) {
    QString result = squeezed(text);
    while (!result.isEmpty() && result.back().isDigit())
        result.chop(1);
    return result;
}

/// The parts that a token may mean; more than one only when they differ in kind or name.
class PartNames {
public:
    explicit PartNames(const std::vector<Part>& parts) : m_parts(parts), m_tokens(orderTokens(parts)) {}

    [[nodiscard]] std::vector<int> meantBy(const QString& token) const {
        const QString wanted = squeezed(token);
        if (wanted.isEmpty())
            return {};
        for (int i = 0; i < int(m_parts.size()); ++i)
            if (squeezed(m_tokens[i]) == wanted)
                return {i};
        auto named = matching([&](const Part& part) {
            return squeezed(part.label()) == wanted || squeezed(part.key()) == wanted;
        });
        if (!named.empty())
            return named;
        const QString name = letters(token);
        const int number = wanted.mid(name.size()).toInt();
        const bool hasNumber = wanted.size() > name.size();
        if (name.isEmpty())
            return {};
        const auto begins = [&](const Part& part) {
            if (hasNumber && part.number != number && !(part.number == 0 && number == 1))
                return false;
            const QString key = letters(part.name.isEmpty() ? partKindKey(part.kind) : part.name);
            const QString label = letters(part.name.isEmpty() ? partKindName(part.kind) : part.name);
            return key.startsWith(name) || label.startsWith(name) || letters(part.shortLabel()) == name ||
                   (part.kind == PartKind::PreChorus && name == u"pc"_s);
        };
        // A whole name or initial goes before the beginning of another name.
        const auto is = [&](const Part& part) {
            return begins(part) && (letters(part.shortLabel()) == name || letters(part.key()) == name ||
                                    letters(part.label()) == name);
        };
        if (auto exact = firstsOf(matching(is)); !exact.empty())
            return exact;
        if (auto starting = firstsOf(matching(begins)); !starting.empty())
            return starting;
        if (const auto heading = readPartHeading(token)) // "Refrain" for the chorus
            return firstsOf(matching([&](const Part& part) {
                return part.kind == heading->kind && (heading->number == 0 || part.number == heading->number);
            }));
        return {};
    }

    [[nodiscard]] QString label(int part) const { return m_parts[size_t(part)].label(); }
    [[nodiscard]] PartId id(int part) const { return m_parts[size_t(part)].id; }
    [[nodiscard]] const QString& token(int part) const { return m_tokens[part]; }

    /// Every token, those that begin like the wrong one first.
    [[nodiscard]] QStringList nearest(const QString& wrong) const {
        QStringList all = m_tokens;
        const QString wanted = squeezed(wrong);
        const auto likeness = [&](const QString& token) {
            const QString have = squeezed(token);
            int same = 0;
            while (same < std::min(have.size(), wanted.size()) && have[same] == wanted[same])
                ++same;
            return same;
        };
        std::stable_sort(all.begin(), all.end(),
                         [&](const QString& a, const QString& b) { return likeness(a) > likeness(b); });
        return all.mid(0, 12);
    }

private:
    template <typename Test>
    [[nodiscard]] std::vector<int> matching(Test test) const {
        std::vector<int> found;
        for (int i = 0; i < int(m_parts.size()); ++i)
            if (test(m_parts[size_t(i)]))
                found.push_back(i);
        return found;
    }

    /// Of several parts of one kind and name, the one with the lowest number.
    [[nodiscard]] std::vector<int> firstsOf(std::vector<int> found) const {
        std::stable_sort(found.begin(), found.end(),
                         [&](int a, int b) { return m_parts[size_t(a)].number < m_parts[size_t(b)].number; });
        std::vector<int> firsts;
        for (const int i : found) {
            const Part& part = m_parts[size_t(i)];
            const bool known = std::any_of(firsts.begin(), firsts.end(), [&](int f) {
                const Part& other = m_parts[size_t(f)];
                return other.kind == part.kind && other.name == part.name && other.number != part.number;
            });
            if (!known)
                firsts.push_back(i);
        }
        std::sort(firsts.begin(), firsts.end());
        return firsts;
    }

    const std::vector<Part>& m_parts;
    QStringList m_tokens;
};

class OrderReader {
public:
    OrderReader(const QString& text, const std::vector<Part>& parts) : m_text(text), m_names(parts) {}

    ReadOrder read() {
        static const QRegularExpression token(u"\\([^)]*\\)?|[^\\s,;()]+"_s);
        for (auto at = token.globalMatch(m_text); at.hasNext();) {
            const auto match = at.next();
            m_from = int(match.capturedStart());
            m_word = match.captured();
            if (m_word.startsWith(u'('))
                readNote();
            else if (m_word == u"_"_s)
                add({}, OrderTokenKind::EmptySlide, Said::tr("an empty slide"));
            else if (!readRepeat())
                readPart(m_word, 1);
        }
        if (!m_waitingNote.isEmpty() && !m_result.entries.empty())
            m_result.entries.front().stageNote = m_waitingNote;
        return std::move(m_result);
    }

private:
    void tell(OrderTokenKind kind, const QString& meaning, const QStringList& choices = {}) {
        m_result.tokens.push_back({m_from, int(m_word.size()), kind, meaning, choices});
        m_lastKnown = kind == OrderTokenKind::Part || kind == OrderTokenKind::EmptySlide ||
                      (kind == OrderTokenKind::StageNote && m_lastKnown);
    }

    void add(SungPart entry, OrderTokenKind kind, const QString& meaning) {
        m_sung += entry.times;
        if (m_sung > kMostSung) {
            tell(OrderTokenKind::Unknown, Said::tr("an order has %n parts at most", nullptr, kMostSung));
            return;
        }
        entry.stageNote = std::exchange(m_waitingNote, {});
        m_result.entries.push_back(std::move(entry));
        tell(kind, meaning);
    }

    void readNote() {
        QString note = m_word.mid(1);
        if (note.endsWith(u')'))
            note.chop(1);
        note = note.simplified();
        if (m_result.entries.empty())
            m_waitingNote = note;
        else if (m_lastKnown)
            m_result.entries.back().stageNote = note;
        tell(OrderTokenKind::StageNote, Said::tr("on stage only: %1").arg(note));
    }

    static QString timesText(const QString& part, int times) {
        return times == 1   ? part
               : times == 2 ? Said::tr("%1, twice").arg(part)
                            : Said::tr("%1, %n times", nullptr, times).arg(part);
    }

    /// "x2" alone or behind a name, and "2x".
    bool readRepeat() {
        static const QRegularExpression repeat(
            u"^(.*?)(?:[x\u00d7](\\d+)|(?<![A-Za-z0-9])(\\d+)[x\u00d7])$"_s,
            QRegularExpression::CaseInsensitiveOption);
        const auto match = repeat.match(m_word);
        if (!match.hasMatch() || !m_names.meantBy(m_word).empty())
            return false;
        const QString number = match.captured(2) + match.captured(3);
        const int times = number.size() > 4 ? kMostTimes + 1 : number.toInt();
        if (times < 1 || times > kMostTimes) {
            tell(OrderTokenKind::Unknown, Said::tr("a part is sung 1 to %1 times").arg(kMostTimes),
                 {u"x2"_s});
            return true;
        }
        if (!match.captured(1).isEmpty()) {
            readPart(match.captured(1), times);
            return true;
        }
        if (!m_lastKnown || m_result.entries.empty()) {
            tell(OrderTokenKind::Unknown, Said::tr("no part stands before this"));
            return true;
        }
        m_sung += times - m_result.entries.back().times;
        if (m_sung > kMostSung) {
            tell(OrderTokenKind::Unknown, Said::tr("an order has %n parts at most", nullptr, kMostSung));
            return true;
        }
        m_result.entries.back().times = times;
        tell(OrderTokenKind::Repeat, Said::tr("%n times", nullptr, times));
        m_lastKnown = false; // "C x2 x3" is not understood
        return true;
    }

    void readPart(const QString& name, int times) {
        const auto meant = m_names.meantBy(name);
        const QString repeat = times > 1 ? u"x%1"_s.arg(times) : QString();
        if (meant.size() == 1) {
            add({m_names.id(meant.front()), times, {}}, OrderTokenKind::Part,
                timesText(m_names.label(meant.front()), times));
            return;
        }
        QStringList choices;
        QStringList labels;
        for (const int part : meant) {
            choices << m_names.token(part) + repeat;
            labels << m_names.label(part);
        }
        if (meant.empty())
            tell(OrderTokenKind::Unknown, Said::tr("no part of this song is called so"),
                 m_names.nearest(name));
        else
            tell(OrderTokenKind::Ambiguous, Said::tr("may be %1").arg(Said::any(labels)), choices);
    }

    const QString& m_text;
    PartNames m_names;
    ReadOrder m_result;
    int m_sung = 0; ///< parts so far, each as often as it is sung
    int m_from = 0;
    QString m_word;
    QString m_waitingNote; ///< written before the first entry
    bool m_lastKnown = false;
};

} // namespace

QStringList ReadOrder::notUnderstood(const QString& text) const {
    QStringList words;
    for (const OrderToken& token : tokens)
        if (token.kind == OrderTokenKind::Unknown || token.kind == OrderTokenKind::Ambiguous)
            words << text.mid(token.from, token.length);
    return words;
}

ReadOrder readSingingOrder(const QString& text, const std::vector<Part>& parts) {
    return OrderReader(text, parts).read();
}

QStringList orderTokens(const std::vector<Part>& parts) {
    QStringList tokens;
    QSet<QString> taken;
    for (const Part& part : parts) {
        QString base;
        for (const QChar c : part.shortLabel()) // what a token may hold
            base += c.isSpace() || u",;()_"_s.contains(c) ? QChar(u'-') : c;
        if (squeezed(base).isEmpty())
            base = u"Part"_s;
        QString token = base;
        for (int n = 2; taken.contains(squeezed(token)); ++n)
            token = base + u"~%1"_s.arg(n);
        taken.insert(squeezed(token));
        tokens << token;
    }
    return tokens;
}

QString singingOrderText(const std::vector<SungPart>& entries, const std::vector<Part>& parts) {
    const QStringList tokens = orderTokens(parts);
    QHash<PartId, QString> tokenOf;
    for (size_t i = 0; i < parts.size(); ++i)
        tokenOf.insert(parts[i].id, tokens[qsizetype(i)]);
    QStringList words;
    for (const SungPart& sung : entries) {
        const QString token = sung.isEmptySlide() ? u"_"_s : tokenOf.value(sung.part);
        if (token.isEmpty())
            continue;
        words << token;
        if (sung.times > 1)
            words << u"x%1"_s.arg(sung.times);
        if (!sung.stageNote.isEmpty())
            words << u'(' + sung.stageNote + u')';
    }
    return words.join(u' ');
}

QString singingOrderText(const Song& song) {
    return singingOrderText(song.singingOrder, song.parts);
}

} // namespace mivanta
