// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/prepare/Bench.h"
#include "desk/run/AdvanceLine.h"
#include "desk/run/Lane.h"
#include "store/MediaFiles.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QClipboard>
#include <QComboBox>
#include <QLineEdit>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {
namespace {

/// Notes, pauses, countdowns and pictures in the order, single slides, and what comes by itself.
class Moments : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        session->document().setStart(QDateTime(QDate(2026, 10, 4), QTime(10, 30)));
        song = session->document().insert(0, songItem(samples::harbourSong(u"Harbour"_s)));
        sheet = window->findChild<OrderSheet*>();
        sheet->select(song);
    }
    const Item& item(const ItemId& id) { return *session->document().service().item(id); }
    const Item& last() { return session->document().service().items.back(); }
    void choose(const QString& action) {
        for (QAction* each : child<QToolButton>(u"add-menu"_s)->menu()->actions())
            if (each->objectName() == action)
                each->trigger();
    }
    QString picture(const QString& name, QColor colour = QColor(10, 90, 160)) {
        QImage image(320, 180, QImage::Format_RGB32);
        image.fill(colour);
        const QString path = folder.filePath(name);
        EXPECT_TRUE(image.save(path));
        return path;
    }
    /// The slides on the bench.
    std::vector<PictureView*> slides() {
        std::vector<PictureView*> seen;
        for (PictureView* view : window->findChild<Bench*>()->findChildren<PictureView*>())
            if (view->acceptDrops() && view->isVisible())
                seen.push_back(view);
        return seen;
    }
    ItemId song;
    OrderSheet* sheet = nullptr;
};

TEST_F(Moments, ANoteIsTypedAtOnceAndReadWhileRunning) {
    choose(u"add-note"_s);
    QTest::keyClicks(QApplication::focusWidget(), u"Dim the lights"_s);
    EXPECT_EQ(titles(), (QStringList{u"Harbour"_s, u"Dim the lights"_s}));
    EXPECT_FALSE(last().isRun());
    EXPECT_EQ(session->book().itemCount(), 1);
    window->goTo(MainWindow::RunAt);
    EXPECT_EQ(child<QLabel>(u"run-note"_s)->text(), u"Dim the lights"_s);
    EXPECT_TRUE(waitUntil([&] { return window->findChildren<Lane*>().size() == 1; }));
}

TEST_F(Moments, ACountdownGoesToTheStartUntilAnotherEndIsTyped) {
    choose(u"add-countdown"_s);
    const ItemId id = last().id;
    const auto countdown = [&] { return std::get<CountdownItem>(item(id).words); };
    EXPECT_EQ(countdown().to, QTime(10, 30));
    auto* length = child<QLineEdit>(u"countdown-for"_s);
    length->setFocus();
    QTest::keyClicks(length, u"90 s"_s);
    press(Qt::Key_Return);
    EXPECT_FALSE(countdown().to);
    EXPECT_EQ(countdown().seconds, 90);
    auto* until = child<QLineEdit>(u"countdown-until"_s);
    until->setFocus();
    QTest::keyClicks(until, u"soon"_s);
    press(Qt::Key_Return);
    EXPECT_TRUE(child<QLabel>(u"moment-wrong"_s)->isVisible());
    EXPECT_EQ(countdown().seconds, 90);
    session->run().lookAtItem(1);
    session->run().take();
    const SlideObject figures = session->run().takenScenes()[0].look.objects.back();
    const int left = secondsLeft(std::get<CountdownObject>(figures.what), QTime::currentTime()).value_or(-1);
    EXPECT_GT(left, 80); // it runs from the take
    EXPECT_LE(left, 90);
}

TEST_F(Moments, APauseIsNamedOnTheSheet) {
    choose(u"add-pause"_s);
    sheet->view()->setFocus();
    press(Qt::Key_F2);
    const auto field = [&] { return sheet->view()->findChild<QLineEdit*>(); };
    ASSERT_TRUE(waitUntil([&] { return field() && QApplication::focusWidget() == field(); }));
    field()->selectAll();
    type(u"Silence\n"_s);
    EXPECT_TRUE(waitUntil([&] { return titles().last() == u"Silence"_s; }));
    EXPECT_TRUE(session->document().undoStack().undoText().contains(u"renaming"_s));
}

