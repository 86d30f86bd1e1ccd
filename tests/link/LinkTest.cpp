// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/MediaName.h"
#include "core/theme/ObjectKinds.h"
#include "link/Channel.h"
#include "link/FrameBoard.h"
#include "link/PlayerClient.h"
#include "support/Samples.h"
#include "support/SmallDisk.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QFile>
#include <QLocalServer>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>
#include <csignal>
#include <gtest/gtest.h>
#include <thread>

namespace mivanta {
namespace {

Scene fullScene() {
    Scene scene;
    scene.output = u"hall"_s;
    scene.size = {1920, 1080};
    scene.look.backdrop = samples::gradient({{0, {5, 6, 7, 8}}, {1, {9, 10, 11, 12}}}, 30);
    scene.look.backdrop.picture = QString(64, u'b') + u".jpg"_s;
    scene.look.backdrop.treatment = {1, 2, 3, {4, 5, 6, 7}, 8, 9};
    for (const ObjectKind& kind : objectKinds())
        scene.look.objects.push_back(kind.make());
    scene.look.objects[0] = {ClockObject(), {0.1, 0.2, 0.3, 0.4}, 5, 0.5, true};
    scene.look.words.family = u"Noto Serif"_s;
    scene.look.words.box = {0.1, 0.2, 0.3, 0.4};
    scene.look.words.vertical = VerticalAlign::Bottom;
    scene.look.words.shadowBlur = 7;
    scene.look.credit.fields = u"{title}"_s;
    scene.look.transition = {TransitionKind::Push, 12, Easing::SlowEnd, {1, 2, 3, 255}, PushFrom::Top};
    scene.fontSize = 84;
    scene.rows = {{u"Shine on"_s, {{0, u"G"_s}, {6, u"Em"_s}}}, {u"till"_s, {}}};
    scene.rows[1].startsLine = false;
    scene.roomForChords = true;
    scene.credit = u"credit"_s;
    scene.curtain = Curtain::WordsOff;
    return scene;
}

Scene sized(Scene scene, QSize size = {640, 360}) {
    scene.size = size;
    return scene;
}

bool arrives(const Scene& scene) {
    return decoded(encoded(message::Show{1, {scene}, Arrival::Turning})).has_value();
}

TEST(Protocol, WhatNoDeskCanMeanIsRefused) {
    EXPECT_TRUE(arrives(fullScene()));
    for (const QSize& size : {QSize(0, 100), QSize(-1, -1), QSize(100'000, 10), QSize()})
        EXPECT_FALSE(arrives(sized(fullScene(), size)));
    Scene odd = fullScene();
    odd.look.objects[0].box = {std::numeric_limits<double>::quiet_NaN(), 0, 1, 1};
    EXPECT_FALSE(arrives(odd));
    odd = fullScene();
    odd.curtain = Curtain(77);
    EXPECT_FALSE(arrives(odd));
    odd = fullScene();
    odd.fontSize = -5;
    EXPECT_FALSE(arrives(odd));
    Scene nested = fullScene();
    nested.elsewhere.push_back(sized(Scene()));
    EXPECT_TRUE(arrives(nested));
    QByteArray bytes = encoded(message::Show{1, {fullScene()}, Arrival::Turning});
    EXPECT_FALSE(decoded(bytes.left(bytes.size() / 2)));
    Scene two = fullScene(); // a picture in a picture in a picture
    Scene within = sized(Scene());
    within.elsewhere.push_back(sized(Scene()));
    two.elsewhere.push_back(within);
    EXPECT_FALSE(arrives(two));
    Scene beside = fullScene();
    beside.rows[0].beside = {SceneRow{u"a"_s, {}}};
    EXPECT_TRUE(arrives(beside));
    beside.rows[0].beside = {SceneRow{u"a"_s, {}}, SceneRow{u"b"_s, {}}};
    EXPECT_FALSE(arrives(beside));
}

TEST(Protocol, AMediumNeverLeadsOut) {
    Scene scene = fullScene();
    scene.look.backdrop.picture = u"../../secret.png"_s;
    const auto arrived = decoded(encoded(message::Show{1, {scene}, Arrival::Turning}));
    ASSERT_TRUE(arrived);
    EXPECT_TRUE(isMediaName(std::get<message::Show>(*arrived).scenes[0].look.backdrop.picture));
}

TEST(Board, SizesBelowOneAreNoPicture) {
    const QTemporaryDir folder;
    const QString path = folder.filePath(u"frames"_s);
    const auto board = FrameBoard::create(path);
    ASSERT_TRUE(board);
    const std::vector<uchar> small(16 * 9 * 4);
    ASSERT_TRUE((*board)->write(0, {16, 9}, small.data(), 16 * 4));
    ASSERT_EQ((*board)->read(0).size, QSize(16, 9));
    for (const qint32 width : {0, -1, 100'000}) {
        QFile file(path);
        ASSERT_TRUE(file.open(QIODevice::ReadWrite));
        file.seek(4); // behind the sequence
        file.write(reinterpret_cast<const char*>(&width), sizeof width);
        file.close();
        EXPECT_TRUE((*board)->read(0).size.isEmpty());
    }
}

TEST(Board, WithoutRoomThereIsNoneAndNothingIsLeft) {
    const QTemporaryDir folder;
    const QString path = folder.filePath(u"frames"_s);
    {
        const SmallDisk disk(64 * 1024);
        const auto board = FrameBoard::create(path);
        ASSERT_FALSE(board);
        EXPECT_TRUE(board.error().what.contains(u"no room"_s)) << board.error().text().toStdString();
    }
    EXPECT_FALSE(QFile::exists(path));
    EXPECT_TRUE(FrameBoard::create(path));
}

TEST(Protocol, ASceneArrivesAsItWasSent) {
    const Scene scene = fullScene();
    const auto arrived = decoded(encoded(message::Show{7, {scene, sized(Scene())}, Arrival::Cut}));
    ASSERT_TRUE(arrived);
    const auto& show = std::get<message::Show>(*arrived);
    EXPECT_EQ(show.take, 7u);
    EXPECT_EQ(show.arrival, Arrival::Cut);
    EXPECT_EQ(show.scenes, (std::vector<Scene>{scene, sized(Scene())}));
}

TEST(Protocol, EveryMessageArrivesWithItsContent) {
    auto wanted = usualOutputs();
    const auto outputs =
        std::get<message::SetOutputs>(*decoded(encoded(message::SetOutputs{wanted, u"A"_s})));
    for (Output& output : wanted) { // what the player has no need of
        output.look = {};
        output.insists.clear();
        output.pictureHeight = Output().pictureHeight;
        output.backRow = Output().backRow;
    }
    EXPECT_EQ(outputs.outputs, wanted);
    const auto places = std::get<message::Places>(*decoded(encoded(
        message::Places{{{u"A"_s, QRect(1, 2, 3, 4), true}}, {{Placement::Kind::FullScreen, u"B"_s}}})));
    EXPECT_EQ(places.monitors[0].geometry, QRect(1, 2, 3, 4));
    EXPECT_EQ(places.placements[0].monitor, u"B"_s);
    EXPECT_EQ(std::get<message::Hello>(*decoded(encoded(message::Hello{false, u"p"_s, {u"x"_s}}))).arguments,
              QStringList{u"x"_s});
    EXPECT_TRUE(
        std::get<message::Welcome>(*decoded(encoded(message::Welcome{"s", u"f"_s, true}))).anotherDesk);
    EXPECT_EQ(std::get<message::Painted>(*decoded(encoded(message::Painted{u"o"_s, 3}))).take, 3u);
    EXPECT_EQ(std::get<message::Keep>(*decoded(encoded(message::Keep{"state"}))).state, "state");
}

TEST(Protocol, TheFirstThreeMessagesKeepTheirForm) {
    // A player that outlives an update must understand these of the new desks, and they its Welcome.
    EXPECT_EQ(encoded(message::Hello{})[0], char(0));
    EXPECT_EQ(encoded(message::Welcome{})[0], char(1));
    EXPECT_EQ(encoded(message::Quit{}), QByteArray(1, char(2)));
    message::Hello hello{true, u"p"_s, {u"x"_s}, u"m"_s, u"c"_s, "build"};
    EXPECT_EQ(encoded(hello).toHex(), "000100000002007000000001000000020078000000020"
                                      "06d000000020063000000056275696c64");
    EXPECT_EQ(encoded(message::Welcome{"s", u"f"_s, true, true}).toHex(), "01000000017300000002006601"
                                                                          "01");
    EXPECT_FALSE(buildOfProtocol().isEmpty());
}

TEST(Protocol, BytesThatAreNoMessageAreRefused) {
    EXPECT_FALSE(decoded({}));
    EXPECT_FALSE(decoded(QByteArray(1, '\xee')));
    const QByteArray whole = encoded(message::Show{7, {fullScene()}, Arrival::Cut});
    for (qsizetype cut = 1; cut < whole.size(); cut += 7)
        EXPECT_FALSE(decoded(whole.left(cut))) << cut;
}

TEST(SceneKey, DiffersWhenAnythingDiffers) {
    Scene other = fullScene();
    EXPECT_EQ(sceneKey(other), sceneKey(fullScene()));
    other.rows[0].chords[0].position = 1;
    EXPECT_NE(sceneKey(other), sceneKey(fullScene()));
}

TEST(Channel, CarriesMessagesAndClosesOnGarbage) {
    const QTemporaryDir folder;
    QLocalServer server;
    ASSERT_TRUE(server.listen(playerSocketPath(folder.path())));
    auto* near = new QLocalSocket;
    near->connectToServer(playerSocketPath(folder.path()));
    ASSERT_TRUE(server.waitForNewConnection(2000));
    auto* raw = near;
    Channel sender(near);
    Channel receiver(server.nextPendingConnection());
    QSignalSpy closed(&receiver, &Channel::closed);
    int received = 0;
    QObject::connect(&receiver, &Channel::received, [&](const Message&) { ++received; });
    for (int i = 0; i < 50; ++i)
        sender.send(message::Show{quint64(i), {fullScene()}, Arrival::Turning});
    for (int i = 0; i < 100 && received < 50; ++i)
        waitForEvents(20);
    EXPECT_EQ(received, 50);
    raw->write(QByteArray("\0\0\0\2\xee\xee", 6));
    raw->flush();
    EXPECT_TRUE(closed.count() > 0 || closed.wait(2000));
}

TEST(FrameBoard, AReaderNeverSeesHalfAPicture) {
    const QTemporaryDir folder;
    const QString path = folder.filePath(u"frames"_s);
    auto writer = FrameBoard::create(path);
    auto reader = FrameBoard::open(path);
    ASSERT_TRUE(writer && reader);
    EXPECT_TRUE((*reader)->read(0).size.isEmpty());
    constexpr int kSide = 200;
    std::atomic<bool> stop = false;
    std::thread writing([&] {
        for (int value = 1; !stop; value = value % 250 + 1) {
            const QByteArray bits(kSide * kSide * 4, char(value));
            (*writer)->write(3, {kSide, kSide}, reinterpret_cast<const uchar*>(bits.constData()), kSide * 4);
            std::this_thread::sleep_for(std::chrono::microseconds(100));
        }
    });
    int whole = 0;
    for (int i = 0; i < 2'000'000 && whole < 500; ++i) {
        const auto picture = (*reader)->read(3);
        if (picture.size.isEmpty())
            continue;
        ++whole;
        ASSERT_EQ(picture.bits.count(picture.bits[0]), picture.bits.size());
    }
    stop = true;
    writing.join();
    EXPECT_EQ(whole, 500);
}

TEST(FrameBoard, RefusesWhatDoesNotFit) {
    const QTemporaryDir folder;
    auto board = FrameBoard::create(folder.filePath(u"frames"_s));
    ASSERT_TRUE(board);
    const QByteArray bits(FrameBoard::kWidth * 4, 'x');
    const auto* data = reinterpret_cast<const uchar*>(bits.constData());
    EXPECT_FALSE((*board)->write(FrameBoard::kSlots, {1, 1}, data, 4));
    EXPECT_FALSE((*board)->write(-1, {1, 1}, data, 4));
    EXPECT_FALSE((*board)->write(0, {FrameBoard::kWidth + 1, 1}, data, 4));
    EXPECT_TRUE((*board)->read(99).size.isEmpty());
    EXPECT_FALSE(FrameBoard::open(folder.filePath(u"none"_s)));
}

TEST(Player, ThatTalksNonsenseIsAskedAgainThenEndedAndStartedAgain) {
    const QTemporaryDir session;
    const auto pid = [&] {
        QFile file(session.filePath(u"pid"_s));
        return file.open(QIODevice::ReadOnly) ? file.readAll().toLongLong() : 0;
    };
    PlayerClient client({session.path(), QStringLiteral(MIVANTA_BIN_DIR "/nonsense-player"), {}});
    const QSignalSpy nonsense(&client, &PlayerClient::talkedNonsense);
    const QSignalSpy lost(&client, &PlayerClient::lost);
    qint64 first = 0;
    QObject::connect(&client, &PlayerClient::talkedNonsense, [&] { first = pid(); });
    client.start();
    ASSERT_TRUE(QTest::qWaitFor([&] { return nonsense.count() == 1; }, 20'000));
    EXPECT_EQ(lost.count(), 1);
    ASSERT_GT(first, 0);
    EXPECT_TRUE(QTest::qWaitFor([&] { return pid() > 0 && pid() != first; }, 20'000)); // another one
    EXPECT_EQ(nonsense.count(), 1); // the second time it is ended, and so has not to be told
    client.quit();
    EXPECT_TRUE(QTest::qWaitFor([&] {
        QFile stat(u"/proc/%1/stat"_s.arg(first));
        return !stat.open(QIODevice::ReadOnly) || stat.readAll().contains(") Z ");
    }));
    if (const qint64 last = pid(); last > 1)
        ::kill(pid_t(last), SIGKILL);
}

} // namespace
} // namespace mivanta
