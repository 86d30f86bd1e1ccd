// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>

namespace mivanta {

/// On an X display that no window manager looks after (a virtual one, a kiosk), nobody gives the keyboard to
/// a window. There the desks take it themselves: when a window or a dialog comes, and when it goes to the one
/// below. Everywhere else this does nothing. One for the application.
class FocusWithoutManager : public QObject {
    Q_OBJECT
public:
    explicit FocusWithoutManager(QObject* parent = nullptr);
    /// Whether this is an X display without a window manager now.
    [[nodiscard]] static bool isAlone();
    bool eventFilter(QObject* watched, QEvent* event) override; ///< dialogs that come and go

private:
    void takeBack();
};

} // namespace mivanta
