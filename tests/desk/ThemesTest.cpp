// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/look/LookForm.h"
#include "desk/look/SlideCanvas.h"
#include "session/library/ThemeDraft.h"
#include "support/Samples.h"
#include <QComboBox>
#include <QDropEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>

namespace mivanta {
namespace {

double middleDown(const QRectF& box) {
    return box.center().y();
}

class Themes : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        press(Qt::Key_1, Qt::AltModifier);
        press(Qt::Key_5, Qt::AltModifier | Qt::ShiftModifier);
        list = child<QListWidget>(u"theme-list"_s);
        canvas = child<SlideCanvas>(u"theme-canvas"_s);
        ASSERT_TRUE(waitUntil([&] { return list->count() >= 4 && name() == u"Dusk Water"_s; }));
        QRectF before;
        ASSERT_TRUE(waitUntil([&] { // laid out
            QTest::qWait(50);
            const QRectF now = canvas->pictureArea();
            return std::exchange(before, now) == now && now.isValid();
        }));
    }
    QString name() { return child<QLineEdit>(u"theme-name"_s)->text(); }
    LookForm* form() { return window->findChild<QWidget*>(u"theme-designer"_s)->findChild<LookForm*>(); }
    LookEditor* editor(const char* key) { return form()->editor(QLatin1String(key)); }
    Theme stored(const QString& id) {
        const auto themes = session->book().themes();
        const Theme* theme = themeOf(id, themes);
        return theme ? *theme : Theme();
    }
    void save() {
        press(Qt::Key_S, Qt::ControlModifier);
        auto* button = child<QPushButton>(u"theme-save"_s);
        ASSERT_TRUE(waitUntil([&] { return !button->isEnabled(); }));
    }
    void more(const QString& action) {
        auto* found = window->findChild<QAction*>(action);
        ASSERT_TRUE(found);
        found->trigger();
    }
    void drag(QPointF from, QPointF to, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        QTest::mousePress(canvas, Qt::LeftButton, modifiers, from.toPoint());
        for (double share : {0.3, 0.7, 1.0}) {
            const QPointF at = from + (to - from) * share;
            QMouseEvent move(QEvent::MouseMove, at.toPoint(), canvas->mapToGlobal(at.toPoint()), Qt::NoButton,
                             Qt::LeftButton, modifiers);
            QApplication::sendEvent(canvas, &move);
        }
        QTest::mouseRelease(canvas, Qt::LeftButton, modifiers, to.toPoint());
    }
    /// A box on the canvas, in shares of the picture.
    QRectF box(int which) {
        const QRectF area = canvas->pictureArea();
        const QRectF on = canvas->areaOf(which);
        return {(on.left() - area.left()) / area.width(), (on.top() - area.top()) / area.height(),
                on.width() / area.width(), on.height() / area.height()};
    }
    /// Whether a side of a box comes to stand there: it follows a change a moment later.
    template <class Side>
    bool stands(int which, Side side, double at, double within) {
        const auto far = [&] { return std::abs(std::invoke(side, box(which)) - at); };
        return waitUntil([&] { return far() < within; }) ||
               ((ADD_FAILURE() << "still " << far() << " away"), false);
    }
    QListWidget* list = nullptr;
    SlideCanvas* canvas = nullptr;
};

TEST_F(Themes, APropertyIsSetByKeysSeenSavedAndUndone) {
    auto* size = editor("words.size")->findChild<QSpinBox*>();
    size->setFocus();
    size->selectAll();
    type(u"60\n"_s);
    EXPECT_TRUE(waitUntil([&] { return child<QLabel>(u"theme-fit"_s)->text().contains(u"60 px"_s); }));
    EXPECT_EQ(stored(u"dusk-water"_s).look.words.size, 84);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(waitUntil([&] { return size->value() == 84; }));
    press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_TRUE(waitUntil([&] { return size->value() == 60; }));
    save();
    EXPECT_TRUE(waitUntil([&] { return stored(u"dusk-water"_s).look.words.size == 60; }));
    EXPECT_EQ(session->document().service().theme.look.words.size, 84); // the service keeps its copy
    more(u"theme-use"_s);
    EXPECT_EQ(session->document().service().theme.look.words.size, 60);
}

