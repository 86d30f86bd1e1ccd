// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunOrders.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include "core/run/PartJumps.h"
#include "session/run/AutoAdvance.h"
#include "session/run/ItemSounds.h"
#include "session/run/LoopArming.h"
#include "session/run/RunController.h"
#include "session/run/RunFilm.h"
#include <algorithm>

namespace mivanta {

namespace {

Result<void> done() {
    return {};
}

} // namespace

Result<void> RunOrders::obey(const RunOrder& order) {
    const auto does = [](auto act) { // what is always possible
        act();
        return done();
    };
    return std::visit(
        Cases{
            [&](const order::Take&) { return does([&] { m_run.take(); }); },
            [&](const order::TakeFollowing&) {
                return does([&] {
                    m_run.lookBack();
                    m_run.take();
                });
            },
            [&](const order::TakeBefore&) { return does([&] { m_run.back(); }); },
            [&](const order::UndoTake&) { return does([&] { m_run.undoTake(); }); },
            [&](const order::LookAhead& look) { return does([&] { m_run.lookAhead(look.steps); }); },
            [&](const order::LookAtItemsOn& look) { return does([&] { m_run.lookAtItemsOn(look.items); }); },
            [&](const order::LookAtItem& look) { return lookAtItem(look.number); },
            [&](const order::LookAtPart& look) { return lookAtPart(look); },
            [&](const order::LookAtPartAgain&) { return does([&] { m_run.lookAtPartAgain(); }); },
            [&](const order::LookAtFirst&) { return does([&] { m_run.lookAtFirst(); }); },
            [&](const order::LookAt& look) { return does([&] { m_run.lookAt(look.cue); }); },
            [&](const order::LookAtUnplanned& look) {
                return does([&] { m_run.lookAtUnplanned(look.words); });
            },
            [&](const order::StopLooking&) { return does([&] { m_run.lookBack(); }); },
            [&](const order::SetCurtain& cover) {
                return does([&] { m_run.covers().setCurtain(cover.curtain); });
            },
            [&](const order::SetOwnCurtain& cover) {
                auto there = mustBeThere(cover.output);
                if (there)
                    m_run.covers().setOwnCurtain(cover.output, cover.curtain);
                return there;
            },
            [&](const order::BlackAndBack&) { return does([&] { m_run.covers().blackAndBack(); }); },
            [&](const order::Freeze& freeze) {
                auto there = mustBeThere(freeze.output);
                if (there)
                    m_run.setFrozen(freeze.output, freeze.isFrozen);
                return there;
            },
            [&](const order::CallOut& say) {
                return does([&] { m_run.covers().callOut(say.text, say.outputs); });
            },
            [&](const order::EndCallOut&) { return does([&] { m_run.covers().endCallOut(); }); },
            [&](const order::HoldAdvance&) { return does([&] { m_advance.stop(); }); },
            [&](const order::FadeSound&) { return does([&] { m_sounds.stop(); }); },
            [&](const order::PauseMusic&) { return does([&] { m_sounds.pauseMusicOrGoOn(); }); },
            [&](const order::GoToPiece& piece) { return does([&] { m_sounds.goToPiece(piece.by); }); },
            [&](const order::PauseFilm&) { return does([&] { m_film.pauseOrGoOn(); }); },
            [&](const order::JumpInFilm& jump) { return does([&] { m_film.jump(jump.seconds); }); },
            [&](const order::SeekFilm& seek) { return does([&] { m_film.seek(seek.seconds); }); },
            [&](const order::FilmFromBeginning&) { return does([&] { m_film.fromTheBeginning(); }); },
            [&](const order::ChangeFilmVolume& by) { return does([&] { m_film.changeVolume(by.percent); }); },
            [&](const order::PauseLoop&) { return does([&] { m_loop.pauseOrGoOn(); }); },
            [&](const order::GoToMember& go) { return does([&] { m_loop.goToMember(go.by); }); },
            [&](const order::OneMoreRound&) { return does([&] { m_loop.oneMoreRound(); }); },
            [&](const order::EndBehindRound&) { return does([&] { m_loop.endBehindRound(); }); },
            [&](const order::ArmLoop& arm) {
                if (arm.isArmed)
                    return m_arming.arm(arm.loop);
                return does([&] { m_arming.disarm(arm.loop); });
            },
            [&](const order::ArmNext&) { return m_arming.armNext(); },
            [&](const order::DisarmAll&) { return does([&] { m_arming.disarmAll(); }); },
            [&](const order::GoOnByItself& go) {
                return does([&] { m_run.setGoesOnByItself(go.isOn.value_or(!m_run.goesOnByItself())); });
            }},
        order);
}

Result<void> RunOrders::lookAtItem(int number) {
    if (number < 1 || number > m_lineup.itemCount())
        return failure(Said::tr("there is no item %1").arg(number));
    m_run.lookAtItem(number - 1);
    return {};
}

Result<void> RunOrders::lookAtPart(const order::LookAtPart& order) {
    RunState looked = m_run.state();
    if (order.item) {
        if (*order.item < 1 || *order.item > m_lineup.itemCount())
            return failure(Said::tr("there is no item %1").arg(*order.item));
        looked = lookedAtItem(looked, m_lineup, *order.item - 1);
    }
    if (!hasPart(looked, m_lineup, order.letter, order.number)) { // nothing is done by halves
        const QString number = order.number ? QString::number(*order.number) : QString();
        return failure(Said::tr("there is no part \"%1\" here").arg(order.letter + number));
    }
    if (order.item)
        m_run.lookAtItem(*order.item - 1);
    m_run.lookAtPart(order.letter, order.number);
    return {};
}

Result<void> RunOrders::mustBeThere(const QString& output) const {
    const auto& all = m_lineup.outputs();
    if (std::any_of(all.begin(), all.end(), [&](const Output& each) { return each.name == output; }))
        return {};
    return failure(Said::tr("there is no output \"%1\"").arg(output));
}

} // namespace mivanta
