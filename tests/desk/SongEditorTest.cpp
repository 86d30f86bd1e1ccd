// SPDX-License-Identifier: GPL-3.0-or-later
#include "EditorTest.h"
#include "core/song/SingingOrder.h"
#include "desk/song/Speller.h"
#include <QClipboard>
#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QStandardPaths>
#include <QToolButton>

namespace mivanta {
namespace {

TEST_F(Editor, AnEmailWithChordsOverWordsBecomesASongInTheLibrary) {
    newSong(u"Anchor Song"_s);
    QGuiApplication::clipboard()->setText(
        u"> Verse 1\n>       G            Em\n> When the harbour bell is ringing \n>\n>\n> Chorus\n"
        "> C       G\n> Shine on,  shine on\n>\n> Verse 2\n> The \u201cwind\u201d has turned\n>\n> Chorus\n"_s);
    press(Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(labels(), (QStringList{u"Verse 1"_s, u"Chorus"_s, u"Verse 2"_s}));
    EXPECT_EQ(words()->parts()[0].lines[0].chords, (std::vector<ChordMark>{{6, u"G"_s}, {19, u"Em"_s}}));
    EXPECT_EQ(order()->text(), u"V1 C V2 C"_s);
    auto* message = child<QLabel>(u"editor-message"_s);
    EXPECT_TRUE(message->isVisible());
    EXPECT_TRUE(message->text().contains(u"chords over 2 lines"_s)) << message->text().toStdString();
    press(Qt::Key_Z, Qt::ControlModifier); // one undo takes all of it back
    EXPECT_EQ(words()->parts().size(), 1u);
    EXPECT_EQ(words()->toPlainText(), QString());
    press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    save();
    const Song song = stored(u"Anchor Song"_s);
    EXPECT_EQ(song.parts.size(), 3u);
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C"_s);
    EXPECT_EQ(song.parts[1].lines[0].words, u"Shine on, shine on"_s);
}

TEST_F(Editor, AVerseIsSplitAtABreathAndJoinedAgain) {
    importDemo();
    openSong(u"every tide"_s, u"Every Tide"_s);
    const auto before = words()->parts();
    press(Qt::Key_Down); // before the second line
    press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_TRUE(words()->parts()[0].lines[1].breakBefore);
    press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_FALSE(words()->parts()[0].lines[1].breakBefore);
    for (int i = 0; i < 5; ++i)
        press(Qt::Key_Right);
    press(Qt::Key_Return, Qt::ControlModifier); // in the middle of a line: the line is parted there
    EXPECT_EQ(words()->parts()[0].lines.size(), before[0].lines.size() + 1);
    EXPECT_TRUE(words()->parts()[0].lines[2].breakBefore);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(words()->parts()[0].lines, before[0].lines);
    press(Qt::Key_Return, Qt::ControlModifier | Qt::ShiftModifier); // the part itself
    EXPECT_EQ(words()->parts().size(), before.size() + 1);
    EXPECT_EQ(words()->place().part, 1);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(words()->parts().size(), before.size());
}

TEST_F(Editor, AnOrderWithAMistakeIsMarkedAndMended) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s);
    const auto before = words()->parts().size();
    order()->setFocus();
    press(Qt::Key_A, Qt::ControlModifier);
    type(u"v1 c v3 _ b (half time) c x2"_s);
    auto* meaning = child<QLabel>(u"order-meaning"_s);
    EXPECT_TRUE(meaning->text().contains(u"<b>v3</b>"_s)) << meaning->text().toStdString();
    EXPECT_TRUE(meaning->text().contains(u">V1</a>"_s));
    EXPECT_TRUE(child<QListWidget>(u"order-chips"_s)->count() > 0);
    Q_EMIT meaning->linkActivated(u"2:V2"_s);
    EXPECT_FALSE(meaning->text().contains(u"no part"_s));
    press(Qt::Key_Return);
    EXPECT_EQ(order()->text(), u"V1 C V2 _ B (half time) C x2"_s);
    EXPECT_EQ(child<QListWidget>(u"order-chips"_s)->count(), 6);
    EXPECT_EQ(words()->parts().size(), before);
    save();
    EXPECT_EQ(singingOrderText(stored(u"lantern"_s)), u"V1 C V2 _ B (half time) C x2"_s);
}

TEST_F(Editor, ChipsMoveRepeatAndGoByKeys) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s);
    auto* chips = child<QListWidget>(u"order-chips"_s);
    chips->setFocus();
    chips->setCurrentRow(1);
    press(Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(order()->text(), u"Intro C V1 V2 C B C x2"_s);
    press(Qt::Key_Plus);
    EXPECT_EQ(order()->text(), u"Intro C V1 x2 V2 C B C x2"_s);
    press(Qt::Key_Delete);
    EXPECT_EQ(order()->text(), u"Intro C V2 C B C x2"_s);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(order()->text(), u"Intro C V1 x2 V2 C B C x2"_s);
}

