// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemContent.h"
#include <QHash>
#include <algorithm>

namespace mivanta {

namespace {

const QChar kNoBreakSpace(0x00a0);

/// Adds words behind those of the line, with a space between.
void append(ContentLine& line, const QString& words, const std::vector<Emphasis>& emphasis) {
    if (!line.words.isEmpty() && !line.words.endsWith(kNoBreakSpace) && !words.isEmpty())
        line.words += u' ';
    const int at = int(line.words.size());
    line.words += words;
    for (const Emphasis& e : emphasis)
        line.emphasis.push_back({e.from + at, e.to + at, e.bold, e.italic});
}

void appendNumber(ContentLine& line, const QString& number, VerseNumbers style) {
    if (!line.words.isEmpty())
        line.words += u' ';
    const int from = int(line.words.size());
    line.units.push_back(from);
    if (style == VerseNumbers::None)
        return;
    line.words += number;
    line.numbers.push_back({from, int(line.words.size()), style == VerseNumbers::Raised});
    line.words += kNoBreakSpace;
}

/// Lines of one translation as they are built up.
class Lines {
public:
    explicit Lines(const PassageLayout& layout) : m_layout(layout) {}

    /// `ownLine`: the verse begins a line whatever its first piece says.
    void add(const Verse& verse, const QString& number, bool ownLine) {
        bool isFirst = true;
        for (const VersePiece& piece : verse.pieces) {
            if (piece.words.isEmpty())
                continue;
            const bool isPoetry = piece.start == VerseStart::Poetry;
            const bool breaks =
                m_layout.keepsPoetry && (isPoetry || (piece.start == VerseStart::Paragraph && m_inPoetry));
            m_inPoetry = isPoetry || (m_inPoetry && piece.start == VerseStart::Continues);
            if (m_lines.empty() || breaks || (isFirst && ownLine))
                m_lines.emplace_back();
            ContentLine& line = m_lines.back();
            if (isFirst)
                appendNumber(line, number, m_layout.numbers);
            append(line, piece.words, piece.emphasis);
            isFirst = false;
        }
    }
    [[nodiscard]] std::vector<ContentLine> take() { return std::move(m_lines); }

private:
    const PassageLayout& m_layout;
    std::vector<ContentLine> m_lines;
    bool m_inPoetry = false; // prose behind it begins a line, too
};

/// A whole verse as one line, as it stands beside another.
ContentLine oneLine(const Verse& verse, const QString& number, const PassageLayout& layout) {
    ContentLine line;
    appendNumber(line, number, layout.numbers);
    for (const VersePiece& piece : verse.pieces)
        append(line, piece.words, piece.emphasis);
    return line;
}

/// "4", or "5:4" where the chapter begins or changes inside a passage of several.
QString numberOf(const Verse& verse, const Verse* before, bool severalChapters) {
    const bool isNew = !before || before->chapter != verse.chapter || !(before->book == verse.book);
    return severalChapters && isNew
               ? QStringLiteral("%1:%2").arg(QString::number(verse.chapter), verse.numberText())
               : verse.numberText();
}

bool hasSeveralChapters(const std::vector<Verse>& verses) {
    return std::any_of(verses.begin(), verses.end(), [&](const Verse& v) {
        return v.chapter != verses.front().chapter || !(v.book == verses.front().book);
    });
}

/// Verses of the second translation by their place in the numbering of the first.
class Second {
public:
    Second(const PassageWords& first, const PassageWords& second) {
        for (const Verse& verse : second.verses) {
            const VersePlace place = inNumbering({verse.book, verse.chapter, verse.number},
                                                 second.translation.numbering, first.translation.numbering);
            m_verses[key(place)].push_back(&verse);
        }
    }
    /// The verses that stand beside this one, joined.
    [[nodiscard]] ContentLine beside(const Verse& verse, const PassageLayout& layout) const {
        ContentLine line;
        for (int number = verse.number; number <= verse.lastNumber; ++number)
            for (const Verse* other : m_verses.value(key({verse.book, verse.chapter, number}))) {
                const ContentLine more = oneLine(*other, other->numberText(), layout);
                const int at = int(line.words.size()) + (line.words.isEmpty() ? 0 : 1);
                append(line, more.words, more.emphasis);
                for (const NumberSpan& span : more.numbers)
                    line.numbers.push_back({span.from + at, span.to + at, span.raised});
            }
        return line;
    }

private:
    static QString key(const VersePlace& place) {
        return QStringLiteral("%1 %2:%3").arg(place.book.text()).arg(place.chapter).arg(place.verse);
    }
    QHash<QString, std::vector<const Verse*>> m_verses;
};

OwnCredit creditOf(const Passage& passage) {
    OwnCredit credit;
    const PassageLayout& layout = passage.layout;
    const QString reference = layout.namesTranslation ? passage.title() : passage.words.front().reference;
    const bool beside = layout.referencePlace == ReferencePlace::BesideWords;
    const auto add = [](QString& to, const QString& text) {
        if (!text.isEmpty())
            to += (to.isEmpty() ? QString() : QStringLiteral(" \u00b7 ")) + text;
    };
    if (layout.referenceOn == ReferenceOn::Every)
        add(beside ? credit.besideEvery : credit.every, reference);
    else if (layout.referenceOn == ReferenceOn::Last)
        add(beside ? credit.besideLast : credit.last, reference);
    for (const PassageWords& words : passage.words) {
        if (words.translation.copyrightOn == CopyrightOn::Every)
            add(credit.every, words.translation.copyright);
        else if (words.translation.copyrightOn == CopyrightOn::Last)
            add(credit.last, words.translation.copyright);
    }
    return credit;
}

} // namespace

ItemContent contentOf(const Passage& passage) {
    ItemContent content;
    content.isProse = true;
    if (passage.words.empty())
        return content;
    content.ownCredit = creditOf(passage);
    content.credit.title = passage.words.front().reference;
    content.credit.reference = passage.words.front().reference;
    content.credit.copyright = passage.words.front().translation.copyright;
    QStringList names;
    for (const PassageWords& words : passage.words)
        names << words.translation.name;
    content.credit.translation = names.join(QStringLiteral(", "));
    const PassageLayout& layout = passage.layout;
    const PassageWords& first = passage.words.front();
    const bool several = hasSeveralChapters(first.verses);
    const bool parallel = passage.words.size() > 1;
    const Second second(first, passage.words.back());
    const bool slideEach = layout.flow == PassageFlow::VerseASlide;
    Lines lines(layout);
    std::vector<ContentLine> pairs;
    const Verse* before = nullptr;
    const auto addPart = [&](const QString& label, std::vector<ContentLine> words) {
        content.entries.push_back({int(content.parts.size()), 1, 1, {}});
        content.parts.push_back({label, label, label, false, {}, std::move(words)});
    };
    for (int index = 0; index < int(first.verses.size()); ++index) {
        const Verse& verse = first.verses[size_t(index)];
        const bool startsRange =
            std::find(first.rangeStarts.begin(), first.rangeStarts.end(), index) != first.rangeStarts.end();
        const QString number = numberOf(verse, before, several);
        before = &verse;
        if (parallel) {
            pairs.push_back(oneLine(verse, number, layout));
            pairs.back().beside = {second.beside(verse, layout)};
        } else {
            lines.add(verse, number, startsRange || layout.flow != PassageFlow::Running);
        }
        if (slideEach)
            addPart(QStringLiteral("v%1").arg(number), parallel ? std::exchange(pairs, {}) : lines.take());
    }
    if (!slideEach)
        addPart(first.reference, parallel ? std::move(pairs) : lines.take());
    return content;
}

} // namespace mivanta