TEST_F(Moments, ANameThatIsBeingTypedStaysWhileTheServiceChanges) {
    choose(u"add-pause"_s);
    const auto field = [&] { return sheet->view()->findChild<QLineEdit*>(); };
    const auto typeWhile = [&](const QString& name, const std::function<void()>& change) {
        sheet->view()->setFocus();
        press(Qt::Key_F2);
        ASSERT_TRUE(waitUntil([&] { return field() && QApplication::focusWidget() == field(); }));
        field()->selectAll();
        type(name.first(3));
        change();
        QCoreApplication::processEvents();
        ASSERT_TRUE(field()) << "what was typed is gone";
        type(name.mid(3) + u'\n');
        EXPECT_TRUE(waitUntil([&] { return titles().last() == name; })) << titles().last().toStdString();
        EXPECT_TRUE(waitUntil([&] { return !field(); }));
    };
    typeWhile(u"Silence"_s, [&] { session->document().setTitle(u"Evening"_s); });
    session->document().insert(0, songItem(samples::harbourSong(u"One"_s)));
    sheet->select(last().id);
    typeWhile(u"Quiet"_s, [&] { session->document().setTitle(u"Morning"_s); });
}

TEST_F(Moments, PicturesAreASetThatIsPutInOrder) {
    answers->files = {picture(u"dawn.png"_s), picture(u"dusk.png"_s, Qt::red),
                      picture(u"night.png"_s, Qt::black)};
    choose(u"add-pictures"_s);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 2; }));
    const ItemId id = last().id;
    const auto captions = [&] {
        QStringList result;
        for (const OrderPicture& each : std::get<PictureItem>(item(id).words).pictures)
            result << each.caption;
        return result.join(u' ');
    };
    EXPECT_EQ(captions(), u"dawn dusk night"_s);
    ASSERT_TRUE(waitUntil([&] { return slides().size() == 3; }));
    slides()[2]->setFocus();
    press(Qt::Key_Left, Qt::AltModifier);
    EXPECT_EQ(captions(), u"dawn night dusk"_s);
    EXPECT_TRUE(slides()[1]->hasFocus()); // it can be moved on
    press(Qt::Key_Left, Qt::AltModifier);
    EXPECT_EQ(captions(), u"night dawn dusk"_s);
    press(Qt::Key_Left, Qt::AltModifier);
    EXPECT_EQ(captions(), u"night dawn dusk"_s);
    child<QCheckBox>(u"pictures-captions"_s)->click();
    EXPECT_EQ(session->book().slidesOf(id)->outputs[0].slides[0].rows[0].text, u"night"_s);
    press(Qt::Key_Return); // chooses the slide
    QTest::keyClicks(child<QLineEdit>(u"picture-caption"_s), u"!"_s);
    EXPECT_EQ(captions(), u"night! dawn dusk"_s);
}

TEST_F(Moments, FilesGoBetweenItemsWhereTheyAreDropped) {
    session->document().insert(99, songItem(samples::harbourSong(u"Two"_s)));
    QTest::qWait(50);
    QWidget* rows = sheet->view()->viewport();
    const QRect second = sheet->view()->visualRect(sheet->model()->index(1));
    Dropping drop(filesToDrag({picture(u"dawn.png"_s), picture(u"dusk.png"_s, Qt::red)}));
    EXPECT_TRUE(drop.drop(rows, second.topLeft() + QPoint(40, 1)));
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 3; }));
    EXPECT_EQ(titles(), (QStringList{u"Harbour"_s, u"dawn"_s, u"Two"_s}));
    Dropping one(filesToDrag({picture(u"night.png"_s, Qt::black)}));
    EXPECT_TRUE(one.drop(rows, QPoint(40, rows->height() - 5)));
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 4; }));
    EXPECT_EQ(titles().last(), u"night"_s);
    Dropping songs(filesToDrag({QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/songs/every-tide.txt")}));
    EXPECT_TRUE(songs.drop(rows, QPoint(40, rows->height() - 5)));
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 5; }));
    EXPECT_EQ(titles().last(), u"Every Tide"_s);
    Dropping other(filesToDrag({folder.filePath(u"notes.xyz"_s)}));
    EXPECT_TRUE(other.drop(rows, QPoint(40, rows->height() - 5)));
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"notes.xyz"_s); }));
    EXPECT_EQ(titles().size(), 5);
}

