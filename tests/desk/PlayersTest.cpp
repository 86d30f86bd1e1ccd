// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/PlayerClient.h"
#include "support/Text.h"
#include <QDir>
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// Players that are started for one library at the same moment, as two desks do.
TEST(Players, OfSeveralThatBeginAtOnceOneStaysAndAnswers) {
    const QTemporaryDir folder;
    const QString link = folder.filePath(u"link"_s);
    ASSERT_TRUE(QDir().mkpath(folder.filePath(u"library"_s)));
    ASSERT_TRUE(QFile::link(folder.filePath(u"library"_s), link));
    const QString session = sessionFolder(folder.filePath(u"library"_s));
    EXPECT_EQ(sessionFolder(link), session); // the same library
    std::vector<std::unique_ptr<QProcess>> players;
    for (int i = 0; i < 4; ++i) {
        players.push_back(std::make_unique<QProcess>());
        players.back()->start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player"), {session});
    }
    const auto alive = [&] {
        return std::count_if(players.begin(), players.end(),
                             [](const auto& player) { return player->state() == QProcess::Running; });
    };
    EXPECT_TRUE(QTest::qWaitFor([&] { return alive() == 1; }, 20'000));
    for (const auto& player : players)
        if (player->state() == QProcess::NotRunning) {
            EXPECT_EQ(player->exitStatus(), QProcess::NormalExit);
            EXPECT_EQ(player->exitCode(), 0);
        }
    PlayerClient desk({session, {}, {true, {}, {}}});
    bool isWelcome = false;
    QObject::connect(&desk, &PlayerClient::welcomed, [&] { isWelcome = true; });
    desk.start();
    EXPECT_TRUE(QTest::qWaitFor([&] { return isWelcome; }, 10'000));
    desk.quit();
    EXPECT_TRUE(QTest::qWaitFor([&] { return alive() == 0; }, 10'000));
    QDir(session).removeRecursively();
}

} // namespace
} // namespace mivanta
