// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/run/FilmPanel.h"
#include "support/Processes.h"
#include "support/Samples.h"
#include "support/TestFilm.h"
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QToolButton>
#include <csignal>

namespace mivanta {
namespace {

/// Films in the order, from the file to the player.
class Films : public PlayerTest {
protected:
    static void SetUpTestSuite() {
        films = std::make_unique<QTemporaryDir>();
        ASSERT_TRUE(makeFilm(films->filePath(u"night crossing.mp4"_s), {.pictures = 300}));
        ASSERT_TRUE(makeFilm(films->filePath(u"short.mp4"_s), {.pictures = 25}));
    }
    static void TearDownTestSuite() { films.reset(); }
    void SetUp() override {
        PlayerTest::SetUp();
        sheet = window->findChild<OrderSheet*>();
    }
    /// As the menu of the Prepare desk adds one, behind what is there.
    ItemId add(const QString& file) {
        const size_t before = session->document().service().items.size();
        answers->files = {films->filePath(file)};
        window->goTo(MainWindow::PrepareAt);
        window->findChild<QAction*>(u"add-films"_s)->trigger();
        EXPECT_TRUE(waitUntil([&] { return session->document().service().items.size() == before + 1; }));
        for (const Item& item : session->document().service().items)
            if (const auto* film = std::get_if<FilmItem>(&item.words);
                film && film->caption == file.chopped(4) && item.id != last)
                last = item.id;
        return last;
    }
    const FilmItem& film(const ItemId& id) {
        return std::get<FilmItem>(session->document().service().item(id)->words);
    }
    void take(int item) {
        window->goTo(MainWindow::RunAt);
        session->run().lookAtItem(item);
        press(Qt::Key_Space);
    }
    std::optional<message::FilmStands> stands() { return session->film().stands(); }
    bool plays() {
        return waitUntil(
            [&] { return stands() && stands()->isOpen && !stands()->isPaused && stands()->position > 0; });
    }

    static inline std::unique_ptr<QTemporaryDir> films;
    OrderSheet* sheet = nullptr;
    ItemId last;
};

TEST_F(Films, AreAddedWithTheirLengthAndChangedOnTheBench) {
    const ItemId id = add(u"night crossing.mp4"_s);
    EXPECT_NEAR(film(id).seconds, 12, 0.1);
    EXPECT_TRUE(film(id).isHeard);
    EXPECT_EQ(session->document().service().item(id)->title(), u"night crossing"_s);
    sheet->select(id);
    auto* from = child<QLineEdit>(u"film-from"_s);
    const auto type = [&](QLineEdit* edit, const QString& text) {
        edit->setFocus();
        edit->selectAll();
        QTest::keyClicks(edit, text);
        QTest::keyClick(edit, Qt::Key_Return);
    };
    type(from, u"0:02.5"_s);
    EXPECT_DOUBLE_EQ(film(id).from, 2.5);
    type(child<QLineEdit>(u"film-to"_s), u"10"_s);
    EXPECT_DOUBLE_EQ(film(id).to, 10);
    for (const QString& wrong : {u"soon"_s, u"2"_s, u"1:00"_s}) { // no moment, before its begin, beyond it
        type(child<QLineEdit>(u"film-to"_s), wrong);
        EXPECT_DOUBLE_EQ(film(id).to, 10) << wrong.toStdString();
        EXPECT_EQ(child<QLineEdit>(u"film-to"_s)->text(), u"0:10"_s);
    }
    auto* end = child<QComboBox>(u"film-end"_s);
    end->setCurrentIndex(end->findText(u"house card"_s));
    Q_EMIT end->activated(end->currentIndex());
    EXPECT_EQ(film(id).end, FilmEnd::HouseCard);
    session->document().undoStack().undo();
    EXPECT_EQ(film(id).end, FilmEnd::KeepsPicture);
    type(child<QDoubleSpinBox>(u"film-fade-out"_s)->findChild<QLineEdit*>(), u"2.5"_s);
    EXPECT_DOUBLE_EQ(film(id).fadeOut, 2.5);
    EXPECT_FALSE(child<QSpinBox>(u"film-across"_s)->isEnabled()); // all of it is shown
    auto* outputs = child<QToolButton>(u"film-outputs"_s);
    EXPECT_EQ(outputs->text(), u"Hall"_s); // the stream keeps its own ground
    Q_EMIT outputs->menu()->aboutToShow();
    outputs->menu()->findChild<QAction*>(u"film-on-stage"_s)->trigger();
    EXPECT_EQ(outputs->text(), u"Hall, Stage"_s);
    EXPECT_TRUE(film(id).isShownOn.value(u"stage"_s));
    session->document().undoStack().undo();
    EXPECT_TRUE(film(id).isShownOn.isEmpty());
}

TEST_F(Films, OnlyThePartThatIsPlayedIsPackedWhenThatIsWanted) {
    QFile noise(folder.filePath(u"noise.mp4"_s)); // large enough to be worth a question
    ASSERT_EQ(QProcess::execute(u"ffmpeg"_s, {u"-v"_s, u"error"_s, u"-f"_s, u"lavfi"_s, u"-i"_s,
                                              u"testsrc2=s=320x180:r=25:d=20,noise=alls=60:allf=t"_s, u"-g"_s,
                                              u"25"_s, u"-preset"_s, u"ultrafast"_s, u"-pix_fmt"_s,
                                              u"yuv420p"_s, noise.fileName()}),
              0);
    answers->files = {noise.fileName()};
    window->goTo(MainWindow::PrepareAt);
    window->findChild<QAction*>(u"add-films"_s)->trigger();
    ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == 1; }));
    const ItemId id = session->document().service().items[0].id;
    FilmItem part = film(id);
    part.from = 8.4;
    part.to = 10;
    session->document().change(id, part, u"part"_s);
    const auto pack = [&](bool onlyParts, const QString& name) {
        answers->onlyParts = onlyParts;
        answers->quit = true;
        answers->saveTo = folder.filePath(name);
        press(Qt::Key_E, Qt::ControlModifier | Qt::ShiftModifier);
        EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(name); }, 60'000));
        return QFileInfo(folder.filePath(name)).size();
    };
    const qint64 whole = pack(false, u"whole.mivanta"_s);
    EXPECT_TRUE(answers->questions.last().contains(u"Of some films only a part is played"_s));
    EXPECT_LT(pack(true, u"part.mivanta"_s), whole / 3);
    EXPECT_EQ(film(id), part) << "the open service plays what it played";
}

