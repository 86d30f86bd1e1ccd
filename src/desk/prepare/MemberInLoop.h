// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QLabel;
class QLineEdit;

namespace mivanta {

/// On which days a member of a loop is shown; of a set, all its pictures or the chosen one.
class MemberInLoop : public QWidget {
    Q_OBJECT
public:
    explicit MemberInLoop(Session& session, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    /// This picture of a set is meant; nothing = all of it.
    void setPicture(const std::optional<int>& picture);
    void refresh();

private:
    [[nodiscard]] const Item* item() const;
    [[nodiscard]] Season season() const;
    void change(const std::function<void(Season&)>& work);
    void takeDay(QLineEdit* edit, QDate Season::*day);

    Session& m_session;
    ItemId m_item;
    std::optional<int> m_picture;
    QLabel* m_what;
    QLineEdit* m_from;
    QLineEdit* m_to;
    std::vector<QCheckBox*> m_days; ///< Monday first
    QLabel* m_wrong;
};

} // namespace mivanta
