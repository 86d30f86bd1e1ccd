// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/NoticeBar.h"
#include "desk/kit/PictureView.h"
#include "desk/prepare/Bench.h"
#include "desk/prepare/OrderSheet.h"
#include "desk/run/RunDesk.h"
#include "desk/window/Header.h"
#include "desk/window/MainWindow.h"
#include "store/ServiceStore.h"
#include "store/Settings.h"
#include "support/Golden.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QApplication>
#include <QDir>
#include <QKeyEvent>
#include <QLabel>
#include <QPrinter>
#include <QSettings>
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>

namespace mivanta {

/// Answers set beforehand, in place of dialogs.
class Answers : public Prompts {
public:
    QString open;
    QString saveTo;
    QStringList files;
    QString folder;
    QString typed;
    Unsaved unsaved = Unsaved::Cancel;
    bool quit = false;
    int asked = 0;
    QStringList questions;
    std::optional<QString> answered = QString();

    [[nodiscard]] QString serviceToOpen() override { return open; }
    [[nodiscard]] QString whereToSave(const QString&) override { return saveTo; }
    [[nodiscard]] QStringList songFilesToImport() override { return files; }
    [[nodiscard]] QString songFolderToImport() override { return folder; }
    [[nodiscard]] QString whereToExport(const QString&) override { return saveTo; }
    [[nodiscard]] QString folderToSendTo() override { return folder; }
    [[nodiscard]] bool choosePrinter(QPrinter& printer) override {
        printer.setOutputFormat(QPrinter::PdfFormat);
        printer.setOutputFileName(saveTo);
        return !saveTo.isEmpty();
    }
    [[nodiscard]] Unsaved unsavedSong(const QString&) override {
        ++asked;
        return unsaved;
    }
    [[nodiscard]] bool emptyBin(int) override {
        ++asked;
        return quit;
    }
    [[nodiscard]] bool agree(const QString& question, const QString&) override {
        questions << question;
        return quit;
    }
    [[nodiscard]] bool removeForGood(const QString&) override {
        ++asked;
        return quit;
    }
    [[nodiscard]] QString text(const QString&, const QString&) override { return typed; }
    [[nodiscard]] std::optional<QString> answer(const QString&, const QString& question) override {
        questions << question;
        return answered;
    }
    [[nodiscard]] QString scriptureFileToImport() override { return files.value(0); }
    [[nodiscard]] QString scriptureFolderToImport() override { return folder; }
    [[nodiscard]] QStringList textFilesToImport() override { return files; }
    [[nodiscard]] QStringList themeFilesToImport() override { return files; }
    [[nodiscard]] QString pictureToChoose() override { return files.value(0); }
    [[nodiscard]] QStringList picturesToChoose() override { return files; }
    [[nodiscard]] QString soundToChoose() override { return files.value(0); }
    [[nodiscard]] QString folderToLookIn() override { return folder; }
    [[nodiscard]] bool deleteTheme(const QString&, const QString& warning) override {
        ++asked;
        questions << warning;
        return quit;
    }
    [[nodiscard]] Unsaved unsavedWork(const QString&) override {
        ++asked;
        return unsaved;
    }
    [[nodiscard]] bool packNow(const QString& what) override {
        questions << what;
        return quit;
    }
    WhileOnScreen whileOnScreen = WhileOnScreen::Stay;
    [[nodiscard]] WhileOnScreen openWhileOnScreen(const QString& running, const QString& other) override {
        questions << running + u" / "_s + other;
        return whileOnScreen;
    }
    [[nodiscard]] bool logOutWhileOnScreen() override {
        ++asked;
        return quit;
    }
    [[nodiscard]] bool quitWhileOnScreen() override {
        ++asked;
        return quit;
    }
};

/// The real window with a real library and the real player, without a monitor.
class WindowTest : public ::testing::Test {
protected:
    void SetUp() override {
        libraryFolder = folder.filePath(u"library"_s);
        // Settings of its own: tests run beside each other.
        QSettings::setPath(QSettings::NativeFormat, QSettings::UserScope, folder.filePath(u"config"_s));
        open();
    }

    void TearDown() override {
        if (session)
            session->player().quit();
        window.reset();
        session.reset();
        QDir(sessionFolder(libraryFolder)).removeRecursively();
    }

