// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include <QListView>
#include <QMimeData>
#include <QPushButton>
#include <QTextBrowser>

namespace mivanta {
namespace {

class BringingIn : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemo();
    }
    void write(const QString& name, const QString& text) {
        QDir(folder.path()).mkpath(u"in"_s);
        QFile out(folder.filePath(u"in/"_s + name));
        ASSERT_TRUE(out.open(QIODevice::WriteOnly));
        out.write(text.toUtf8());
    }
    /// A folder with one new song, and two that are like songs of the demo.
    void writeTwins() {
        QFile known(QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/songs/every-tide.txt"));
        ASSERT_TRUE(known.open(QIODevice::ReadOnly));
        QString words = QString::fromUtf8(known.readAll());
        write(u"1.txt"_s, QString(words).replace(u"Every Tide"_s, u"Turning of the Tide"_s));
        write(u"2.txt"_s, u"Title: Lantern on the Water\n\nVerse 1\nNothing that anyone sang before\n"_s);
        write(u"3.txt"_s, u"Title: Quite New\n\nVerse 1\nA heron stands where no one knows it\n"_s);
    }
    void openReview() {
        answers->folder = folder.filePath(u"in"_s);
        press(Qt::Key_I, Qt::ControlModifier | Qt::ShiftModifier);
        ASSERT_TRUE(waitUntil([&] { return review()->isVisible(); }));
    }
    QWidget* review() { return child<QWidget>(u"import-review"_s); }
    QListView* list() { return child<QListView>(u"import-list"_s); }
    QString row(int at) { return list()->model()->index(at, 0).data().toString(); }
    QString finding() { return child<QLabel>(u"import-finding"_s)->text(); }
    QPushButton* bringIn() { return child<QPushButton>(u"import-bring-in"_s); }
    QString find(const QString& query) {
        QString first;
        bool answered = false;
        session->library().find(window.get(), {query, FindSongs, {}}, [&](const Result<FindResult>& found) {
            first = found && !found->hits.empty() ? titleOf(found->hits.front()) : QString();
            answered = true;
        });
        EXPECT_TRUE(waitUntil([&] { return answered; }));
        return first;
    }
};

TEST_F(BringingIn, AFolderWithTwinsIsDecidedByKeys) {
    writeTwins();
    openReview();
    EXPECT_EQ(row(0), u"Turning of the Tide"_s); // what is to decide stands first
    EXPECT_EQ(row(1), u"Lantern on the Water"_s);
    EXPECT_EQ(row(2), u"Quite New"_s);
    EXPECT_TRUE(finding().contains(u"mostly the words of \u201cEvery Tide\u201d"_s))
        << finding().toStdString();
    EXPECT_TRUE(
        review()->findChild<QTextBrowser*>(u"compare-view"_s)->toPlainText().contains(u"In the library"_s));
    EXPECT_EQ(bringIn()->text(), u"Bring in 1 song \u00b7 2 undecided stay out"_s);
    press(Qt::Key_M); // merge the first; the next one to decide is chosen by itself
    EXPECT_TRUE(finding().contains(u"a song that has other words"_s));
    press(Qt::Key_A);
    EXPECT_EQ(bringIn()->text(), u"Bring in 3 songs"_s);
    press(Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"2 added, 1 changed"_s); }));
    EXPECT_FALSE(review()->isVisible());
    EXPECT_EQ(find(u"turning of the tide"_s), u"Every Tide"_s); // as its other title
    EXPECT_EQ(find(u"anyone sang before"_s), u"Lantern on the Water"_s);
    EXPECT_EQ(find(u"heron stands"_s), u"Quite New"_s);
}

TEST_F(BringingIn, WhatIsUndecidedStaysOutAndNothingIsOverwritten) {
    writeTwins();
    openReview();
    press(Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"1 added"_s); }));
    EXPECT_TRUE(window->notices()->text().contains(u"2 left out"_s));
    EXPECT_NE(find(u"turning of the tide"_s), u"Turning of the Tide"_s);
    EXPECT_NE(find(u"anyone sang before"_s), u"Lantern on the Water"_s);
}

