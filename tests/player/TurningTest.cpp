// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Mix.h"
#include "player/OutputPicture.h"
#include "render/SceneRenderer.h"
#include "support/Golden.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QCoreApplication>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

const QSize kLayerSize(64, 36);

BehindPtr behind(const QByteArray& key, QColor colour) {
    auto layer = std::make_shared<BehindLayer>();
    layer->key = key;
    layer->image = QImage(kLayerSize, QImage::Format_RGB32);
    layer->image.fill(colour);
    layer->layer = layer->image.convertToFormat(QImage::Format_ARGB32_Premultiplied);
    return layer;
}

/// A square of words at a place.
FramePtr frame(const QByteArray& key, const BehindPtr& behind, QPoint at, QColor colour) {
    auto made = std::make_shared<Frame>();
    made->key = key;
    made->behind = behind;
    made->front = {QImage(10, 10, QImage::Format_ARGB32_Premultiplied), at};
    made->front.image.fill(colour);
    made->words = made->front;
    made->small = behind->layer;
    return made;
}

Transition transition(TransitionKind kind, int ms = 100) {
    Transition made;
    made.kind = kind;
    made.milliseconds = ms;
    return made;
}

QImage painted(const Turning& turning, int elapsed) {
    QImage image(kLayerSize, QImage::Format_RGB32);
    image.fill(Qt::magenta);
    QPainter painter(&image);
    turning.paint(painter, {}, elapsed);
    return image;
}

class TurningTest : public ::testing::Test {
protected:
    BehindPtr blue = behind("blue", QColor(0, 0, 200));
    BehindPtr red = behind("red", QColor(200, 0, 0));
    FramePtr one = frame("1", blue, {2, 2}, Qt::white);
    FramePtr two = frame("2", blue, {40, 20}, Qt::white);
    FramePtr other = frame("3", red, {2, 2}, Qt::white);
};

TEST_F(TurningTest, ABackdropThatStaysIsNeverTouched) {
    for (const TransitionKind kind :
         {TransitionKind::Fade, TransitionKind::FadeThrough, TransitionKind::Push}) {
        const Turning turning(one, two, transition(TransitionKind::Fade), transition(kind));
        for (int at = 0; at <= 100; at += 10)
            EXPECT_EQ(painted(turning, at).pixel(32, 10), qRgb(0, 0, 200)) << at;
    }
}

TEST_F(TurningTest, WhatIsAlikeInBothStaysAsItIs) {
    const FramePtr same = frame("4", blue, {2, 2}, Qt::white);
    const Turning turning(one, same, transition(TransitionKind::Fade), transition(TransitionKind::Cut));
    for (int at = 0; at <= 100; at += 10)
        EXPECT_GT(qRed(painted(turning, at).pixel(5, 5)), 252) << at;
}

TEST_F(TurningTest, WordsThatGoFadeWhereNoneCome) {
    const Turning turning(one, two, transition(TransitionKind::Fade), transition(TransitionKind::Fade));
    EXPECT_NEAR(qRed(painted(turning, 25).pixel(5, 5)), 191, 3);
    EXPECT_NEAR(qRed(painted(turning, 50).pixel(5, 5)), 128, 3);
    EXPECT_NEAR(qRed(painted(turning, 50).pixel(45, 25)), 128, 3);
    EXPECT_EQ(qRed(painted(turning, 100).pixel(5, 5)), 0);
}

TEST_F(TurningTest, WordsAndBackdropGoEachTheirOwnWay) {
    const Turning turning(one, other, transition(TransitionKind::Cut), transition(TransitionKind::Fade, 200));
    EXPECT_EQ(turning.duration(), 200);
    const QRgb half = painted(turning, 100).pixel(50, 30);
    EXPECT_NEAR(qRed(half), 100, 3);
    EXPECT_NEAR(qBlue(half), 100, 3);
    EXPECT_EQ(painted(turning, 100).pixel(5, 5), qRgb(255, 255, 255));
    EXPECT_EQ(Turning(one, two, transition(TransitionKind::Fade, 80), transition(TransitionKind::Fade, 900))
                  .duration(),
              80);
    EXPECT_EQ(Turning(one, two, transition(TransitionKind::Cut), transition(TransitionKind::Fade)).duration(),
              0);
}

