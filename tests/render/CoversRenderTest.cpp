// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Covers.h"
#include "render/SceneRenderer.h"
#include "support/Golden.h"
#include "support/Samples.h"
#include "support/Text.h"

namespace mivanta {
namespace {

Scene hallScene() {
    Scene scene;
    scene.output = u"hall"_s;
    scene.size = {960, 540};
    scene.fontSize = 46;
    scene.look.backdrop = samples::plain({20, 60, 80, 255});
    scene.rows = {{u"Shine on, shine on,"_s}, {u"till every boat is home."_s}};
    return scene;
}

TEST(Golden, ACallOutOverTheFoot) {
    Scene scene = hallScene();
    scene.callOut =
        u"Would the parents of child no. 14 please come to the harbour room, beside the kitchen"_s;
    EXPECT_GOLDEN(renderScene(scene), "call-out");
    scene.look.words.box = {0.1, 0.7, 0.8, 0.25}; // a lower third: the message is at the top
    EXPECT_GOLDEN(renderScene(scene), "call-out-over-lower-third");
}

TEST(Golden, TestCard) {
    Output hall;
    hall.name = u"hall"_s;
    Covers covers;
    covers.testCards = {u"hall"_s};
    EXPECT_GOLDEN(renderScene(covered(hallScene(), hall, covers, nullptr)), "test-card");
}

TEST(Golden, AStageThatShowsTheHall) {
    Scene stage = hallScene();
    stage.output = u"stage"_s;
    stage.look.backdrop = samples::plain({0, 0, 0, 255});
    SlideObject screen;
    screen.what = ScreenObject();
    screen.box = {0.6, 0.6, 0.38, 0.38};
    screen.inFront = true;
    SlideObject note;
    note.what = TextObject{u"Keys alone at first"_s, {.align = HorizontalAlign::Left}};
    note.box = {0.04, 0.04, 0.6, 0.12};
    note.inFront = true;
    stage.look.objects = {screen, note};
    EXPECT_GOLDEN(renderScene(stage), "stage-screen-preview");
    const auto all = withScreens({hallScene(), stage}, usualOutputs());
    EXPECT_GOLDEN(renderScene(all[1]), "stage-screen");
}

} // namespace
} // namespace mivanta
