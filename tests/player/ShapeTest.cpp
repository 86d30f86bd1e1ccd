// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputSet.h"
#include "support/Text.h"
#include <QElapsedTimer>
#include <QGuiApplication>
#include <QScreen>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

QRect placeOf(const Fitted& fit) {
    return fit.transform.mapRect(QRect(QPoint(0, 0), fit.size));
}

TEST(Shapes, APictureFillsAScreenOfItsOwnShapeAsItIs) {
    const Fitted fit = fitted({1920, 1080}, {1920, 1080}, {});
    EXPECT_EQ(fit.size, QSize(1920, 1080));
    EXPECT_TRUE(fit.transform.isIdentity()); // a take stays one copy
    EXPECT_EQ(placeOf(fitted({1920, 1080}, {1280, 800}, {})), QRect(0, 40, 1280, 720));
}

TEST(Shapes, MirroredFlippedAndTurned) {
    OutputShape shape;
    shape.isMirrored = true;
    EXPECT_EQ(fitted({100, 50}, {100, 50}, shape).transform.map(QPoint(0, 0)), QPoint(100, 0));
    shape = {};
    shape.isFlipped = true;
    EXPECT_EQ(fitted({100, 50}, {100, 50}, shape).transform.map(QPoint(0, 0)), QPoint(0, 50));
    shape = {};
    shape.turn = Turn::Right; // the picture's top is at the right
    const Fitted right = fitted({100, 50}, {50, 100}, shape);
    EXPECT_EQ(right.size, QSize(100, 50));
    EXPECT_EQ(right.transform.map(QPoint(0, 0)), QPoint(50, 0));
    EXPECT_EQ(right.transform.map(QPoint(100, 0)), QPoint(50, 100));
    shape.turn = Turn::Half;
    EXPECT_EQ(fitted({100, 50}, {100, 50}, shape).transform.map(QPoint(0, 0)), QPoint(100, 50));
    shape.turn = Turn::Left;
    EXPECT_EQ(fitted({100, 50}, {50, 100}, shape).transform.map(QPoint(0, 0)), QPoint(0, 100));
}

RC_GTEST_PROP(Shapes, StayBetweenTheMarginsInTheirOwnProportions, ()) {
    const auto px = [] { return *rc::gen::inRange(200, 4000); };
    const auto margin = [] { return *rc::gen::inRange(0, int(kMostMargin) + 1); };
    const QSize picture(px(), px());
    const QSize screen(px(), px());
    OutputShape shape{Turn(*rc::gen::inRange(0, 4)), *rc::gen::arbitrary<bool>(), *rc::gen::arbitrary<bool>(),
                      QMarginsF(margin(), margin(), margin(), margin())};
    const Fitted fit = fitted(picture, screen, shape);
    const QRect place = placeOf(fit);
    const QMarginsF& m = shape.margins;
    RC_ASSERT(place.left() >= int(screen.width() * m.left() / 100));
    RC_ASSERT(place.top() >= int(screen.height() * m.top() / 100));
    RC_ASSERT(place.right() < screen.width() - int(screen.width() * m.right() / 100));
    RC_ASSERT(place.bottom() < screen.height() - int(screen.height() * m.bottom() / 100));
    const double wanted = double(picture.width()) / picture.height();
    RC_ASSERT(std::abs(double(fit.size.width()) / fit.size.height() - wanted) <
              wanted * (2.0 / fit.size.height() + 2.0 / fit.size.width()));
    // Whole px in, whole px out: nothing is blurred by half a px.
    const QPointF corner = fit.transform.map(QPointF(0, 0));
    RC_ASSERT(corner == QPointF(corner.toPoint()));
}