TEST_F(Films, PlayFromTheTakeAndObeyKeysOfOneHand) {
    session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
    sheet->select(session->document().service().items[0].id);
    add(u"night crossing.mp4"_s);
    take(0);
    EXPECT_FALSE(session->film().play());
    EXPECT_FALSE(child<QWidget>(u"film-panel"_s)->isVisible());
    session->run().lookAtItem(1); // looking plays as little as it shows
    EXPECT_FALSE(session->film().play());
    press(Qt::Key_Space);
    ASSERT_TRUE(plays());
    EXPECT_TRUE(child<QWidget>(u"film-panel"_s)->isVisible());
    const auto stageSays = [&]() -> QString {
        for (const Scene& scene : session->run().takenScenes())
            for (const SlideObject& object : scene.look.objects) {
                const auto* text = std::get_if<TextObject>(&object.what);
                if (scene.output == u"stage" && text && text->text.startsWith(u"0:"_s))
                    return text->text;
                if (scene.output == u"stage" && object.is<CountdownObject>())
                    return u"counts"_s;
            }
        return {};
    };
    EXPECT_EQ(stageSays(), u"counts"_s);
    press(Qt::Key_P);
    ASSERT_TRUE(waitUntil([&] { return stands()->isPaused; }));
    EXPECT_TRUE(waitUntil([&] { return stageSays().startsWith(u"0:"_s); }));
    press(Qt::Key_L);
    ASSERT_TRUE(waitUntil([&] { return stands()->position > 9; }));
    EXPECT_TRUE(waitUntil([&] { return child<QLabel>(u"film-left"_s)->text().startsWith(u"\u22120:0"_s); }));
    press(Qt::Key_J);
    ASSERT_TRUE(waitUntil([&] { return stands()->position < 3; }));
    press(Qt::Key_Minus);
    ASSERT_TRUE(waitUntil([&] { return stands()->volume == 95; }));
    press(Qt::Key_P);
    ASSERT_TRUE(waitUntil([&] { return !stands()->isPaused; }));
    press(Qt::Key_A);
    ASSERT_TRUE(waitUntil([&] { return stands()->position < 1; }));
    take(0);
    EXPECT_TRUE(waitUntil([&] { return !session->film().play(); }));
    EXPECT_FALSE(child<QWidget>(u"film-panel"_s)->isVisible());
}

TEST_F(Films, WhatComesAtTheEndWasSaidBeforehand) {
    const ItemId id = add(u"short.mp4"_s);
    FilmItem card = film(id);
    card.end = FilmEnd::HouseCard;
    session->document().change(id, card, u"x"_s);
    take(0);
    ASSERT_TRUE(waitUntil([&] { return session->run().state().covers.curtain == Curtain::HouseCard; }));
    press(Qt::Key_F5);
    session->document().insert(9, songItem(samples::harbourSong(u"After"_s)));
    ASSERT_TRUE(stands()->isOver);
    take(0); // once more
    EXPECT_TRUE(waitUntil([&] { return !stands()->isOver && stands()->position < 0.9; }));
    ASSERT_TRUE(waitUntil([&] { return session->run().state().covers.curtain == Curtain::HouseCard; }));
    press(Qt::Key_F5);
    card.end = FilmEnd::NextItem;
    session->document().change(id, card, u"x"_s);
    press(Qt::Key_A);
    EXPECT_TRUE(waitUntil(
        [&] { return session->run().state().onScreen->item == session->document().service().items[1].id; }));
}

TEST_F(Films, ArePlayedOnByAPlayerThatWasStartedAgain) {
    add(u"night crossing.mp4"_s);
    take(0);
    ASSERT_TRUE(plays());
    session->orders().obey(order::SeekFilm{6});
    ASSERT_TRUE(waitUntil([&] { return stands()->position > 6; }));
    const auto players = [&] { return pidsOf(u"mivanta-player"_s, sessionFolder(libraryFolder)); };
    const auto before = players();
    ASSERT_EQ(before.size(), 1u);
    ::kill(pid_t(before[0]), SIGKILL);
    ASSERT_TRUE(waitUntil(
        [&] { return players().size() == 1 && players() != before && stands() && stands()->isOpen; }));
    ASSERT_TRUE(plays());
    EXPECT_GT(stands()->position, 6);
    EXPECT_LT(stands()->position, 12);
}

} // namespace
} // namespace mivanta