TEST_F(Moments, ASlideIsHiddenByAKeyAndShownAgain) {
    ASSERT_TRUE(waitUntil([&] { return slides().size() == 4; }));
    slides()[1]->setFocus();
    press(Qt::Key_Delete);
    ASSERT_EQ(item(song).edits.hidden.size(), 1U);
    EXPECT_EQ(session->book().slidesOf(song)->outputs[0].slides.size(), 3U);
    EXPECT_EQ(session->book().slidesOf(song)->content.entries[1].part, 2); // the chorus is passed over
    ASSERT_TRUE(waitUntil([&] { return child<QPushButton>(u"slide-show-0"_s)->isVisible(); }));
    child<QPushButton>(u"slide-show-0"_s)->click();
    EXPECT_TRUE(item(song).edits.isEmpty());
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(item(song).edits.hidden.size(), 1U);
}

TEST_F(Moments, ASlideSaysSomethingElseHereOnly) {
    ASSERT_TRUE(waitUntil([&] { return slides().size() == 4; }));
    slides()[0]->setFocus();
    press(Qt::Key_Return);
    auto* words = child<QPlainTextEdit>(u"slide-words"_s);
    EXPECT_TRUE(words->toPlainText().startsWith(u"one line here,"_s));
    words->setFocus();
    words->selectAll();
    QTest::keyClicks(words, u"only today"_s);
    const auto firstRow = [&] { return session->book().slidesOf(song)->outputs[0].slides[0].rows[0].text; };
    EXPECT_EQ(firstRow(), u"only today"_s);
    EXPECT_EQ(item(song).song()->parts[0].lines.size(), 4U); // the song is as it was
    EXPECT_EQ(session->book().slidesOf(song)->outputs[0].slides.size(), 4U);
    child<QPushButton>(u"slide-own-words"_s)->click();
    EXPECT_EQ(firstRow(), u"one line here,"_s);
}

TEST_F(Moments, ASlideComesEarlierInItsItem) {
    ASSERT_TRUE(waitUntil([&] { return slides().size() == 4; }));
    slides()[2]->setFocus();
    press(Qt::Key_Return);
    child<QToolButton>(u"slide-earlier"_s)->click();
    const ItemSlides& made = *session->book().slidesOf(song);
    EXPECT_EQ(made.content.parts[size_t(made.content.entries[1].part)].label, u"Verse 2"_s);
}

TEST_F(Moments, ASlideOfALineThatGoesOnSaysWhyItCannotBeHidden) {
    SpokenText text;
    text.id = TextId::create();
    text.title = u"Reading"_s;
    text.lines = {{}};
    text.lines[0].words = QString(u"the boats went out upon the water "_s).repeated(40);
    const ItemId id = session->document().insert(99, textItem(text));
    sheet->select(id);
    ASSERT_TRUE(waitUntil([&] { return slides().size() > 1; }));
    slides()[0]->setFocus();
    press(Qt::Key_Delete);
    EXPECT_TRUE(item(id).edits.isEmpty());
    EXPECT_TRUE(window->notices()->text().contains(u"several slides"_s));
    press(Qt::Key_Return);
    EXPECT_TRUE(child<QLabel>(u"slide-shared"_s)->isVisible());
    EXPECT_FALSE(child<QPlainTextEdit>(u"slide-words"_s)->isVisible());
    EXPECT_FALSE(child<QToolButton>(u"slide-hide"_s)->isEnabled());
}

TEST_F(Moments, WhatIsNoLengthIsSaidAndChangesNothing) {
    auto* field = child<QLineEdit>(u"plan-advance"_s);
    for (const QString& wrong : {u"0"_s, u"a while"_s, u"99999"_s, u"-4"_s}) {
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, wrong);
        press(Qt::Key_Return);
        EXPECT_FALSE(item(song).plan.advance) << wrong.toStdString();
        EXPECT_TRUE(child<QLabel>(u"plan-wrong"_s)->isVisible()) << wrong.toStdString();
    }
    field->selectAll();
    QTest::keyClicks(field, u"1:30"_s);
    press(Qt::Key_Return);
    EXPECT_EQ(item(song).plan.advance, 90);
    auto* goesOn = child<QCheckBox>(u"plan-goes-on"_s);
    goesOn->click();
    EXPECT_TRUE(item(song).plan.goesOn);
    field->setFocus();
    field->selectAll();
    press(Qt::Key_Delete);
    press(Qt::Key_Return);
    EXPECT_FALSE(item(song).plan.advance);
    EXPECT_FALSE(item(song).plan.goesOn); // it would mean nothing
    EXPECT_FALSE(goesOn->isEnabled());
}

