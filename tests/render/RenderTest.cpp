// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "core/text/TextMarks.h"
#include "render/Blur.h"
#include "render/FontMeasure.h"
#include "render/Fonts.h"
#include "render/SceneRenderer.h"
#include "support/Golden.h"
#include "support/Passages.h"
#include "support/Text.h"
#include <QFontInfo>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Scene scene(const QStringList& rows) {
    Scene result;
    result.output = u"hall"_s;
    result.size = {960, 540};
    result.fontSize = 44;
    result.look.backdrop = {BackdropKind::Gradient, {}, {{0, {18, 59, 66, 255}}, {1, {43, 31, 51, 255}}}, 60};
    for (const QString& row : rows)
        result.rows.push_back({row, {}});
    return result;
}

TEST(Golden, PlainWordsOnAGradient) {
    EXPECT_GOLDEN(
        renderScene(scene({u"there's a lantern on the water"_s, u"there's a light above the town"_s})),
        "gradient");
}

TEST(Golden, OutlineAndShadow) {
    Scene s = scene({u"Shine on, shine on"_s});
    s.look.words.outlineWidth = 6;
    s.look.words.outlineColour = {180, 40, 20, 255};
    s.look.words.shadowOffset = 10;
    s.look.words.shadowBlur = 14;
    s.look.words.shadowColour = {0, 0, 0, 255};
    EXPECT_GOLDEN(renderScene(s), "outline-shadow");
}

TEST(Golden, LeftTopOnPlain) {
    Scene s = scene({u"Bless the hands"_s, u"that mend"_s});
    s.look.backdrop = {BackdropKind::Plain, {255, 253, 247, 255}, {}, 0};
    s.look.words.colour = {30, 43, 49, 255};
    s.look.words.horizontal = HorizontalAlign::Left;
    s.look.words.vertical = VerticalAlign::Top;
    s.credit = u"Bless the Hands \u00b7 B. Cullivane"_s;
    s.look.credit.colour = {82, 86, 76, 255};
    EXPECT_GOLDEN(renderScene(s), "left-top");
}

TEST(Golden, RightToLeftStartsOnTheRight) {
    Scene s = scene(
        {u"\u05d0\u05d5\u05e8 \u05e2\u05dc \u05d4\u05de\u05d9\u05dd, \u05e9\u05e7\u05d8 \u05d1\u05e0\u05de\u05dc"_s});
    s.look.words.horizontal = HorizontalAlign::Left;
    EXPECT_GOLDEN(renderScene(s), "right-to-left");
}

TEST(Golden, ChordsStandOverTheirLetters) {
    Scene s = scene({u"When the harbour bell is ringing"_s});
    s.rows[0].chords = {{0, u"G"_s}, {1, u"D/F#"_s}, {9, u"Em"_s}, {25, u"C"_s}};
    s.roomForChords = true;
    EXPECT_GOLDEN(renderScene(s), "chords");
}

TEST(Golden, EmphasisAndANoteForTheStage) {
    Scene s = scene({u"a quiet night, a loud morning"_s});
    s.look.words.weight = 400;
    s.rows[0].emphasis = {{2, 13, false, true}, {17, 29, true, false}};
    s.stageNote = u"half time"_s;
    EXPECT_GOLDEN(renderScene(s), "emphasis");
}

/// A slide of a passage as the hall shows it, at half size.
Scene passageScene(const Passage& passage) {
    Output hall = usualOutputs().front();
    hall.size = {960, 540};
    Theme theme;
    theme.id = u"test"_s;
    theme.look.backdrop = scene({}).look.backdrop;
    theme.look.words.size = 84;
    FontMeasures measures;
    const ItemSlides slides = slidesFor(contentOf(passage), {hall}, theme, {}, measures);
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
    const ItemSlides slides = slidesFor(contentOf(text, {}), {hall}, theme, {}, measures);
    EXPECT_GOLDEN(renderScene(sceneOf(slides, slides.outputs[0], 0)), "text-roles");
}

