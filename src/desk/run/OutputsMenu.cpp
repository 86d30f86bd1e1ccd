// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/OutputsMenu.h"
#include "desk/run/CurtainBar.h"
#include <QActionGroup>

namespace mivanta {

OutputsMenu::OutputsMenu(Session& session, const QString& output, QWidget* parent)
    : QMenu(parent),
      m_session(session) {
    setObjectName(QStringLiteral("outputs-menu"));
    int number = 0;
    for (const Output& each : m_session.outputs().all()) {
        if (each.name == output)
            fill(*this, each.name);
        else if (output.isEmpty())
            fill(*addMenu(QStringLiteral("&%1  %2").arg(++number).arg(each.label())), each.name);
    }
}

void OutputsMenu::fill(QMenu& menu, const QString& output) {
    const RunController& run = m_session.run();
    RunOrders& orders = m_session.orders();
    QAction* freeze = menu.addAction(tr("&Freeze: keep this picture"));
    freeze->setObjectName(QStringLiteral("freeze-") + output);
    freeze->setCheckable(true);
    freeze->setChecked(run.state().frozen.contains(output));
    connect(freeze, &QAction::triggered, this, [&orders, output](bool frozen) {
        orders.obey(order::Freeze{output, frozen});
    });
    menu.addSection(tr("Its curtain"));
    auto* group = new QActionGroup(&menu);
    const auto& own = run.state().covers.own;
    const auto at = own.find(output);
    QAction* same = menu.addAction(tr("As &all the others"));
    same->setObjectName(QStringLiteral("own-none-") + output);
    same->setCheckable(true);
    same->setChecked(at == own.end());
    group->addAction(same);
    connect(same, &QAction::triggered, this, [&orders, output] {
        orders.obey(order::SetOwnCurtain{output, std::nullopt});
    });
    for (const Curtain curtain : allCurtains()) {
        QAction* action = menu.addAction(curtainName(curtain));
        action->setObjectName(QStringLiteral("own-%1-%2").arg(int(curtain)).arg(output));
        action->setCheckable(true);
        action->setChecked(at != own.end() && at->second == curtain);
        group->addAction(action);
        connect(action, &QAction::triggered, this, [&orders, output, curtain] {
            orders.obey(order::SetOwnCurtain{output, curtain});
        });
    }
}

QString outputStateText(const RunState& state, const QString& output) {
    QStringList facts;
    if (state.frozen.contains(output))
        facts << OutputsMenu::tr("frozen");
    if (const auto own = state.covers.own.find(output); own != state.covers.own.end())
        facts << curtainName(own->second);
    return facts.join(QStringLiteral(", "));
}

} // namespace mivanta

#include "moc_OutputsMenu.cpp"
