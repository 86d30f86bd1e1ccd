// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/Look.h"
#include <QEasingCurve>
#include <algorithm>

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

double Transition::progressAt(double share) const {
    constexpr QEasingCurve::Type curves[] = {QEasingCurve::Linear, QEasingCurve::InCubic,
                                             QEasingCurve::OutCubic, QEasingCurve::InOutCubic};
    return QEasingCurve(curves[size_t(easing)]).valueForProgress(std::clamp(share, 0.0, 1.0));
}

} // namespace mivanta