TEST_F(Moments, APictureIsTakenOutOfItsSetAndTheLastOneStays) {
    answers->files = {picture(u"dawn.png"_s), picture(u"dusk.png"_s, Qt::red)};
    choose(u"add-pictures"_s);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 2; }));
    const ItemId id = last().id;
    const auto pictures = [&] { return std::get<PictureItem>(item(id).words).pictures; };
    ASSERT_TRUE(waitUntil([&] { return slides().size() == 2; }));
    auto* remove = child<QPushButton>(u"picture-remove"_s);
    EXPECT_FALSE(remove->isEnabled()); // none is chosen
    slides()[0]->setFocus();
    press(Qt::Key_Return);
    remove->click();
    ASSERT_EQ(pictures().size(), 1U);
    EXPECT_EQ(pictures()[0].caption, u"dusk"_s);
    EXPECT_FALSE(remove->isEnabled());
    session->document().undoStack().undo();
    EXPECT_EQ(pictures().size(), 2U);
    answers->files = {picture(u"night.png"_s, Qt::black), folder.filePath(u"gone.png"_s)};
    child<QPushButton>(u"pictures-add"_s)->click();
    ASSERT_TRUE(waitUntil([&] { return pictures().size() == 3; }));
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"gone.png"_s); }));
    auto* fit = child<QComboBox>(u"pictures-fit"_s);
    fit->setFocus();
    press(Qt::Key_Down);
    EXPECT_EQ(std::get<PictureItem>(item(id).words).fit, PictureFit::Fill);
}

TEST_F(Moments, APictureMovesByItselfWhenAnotherOneIsHidden) {
    answers->files = {picture(u"dawn.png"_s), picture(u"dusk.png"_s, Qt::red),
                      picture(u"night.png"_s, Qt::black)};
    choose(u"add-pictures"_s);
    ASSERT_TRUE(waitUntil([&] { return slides().size() == 3; }));
    const ItemId id = last().id;
    slides()[0]->setFocus();
    press(Qt::Key_Delete);
    ASSERT_TRUE(waitUntil([&] { return slides().size() == 2; }));
    slides()[1]->setFocus(); // the third picture
    press(Qt::Key_Left, Qt::AltModifier);
    EXPECT_EQ(std::get<PictureItem>(item(id).words).pictures[1].caption, u"night"_s);
}

TEST_F(Moments, WhatTheStageSeesIsSetForSeveralItems) {
    const ItemId two = session->document().insert(99, songItem(samples::harbourSong(u"Two"_s)));
    sheet->select(song);
    sheet->selectAll({song, two});
    auto* note = child<QLineEdit>(u"stage-note"_s);
    note->setFocus();
    QTest::keyClicks(note, u"softly"_s);
    EXPECT_EQ(item(song).edits.stageNote, u"softly"_s);
    EXPECT_EQ(item(two).edits.stageNote, u"softly"_s);
    session->document().undoStack().undo();
    EXPECT_TRUE(item(two).edits.isEmpty()); // as one step
}

TEST_F(Moments, SlidesComeByThemselvesUntilTheOperatorLooksElsewhere) {
    auto* field = child<QLineEdit>(u"plan-advance"_s);
    field->setFocus();
    QTest::keyClicks(field, u"1"_s);
    press(Qt::Key_Return);
    EXPECT_EQ(item(song).plan.advance, 1);
    session->document().insert(99, songItem(samples::harbourSong(u"Two"_s)));
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    const Cue first = *session->run().state().onScreen;
    EXPECT_TRUE(child<AdvanceLine>(u"run-by-itself"_s)->text().contains(u"by itself"_s));
    ASSERT_TRUE(waitUntil([&] { return !(*session->run().state().onScreen == first); }));
    const Cue second = *session->run().state().onScreen;
    EXPECT_TRUE(session->advance().due());
    press(Qt::Key_Down); // looks ahead: the operator has taken over
    EXPECT_FALSE(session->advance().due());
    Clock::the().jump(5000);
    settle();
    EXPECT_EQ(*session->run().state().onScreen, second);
    press(Qt::Key_Escape);
    press(Qt::Key_Space);
    ASSERT_TRUE(session->advance().due());
    press(Qt::Key_H);
    EXPECT_FALSE(session->advance().due());
    EXPECT_TRUE(child<AdvanceLine>(u"run-by-itself"_s)->text().isEmpty());
}

