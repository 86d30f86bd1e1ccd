// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/Sound.h"
#include "media/Mpv.h"
#include "media/SoundVoice.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QTcpServer>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

const QString kBell = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/sounds/harbour-bell.ogg");

class Sound : public ::testing::Test {
protected:
    void SetUp() override { useNumbersOfMpv(); }
    QString file(const QString& name, const QByteArray& bytes) const {
        QFile out(folder.filePath(name));
        EXPECT_TRUE(out.open(QIODevice::WriteOnly));
        out.write(bytes);
        return out.fileName();
    }
    static QByteArray bytesOf(const QString& path) {
        QFile in(path);
        EXPECT_TRUE(in.open(QIODevice::ReadOnly));
        return in.readAll();
    }
    QTemporaryDir folder;
};

TEST_F(Sound, ASoundIsKnownByItsContentNotByItsName) {
    const auto facts = lookAtSound(kBell);
    ASSERT_TRUE(facts) << facts.error().text().toStdString();
    EXPECT_NEAR(facts->seconds, 6, 0.2);
    EXPECT_TRUE(lookAtSound(file(u"bell.mp3"_s, bytesOf(kBell))));
}

TEST_F(Sound, WhatIsNoSoundIsRefusedWithWhatToDo) {
    const QStringList files{
        folder.filePath(u"missing.ogg"_s),
        file(u"empty.ogg"_s, {}),
        file(u"words.ogg"_s, "We are all going to the harbour"),
        file(u"list.m3u"_s, "#EXTM3U\n" + kBell.toUtf8() + "\n"), // another file is not this one
        file(u"cut.ogg"_s, bytesOf(kBell).left(20)),
        QStringLiteral(MIVANTA_SOURCE_DIR "/data/icons/music.svg"),
        folder.path(),
    };
    for (const QString& path : files) {
        const auto facts = lookAtSound(path);
        ASSERT_FALSE(facts) << path.toStdString();
        EXPECT_EQ(facts.error().where, path);
        EXPECT_FALSE(facts.error().remedy.isEmpty());
    }
}

TEST_F(Sound, NoFileHasThePlayerReadAnother) {
    // A server that notes whether anybody comes.
    QTcpServer server;
    ASSERT_TRUE(server.listen(QHostAddress::LocalHost));
    const QByteArray address = "http://127.0.0.1:" + QByteArray::number(server.serverPort()) + "/x.ogg";
    const QByteArray other = "file://" + kBell.toUtf8();
    const QStringList files{
        file(u"a.m3u"_s, "#EXTM3U\n" + address + "\n"),
        file(u"b.ogg"_s, "#EXTM3U\n" + address + "\n"),
        file(u"c.m3u8"_s, "#EXTM3U\n#EXT-X-TARGETDURATION:6\n#EXTINF:6,\n" + other + "\n#EXT-X-ENDLIST\n"),
        file(u"d.pls"_s, "[playlist]\nFile1=" + address + "\nNumberOfEntries=1\n"),
        file(u"e.edl"_s, "# mpv EDL v0\n" + kBell.toUtf8() + ",0,1\n"),
        file(u"f.wav"_s, "ffconcat version 1.0\nfile '" + kBell.toUtf8() + "'\n"),
        file(u"g.ogg"_s, "edl://" + kBell.toUtf8()),
    };
    for (const QString& path : files) {
        EXPECT_FALSE(lookAtSound(path)) << path.toStdString();
        SoundVoice voice({{{path}}});
        QString problem;
        bool isStarted = false;
        QObject::connect(&voice, &SoundVoice::started, [&] { isStarted = true; });
        QObject::connect(&voice, &SoundVoice::over, [&](const QString& why) { problem = why; });
        EXPECT_TRUE(waitUntil([&] { return !problem.isEmpty(); })) << path.toStdString();
        EXPECT_FALSE(isStarted);
    }
    EXPECT_FALSE(server.waitForNewConnection(200));
}

