// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/SpokenReference.h"
#include <QHash>
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QRegularExpression words(const QString& pattern) {
    return QRegularExpression(pattern, QRegularExpression::CaseInsensitiveOption);
}

/// Quotation marks, brackets and the end of the sentence.
QString withoutSigns(QString text) {
    static const QRegularExpression before(u"^[\\s\"'(\\[\u201c\u2018\u201e\u00ab\u2022*-]+"_s);
    static const QRegularExpression behind(u"[\\s\"')\\].!?\u201d\u2019\u201c\u00bb*]+$"_s);
    return text.remove(before).remove(behind);
}

/// "See", "First reading:", "Please turn to".
QString withoutIntroduction(QString text) {
    static const QRegularExpression said = words(
        u"^(?:(?:please\\s+)?(?:see(?:\\s+also)?|cf\\.?|cp\\.?|compare|read|turn\\s+to|look\\s+at|open\\s+(?:"
        u"at|to)|from|all\\s+of"
        "|the\\s+whole\\s+of|scripture|passage|text|bible|sermon|lesson|gospel|epistle"
        "|(?:(?:the|our|today'?s|first|second|third|1st|2nd|3rd|old\\s+testament|new\\s+testament|ot|nt|"
        "gospel|scripture"
        "|bible|psalm)\\s+)*(?:reading|lesson|text|passage))\\s*(?:is|comes)?\\s*(?:from)?\\s*[:\u2013-]?\\s+)+"_s);
    return text.remove(said);
}

/// "The gospel according to Luke", "Paul's first letter to the Corinthians", "St John".
QString withPlainBook(QString text) {
    static const QHash<QString, QString> numbers{
        {u"first"_s, u"1 "_s},  {u"1st"_s, u"1 "_s}, {u"1"_s, u"1 "_s},
        {u"second"_s, u"2 "_s}, {u"2nd"_s, u"2 "_s}, {u"2"_s, u"2 "_s},
        {u"third"_s, u"3 "_s},  {u"3rd"_s, u"3 "_s}, {u"3"_s, u"3 "_s}};
    static const QRegularExpression letter =
        words(u"^(?:the\\s+|(?:st\\.?\\s+|saint\\s+)?\\w+'?s\\s+)?(?:(first|second|third|1st|2nd|3rd|[123])"
              u"\\s+)?(?:letter|epistle|book)"
              "\\s+(?:of\\s+\\w+\\s+to\\s+(?:the\\s+)?|to\\s+(?:the\\s+)?|of\\s+|from\\s+)"_s);
    static const QRegularExpression gospel =
        words(u"^(?:the\\s+)?(?:holy\\s+)?gospel\\s+(?:of|according\\s+to)\\s+"_s);
    static const QRegularExpression saint = words(u"^(?:st\\.?|saint)\\s+(?=\\p{L})"_s);
    static const QRegularExpression article = words(u"^the\\s+(?=\\p{L})"_s);
    if (const auto match = letter.match(text); match.hasMatch())
        text = numbers.value(match.captured(1).toLower()) + text.mid(match.capturedLength());
    return text.remove(gospel).remove(saint).remove(article);
}

