// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/MediaName.h"
#include "core/run/RunState.h"
#include "core/text/TextMarks.h"
#include "render/BackdropPainter.h"
#include "render/Blur.h"
#include "render/FontMeasure.h"
#include "render/Fonts.h"
#include "render/LegibilityMeasure.h"
#include "render/ObjectPainter.h"
#include "render/SceneRenderer.h"
#include "render/WordsPainter.h"
#include "support/Golden.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QFontInfo>
#include <QPainter>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Scene scene(const QStringList& rows) {
    Scene result;
    result.output = u"hall"_s;
    result.size = {960, 540};
    result.fontSize = 44;
    result.look.backdrop = samples::gradient({{0, {18, 59, 66, 255}}, {1, {43, 31, 51, 255}}}, 60);
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
    s.look.backdrop = samples::plain({255, 253, 247, 255});
    s.look.words.colour = {30, 43, 49, 255};
    s.look.words.horizontal = HorizontalAlign::Left;
    s.look.words.vertical = VerticalAlign::Top;
    s.credit = u"Bless the Hands \u00b7 B. Cullivane"_s;
    s.look.credit.colour = {82, 86, 76, 255};
    EXPECT_GOLDEN(renderScene(s), "left-top");
}

TEST(Golden, PanelRoundGradientAndCapitals) {
    Scene s = scene({u"there's a lantern"_s, u"on the water"_s, u"there's a light"_s});
    s.rows[1].startsLine = false;
    s.look.backdrop.shape = GradientShape::Radial;
    s.look.words.panel.reach = PanelReach::Words;
    s.look.words.panel.colour = {0, 0, 0, 140};
    s.look.words.capitals = Capitals::All;
    s.look.words.paragraphSpacing = 0.8;
    s.rows[2].emphasis = {{10, 15, true, false}};
    s.look.words.emphasisColour = Colour{255, 200, 80, 255};
    EXPECT_GOLDEN(renderScene(s), "panel");
}

/// Halves of light and dark with a red bar, so that blur, crop and colours are seen.
QImage sampleQuarters(QSize size) {
    QImage image(size, QImage::Format_RGB32);
    QPainter painter(&image);
    painter.fillRect(image.rect(), QColor(220, 190, 120));
    painter.fillRect(QRect(0, 0, size.width() / 2, size.height()), QColor(30, 70, 110));
    painter.fillRect(QRect(size.width() * 2 / 5, 0, size.width() / 5, size.height() / 3),
                     QColor(200, 30, 30));
    return image;
}

RenderSources quarters() {
    RenderSources sources;
    sources.picture = [](const QString& name, QSize) {
        return name == u"quarters.png" ? sampleQuarters({1200, 1200}) : QImage();
    };
    sources.now = QDateTime({2026, 10, 4}, {10, 17, 5});
    return sources;
}

Scene pictureScene() {
    Scene s = scene({u"Shine on, shine on"_s});
    s.look.backdrop.kind = BackdropKind::Picture;
    s.look.backdrop.picture = u"quarters.png"_s;
    return s;
}

TEST(Golden, ATreatedPictureBehindABandOfBlur) {
    Scene s = pictureScene();
    s.look.backdrop.focus = {0.5, 0};
    s.look.backdrop.treatment = {-20, 20, -60, {0, 80, 80, 90}, 6, 70};
    s.look.words.panel = {PanelReach::Band, {0, 0, 0, 90}, 20, 0, 20};
    s.look.words.vertical = VerticalAlign::Bottom;
    EXPECT_GOLDEN(renderScene(s, {}, quarters()), "picture");
}

TEST(Golden, ObjectsBehindAndBeforeTheWords) {
    Scene s = scene({u"till every boat is home"_s});
    const auto object = [](ObjectWhat what, QRectF box, bool inFront) {
        SlideObject made;
        made.what = std::move(what);
        made.box = box;
        made.inFront = inFront;
        return made;
    };
    const auto letters = [](Colour colour) {
        return ObjectLetters{48, 700, HorizontalAlign::Centre, colour};
    };
    const Colour lamp{255, 178, 36, 255};
    s.look.objects = {object(EllipseObject{{200, 60, 40, 255}}, {0.3, 0.2, 0.4, 0.6}, false),
                      object(RectangleObject{{40, 120, 120, 255}, {{255, 255, 255, 255}, 8}, 40},
                             {0.05, 0.7, 0.2, 0.2}, true),
                      object(LineObject{{255, 255, 255, 255}, 6}, {0.5, 0.8, 0.4, 0.1}, true),
                      object(TextObject{u"Welcome to the harbour"_s}, {0.05, 0.05, 0.3, 0.2}, true),
                      object(ClockObject{u"HH:mm"_s, letters(lamp)}, {0.75, 0.05, 0.2, 0.12}, true),
                      object(CountdownObject{QTime(10, 30), {}, letters(lamp)}, {0.75, 0.2, 0.2, 0.12}, true),
                      object(PictureObject{u"quarters.png"_s}, {0.6, 0.6, 0.3, 0.3}, false)};
    s.look.objects[1].rotation = 20;
    s.look.objects[6].opacity = 0.5;
    EXPECT_GOLDEN(renderScene(s, {}, quarters()), "objects");
}