TEST_F(Moments, BehindTheLastSlideTheNextItemComesOnlyWhenThatIsWanted) {
    session->document().changePlan(
        {song}, [](ItemPlan& plan) { plan.advance = 1; }, u"x"_s);
    const ItemId two = session->document().insert(99, songItem(samples::harbourSong(u"Two"_s)));
    const ItemSlides& made = *session->book().slidesOf(song);
    session->run().lookAt({song, made.steps.back().position});
    session->run().take();
    EXPECT_FALSE(session->advance().due());
    session->document().changePlan(
        {song}, [](ItemPlan& plan) { plan.goesOn = true; }, u"x"_s);
    session->run().lookAt({song, made.steps.back().position});
    session->run().back();
    session->run().take();
    ASSERT_TRUE(session->advance().due());
    EXPECT_TRUE(waitUntil([&] { return session->run().state().onScreen->item == two; }));
}

TEST_F(Moments, AServiceIsPackedAndItsPicturesComeToAnotherLibrary) {
    answers->files = {picture(u"dawn.png"_s)};
    choose(u"add-pictures"_s);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 2; }));
    ASSERT_TRUE(waitUntil([&] { return session->document().mediaTitles().size() == 1; }));
    answers->saveTo = folder.filePath(u"packed.mivanta"_s);
    press(Qt::Key_E, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(waitUntil([&] { return !answers->questions.isEmpty(); }));
    settle();
    EXPECT_FALSE(QFile::exists(answers->saveTo)); // the answer was no
    EXPECT_TRUE(answers->questions.last().contains(u"sounds: 1,"_s));
    answers->quit = true;
    press(Qt::Key_E, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"Packed"_s); }))
        << window->notices()->text().toStdString();
    const QString packed = answers->saveTo;
    const QString name = std::get<PictureItem>(last().words).pictures[0].name;

    TearDown();
    libraryFolder = folder.filePath(u"other"_s);
    open(packed);
    const QString there = LibraryAddress(libraryFolder).mediaFolder() + u'/' + name;
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(there); }));
    EXPECT_EQ(titles(), (QStringList{u"Harbour"_s, u"dawn"_s}));
    ASSERT_TRUE(waitUntil([&] { return session->document().isPacked(); }));
    // Saved again it still holds its picture.
    session->document().setTitle(u"Changed"_s);
    bool saved = false;
    QObject::connect(&session->document(), &ServiceDocument::saved, window.get(), [&] { saved = true; });
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return saved; }));
    EXPECT_TRUE(openService(packed)->isPacked);
    EXPECT_EQ(openService(packed)->service.media.front().title, u"dawn.png"_s);
}

TEST_F(Moments, TheOrderGoesToPaperAndIntoAMessage) {
    const auto trigger = [&](const QString& name) {
        for (QMenu* menu : child<QToolButton>(u"service-sheets"_s)->menu()->findChildren<QMenu*>())
            for (QAction* action : menu->actions())
                if (action->objectName() == name)
                    return action->trigger();
        ADD_FAILURE() << name.toStdString();
    };
    for (const auto& [action, file] :
         {std::pair(u"order-html"_s, u"a.html"_s), std::pair(u"order-csv"_s, u"a.csv"_s),
          std::pair(u"words-text"_s, u"a.txt"_s), std::pair(u"slides-pdf-6"_s, u"a.pdf"_s),
          std::pair(u"print-order"_s, u"b.pdf"_s), std::pair(u"print-slides"_s, u"c.pdf"_s)}) {
        answers->saveTo = folder.filePath(file);
        trigger(action);
        EXPECT_TRUE(waitUntil([&] { return QFileInfo(answers->saveTo).size() > 50; })) << file.toStdString();
    }
    trigger(u"order-copy"_s);
    EXPECT_TRUE(QGuiApplication::clipboard()->text().contains(u"10:30  Harbour"_s));
}

} // namespace
} // namespace mivanta
