// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/ThemeDraft.h"

namespace mivanta {

/// Where a change of a field of this visit is typed.
int ThemeDraft::place(int field) const {
    const int fields = int(lookProperties().size()) + 1;
    return 1 + m_visit * fields + field;
}

void ThemeDraft::set(const LookProperty& property, const LookValue& value) {
    change(
        property.label(), [&](ThemeRecord& record) { property.set(record.theme.look, value); },
        place(1 + int(indexOf(property))));
}

void ThemeDraft::rename(const QString& name) {
    if (!name.trimmed().isEmpty())
        change(
            tr("the name"), [&](ThemeRecord& record) { record.theme.name = name.trimmed(); }, place(0));
}

} // namespace mivanta

#include "moc_ThemeDraft.cpp"