TEST(Golden, ALowerThirdOverNothing) {
    Scene s = scene({u"there's a lantern on the water"_s, u"there's a light above the town"_s});
    s.look.backdrop.kind = BackdropKind::None;
    s.look.words.box = {0.08, 0.74, 0.84, 0.2};
    s.look.words.panel = {PanelReach::Box, {10, 30, 40, 180}, 10, 24, 0};
    s.fontSize = 36;
    const QImage image = renderScene(s);
    EXPECT_GOLDEN(image, "lower-third-panel");
    EXPECT_EQ(qAlpha(image.pixel(5, 5)), 0);
    EXPECT_EQ(qAlpha(image.pixel(100, 400)), 180); // the panel, where there are no words: exact
}

TEST(Render, LayersOverOneAnotherAreThePicture) {
    for (Scene s : {scene({u"Shine on"_s}), pictureScene()}) {
        s.look.words.panel = {PanelReach::Words, {0, 0, 0, 90}, 20, 8, 10};
        s.look.words.shadowColour = {0, 0, 0, 200};
        s.look.words.shadowBlur = 8;
        const SceneLayers layers = renderLayers(s, {480, 270}, quarters());
        QImage together = layers.behind;
        QPainter(&together).drawImage(0, 0, layers.front);
        const Difference off = difference(together, renderScene(s, {480, 270}, quarters()), 3);
        EXPECT_LT(off.share, 0.001);
        EXPECT_EQ(renderFront(s, {480, 270}, quarters(), layers.behind), layers.front);
        s.rows.clear();
        EXPECT_TRUE(renderLayers(s, {480, 270}, quarters()).front.isNull());
    }
}

TEST(Render, WhatStandsBehindIsTheSameUntilItChanges) {
    const Scene s = pictureScene();
    Scene other = s;
    other.rows.clear();
    other.look.words.colour = {1, 2, 3, 255};
    other.look.objects = {{ClockObject(), {0, 0, 1, 1}, 0, 1, true}};
    EXPECT_TRUE(sameBehind(s, other));
    other.look.objects[0].inFront = false;
    EXPECT_FALSE(sameBehind(s, other));
    other = s;
    other.look.backdrop.treatment.blur = 1;
    EXPECT_FALSE(sameBehind(s, other));
    other = s;
    other.curtain = Curtain::Black;
    EXPECT_FALSE(sameBehind(s, other));
}

TEST(Render, AMissingPictureLeavesItsColourAndNoMark) {
    Scene s = pictureScene();
    s.rows.clear();
    s.look.backdrop.picture = u"gone.png"_s;
    s.look.backdrop.colour = {10, 20, 30, 255};
    const QImage image = renderScene(s, {}, quarters());
    EXPECT_EQ(image.pixel(0, 0), qRgb(10, 20, 30));
    EXPECT_EQ(image.pixel(480, 270), qRgb(10, 20, 30));
    EXPECT_EQ(renderScene(s), image); // nobody to ask for pictures
}

TEST(Render, ThePartOfAPictureThatIsSeenFollowsTheFocus) {
    EXPECT_EQ(seenPart({1000, 1000}, {1920, 1080}, {0.5, 0}), QRectF(0, 0, 1000, 562.5));
    EXPECT_EQ(seenPart({1000, 1000}, {1920, 1080}, {0.5, 1}), QRectF(0, 437.5, 1000, 562.5));
    EXPECT_EQ(seenPart({2000, 500}, {100, 100}, {0.5, 0.5}), QRectF(750, 0, 500, 500));
}

RC_GTEST_PROP(Render, TheSeenPartIsInsideAndOfTheScreensShape, ()) {
    const QSizeF picture(*rc::gen::inRange(1, 8000), *rc::gen::inRange(1, 8000));
    const QSizeF screen(*rc::gen::inRange(1, 4000), *rc::gen::inRange(1, 4000));
    const QRectF seen =
        seenPart(picture, screen, {*rc::gen::inRange(0, 101) / 100.0, *rc::gen::inRange(0, 101) / 100.0});
    RC_ASSERT(QRectF(QPointF(-1e-6, -1e-6), picture + QSizeF(1e-3, 1e-3)).contains(seen));
    RC_ASSERT(std::abs(seen.width() * screen.height() - seen.height() * screen.width()) <
              1e-6 * picture.width() * screen.height() + 1e-3);
}

