// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemPlan.h"
#include "core/base/Said.h"
#include "core/timing/Moment.h"
#include <QRegularExpression>

namespace mivanta {

QString durationText(int seconds) {
    const auto two = [](int a, int b) { return QStringLiteral("%1:%2").arg(a).arg(b, 2, 10, QChar(u'0')); };
    if (seconds >= 3600)
        return Said::tr("%1 h", "hours").arg(two(seconds / 3600, seconds / 60 % 60));
    if (seconds > 0 && seconds < 60)
        return Said::tr("%1 s", "seconds").arg(seconds);
    if (seconds % 60 == 0)
        return Said::tr("%1 min", "minutes").arg(seconds / 60);
    return Said::tr("%1 min", "minutes").arg(two(seconds / 60, seconds % 60));
}

std::optional<int> durationFrom(const QString& text) {
    static const QRegularExpression form(
        QStringLiteral("^\\s*(\\d{1,5})(?::(\\d{1,2}))?\\s*(h|hours?|min|minutes?|m|s|sec|seconds?)?\\s*$"),
        QRegularExpression::CaseInsensitiveOption);
    const auto match = form.match(text);
    if (!match.hasMatch())
        return std::nullopt;
    const int whole = match.captured(1).toInt();
    const int part = match.captured(2).toInt();
    const QString unit = match.captured(3).toLower();
    const bool isSeconds = unit.startsWith(u's');
    if (part > 59 || (isSeconds && match.hasCaptured(2) && !match.captured(2).isEmpty()))
        return std::nullopt;
    const int seconds = isSeconds               ? whole
                        : unit.startsWith(u'h') ? whole * 3600 + part * 60
                                                : whole * 60 + part;
    return seconds <= kLongestItem ? std::optional(seconds) : std::nullopt;
}

std::optional<QTime> timeFrom(const QString& text) {
    static const QRegularExpression form(QStringLiteral("^\\s*(\\d{1,2})(?:[:.]?(\\d{2}))?\\s*$"));
    const auto match = form.match(text);
    if (!match.hasMatch())
        return std::nullopt;
    const QTime time(match.captured(1).toInt(), match.captured(2).toInt());
    return time.isValid() ? std::optional(time) : std::nullopt;
}

std::optional<double> trackMoment(const QString& text, int tempo) {
    static const QRegularExpression bar(QStringLiteral("^bar\\s*([0-9]{1,4})(?:\\s*/\\s*([1-9][0-9]?))?$"),
                                        QRegularExpression::CaseInsensitiveOption); // for machines
    constexpr int kUsualBeats = 4;
    const auto found = bar.match(text.trimmed());
    if (!found.hasMatch())
        return momentFromText(text);
    const int number = found.captured(1).toInt();
    const int beats = found.captured(2).isEmpty() ? kUsualBeats : found.captured(2).toInt();
    if (tempo <= 0 || number < 1)
        return std::nullopt;
    return (number - 1) * beats * 60.0 / tempo;
}

} // namespace mivanta
