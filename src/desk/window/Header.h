// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLabel>
#include <QTimer>
#include <QWidget>
#include <vector>

class QHBoxLayout;
class QToolButton;

namespace mivanta {

class ElidedLabel;
class HoldButton;

/// What is on screen now, told on every desk.
struct LampState {
    bool lit = false; ///< words are seen
    QString text;
};

/// The head of the window: service, desks, lamp, clock.
class Header : public QWidget {
    Q_OBJECT
public:
    explicit Header(QWidget* parent = nullptr);

    /// In the order of the desks. `shortcut` is shown in the tool tip.
    void addDesk(const QString& key, const QString& name, const QString& tip, const QString& shortcut);
    void setCurrentDesk(int index);
    /// A small number beside a desk's name (findings); 0 = none.
    void setDeskCount(int index, int count);
    void setService(const QString& title, const QString& state);
    void setLamp(const LampState& lamp);
    void setTime(const QString& time);
    /// Something else that is told on every desk; it stands before the lamp.
    void addBeforeLamp(QWidget* widget);
    /// The look of buttons there.
    [[nodiscard]] static QString buttonStyle();
    /// None; one to be closed; one that keeps the desks away until it is held open.
    enum class Lock { None, Open, Closed };
    void setLock(Lock lock);
    [[nodiscard]] QString lampText() const { return m_lamp.text; }

Q_SIGNALS:
    void deskChosen(int index);
    void lockWanted();
    void unlockWanted();

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void buildLock();
    QHBoxLayout* m_right;
    struct Desk {
        QToolButton* button;
        QString name;
    };
    ElidedLabel* m_title;
    QLabel* m_state;
    QWidget* m_tabs;
    std::vector<Desk> m_desks;
    ElidedLabel* m_lampLabel;
    QWidget* m_lampBox;
    QLabel* m_clock;
    QToolButton* m_lock;
    HoldButton* m_unlock;
    LampState m_lamp;
};

} // namespace mivanta
