// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/TextFields.h"
#include "core/song/Emphasis.h"
#include <QLocale>
#include <QRegularExpression>
#include <optional>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr auto kAsk = "ask "_L1;

/// The day as it is said, without the weekday's comma: "4 October 2026".
QString dateText(const QDate& day, const QString& language) {
    const QLocale locale =
        language.isEmpty() ? QLocale(QLocale::English, QLocale::UnitedKingdom) : QLocale(language);
    return locale.toString(day, locale.language() == QLocale::German ? u"d. MMMM yyyy"_s : u"d MMMM yyyy"_s);
}

/// Nothing when it is no field.
std::optional<QString> valueOf(const QString& name, const FieldValues& values, const QString& language) {
    if (name == "date"_L1)
        return values.date.isValid() ? dateText(values.date, language) : QString();
    if (name == "next sunday"_L1)
        return values.date.isValid() ? dateText(nextSunday(values.date), language) : QString();
    if (name == "church"_L1)
        return values.place;
    if (name.startsWith(kAsk))
        return values.answers.value(name.mid(kAsk.size()).trimmed());
    return std::nullopt;
}

} // namespace

QDate nextSunday(const QDate& day) {
    return day.addDays(day.dayOfWeek() == Qt::Sunday ? 7 : Qt::Sunday - day.dayOfWeek());
}

std::vector<TextField> fieldsIn(const QString& words) {
    static const QRegularExpression field(u"\\{\\s*([^{}]+?)\\s*\\}"_s);
    std::vector<TextField> fields;
    for (auto it = field.globalMatch(words); it.hasNext();) {
        const auto match = it.next();
        QString name = match.captured(1).simplified();
        const QString lower = name.toLower();
        if (lower == "date"_L1 || lower == "next sunday"_L1 || lower == "church"_L1)
            name = lower;
        else if (lower.startsWith(kAsk))
            name = kAsk + name.mid(kAsk.size()).trimmed();
        else
            continue;
        fields.push_back({int(match.capturedStart()), int(match.capturedEnd()), name});
    }
    return fields;
}

QStringList askedFields(const SpokenText& text) {
    QStringList asked;
    for (const SpokenLine& line : text.lines)
        for (const TextField& field : fieldsIn(line.words))
            if (field.name.startsWith(kAsk) && !asked.contains(field.name.mid(kAsk.size())))
                asked << field.name.mid(kAsk.size());
    return asked;
}

SpokenLine filled(const SpokenLine& line, const FieldValues& values, const QString& language) {
    const auto fields = fieldsIn(line.words);
    if (fields.empty())
        return line;
    const Line before{line.words, {}, false, {}, line.emphasis};
    const auto weights = weightsOf(before);
    Line after;
    std::vector<unsigned char> moved;
    int done = 0;
    const auto copy = [&](int to) {
        after.words += line.words.mid(done, to - done);
        moved.insert(moved.end(), weights.begin() + done, weights.begin() + to);
        done = to;
    };
    for (const TextField& field : fields) {
        copy(field.from);
        const QString value = valueOf(field.name, values, language).value_or(QString());
        if (value.isEmpty() && after.words.endsWith(u' ')) {
            after.words.chop(1);
            moved.pop_back();
        }
        after.words += value;
        moved.insert(moved.end(), size_t(value.size()), weights[size_t(field.from)]);
        done = field.to;
    }
    copy(int(line.words.size()));
    setWeights(after, moved);
    SpokenLine result = line;
    result.words = after.words;
    result.emphasis = after.emphasis;
    return result;
}

} // namespace mivanta
