// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunOrders.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include "core/run/PartJumps.h"
#include "session/run/AutoAdvance.h"
#include "session/run/ItemSounds.h"
#include "session/run/RunController.h"
#include <algorithm>

namespace mivanta {

namespace {

/// The item that is meant has a part of that letter, or of that short name.
bool hasPart(const RunState& state, const RunPlan& plan, const QString& part) {
    const auto item = itemMeant(state, plan);
    const ItemSlides* slides = item ? plan.slidesOf(*item) : nullptr;
    const auto isIt = [&](const ContentPart& each) {
        return part.size() == 1 ? each.shortLabel.startsWith(part, Qt::CaseInsensitive)
                                : each.shortLabel.compare(part, Qt::CaseInsensitive) == 0;
    };
    return slides && std::any_of(slides->content.parts.begin(), slides->content.parts.end(), isIt);
}

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
            [&](const order::SetCurtain& cover) { return does([&] { m_run.setCurtain(cover.curtain); }); },
            [&](const order::SetOwnCurtain& cover) {
                auto there = mustBeThere(cover.output);
                if (there)
                    m_run.setOwnCurtain(cover.output, cover.curtain);
                return there;
            },
            [&](const order::BlackAndBack&) { return does([&] { m_run.blackAndBack(); }); },
            [&](const order::Freeze& freeze) {
                auto there = mustBeThere(freeze.output);
                if (there)
                    m_run.setFrozen(freeze.output, freeze.isFrozen);
                return there;
            },
            [&](const order::CallOut& say) { return does([&] { m_run.callOut(say.text, say.outputs); }); },
            [&](const order::EndCallOut&) { return does([&] { m_run.endCallOut(); }); },
            [&](const order::HoldAdvance&) { return does([&] { m_advance.stop(); }); },
            [&](const order::FadeSound&) { return does([&] { m_sounds.stop(); }); }},
        order);
}

Result<void> RunOrders::lookAtItem(int number) {
    if (number < 1 || number > m_plan.itemCount())
        return failure(Said::tr("there is no item %1").arg(number));
    m_run.lookAtItem(number - 1);
    return {};
}

Result<void> RunOrders::lookAtPart(const order::LookAtPart& order) {
    RunState looked = m_run.state();
    if (order.item) {
        if (*order.item < 1 || *order.item > m_plan.itemCount())
            return failure(Said::tr("there is no item %1").arg(*order.item));
        looked = lookedAtItem(looked, m_plan, *order.item - 1);
    }
    if (order.part.isEmpty() || !hasPart(looked, m_plan, order.part)) // nothing is done by halves
        return failure(Said::tr("there is no part \"%1\" here").arg(order.part));
    if (order.item)
        m_run.lookAtItem(*order.item - 1);
    const int digits = order.part.mid(1).toInt();
    m_run.lookAtPart(order.part.front(), digits > 0 ? std::optional(digits) : std::nullopt);
    return {};
}

Result<void> RunOrders::mustBeThere(const QString& output) const {
    const auto& all = m_plan.outputs();
    if (std::any_of(all.begin(), all.end(), [&](const Output& each) { return each.name == output; }))
        return {};
    return failure(Said::tr("there is no output \"%1\"").arg(output));
}

} // namespace mivanta
