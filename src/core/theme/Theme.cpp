// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/Theme.h"
#include <QStringList>
#include <array>

namespace mivanta {

std::vector<RoleLook> Look::usualRoleLooks() {
    return {{QStringLiteral("All"), true, false, std::nullopt, {}}};
}

const RoleLook* Look::role(const QString& name) const {
    for (const RoleLook& look : roles)
        if (look.role.compare(name, Qt::CaseInsensitive) == 0)
            return &look;
    return nullptr;
}

QString creditText(const QString& fields, const CreditFields& values) {
    const QChar separator(0x00b7);
    const std::array<std::pair<QLatin1String, QString>, 5> known{
        {{QLatin1String("{title}"), values.title},
         {QLatin1String("{authors}"), values.authors},
         {QLatin1String("{copyright}"), values.copyright},
         {QLatin1String("{licence}"), values.licence},
         {QLatin1String("{book}"), values.book}}};
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