TEST_F(Themes, ABoxIsMovedByTheMouseAndStandsAtAGuide) {
    const QRectF area = canvas->pictureArea();
    const QRectF before = box(SlideCanvas::kWords);
    const QPointF middle = canvas->areaOf(SlideCanvas::kWords).center();
    // Its middle comes within reach of the screen's middle.
    const QPointF way(0, (0.5 - before.center().y()) * area.height() + 3);
    drag(middle, middle + way);
    EXPECT_TRUE(stands(SlideCanvas::kWords, middleDown, 0.5, 0.004));
    press(Qt::Key_Z, Qt::ControlModifier); // the whole drag is one step
    EXPECT_TRUE(stands(SlideCanvas::kWords, middleDown, before.center().y(), 0.002));
}

TEST_F(Themes, ABoxIsResizedByItsHandle) {
    const QRectF area = canvas->pictureArea();
    const QRectF words = canvas->areaOf(SlideCanvas::kWords);
    drag(words.bottomRight(), words.bottomRight() - QPointF(area.width() * 0.113, area.height() * 0.117),
         Qt::AltModifier);
    const QRectF now = box(SlideCanvas::kWords);
    EXPECT_NEAR(now.width(), 0.88 - 0.113, 0.006);
    EXPECT_NEAR(now.height(), 0.78 - 0.117, 0.01);
    EXPECT_NEAR(now.left(), 0.06, 0.002);
    EXPECT_TRUE(child<QPushButton>(u"theme-save"_s)->isEnabled());
}