TEST_F(TurningTest, EachKindBeginsWithTheOldAndEndsWithTheNew) {
    for (const TransitionKind kind :
         {TransitionKind::Fade, TransitionKind::FadeThrough, TransitionKind::Push}) {
        const Turning turning(one, other, transition(kind), transition(kind));
        EXPECT_EQ(painted(turning, 0).pixel(50, 30), qRgb(0, 0, 200));
        EXPECT_EQ(painted(turning, 0).pixel(5, 5), qRgb(255, 255, 255));
        EXPECT_EQ(painted(turning, 100).pixel(50, 30), qRgb(200, 0, 0));
        EXPECT_EQ(painted(turning, 5000).pixel(5, 5), qRgb(255, 255, 255));
    }
}

TEST_F(TurningTest, FadingThroughAColourShowsItHalfWay) {
    Transition through = transition(TransitionKind::FadeThrough);
    through.through = {0, 255, 0, 255};
    EXPECT_EQ(painted(Turning(one, other, through, through), 50).pixel(50, 30), qRgb(0, 255, 0));
}

TEST_F(TurningTest, APushComesFromTheSideItSays) {
    const auto at = [&](PushFrom from, QPoint place) {
        Transition push = transition(TransitionKind::Push);
        push.from = from;
        return painted(Turning(one, other, transition(TransitionKind::Cut), push), 50).pixel(place);
    };
    EXPECT_EQ(at(PushFrom::Right, {60, 18}), qRgb(200, 0, 0));
    EXPECT_EQ(at(PushFrom::Right, {20, 18}), qRgb(0, 0, 200));
    EXPECT_EQ(at(PushFrom::Left, {20, 18}), qRgb(200, 0, 0));
    EXPECT_EQ(at(PushFrom::Top, {50, 2}), qRgb(200, 0, 0));
    EXPECT_EQ(at(PushFrom::Bottom, {50, 34}), qRgb(200, 0, 0));
    EXPECT_EQ(at(PushFrom::Bottom, {50, 2}), qRgb(0, 0, 200));
}

TEST_F(TurningTest, OnlyTheWordsAreDrawnAgainWhereTheBackdropStays) {
    const Turning words(one, two, transition(TransitionKind::Fade), transition(TransitionKind::Fade));
    EXPECT_EQ(words.changedSince(10), QRect(2, 2, 48, 28));
    const Turning all(one, other, transition(TransitionKind::Fade), transition(TransitionKind::Fade));
    EXPECT_TRUE(all.changedSince(99).isNull()); // however late the next drawing comes
    EXPECT_FALSE(all.changedSince(100).isNull());
}

TEST_F(TurningTest, WhatIsFrozenIsWhatWasSeen) {
    for (const FramePtr& to : {two, other}) {
        const Turning turning(one, to, transition(TransitionKind::Fade), transition(TransitionKind::Fade));
        const FramePtr frozen = turning.frozen(40);
        const Turning on(frozen, to, transition(TransitionKind::Fade), transition(TransitionKind::Fade));
        EXPECT_LT(difference(painted(on, 0), painted(turning, 40), 3).share, 0.001);
    }
}

TEST(Mix, IsTheMeanOfEveryChannel) {
    const QSize size(37, 5); // no multiple of anything
    QImage from(size, QImage::Format_ARGB32_Premultiplied);
    QImage to(size, QImage::Format_ARGB32_Premultiplied);
    from.fill(qRgba(10, 200, 0, 200));
    to.fill(qRgba(110, 0, 250, 255));
    QImage mixed(size, QImage::Format_ARGB32_Premultiplied);
    for (const double share : {0.0, 0.25, 0.5, 1.0}) {
        mix(mixed, from, to, share);
        for (const QPoint at : {QPoint(0, 0), QPoint(36, 4)}) {
            const QRgb pixel = mixed.pixel(at);
            const QRgb a = from.pixel(at);
            const QRgb b = to.pixel(at);
            EXPECT_NEAR(qRed(pixel), qRed(a) + (qRed(b) - qRed(a)) * share, 1.5);
            EXPECT_NEAR(qGreen(pixel), qGreen(a) + (qGreen(b) - qGreen(a)) * share, 1.5);
            EXPECT_NEAR(qAlpha(pixel), qAlpha(a) + (qAlpha(b) - qAlpha(a)) * share, 1.5);
        }
    }
    EXPECT_EQ((mix(mixed, from, to, 0), mixed), from);
    EXPECT_EQ((mix(mixed, from, to, 1), mixed), to);
}

