// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/base/Said.h"
#include "core/song/Emphasis.h"
#include <QJsonArray>
#include <QJsonObject>

namespace mivanta {

/// Writes a value unless it is empty, so that files stay small and readable.
inline void put(QJsonObject& json, const QString& name, const QString& value) {
    if (!value.isEmpty())
        json.insert(name, value);
}

inline void put(QJsonObject& json, const QString& name, int value) {
    if (value != 0)
        json.insert(name, value);
}

inline void put(QJsonObject& json, const QString& name, double value) {
    if (value != 0)
        json.insert(name, value);
}

inline void put(QJsonObject& json, const QString& name, const QJsonArray& value) {
    if (!value.isEmpty())
        json.insert(name, value);
}

/// Fails when a list of a file is longer than any that this program writes. `counted`: "%n slides", for
/// translation.
[[nodiscard]] inline Result<void> checkCount(qsizetype count, qsizetype most, const char* counted,
                                             const QString& where) {
    if (count <= most)
        return {};
    return failure(
        Said::tr("it has %1; %2 is the most").arg(Said::tr(counted, nullptr, Said::n(count))).arg(most),
        where, Said::tr("The file is damaged, or was made to do harm; use another copy."));
}

[[nodiscard]] inline QStringList strings(const QJsonValue& value) {
    QStringList result;
    for (const QJsonValue& element : value.toArray())
        result << element.toString();
    return result;
}

[[nodiscard]] inline QJsonArray emphasisToJson(const std::vector<Emphasis>& emphasis) {
    QJsonArray json;
    for (const Emphasis& e : emphasis) {
        QJsonObject stretch{{QStringLiteral("from"), e.from}, {QStringLiteral("to"), e.to}};
        if (e.bold)
            stretch.insert(QStringLiteral("bold"), true);
        if (e.italic)
            stretch.insert(QStringLiteral("italic"), true);
        json.append(stretch);
    }
    return json;
}

/// In order and within the words, whatever the file says.
[[nodiscard]] inline std::vector<Emphasis> emphasisFromJson(const QJsonValue& json, const QString& words) {
    Line line{words, {}, false, {}, {}};
    for (const QJsonValue& value : json.toArray())
        line.emphasis.push_back({value[QStringLiteral("from")].toInt(), value[QStringLiteral("to")].toInt(),
                                 value[QStringLiteral("bold")].toBool(),
                                 value[QStringLiteral("italic")].toBool()});
    setWeights(line, weightsOf(line));
    return line.emphasis;
}

} // namespace mivanta