TEST_F(Editor, ChordsAreTypedInBracketsOrSetAtTheCaret) {
    newSong(u"Chords"_s);
    type(u"shine [G]on and [Em7]on [chorus]"_s);
    EXPECT_EQ(words()->parts()[0].lines[0].words, u"shine on and on [chorus]"_s);
    EXPECT_EQ(words()->parts()[0].lines[0].chords, (std::vector<ChordMark>{{6, u"G"_s}, {13, u"Em7"_s}}));
    press(Qt::Key_Home);
    press(Qt::Key_K, Qt::ControlModifier);
    ASSERT_TRUE(child<QLineEdit>(u"chord-box"_s)->hasFocus());
    type(u"D/F#"_s);
    press(Qt::Key_Return);
    EXPECT_EQ(words()->parts()[0].lines[0].chords.front(), (ChordMark{0, u"D/F#"_s}));
    type(u"Oh "_s);
    EXPECT_EQ(words()->parts()[0].lines[0].chords.front(), (ChordMark{3, u"D/F#"_s}));
    QTest::mouseClick(child<QToolButton>(u"song-up"_s), Qt::LeftButton);
    EXPECT_EQ(words()->parts()[0].lines[0].chords.front().name.left(1), u"E"_s);
}

TEST_F(Editor, WordsMayBeBoldAndItalic) {
    newSong(u"Weight"_s);
    type(u"a quiet night"_s);
    press(Qt::Key_Left, Qt::ControlModifier | Qt::ShiftModifier);
    press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_EQ(words()->parts()[0].lines[0].emphasis, (std::vector<Emphasis>{{8, 13, false, true}}));
    press(Qt::Key_F3);
    EXPECT_EQ(child<QPlainTextEdit>(u"whole-text"_s)->toPlainText(), u"# Verse 1\na quiet *night*\n"_s);
}

TEST_F(Editor, TheWholeTextAndThePartsAreTheSameSong) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s);
    const auto before = words()->parts();
    press(Qt::Key_F3);
    auto* text = child<QPlainTextEdit>(u"whole-text"_s);
    ASSERT_TRUE(text->hasFocus());
    press(Qt::Key_End, Qt::ControlModifier);
    type(u"# Tag\nhome at last\n"_s);
    press(Qt::Key_F2);
    ASSERT_EQ(words()->parts().size(), before.size() + 1);
    EXPECT_EQ(words()->parts().back().label(), u"Tag"_s);
    for (size_t i = 0; i < before.size(); ++i) {
        EXPECT_EQ(words()->parts()[i].id, before[i].id);
        EXPECT_EQ(words()->parts()[i].lines, before[i].lines);
    }
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(words()->parts().size(), before.size());
}

TEST_F(Editor, AChangedSongIsAskedAboutBeforeAnotherIsOpened) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s);
    type(u"Oh "_s);
    EXPECT_TRUE(child<QPushButton>(u"save-song"_s)->isVisible());
    answers->unsaved = Prompts::Unsaved::Cancel;
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"every tide"_s);
    auto* results = child<QListView>(u"find-results"_s);
    ASSERT_TRUE(waitUntil([&] { return results->currentIndex().data().toString() == u"Every Tide"_s; }));
    EXPECT_EQ(answers->asked, 0); // looking is no leaving
    press(Qt::Key_Down);
    EXPECT_EQ(answers->asked, 1);
    EXPECT_EQ(titleShown(), u"Lantern on the Water"_s);
    EXPECT_TRUE(child<QPushButton>(u"save-song"_s)->isVisible());
    QTest::mouseClick(child<QPushButton>(u"revert-song"_s), Qt::LeftButton);
    EXPECT_FALSE(child<QPushButton>(u"save-song"_s)->isVisible());
    EXPECT_TRUE(stored(u"lantern"_s).parts[1].lines[0].words.startsWith(u"When"_s));
}

TEST_F(Editor, SavedTwiceInARowAndTypedInBetweenNothingIsLostOrRefused) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s);
    const QString told = window->notices()->text(); // of the songs that were brought in
    const int part = words()->place().part;
    type(u"Oh "_s);
    press(Qt::Key_S, Qt::ControlModifier);
    type(u"my "_s); // before the answer comes
    press(Qt::Key_S, Qt::ControlModifier);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return !child<QPushButton>(u"save-song"_s)->isVisible(); }));
    EXPECT_EQ(window->notices()->text(), told);
    EXPECT_EQ(stored(u"lantern"_s).parts[size_t(part)].lines[0].words, u"Oh my"_s);
}

