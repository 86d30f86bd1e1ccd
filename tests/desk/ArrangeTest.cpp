// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/look/ObjectsEditor.h"
#include "desk/look/SlideCanvas.h"
#include "desk/prepare/LookInService.h"
#include "store/MediaFiles.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QClipboard>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>

namespace mivanta {
namespace {

class Arrange : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        for (const QString& title : {u"One"_s, u"Two"_s})
            ids.push_back(session->document().insert(99, songItem(samples::harbourSong(title))));
        window->findChild<OrderSheet*>()->select(ids[0]);
        level = child<QComboBox>(u"look-level"_s);
        ASSERT_TRUE(waitUntil([&] { return level->count() == 3; }));
        choose(u"This item"_s);
        press(Qt::Key_L, Qt::ControlModifier | Qt::ShiftModifier);
        ASSERT_TRUE(waitUntil([&] { return window->findChild<SlideCanvas*>(u"arrange-canvas"_s); }));
        canvas = child<SlideCanvas>(u"arrange-canvas"_s);
        objects = child<ObjectsEditor>(u"own-objects"_s);
        ASSERT_TRUE(waitUntil([&] { return !canvas->areaOf(SlideCanvas::kWords).isEmpty(); }));
    }
    void choose(const QString& text) {
        level->setCurrentIndex(level->findText(text, Qt::MatchContains));
        Q_EMIT level->activated(level->currentIndex());
    }
    template <typename What>
    void add() {
        QTest::mouseClick(objects->findChild<QPushButton*>(u"add-row"_s), Qt::LeftButton);
        for (auto* menu : objects->findChildren<QMenu*>())
            for (QAction* action : menu->actions())
                if (action->text() == kindOf(SlideObject{What()}).label())
                    action->trigger();
        for (auto* menu : objects->findChildren<QMenu*>())
            menu->close();
        EXPECT_TRUE(waitUntil([&] { return objects->findChildren<QMenu*>().empty(); }));
        window->activateWindow();
        EXPECT_TRUE(waitUntil([&] { return window->isActiveWindow() && QApplication::focusWidget(); }));
    }
    /// The one that is shown; rows are made anew.
    template <typename Field>
    Field* field(const QString& name) {
        Field* found = nullptr;
        EXPECT_TRUE(waitUntil([&] {
            const auto all = objects->findChildren<Field*>(name);
            const auto at =
                std::find_if(all.begin(), all.end(), [&](Field* f) { return f->isVisibleTo(objects); });
            found = at == all.end() ? nullptr : *at;
            return found != nullptr;
        })) << name.toStdString();
        return found;
    }
    const std::vector<SlideObject>& own(int item = 0) {
        return session->document().service().item(ids[size_t(item)])->look.choice.objects;
    }
    const std::vector<SlideObject>& shown(int item = 0) {
        return session->book().slidesOf(ids[size_t(item)])->outputs[0].look.objects;
    }
    std::vector<ItemId> ids;
    QComboBox* level = nullptr;
    SlideCanvas* canvas = nullptr;
    ObjectsEditor* objects = nullptr;
};

TEST_F(Arrange, AnObjectIsAddedToTheItemMovedByHandAndByKeysAndUndone) {
    add<RectangleObject>();
    ASSERT_EQ(own().size(), 1u);
    EXPECT_EQ(shown().size(), 1u);
    EXPECT_TRUE(shown(1).empty());
    const QRectF before = own()[0].box;
    const QPoint from = canvas->areaOf(SlideCanvas::kObjects).center().toPoint();
    QTest::mousePress(canvas, Qt::LeftButton, Qt::AltModifier, from);
    for (const int by : {10, 25, 40}) {
        const QPointF at = from + QPoint(by, 0);
        QMouseEvent move(QEvent::MouseMove, at, canvas->mapToGlobal(at), Qt::NoButton, Qt::LeftButton,
                         Qt::AltModifier);
        QApplication::sendEvent(canvas, &move);
    }
    QTest::mouseRelease(canvas, Qt::LeftButton, Qt::AltModifier, from + QPoint(40, 0));
    EXPECT_NEAR(own()[0].box.left() - before.left(), 40 / canvas->pictureArea().width(), 0.01);
    canvas->setFocus();
    const double dragged = own()[0].box.left();
    press(Qt::Key_Right);
    EXPECT_GT(own()[0].box.left(), dragged);
    session->document().undoStack().undo();
    session->document().undoStack().undo();
    EXPECT_EQ(own()[0].box, before); // the drag was one step
    session->document().undoStack().undo();
    EXPECT_TRUE(own().empty());
}

TEST_F(Arrange, EverythingOfAnObjectCanBeSaidInNumbers) {
    add<RectangleObject>();
    field<QDoubleSpinBox>(u"object-left"_s)->setValue(12.5);
    field<QDoubleSpinBox>(u"object-high"_s)->setValue(30);
    field<QSpinBox>(u"object-fade-in"_s)->setValue(800);
    field<QSpinBox>(u"object-fade-out"_s)->setValue(300);
    ASSERT_EQ(own().size(), 1u);
    EXPECT_DOUBLE_EQ(own()[0].box.left(), 0.125);
    EXPECT_DOUBLE_EQ(own()[0].box.height(), 0.3);
    EXPECT_EQ(own()[0].fadeIn, 800);
    EXPECT_EQ(own()[0].fadeOut, 300);
}

