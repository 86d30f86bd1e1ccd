// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace mivanta {

class FocusFields;
class ShownOn;

/// What can be changed about a live picture in the order: which input it is, how and where it is seen, and
/// what follows that it stays behind.
class LiveInService : public QWidget {
    Q_OBJECT
public:
    explicit LiveInService(Session& session, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();

protected:
    void hideEvent(QHideEvent* event) override;

private:
    [[nodiscard]] const LiveItem* item() const;
    void buildForm();
    void connectFields();
    void change(const QString& what, const std::function<void(LiveItem&)>& work, int visit = 0);
    void chooseInput();
    void chooseReach();
    void showInputs(const LiveItem& live);
    void showReach(const LiveItem& live);
    void showState();
    void see(bool wanted);
    void showPicture();

    Session& m_session;
    ItemId m_item;
    int m_visit = 0;
    QLineEdit* m_title;
    QComboBox* m_input;
    QLabel* m_state;
    QPushButton* m_see;
    QLabel* m_picture; ///< what the input shows, while that is wanted
    QComboBox* m_reach;
    QLabel* m_behind; ///< which items those are
    QComboBox* m_fit;
    FocusFields* m_focus;
    ShownOn* m_outputs;
};

} // namespace mivanta
