// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/LookProperty.h"
#include "core/theme/Theme.h"
#include <QObject>
#include <QUndoStack>

namespace mivanta {

/// A theme being designed: as it is stored, as it is now, and every change in between to be undone. GUI
/// thread.
class ThemeDraft : public QObject {
    Q_OBJECT
public:
    explicit ThemeDraft(QObject* parent = nullptr);

    /// Another theme; what was changed before is forgotten. `isNew`: the library does not have it yet.
    void open(const std::optional<Theme>& theme, bool isNew = false);
    /// It is in the library as given; what was changed since is not.
    void saved(const Theme& stored);
    [[nodiscard]] const std::optional<Theme>& theme() const { return m_now; }
    [[nodiscard]] bool isNew() const { return m_isNew; }
    [[nodiscard]] bool isChanged() const { return m_now && (m_isNew || !(m_now == m_stored)); }

    /// Changes of one property that follow one another within a visit are one step.
    void set(const LookProperty& property, const LookValue& value);
    void rename(const QString& name);
    /// What follows is a step of its own.
    void endVisit() { ++m_visit; }

    void undo() { m_undo.undo(); }
    void redo() { m_undo.redo(); }
    [[nodiscard]] QUndoStack& undoStack() { return m_undo; }

Q_SIGNALS:
    void opened();
    void changed();

private:
    class Change;
    void show(const Theme& theme);
    void apply(Theme next, const QString& what, int which);

    std::optional<Theme> m_stored;
    std::optional<Theme> m_now;
    bool m_isNew = false;
    int m_visit = 0;
    QUndoStack m_undo;
};

} // namespace mivanta