TEST_F(Arrange, TheOrderOfObjectsIsTheOrderOnTheSlide) {
    add<RectangleObject>();
    add<TextObject>();
    ASSERT_EQ(own().size(), 2u);
    QTest::mouseClick(field<QToolButton>(u"object-back-1"_s), Qt::LeftButton);
    EXPECT_TRUE(own()[0].is<TextObject>());
    EXPECT_TRUE(shown()[0].is<TextObject>());
    QTest::mouseClick(field<QToolButton>(u"object-forward-0"_s), Qt::LeftButton);
    EXPECT_TRUE(own()[0].is<RectangleObject>());
    EXPECT_FALSE(field<QToolButton>(u"object-back-0"_s)->isEnabled());
}

TEST_F(Arrange, OneObjectIsOpenAndTheCanvasFollows) {
    add<TextObject>();
    add<ClockObject>();
    EXPECT_EQ(field<QLineEdit>(u"object-text"_s)->text(), u"HH:mm"_s);
    QTest::mouseClick(field<QToolButton>(u"object-0"_s), Qt::LeftButton);
    EXPECT_EQ(field<QLineEdit>(u"object-text"_s)->text(), u"Welcome"_s);
    EXPECT_EQ(canvas->chosen(), SlideCanvas::kObjects);
    canvas->choose(SlideCanvas::kObjects + 1);
    EXPECT_EQ(field<QLineEdit>(u"object-text"_s)->text(), u"HH:mm"_s);
}

TEST_F(Arrange, ObjectsOfEveryLevelAddUpAndEachIsChangedWhereItIs) {
    choose(u"whole service"_s);
    add<RectangleObject>();
    choose(u"This item"_s);
    EXPECT_EQ(canvas->areaOf(SlideCanvas::kObjects), QRectF()); // the service's is not moved here
    EXPECT_TRUE(child<QLabel>(u"arrange-others"_s)->text().contains(u"One more"_s));
    add<EllipseObject>();
    ASSERT_EQ(shown().size(), 2u);
    EXPECT_TRUE(shown()[1].is<EllipseObject>());
    EXPECT_EQ(shown(1).size(), 1u);
    canvas->choose(SlideCanvas::kObjects);
    canvas->setFocus();
    press(Qt::Key_Right);
    EXPECT_EQ(session->document().service().look.objects[0].box, SlideObject().box);
    EXPECT_NE(own()[0].box, SlideObject().box);
    choose(u"whole service"_s);
    canvas->choose(SlideCanvas::kObjects);
    press(Qt::Key_Delete);
    ASSERT_EQ(shown().size(), 1u);
    EXPECT_TRUE(shown()[0].is<EllipseObject>());
}

TEST_F(Arrange, TheThemesObjectsCanBeLeftOut) {
    ASSERT_TRUE(waitUntil([&] { return themeOf(u"announcement"_s, session->book().themes()); }));
    window->findChild<LookInService*>()->setTheme(u"announcement"_s);
    ASSERT_EQ(shown().size(), 1u);
    QTest::mouseClick(child<QCheckBox>(u"leave-out-objects"_s), Qt::LeftButton, {}, {8, 8});
    EXPECT_TRUE(shown().empty());
    QTest::mouseClick(child<QCheckBox>(u"leave-out-objects"_s), Qt::LeftButton, {}, {8, 8});
    EXPECT_EQ(shown().size(), 1u);
}

TEST_F(Arrange, APictureIsPastedFromAPictureOrAFile) {
    QImage image(200, 100, QImage::Format_RGB32);
    image.fill(QColor(200, 40, 90));
    QGuiApplication::clipboard()->setImage(image);
    canvas->setFocus();
    press(Qt::Key_V, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return own().size() == 1; }));
    EXPECT_TRUE(own()[0].is<PictureObject>());
    const QImage kept(LibraryAddress(libraryFolder).mediaFolder() + u'/' + *own()[0].medium());
    EXPECT_EQ(kept.size(), image.size());

    const QString path = folder.filePath(u"net.png"_s);
    image.fill(Qt::green);
    ASSERT_TRUE(image.save(path));
    auto* data = new QMimeData;
    data->setUrls({QUrl::fromLocalFile(path)});
    QGuiApplication::clipboard()->setMimeData(data);
    canvas->setFocus();
    press(Qt::Key_V, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return own().size() == 2; }));
    EXPECT_NE(*own()[0].medium(), *own()[1].medium());
}

TEST_F(Arrange, TheWordsBoxIsMovedForThisItemOnly) {
    canvas->choose(SlideCanvas::kWords);
    canvas->setFocus();
    press(Qt::Key_Up, Qt::ShiftModifier);
    const auto box = [&](int item) {
        return session->book().slidesOf(ids[size_t(item)])->outputs[0].look.words.box;
    };
    EXPECT_LT(box(0).top(), box(1).top());
    const LookChoice& choice = session->document().service().item(ids[0])->look.choice;
    EXPECT_TRUE(choice.own.has(*lookProperty(u"words.box"_s)));
}

} // namespace
} // namespace mivanta
