// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Monitors.h"
#include "core/base/Said.h"
#include <QStringList>

namespace mivanta {

QString Monitor::label() const {
    QStringList words{identity.maker, identity.model};
    words.removeAll(QString());
    return words.isEmpty() ? name : Said::tr("%1 at %2").arg(words.join(u' '), name);
}

Likeness likenessOf(const Monitor& monitor, const QString& name, const MonitorIdentity& identity) {
    const bool isThere = monitor.name == name;
    const MonitorIdentity& other = monitor.identity;
    if (!identity.isKnown() || !other.isKnown())
        return isThere ? Likeness::SameName : Likeness::Other;
    const bool isSameKind = identity.maker == other.maker && identity.model == other.model;
    const bool hasSerials = !identity.serial.isEmpty() && !other.serial.isEmpty();
    if (isSameKind && hasSerials && identity.serial == other.serial)
        return isThere ? Likeness::Itself : Likeness::Moved;
    if (isSameKind && !hasSerials)
        return isThere ? Likeness::SameKind : Likeness::SameKindElse;
    return isThere ? Likeness::Replaced : Likeness::Other;
}

std::vector<std::vector<int>> mirroredMonitors(const std::vector<Monitor>& monitors) {
    std::vector<std::vector<int>> groups;
    std::vector<bool> grouped(monitors.size());
    for (size_t i = 0; i < monitors.size(); ++i) {
        if (grouped[i])
            continue;
        std::vector<int> group{int(i)};
        for (size_t j = i + 1; j < monitors.size(); ++j)
            if (!grouped[j] && monitors[i].geometry.intersects(monitors[j].geometry)) {
                group.push_back(int(j));
                grouped[j] = true;
            }
        if (group.size() > 1)
            groups.push_back(std::move(group));
    }
    return groups;
}

} // namespace mivanta
