// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/LiveBehind.h"
#include "core/run/RunState.h"
#include "core/run/Shown.h"
#include "support/EvenMeasure.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const LiveInputId kCamera = LiveInputId::create();

Item liveItem(LiveReach reach = LiveReach::Itself, const ItemId& until = {}) {
    LiveItem live;
    live.input = kCamera;
    live.caption = u"Harbour camera"_s;
    live.reach = reach;
    live.until = until;
    return {ItemId::create(), live};
}

Item song() {
    return {ItemId::create(), songItem(samples::harbourSong(u"Boats at Night"_s))};
}

Output outputCalled(const QString& name, OutputKind kind = OutputKind::Hall) {
    Output output;
    output.name = name;
    output.kind = kind;
    return output;
}

std::vector<Scene> scenesIn(const Service& service, size_t item, const std::vector<Output>& outputs) {
    EvenMeasures measures;
    const Item& shown = service.items[item];
    return scenesAt(slidesFor(contentOf(shown, service), outputs, lookChainOf(shown, service, {}), measures),
                    {});
}

bool isOfCamera(const Scene& scene) {
    return scene.film && scene.film->live == kCamera && scene.look.backdrop.kind == BackdropKind::Live &&
           scene.look.backdrop.live == kCamera.text();
}

TEST(LiveItem, ShowsItsInputWithoutWordsWhereFilmsAreShown) {
    Service service;
    service.theme = samples::theme();
    service.items = {liveItem()};
    Output stream = outputCalled(u"stream"_s, OutputKind::Stream);
    stream.insists = {LookGroup::Backdrop};
    const auto scenes =
        scenesIn(service, 0, {outputCalled(u"hall"_s), outputCalled(u"stage"_s, OutputKind::Stage), stream});
    EXPECT_TRUE(isOfCamera(scenes[0]));
    EXPECT_TRUE(scenes[0].rows.empty());
    EXPECT_FALSE(scenes[1].film);
    EXPECT_TRUE(scenes[1].look.objects.empty()); // it has no end to count down to
    EXPECT_FALSE(scenes[2].film);
    Scene taken = scenes[0];
    taken.origin.cue = Cue{service.items[0].id, {}};
    EXPECT_EQ(shownOf(taken).kind, ShownKind::Live);

    std::get<LiveItem>(service.items[0].words).isShownOn = {{u"hall"_s, false}, {u"stage"_s, true}};
    const auto others =
        scenesIn(service, 0, {outputCalled(u"hall"_s), outputCalled(u"stage"_s, OutputKind::Stage)});
    EXPECT_FALSE(others[0].film);
    EXPECT_TRUE(isOfCamera(others[1]));
}

TEST(LiveItem, StaysBehindTheWordsOfWhatFollowsAsOneAndTheSamePicture) {
    Service service;
    service.theme = samples::theme();
    const Item last = song();
    service.items = {song(), liveItem(LiveReach::ToItem, last.id), song(), last};
    const std::vector<Output> hall{outputCalled(u"hall"_s)};
    const Scene alone = scenesIn(service, 1, hall)[0];
    const Scene under = scenesIn(service, 2, hall)[0];
    EXPECT_TRUE(isOfCamera(under));
    EXPECT_FALSE(under.rows.empty());
    EXPECT_EQ(under.film, alone.film); // so that it is not opened anew
    EXPECT_FALSE(scenesIn(service, 0, hall)[0].film);
    EXPECT_FALSE(scenesIn(service, 3, hall)[0].film);
}

