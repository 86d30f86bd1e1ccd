// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/TextMarks.h"
#include "core/song/Emphasis.h"
#include "core/song/WholeText.h"
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr auto kBreak = "---"_L1;

bool looksLikeMark(const QString& words) {
    const RoleMark mark = roleMarkOf(words);
    return mark.ends || !mark.role.isEmpty() || words.startsWith(kBreak);
}

QString wordsAsTyped(const SpokenLine& line) {
    Line plain{line.words, {}, false, {}, line.emphasis};
    const QString text = markedWords(plain);
    return looksLikeMark(text) ? u'\\' + text : text;
}

} // namespace

RoleMark roleMarkOf(const QString& line) {
    // Words of a role begin with a letter; "10:30" is a time, and "Sing: and dance" of four words none.
    static const QRegularExpression head(
        u"^\\s*(?:(\\p{L}[\\p{L}\\p{M}'’./&-]*(?: [\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N}'’./&-]*){0,2})\\s*)?:(?:\\s+|$)"_s);
    const auto match = head.match(line);
    if (!match.hasMatch())
        return {};
    const QString role = match.captured(1).simplified();
    return {role, int(match.capturedEnd()), role.isEmpty()};
}

QString textOf(const std::vector<SpokenLine>& lines) {
    QStringList text;
    QString role;
    for (const SpokenLine& line : lines) {
        if (line.breakBefore)
            text << kBreak;
        const bool isNew = line.role != role && !(line.words.isEmpty() && line.role.isEmpty());
        if (!isNew) {
            text << wordsAsTyped(line);
            continue;
        }
        role = line.role;
        const QString words = markedWords({line.words, {}, false, {}, line.emphasis});
        text << (role + u": "_s + words).trimmed();
    }
    return text.join(u'\n');
}

std::vector<SpokenLine> linesFrom(const QString& text) {
    std::vector<SpokenLine> lines;
    QString role;
    bool breakBefore = false;
    for (QString typed : text.split(u'\n')) {
        typed = typed.trimmed();
        if (typed.startsWith(kBreak) && QStringView(typed).count(u'-') == typed.size()) {
            breakBefore = true;
            continue;
        }
        if (typed.isEmpty()) {
            lines.push_back({{}, {}, {}, breakBefore});
            breakBefore = false;
            continue;
        }
        const RoleMark mark = roleMarkOf(typed);
        if (mark.ends || !mark.role.isEmpty()) {
            role = mark.role;
            typed = typed.mid(mark.words);
            if (typed.isEmpty())
                continue; // the words follow below
        } else if (typed.startsWith(u'\\') && looksLikeMark(typed.mid(1))) {
            typed = typed.mid(1);
        }
        // No chords here: a bracket is a bracket.
        static const QRegularExpression bracket(u"(?<!\\\\)\\["_s);
        const Line read = readMarkedLine(typed.replace(bracket, u"\\["_s), true);
        lines.push_back({role, read.words, read.emphasis, breakBefore});
        breakBefore = false;
    }
    while (!lines.empty() && lines.back().words.isEmpty())
        lines.pop_back();
    const auto first =
        std::find_if(lines.begin(), lines.end(), [](const SpokenLine& l) { return !l.words.isEmpty(); });
    lines.erase(lines.begin(), first);
    return lines;
}

} // namespace mivanta
