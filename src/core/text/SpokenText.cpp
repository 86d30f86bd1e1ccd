// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/SpokenText.h"
#include "core/base/Said.h"

namespace mivanta {

bool sameContent(const SpokenText& a, const SpokenText& b) {
    return a.title == b.title && a.kind == b.kind && a.author == b.author && a.copyright == b.copyright &&
           a.topics == b.topics && a.seasons == b.seasons && a.language == b.language && a.notes == b.notes &&
           a.picture == b.picture && a.lastDay == b.lastDay && a.namesRoles == b.namesRoles &&
           a.lines == b.lines;
}

QString textKindName(TextKind kind) {
    switch (kind) {
    case TextKind::Liturgy:
        return Said::tr("Liturgy");
    case TextKind::Prayer:
        return Said::tr("Prayer");
    case TextKind::Response:
        return Said::tr("Response");
    case TextKind::Creed:
        return Said::tr("Creed");
    case TextKind::Notice:
        return Said::tr("Notice");
    case TextKind::Other:
        break;
    }
    return Said::tr("Text");
}

QStringList rolesOf(const SpokenText& text) {
    QStringList roles;
    for (const SpokenLine& line : text.lines)
        if (!line.role.isEmpty() && !roles.contains(line.role))
            roles << line.role;
    return roles;
}

const QStringList& usualRoles() {
    static const QStringList roles{QStringLiteral("Leader"), QStringLiteral("All"), QStringLiteral("Reader"),
                                   QStringLiteral("Left"), QStringLiteral("Right")};
    return roles;
}

} // namespace mivanta
