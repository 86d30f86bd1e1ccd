// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/SlideCanvas.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QApplication>
#include <QClipboard>
#include <QMenu>
#include <QMimeData>
#include <QSignalSpy>
#include <QTest>
#include <QUrl>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

SlideObject boxAt(QRectF box) {
    SlideObject object;
    object.box = box;
    return object;
}

/// The canvas alone, with a slide of two objects in the middle of the words.
class Canvas : public ::testing::Test {
protected:
    void SetUp() override {
        scene.output = u"hall"_s;
        scene.size = {1600, 900};
        scene.fontSize = 60;
        scene.rows = {{u"words"_s}};
        scene.look.words.box = {0.1, 0.1, 0.8, 0.7};
        scene.look.credit.box = {0.1, 0.85, 0.8, 0.1};
        scene.look.objects = {boxAt({0.2, 0.2, 0.2, 0.2}), boxAt({0.6, 0.4, 0.1, 0.1})};
        canvas.resize(820, 480);
        canvas.setScene(scene);
        canvas.show();
        canvas.activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(&canvas));
        canvas.setFocus();
    }
    QPoint middleOf(int box) { return canvas.areaOf(box).center().toPoint(); }
    void moveTo(QPoint at, Qt::KeyboardModifiers modifiers = Qt::AltModifier) {
        QMouseEvent event(QEvent::MouseMove, at, canvas.mapToGlobal(at), Qt::NoButton, Qt::LeftButton,
                          modifiers);
        QApplication::sendEvent(&canvas, &event);
    }
    void drag(QPoint from, QPoint to, Qt::KeyboardModifiers modifiers = Qt::AltModifier) {
        QTest::mousePress(&canvas, Qt::LeftButton, modifiers, from);
        moveTo((from + to) / 2, modifiers);
        moveTo(to, modifiers);
        QTest::mouseRelease(&canvas, Qt::LeftButton, modifiers, to);
    }
    Scene scene;
    ThumbnailStore thumbnails;
    SlideCanvas canvas{thumbnails};
};

TEST_F(Canvas, TheSmallestBoxUnderThePointerIsTaken) {
    EXPECT_EQ(canvas.chosen(), SlideCanvas::kWords);
    QTest::mouseClick(&canvas, Qt::LeftButton, {}, middleOf(SlideCanvas::kObjects));
    EXPECT_EQ(canvas.chosen(), SlideCanvas::kObjects); // though the words' box is chosen and holds it
    QTest::mouseClick(&canvas, Qt::LeftButton, {}, middleOf(SlideCanvas::kCredit));
    EXPECT_EQ(canvas.chosen(), SlideCanvas::kCredit);
    QTest::mouseClick(&canvas, Qt::LeftButton, {}, {2, 2}); // beside everything
    EXPECT_EQ(canvas.chosen(), SlideCanvas::kCredit);
}

TEST_F(Canvas, ADragTellsEveryStepAndItsEnd) {
    QSignalSpy changed(&canvas, &SlideCanvas::boxChanged);
    QSignalSpy ended(&canvas, &SlideCanvas::dragEnded);
    const QPoint from = middleOf(SlideCanvas::kObjects + 1);
    drag(from, from + QPoint(0, 80));
    ASSERT_EQ(changed.size(), 2);
    EXPECT_EQ(ended.size(), 1);
    EXPECT_EQ(changed.last()[0].toInt(), SlideCanvas::kObjects + 1);
    const QRectF box = changed.last()[1].toRectF();
    EXPECT_NEAR(box.top(), 0.4 + 80 / canvas.pictureArea().height(), 0.005);
    EXPECT_NEAR(box.left(), 0.6, 1e-9);
    EXPECT_EQ(box.size(), QSizeF(0.1, 0.1));
    moveTo(from); // nothing is held any more
    EXPECT_EQ(changed.size(), 2);
}

TEST_F(Canvas, AHandleChangesOneCornerOnly) {
    canvas.choose(SlideCanvas::kObjects);
    const QPoint corner = canvas.areaOf(SlideCanvas::kObjects).bottomRight().toPoint();
    drag(corner, corner + QPoint(40, 27));
    const QRectF area = canvas.areaOf(SlideCanvas::kObjects);
    EXPECT_NEAR(area.right(), corner.x() + 40, 2);
    EXPECT_NEAR(area.bottom(), corner.y() + 27, 2);
    EXPECT_NEAR(area.left(), canvas.pictureArea().left() + 0.2 * canvas.pictureArea().width(), 1);
}

TEST_F(Canvas, BoxesStandAtGuidesUnlessAltIsHeld) {
    canvas.choose(SlideCanvas::kObjects + 1);
    const QPoint from = middleOf(SlideCanvas::kObjects + 1);
    const int toCentre = canvas.pictureArea().center().toPoint().x() - from.x();
    drag(from, from + QPoint(toCentre + 4, 0), Qt::NoModifier);
    EXPECT_NEAR(canvas.areaOf(SlideCanvas::kObjects + 1).center().x(), canvas.pictureArea().center().x(),
                1e-6);
    canvas.setScene(scene);
    drag(from, from + QPoint(toCentre + 4, 0), Qt::AltModifier);
    EXPECT_NEAR(canvas.areaOf(SlideCanvas::kObjects + 1).center().x(), from.x() + toCentre + 4, 1);
}

