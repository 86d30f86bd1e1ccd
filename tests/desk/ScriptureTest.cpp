// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/run/RunFind.h"
#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>
#include <gmock/gmock.h>

namespace mivanta {
namespace {

class ScriptureOnDesks : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        importDemoScripture();
    }
    [[nodiscard]] const Item& item(size_t at) const { return session->document().service().items[at]; }
    [[nodiscard]] const ItemSlides& slides(size_t at) const { return *session->book().slidesOf(item(at).id); }
    /// Rows of the hall's slides, one string a slide.
    [[nodiscard]] QStringList hall(size_t at) const {
        QStringList result;
        for (const Slide& slide : slides(at).outputs.front().slides) {
            QStringList rows;
            for (const FitRow& row : slide.rows)
                rows << row.text;
            result << rows.join(u' ');
        }
        return result;
    }
    QListView* results() {
        return window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
    }
};

TEST_F(ScriptureOnDesks, AReferenceAsItIsSaidGoesIntoTheOrderAndOnTheScreen) {
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"luk"_s);
    auto* help = window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QLabel*>(u"find-help"_s);
    ASSERT_TRUE(waitUntil([&] { return help->text().contains(u"Luke has only chapter 5"_s); }));
    press(Qt::Key_Tab); // moves on: the box stays
    EXPECT_EQ(child<QLineEdit>(u"prepare-find-box"_s)->text(), u"Luke "_s);
    type(u"five, verses one to eleven, and then from twenty-seven"_s);
    ASSERT_TRUE(waitUntil([&] { return help->text().startsWith(u"Luke 5:1\u201311, 27\u201339"_s); }));
    EXPECT_TRUE(waitUntil([&] { return help->text().contains(u"slides"_s); }));
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));
    EXPECT_EQ(titles().front(), u"Luke 5:1\u201311, 27\u201339 (QST)"_s);

    const ItemSlides& made = slides(0);
    for (const Slide& slide : made.outputs.front().slides)
        EXPECT_TRUE(slide.besideWords.contains(u"Luke 5:1\u201311, 27\u201339 (QST)"_s)); // on every slide
    EXPECT_TRUE(hall(0).join(u' ').endsWith(u"The old is good.\u201d"_s));

    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { // the player's own picture, not black
        const QImage picture = shown(u"hall"_s);
        return !picture.isNull() && picture.pixelColor(0, 0) != Qt::black;
    }));
    EXPECT_EQ(session->run().takenScenes().front().rows.front().text.left(13), u"1\u00a0One morning"_s);
}

TEST_F(ScriptureOnDesks, WhatIsWrongIsSaidAndAddsNothing) {
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"luke 99"_s);
    auto* help = window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QLabel*>(u"find-help"_s);
    ASSERT_TRUE(waitUntil([&] { return help->text().contains(u"no chapter 99"_s); }));
    press(Qt::Key_Return);
    settle();
    EXPECT_TRUE(titles().isEmpty());
}

TEST_F(ScriptureOnDesks, ANameOfSeveralBooksOffersThem) {
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"ge 1"_s); // only Genesis begins so
    ASSERT_TRUE(waitUntil([&] { return results()->model()->rowCount() > 0; }));
    EXPECT_EQ(results()->model()->index(0, 0).data().toString(), u"Genesis 1"_s);
    child<QLineEdit>(u"prepare-find-box"_s)->clear();
    type(u"l 5"_s);
    ASSERT_TRUE(waitUntil([&] { return results()->model()->index(0, 0).data().toString() == u"Luke 5"_s; }));
    child<QLineEdit>(u"prepare-find-box"_s)->clear();
    type(u"j 5"_s); // Jude, and nothing else here
    ASSERT_TRUE(waitUntil([&] { return results()->model()->index(0, 0).data().toString() == u"Jude 5"_s; }));
}

TEST_F(ScriptureOnDesks, TheTranslationsShortNameChoosesIt) {
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"luk 5 4 hmt"_s);
    ASSERT_TRUE(
        waitUntil([&] { return results()->model()->index(0, 0).data().toString() == u"Lukas 5:4"_s; }));
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));
    EXPECT_TRUE(hall(0).front().contains(u"Fahr hinaus"_s));
}

TEST_F(ScriptureOnDesks, VersesAreFoundByTheirWords) {
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"mesh began"_s);
    ASSERT_TRUE(
        waitUntil([&] { return results()->model()->index(0, 0).data().toString() == u"Luke 5:6"_s; }));
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Luke 5:6 (QST)"_s}; }));
}

TEST_F(ScriptureOnDesks, VersesTranslationAndLayoutChangeInPlace) {
    addByFind(u"ps 23"_s, u"Psalm 23"_s);
    const auto running = hall(0);
    auto* flow = child<QComboBox>(u"passage-flow"_s);
    ASSERT_TRUE(waitUntil([&] { return flow->isVisible(); }));
    flow->setFocus();
    press(Qt::Key_Down);
    press(Qt::Key_Down); // a verse a slide
    ASSERT_TRUE(waitUntil([&] { return hall(0).size() == 6; }));
    EXPECT_TRUE(hall(0)[5].startsWith(u"6\u00a0Goodness"_s));

    auto* beside = child<QComboBox>(u"passage-beside"_s);
    ASSERT_TRUE(waitUntil([&] { return beside->count() == 3; }));
    beside->setFocus();
    press(Qt::Key_Down);
    press(Qt::Key_Down);
    ASSERT_TRUE(waitUntil([&] { return item(0).passage()->words.size() == 2; }));
    EXPECT_EQ(titles().front(), u"Psalm 23 (QST, HMT)"_s);
    const FitRow& first = slides(0).outputs.front().slides.front().rows.front();
    EXPECT_TRUE(first.beside.contains(u"Gott"_s));

    auto* reference = child<QLineEdit>(u"passage-reference"_s);
    reference->setFocus();
    reference->selectAll();
    type(u"ps 23 v 1-2"_s);
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return titles().front() == u"Psalm 23:1\u20132 (QST, HMT)"_s; }));
    EXPECT_EQ(hall(0).size(), 2);

    for (int i = 0; i < 4; ++i)
        session->document().undoStack().undo();
    EXPECT_EQ(titles().front(), u"Psalm 23 (QST)"_s);
    EXPECT_EQ(hall(0), running);
}

