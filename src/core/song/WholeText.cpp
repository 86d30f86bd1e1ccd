// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/WholeText.h"
#include "core/song/Chords.h"
#include "core/song/Emphasis.h"
#include "core/song/PartEdits.h"
#include "core/song/PasteCleanup.h"
#include "core/song/SheetDetails.h"
#include <QRegularExpression>
#include <QSet>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString headingOf(const Part& part) {
    QString heading = u"# "_s + part.key();
    if (part.bandOnly != isBandOnlyByDefault(part))
        heading += part.bandOnly ? u" (band only)"_s : u" (sung)"_s;
    return heading;
}

/// A line of words that a reader of this text, or of any plain text, would take for something else.
bool looksLikeMark(const QString& text) {
    return text.startsWith(u'#') || text.startsWith(u'>') || text.startsWith("---"_L1) || isCopyright(text) ||
           isChordLine(text) || findHeading(text, true);
}

QString textOf(const Line& line) {
    const QString text = markedWords(line, chordMarks(line));
    return looksLikeMark(text) ? u'\\' + text : text;
}

/// A part without lines, and what its heading says of the band.
struct HeadedPart {
    Part part;
    std::optional<bool> bandOnly;
};

/// As what is written of it is read again: colons at the end of a heading are no name of it, and behind a
/// number that is none there may be more of them.
HeadedPart partOfHeading(QString words) {
    constexpr int kMostReadings = 4;
    HeadedPart headed;
    for (int reading = 0; reading < kMostReadings; ++reading) {
        while (words.endsWith(u':'))
            words = words.chopped(1).trimmed();
        const PartHeading heading = readAnyHeading(words);
        headed.part = {PartId::create(), heading.kind, heading.number, heading.name};
        headed.bandOnly = heading.bandOnly ? heading.bandOnly : headed.bandOnly;
        if (headed.part.key() == words)
            break;
        words = headed.part.key();
    }
    return headed;
}

QStringList lineWordsOf(const Part& part) {
    QStringList words;
    for (const Line& line : part.lines)
        words << line.words.toLower().split(u' ', Qt::SkipEmptyParts);
    return words;
}

/// How alike two parts' words are, 0 to 1 (Dice: twice the shared words over all words).
double likeness(const Part& a, const Part& b) {
    QStringList ofA = lineWordsOf(a);
    const QStringList ofB = lineWordsOf(b);
    if (ofA.isEmpty() || ofB.isEmpty())
        return 0;
    const auto all = double(ofA.size() + ofB.size());
    QHash<QString, int> count;
    for (const QString& word : ofA)
        ++count[word];
    int shared = 0;
    for (const QString& word : ofB)
        if (auto at = count.find(word); at != count.end() && *at > 0) {
            --*at;
            ++shared;
        }
    return 2 * shared / all;
}

constexpr double kRecognisable = 0.5;

void keepIds(std::vector<Part>& parts, const std::vector<Part>& before) {
    QHash<QString, const Part*> byLabel;
    for (const Part& old : before)
        if (!byLabel.contains(old.key()))
            byLabel.insert(old.key(), &old);
    std::vector<const Part*> of(parts.size(), nullptr);
    QSet<PartId> taken;
    const auto take = [&](size_t i, const Part* old) {
        of[i] = old;
        taken.insert(old->id);
    };
    // The same heading is the same part, unless its words now stand under another heading.
    for (size_t i = 0; i < parts.size(); ++i)
        if (const Part* old = byLabel.value(parts[i].key());
            old && !taken.contains(old->id) && likeness(parts[i], *old) >= kRecognisable)
            take(i, old);
    for (size_t i = 0; i < parts.size(); ++i) {
        if (of[i])
            continue;
        const Part* best = nullptr;
        double most = kRecognisable;
        for (const Part& old : before)
            if (const double alike = taken.contains(old.id) ? 0 : likeness(parts[i], old); alike > most) {
                most = alike;
                best = &old;
            }
        if (best)
            take(i, best);
    }
    for (size_t i = 0; i < parts.size(); ++i)
        if (const Part* old = of[i] ? nullptr : byLabel.value(parts[i].key());
            old && !taken.contains(old->id))
            take(i, old);
    for (size_t i = 0; i < parts.size(); ++i)
        if (of[i])
            parts[i].id = of[i]->id;
}

} // namespace

