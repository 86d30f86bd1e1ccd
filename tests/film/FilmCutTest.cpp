// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/FilmCut.h"
#include "media/FilmLook.h"
#include "support/TestFilm.h"
#include "support/Text.h"
#include <QFile>
#include <QTemporaryDir>
#include <cmath>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

class FilmCut : public ::testing::Test {
protected:
    QTemporaryDir folder;
};

TEST_F(FilmCut, PlaysTheSamePicturesAtTheMomentsThatItSays) {
    TestFilm film;
    film.pictures = 300;
    film.encoder =
        QStringLiteral("-c:v libx264 -preset fast -g 50 -bf 3 -pix_fmt yuv420p -c:a aac").split(u' ');
    for (const auto& [name, recipe] : {std::pair{u"a.mp4"_s, film}, {u"a.mkv"_s, film}}) {
        const QString path = folder.filePath(name);
        ASSERT_TRUE(makeFilm(path, recipe));
        for (const auto& [from, to] : {std::pair{3.0, 5.0}, {4.56, 6.4}, {7.92, 0.0}}) {
            const QString file = folder.filePath(u"part."_s + suffixOfCut(path));
            const auto cut = cutFilm(path, {from, to}, file);
            ASSERT_TRUE(cut) << name.toStdString() << ' ' << cut.error().text().toStdString();
            EXPECT_LT(cut->seconds, 9) << "not all of it";
            EXPECT_GE(cut->seconds, (to > 0 ? to : 12) + cut->later - 0.1) << "and all that was asked for";
            for (const double at : {from + 0.02, from + 0.62, (to > 0 ? to : 12) - 0.06}) {
                const auto original = pictureOfFilm(path, at, {320, 180});
                const auto picture = pictureOfFilm(file, at + cut->later, {320, 180});
                ASSERT_TRUE(original && picture);
                EXPECT_NEAR(numberOnPicture(*original), std::lround(at * 25), 2);
                EXPECT_EQ(numberOnPicture(*picture), numberOnPicture(*original))
                    << name.toStdString() << ' ' << at;
            }
        }
    }
}

TEST_F(FilmCut, AFilmThatIsTurnedStaysTurned) {
    TestFilm film;
    film.pictures = 100;
    const QString lying = folder.filePath(u"lying.mp4"_s);
    ASSERT_TRUE(makeFilm(lying, film));
    const QString turned = folder.filePath(u"turned.mp4"_s);
    ASSERT_EQ(QProcess::execute(u"ffmpeg"_s, {u"-v"_s, u"error"_s, u"-i"_s, lying, u"-c"_s, u"copy"_s,
                                              u"-metadata:s:v:0"_s, u"rotate=90"_s, turned}),
              0);
    const QString file = folder.filePath(u"part."_s + suffixOfCut(turned));
    ASSERT_TRUE(cutFilm(turned, {1, 2}, file));
    EXPECT_EQ(lookAtFilm(file)->size, lookAtFilm(turned)->size);
}

TEST_F(FilmCut, WhatCannotBeCutIsSaidAndLeavesNothing) {
    QFile words(folder.filePath(u"words.mp4"_s));
    ASSERT_TRUE(words.open(QIODevice::WriteOnly));
    words.write("We are all going to the harbour");
    words.close();
    TestFilm old;
    old.encoder = QStringLiteral("-c:v mpeg2video -b:v 2M -g 12 -bf 2 -c:a mp2").split(u' ');
    const QString stream = folder.filePath(u"stream.ts"_s);
    ASSERT_TRUE(makeFilm(stream, old));
    const QString file = folder.filePath(u"part.mkv"_s);
    EXPECT_FALSE(cutFilm(stream, {1, 2}, file)) << "nobody knows exactly where";
    EXPECT_FALSE(cutFilm(words.fileName(), {1, 2}, file));
    EXPECT_FALSE(cutFilm(folder.filePath(u"nowhere.mp4"_s), {1, 2}, file));
    EXPECT_FALSE(QFile::exists(file));
}

} // namespace
} // namespace mivanta
