// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunKeys.h"
#include <QSettings>
#include <QStringList>
#include <algorithm>

namespace mivanta {

namespace {

const QString kGroup = QStringLiteral("run/keys");
constexpr double kFilmJump = 10; // seconds
constexpr int kVolumeStep = 5;   // per cent

} // namespace

const std::vector<RunActionFacts>& runActions() {
    // Page Up, Page Down and the full stop are what slide clickers send.
    static const std::vector<RunActionFacts> all{
        {RunAction::Take,
         "take",
         QT_TRANSLATE_NOOP("RunKeys", "Take what is next"),
         {Qt::Key_Space, Qt::Key_Return, Qt::Key_Enter, Qt::Key_PageDown},
         false,
         false,
         order::Take{}},
        {RunAction::Back,
         "back",
         QT_TRANSLATE_NOOP("RunKeys", "Take the step before"),
         {Qt::Key_Backspace, Qt::Key_PageUp},
         false,
         false,
         order::TakeBefore{}},
        {RunAction::LookOn,
         "look-on",
         QT_TRANSLATE_NOOP("RunKeys", "Look one step on"),
         {Qt::Key_Down},
         true,
         false,
         order::LookAhead{1}},
        {RunAction::LookBack,
         "look-back",
         QT_TRANSLATE_NOOP("RunKeys", "Look one step back"),
         {Qt::Key_Up},
         true,
         false,
         order::LookAhead{-1}},
        {RunAction::NextItem,
         "next-item",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the next item"),
         {Qt::Key_Right},
         true,
         false,
         order::LookAtItemsOn{1}},
        {RunAction::PreviousItem,
         "previous-item",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the item before"),
         {Qt::Key_Left},
         true,
         false,
         order::LookAtItemsOn{-1}},
        {RunAction::PartAgain,
         "part-again",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the begin of this part"),
         {Qt::Key_R},
         false,
         false,
         order::LookAtPartAgain{}},
        {RunAction::FirstSlide,
         "first-slide",
         QT_TRANSLATE_NOOP("RunKeys", "Look at the first slide of this item"),
         {Qt::Key_Home},
         false,
         false,
         order::LookAtFirst{}},
        {RunAction::StopLooking,
         "stop-looking",
         QT_TRANSLATE_NOOP("RunKeys", "Stop looking: next is what follows"),
         {Qt::Key_Escape},
         false,
         false,
         order::StopLooking{}},
        {RunAction::UndoTake,
         "undo-take",
         QT_TRANSLATE_NOOP("RunKeys", "Undo the last take"),
         {Qt::Key_U},
         false,
         false,
         order::UndoTake{}},
        {RunAction::CurtainOpen,
         "curtain-open",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: open"),
         {Qt::Key_F5},
         false,
         false,
         order::SetCurtain{Curtain::Open}},
        {RunAction::CurtainPlain,
         "curtain-plain",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: words on a plain ground"),
         {Qt::Key_F6},
         false,
         false,
         order::SetCurtain{Curtain::Plain}},
        {RunAction::CurtainWordsOff,
         "curtain-words-off",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: words off"),
         {Qt::Key_F7},
         false,
         false,
         order::SetCurtain{Curtain::WordsOff}},
        {RunAction::CurtainHouseCard,
         "curtain-house-card",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: house card"),
         {Qt::Key_F8},
         false,
         false,
         order::SetCurtain{Curtain::HouseCard}},
        {RunAction::CurtainBlack,
         "curtain-black",
         QT_TRANSLATE_NOOP("RunKeys", "Curtain: black"),
         {Qt::Key_F9},
         false,
         false,
         order::SetCurtain{Curtain::Black}},
        {RunAction::BlackAndBack,
         "black-and-back",
         QT_TRANSLATE_NOOP("RunKeys", "Black, and back again"),
         {Qt::Key_Period},
         false,
         false,
         order::BlackAndBack{}},
        {RunAction::CallOut, "call-out", QT_TRANSLATE_NOOP("RunKeys", "Write a call-out"), {Qt::Key_F10}},
        {RunAction::EndCallOut,
         "end-call-out",
         QT_TRANSLATE_NOOP("RunKeys", "Take the call-out away"),
         {Qt::Key_F12},
         false,
         false,
         order::EndCallOut{}},
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
         {Qt::Key_H},
         false,
         false,
         order::HoldAdvance{}},
        {RunAction::FadeSound,
         "fade-sound",
         QT_TRANSLATE_NOOP("RunKeys", "Fade out the sound"),
         {Qt::Key_S},
         false,
         false,
         order::FadeSound{}},
        {RunAction::PauseMusic,
         "music-pause",
         QT_TRANSLATE_NOOP("RunKeys", "Music: pause, or go on"),
         {Qt::Key_Comma},
         false,
         false,
         order::PauseMusic{}},
        {RunAction::NextPiece,
         "music-next",
         QT_TRANSLATE_NOOP("RunKeys", "Music: the next piece"),
         {Qt::Key_N},
         false,
         false,
         order::GoToPiece{1}},
        {RunAction::PauseFilm,
         "film-pause",
         QT_TRANSLATE_NOOP("RunKeys", "Film or loop: pause, or go on"),
         {Qt::Key_P},
         false,
         true,
         order::PauseFilm{},
         order::PauseLoop{}},
        {RunAction::FilmBack,
         "film-back",
         QT_TRANSLATE_NOOP("RunKeys", "Film: ten seconds back; loop: the one before"),
         {Qt::Key_J},
         true,
         true,
         order::JumpInFilm{-kFilmJump},
         order::GoToMember{-1}},
        {RunAction::FilmOn,
         "film-on",
         QT_TRANSLATE_NOOP("RunKeys", "Film: ten seconds on; loop: the next one"),
         {Qt::Key_L},
         true,
         true,
         order::JumpInFilm{kFilmJump},
         order::GoToMember{1}},
        {RunAction::FilmAgain,
         "film-again",
         QT_TRANSLATE_NOOP("RunKeys", "Film: from the beginning; loop: one more round"),
         {Qt::Key_A},
         false,
         true,
         order::FilmFromBeginning{},
         order::OneMoreRound{}},
        {RunAction::FilmSofter,
         "film-softer",
         QT_TRANSLATE_NOOP("RunKeys", "Film: softer"),
         {Qt::Key_Minus},
         true,
         true,
         order::ChangeFilmVolume{-kVolumeStep}},
        {RunAction::FilmLouder,
         "film-louder",
         QT_TRANSLATE_NOOP("RunKeys", "Film: louder"),
         {Qt::Key_Plus},
         true,
         true,
         order::ChangeFilmVolume{kVolumeStep}},
        {RunAction::EndLoop,
         "loop-end",
         QT_TRANSLATE_NOOP("RunKeys", "Loop: end behind this round"),
         {Qt::Key_E},
         false,
         true,
         std::nullopt,
         order::EndBehindRound{}},
        {RunAction::Arm,
         "arm",
         QT_TRANSLATE_NOOP("RunKeys", "Arm the next loop: it begins by itself at its time"),
         {Qt::Key_Insert},
         false,
         false,
         order::ArmNext{}},
        {RunAction::Disarm,
         "disarm",
         QT_TRANSLATE_NOOP("RunKeys", "Disarm: no loop begins by itself"),
         {Qt::Key_Delete},
         false,
         false,
         order::DisarmAll{}},
        {RunAction::ByItself,
         "by-itself",
         QT_TRANSLATE_NOOP("RunKeys", "What comes by itself: on or off"),
         {Qt::Key_End},
         false,
         false,
         order::GoOnByItself{}},
        {RunAction::ShowKeys, "show-keys", QT_TRANSLATE_NOOP("RunKeys", "Show every key"), {Qt::Key_F1}},
    };
    return all;
}

const RunActionFacts& factsOf(RunAction action) {
    return *std::find_if(runActions().begin(), runActions().end(),
                         [&](const RunActionFacts& each) { return each.action == action; });
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

std::optional<RunAction> RunKeys::actionOf(Qt::Key key, Moving moving) const {
    const auto action = actionOf(key);
    return action && factsOf(*action).isOfMoving && !orderOf(*action, moving) ? std::nullopt : action;
}

const std::optional<RunOrder>& RunKeys::orderOf(RunAction action, Moving moving) {
    static const std::optional<RunOrder> none;
    const RunActionFacts& facts = factsOf(action);
    if (!facts.isOfMoving)
        return facts.order;
    return moving == Moving::Loop && facts.inLoop ? facts.inLoop
           : moving == Moving::None               ? none
                                                  : facts.order;
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

#include "moc_RunKeys.cpp"
