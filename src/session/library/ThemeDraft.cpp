// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/ThemeDraft.h"

namespace mivanta {

namespace {
constexpr int kUndoLimit = 300;
constexpr int kName = -1; // what a renaming changes, beside the properties
} // namespace

class ThemeDraft::Change : public QUndoCommand {
public:
    Change(ThemeDraft& draft, Theme after, const QString& what, int which)
        : QUndoCommand(what),
          m_draft(draft),
          m_before(*draft.m_now),
          m_after(std::move(after)),
          m_which(which),
          m_visit(draft.m_visit) {}
    [[nodiscard]] int id() const override { return 1; }
    bool mergeWith(const QUndoCommand* later) override {
        const auto& other = static_cast<const Change&>(*later);
        if (other.m_which != m_which || other.m_visit != m_visit)
            return false;
        m_after = other.m_after;
        return true;
    }
    void undo() override { m_draft.show(m_before); }
    void redo() override { m_draft.show(m_after); }

private:
    ThemeDraft& m_draft;
    Theme m_before;
    Theme m_after;
    int m_which;
    int m_visit;
};

ThemeDraft::ThemeDraft(QObject* parent) : QObject(parent) {
    m_undo.setUndoLimit(kUndoLimit);
}

void ThemeDraft::open(const std::optional<Theme>& theme, bool isNew) {
    m_stored = theme;
    m_now = theme;
    m_isNew = isNew;
    m_undo.clear();
    Q_EMIT opened();
    Q_EMIT changed();
}

void ThemeDraft::saved(const Theme& stored) {
    if (!m_now || m_now->id != stored.id)
        return;
    m_stored = stored;
    m_isNew = false;
    endVisit();
    Q_EMIT changed();
}

void ThemeDraft::show(const Theme& theme) {
    m_now = theme;
    Q_EMIT changed();
}

void ThemeDraft::apply(Theme next, const QString& what, int which) {
    if (!(next == *m_now))
        m_undo.push(new Change(*this, std::move(next), what, which));
}

void ThemeDraft::set(const LookProperty& property, const LookValue& value) {
    if (!m_now)
        return;
    Theme next = *m_now;
    property.set(next.look, value);
    apply(std::move(next), property.label().toLower(), int(indexOf(property)));
}

void ThemeDraft::rename(const QString& name) {
    if (!m_now || name.trimmed().isEmpty())
        return;
    Theme next = *m_now;
    next.name = name.trimmed();
    apply(std::move(next), tr("the name"), kName);
}

} // namespace mivanta
