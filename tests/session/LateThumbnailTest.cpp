// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/readings/ThumbnailStore.h"
#include "support/Text.h"
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>
#include <sys/stat.h>

namespace mivanta {
namespace {

Scene sceneWith(const QString& picture) {
    Scene scene;
    scene.size = {64, 36};
    scene.look.backdrop.kind = picture.isEmpty() ? BackdropKind::Plain : BackdropKind::Picture;
    scene.look.backdrop.picture = picture;
    scene.look.backdrop.colour = {0, 0, 90, 255};
    return scene;
}

TEST(Thumbnails, APictureOnADiskThatHangsHoldsNoOtherUpNorTheEnd) {
    const QTemporaryDir folder;
    const QTemporaryDir cache;
    ASSERT_EQ(::mkfifo(folder.filePath(u"slow.png"_s).toLocal8Bit().constData(), 0600),
              0); // opening it waits
    QImage red(64, 36, QImage::Format_RGB32);
    red.fill(Qt::red);
    ASSERT_TRUE(red.save(folder.filePath(u"red.png"_s)));
    const QSize size(64, 36);
    ThumbnailStore store;
    store.setPictures(folder.path(), cache.path());
    EXPECT_TRUE(store.get(sceneWith(u"slow.png"_s), size).isNull());
    EXPECT_TRUE(QTest::qWaitFor([&] { return !store.get(sceneWith({}), size).isNull(); }, 10'000));
    const auto isRed = [&] {
        const QPixmap seen = store.get(sceneWith(u"red.png"_s), size);
        return !seen.isNull() && qRed(seen.toImage().pixel(5, 5)) > 200;
    };
    EXPECT_TRUE(QTest::qWaitFor(isRed, 20'000));
    // Without its picture, it is its backdrop's colour.
    const QPixmap slow = store.get(sceneWith(u"slow.png"_s), size);
    EXPECT_TRUE(slow.isNull() || slow.toImage().pixel(5, 5) == qRgb(0, 0, 90));
} // and the store is gone, though the disk still hangs

} // namespace
} // namespace mivanta
