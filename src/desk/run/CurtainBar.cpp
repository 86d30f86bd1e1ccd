// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/CurtainBar.h"
#include "desk/kit/Style.h"
#include <QCoreApplication>
#include <QHBoxLayout>
#include <QToolButton>

namespace mivanta {

namespace {

struct CurtainFacts {
    Curtain curtain;
    RunAction action;
    const char* name;
    const char* tip;
};

constexpr CurtainFacts kCurtains[]{
    {Curtain::Open, RunAction::CurtainOpen, QT_TRANSLATE_NOOP("CurtainBar", "Open"),
     QT_TRANSLATE_NOOP("CurtainBar", "Show everything")},
    {Curtain::Plain, RunAction::CurtainPlain, QT_TRANSLATE_NOOP("CurtainBar", "Plain"),
     QT_TRANSLATE_NOOP("CurtainBar", "Show the words on a plain ground, without the backdrop")},
    {Curtain::WordsOff, RunAction::CurtainWordsOff, QT_TRANSLATE_NOOP("CurtainBar", "Words off"),
     QT_TRANSLATE_NOOP("CurtainBar", "Show the backdrop only")},
    {Curtain::HouseCard, RunAction::CurtainHouseCard, QT_TRANSLATE_NOOP("CurtainBar", "House card"),
     QT_TRANSLATE_NOOP("CurtainBar", "Show the card of the house; Setup says what stands on it")},
    {Curtain::Black, RunAction::CurtainBlack, QT_TRANSLATE_NOOP("CurtainBar", "Black"),
     QT_TRANSLATE_NOOP("CurtainBar", "Show nothing")},
};

const CurtainFacts& factsOf(Curtain curtain) {
    for (const CurtainFacts& facts : kCurtains)
        if (facts.curtain == curtain)
            return facts;
    return kCurtains[0];
}

} // namespace

QString curtainName(Curtain curtain) {
    return QCoreApplication::translate("CurtainBar", factsOf(curtain).name);
}

const std::vector<Curtain>& allCurtains() {
    static const std::vector<Curtain> all = [] {
        std::vector<Curtain> curtains;
        for (const CurtainFacts& facts : kCurtains)
            curtains.push_back(facts.curtain);
        return curtains;
    }();
    return all;
}

CurtainBar::CurtainBar(const RunController& run, RunOrders& orders, const RunKeys& keys, QWidget* parent)
    : QWidget(parent),
      m_run(run),
      m_orders(orders),
      m_keys(keys) {
    setAccessibleName(tr("Curtain"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    for (const CurtainFacts& facts : kCurtains) {
        auto* button = new QToolButton(this);
        button->setCheckable(true);
        button->setFocusPolicy(Qt::NoFocus);
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        button->setFont(textFont(0.95));
        button->setStyleSheet(
            QStringLiteral(
                "QToolButton { border: 1px solid %1; padding: 6px 1px; color: %2; border-radius: 0; }"
                "QToolButton:checked { background: %2; color: %3; font-weight: bold; }")
                .arg(night().line.name(), night().text.name(), night().ground.name()));
        connect(button, &QToolButton::clicked, this, [this, curtain = facts.curtain] {
            m_orders.obey(order::SetCurtain{curtain});
            refresh(); // also when it was checked already
        });
        row->addWidget(button);
        m_buttons.emplace_back(facts.curtain, button);
    }
    connect(&m_run, &RunController::changed, this, &CurtainBar::refresh);
    connect(&m_keys, &RunKeys::changed, this, &CurtainBar::nameKeys);
    nameKeys();
    refresh();
}

void CurtainBar::nameKeys() {
    for (const auto& [curtain, button] : m_buttons) {
        const CurtainFacts& facts = factsOf(curtain);
        const auto& keys = m_keys.keysOf(facts.action);
        const QString key = keys.empty() ? QString() : RunKeys::textOf(keys.front());
        button->setObjectName(QStringLiteral("curtain-") + QString::number(int(curtain)));
        button->setText(tr(facts.name) + u'\n' + key);
        button->setToolTip(key.isEmpty() ? tr(facts.tip) : QStringLiteral("%1 (%2)").arg(tr(facts.tip), key));
    }
}

void CurtainBar::refresh() {
    for (const auto& [curtain, button] : m_buttons)
        button->setChecked(curtain == m_run.state().covers.curtain);
}

} // namespace mivanta

#include "moc_CurtainBar.cpp"
