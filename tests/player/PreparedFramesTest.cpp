// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/PreparedFrames.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QCoreApplication>
#include <QElapsedTimer>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

const QSize kSize(320, 180);

/// A scene that shows a picture, before and after the picture comes into the library.
class MediaArrives : public ::testing::Test {
protected:
    MediaArrives() { frames.setPictures(folder.path(), cache.path()); }
    static Scene scene() {
        Scene made;
        made.output = u"hall"_s;
        made.size = kSize;
        made.look.backdrop.kind = BackdropKind::Picture;
        made.look.backdrop.colour = {0, 0, 0, 255};
        made.look.backdrop.picture = u"sea.png"_s;
        return made;
    }
    void bringPicture() const {
        QImage picture(kSize, QImage::Format_RGB32);
        picture.fill(QColor(200, 40, 20));
        ASSERT_TRUE(picture.save(folder.filePath(u"sea.png"_s)));
    }
    FramePtr drawn() {
        FramePtr made = frames.get(scene(), kSize);
        const auto connection =
            QObject::connect(&frames, &PreparedFrames::ready, [&](const FramePtr& frame) { made = frame; });
        QElapsedTimer time;
        time.start();
        while (!made && time.elapsed() < 10'000)
            waitForEvents(50);
        QObject::disconnect(connection);
        return made;
    }
    static int red(const FramePtr& frame) { return qRed(frame->behind->image.pixel(160, 90)); }
    QTemporaryDir folder;
    QTemporaryDir cache;
    PreparedFrames frames;
};

TEST_F(MediaArrives, WhatWasDrawnWithoutItIsDrawnAnewAndWhatIsOnScreenStays) {
    const FramePtr onScreen = drawn();
    ASSERT_TRUE(onScreen);
    EXPECT_LT(red(onScreen), 20); // never a mark for a missing file
    bringPicture();
    EXPECT_EQ(frames.get(scene(), kSize), onScreen); // nobody has said that it came
    frames.forget();
    const FramePtr anew = drawn();
    ASSERT_TRUE(anew);
    EXPECT_NEAR(red(anew), 200, 6);
    EXPECT_LT(red(onScreen), 20);
}

TEST(PreparedFrames, LargePicturesOfManyBackdropsTakeNoMoreThanTheyMay) {
    constexpr int kScenes = 40;
    constexpr QSize kFullHd(1920, 1080);
    PreparedFrames frames;
    const auto scene = [&](int number) {
        Scene made;
        made.output = u"hall"_s;
        made.size = kFullHd;
        made.look.backdrop.colour = {quint8(number * 5), 40, 80, 255};
        return made;
    };
    for (int i = 0; i < kScenes; ++i) {
        static_cast<void>(frames.get(scene(i), kFullHd));
        ASSERT_TRUE(waitUntil([&] { return frames.get(scene(i), kFullHd) != nullptr; }));
        EXPECT_LE(frames.bytes(), 400 * 1024 * 1024) << i;
    }
    EXPECT_GT(frames.bytes(), 8 * kFullHd.width() * kFullHd.height() * 4);
    EXPECT_TRUE(frames.get(scene(kScenes - 1), kFullHd)); // the newest ones are there at once
    EXPECT_TRUE(frames.get(scene(kScenes - 8), kFullHd));
}

} // namespace
} // namespace mivanta