TEST_F(Sound, AVoicePlaysToItsEnd) {
    SoundVoice voice({{{kBell}}, 0, 5.5});
    bool isOver = false;
    QString problem = u"none yet"_s;
    QObject::connect(&voice, &SoundVoice::over, [&](const QString& why) {
        isOver = true;
        problem = why;
    });
    EXPECT_TRUE(waitUntil([&] { return voice.positionMs() >= 5500; }));
    EXPECT_GT(voice.durationMs(), 5900);
    EXPECT_TRUE(waitUntil([&] { return isOver; }));
    EXPECT_EQ(problem, QString());
}

TEST_F(Sound, AVoiceFadesOutAndTellsWhatItCannotPlay) {
    int over = 0;
    SoundVoice voice({{{kBell}}});
    QObject::connect(&voice, &SoundVoice::started, [&] { voice.fadeOut(600); });
    QObject::connect(&voice, &SoundVoice::over, [&](const QString& why) {
        ++over;
        EXPECT_EQ(why, QString());
    });
    EXPECT_TRUE(waitUntil([&] { return over == 1; }));
    EXPECT_LT(voice.positionMs(), 5000); // not by its end
    QString problem;
    SoundVoice broken({{{file(u"words.ogg"_s, "no sound at all")}}});
    QObject::connect(&broken, &SoundVoice::over, [&](const QString& why) { problem = why; });
    EXPECT_TRUE(waitUntil([&] { return !problem.isEmpty(); }));
}

TEST_F(Sound, PiecesFollowEachOtherAndABrokenOneIsPassedBy) {
    const QString words = file(u"words.ogg"_s, "no sound at all");
    SoundVoice voice({{{kBell, 5.5}, {words}, {kBell, 1, 1.4}, {kBell, 2, 2.4}}});
    std::vector<int> heard;
    std::vector<int> failed;
    int over = 0;
    QObject::connect(&voice, &SoundVoice::started, [&] { heard.push_back(voice.piece()); });
    QObject::connect(&voice, &SoundVoice::pieceFailed,
                     [&](int piece, const QString&) { failed.push_back(piece); });
    QObject::connect(&voice, &SoundVoice::over, [&](const QString& why) {
        ++over;
        EXPECT_EQ(why, QString());
    });
    ASSERT_TRUE(waitUntil([&] { return over == 1; }));
    EXPECT_EQ(heard, (std::vector{0, 2, 3}));
    EXPECT_EQ(failed, std::vector{1});
}

TEST_F(Sound, AVoiceGoesRoundFromTheChosenPieceAndIsSteered) {
    SoundVoice voice({{{kBell, 5.6}, {kBell, 5.5}}, 1, 0, true});
    std::vector<int> heard;
    QObject::connect(&voice, &SoundVoice::started, [&] { heard.push_back(voice.piece()); });
    ASSERT_TRUE(waitUntil([&] { return heard.size() >= 4; }));
    EXPECT_EQ((std::vector(heard.begin(), heard.begin() + 4)), (std::vector{1, 0, 1, 0}));
    voice.setPaused(true);
    voice.seek(2);
    EXPECT_TRUE(waitUntil([&] { return std::abs(voice.positionMs() - 2000) < 50; }));
    EXPECT_NEAR(double(voice.leftMs().value_or(0)), 4000, 200);
}

TEST_F(Sound, AVoiceThatIsStillOpeningGoesWhereItIsWanted) {
    SoundVoice voice({{{kBell}}, 0, 0, false, true});
    voice.seek(2);
    EXPECT_TRUE(waitUntil([&] { return std::abs(voice.positionMs() - 2000) < 50; }));
}

TEST(Ramp, KeepsThePowerOfTwoThatGoOverIntoEachOther) {
    Ramp one(1);
    Ramp other(0);
    one.goTo(0, 1000, 5000);
    other.goTo(1, 1000, 5000);
    for (qint64 now = 4900; now <= 6100; now += 100) {
        const double power = one.at(now) * one.at(now) + other.at(now) * other.at(now);
        EXPECT_NEAR(power, 1, 1e-9) << now;
    }
    EXPECT_FALSE(one.isOver(5999));
    EXPECT_TRUE(one.isOver(6000));
    one.goTo(1, 0, 6500); // at once
    EXPECT_DOUBLE_EQ(one.at(6500), 1);
}

} // namespace
} // namespace mivanta
