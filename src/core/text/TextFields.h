// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/text/SpokenText.h"
#include <QMap>

namespace mivanta {

/// What the fields of a text are filled with.
struct FieldValues {
    QDate date;                     ///< of the service; invalid = not said
    QString place;                  ///< the church
    QMap<QString, QString> answers; ///< to what was asked when the text was placed, by the question
};

/// Fields that are asked for when the text is placed: the X of every "{ask X}", each once, in their order.
[[nodiscard]] QStringList askedFields(const SpokenText& text);

/// The line with its fields filled: {date}, {next sunday}, {church}, {ask X}. A field whose value is not
/// known is left out with the space before it; braces around anything else stay as they are. Dates are
/// written in the text's language. Emphasis moves along.
[[nodiscard]] SpokenLine filled(const SpokenLine& line, const FieldValues& values, const QString& language);

/// The Sunday after the day.
[[nodiscard]] QDate nextSunday(const QDate& day);

/// A field in a line's words.
struct TextField {
    int from = 0; ///< the opening brace
    int to = 0;   ///< behind the closing one
    QString name; ///< "date", "ask the reader's name"
};
[[nodiscard]] std::vector<TextField> fieldsIn(const QString& words);

} // namespace mivanta
