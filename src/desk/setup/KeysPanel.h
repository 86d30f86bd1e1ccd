// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunKeys.h"
#include <QWidget>

class QLabel;
class QPushButton;
class QTreeWidget;

namespace mivanta {

/// Which keys do what on the Run desk, and how to change that.
class KeysPanel : public QWidget {
    Q_OBJECT
public:
    explicit KeysPanel(RunKeys& keys, QWidget* parent = nullptr);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void fill();
    void refresh();
    [[nodiscard]] std::optional<RunAction> chosen() const;
    /// For the key that is pressed next; nothing = for none any more.
    void waitFor(std::optional<RunAction> action);
    void take(Qt::Key key);

    RunKeys& m_keys;
    QTreeWidget* m_list;
    QPushButton* m_give;
    QPushButton* m_takeAway;
    QLabel* m_state;
    bool m_isWaiting = false; ///< for the key that is to be given
};

} // namespace mivanta
