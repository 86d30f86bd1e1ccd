// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/sending/Sender.h"
#include <QMenu>

namespace mivanta {

/// The ways in which songs leave the program.
class SendMenu : public QMenu {
    Q_OBJECT
public:
    /// `onlySheets`: what musicians read, not what other programs read.
    explicit SendMenu(const QString& title, bool onlySheets = false, QWidget* parent = nullptr);

Q_SIGNALS:
    void wanted(mivanta::SendWay way);
};

} // namespace mivanta
