// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/Sound.h"
#include "media/Mpv.h"
#include "media/SoundVoice.h"
#include "support/Text.h"
#include <QCoreApplication>
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
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
    template <typename Condition>
    static bool waitUntil(Condition condition) {
        QElapsedTimer time;
        time.start();
        while (!condition() && time.elapsed() < 30'000)
            QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents, 10);
        return condition();
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

TEST_F(Sound, AVoicePlaysToItsEnd) {
    SoundVoice voice(kBell, 5.5);
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
    SoundVoice voice(kBell, 0);
    QObject::connect(&voice, &SoundVoice::started, [&] { voice.fadeOut(); });
    QObject::connect(&voice, &SoundVoice::over, [&](const QString& why) {
        ++over;
        EXPECT_EQ(why, QString());
    });
    EXPECT_TRUE(waitUntil([&] { return over == 1; }));
    EXPECT_LT(voice.positionMs(), 5000); // not by its end
    QString problem;
    SoundVoice broken(file(u"words.ogg"_s, "no sound at all"), 0);
    QObject::connect(&broken, &SoundVoice::over, [&](const QString& why) { problem = why; });
    EXPECT_TRUE(waitUntil([&] { return !problem.isEmpty(); }));
}

} // namespace
} // namespace mivanta