/// "The twenty-third psalm", "23rd psalm".
QString withPsalmFirst(const QString& text) {
    static const QHash<QString, QString> ordinals{
        {u"first"_s, u"one"_s},          {u"second"_s, u"two"_s},       {u"third"_s, u"three"_s},
        {u"fifth"_s, u"five"_s},         {u"eighth"_s, u"eight"_s},     {u"ninth"_s, u"nine"_s},
        {u"twelfth"_s, u"twelve"_s},     {u"twentieth"_s, u"twenty"_s}, {u"thirtieth"_s, u"thirty"_s},
        {u"fortieth"_s, u"forty"_s},     {u"fiftieth"_s, u"fifty"_s},   {u"sixtieth"_s, u"sixty"_s},
        {u"seventieth"_s, u"seventy"_s}, {u"eightieth"_s, u"eighty"_s}, {u"ninetieth"_s, u"ninety"_s}};
    static const QRegularExpression shape =
        words(u"^(?:the\\s+)?((?:[a-z]+[ -])*[a-z]+|\\d{1,3}(?:st|nd|rd|th))\\s+psalm\\b(.*)$"_s);
    static const QRegularExpression behind =
        words(u"^psalm\\s+(?:the\\s+)?((?:[a-z]+[ -])*[a-z]+|\\d{1,3}(?:st|nd|rd|th))$"_s);
    auto match = shape.match(text);
    if (!match.hasMatch())
        match = behind.match(text);
    if (!match.hasMatch())
        return text;
    QString number = match.captured(1).toLower();
    if (number.front().isDigit()) {
        number.chop(2);
    } else {
        const qsizetype last = std::max(number.lastIndexOf(u' '), number.lastIndexOf(u'-')) + 1;
        const QString word = number.mid(last);
        number = number.left(last) + (ordinals.contains(word)  ? ordinals.value(word)
                                      : word.endsWith("th"_L1) ? word.chopped(2)
                                                               : word);
    }
    return u"Psalm "_s + number + match.captured(2);
}

/// "Verses 1 to 11 of Luke 5", "chapter 5 of Luke", "Luke 5, the whole chapter".
QString usualWayRound(QString text) {
    static const QRegularExpression verses = words(u"^((?:verses?|vv?\\.?)\\s+.+?)\\s+of\\s+(.+)$"_s);
    static const QRegularExpression chapter = words(
        u"^(chapters?\\s+\\S+)\\s+of\\s+(?:the\\s+book\\s+of\\s+)?((?:[123]\\s+)?\\p{L}+(?:\\s+of\\s+\\p{L}+)?)(.*)$"_s);
    if (const auto match = verses.match(text); match.hasMatch())
        text = match.captured(2) + u' ' + match.captured(1);
    if (const auto match = chapter.match(text); match.hasMatch())
        text = match.captured(2) + u' ' + match.captured(1) + match.captured(3);
    return text;
}

/// "To the end", "onwards", "only", the name of the translation.
QString withoutTail(QString text, const Outline& outline) {
    static const QRegularExpression toTheEnd = words(
        u"(?<=\\d)\\s*(?:onwards?|and\\s+(?:the\\s+)?following(?:\\s+verses)?|(?:-|\u2013|to)\\s*(?:the\\s+)?end(?:\\s+of\\s+the\\s+chapter)?)$"_s);
    static const QRegularExpression tail = words(
        u"[\\s,]*\\b(?:only|inclusive|incl\\.?|the\\s+whole\\s+chapter|whole\\s+chapter|in\\s+full)$"_s);
    const QStringList names{outline.translation};
    for (const QString& name : names)
        if (!name.isEmpty())
            text.remove(words(u"[\\s,(\\[]+(?:in\\s+(?:the\\s+)?)?"_s + QRegularExpression::escape(name) +
                              u"[)\\]]*$"_s));
    text.remove(tail);
    if (const auto match = toTheEnd.match(text); match.hasMatch())
        text = text.left(match.capturedStart()) + u"ff"_s;
    return text.trimmed();
}

} // namespace

QStringList plainerReferences(const QString& text, const Outline& outline) {
    constexpr qsizetype kLongest = 200; // what is longer is no reference
    if (text.size() > kLongest)
        return {};
    QStringList forms;
    const auto add = [&](const QString& form) {
        if (!form.isEmpty() && form != text && !forms.contains(form))
            forms << form;
    };
    QString plain = withoutSigns(text.simplified());
    add(plain);
    plain = withoutTail(plain, outline);
    add(plain);
    const QString said = withoutSigns(withoutIntroduction(plain));
    add(said);
    for (const QString& form : {plain, said}) {
        add(withPsalmFirst(form));
        add(withPlainBook(form));
        const QString round = usualWayRound(form);
        add(round);
        add(withPlainBook(round));
        add(usualWayRound(withPlainBook(form)));
    }
    return forms;
}

} // namespace mivanta