TEST_F(Editor, PartsAreChangedByTheirMenuAndByKeys) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s); // Intro, Verse 1, Chorus, Verse 2, Bridge
    const auto choose = [&](const QString& text) {
        QTest::mouseClick(child<QToolButton>(u"part-menu"_s), Qt::LeftButton);
        auto* menu = child<QMenu>(u"part-actions"_s);
        QList<QAction*> actions = menu->actions();
        for (QAction* action : menu->actions())
            if (action->menu())
                actions << action->menu()->actions();
        const auto at = std::find_if(actions.begin(), actions.end(),
                                     [&](QAction* action) { return action->text().startsWith(text); });
        ASSERT_NE(at, actions.end()) << text.toStdString();
        (*at)->trigger();
        menu->close();
        QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    };
    words()->setPlace({2, 0, 0});
    choose(u"Tag"_s);
    EXPECT_EQ(labels()[2], u"Tag"_s);
    EXPECT_EQ(order()->text(), u"Intro V1 T V2 T B T x2"_s); // the order follows
    choose(u"Band only"_s);
    EXPECT_TRUE(words()->parts()[2].bandOnly);
    answers->typed = u"Call to prayer"_s;
    choose(u"Another name"_s);
    EXPECT_EQ(labels()[2], u"Call to prayer"_s);
    answers->typed = u"softly"_s;
    choose(u"Note for"_s);
    EXPECT_EQ(words()->parts()[2].comment, u"softly"_s);
    words()->setPlace({1, 0, 0});
    press(Qt::Key_Down, Qt::AltModifier);
    EXPECT_EQ(labels()[2], u"Verse 1"_s);
    EXPECT_EQ(words()->place().part, 2); // the caret goes with it
    press(Qt::Key_Up, Qt::AltModifier);
    press(Qt::Key_D, Qt::ControlModifier);
    EXPECT_EQ(labels().mid(0, 3), (QStringList{u"Intro"_s, u"Verse 1"_s, u"Verse 2"_s}));
    press(Qt::Key_Delete, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(labels().size(), 5);
    press(Qt::Key_J, Qt::ControlModifier);
    EXPECT_EQ(labels().size(), 4);
    QMenu* add = child<QToolButton>(u"add-part"_s)->menu();
    Q_EMIT add->aboutToShow();
    add->actions()[3]->trigger(); // Bridge
    EXPECT_EQ(labels().size(), 5);
    EXPECT_TRUE(labels()[words()->place().part].startsWith(u"Bridge"_s));
    QTest::mouseClick(child<QPushButton>(u"revert-song"_s), Qt::LeftButton);
    EXPECT_EQ(labels(), (QStringList{u"Intro"_s, u"Verse 1"_s, u"Chorus"_s, u"Verse 2"_s, u"Bridge"_s}));
}

TEST_F(Editor, SeveralOrdersAreNamedChosenAndRemoved) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s);
    auto* names = child<QComboBox>(u"order-names"_s);
    const QString full = order()->text();
    const auto choose = [&](const QString& text) {
        const int at = names->findText(text, Qt::MatchStartsWith);
        ASSERT_GE(at, 0) << text.toStdString();
        names->setCurrentIndex(at);
        Q_EMIT names->activated(at);
    };
    answers->typed = u"Short"_s;
    choose(u"Another order"_s);
    order()->setFocus();
    press(Qt::Key_A, Qt::ControlModifier);
    type(u"v1 c"_s);
    EXPECT_EQ(names->currentText(), u"Short"_s);
    choose(u"Full"_s);
    EXPECT_EQ(order()->text(), full);
    answers->typed = u"Whole"_s;
    choose(u"Rename"_s);
    save();
    Song song = stored(u"lantern"_s);
    EXPECT_EQ(song.orderName, u"Whole"_s);
    ASSERT_EQ(song.otherOrders.size(), 1u);
    EXPECT_EQ(singingOrderText(song.otherOrders[0].entries, song.parts), u"V1 C"_s);
    choose(u"Remove"_s);
    EXPECT_EQ(order()->text(), u"V1 C"_s);
}

TEST_F(Editor, DetailsAreTypedAndGapsAreShownGently) {
    newSong(u"Plain"_s);
    press(Qt::Key_F6);
    EXPECT_TRUE(child<QLabel>(u"details-gaps"_s)->text().contains(u"licence number"_s));
    const auto fill = [&](const QString& name, const QString& text) {
        child<QLineEdit>(u"detail-"_s + name)->setFocus();
        type(text);
    };
    fill(u"words-by"_s, u"I. Tarnwell; P. Osk"_s);
    fill(u"books"_s, u"Shore Hymnal 203; Harbour Book 12a"_s);
    fill(u"licence"_s, u"550 77"_s);
    fill(u"copyright"_s, u"2026 Quillhaven Songs"_s);
    fill(u"topics"_s, u"harbour, evening"_s);
    fill(u"tempo"_s, u"72"_s);
    EXPECT_FALSE(child<QLabel>(u"details-gaps"_s)->isVisible());
    save();
    const Song song = stored(u"Plain"_s);
    EXPECT_EQ(song.authorNames(AuthorRole::Words), (QStringList{u"I. Tarnwell"_s, u"P. Osk"_s}));
    EXPECT_EQ(song.bookNumbers,
              (std::vector<BookNumber>{{u"Shore Hymnal"_s, u"203"_s}, {u"Harbour Book"_s, u"12a"_s}}));
    EXPECT_EQ(song.topics, (QStringList{u"harbour"_s, u"evening"_s}));
    EXPECT_EQ(song.tempo, 72);
}

