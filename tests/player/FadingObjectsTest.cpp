// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/PreparedFrames.h"
#include "player/Turning.h"
#include "render/SceneRenderer.h"
#include "support/Golden.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QCoreApplication>
#include <QElapsedTimer>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

const QSize kFadingSize(320, 180);

SlideObject disc(int fadeIn, int fadeOut, bool inFront = true) {
    SlideObject object;
    object.what = EllipseObject();
    object.box = {0.7, 0.1, 0.2, 0.3};
    object.inFront = inFront;
    object.fadeIn = fadeIn;
    object.fadeOut = fadeOut;
    return object;
}
const QPoint kOnDisc(int(0.8 * 320), int(0.25 * 180));

Scene sceneWith(std::vector<SlideObject> objects, const QString& words = {}) {
    Scene scene;
    scene.output = u"hall"_s;
    scene.size = kFadingSize;
    scene.fontSize = 20;
    scene.look.backdrop.colour = {0, 0, 100, 255};
    if (!words.isEmpty())
        scene.rows = {{words}};
    scene.look.objects = std::move(objects);
    return scene;
}

Transition fade(int ms) {
    Transition made;
    made.milliseconds = ms;
    return made;
}

class FadingObjects : public ::testing::Test {
protected:
    FramePtr drawn(const Scene& scene) {
        FramePtr made = frames.get(scene, kFadingSize);
        const auto connection =
            QObject::connect(&frames, &PreparedFrames::ready, [&](const FramePtr& frame) { made = frame; });
        QElapsedTimer time;
        time.start();
        while (!made && time.elapsed() < 10'000)
            waitForEvents(50);
        QObject::disconnect(connection);
        return made;
    }
    static QImage painted(const Turning& turning, int elapsed) {
        QImage image(kFadingSize, QImage::Format_RGB32);
        QPainter painter(&image);
        turning.paint(painter, {}, elapsed);
        return image;
    }
    static int redOnDisc(const Turning& turning, int elapsed) {
        return qRed(painted(turning, elapsed).pixel(kOnDisc));
    }
    PreparedFrames frames;
};

TEST_F(FadingObjects, ComeInTheirOwnTimeWhateverTheWordsDo) {
    for (const bool inFront : {true, false}) {
        const Turning turning(drawn(sceneWith({}, u"one"_s)),
                              drawn(sceneWith({disc(1000, 0, inFront)}, u"two"_s)), fade(100), fade(100));
        EXPECT_EQ(turning.duration(), 1000);
        EXPECT_EQ(redOnDisc(turning, 0), 0);
        EXPECT_NEAR(redOnDisc(turning, 500), 128, 3); // the words have long been there
        EXPECT_EQ(redOnDisc(turning, 1000), 255);
    }
}

TEST_F(FadingObjects, GoInTheirOwnTime) {
    const Turning turning(drawn(sceneWith({disc(0, 400)})), drawn(sceneWith({})), fade(100), fade(100));
    EXPECT_EQ(turning.duration(), 400);
    EXPECT_NEAR(redOnDisc(turning, 100), 191, 3);
    EXPECT_EQ(redOnDisc(turning, 400), 0);
    const Turning coming(drawn(sceneWith({})), drawn(sceneWith({disc(0, 400)})), fade(100), fade(100));
    EXPECT_EQ(coming.duration(), 100); // it comes with the words
    EXPECT_NEAR(redOnDisc(coming, 50), 128, 3);
}

TEST_F(FadingObjects, StayWhereBothPicturesHaveThem) {
    const Turning turning(drawn(sceneWith({disc(1000, 1000)}, u"one"_s)),
                          drawn(sceneWith({disc(1000, 1000)}, u"two"_s)), fade(200), fade(200));
    EXPECT_EQ(turning.duration(), 200);
    for (int at = 0; at <= 200; at += 20)
        EXPECT_EQ(redOnDisc(turning, at), 255) << at;
}

TEST_F(FadingObjects, AtTheEndThePictureIsTheOneOfTheRenderer) {
    SlideObject behindIt = disc(0, 0);
    behindIt.box.translate(-0.1, 0.1);
    behindIt.what = EllipseObject{{200, 0, 0, 255}};
    for (const bool inFront : {true, false}) {
        const Scene scene = sceneWith({disc(300, 300, inFront), behindIt}, u"some words"_s);
        const Turning turning(drawn(sceneWith({})), drawn(scene), fade(100), fade(100));
        const FramePtr frame = drawn(scene);
        QImage rest = frame->behind->image.copy();
        QPainter(&rest).drawImage(frame->front.at, frame->front.image);
        EXPECT_LT(difference(rest, renderScene(scene).convertToFormat(QImage::Format_RGB32), 3).share, 0.001);
    }
}

TEST_F(FadingObjects, ATakeOnTheWayGoesOnFromWhatIsSeen) {
    const FramePtr plain = drawn(sceneWith({}, u"one"_s));
    const FramePtr with = drawn(sceneWith({disc(1000, 1000)}, u"two"_s));
    for (const auto& [from, to] : {std::pair{plain, with}, std::pair{with, plain}}) {
        const Turning turning(from, to, fade(100), fade(100));
        for (const int at : {50, 500, 1000}) {
            const Turning on(turning.frozen(at), drawn(sceneWith({}, u"three"_s)), fade(100), fade(100));
            EXPECT_NEAR(redOnDisc(on, 0), redOnDisc(turning, at), 1) << at;
            EXPECT_LT(difference(painted(on, 0), painted(turning, at), 4).share, 0.001) << at;
        }
    }
}

TEST_F(FadingObjects, AreDrawnAgainOnlyWhereTheyAre) {
    const Turning turning(drawn(sceneWith({})), drawn(sceneWith({disc(500, 0)})), fade(100), fade(100));
    const QRect part = turning.changedSince(200);
    ASSERT_FALSE(part.isNull());
    EXPECT_TRUE(part.contains(kOnDisc));
    EXPECT_LT(part.width(), 100);
}

TEST_F(FadingObjects, BehindTheWordsStayWhileTheWordsAreOff) {
    Scene scene = sceneWith({disc(500, 0, false)}, u"words"_s);
    scene.curtain = Curtain::WordsOff;
    EXPECT_EQ(qRed(renderScene(scene).pixel(kOnDisc)), 255);
    EXPECT_TRUE(drawn(scene)->fading.empty());
}

} // namespace
} // namespace mivanta
