// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/LookProperty.h"
#include "session/library/RecordDraft.h"

namespace mivanta {

/// A theme being designed, changed property by property. GUI thread.
class ThemeDraft : public RecordDraft<ThemeRecord> {
    Q_OBJECT
public:
    using RecordDraft::RecordDraft;
    /// Null when there is none.
    [[nodiscard]] const Theme* theme() const { return record() ? &record()->theme : nullptr; }

    /// Changes of one property that follow one another within a visit are one step.
    void set(const LookProperty& property, const LookValue& value);
    void rename(const QString& name);
    /// What follows is a step of its own.
    void endVisit() { ++m_visit; }

private:
    [[nodiscard]] int place(int field) const;

    int m_visit = 0;
};

} // namespace mivanta