TEST_F(ScriptureOnDesks, AnUnplannedReadingIsTakenAndTheOrderGoesOn) {
    addByFind(u"prayer of the crew"_s, u"Prayer of the crew"_s);
    addByFind(u"ps 93"_s, u"Psalm 93"_s);
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    ASSERT_TRUE(session->run().state().onScreen);
    const auto before = session->run().state();
    const auto onScreen = session->run().takenScenes();

    press(Qt::Key_F, Qt::ControlModifier);
    auto* find = child<RunFind>(u"run-find"_s);
    ASSERT_TRUE(waitUntil([&] { return find->isVisible(); }));
    type(u"jude 24-25"_s);
    auto* list = find->findChild<QListView*>(u"find-results"_s);
    ASSERT_TRUE(
        waitUntil([&] { return list->model()->index(0, 0).data().toString() == u"Jude 24\u201325"_s; }));
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return session->run().state().next != before.next; }));
    EXPECT_FALSE(find->isVisible());
    EXPECT_EQ(session->run().takenScenes(), onScreen); // looking changes no screen
    EXPECT_EQ(titles().size(), 2);                     // nor the order

    const Item* unplanned = session->book().unplannedItem(session->run().state().next->item);
    ASSERT_TRUE(unplanned);
    const size_t steps = session->book().slidesOf(unplanned->id)->steps.size();
    press(Qt::Key_Space);
    EXPECT_TRUE(session->run().takenScenes().front().besideWords.contains(u"Jude 24"_s));
    EXPECT_TRUE(child<QLabel>(u"run-where"_s)->text().contains(u"Unplanned"_s));
    for (size_t i = 1; i < steps; ++i)
        press(Qt::Key_Space);
    EXPECT_EQ(session->run().state().next, before.next); // where the order was left
    press(Qt::Key_Space);
    EXPECT_EQ(session->run().state().onScreen, before.next);
    EXPECT_FALSE(session->run().state().lineupNext);
}

TEST_F(ScriptureOnDesks, AnUnplannedReadingOutlivesTheDesks) {
    addByFind(u"ps 93"_s, u"Psalm 93"_s);
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    Passage passage = *item(0).passage();
    session->run().lookAtUnplanned(passageItem(passage));
    press(Qt::Key_Space);
    const RunState before = session->run().state();
    const QByteArray kept = session->run().keptState();
    SlideBook book(session->document(), shippedThemes());
    book.setOutputs(session->outputs().all());
    RunController again(book, session->document(), session->player());
    again.takeUp(kept);
    EXPECT_EQ(again.state(), before);
    EXPECT_FALSE(again.takenScenes().empty());
    again.take();
    EXPECT_NE(again.state(), before);
}

TEST_F(ScriptureOnDesks, ATextAsksWhatItWantsToKnowAndFillsItsFields) {
    answers->answered = u"Maren"_s;
    addByFind(u"notices for"_s, u"Notices for the week"_s);
    EXPECT_EQ(answers->questions, QStringList{u"who leads next Sunday"_s});
    EXPECT_TRUE(hall(0)[2].endsWith(u"Maren will lead us."_s));
    answers->answered = std::nullopt; // given up: not added
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(titles().size(), 1);

    auto* answer = child<QLineEdit>(u"answer-who leads next Sunday"_s);
    answer->setFocus();
    answer->selectAll();
    type(u"Tam"_s);
    EXPECT_TRUE(hall(0)[2].endsWith(u"Tam will lead us."_s));
    session->document().undoStack().undo(); // one visit is one step
    EXPECT_TRUE(hall(0)[2].endsWith(u"Maren will lead us."_s));
}

TEST_F(ScriptureOnDesks, WordsOfATextChangeInTheServiceOnly) {
    addByFind(u"prayer of the crew"_s, u"Prayer of the crew"_s);
    auto* words = child<QPlainTextEdit>(u"text-words"_s);
    words->setFocus();
    words->moveCursor(QTextCursor::End);
    type(u" Shalom"_s);
    EXPECT_TRUE(hall(0).last().endsWith(u"Amen. Shalom"_s));
    EXPECT_TRUE(waitUntil([&] { return child<QWidget>(u"text-take-library"_s)->isVisible(); }));
    bool same = false;
    session->library().ask<SpokenText>(
        window.get(), [id = item(0).text()->text->id](Library& library) { return library.texts().text(id); },
        [&](const Result<SpokenText>& stored) {
            same = stored && !stored->lines.back().words.contains(u"Shalom"_s);
        });
    EXPECT_TRUE(waitUntil([&] { return same; }));
}

} // namespace
} // namespace mivanta