    void open(const QString& file = {}) {
        session = std::make_unique<Session>(Session::Options{
            libraryFolder, file, false, program, QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player")});
        auto given = std::make_unique<Answers>();
        answers = given.get();
        window = std::make_unique<MainWindow>(*session, std::move(given));
        window->resize(1280, 800);
        window->show();
        bool ready = false;
        const auto waiting =
            QObject::connect(session.get(), &Session::ready, window.get(), [&] { ready = true; });
        session->start();
        ASSERT_TRUE(
            waitUntil([&] { return ready && (session->library().isOpen() || session->library().error()); }));
        QObject::disconnect(waiting);
        window->activateWindow();
        ASSERT_TRUE(waitUntil([&] { return window->isActiveWindow(); }));
    }

    /// Ends without a question and without saving, as a kill does, once what is unsaved is on the disk; and
    /// begins again.
    void dieAndComeBack(const QString& unsavedFile) {
        ASSERT_TRUE(waitUntil([&] { return QFile::exists(libraryFolder + u'/' + unsavedFile); }));
        QTest::qWait(500); // the last letters
        window.reset();
        session.reset();
        open();
        ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"not saved last time"_s); }));
    }

    void importDemo() {
        bool done = false;
        QObject::connect(
            &session->library(), &LibraryClient::importFinished, window.get(), [&] { done = true; },
            Qt::SingleShotConnection);
        answers->folder = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/songs");
        press(Qt::Key_I, Qt::ControlModifier | Qt::ShiftModifier);
        auto* review = child<QWidget>(u"import-review"_s);
        ASSERT_TRUE(waitUntil([&] { return review->isVisible(); }));
        press(Qt::Key_Return, Qt::ControlModifier);
        ASSERT_TRUE(waitUntil([&] { return done; }));
    }

    /// Scripture and texts of the demo, by the keys of the Library desk.
    void importDemoScripture() {
        const QString demo = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo");
        int done = 0;
        const auto counting =
            QObject::connect(&session->library(), &LibraryClient::changed, window.get(), [&] { ++done; });
        press(Qt::Key_1, Qt::AltModifier);
        press(Qt::Key_2, Qt::AltModifier | Qt::ShiftModifier);
        answers->folder = demo + u"/scripture/quayside"_s;
        press(Qt::Key_I, Qt::ControlModifier | Qt::ShiftModifier);
        ASSERT_TRUE(waitUntil([&] { return done == 1; }));
        answers->files = {demo + u"/scripture/hafenmuster.osis.xml"_s};
        press(Qt::Key_I, Qt::ControlModifier);
        ASSERT_TRUE(waitUntil([&] { return done == 2; }));
        press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
        answers->files = {demo + u"/texts"_s};
        press(Qt::Key_I, Qt::ControlModifier);
        ASSERT_TRUE(waitUntil([&] { return done == 3; }, 60'000));
        QObject::disconnect(counting);
        press(Qt::Key_1, Qt::AltModifier | Qt::ShiftModifier);
        press(Qt::Key_2, Qt::AltModifier);
    }

    /// A key to whatever has the focus, as from a keyboard.
    void press(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        QWidget* target = QApplication::focusWidget() ? QApplication::focusWidget() : window.get();
        QTest::keyClick(target, key, modifiers);
    }
    void type(const QString& text) {
        for (const QChar c : text) {
            if (c == u'\n') {
                press(Qt::Key_Return);
            } else if (c.unicode() < 0x80) {
                QTest::keyClicks(QApplication::focusWidget(), c);
            } else { // QTest has names for the keys of ASCII only
                QKeyEvent pressed(QEvent::KeyPress, 0, Qt::NoModifier, c);
                QApplication::sendEvent(QApplication::focusWidget(), &pressed);
            }
        }
    }

    /// The one that is seen, when several desks have a widget of the name.
    template <typename T>
    T* child(const QString& name) {
        T* found = nullptr;
        for (T* each : window->findChildren<T*>(name)) {
            const auto* widget = qobject_cast<const QWidget*>(each);
            if (!found || (widget && widget->isVisible()))
                found = each;
        }
        EXPECT_TRUE(found) << name.toStdString();
        auto* bench = window->findChild<Bench*>();
        if (const auto* widget = qobject_cast<const QWidget*>(found); widget && bench)
            bench->reveal(widget); // as a click on its tab does
        return found;
    }

    QWidget* desk(const QString& name) { return window->findChild<QWidget*>(name); }
    /// What is read on it now.
    QStringList textsOf(const QString& deskName) {
        QStringList texts;
        for (const QLabel* label : desk(deskName)->findChildren<QLabel*>())
            if (label->isVisible())
                texts << label->text();
        return texts;
    }

    [[nodiscard]] QStringList titles() const {
        QStringList result;
        for (const Item& item : session->document().service().items)
            result << item.title();
        return result;
    }

    /// Finds a song on the Prepare desk and adds it, by keys alone.
    void addByFind(const QString& words, const QString& title) {
        press(Qt::Key_F, Qt::ControlModifier);
        type(words);
        auto* list = window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
        ASSERT_TRUE(waitUntil([&] { return list->currentIndex().data().toString() == title; }))
            << title.toStdString();
        const auto before = session->document().service().items.size();
        press(Qt::Key_Return);
        ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == before + 1; }));
    }

    /// What the player really shows, small.
    [[nodiscard]] QImage shown(const QString& output) const {
        const auto picture = session->player().frame(output);
        return QImage(reinterpret_cast<const uchar*>(picture.bits.constData()), picture.size.width(),
                      picture.size.height(), picture.size.width() * 4, QImage::Format_ARGB32_Premultiplied)
            .copy();
    }

    QTemporaryDir folder;
    QString libraryFolder;
    QString program; ///< to be started again after a crash; usually none
    std::unique_ptr<Session> session;
    std::unique_ptr<MainWindow> window;
    Answers* answers = nullptr;
};

} // namespace mivanta