TEST_F(BringingIn, CanWaitAndCanBeGivenUp) {
    writeTwins();
    openReview();
    press(Qt::Key_Escape);
    EXPECT_FALSE(review()->isVisible());
    auto* waiting = child<QPushButton>(u"import-waiting"_s);
    ASSERT_TRUE(waiting->isVisible());
    EXPECT_TRUE(waiting->text().contains(u"3 songs wait"_s));
    QTest::mouseClick(waiting, Qt::LeftButton);
    EXPECT_TRUE(review()->isVisible());
    QTest::mouseClick(child<QPushButton>(u"decide-replace"_s), Qt::LeftButton);
    EXPECT_EQ(bringIn()->text(), u"Bring in 2 songs \u00b7 1 undecided stays out"_s);
    QTest::mouseClick(child<QPushButton>(u"import-give-up"_s), Qt::LeftButton);
    EXPECT_FALSE(review()->isVisible());
    EXPECT_FALSE(waiting->isVisible());
    EXPECT_EQ(find(u"heron stands"_s), QString());
}

TEST_F(BringingIn, OneDecisionForAllOfAKind) {
    for (const QString& title : {u"Lantern on the Water"_s, u"Every Tide"_s, u"Morning over Quillhaven"_s})
        write(title + u".txt"_s, u"Title: %1\n\nVerse 1\nHere is another song, %1\n"_s.arg(title));
    openReview();
    press(Qt::Key_L, Qt::ShiftModifier);
    EXPECT_EQ(bringIn()->text(), u"Bring in 0 songs"_s);
}

TEST_F(BringingIn, TheSameSongsAgainNeedNoDecision) {
    answers->folder = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/songs");
    press(Qt::Key_I, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"14 unchanged"_s); }));
    EXPECT_FALSE(review()->isVisible());
}

TEST_F(BringingIn, ReadingCanBeStopped) {
    for (int i = 0; i < 3000; ++i)
        write(u"%1.txt"_s.arg(i), u"Title: Song %1\n\nVerse 1\nline %1\n"_s.arg(i));
    answers->folder = folder.filePath(u"in"_s);
    auto* stop = child<QPushButton>(u"import-stop"_s);
    press(Qt::Key_1, Qt::AltModifier);
    press(Qt::Key_I, Qt::ControlModifier | Qt::ShiftModifier);
    QObject::connect(&session->library(), &LibraryClient::importProgress, stop, [&] {
        if (stop->isVisible())
            QTest::mouseClick(stop, Qt::LeftButton);
    });
    ASSERT_TRUE(waitUntil([&] { return review()->isVisible(); }, 120'000));
    EXPECT_TRUE(child<QLabel>(u"import-counts"_s)->text().contains(u"stopped before the end"_s));
    EXPECT_LT(list()->model()->rowCount(), 3000);
}

TEST_F(BringingIn, DroppedFilesAreReviewedToo) {
    writeTwins();
    press(Qt::Key_1, Qt::AltModifier);
    QMimeData data;
    data.setUrls({QUrl::fromLocalFile(folder.filePath(u"in/3.txt"_s))});
    auto* desk = child<QWidget>(u"song-library"_s);
    QDragEnterEvent enter(desk->rect().center(), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(desk, &enter);
    ASSERT_TRUE(enter.isAccepted());
    QDropEvent drop(desk->rect().center(), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(desk, &drop);
    ASSERT_TRUE(waitUntil([&] { return review()->isVisible(); }));
    EXPECT_EQ(list()->model()->rowCount(), 1);
    EXPECT_TRUE(
        review()->findChild<QTextBrowser*>(u"compare-view"_s)->toPlainText().contains(u"A heron stands"_s));
}

} // namespace
} // namespace mivanta
