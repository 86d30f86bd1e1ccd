// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/check/MediaFindings.h"
#include "core/base/Said.h"
#include "core/order/UsedMedia.h"
#include "session/Session.h"
#include <QThread>
#include <algorithm>

namespace mivanta {

namespace {

/// The first item that shows or plays it; null for a backdrop.
ItemId itemWith(const Service& service, const QString& name) {
    for (const Item& item : service.items)
        if (mediaOf(item).contains(name))
            return item.id;
    return {};
}

void addLive(std::vector<UsedLive>& all, const UsedLive& one) {
    const bool isKnown =
        std::any_of(all.begin(), all.end(), [&](const UsedLive& each) { return each.input == one.input; });
    if (!isKnown)
        all.push_back(one);
}

void addLiveOf(std::vector<UsedLive>& all, const Look& look, const ItemId& item) {
    if (const auto film = filmOf(look.backdrop); film && !film->live.isNull())
        addLive(all, {film->live, item, {}});
    for (const SlideObject& object : look.objects)
        if (const auto film = filmOf(object); film && !film->live.isNull())
            addLive(all, {film->live, item, {}});
}

} // namespace

std::vector<UsedLive> liveInputsOf(Session& session) {
    std::vector<UsedLive> all;
    for (const Item& item : session.document().service().items) {
        if (!item.isRun())
            continue;
        if (const auto* live = std::get_if<LiveItem>(&item.words))
            addLive(all, {live->input, item.id, live->caption});
        const ItemSlides* slides = session.book().slidesOf(item.id);
        for (const OutputSlides& output : slides->outputs)
            for (const Slide& slide : output.slides)
                addLiveOf(all, output.lookOf(slide), item.id);
    }
    return all;
}

namespace {

void addLiveFindings(std::vector<Finding>& findings, Session& session) {
    for (const UsedLive& used : liveInputsOf(session)) {
        const LiveInput* input = session.liveInputs().find(used.input);
        const QString since = session.liveInputs().lostSince(used.input);
        if (!input)
            findings.push_back(
                {Severity::Blocks, used.item,
                 used.caption.isEmpty()
                     ? Said::tr("A live input is not set up on this computer")
                     : Said::tr("The live input \u201c%1\u201d is not set up on this computer")
                           .arg(used.caption),
                 Said::tr(
                     "Set one up in Setup, and choose it on the Prepare desk; without it, people see the "
                     "colour of the backdrop.")});
        else if (!since.isEmpty())
            findings.push_back(
                {Severity::Doubt, used.item,
                 Said::tr("%1: no picture since %2", "a live input and a time of day")
                     .arg(input->name, since),
                 Said::tr("It is tried again and again, and comes back by itself. Setup shows what "
                          "is known of it.")});
    }
}

} // namespace

std::vector<Finding> mediaFindings(Session& session) {
    std::vector<Finding> findings;
    const Service& service = session.document().service();
    for (const QString& name : mediaOf(service)) {
        const Medium* medium = session.media().medium(name);
        if (!medium)
            continue; // missing, which is told elsewhere
        const ItemId item = itemWith(service, name);
        if (!medium->problem.isEmpty())
            findings.push_back(
                {Severity::Blocks, item,
                 Said::tr("\u201c%1\u201d cannot be shown or heard here").arg(medium->title),
                 Said::tr("%1. Choose another file on the Prepare desk.").arg(medium->problem)});
        const auto cores = session.filmLoads().coresOf(name);
        if (cores && *cores > FilmLoads::most())
            findings.push_back(
                {Severity::Doubt, item,
                 Said::tr("\u201c%1\u201d is more than this computer plays smoothly").arg(medium->title),
                 Said::tr(
                     "It keeps %1 of %2 processors busy. Words and keys are not held up, but the film may "
                     "stutter. Have it saved smaller, such as 1920 \u00d7 1080 at 30 pictures a second.")
                     .arg(QString::number(*cores, 'f', 1))
                     .arg(QThread::idealThreadCount())});
    }
    addLiveFindings(findings, session);
    return findings;
}

} // namespace mivanta
