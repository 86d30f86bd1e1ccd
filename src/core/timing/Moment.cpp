// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Moment.h"
#include "core/theme/Look.h"
#include <QRegularExpression>
#include <QStringList>
#include <algorithm>
#include <cmath>

namespace mivanta {

QString momentText(double seconds) {
    const qint64 tenths = std::llround(std::clamp(seconds, 0.0, kLongestFilm) * 10);
    const qint64 whole = tenths / 10;
    const QLatin1Char zero('0');
    QString text = whole >= 3600 ? QStringLiteral("%1:%2").arg(whole / 3600).arg(whole / 60 % 60, 2, 10, zero)
                                 : QString::number(whole / 60);
    text += QStringLiteral(":%1").arg(whole % 60, 2, 10, zero);
    return tenths % 10 == 0 ? text : text + QStringLiteral(".%1").arg(tenths % 10);
}

std::optional<double> momentFromText(const QString& text) {
    static const QRegularExpression form(
        QStringLiteral(R"(^\s*(?:(?:(\d{1,2}):)?(\d{1,4}):)?(\d{1,5}(?:[.,]\d{1,3})?)\s*$)"));
    const auto match = form.match(text);
    if (!match.hasMatch())
        return std::nullopt;
    const double seconds = match.captured(3).replace(u',', u'.').toDouble();
    const bool hasMinutes = match.hasCaptured(2) && !match.captured(2).isEmpty();
    if (hasMinutes && seconds >= 60)
        return std::nullopt;
    const double all = match.captured(1).toInt() * 3600.0 + match.captured(2).toInt() * 60.0 + seconds;
    return all <= kLongestFilm ? std::optional(all) : std::nullopt;
}

} // namespace mivanta