TEST(Render, TreatmentsDoWhatTheySay) {
    QImage grey(40, 40, QImage::Format_RGB32);
    grey.fill(qRgb(100, 120, 140));
    const auto pixel = [&](const Treatment& treatment) { return treated(grey, treatment, 1).pixel(20, 20); };
    EXPECT_EQ(pixel({}), qRgb(100, 120, 140));
    EXPECT_GT(qRed(pixel({50, 0, 0, {0, 0, 0, 0}, 0, 0})), 150);
    EXPECT_LT(qRed(pixel({-50, 0, 0, {0, 0, 0, 0}, 0, 0})), 50);
    EXPECT_LT(qRed(pixel({0, 50, 0, {0, 0, 0, 0}, 0, 0})), 100);
    EXPECT_GT(qBlue(pixel({0, 50, 0, {0, 0, 0, 0}, 0, 0})), 140);
    const QRgb plain = pixel({0, 0, -100, {0, 0, 0, 0}, 0, 0});
    EXPECT_NEAR(qRed(plain), qBlue(plain), 1);
    EXPECT_GT(qBlue(pixel({0, 0, 100, {0, 0, 0, 0}, 0, 0})) - qRed(pixel({0, 0, 100, {0, 0, 0, 0}, 0, 0})),
              80);
    EXPECT_EQ(pixel({0, 0, 0, {255, 0, 0, 255}, 0, 0}), qRgb(255, 0, 0));
    const QImage edge = treated(grey, {0, 0, 0, {0, 0, 0, 0}, 0, 100}, 1);
    EXPECT_EQ(edge.pixel(20, 20), grey.pixel(0, 0));
    EXPECT_LT(qBlue(edge.pixel(0, 0)), 20);
    EXPECT_EQ(treated(grey, {0, 0, 0, {0, 0, 0, 0}, 10, 0}, 1).pixel(0, 0), grey.pixel(0, 0)); // no dark rim
}

TEST(Render, ABlurSpreadsAndKeepsTheWhole) {
    QImage dot(101, 101, QImage::Format_RGB32);
    dot.fill(Qt::black);
    QPainter(&dot).fillRect(45, 45, 11, 11, Qt::white);
    for (const double radius : {3.0, 20.0}) {
        const QImage blurred = blurredPicture(dot, radius);
        ASSERT_EQ(blurred.size(), dot.size());
        EXPECT_LT(qRed(blurred.pixel(50, 50)), 250);
        EXPECT_GT(qRed(blurred.pixel(50, 43)), 0);
        double sum = 0;
        for (int y = 0; y < 101; ++y)
            for (int x = 0; x < 101; ++x)
                sum += qRed(blurred.pixel(x, y));
        EXPECT_NEAR(sum / (11 * 11 * 255.0), 1, 0.12) << radius;
    }
    EXPECT_EQ(blurredPicture(dot, 0), dot);
}

TEST(Render, ContrastIsMeasuredAgainstWhatIsReallyBehindTheWords) {
    Scene s = scene({u"Shine on, shine on"_s});
    s.look.backdrop = samples::plain({0, 0, 0, 255});
    EXPECT_NEAR(measuredContrast(s, RoomLight::Dark), 21, 0.5);
    s.look.words.colour = {60, 60, 60, 255};
    EXPECT_LT(measuredContrast(s, RoomLight::Dark), 2.2);
    s.look.backdrop = samples::plain({255, 255, 255, 255});
    s.look.words.colour = {250, 240, 200, 255};
    EXPECT_LT(measuredContrast(s, RoomLight::Dark), 1.5);
    Scene outlined = s;
    outlined.look.words.outlineWidth = 8; // dark, and wide enough to carry the letters
    outlined.look.words.outlineColour = {0, 0, 0, 255};
    EXPECT_GT(measuredContrast(outlined, RoomLight::Dark), 12);
    Scene onPanel = s;
    onPanel.look.words.panel = {PanelReach::Words, {0, 0, 0, 230}, 20, 0, 0};
    EXPECT_GT(measuredContrast(onPanel, RoomLight::Dark), 10);
    EXPECT_LT(measuredContrast(onPanel, RoomLight::Daylight), measuredContrast(onPanel, RoomLight::Dark));
    s.rows.clear();
    EXPECT_EQ(measuredContrast(s, RoomLight::Dark), 21);
}

