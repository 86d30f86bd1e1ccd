// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/window/Header.h"
#include "support/CameraProcess.h"
#include "support/Processes.h"
#include "support/Samples.h"
#include "support/TestFilm.h"
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <csignal>
#include <set>

namespace mivanta {
namespace {

/// Recording by hand, with the real player and a simulated camera on the hall.
class Recording : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        answers->folder = folder.filePath(u"recorded"_s);
        LiveInput input = *session->liveInputs().find(session->liveInputs().add(LiveKind::Network));
        input.name = u"Harbour camera"_s;
        input.source = AddressSource{u"http://127.0.0.1:%1/harbour"_s.arg(port)};
        session->liveInputs().change(input);
        LiveItem live;
        live.input = input.id;
        live.caption = input.name;
        session->document().insert(0, live);
        window->goTo(MainWindow::RunAt);
        press(Qt::Key_Space);
        window->goTo(MainWindow::SetupAt);
        child<QPushButton>(u"record-choose-folder"_s)->click();
        EXPECT_TRUE(child<QLabel>(u"record-folder"_s)->text().contains(answers->folder));
    }
    void choose(const QString& what) {
        auto* box = child<QComboBox>(u"record-what"_s);
        const int at = box->findText(what, Qt::MatchFixedString);
        ASSERT_GE(at, 0) << what.toStdString();
        box->setCurrentIndex(at);
    }
    QStringList files() { return QDir(answers->folder).entryList({u"*.mkv"_s}, QDir::Files, QDir::Name); }
    QString line() {
        const auto* label = window->findChild<QLabel*>(u"recording"_s);
        return label ? label->text() : QString();
    }
    bool isRunning() { return !session->recordings().running().empty(); }
    void begin(const QString& what) {
        choose(what);
        auto* button = child<QPushButton>(u"record-begin"_s);
        button->setFocus();
        press(Qt::Key_Space);
        EXPECT_TRUE(waitUntil([&] { return isRunning() && session->recordings().running()[0].length > 3000; },
                              60'000));
    }
    void end() {
        child<QPushButton>(u"record-end"_s)->click();
        EXPECT_TRUE(waitUntil([&] { return !isRunning(); }));
    }
    /// How many different numbers of the camera a file shows.
    size_t numbersIn(const QString& file) {
        QTemporaryDir pictures;
        QProcess ffmpeg;
        ffmpeg.start(u"ffmpeg"_s, {u"-loglevel"_s, u"error"_s, u"-i"_s, answers->folder + u'/' + file,
                                   u"-fps_mode"_s, u"passthrough"_s, pictures.filePath(u"%05d.png"_s)});
        EXPECT_TRUE(ffmpeg.waitForFinished(60'000));
        std::set<int> numbers;
        for (const QFileInfo& each : QDir(pictures.path()).entryInfoList({u"*.png"_s}, QDir::Files))
            if (const int number = numberOnPicture(QImage(each.filePath())); number > 0)
                numbers.insert(number);
        return numbers.size();
    }

    quint16 port = CameraProcess::freePort();
    CameraProcess camera{{u"--mjpeg"_s, QString::number(port)}};
};

TEST_F(Recording, WhatTheHallShowsIsInAFileOfItsOwn) {
    ASSERT_TRUE(waitUntil([&] { return numberOnPicture(shown(u"hall"_s)) > 0; }));
    begin(u"Hall"_s);
    EXPECT_TRUE(line().contains(u"Hall"_s));
    EXPECT_TRUE(window->findChild<Header*>()->lampText().contains(u"recording 0:0"_s));
    EXPECT_FALSE(child<QPushButton>(u"record-begin"_s)->isEnabled()); // once is enough
    choose(u"Harbour camera"_s);
    EXPECT_TRUE(child<QPushButton>(u"record-begin"_s)->isEnabled());
    end();
    EXPECT_TRUE(line().isEmpty() || waitUntil([&] { return line().isEmpty(); }));
    EXPECT_FALSE(window->findChild<Header*>()->lampText().contains(u"recording"_s));
    ASSERT_EQ(files().size(), 1);
    EXPECT_TRUE(files()[0].endsWith(u" Hall.mkv"_s)) << files()[0].toStdString();
    EXPECT_GT(numbersIn(files()[0]), 5u);
}

TEST_F(Recording, AnInputIsRecordedAsItComes) {
    begin(u"Harbour camera"_s);
    end();
    ASSERT_EQ(files().size(), 1);
    EXPECT_TRUE(files()[0].endsWith(u" Harbour camera.mkv"_s));
    EXPECT_GT(numbersIn(files()[0]), 5u);
}

TEST_F(Recording, GoesOnInAnotherFileWhenThePlayerDies) {
    begin(u"Hall"_s);
    const auto players = pidsOf(u"mivanta-player"_s, sessionFolder(libraryFolder));
    ASSERT_EQ(players.size(), 1u);
    const RecordingId first = session->recordings().running()[0].id;
    ::kill(pid_t(players[0]), SIGKILL);
    ASSERT_TRUE(waitUntil(
        [&] {
            const auto& running = session->recordings().running();
            return !running.empty() && running[0].id != first && running[0].length > 3000;
        },
        60'000));
    end();
    ASSERT_EQ(files().size(), 2);
    for (const QString& file : files())
        EXPECT_GT(numbersIn(file), 0u) << file.toStdString();
}

} // namespace
} // namespace mivanta
