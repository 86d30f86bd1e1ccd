// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>
#include <functional>

class QCheckBox;
class QLabel;
class QLineEdit;

namespace mivanta {

/// When the chosen items begin, how long they take, who leads them, a note for the operator, and whether they
/// are left out today; whether slides come by themselves. Of several items, what they have in common.
class PlanInService : public QWidget {
    Q_OBJECT
public:
    explicit PlanInService(Session& session, QWidget* parent = nullptr);
    /// What "these items" are when several are chosen.
    void setSelection(std::function<std::vector<ItemId>()> selection) { m_selection = std::move(selection); }
    void setItem(const ItemId& id);
    void refresh();

private:
    QLineEdit* field(const char* name, const QString& label, const QString& tip);
    void change(const QString& what, const std::function<void(ItemPlan&)>& work);
    void takeTime();
    void takeDuration();
    void takeAdvance();
    [[nodiscard]] std::vector<ItemId> items() const;

    Session& m_session;
    std::function<std::vector<ItemId>()> m_selection;
    ItemId m_item;
    QLineEdit* m_at;
    QLineEdit* m_takes;
    QLineEdit* m_leader;
    QLineEdit* m_note;
    QLineEdit* m_advance;
    QCheckBox* m_goesOn;
    QCheckBox* m_skipped;
    QLabel* m_wrong; ///< what could not be understood
};

} // namespace mivanta