TEST(Render, ContrastOverAFilmIsThatOfItsWorstMoment) {
    Scene s = scene({u"Shine on, shine on"_s});
    s.look.words.colour = {255, 255, 255, 255};
    s.look.backdrop = {BackdropKind::Film};
    s.look.backdrop.film = QString(64, u'a') + u".mp4"_s;
    RenderSources sources;
    sources.picture = [](const QString& name, QSize size) { // dark, but for a flash
        const auto moment = filmMomentOf(name);
        QImage image(size, QImage::Format_RGB32);
        image.fill(moment && moment->seconds > 74 && moment->seconds < 76 ? Qt::white : Qt::black);
        return image;
    };
    EXPECT_GT(measuredContrast(s, RoomLight::Dark, sources), 20); // nobody knows how long it is
    sources.filmLength = [](const QString&) { return 150.0; };
    EXPECT_LT(measuredContrast(s, RoomLight::Dark, sources), 1.2);
    s.look.backdrop.filmTo = 70; // only what is seen counts
    EXPECT_GT(measuredContrast(s, RoomLight::Dark, sources), 20);
}

TEST(Render, HalfAPictureThatIsTooLightIsNotHiddenByTheOtherHalf) {
    Scene s = pictureScene();
    s.look.words.colour = {30, 70, 110, 255}; // as dark as the left half
    EXPECT_LT(measuredContrast(s, RoomLight::Dark, quarters()), 1.2);
}

TEST(Render, LetterHeightsGrowWithTheSize) {
    WordsLook words;
    const LetterHeights small = letterHeights(words, 40, 1080);
    const LetterHeights large = letterHeights(words, 80, 1080);
    EXPECT_NEAR(large.x, 2 * small.x, 1e-3);
    EXPECT_GT(small.capital, small.x);
    words.capitals = Capitals::All;
    EXPECT_EQ(letterHeights(words, 40, 1080).x, small.capital);
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

TEST(Golden, APictureThatLacksOneOfItsPartsIsNoticed) {
    Scene whole = scene({u"When the harbour bell is ringing"_s, u"and the boats are coming in"_s});
    whole.rows[0].chords = {{0, u"G"_s}, {9, u"Em"_s}};
    whole.roomForChords = true;
    whole.credit = u"Lantern on the Water \u00b7 M. Holt"_s;
    whole.stageNote = u"half time"_s;
    SlideObject line;
    line.what = LineObject();
    line.box = {0.3, 0.2, 0.4, 0.01};
    whole.look.objects = {line};
    const QImage picture = renderScene(whole);
    const std::pair<const char*, void (*)(Scene&)> losses[]{
        {"a word", [](Scene& s) { s.rows[1].text.chop(3); }},
        {"a row", [](Scene& s) { s.rows[1].text.clear(); }},
        {"a chord", [](Scene& s) { s.rows[0].chords.pop_back(); }},
        {"the chords", [](Scene& s) { s.rows[0].chords.clear(); }},
        {"the credit line", [](Scene& s) { s.credit.clear(); }},
        {"the end of the credit line", [](Scene& s) { s.credit.chop(5); }},
        {"the stage note", [](Scene& s) { s.stageNote.clear(); }},
        {"an object", [](Scene& s) { s.look.objects.clear(); }},
    };
    EXPECT_TRUE(isAlike(difference(renderScene(whole), picture)));
    for (const auto& [what, lose] : losses) {
        Scene less = whole;
        lose(less);
        EXPECT_FALSE(isAlike(difference(renderScene(less), picture))) << "without " << what;
    }
    Scene called = whole;
    called.callOut = u"Tea"_s;
    EXPECT_FALSE(isAlike(difference(picture, renderScene(called)))) << "without the call-out";
}

TEST(SeeThrough, TheAlphaIsExactlyWhatTheThemeSays) {
    Scene s = scene({u"on the stream"_s});
    s.look.backdrop = {};
    s.look.backdrop.kind = BackdropKind::None;
    s.look.words.panel.reach = PanelReach::Band;
    s.look.words.panel.colour = {10, 20, 30, 153};
    const QImage image = renderScene(s);
    EXPECT_EQ(qAlpha(image.pixel(3, 3)), 0);
    EXPECT_EQ(image.pixel(3, 3), 0u); // no colour where there is nothing
    const QRgb panel = image.pixel(3, int(wordsArea(s).center().y()));
    EXPECT_EQ(qAlpha(panel), 153);
    EXPECT_NEAR(qRed(qUnpremultiply(panel)), 10, 1);
    int opaque = 0;
    const QRect words = wordsArea(s).toAlignedRect();
    for (int y = words.top(); y < words.bottom(); ++y)
        for (int x = words.left(); x < words.right(); ++x)
            opaque += qAlpha(image.pixel(x, y)) == 255;
    EXPECT_GT(opaque, 500); // the letters
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
    EXPECT_LT(difference(small, scaled).share, 0.03);
}

TEST(Render, ALongCreditLineStaysInside) {
    Scene s = scene({});
    s.look.backdrop = samples::plain({0, 0, 0, 255});
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
    const FontMeasure measure({{}, 700});
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