TEST_F(Editor, MisspeltWordsAreMarkedAndMended) {
    if (Speller::dictionariesFor(u"en"_s).isEmpty())
        GTEST_SKIP() << "no English dictionary here";
    const auto choose = [&](const QString& text) {
        QTest::mouseClick(child<QToolButton>(u"part-menu"_s), Qt::LeftButton);
        QMenu* menu = nullptr;
        ASSERT_TRUE(waitUntil([&] {
            menu = window->findChild<QMenu*>(u"part-actions"_s);
            return menu && menu->isVisible();
        }));
        const auto actions = menu->actions();
        const auto at = std::find_if(actions.begin(), actions.end(),
                                     [&](QAction* action) { return action->text().contains(text); });
        ASSERT_NE(at, actions.end()) << text.toStdString();
        (*at)->trigger();
        menu->close();
        QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    };
    newSong(u"Spelling"_s);
    type(u"we have seen your kindnes"_s);
    ASSERT_TRUE(waitUntil([&] { return words()->wrongWord() == u"kindnes"_s; }));
    choose(u"kindness"_s);
    EXPECT_EQ(words()->parts()[0].lines[0].words, u"we have seen your kindness"_s);
    words()->setFocus();
    press(Qt::Key_End);
    type(u" Quillhavn"_s);
    ASSERT_TRUE(waitUntil([&] { return words()->wrongWord() == u"Quillhavn"_s; }));
    choose(u"remember it"_s);
    EXPECT_EQ(words()->wrongWord(), QString());
    EXPECT_TRUE(waitUntil([&] {
        QFile own(libraryFolder + u"/own-words.txt"_s);
        return own.open(QIODevice::ReadOnly) && own.readAll() == "Quillhavn\n";
    }));
}

TEST_F(Editor, WithoutADictionaryTheEditorSaysSo) {
    newSong(u"Fremd"_s);
    press(Qt::Key_F6);
    child<QLineEdit>(u"detail-language"_s)->setFocus();
    type(u"tlh"_s);
    press(Qt::Key_F2);
    auto* note = child<QLabel>(u"spelling"_s);
    EXPECT_TRUE(waitUntil([&] { return note->text().contains(u"not checked"_s); }));
    EXPECT_TRUE(note->toolTip().contains(u"hunspell-tlh"_s));
    type(u"anything goez"_s);
    EXPECT_TRUE(words()->wrongWord().isEmpty());
}

TEST_F(Editor, ABrokenDictionaryMarksNothing) {
    QDir own(QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation));
    ASSERT_TRUE(own.mkpath(u"hunspell"_s) && own.cd(u"hunspell"_s));
    const auto write = [&](const QString& name, const QByteArray& bytes) {
        QFile file(own.filePath(name));
        ASSERT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(bytes);
    };
    write(u"tlh.aff"_s, "SET UTF-8\n");
    write(u"tlh.dic"_s, "48000\nqap\n"); // cut off
    EXPECT_TRUE(Speller::dictionariesFor(u"tlh"_s).isEmpty());
    write(u"tlh.dic"_s, QByteArray(500, '\x9b'));
    EXPECT_TRUE(Speller::dictionariesFor(u"tlh"_s).isEmpty());
    write(u"tlh.dic"_s, "2\nqap\nbom\n");
    EXPECT_EQ(Speller::dictionariesFor(u"tlh"_s).size(), 1);
    ASSERT_TRUE(own.remove(u"tlh.dic"_s) && own.remove(u"tlh.aff"_s));
}

TEST_F(Editor, TheChartIsWrittenAsAPdf) {
    importDemo();
    openSong(u"lantern"_s, u"Lantern on the Water"_s);
    press(Qt::Key_F4);
    answers->saveTo = folder.filePath(u"lantern.pdf"_s);
    QTest::mouseClick(child<QPushButton>(u"chart-pdf"_s), Qt::LeftButton);
    QFile file(answers->saveTo);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"lantern.pdf"_s); }));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_TRUE(file.read(5) == "%PDF-");
    EXPECT_GT(file.size(), 2000);
}

} // namespace
} // namespace mivanta
