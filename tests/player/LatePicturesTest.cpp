// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputPicture.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QCoreApplication>
#include <QTemporaryDir>
#include <fcntl.h>
#include <gtest/gtest.h>
#include <sys/stat.h>
#include <unistd.h>

namespace mivanta {
namespace {

/// A file that nobody can open as long as nobody writes into it: a disk that hangs.
class LatePictures : public ::testing::Test {
protected:
    LatePictures() {
        EXPECT_EQ(::mkfifo(path(u"slow.png"_s).toLocal8Bit().constData(), 0600), 0);
        QImage red(64, 36, QImage::Format_RGB32);
        red.fill(Qt::red);
        EXPECT_TRUE(red.save(path(u"red.png"_s)));
        EXPECT_TRUE(red.save(folder.filePath(u"fresh.png"_s)));
        QFile broken(path(u"broken.png"_s));
        EXPECT_TRUE(broken.open(QIODevice::WriteOnly));
        broken.write("\x89PNG\r\n\x1a\n and then nothing of use");
        frames.setPictures(folder.path(), cache.path());
    }
    ~LatePictures() override { // let go what still waits for it
        if (const int fifo = ::open(path(u"slow.png"_s).toLocal8Bit().constData(), O_WRONLY | O_NONBLOCK);
            fifo >= 0)
            ::close(fifo);
    }
    [[nodiscard]] QString path(const QString& name) const { return folder.filePath(name); }
    static Scene sceneWith(const QString& picture) {
        Scene scene;
        scene.output = u"hall"_s;
        scene.size = {64, 36};
        scene.look.backdrop.kind = BackdropKind::Picture;
        scene.look.backdrop.picture = picture;
        scene.look.backdrop.colour = {0, 0, 90, 255};
        scene.look.transition.kind = scene.look.backdropTransition.kind = TransitionKind::Cut;
        return scene;
    }
    static QRgb pixelOf(const OutputPicture& picture) {
        QImage image(64, 36, QImage::Format_RGB32);
        image.fill(Qt::white);
        QPainter painter(&image);
        picture.paint(painter, image.rect());
        return image.pixel(5, 5);
    }
    QTemporaryDir folder;
    QTemporaryDir cache;
    PreparedFrames frames;
    Films films;
};

TEST_F(LatePictures, TheOneBeforeStaysThenTheSlideComesWithoutItAndWithItOnceItIsThere) {
    OutputPicture hall(frames, films, u"hall"_s);
    hall.setSize({64, 36});
    quint64 settled = 0;
    QObject::connect(&hall, &OutputPicture::settled, [&](quint64 take) { settled = take; });
    hall.show(sceneWith(u"red.png"_s), 1, Arrival::Cut);
    ASSERT_TRUE(waitUntil([&] { return settled == 1; }));
    const QRgb red = pixelOf(hall);
    EXPECT_GT(qRed(red), 200);
    hall.show(sceneWith(u"slow.png"_s), 2, Arrival::Cut);
    static_cast<void>(waitUntil([] { return false; }, 300));
    EXPECT_EQ(pixelOf(hall), red); // the last right picture
    ASSERT_TRUE(waitUntil([&] { return settled == 2; }));
    EXPECT_LT(qRed(pixelOf(hall)), 100); // words need not wait for ever
    // The disk is back: what waited is answered, and the file can be read.
    const QByteArray slow = path(u"slow.png"_s).toLocal8Bit();
    const int fifo = ::open(slow.constData(), O_WRONLY | O_NONBLOCK);
    ASSERT_GE(fifo, 0) << "nobody waits for it";
    ASSERT_EQ(::rename(folder.filePath(u"fresh.png"_s).toLocal8Bit().constData(), slow.constData()), 0);
    ::close(fifo);
    EXPECT_TRUE(waitUntil([&] { return pixelOf(hall) == red; }));
}

TEST_F(LatePictures, OthersAreShownMeanwhile) {
    OutputPicture hall(frames, films, u"hall"_s);
    OutputPicture stage(frames, films, u"stage"_s);
    hall.setSize({64, 36});
    stage.setSize({64, 36});
    quint64 settled = 0;
    QObject::connect(&stage, &OutputPicture::settled, [&](quint64 take) { settled = take; });
    hall.show(sceneWith(u"slow.png"_s), 1, Arrival::Cut);
    stage.show(sceneWith(u"red.png"_s), 1, Arrival::Cut);
    ASSERT_TRUE(waitUntil([&] { return settled == 1; }));
    EXPECT_GT(qRed(pixelOf(stage)), 200);
    hall.show(sceneWith(u"red.png"_s), 2, Arrival::Cut); // the operator goes on
    ASSERT_TRUE(waitUntil([&] { return qRed(pixelOf(hall)) > 200; }));
}

TEST_F(LatePictures, OneThatCannotBeDecodedIsTheBackdropsColour) {
    OutputPicture hall(frames, films, u"hall"_s);
    hall.setSize({64, 36});
    quint64 settled = 0;
    QObject::connect(&hall, &OutputPicture::settled, [&](quint64 take) { settled = take; });
    hall.show(sceneWith(u"broken.png"_s), 1, Arrival::Cut);
    ASSERT_TRUE(waitUntil([&] { return settled == 1; }));
    EXPECT_EQ(pixelOf(hall), qRgb(0, 0, 90));
    hall.show(sceneWith(u"nowhere.png"_s), 2, Arrival::Cut);
    ASSERT_TRUE(waitUntil([&] { return settled == 2; }));
    EXPECT_EQ(pixelOf(hall), qRgb(0, 0, 90));
}

} // namespace
} // namespace mivanta
