// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QLabel;
class QLineEdit;
class QPlainTextEdit;

namespace mivanta {

/// What can be changed about a note for the operator, a pause or a countdown in the order.
class MomentInService : public QWidget {
    Q_OBJECT
public:
    explicit MomentInService(Session& session, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();
    /// For something that was just added: what it says can be typed at once.
    void focusWords();

private:
    [[nodiscard]] const Item* item() const;
    void takeWords();
    void takeUntil();
    void takeFor();
    void changeCountdown(const std::function<void(CountdownItem&)>& change);
    void complain(const QString& text);

    Session& m_session;
    ItemId m_item;
    int m_visit = 0;
    QLabel* m_what;
    QPlainTextEdit* m_words;
    QWidget* m_end; ///< of a countdown
    QLineEdit* m_until;
    QLineEdit* m_for;
    QCheckBox* m_goesOn;
    QLabel* m_wrong;
};

} // namespace mivanta