TEST_F(Canvas, KeysMoveResizeAndGoFromBoxToBox) {
    canvas.setFocus();
    QTest::keyClick(&canvas, Qt::Key_Tab);
    QTest::keyClick(&canvas, Qt::Key_Tab);
    EXPECT_EQ(canvas.chosen(), SlideCanvas::kObjects);
    const QRectF before = canvas.areaOf(SlideCanvas::kObjects);
    QTest::keyClick(&canvas, Qt::Key_Right);
    EXPECT_GT(canvas.areaOf(SlideCanvas::kObjects).left(), before.left());
    EXPECT_NEAR(canvas.areaOf(SlideCanvas::kObjects).width(), before.width(), 1e-6);
    QTest::keyClick(&canvas, Qt::Key_Down, Qt::ControlModifier);
    EXPECT_GT(canvas.areaOf(SlideCanvas::kObjects).height(), before.height());
    QTest::keyClick(&canvas, Qt::Key_Backtab);
    EXPECT_EQ(canvas.chosen(), SlideCanvas::kCredit);
}

TEST_F(Canvas, OnlyObjectsAreTakenAway) {
    QSignalSpy removed(&canvas, &SlideCanvas::objectRemoved);
    canvas.choose(SlideCanvas::kWords);
    QTest::keyClick(&canvas, Qt::Key_Delete);
    EXPECT_TRUE(removed.isEmpty());
    canvas.choose(SlideCanvas::kObjects + 1);
    QTest::keyClick(&canvas, Qt::Key_Delete);
    ASSERT_EQ(removed.size(), 1);
    EXPECT_EQ(removed[0][0].toInt(), 1);
}

TEST_F(Canvas, ObjectsOfOtherLevelsAreNotMovedHere) {
    canvas.setScene(scene, 1, 1);
    EXPECT_NEAR(canvas.areaOf(SlideCanvas::kObjects).left(),
                canvas.pictureArea().left() + 0.6 * canvas.pictureArea().width(), 1);
    EXPECT_TRUE(canvas.areaOf(SlideCanvas::kObjects + 1).isEmpty());
    QSignalSpy removed(&canvas, &SlideCanvas::objectRemoved);
    canvas.choose(SlideCanvas::kObjects);
    QTest::keyClick(&canvas, Qt::Key_Delete);
    EXPECT_EQ(removed[0][0].toInt(), 0); // counted among those that can be
    canvas.setScene(scene, 2, 0);
    EXPECT_EQ(canvas.chosen(), SlideCanvas::kWords);
    canvas.setScene(scene, 9, 5); // never more than there are
    EXPECT_TRUE(canvas.areaOf(SlideCanvas::kObjects).isEmpty());
}

TEST_F(Canvas, APictureThatIsDroppedAsksWhatItIsToBe) {
    QMimeData data;
    data.setUrls({QUrl::fromLocalFile(u"/boats.png"_s)});
    QSignalSpy backdrop(&canvas, &SlideCanvas::backdropDropped);
    QSignalSpy object(&canvas, &SlideCanvas::objectDropped);
    for (const int choice : {0, 1}) {
        QDragEnterEvent enter(QPoint(60, 60), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&canvas, &enter);
        EXPECT_TRUE(enter.isAccepted());
        QDropEvent event(QPointF(60, 60), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&canvas, &event);
        auto* menu = canvas.findChild<QMenu*>(u"dropped-picture"_s);
        ASSERT_TRUE(menu);
        menu->actions().at(choice)->trigger();
        menu->close();
        ASSERT_TRUE(QTest::qWaitFor([&] { return !canvas.findChild<QMenu*>(); }));
    }
    ASSERT_EQ(backdrop.size(), 1);
    ASSERT_EQ(object.size(), 1);
    EXPECT_EQ(backdrop[0][0].toString(), u"/boats.png"_s);
    QMimeData text;
    text.setText(u"no file"_s);
    QDragEnterEvent enter(QPoint(60, 60), Qt::CopyAction, &text, Qt::LeftButton, Qt::NoModifier);
    enter.ignore();
    QApplication::sendEvent(&canvas, &enter);
    EXPECT_FALSE(enter.isAccepted());
}

TEST_F(Canvas, PastesPicturesAndFilesAndNothingElse) {
    QSignalSpy picture(&canvas, &SlideCanvas::picturePasted);
    QSignalSpy file(&canvas, &SlideCanvas::objectDropped);
    QImage image(20, 10, QImage::Format_RGB32);
    image.fill(Qt::red);
    QGuiApplication::clipboard()->setImage(image);
    QTest::keyClick(&canvas, Qt::Key_V, Qt::ControlModifier);
    ASSERT_EQ(picture.size(), 1);
    EXPECT_EQ(qvariant_cast<QImage>(picture[0][0]).size(), image.size());
    QGuiApplication::clipboard()->setText(u"words"_s);
    QTest::keyClick(&canvas, Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(picture.size(), 1);
    EXPECT_EQ(file.size(), 0);
}

TEST_F(Canvas, WithoutASlideThereIsNothingToTake) {
    canvas.setScene(std::nullopt);
    QSignalSpy changed(&canvas, &SlideCanvas::boxChanged);
    drag({400, 200}, {450, 240});
    QTest::keyClick(&canvas, Qt::Key_Left);
    EXPECT_TRUE(changed.isEmpty());
    EXPECT_TRUE(canvas.areaOf(SlideCanvas::kWords).isEmpty());
}

} // namespace
} // namespace mivanta
