// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunKeys.h"
#include <QSettings>
#include <QStringList>
#include <algorithm>

namespace mivanta {

namespace {

const QString kGroup = QStringLiteral("run/keys");

} // namespace

const std::vector<RunActionFacts>& runActions() {
    // Page Up, Page Down and the full stop are what slide clickers send.
    static const std::vector<RunActionFacts> all{
        {RunAction::Take,
         "take",
         QT_TRANSLATE_NOOP("RunKeys", "Take what is next"),
         {Qt::Key_Space, Qt::Key_Return, Qt::Key_Enter, Qt::Key_PageDown}},
        {RunAction::Back,
         "back",
         QT_TRANSLATE_NOOP("RunKeys", "Take the step before"),
         {Qt::Key_Backspace, Qt::Key_PageUp}},
        {RunAction::LookOn,
         "look-on",
         QT_TRANSLATE_NOOP("RunKeys", "Look one step on"),
         {Qt::Key_Down},
         true},
        {RunAction::LookBack,
         "look-back",
         QT_TRANSLATE_NOOP("RunKeys", "Look one step back"),
         {Qt::Key_Up},
         true},
        {RunAction::NextItem,
         "next-item",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the next item"),
         {Qt::Key_Right},
         true},
        {RunAction::PreviousItem,
         "previous-item",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the item before"),
         {Qt::Key_Left},
         true},
        {RunAction::PartAgain,
         "part-again",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the begin of this part"),
         {Qt::Key_R}},
        {RunAction::FirstSlide,
         "first-slide",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the first slide of this item"),
         {Qt::Key_Home}},
        {RunAction::StopLooking,
         "stop-looking",
         QT_TRANSLATE_NOOP("RunKeys", "Stop looking: next is what follows"),
         {Qt::Key_Escape}},
        {RunAction::UndoTake, "undo-take", QT_TRANSLATE_NOOP("RunKeys", "Undo the last take"), {Qt::Key_U}},
        {RunAction::CurtainOpen, "curtain-open", QT_TRANSLATE_NOOP("RunKeys", "Curtain: open"), {Qt::Key_F5}},
        {RunAction::CurtainPlain,
         "curtain-plain",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: words on a plain ground"),
         {Qt::Key_F6}},
        {RunAction::CurtainWordsOff,
         "curtain-words-off",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: words off"),
         {Qt::Key_F7}},
        {RunAction::CurtainHouseCard,
         "curtain-house-card",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: house card"),
         {Qt::Key_F8}},
        {RunAction::CurtainBlack,
         "curtain-black",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: black"),
         {Qt::Key_F9}},
        {RunAction::BlackAndBack,
         "black-and-back",
         QT_TRANSLATE_NOOP("RunKeys", "Black, and back again"),
         {Qt::Key_Period}},
        {RunAction::CallOut, "call-out", QT_TRANSLATE_NOOP("RunKeys", "Write a call-out"), {Qt::Key_F10}},
        {RunAction::EndCallOut,
         "end-call-out",
         QT_TRANSLATE_NOOP("RunKeys", "Take the call-out away"),
         {Qt::Key_F12}},
        {RunAction::FreezeMain,
         "freeze",
         QT_TRANSLATE_NOOP("RunKeys", "Freeze the large picture, or let it go on"),
         {Qt::Key_F4}},
        {RunAction::OutputsMenu,
         "outputs",
         QT_TRANSLATE_NOOP("RunKeys", "Freeze or cover single outputs"),
         {Qt::Key_F3}},
        {RunAction::Find, "find", QT_TRANSLATE_NOOP("RunKeys", "Find something unplanned"), {Qt::Key_Slash}},
        {RunAction::KeepUnplanned,
         "keep-unplanned",
         QT_TRANSLATE_NOOP("RunKeys", "Keep what was unplanned in the order"),
         {Qt::Key_K}},
        {RunAction::MendWords,
         "mend-words",
         QT_TRANSLATE_NOOP("RunKeys", "Mend the words on screen"),
         {Qt::Key_F2}},
        {RunAction::HoldAdvance,
         "hold",
         QT_TRANSLATE_NOOP("RunKeys", "Hold what comes by itself"),
         {Qt::Key_H}},
        {RunAction::FadeSound, "fade-sound", QT_TRANSLATE_NOOP("RunKeys", "Fade out the sound"), {Qt::Key_S}},
        {RunAction::ShowKeys, "show-keys", QT_TRANSLATE_NOOP("RunKeys", "Show every key"), {Qt::Key_F1}},
    };
    return all;
}

std::optional<RunOrder> orderOf(RunAction action) {
    switch (action) {
    case RunAction::Take:
        return order::Take{};
    case RunAction::Back:
        return order::TakeBefore{};
    case RunAction::UndoTake:
        return order::UndoTake{};
    case RunAction::LookOn:
        return order::LookAhead{1};
    case RunAction::LookBack:
        return order::LookAhead{-1};
    case RunAction::NextItem:
        return order::LookAtItemsOn{1};
    case RunAction::PreviousItem:
        return order::LookAtItemsOn{-1};
    case RunAction::PartAgain:
        return order::LookAtPartAgain{};
    case RunAction::FirstSlide:
        return order::LookAtFirst{};
    case RunAction::StopLooking:
        return order::StopLooking{};
    case RunAction::CurtainOpen:
        return order::SetCurtain{Curtain::Open};
    case RunAction::CurtainPlain:
        return order::SetCurtain{Curtain::Plain};
    case RunAction::CurtainWordsOff:
        return order::SetCurtain{Curtain::WordsOff};
    case RunAction::CurtainHouseCard:
        return order::SetCurtain{Curtain::HouseCard};
    case RunAction::CurtainBlack:
        return order::SetCurtain{Curtain::Black};
    case RunAction::BlackAndBack:
        return order::BlackAndBack{};
    case RunAction::EndCallOut:
        return order::EndCallOut{};
    case RunAction::HoldAdvance:
        return order::HoldAdvance{};
    case RunAction::FadeSound:
        return order::FadeSound{};
    case RunAction::CallOut:
    case RunAction::FreezeMain:
    case RunAction::OutputsMenu:
    case RunAction::Find:
    case RunAction::KeepUnplanned:
    case RunAction::MendWords:
    case RunAction::ShowKeys:
        break;
    }
    return std::nullopt;
}

RunKeys::RunKeys(QObject* parent) : QObject(parent) {
    const QSettings settings;
    for (const RunActionFacts& facts : runActions()) {
        const QString name = kGroup + u'/' + QLatin1String(facts.id);
        m_keys[facts.action] = facts.usual;
        if (!settings.contains(name))
            continue;
        m_keys[facts.action].clear();
        for (const QString& key : settings.value(name).toStringList())
            if (canBeGiven(Qt::Key(key.toInt())) && !actionOf(Qt::Key(key.toInt())))
                m_keys[facts.action].push_back(Qt::Key(key.toInt()));
    }
}

std::optional<RunAction> RunKeys::actionOf(Qt::Key key) const {
    for (const auto& [action, keys] : m_keys)
        if (std::find(keys.begin(), keys.end(), key) != keys.end())
            return action;
    return std::nullopt;
}

const std::vector<Qt::Key>& RunKeys::keysOf(RunAction action) const {
    return m_keys.at(action);
}

QString RunKeys::textOf(Qt::Key key) {
    switch (key) {
    case Qt::Key_Return:
        return tr("Enter");
    case Qt::Key_Enter:
        return tr("Enter (numbers)");
    case Qt::Key_Backspace:
        return tr("Bksp");
    case Qt::Key_Up:
        return QStringLiteral("\u2191");
    case Qt::Key_Down:
        return QStringLiteral("\u2193");
    case Qt::Key_Left:
        return QStringLiteral("\u2190");
    case Qt::Key_Right:
        return QStringLiteral("\u2192");
    default:
        return QKeySequence(key).toString(QKeySequence::NativeText);
    }
}

QString RunKeys::textOf(RunAction action) const {
    QStringList names;
    for (const Qt::Key key : keysOf(action))
        names << textOf(key);
    return names.join(QStringLiteral(", "));
}

bool RunKeys::canBeGiven(Qt::Key key) {
    const bool isDigit = key >= Qt::Key_0 && key <= Qt::Key_9;
    const bool isModifier = key >= Qt::Key_Shift && key <= Qt::Key_ScrollLock;
    return key > 0 && key != Qt::Key_unknown && key != Qt::Key_AltGr && !isDigit && !isModifier &&
           key != Qt::Key_Tab && key != Qt::Key_Backtab && key != Qt::Key_F11;
}

std::optional<RunAction> RunKeys::give(RunAction action, Qt::Key key) {
    const auto before = actionOf(key);
    if (!canBeGiven(key) || before == action)
        return std::nullopt;
    if (before)
        std::erase(m_keys[*before], key);
    m_keys[action].push_back(key);
    keep();
    return before;
}

void RunKeys::takeAway(RunAction action, Qt::Key key) {
    if (std::erase(m_keys[action], key) > 0)
        keep();
}

void RunKeys::reset() {
    for (const RunActionFacts& facts : runActions())
        m_keys[facts.action] = facts.usual;
    keep();
}

void RunKeys::keep() {
    QSettings settings;
    for (const RunActionFacts& facts : runActions()) {
        const QString name = kGroup + u'/' + QLatin1String(facts.id);
        if (m_keys[facts.action] == facts.usual) {
            settings.remove(name);
            continue;
        }
        QStringList keys;
        for (const Qt::Key key : m_keys[facts.action])
            keys << QString::number(int(key));
        settings.setValue(name, keys);
    }
    Q_EMIT changed();
}

} // namespace mivanta
