// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "core/text/TextMarks.h"
#include "render/FontMeasure.h"
#include "render/SceneRenderer.h"
#include "support/Golden.h"
#include "support/Passages.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// A slide of a passage as the hall shows it, at half size.
Scene passageScene(const Passage& passage) {
    Output hall = usualOutputs().front();
    hall.size = {960, 540};
    Theme theme;
    theme.id = u"test"_s;
    theme.look.backdrop = samples::gradient({{0, {18, 59, 66, 255}}, {1, {43, 31, 51, 255}}}, 60);
    theme.look.words.size = 84;
    FontMeasures measures;
    const ItemSlides slides = slidesFor(contentOf(passage), {hall}, plainChain(theme, {}), measures);
    return sceneOf(slides, slides.outputs[0], 0);
}

const QStringList kVerses{u"One morning the crowd pressed close."_s, u"He saw two boats on the shingle."_s,
                          u"He stepped in and sat down."_s};

TEST(Golden, PassageRunning) {
    EXPECT_GOLDEN(renderScene(passageScene(samples::passage(kVerses))), "passage-running");
}

TEST(Golden, PassageAVerseALine) {
    Passage passage = samples::passage(kVerses);
    passage.layout.flow = PassageFlow::VerseALine;
    passage.layout.numbers = VerseNumbers::Inline;
    passage.layout.referencePlace = ReferencePlace::CreditLine;
    EXPECT_GOLDEN(renderScene(passageScene(passage)), "passage-lines");
}

TEST(Golden, PassageAVerseASlide) {
    Passage passage = samples::passage(kVerses);
    passage.layout.flow = PassageFlow::VerseASlide;
    passage.layout.numbers = VerseNumbers::None;
    passage.layout.referenceOn = ReferenceOn::None;
    EXPECT_GOLDEN(renderScene(passageScene(passage)), "passage-slide");
}

TEST(Golden, PassageInTwoTranslations) {
    const Passage passage = samples::parallel(kVerses, {u"Eines Morgens dr\u00e4ngte sich die Menge."_s,
                                                        u"Er sah zwei Boote."_s, u"Er stieg ein."_s});
    EXPECT_GOLDEN(renderScene(passageScene(passage)), "passage-parallel");
}

TEST(Golden, ATextWithRoles) {
    SpokenText text;
    text.lines = linesFrom(u"Leader: The sea is his,\nAll: and the land."_s);
    Output hall = usualOutputs().front();
    hall.size = {960, 540};
    Theme theme;
    theme.look.words.size = 84;
    theme.look.words.weight = 400;
    theme.look.roles = {{u"All"_s, true, false, Colour{255, 210, 90, 255}, u"\u25cf"_s}};
    FontMeasures measures;
    const ItemSlides slides = slidesFor(contentOf(text, {}), {hall}, plainChain(theme, {}), measures);
    EXPECT_GOLDEN(renderScene(sceneOf(slides, slides.outputs[0], 0)), "text-roles");
}

} // namespace
} // namespace mivanta