QString wholeText(const std::vector<Part>& parts) {
    QStringList blocks;
    for (const Part& part : parts) {
        QStringList lines{headingOf(part)};
        if (!part.comment.isEmpty())
            lines << u"> "_s + part.comment;
        for (const Line& line : part.lines) {
            if (line.breakBefore)
                lines << u"---"_s;
            if (!line.comment.isEmpty())
                lines << u"> "_s + line.comment;
            lines << textOf(line);
        }
        blocks << lines.join(u'\n');
    }
    return blocks.isEmpty() ? QString() : blocks.join(u"\n\n"_s) + u'\n';
}

Line readMarkedLine(const QString& text, bool chordsOnly) {
    Line line;
    std::vector<unsigned char> weights;
    unsigned char now = 0;
    const qsizetype lastBracket = text.lastIndexOf(u']');
    for (qsizetype i = 0; i < text.size(); ++i) {
        const QChar c = text[i];
        if (c == u'\\' && i + 1 < text.size()) {
            line.words += text[++i];
            weights.push_back(now);
            continue;
        }
        if (c == u'[') {
            const qsizetype close = i < lastBracket ? text.indexOf(u']', i) : -1;
            const QString name = close > 0 ? text.mid(i + 1, close - i - 1).trimmed() : QString();
            if (!name.isEmpty() && (!chordsOnly || isChord(name))) {
                line.chords.push_back({int(line.words.size()), name});
                i = close;
                continue;
            }
        }
        if (c == u'*' || c == u'_') {
            const bool pair = i + 1 < text.size() && text[i + 1] == c;
            const auto bit = static_cast<unsigned char>(pair ? Weight::Bold : Weight::Italic);
            const QString mark(pair ? 2 : 1, c);
            // A mark that nothing ends is words, as is a single "_".
            if ((pair || c == u'*') && ((now & bit) != 0 || text.indexOf(mark, i + mark.size()) >= 0)) {
                now ^= bit;
                i += mark.size() - 1;
                continue;
            }
            if (pair) {
                line.words += c;
                weights.push_back(now);
                ++i;
            }
        }
        line.words += c;
        weights.push_back(now);
    }
    setWeights(line, weights);
    return line;
}

std::vector<Part> readWholeText(const QString& text, const std::vector<Part>& before) {
    std::vector<HeadedPart> headed;
    bool breakNext = false;
    QString comment;
    for (const QString& raw : text.split(u'\n')) {
        const QString line = raw.trimmed();
        if (line.startsWith(u'#')) {
            qsizetype hashes = 0;
            while (hashes < line.size() && line[hashes] == u'#')
                ++hashes;
            headed.push_back(partOfHeading(line.mid(hashes).trimmed()));
            breakNext = false;
            comment.clear();
            continue;
        }
        if (line.isEmpty())
            continue;
        if (headed.empty())
            headed.push_back(partOfHeading(u"Verse 1"_s));
        Part& part = headed.back().part;
        if (line.startsWith("---"_L1) && line.count(u'-') == line.size()) {
            breakNext = !part.lines.empty();
        } else if (line.startsWith(u'>')) {
            QString& said = part.lines.empty() ? part.comment : comment;
            const QString more = line.mid(1).trimmed();
            said += (said.isEmpty() || more.isEmpty() ? QString() : u"; "_s) + more;
        } else {
            Line read = readMarkedLine(line);
            read.breakBefore = std::exchange(breakNext, false);
            read.comment = std::exchange(comment, {});
            part.lines.push_back(std::move(read));
        }
    }
    std::vector<Part> parts;
    for (HeadedPart& one : headed) {
        one.part.bandOnly = one.bandOnly.value_or(isBandOnlyByDefault(one.part));
        parts.push_back(std::move(one.part));
    }
    keepIds(parts, before);
    return parts;
}

} // namespace mivanta
