// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Colour.h"

namespace mivanta {

QString Colour::text() const {
    const auto two = [](quint8 v) { return QStringLiteral("%1").arg(v, 2, 16, QLatin1Char('0')); };
    QString result = QStringLiteral("#") + two(red) + two(green) + two(blue);
    return alpha == 255 ? result : result + two(alpha);
}

std::optional<Colour> Colour::fromText(const QString& text) {
    if (!text.startsWith(u'#') || (text.size() != 7 && text.size() != 9))
        return std::nullopt;
    bool ok = false;
    const quint32 value = text.mid(1).toUInt(&ok, 16);
    if (!ok)
        return std::nullopt;
    const quint32 rgba = text.size() == 9 ? value : (value << 8 | 0xff);
    return Colour{quint8(rgba >> 24), quint8(rgba >> 16), quint8(rgba >> 8), quint8(rgba)};
}

} // namespace mivanta
