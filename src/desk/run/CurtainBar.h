// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunController.h"
#include "session/run/RunKeys.h"
#include "session/run/RunOrders.h"
#include <QWidget>

class QToolButton;

namespace mivanta {

/// What a curtain is called, on buttons and in the header.
[[nodiscard]] QString curtainName(Curtain curtain);
[[nodiscard]] const std::vector<Curtain>& allCurtains();

/// The curtain of all outputs: a button each, with its key.
class CurtainBar : public QWidget {
    Q_OBJECT
public:
    CurtainBar(const RunController& run, RunOrders& orders, const RunKeys& keys, QWidget* parent = nullptr);

private:
    void refresh();
    void nameKeys();

    const RunController& m_run;
    RunOrders& m_orders;
    const RunKeys& m_keys;
    std::vector<std::pair<Curtain, QToolButton*>> m_buttons;
};

} // namespace mivanta