TEST(Golden, LowerThirdOnSeeThrough) {
    Scene s = scene({u"till every boat is home"_s});
    s.look.backdrop.kind = BackdropKind::None;
    s.look.words.box = {0.08, 0.78, 0.84, 0.15};
    s.look.words.vertical = VerticalAlign::Bottom;
    s.look.words.outlineWidth = 3;
    const QImage image = renderScene(s);
    EXPECT_EQ(qAlpha(image.pixel(5, 5)), 0);
    EXPECT_EQ(qAlpha(image.pixel(480, 100)), 0);
    EXPECT_GOLDEN(image, "lower-third");
}

TEST(Render, TheCurtainTakesAwayWhatItSays) {
    Scene s = scene({u"words"_s});
    const QImage open = renderScene(s);
    s.curtain = Curtain::WordsOff;
    const QImage wordsOff = renderScene(s);
    s.rows.clear();
    s.curtain = Curtain::Open;
    EXPECT_NE(open, wordsOff);
    EXPECT_EQ(wordsOff, renderScene(s));
    s.curtain = Curtain::Black;
    const QImage black = renderScene(s);
    EXPECT_EQ(black.pixel(0, 0), qRgb(0, 0, 0));
    EXPECT_EQ(black.pixel(480, 270), qRgb(0, 0, 0));
}

TEST(Render, AnotherSizeIsTheSamePictureInProportion) {
    const Scene s = scene({u"there's a lantern"_s});
    const QImage small = renderScene(s, {480, 270});
    EXPECT_EQ(small.size(), QSize(480, 270));
    const QImage scaled = renderScene(s).scaled(480, 270, Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
    EXPECT_LT(difference(small, scaled).worstShare, 0.03);
}

TEST(Render, ALongCreditLineStaysInside) {
    Scene s = scene({});
    s.look.backdrop = {BackdropKind::Plain, {0, 0, 0, 255}, {}, 0};
    s.credit = u"a very long credit "_s.repeated(30);
    const QImage image = renderScene(s);
    for (int y = 0; y < image.height(); ++y)
        EXPECT_EQ(image.pixel(2, y), qRgb(0, 0, 0));
}

TEST(Fonts, TheShippedOneIsTheOneThatIsUsed) {
    EXPECT_EQ(QFontInfo(slideFont({}, 700, 40)).family(), QString::fromLatin1(kTextFamily));
    EXPECT_EQ(QFontInfo(slideFont(QString::fromLatin1(kChordFamily), 400, 40)).family(),
              QString::fromLatin1(kChordFamily));
}

TEST(Fonts, MeasuredWidthsAreThoseThatAreDrawn) {
    const FontMeasure measure({}, 700);
    for (const int size : {20, 44, 84}) {
        const double drawn =
            QFontMetricsF(slideFont({}, 700, size)).horizontalAdvance(u"When the harbour bell"_s);
        EXPECT_NEAR(measure.width(u"When the harbour bell"_s) * size, drawn, drawn * 0.005);
    }
}

TEST(Blur, KeepsTheLightAndStaysInside) {
    QImage alpha(101, 101, QImage::Format_Alpha8);
    alpha.fill(0);
    for (int y = 40; y < 61; ++y)
        for (int x = 40; x < 61; ++x)
            alpha.scanLine(y)[x] = 255;
    blurAlpha(alpha, 8);
    double sum = 0;
    for (int y = 0; y < 101; ++y)
        for (int x = 0; x < 101; ++x)
            sum += alpha.scanLine(y)[x];
    EXPECT_NEAR(sum / (21 * 21 * 255.0), 1.0, 0.06);
    EXPECT_EQ(alpha.scanLine(50)[50] > 200, true);
    EXPECT_EQ(int(alpha.scanLine(50)[2]), 0);
}

} // namespace
} // namespace mivanta