/// What stands in the window that an output with a place opens on the test's screen.
class PlacedWindows : public ::testing::Test {
protected:
    PlacedWindows() {
        hall.name = u"hall"_s;
        hall.size = {320, 180};
        hall.place = {PlaceKind::Window, {}, {}, QRect(40, 30, 320, 180)};
        scene.output = u"hall"_s;
        scene.size = hall.size;
        scene.look.backdrop.colour = {0, 0, 200, 255};
        SlideObject corner;
        corner.box = {0, 0, 0.25, 0.25};
        corner.what = RectangleObject{{255, 0, 0, 255}};
        scene.look.objects = {corner};
        scene.look.transition.kind = scene.look.backdropTransition.kind = TransitionKind::Cut;
    }
    QImage shown() {
        set.setOutputs({hall}, QGuiApplication::primaryScreen()->name());
        bool settled = false;
        OutputPicture* picture = set.picture(u"hall"_s);
        QObject::connect(picture, &OutputPicture::settled, picture, [&] { settled = true; });
        scene.ground = hall.groundColour();
        picture->show(scene, 1, Arrival::Cut);
        QElapsedTimer time;
        time.start();
        while ((!settled || time.elapsed() < 150) && time.elapsed() < 5000)
            QCoreApplication::processEvents(QEventLoop::AllEvents, 10);
        QImage image(hall.place.window.size(), QImage::Format_ARGB32_Premultiplied);
        image.fill(Qt::transparent);
        QPainter painter(&image);
        const Fitted fit = fitted(hall.size, image.size(), hall.shape);
        painter.setTransform(fit.transform);
        picture->paint(painter, QRect(QPoint(0, 0), fit.size));
        return image;
    }
    PreparedFrames frames;
    Films films;
    OutputSet set{frames, films};
    Output hall;
    Scene scene;
};

const QRgb kRed = qRgb(255, 0, 0);
const QRgb kBlue = qRgb(0, 0, 200);

TEST_F(PlacedWindows, StandWhereTheyWerePutWithoutAFrame) {
    EXPECT_EQ(shown().pixel(10, 10), kRed);
    const auto windows = QGuiApplication::topLevelWindows();
    const auto window = std::find_if(windows.begin(), windows.end(),
                                     [](const QWindow* w) { return w->objectName() == u"hall"_s; });
    ASSERT_NE(window, windows.end());
    EXPECT_EQ((*window)->geometry(), QRect(40, 30, 320, 180));
    EXPECT_TRUE((*window)->flags() & Qt::FramelessWindowHint);
    EXPECT_TRUE((*window)->flags() & Qt::WindowStaysOnTopHint);
    EXPECT_TRUE(set.isSeen());
    hall.isAbove = false;
    set.setOutputs({hall}, QGuiApplication::primaryScreen()->name());
    for (const QWindow* each : QGuiApplication::topLevelWindows()) {
        if (each->objectName() == u"hall"_s && each->isVisible()) {
            EXPECT_FALSE(each->flags() & Qt::WindowStaysOnTopHint);
        }
    }
}

TEST_F(PlacedWindows, AreMirroredWithoutAnotherTake) {
    EXPECT_EQ(shown().pixel(310, 10), kBlue);
    hall.shape.isMirrored = true;
    EXPECT_EQ(shown().pixel(310, 10), kRed);
}

TEST_F(PlacedWindows, ShowTheKeyColourWhereThereIsNothing) {
    scene.look.backdrop.kind = BackdropKind::None;
    EXPECT_EQ(shown().pixel(200, 100), qRgb(0, 0, 0));
    hall.ground = Ground::Key;
    hall.keyColour = {0, 255, 0, 255};
    EXPECT_EQ(shown().pixel(200, 100), qRgb(0, 255, 0));
    EXPECT_EQ(shown().pixel(10, 10), kRed);
    scene.curtain = Curtain::Black; // over a camera's picture, black would hide it
    EXPECT_EQ(shown().pixel(10, 10), qRgb(0, 255, 0));
    scene.curtain = Curtain::Open;
    hall.ground = Ground::SeeThrough;
    EXPECT_EQ(qAlpha(shown().pixel(200, 100)), 0);
    EXPECT_EQ(shown().pixel(10, 10), kRed);
}

TEST_F(PlacedWindows, AreNotSeenByOthersWhenTheyOnlyStandForAScreen) {
    hall.place.window = QRect();
    set.setOutputs({hall}, QGuiApplication::primaryScreen()->name());
    EXPECT_FALSE(set.isSeen());
}

} // namespace
} // namespace mivanta
