// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include "session/run/RunKeys.h"
#include <QWidget>

class QLabel;
class QPushButton;

namespace mivanta {

class ElidedLabel;

/// What the operator need not keep in mind: what goes on by itself, the slide behind the next one, and the
/// item that comes then, with its note.
class AheadPanel : public QWidget {
    Q_OBJECT
public:
    AheadPanel(Session& session, const RunKeys& keys, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* buildByItself();
    QWidget* buildAhead();
    void refresh();
    void showByItself();
    [[nodiscard]] QString chainText() const;
    void showAhead();

    Session& m_session;
    const RunKeys& m_keys;
    QLabel* m_others;      ///< what goes on besides slides and sounds
    QPushButton* m_switch; ///< whether anything comes by itself
    QLabel* m_chain;       ///< what comes by itself, with its times
    QLabel* m_nothing;     ///< there is nothing of that kind
    ElidedLabel* m_then;
    ElidedLabel* m_item;
    ElidedLabel* m_facts;
    QLabel* m_note;
};

} // namespace mivanta
