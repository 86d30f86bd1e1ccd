// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/DeskKeeper.h"
#include "player/OutputPicture.h"
#include "render/SceneRenderer.h"
#include "support/Golden.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QCoreApplication>
#include <QElapsedTimer>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Scene scene(const QString& words, TransitionKind kind = TransitionKind::Cut) {
    Scene result;
    result.output = u"hall"_s;
    result.size = {640, 360};
    result.fontSize = 30;
    result.look.transition.kind = kind;
    result.look.transition.milliseconds = 200;
    result.rows = {{words, {}}};
    return result;
}

class PictureTest : public ::testing::Test {
protected:
    PictureTest() {
        picture.setSize({640, 360});
        QObject::connect(&picture, &OutputPicture::settled,
                         [this](quint64 take) { settled.push_back(take); });
    }
    bool waitFor(quint64 take) {
        QElapsedTimer time;
        time.start();
        while (time.elapsed() < 5000) {
            if (!settled.empty() && settled.back() == take)
                return true;
            waitForEvents(20);
        }
        return false;
    }
    [[nodiscard]] QImage seen() const {
        QImage image(640, 360, QImage::Format_RGB32);
        QPainter painter(&image);
        picture.paint(painter, image.rect());
        return image;
    }
    /// The very picture, but for rounding where layers meet.
    [[nodiscard]] bool shows(const Scene& s) const {
        return difference(seen(), renderScene(s).convertToFormat(QImage::Format_RGB32), 3).share == 0;
    }

    PreparedFrames frames;
    Films films;
    OutputPicture picture{frames, films, u"hall"_s};
    std::vector<quint64> settled;
};

TEST_F(PictureTest, IsBlackBeforeTheFirstScene) {
    EXPECT_EQ(seen().pixel(320, 180), qRgb(0, 0, 0));
    EXPECT_TRUE(picture.smallPicture().isNull());
}

TEST_F(PictureTest, APreparedSceneIsShownAtOnce) {
    frames.prepare(scene(u"one"_s), {640, 360});
    QElapsedTimer time;
    time.start();
    while (!frames.get(scene(u"one"_s), {640, 360}) && time.elapsed() < 5000)
        waitForEvents(20);
    picture.show(scene(u"one"_s), 1, Arrival::Turning);
    ASSERT_EQ(settled, std::vector<quint64>{1});
    EXPECT_TRUE(shows(scene(u"one"_s)));
}

TEST_F(PictureTest, UntilANewSceneIsReadyTheOldOneStays) {
    picture.show(scene(u"one"_s), 1, Arrival::Turning);
    ASSERT_TRUE(waitFor(1));
    picture.show(scene(u"two"_s), 2, Arrival::Turning);
    EXPECT_TRUE(shows(scene(u"one"_s)));
    ASSERT_TRUE(waitFor(2));
    EXPECT_TRUE(shows(scene(u"two"_s)));
}

TEST_F(PictureTest, AFadeGoesFromOneToTheOtherAndEndsExactly) {
    picture.show(scene(u"one"_s, TransitionKind::Fade), 1, Arrival::Turning);
    ASSERT_TRUE(waitFor(1));
    picture.show(scene(u"two"_s, TransitionKind::Fade), 2, Arrival::Turning);
    ASSERT_TRUE(waitFor(2));
    EXPECT_TRUE(shows(scene(u"two"_s, TransitionKind::Fade)));
}

TEST_F(PictureTest, OnlyTheLastOfManyQuickTakesIsShownInTheEnd) {
    for (quint64 take = 1; take <= 20; ++take)
        picture.show(scene(QString::number(take), TransitionKind::Fade), take, Arrival::Turning);
    ASSERT_TRUE(waitFor(20));
    EXPECT_TRUE(shows(scene(u"20"_s, TransitionKind::Fade)));
}

TEST_F(PictureTest, WithoutAWindowOnlyTheSmallPictureIsDrawn) {
    picture.setSize({});
    picture.show(scene(u"one"_s), 3, Arrival::Turning);
    ASSERT_TRUE(waitFor(3));
    EXPECT_EQ(picture.smallPicture().size(), QSize(480, 270));
}

TEST(DeskKeeper, StopsStartingDesksThatDieAtOnce) {
    DeskKeeper keeper(u"/dev/null"_s);
    keeper.arrived({true, u"/bin/true"_s, {}});
    int starts = 0;
    while (starts < 100 && keeper.died())
        ++starts;
    EXPECT_GE(starts, 3);
    EXPECT_LT(starts, 10);
}

} // namespace
} // namespace mivanta