TEST(LiveItem, WhatIsSetForTheItemItselfIsStrongerAndItsThemeIsNot) {
    Service service;
    service.theme = samples::theme();
    Theme quiet = samples::theme();
    quiet.id = u"quiet"_s;
    service.themes = {quiet};
    service.items = {liveItem(LiveReach::ToEnd), song(), song()};
    service.items[1].look.choice.theme = u"quiet"_s;
    service.items[2].look.choice.own.set(*lookProperty(u"backdrop.kind"_s),
                                         LookChoiceIndex{int(BackdropKind::Plain)});
    const std::vector<Output> hall{outputCalled(u"hall"_s)};
    EXPECT_TRUE(isOfCamera(scenesIn(service, 1, hall)[0]));
    EXPECT_EQ(scenesIn(service, 2, hall)[0].look.backdrop.kind, BackdropKind::Plain);
    const ResolvedLook look = lookOn(hall[0], lookChainOf(service.items[1], service, {}), nullptr);
    EXPECT_EQ(look.sourceOf(*lookProperty(u"backdrop.live"_s)).level, LookLevel::Live);
}

TEST(LiveItem, WithoutAnInputShowsWhatIsBehindWords) {
    Service service;
    service.theme = samples::theme();
    service.items = {liveItem(LiveReach::ToEnd), song()};
    std::get<LiveItem>(service.items[0].words).input = {};
    const std::vector<Output> hall{outputCalled(u"hall"_s)};
    for (size_t item : {0, 1}) {
        const Scene scene = scenesIn(service, item, hall)[0];
        EXPECT_FALSE(scene.film);
        EXPECT_EQ(scene.look.backdrop, service.theme.look.backdrop);
    }
}

TEST(LiveItem, AnEndThatIsGoneIsNoEndlessPicture) {
    Service service;
    service.items = {liveItem(LiveReach::ToItem, ItemId::create()), song()};
    EXPECT_EQ(liveBehind(service.items[1].id, service), nullptr);
    const Item before = song();
    service.items = {before, liveItem(LiveReach::ToItem, before.id), song()};
    EXPECT_EQ(liveBehind(service.items[2].id, service), nullptr);
}

/// What is behind an item, said in another way: the last live item before it that is run, where nothing that
/// ends it lies between.
const Item* expectedBehind(const Service& service, size_t at) {
    if (std::holds_alternative<LiveItem>(service.items[at].words))
        return nullptr;
    for (size_t i = at; i-- > 0;) {
        const auto* live = std::get_if<LiveItem>(&service.items[i].words);
        if (!live || !service.items[i].isRun())
            continue;
        bool isEnded = live->reach == LiveReach::Itself;
        for (size_t between = i + 1; between <= at; ++between)
            isEnded = isEnded || (live->reach == LiveReach::ToHeading && service.items[between].isHeading());
        if (live->reach == LiveReach::ToItem) {
            const int end = service.indexOf(live->until);
            isEnded = end <= int(at);
        }
        return isEnded ? nullptr : &service.items[i];
    }
    return nullptr;
}

RC_GTEST_PROP(LiveItem, IsBehindWhatLiesBetweenItAndItsEnd, ()) {
    Service service;
    const int count = *rc::gen::inRange(1, 14);
    for (int i = 0; i < count; ++i) {
        const int kind = *rc::gen::inRange(0, 4);
        Item item = kind == 0   ? Item{ItemId::create(), Heading{u"Part"_s}}
                    : kind == 1 ? liveItem(LiveReach(*rc::gen::inRange(0, 4)))
                                : song();
        item.plan.skipped = *rc::gen::inRange(0, 5) == 0;
        service.items.push_back(item);
    }
    for (Item& item : service.items)
        if (auto* live = std::get_if<LiveItem>(&item.words))
            live->until = service.items[size_t(*rc::gen::inRange(0, count))].id;
    const std::vector<const Item*> each = liveBehindEach(service);
    RC_ASSERT(each.size() == service.items.size());
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item* found = liveBehind(service.items[i].id, service);
        RC_ASSERT(found == expectedBehind(service, i));
        RC_ASSERT(found == each[i]);
        if (!found || !service.items[i].hasSlides())
            continue;
        const std::vector<const Item*> over = itemsOver(found->id, service);
        RC_ASSERT(std::count(over.begin(), over.end(), &service.items[i]) == 1);
    }
}

} // namespace
} // namespace mivanta
