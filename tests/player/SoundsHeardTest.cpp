// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/media/Loudness.h"
#include "media/LoudnessMeasure.h"
#include "media/Mpv.h"
#include "player/SoundBox.h"
#include "support/Loudspeakers.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QElapsedTimer>
#include <QEventLoop>
#include <QTimer>
#include <functional>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

constexpr double kLow = 440;   // Hz
constexpr double kHigh = 1320; // Hz
constexpr size_t kWindow = Loudspeakers::kRate / 20;

/// What the player's sounds are like where they are heard.
class SoundsHeard : public ::testing::Test {
protected:
    void SetUp() override {
        useNumbersOfMpv();
        ASSERT_TRUE(speakers.isThere());
        ASSERT_TRUE(speakers.record());
        QObject::connect(&box, &SoundBox::told, [this](const message::Sounding& sounding) {
            if (!sounding.name.isEmpty() && (heardPieces.empty() || heardPieces.back() != sounding.piece))
                heardPieces.push_back(sounding.piece);
        });
    }
    /// A tone of so many seconds; its name in the folder of media.
    QString tone(double hertz, double seconds, double decibel = -12) {
        const QString name = QString::number(++made).rightJustified(64, u'a') + u".wav"_s;
        const QString source =
            u"sine=f=%1:r=48000:d=%2,volume=%3dB"_s.arg(hertz).arg(seconds).arg(decibel + 18.06);
        EXPECT_EQ(QProcess::execute(u"ffmpeg"_s, {u"-v"_s, u"error"_s, u"-f"_s, u"lavfi"_s, u"-i"_s, source,
                                                  u"-c:a"_s, u"pcm_s16le"_s, folder.filePath(name)}),
                  0);
        return name;
    }
    static void pass() {
        QEventLoop loop;
        QTimer::singleShot(50, &loop, &QEventLoop::quit);
        loop.exec();
    }
    void play(message::Sound sound) { box.play(sound, folder.path()); }
    bool isSilent(SoundChannel channel) {
        return waitUntil([&] { return box.sounding()[size_t(channel)].name.isEmpty(); }, 20'000);
    }
    /// The first and the last window in which a tone is louder than `least`, in seconds; nothing = never.
    std::optional<std::pair<double, double>> span(double hertz, double least = 0.02) {
        std::optional<std::pair<double, double>> found;
        const auto& samples = speakers.heard();
        for (size_t at = 0; at + kWindow < samples.size(); at += kWindow / 4)
            if (toneIn(samples, at, kWindow, hertz) > least) {
                const double seconds = double(at) / Loudspeakers::kRate;
                found = {found ? found->first : seconds, seconds};
            }
        return found;
    }
    double amplitude(double hertz, double seconds) {
        return toneIn(speakers.heard(), size_t(seconds * Loudspeakers::kRate), kWindow, hertz);
    }

    /// What a busy machine tears is right another time; what is wrong is wrong each time.
    bool isHeardOnce(const std::function<bool()>& isRight) {
        for (int i = 0; i < 4; ++i)
            if (speakers.record() && isRight())
                return true;
        return false;
    }

    Loudspeakers speakers;
    QTemporaryDir folder;
    SoundBox box;
    std::vector<int> heardPieces;
    int made = 0;
};

TEST_F(SoundsHeard, PiecesFollowWithoutAGap) {
    const std::vector<message::SoundPiece> pieces{{tone(kLow, 1.5)}, {tone(kHigh, 1.5)}};
    EXPECT_TRUE(isHeardOnce([&] {
        heardPieces.clear();
        play({SoundChannel::Music, pieces});
        EXPECT_TRUE(waitUntil([&] { return !heardPieces.empty(); }));
        EXPECT_TRUE(isSilent(SoundChannel::Music));
        EXPECT_EQ(heardPieces, (std::vector{0, 1}));
        pass();
        const auto low = span(kLow);
        const auto high = span(kHigh);
        return low && high && // the recorder may miss the beginning of what begins
               std::abs(low->second - low->first - 1.4) < 0.3 &&
               std::abs(high->second - high->first - 1.5) < 0.15 &&
               std::abs(high->first - low->second) < 0.06;
    }));
}

TEST_F(SoundsHeard, PiecesGoOverIntoEachOtherWithEvenPower) {
    message::Sound sound{SoundChannel::Music, {{tone(kLow, 3)}, {tone(kHigh, 3)}}, 1.5};
    play(sound);
    ASSERT_TRUE(waitUntil([&] { return !heardPieces.empty(); }));
    ASSERT_TRUE(isSilent(SoundChannel::Music));
    pass();
    const auto low = span(kLow);
    const auto high = span(kHigh);
    ASSERT_TRUE(low && high);
    const double begin = high->first;
    const double end = low->second;
    EXPECT_NEAR(end - begin, 1.5, 0.3); // both are heard
    const double whole = amplitude(kLow, low->first + 0.5);
    const double middle = (begin + end) / 2;
    const double power = std::pow(amplitude(kLow, middle), 2) + std::pow(amplitude(kHigh, middle), 2);
    EXPECT_NEAR(10 * std::log10(power / (whole * whole)), 0, 1.5); // dB
}

TEST_F(SoundsHeard, PiecesThatAreShorterThanTheCrossFadeAreEachHeard) {
    message::Sound sound{SoundChannel::Music, {{tone(kLow, 1)}, {tone(kHigh, 1)}}, 8};
    sound.isRound = true;
    play(sound);
    ASSERT_TRUE(waitUntil([&] { return !heardPieces.empty(); }));
    QElapsedTimer time;
    time.start();
    ASSERT_TRUE(waitUntil([&] { return heardPieces.size() >= 5; }));
    EXPECT_GT(time.elapsed(), 4 * 350); // half a second each
    play({SoundChannel::Music, {}});
    EXPECT_TRUE(isSilent(SoundChannel::Music));
}

TEST_F(SoundsHeard, APartOfAPieceIsPlayedPausedAndFadedOut) {
    play({SoundChannel::Item, {{tone(kLow, 9), 1, 7}}});
    ASSERT_TRUE(waitUntil([&] { return box.sounding()[0].position > 2000; }));
    box.steer({SoundChannel::Item, message::SteerSound::What::Pause});
    ASSERT_TRUE(waitUntil([&] { return box.sounding()[0].isPaused; }));
    ASSERT_TRUE(speakers.record());
    pass();
    EXPECT_FALSE(span(kLow, 0.05) && span(kLow, 0.05)->second > 0.3);
    box.steer({SoundChannel::Item, message::SteerSound::What::Play});
    ASSERT_TRUE(waitUntil([&] { return span(kLow, 0.1).has_value(); }));
    play({SoundChannel::Item, {}});
    ASSERT_TRUE(isSilent(SoundChannel::Item));
    const double begin = span(kLow, 0.1)->first;
    ASSERT_TRUE(waitUntil([&] { // it sinks within a second, and is silent then
        const auto& samples = speakers.heard();
        return samples.size() > kWindow && toneIn(samples, samples.size() - kWindow, kWindow, kLow) < 0.001;
    }));
    EXPECT_LT(span(kLow)->second - begin, 3);
}

TEST_F(SoundsHeard, MusicGivesWayToABell) {
    message::Sound music{SoundChannel::Music, {{tone(kLow, 8)}}};
    music.ducks = true;
    const message::Sound bell{SoundChannel::Item, {{tone(kHigh, 2)}}};
    const auto decibel = [](double amplitude, double full) { return 20 * std::log10(amplitude / full); };
    EXPECT_TRUE(isHeardOnce([&] {
        play(music);
        EXPECT_TRUE(waitUntil([&] { return span(kLow, 0.1).has_value(); }));
        play(bell);
        EXPECT_TRUE(waitUntil([&] { return span(kHigh, 0.1).has_value(); }));
        EXPECT_TRUE(isSilent(SoundChannel::Item));
        const double full = amplitude(kLow, span(kLow, 0.1)->first + 0.2);
        const double under = amplitude(kLow, span(kHigh, 0.1)->first + 1.2);
        const size_t bellEnded = size_t((span(kHigh)->second + 1.2) * Loudspeakers::kRate);
        EXPECT_TRUE(waitUntil([&] { return speakers.heard().size() > bellEnded + kWindow; }));
        const double after = toneIn(speakers.heard(), bellEnded, kWindow, kLow);
        play({SoundChannel::Music, {}});
        EXPECT_TRUE(isSilent(SoundChannel::Music));
        return std::abs(decibel(under, full) + 12) < 2 && std::abs(decibel(after, full)) < 1.5;
    }));
}

TEST_F(SoundsHeard, WhatWasRecordedSoftlyOrLoudlyIsEquallyLoud) {
    std::vector<double> loudness;
    for (const double decibel : {-26.0, -6.0}) {
        const QString name = tone(1000, 5, decibel);
        const auto measured = measuredLoudness(folder.filePath(name));
        ASSERT_TRUE(measured) << measured.error().text().toStdString();
        ASSERT_TRUE(speakers.record());
        play({SoundChannel::Item, {{name, 0, 0, evenGain(*measured, 0)}}});
        ASSERT_TRUE(waitUntil([&] { return span(1000).has_value(); }));
        ASSERT_TRUE(isSilent(SoundChannel::Item));
        ASSERT_TRUE(speakers.write(folder.filePath(u"raw"_s)));
        const QString wav = folder.filePath(u"heard.wav"_s);
        ASSERT_EQ(QProcess::execute(u"ffmpeg"_s,
                                    {u"-v"_s, u"error"_s, u"-y"_s, u"-f"_s, u"s16le"_s, u"-ar"_s, u"48000"_s,
                                     u"-ac"_s, u"1"_s, u"-i"_s, folder.filePath(u"raw"_s), wav}),
                  0);
        loudness.push_back(measuredLoudness(wav)->lufs);
    }
    EXPECT_NEAR(loudness[0], loudness[1], 1); // LU
    EXPECT_NEAR(loudness[1], kEvenLoudness, 1);
}

TEST_F(SoundsHeard, ADeviceIsChosenGoesAndComesBack) {
    const auto named = [&](const QString& part) {
        for (const SoundDevice& device : box.devices().devices)
            if (device.name.contains(part))
                return device.name;
        return QString();
    };
    ASSERT_TRUE(waitUntil([&] { return !named(u"booth"_s).isEmpty(); }));
    const QString booth = named(u"booth"_s);
    ASSERT_TRUE(speakers.record(u"booth"_s));
    play({SoundChannel::Music, {{tone(kLow, 30)}}});
    ASSERT_TRUE(waitUntil([&] { return !heardPieces.empty(); }));
    pass();
    EXPECT_FALSE(span(kLow)); // in the hall still
    box.setDevice(booth);
    EXPECT_EQ(box.device(), booth);
    EXPECT_TRUE(waitUntil([&] { return span(kLow, 0.1).has_value(); }));
    ASSERT_TRUE(speakers.record(u"hall"_s));
    ASSERT_TRUE(Loudspeakers::pull(u"booth"_s));
    ASSERT_TRUE(waitUntil([&] { return !box.devices().isChosenThere; }));
    EXPECT_EQ(box.device(), QString());
    EXPECT_TRUE(waitUntil([&] { return span(kLow, 0.1).has_value(); })); // in the usual place
    ASSERT_TRUE(Loudspeakers::plug(u"booth"_s));
    ASSERT_TRUE(waitUntil([&] { return box.devices().isChosenThere; }));
    ASSERT_TRUE(speakers.record(u"booth"_s));
    EXPECT_TRUE(waitUntil([&] { return span(kLow, 0.1).has_value(); }));
    box.playTestTone();
    EXPECT_TRUE(waitUntil([&] { return span(523.25, 0.05) && span(659.25, 0.05); }));
}

} // namespace
} // namespace mivanta