/// A picture of the hall that fades from scene to scene.
class OutputPictures : public ::testing::Test {
protected:
    OutputPictures() {
        scene.output = u"hall"_s;
        scene.size = {320, 180};
        scene.fontSize = 20;
        scene.look.transition = scene.look.backdropTransition = transition(TransitionKind::Fade);
        QObject::connect(&picture, &OutputPicture::settled, [this](quint64 take) {
            settled = take;
            ++times;
        });
        QObject::connect(&picture, &OutputPicture::changed, [this] { ++changes; });
    }
    void show(const QString& words, quint64 take, Arrival arrival = Arrival::Turning) {
        scene.rows = {{words}};
        picture.show(scene, take, arrival);
    }
    /// It is there at once when it is taken.
    [[nodiscard]] bool prepare(const QString& words) {
        scene.rows = {{words}};
        return waitUntil([&] { return frames.get(scene, scene.size) != nullptr; });
    }
    [[nodiscard]] bool settles(quint64 take) {
        return waitUntil([&] { return settled == take; });
    }

    PreparedFrames frames;
    Films films;
    OutputPicture picture{frames, films, u"hall"_s};
    Scene scene;
    quint64 settled = 0;
    int times = 0; ///< that it settled
    int changes = 0;
};

TEST_F(OutputPictures, ASecondOnTheScreenIsASecond) {
    picture.setSize(scene.size);
    SlideObject clock;
    clock.what = ClockObject{u"HH:mm:ss"_s};
    clock.inFront = true;
    scene.look.objects = {clock};
    scene.look.transition.kind = TransitionKind::Cut;
    show({}, 1);
    ASSERT_TRUE(settles(1));
    const QImage first = picture.smallPicture();
    ASSERT_TRUE(waitUntil([&] { return times == 2; })); // by itself
    EXPECT_NE(picture.smallPicture(), first);
    scene.look.objects.clear();
    show({}, 2);
    ASSERT_TRUE(settles(2));
}

TEST_F(OutputPictures, AFadeBeginsWithoutPaintingWhatIsSeenAlready) {
    picture.setSize(scene.size);
    show(u"one"_s, 1, Arrival::Cut);
    ASSERT_TRUE(settles(1));
    ASSERT_TRUE(prepare(u"two"_s));
    changes = 0;
    show(u"two"_s, 2);
    EXPECT_EQ(changes, 0);
    ASSERT_TRUE(waitUntil([&] { return changes > 0; }));
    ASSERT_TRUE(prepare(u"three"_s));
    const bool isStill = settled == 2; // else there is no telling what of the fade is seen
    changes = 0;
    show(u"three"_s, 3);
    EXPECT_EQ(changes, isStill ? 0 : 1);
    ASSERT_TRUE(settles(3));
}

TEST_F(OutputPictures, OneWithoutAWindowFadesForItsSmallPicture) { // its monitor was pulled
    for (quint64 take = 1; take <= 3; ++take) {
        show(u"step %1"_s.arg(take), take);
        ASSERT_TRUE(settles(take));
        EXPECT_FALSE(picture.smallPicture().isNull());
    }
}

TEST(Backdrops, PicturesOnOneBackdropShareIt) {
    PreparedFrames frames;
    Scene scene;
    scene.size = {320, 180};
    scene.fontSize = 20;
    scene.rows = {{u"one"_s}};
    std::vector<FramePtr> ready;
    QObject::connect(&frames, &PreparedFrames::ready, [&](const FramePtr& frame) { ready.push_back(frame); });
    const auto draw = [&] {
        const size_t before = ready.size();
        static_cast<void>(frames.get(scene, scene.size));
        QElapsedTimer time;
        time.start();
        while (ready.size() == before && time.elapsed() < 5000)
            waitForEvents(50);
    };
    draw();
    scene.rows = {{u"two"_s}};
    draw();
    scene.look.backdrop.colour = {200, 0, 0, 255};
    draw();
    ASSERT_EQ(ready.size(), 3u);
    EXPECT_EQ(ready[0]->behind, ready[1]->behind);
    EXPECT_NE(ready[0]->behind, ready[2]->behind);
    EXPECT_LT(ready[0]->front.image.width(), 200); // only the part with words
    EXPECT_FALSE(ready[0]->front.image.isNull());
}

} // namespace
} // namespace mivanta
