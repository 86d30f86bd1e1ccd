// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/BoxDrag.h"
#include "core/order/LookTarget.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const QSizeF kNear(0.02, 0.02);

TEST(BoxDrag, AMovedBoxStandsWithItsNearestEdgeOrItsMiddle) {
    const Guides guides = guidesFor({});
    const QRectF box(0.3, 0.3, 0.2, 0.2);
    EXPECT_EQ(dragged(box, {}, {0.11, 0}, guides, kNear).box,
              QRectF(0.4, 0.3, 0.2, 0.2)); // its middle at 0.5
    EXPECT_NEAR(dragged(box, {}, {-0.24, 0}, guides, kNear).box.left(), kSafeMargin, 1e-9);
    const DraggedBox standing = dragged(box, {}, {0.11, 0}, guides, kNear);
    EXPECT_EQ(standing.across, std::vector<double>{0.5});
    EXPECT_EQ(dragged(box, {}, {0.11, 0}, guides, {0, 0}).box.left(), 0.3 + 0.11);
}

TEST(BoxDrag, EdgesStandAtThoseOfOtherBoxes) {
    const Guides guides = guidesFor({QRectF(0.1, 0.8, 0.77, 0.1)});
    EXPECT_NEAR(dragged({0.1, 0.1, 0.5, 0.5}, {1, 0}, {0.26, 0}, guides, kNear).box.right(), 0.87, 1e-9);
}

TEST(BoxDrag, AnEdgeMovesAloneAndABoxKeepsASize) {
    const QRectF box(0.2, 0.2, 0.4, 0.4);
    EXPECT_EQ(dragged(box, {-1, 0}, {0.1, 0.3}, {}, {0, 0}).box, QRectF(0.3, 0.2, 0.3, 0.4));
    EXPECT_NEAR(dragged(box, {1, 1}, {-9, -9}, {}, {0, 0}).box.width(), kLeastBoxSize, 1e-9);
    EXPECT_NEAR(dragged(box, {-1, -1}, {-9, -9}, {}, {0, 0}).box.left(), 0, 1e-9);
}

RC_GTEST_PROP(BoxDrag, ABoxStaysOnTheScreen, ()) {
    const auto share = [](int least, int most) { return *rc::gen::inRange(least, most) / 100.0; };
    const QRectF box(share(0, 50), share(0, 50), share(3, 50), share(3, 50));
    const BoxGrip grip{*rc::gen::inRange(-1, 2), *rc::gen::inRange(-1, 2)};
    const QPointF by(share(-200, 200), share(-200, 200));
    const Guides guides = guidesFor({QRectF(share(0, 50), share(0, 50), 0.3, 0.3)});
    const DraggedBox result = dragged(box, grip, by, guides, {share(0, 10), share(0, 10)});
    RC_ASSERT(QRectF(-1e-9, -1e-9, 1 + 2e-9, 1 + 2e-9).contains(result.box));
    RC_ASSERT((result.box.width() >= kLeastBoxSize - 1e-9 && result.box.height() >= kLeastBoxSize - 1e-9));
    if (grip.moves())
        RC_ASSERT(std::abs(result.box.width() - box.width()) < 1e-9);
}

class LookTargets : public ::testing::Test {
protected:
    LookTargets() {
        service.theme = library[0];
        for (const QString& title : {u"One"_s, u"Two"_s})
            service.items.push_back({ItemId::create(), songItem(samples::harbourSong(title))});
        service.items.insert(service.items.begin(), {ItemId::create(), Heading{u"Gathering"_s}});
    }
    static Theme theme(const QString& id) { return {id, id.toUpper(), {}}; }
    std::vector<Theme> library{theme(u"a"_s), theme(u"b"_s)};
    Service service;
};

TEST_F(LookTargets, AThemeForTheServiceBecomesItsOwn) {
    changeChoice(service, {LookLevel::Service, {}, {}, {}}, library, [](LookChoice& c) { c.theme = u"b"_s; });
    EXPECT_EQ(service.theme.id, u"b"_s);
    EXPECT_TRUE(service.look.isEmpty());
    changeChoice(service, {LookLevel::Service, {}, {}, {}}, library,
                 [](LookChoice& c) { c.theme = u"gone"_s; });
    EXPECT_EQ(service.theme.id, u"b"_s);
}

TEST_F(LookTargets, ThemesThatAreUsedTravelAndOthersLeave) {
    const LookTarget both{
        LookLevel::Item, {}, {service.items[1].id, service.items[2].id, service.items[0].id}, {}};
    changeChoice(service, both, library, [](LookChoice& c) { c.theme = u"b"_s; });
    EXPECT_EQ(service.items[2].look.choice.theme, u"b"_s);
    EXPECT_TRUE(service.items[0].look.choice.isEmpty()); // a heading has no look
    ASSERT_EQ(service.themes.size(), 1u);
    EXPECT_EQ(service.themes[0].name, u"B"_s);
    library[1].name = u"B, newer"_s;
    changeChoice(service, {LookLevel::Kind, ItemKind::Song, {}, {}}, library,
                 [](LookChoice& c) { c.theme = u"b"_s; });
    EXPECT_EQ(service.themes[0].name, u"B"_s); // the copy stays as it was
    changeChoice(service, both, library, [](LookChoice& c) { c = {}; });
    changeChoice(service, {LookLevel::Kind, ItemKind::Song, {}, {}}, library, [](LookChoice& c) { c = {}; });
    EXPECT_TRUE(service.themes.empty());
    EXPECT_TRUE(service.kinds.isEmpty());
}

TEST_F(LookTargets, WhatIsChosenIsTold) {
    const LookTarget slide{LookLevel::Slide, {}, {service.items[1].id}, {u"Chorus"_s, 1, 0, 1}};
    EXPECT_TRUE(choiceAt(service, slide).isEmpty());
    changeChoice(service, slide, library,
                 [](LookChoice& c) { c.own.set(*lookProperty(u"words.size"_s), 40); });
    EXPECT_EQ(choiceAt(service, slide).own.count(), 1u);
    EXPECT_TRUE(choiceAt(service, {LookLevel::Item, {}, {service.items[1].id}, {}}).isEmpty());
    EXPECT_TRUE(choiceAt(service, {LookLevel::Item, {}, {ItemId::create()}, {}}).isEmpty());
}

} // namespace
} // namespace mivanta
