// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "desk/kit/NoticeBar.h"
#include "desk/kit/PictureView.h"
#include "desk/library/LibraryDesk.h"
#include "desk/prepare/Bench.h"
#include "desk/prepare/OrderSheet.h"
#include "desk/run/RunDesk.h"
#include "desk/window/Header.h"
#include "desk/window/MainWindow.h"
#include "store/ServiceStore.h"
#include "store/ShippedThemes.h"
#include "store/ThisComputer.h"
#include "support/Golden.h"
#include "support/PretendedPlayer.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QApplication>
#include <QComboBox>
#include <QDir>
#include <QKeyEvent>
#include <QLabel>
#include <QPrinter>
#include <QSettings>
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>
#include <map>

namespace mivanta {

/// Answers set beforehand, in place of dialogs.
class Answers : public Prompts {
public:
    QString open;
    QString saveTo;
    QStringList files;
    QString folder;
    std::optional<int> rounds = 3; ///< in which a film of a loop comes
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
    [[nodiscard]] Unsaved unsavedRecord(const QString&) override {
        ++asked;
        return unsaved;
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
    [[nodiscard]] QStringList filmsToChoose() override { return files; }
    [[nodiscard]] QString soundToChoose() override { return files.value(0); }
    [[nodiscard]] QStringList soundsToChoose() override { return files; }
    [[nodiscard]] QStringList mediaToChoose() override { return files; }
    [[nodiscard]] QString folderToWatch() override { return folder; }
    [[nodiscard]] QString folderOfLoop() override { return folder; }
    [[nodiscard]] std::optional<int> everyRounds(const QString&, int) override { return rounds; }
    [[nodiscard]] QString folderToRecordInto() override { return folder; }
    [[nodiscard]] QString discImage() override { return files.value(0); }
    [[nodiscard]] QString discFolder() override { return folder; }
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
    bool onlyParts = false; ///< of films
    [[nodiscard]] HowToPack packNow(const QString& what, const QString& parts) override {
        questions << what + parts;
        return !quit ? HowToPack::NotAtAll : onlyParts ? HowToPack::OnlyParts : HowToPack::Whole;
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

/// The real window with a real library, without a monitor. The player is pretended, unless its pictures and
/// its sounds are the point.
class WindowTest : public ::testing::Test {
protected:
    enum class WithPlayer { Pretended, Real };
    explicit WindowTest(WithPlayer with = WithPlayer::Pretended) : m_with(with) {}

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
        // Each library has a player of its own.
        if (const QString there = sessionFolder(libraryFolder);
            m_with == WithPlayer::Pretended && !m_players.contains(there))
            m_players.emplace(there, std::make_unique<PretendedPlayer>(there));
        session = std::make_unique<Session>(
            Session::Options{libraryFolder, computer(), file, false, program, playerProgram()});
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

    [[nodiscard]] QString playerProgram() const {
        return m_with == WithPlayer::Real ? QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player") : QString();
    }
    [[nodiscard]] ThisComputer computer() const { return ThisComputer(folder.filePath(u"computer"_s)); }
    /// Where work of a kind is kept while it is not saved.
    [[nodiscard]] QString unsavedPath(const QString& kind) const {
        return UnsavedFile(computer().unsavedFolder(libraryFolder), kind).path();
    }

    /// Ends without a question and without saving, as a kill does, once what is unsaved is on the disk; and
    /// begins again.
    void dieAndComeBack(const QString& unsavedKind) {
        ASSERT_TRUE(waitUntil([&] { return QFile::exists(unsavedPath(unsavedKind)); }));
        window->findChild<LibraryDesk*>()->keepNow(); // the last letters, too
        window.reset();
        session.reset();
        open();
        ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"not saved last time"_s); }));
    }

    /// What was asked for so far is done: by the library, on the disk, by the player; and shown.
    void settle() {
        bool isAnswered = false;
        session->library().ask<bool>(
            window.get(), [](Library&) -> Result<bool> { return true; },
            [&](const Result<bool>&) { isAnswered = true; });
        session->document().keepNow();
        bool isWelcome = false; // by a player that is behind what it was told before
        PlayerClient observer({sessionFolder(libraryFolder), {}, {false, {}, {}}});
        QObject::connect(&observer, &PlayerClient::welcomed, [&] { isWelcome = true; });
        observer.start();
        EXPECT_TRUE(waitUntil([&] { return isAnswered && isWelcome; }));
        for (int i = 0; i < 3; ++i)
            QCoreApplication::processEvents();
    }
    /// The picture of an output does not change any more: its transition is over.
    QImage stillPicture(const QString& output) {
        QImage before;
        int same = 0;
        EXPECT_TRUE(waitUntil([&] {
            QTest::qWait(40);
            const QImage now = shown(output);
            same = !now.isNull() && now == before ? same + 1 : 0;
            before = now;
            return same == 6; // pictures of a transition follow one another more closely
        }));
        return before;
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
        int translations = 0;
        bool hasTexts = false;
        QObject here; // the window goes on without being counted
        QObject::connect(&session->library(), &LibraryClient::scriptureBroughtIn, &here,
                         [&] { ++translations; });
        QObject::connect(session.get(), &Session::notice, &here,
                         [&](const QString& text) { hasTexts = hasTexts || text.startsWith(u"Texts:"_s); });
        press(Qt::Key_1, Qt::AltModifier);
        press(Qt::Key_2, Qt::AltModifier | Qt::ShiftModifier);
        answers->folder = demo + u"/scripture/quayside"_s;
        press(Qt::Key_I, Qt::ControlModifier | Qt::ShiftModifier);
        ASSERT_TRUE(waitUntil([&] { return translations == 1; }));
        answers->files = {demo + u"/scripture/hafenmuster.osis.xml"_s};
        press(Qt::Key_I, Qt::ControlModifier);
        ASSERT_TRUE(waitUntil([&] { return translations == 2; }));
        press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
        answers->files = {demo + u"/texts"_s};
        press(Qt::Key_I, Qt::ControlModifier);
        ASSERT_TRUE(waitUntil([&] { return hasTexts; }, 60'000));
        press(Qt::Key_1, Qt::AltModifier | Qt::ShiftModifier);
        press(Qt::Key_2, Qt::AltModifier);
    }

    /// A key to whatever has the focus, as from a keyboard.
    void press(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        QWidget* target = QApplication::focusWidget() ? QApplication::focusWidget() : window.get();
        QTest::keyClick(target, key, modifiers);
    }
    /// As a person chooses the entry that has this in its text.
    void choose(const QString& box, const QString& text) {
        auto* combo = child<QComboBox>(box);
        const int at = combo->findText(text, Qt::MatchContains);
        ASSERT_GE(at, 0) << text.toStdString();
        combo->setCurrentIndex(at);
        Q_EMIT combo->activated(at);
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

private:
    WithPlayer m_with;
    std::map<QString, std::unique_ptr<PretendedPlayer>> m_players; ///< by session folder
};

/// The same with the real player.
class PlayerTest : public WindowTest {
protected:
    PlayerTest() : WindowTest(WithPlayer::Real) {}
};

} // namespace mivanta
