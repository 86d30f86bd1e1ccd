// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/Theme.h"
#include <QStringList>
#include <algorithm>
#include <array>

namespace mivanta {

const Theme* themeOf(const QString& id, const std::vector<Theme>& themes) {
    const auto at =
        std::find_if(themes.begin(), themes.end(), [&](const Theme& theme) { return theme.id == id; });
    return id.isEmpty() || at == themes.end() ? nullptr : &*at;
}

QString newThemeId(const QString& name, const std::vector<Theme>& themes) {
    QString word;
    for (const QChar c : name.toLower().normalized(QString::NormalizationForm_D)) {
        if (c.isLetterOrNumber() && c.unicode() < 0x80)
            word += c;
        else if (!word.isEmpty() && !word.endsWith(u'-') && !c.isMark())
            word += u'-';
    }
    while (word.endsWith(u'-'))
        word.chop(1);
    if (word.isEmpty())
        word = QStringLiteral("theme");
    QString id = word;
    for (int number = 2; themeOf(id, themes); ++number)
        id = word + u'-' + QString::number(number);
    return id;
}

QString creditText(const QString& fields, const CreditFields& values) {
    const QChar separator(0x00b7);
    const std::array<std::pair<QLatin1String, QString>, 7> known{
        {{QLatin1String("{title}"), values.title},
         {QLatin1String("{authors}"), values.authors},
         {QLatin1String("{copyright}"), values.copyright},
         {QLatin1String("{licence}"), values.licence},
         {QLatin1String("{book}"), values.book},
         {QLatin1String("{reference}"), values.reference},
         {QLatin1String("{translation}"), values.translation}}};
    QStringList pieces;
    for (QString piece : fields.split(separator)) {
        bool hasField = false;
        bool hasValue = false;
        for (const auto& [name, value] : known) {
            if (!piece.contains(name))
                continue;
            hasField = true;
            hasValue = hasValue || !value.isEmpty();
            piece.replace(name, value);
        }
        piece = piece.trimmed();
        if (!piece.isEmpty() && (hasValue || !hasField))
            pieces << piece;
    }
    return pieces.join(QStringLiteral(" ") + separator + QStringLiteral(" "));
}

} // namespace mivanta