TEST_F(Themes, BoxesAreMovedByKeysToo) {
    canvas->setFocus();
    press(Qt::Key_Right);
    press(Qt::Key_Right); // faster than the words can follow
    EXPECT_TRUE(stands(SlideCanvas::kWords, &QRectF::left, 0.065, 0.001));
    press(Qt::Key_Up, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_TRUE(stands(SlideCanvas::kWords, &QRectF::height, 0.755, 0.001));
    press(Qt::Key_Tab);
    EXPECT_EQ(canvas->chosen(), SlideCanvas::kCredit);
    press(Qt::Key_Down);
    EXPECT_TRUE(stands(SlideCanvas::kCredit, &QRectF::top, 0.9125, 0.001));
    press(Qt::Key_Tab);
    EXPECT_FALSE(canvas->hasFocus());
}

TEST_F(Themes, ANewThemeIsMadeNamedAndKept) {
    const int before = list->count();
    QTest::mouseClick(child<QPushButton>(u"new-theme"_s), Qt::LeftButton);
    type(u"Harbour Night\n"_s);
    save();
    EXPECT_TRUE(waitUntil([&] { return list->count() == before + 1; }));
    EXPECT_EQ(stored(u"new-theme"_s).name, u"Harbour Night"_s);
    EXPECT_EQ(list->currentItem()->text(), u"Harbour Night"_s);
}

TEST_F(Themes, NewServicesBeginWithTheUsualOne) {
    list->setFocus();
    press(Qt::Key_End);
    ASSERT_TRUE(waitUntil([&] { return name() == list->currentItem()->text(); }));
    more(u"theme-usual"_s);
    const QString id = list->currentItem()->data(Qt::UserRole).toString();
    EXPECT_TRUE(waitUntil([&] {
        session->document().startNew();
        return session->document().service().theme.id == id;
    }));
}

TEST_F(Themes, AThemeOfOnesOwnCanBeASongsUsualOne) {
    QTest::mouseClick(child<QPushButton>(u"theme-duplicate"_s), Qt::LeftButton);
    save();
    auto* box = window->findChild<QComboBox*>(u"detail-theme"_s);
    EXPECT_TRUE(waitUntil([&] { return box->findText(u"Dusk Water, copy"_s) > 0; }));
    EXPECT_GT(window->findChild<QComboBox*>(u"several-theme"_s)->findText(u"Dusk Water, copy"_s), 0);
}

TEST_F(Themes, ACopyIsDesignedApart) {
    QTest::mouseClick(child<QPushButton>(u"theme-duplicate"_s), Qt::LeftButton);
    EXPECT_EQ(name(), u"Dusk Water, copy"_s);
    save();
    EXPECT_TRUE(waitUntil([&] { return !stored(u"dusk-water-copy"_s).id.isEmpty(); }));
    EXPECT_EQ(stored(u"dusk-water-copy"_s).look, stored(u"dusk-water"_s).look);
}

TEST_F(Themes, DeletingSaysWhoUsesItAndItComesBack) {
    answers->quit = true; // yes
    more(u"theme-delete"_s);
    ASSERT_TRUE(waitUntil([&] { return stored(u"dusk-water"_s).id.isEmpty(); }));
    ASSERT_EQ(answers->questions.size(), 1);
    EXPECT_TRUE(answers->questions.first().contains(u"The open service has it"_s));
    EXPECT_EQ(session->document().service().theme.id, u"dusk-water"_s);
    for (QMenu* menu : window->findChildren<QMenu*>()) {
        if (menu->title() != u"Bin"_s)
            continue;
        Q_EMIT menu->aboutToShow();
        ASSERT_TRUE(waitUntil(
            [&] { return menu->actions().first()->text() == u"Restore \u201cDusk Water\u201d"_s; }));
        menu->actions().first()->trigger();
    }
    EXPECT_TRUE(waitUntil([&] { return !stored(u"dusk-water"_s).id.isEmpty(); }));
}

TEST_F(Themes, EarlierVersionsStandBesideItAndComeBackAsAStepOfUndo) {
    auto* size = editor("words.size")->findChild<QSpinBox*>();
    size->setValue(50);
    save();
    ASSERT_TRUE(waitUntil([&] { return stored(u"dusk-water"_s).look.words.size == 50; }));
    more(u"theme-history"_s);
    auto* restore = child<QPushButton>(u"theme-history-restore"_s);
    ASSERT_TRUE(waitUntil([&] { return restore->isVisible() && restore->isEnabled(); }));
    QTest::mouseClick(restore, Qt::LeftButton);
    EXPECT_EQ(size->value(), 84);
    EXPECT_EQ(stored(u"dusk-water"_s).look.words.size, 50); // nothing is stored by it
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(size->value(), 50);
}

TEST_F(Themes, AThemeIsSentOutAndBroughtIn) {
    answers->saveTo = folder.filePath(u"dusk"_s);
    more(u"theme-send-out"_s);
    const QString path = folder.filePath(u"dusk.mivanta-theme"_s);
    ASSERT_TRUE(waitUntil([&] { return QFileInfo::exists(path); }));
    auto* size = editor("words.size")->findChild<QSpinBox*>();
    size->setValue(50);
    save();
    answers->files = {path};
    more(u"theme-bring-in"_s);
    EXPECT_TRUE(waitUntil([&] { return !stored(u"dusk-water-2"_s).id.isEmpty(); }));
    EXPECT_EQ(stored(u"dusk-water-2"_s).look.words.size, 84);
    EXPECT_TRUE(waitUntil([&] { return name() == u"Dusk Water 2"_s; }));
}

TEST_F(Themes, APictureBecomesTheBackdropAndABrokenOneChangesNothing) {
    QImage image(600, 400, QImage::Format_RGB32);
    image.fill(QColor(180, 90, 20));
    const QString path = folder.filePath(u"boats.png"_s);
    ASSERT_TRUE(image.save(path));
    const auto drop = [&](const QString& file) {
        QMimeData data;
        data.setUrls({QUrl::fromLocalFile(file)});
        QDragEnterEvent enter(QPoint(50, 50), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(canvas, &enter);
        QDropEvent event(QPointF(50, 50), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(canvas, &event);
        auto* menu = canvas->findChild<QMenu*>(u"dropped-picture"_s);
        ASSERT_TRUE(menu);
        menu->actions().at(0)->trigger(); // as the backdrop
        menu->close();
        ASSERT_TRUE(waitUntil([&] { return !canvas->findChild<QMenu*>(u"dropped-picture"_s); }));
    };
    drop(path);
    auto* save = child<QPushButton>(u"theme-save"_s);
    ASSERT_TRUE(waitUntil([&] { return save->isEnabled(); }));
    QTest::mouseClick(save, Qt::LeftButton); // the menu took the keys
    ASSERT_TRUE(
        waitUntil([&] { return stored(u"dusk-water"_s).look.backdrop.kind == BackdropKind::Picture; }));
    EXPECT_TRUE(QFileInfo::exists(LibraryAddress(libraryFolder).mediaFolder() + u'/' +
                                  stored(u"dusk-water"_s).look.backdrop.picture));
    // The middle of the canvas is in the picture's colour.
    EXPECT_TRUE(waitUntil([&] {
        const QImage seen = canvas->grab().toImage();
        const QColor pixel = seen.pixelColor(canvas->pictureArea().topLeft().toPoint() + QPoint(8, 8));
        return std::abs(pixel.red() - 180) < 12 && std::abs(pixel.blue() - 20) < 12;
    }));
    QFile broken(folder.filePath(u"broken.png"_s));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("no picture");
    broken.close();
    drop(broken.fileName());
    EXPECT_TRUE(waitUntil([&] { return window->notices()->isVisible(); }));
    EXPECT_FALSE(child<QPushButton>(u"theme-save"_s)->isEnabled());
}

TEST_F(Themes, AnObjectIsAddedMovedAndTakenAway) {
    auto* objects = editor("objects");
    form()->setGroupOpen(LookGroup::Objects, true);
    QTest::mouseClick(objects->findChild<QPushButton*>(u"add-row"_s), Qt::LeftButton);
    auto* menu = objects->findChild<QMenu*>();
    ASSERT_TRUE(menu);
    menu->actions()[3]->trigger(); // a rectangle
    EXPECT_TRUE(stands(SlideCanvas::kObjects, &QRectF::width, 0.3, 0.005));
    canvas->choose(SlideCanvas::kObjects);
    canvas->setFocus();
    press(Qt::Key_Left, Qt::ShiftModifier);
    EXPECT_TRUE(stands(SlideCanvas::kObjects, &QRectF::left, 0.325, 0.005));
    press(Qt::Key_Delete);
    EXPECT_TRUE(waitUntil([&] { return canvas->areaOf(SlideCanvas::kObjects).isEmpty(); }));
}

TEST_F(Themes, LeavingAChangedThemeAsks) {
    editor("words.size")->findChild<QSpinBox*>()->setValue(50);
    answers->unsaved = Prompts::Unsaved::Cancel;
    list->setFocus();
    press(Qt::Key_Down);
    EXPECT_EQ(answers->asked, 1);
    EXPECT_EQ(name(), u"Dusk Water"_s);
    EXPECT_EQ(list->currentItem()->text(), u"Dusk Water"_s);
    answers->unsaved = Prompts::Unsaved::GiveUp;
    press(Qt::Key_Down);
    EXPECT_TRUE(
        waitUntil([&] { return name() == list->currentItem()->text() && name() != u"Dusk Water"_s; }));
    EXPECT_EQ(stored(u"dusk-water"_s).look.words.size, 84);
}

TEST_F(Themes, AnUnsavedThemeOutlivesTheProgram) {
    editor("words.size")->findChild<QSpinBox*>()->setValue(51);
    dieAndComeBack(u"theme"_s);
    press(Qt::Key_1, Qt::AltModifier);
    press(Qt::Key_5, Qt::AltModifier | Qt::ShiftModifier);
    EXPECT_TRUE(waitUntil([&] { return name() == u"Dusk Water"_s; }));
    EXPECT_EQ(editor("words.size")->findChild<QSpinBox*>()->value(), 51);
    EXPECT_TRUE(child<QPushButton>(u"theme-save"_s)->isEnabled());
}

TEST_F(Themes, SavingOnTheWayToAnotherThemeStaysWithTheOther) {
    editor("words.size")->findChild<QSpinBox*>()->setValue(50);
    answers->unsaved = Prompts::Unsaved::Save;
    list->setCurrentRow(list->currentRow() + 1);
    ASSERT_TRUE(waitUntil([&] { return stored(u"dusk-water"_s).look.words.size == 50; }));
    settle(); // the list is filled again
    EXPECT_TRUE(waitUntil([&] { return name() != u"Dusk Water"_s; }));
    EXPECT_EQ(list->currentItem()->text(), name());
}

TEST_F(Themes, TheSampleIsAnItemOfTheServiceOrTheLongestSong) {
    session->document().insert(0, songItem(samples::harbourSong(u"Harbour"_s)));
    auto* sample = child<QComboBox>(u"theme-sample"_s);
    ASSERT_TRUE(waitUntil([&] { return sample->findText(u"Harbour"_s) >= 0; }));
    sample->setFocus();
    press(Qt::Key_End);
    EXPECT_TRUE(
        waitUntil([&] { return child<QLabel>(u"theme-fit"_s)->text().startsWith(u"Slide 1 of 4"_s); }));
    QTest::mouseClick(child<QToolButton>(u"sample-on"_s), Qt::LeftButton);
    EXPECT_TRUE(child<QLabel>(u"theme-fit"_s)->text().startsWith(u"Slide 2 of 4"_s));
}

} // namespace
} // namespace mivanta
