// SPDX-License-Identifier: GPL-3.0-or-later
#include "film/FilmFilters.h"
#include "film/FilmRounds.h"
#include "link/FilmClient.h"
#include "media/FilmLook.h"
#include "support/Processes.h"
#include "support/TestFilm.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QFile>
#include <QTemporaryDir>
#include <csignal>
#include <gtest/gtest.h>
#include <set>

namespace mivanta {
namespace {

class Film : public ::testing::Test {
protected:
    QString made(const TestFilm& recipe = {}, const QString& name = u"film.mp4"_s) {
        const QString path = folder.filePath(name);
        EXPECT_TRUE(makeFilm(path, recipe));
        return path;
    }
    QString written(const QByteArray& bytes, const QString& name = u"film.mp4"_s) {
        QFile file(folder.filePath(name));
        EXPECT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(bytes);
        return file.fileName();
    }
    message::OpenFilm once(const QString& path) {
        message::OpenFilm order;
        order.path = path;
        order.shown = {640, 360};
        order.film.isOnce = true;
        return order;
    }
    int number(FilmClient& film) { return numberOnPicture(film.picture().image); }
    bool comes(FilmClient& film, int wanted) {
        return waitUntil([&] { return number(film) == wanted; }, 10'000);
    }
    bool isRefused(FilmClient& film) {
        return waitUntil([&] { return !film.stands().problem.isEmpty(); }, 20'000);
    }

    QTemporaryDir folder;
};

TEST_F(Film, WaitsOnItsFirstPictureAndKeepsItsLast) {
    FilmClient film(once(made()));
    ASSERT_TRUE(comes(film, 0));
    EXPECT_EQ(film.picture().image.size(), QSize(640, 360));    // as large as it is shown
    EXPECT_GT(qBlue(film.picture().image.pixel(320, 300)), 60); // and not the black before it
    EXPECT_TRUE(film.stands().isPaused);
    ASSERT_TRUE(waitUntil([&] { return film.stands().isOpen; }));
    EXPECT_NEAR(film.stands().to, 2.0, 0.05);
    std::vector<int> seen;
    QObject::connect(&film, &FilmClient::pictureCame, [&] { seen.push_back(number(film)); });
    film.play();
    ASSERT_TRUE(waitUntil([&] { return film.stands().isOver; }));
    EXPECT_EQ(number(film), 49);
    EXPECT_TRUE(std::is_sorted(seen.begin(), seen.end()));
    EXPECT_GT(seen.size(), 25u); // however busy the machine is
    film.play();                 // once more
    EXPECT_TRUE(waitUntil([&] { return number(film) < 25; }));
}

TEST_F(Film, PlaysThePartThatIsWanted) {
    message::OpenFilm order = once(made());
    order.film.from = 0.4;
    order.film.to = 1.2;
    FilmClient film(order);
    ASSERT_TRUE(comes(film, 10));
    film.play();
    ASSERT_TRUE(waitUntil([&] { return film.stands().isOver; }));
    EXPECT_NEAR(number(film), 29, 1);
    EXPECT_DOUBLE_EQ(film.stands().to, 1.2);
}

TEST_F(Film, GoesRound) {
    message::OpenFilm order = once(made({.pictures = 25}));
    order.film.isOnce = false;
    FilmClient film(order);
    int turns = 0;
    int before = -1;
    QObject::connect(&film, &FilmClient::pictureCame, [&] {
        const int now = number(film);
        turns += now < before ? 1 : 0;
        before = now;
    });
    film.play();
    EXPECT_TRUE(waitUntil([&] { return turns == 2; }));
    EXPECT_FALSE(film.stands().isOver);
    EXPECT_NEAR(film.stands().to, 1.0, 0.001);
    EXPECT_TRUE(waitUntil([&] { return film.stands().position > 0 && film.stands().position < 0.5; }));
    EXPECT_TRUE(waitUntil([&] { return film.stands().position > 0.5; }));
    EXPECT_LE(film.stands().position, 1.0) << "in its round";
    film.pause();
    film.seek(0.4);
    EXPECT_TRUE(comes(film, 10));
}

TEST_F(Film, APartGoesRound) {
    for (const QString& name : {u"film.mp4"_s, u"film.mkv"_s}) {
        message::OpenFilm order = once(made({.pictures = 100}, name));
        order.film.isOnce = false;
        order.film.from = 1;
        order.film.to = 1.8;
        FilmClient film(order);
        int turns = 0;
        int before = -1;
        std::set<int> seen;
        QObject::connect(&film, &FilmClient::pictureCame, [&] {
            const int now = number(film);
            turns += now < before ? 1 : 0;
            before = now;
            seen.insert(now);
        });
        film.play();
        EXPECT_TRUE(waitUntil([&] { return turns == 3; })) << name.toStdString();
        EXPECT_GE(*seen.begin(), 25) << name.toStdString();
        EXPECT_LE(*seen.rbegin(), 45) << name.toStdString();
        EXPECT_TRUE(waitUntil([&] { return film.stands().position >= 1 && film.stands().position <= 1.8; }));
        EXPECT_NEAR(film.stands().to, 1.8, 0.001);
    }
}

TEST_F(Film, ARoundIsAsLongAsItsPicturesAre) {
    // The sound is a little longer than the pictures: a round that waited for it would stand still.
    for (const auto& [name, format] : {std::pair{u"a.mp4"_s, "mov"}, {u"a.mkv"_s, "matroska"}}) {
        const QByteArray path = QFile::encodeName(made({.pictures = 60}, name));
        const auto whole = roundOf({}, path, format);
        ASSERT_TRUE(whole) << name.toStdString();
        EXPECT_NEAR(whole->seconds, 2.4, 0.03);
        FilmPlay part;
        part.from = 0.5;
        part.to = 30;
        const auto rest = roundOf(part, path, format);
        ASSERT_TRUE(rest);
        EXPECT_NEAR(rest->begin, whole->begin + 0.5, 1e-6);
        EXPECT_NEAR(rest->seconds, whole->seconds - 0.5, 1e-6);
        part.to = 0.6;
        EXPECT_FALSE(roundOf(part, path, format)) << "too short";
        part = {};
        part.fadeOut = 1;
        EXPECT_FALSE(roundOf(part, path, format)) << "it comes from black each time";
        EXPECT_FALSE(roundOf({}, path, "avi")) << "not what that reader reads";
    }
    EXPECT_FALSE(roundOf({}, QFile::encodeName(written("nothing")), "mov"));
    EXPECT_FALSE(roundOf({}, "/not/there.mp4", "mov"));
}

TEST(FilmRounds, AreAListOfOneFileWhateverItsName) {
    const QByteArray address = FilmRound{0.5, 3600}.address("/a,b;c%9%/\xc3\xa4.mp4");
    const QByteArray one = "%16%/a,b;c%9%/\xc3\xa4.mp4,start=0.500000,length=3600.000000;";
    EXPECT_EQ(address, "edl://" + one + one);
    EXPECT_EQ(FilmRound({0, 0.5}).address("/a").count("/a"), 1000);
}

TEST_F(Film, IsSteered) {
    FilmClient film(once(made({.pictures = 250})));
    ASSERT_TRUE(comes(film, 0));
    film.seek(6.0);
    ASSERT_TRUE(comes(film, 150));
    film.play();
    ASSERT_TRUE(waitUntil([&] { return number(film) > 155; }));
    film.pause();
    ASSERT_TRUE(waitUntil([&] { return film.stands().isPaused; }));
    film.seek(-5); // before its beginning
    ASSERT_TRUE(comes(film, 0));
    film.seek(1000);
    EXPECT_TRUE(waitUntil([&] { return number(film) > 240; }));
    for (int i = 0; i < 60; ++i) // mashed
        film.seek(i % 10);
    EXPECT_TRUE(comes(film, 225));
}

TEST_F(Film, ThatIsStillOpeningGoesWhereItIsWanted) {
    FilmClient film(once(made({.pictures = 250})));
    film.seek(6.0);
    EXPECT_TRUE(comes(film, 150));
}

TEST_F(Film, IsTurnedAsItsFileSays) {
    const QString upright = made();
    const QString turned = folder.filePath(u"turned.mp4"_s);
    ASSERT_EQ(
        QProcess::execute(u"ffmpeg"_s, {u"-v"_s, u"error"_s, u"-y"_s, u"-i"_s, upright, u"-metadata:s:v:0"_s,
                                        u"rotate=90"_s, u"-c"_s, u"copy"_s, turned}),
        0);
    for (const bool isOnce : {true, false}) {
        message::OpenFilm order = once(turned);
        order.film.isOnce = isOnce;
        FilmClient film(order);
        ASSERT_TRUE(waitUntil([&] { return film.picture().image.height() > film.picture().image.width(); }));
        const QImage picture = film.picture().image;
        EXPECT_NEAR(double(picture.width()) / picture.height(), 9.0 / 16, 0.02);
        const QImage back = picture.transformed(QTransform().rotate(90));
        const QImage other = picture.transformed(QTransform().rotate(-90));
        EXPECT_TRUE(numberOnPicture(back) == 0 || numberOnPicture(other) == 0);
    }
}

TEST_F(Film, FillsAScreenOfAnotherShape) {
    message::OpenFilm order = once(made({.size = {320, 240}}));
    order.film.fit = PictureFit::Fill;
    FilmClient film(order);
    ASSERT_TRUE(comes(film, 0));
    EXPECT_EQ(film.picture().image.size(), QSize(640, 480));
    order.film.fit = PictureFit::Stretch;
    FilmClient stretched(order);
    ASSERT_TRUE(comes(stretched, 0));
    EXPECT_EQ(stretched.picture().image.size(), QSize(640, 360));
}

TEST_F(Film, HasPixelsThatAreNotSquare) {
    TestFilm recipe{.size = {360, 288}};
    recipe.encoder << u"-aspect"_s << u"16:9"_s;
    FilmClient film(once(made(recipe)));
    ASSERT_TRUE(comes(film, 0));
    EXPECT_EQ(film.picture().image.size(), QSize(640, 360));
}

TEST_F(Film, IsTreatedLikeAPicture) {
    TestFilm recipe{.colour = qRgb(100, 100, 100)};
    message::OpenFilm order = once(made(recipe));
    order.film.treatment.brightness = -40; // 51 of 255 darker
    FilmClient film(order);
    ASSERT_TRUE(comes(film, 0));
    EXPECT_NEAR(qGray(film.picture().image.pixel(320, 300)), 49, 6);
}

TEST_F(Film, ComesFromBlackAndGoesThere) {
    message::OpenFilm order = once(made({.pictures = 250, .colour = qRgb(200, 200, 200)}));
    order.film.from = 2;
    order.film.to = 8;
    order.film.fadeIn = 2;
    order.film.fadeOut = 2;
    FilmClient film(order);
    const auto greyComes = [&](int from, int to) {
        int grey = -1;
        return waitUntil([&] {
                   const QImage picture = film.picture().image;
                   grey = picture.isNull() ? -1 : qGray(picture.pixel(320, 300));
                   return grey >= from && grey <= to;
               }) ||
               ((ADD_FAILURE() << grey), false);
    };
    EXPECT_TRUE(greyComes(0, 8));
    for (const auto& [at, grey] : {std::pair{3.0, 100}, {5.0, 200}, {7.0, 100}, {7.96, 4}, {4.5, 200}}) {
        film.seek(at); // wherever it comes from
        EXPECT_TRUE(greyComes(grey - 8, grey + 8)) << at;
    }
}

TEST_F(Film, GoesOnAtTheSamePlaceWhenItsProcessDies) {
    FilmClient film(once(made({.pictures = 500})));
    ASSERT_TRUE(comes(film, 0));
    film.play();
    ASSERT_TRUE(waitUntil([&] { return film.stands().position > 2; }));
    const auto before = filmsOf();
    ASSERT_EQ(before.size(), 1u);
    ::kill(pid_t(before[0]), SIGKILL);
    const int last = number(film);
    ASSERT_TRUE(waitUntil([&] { return filmsOf() != before && !filmsOf().empty(); }));
    EXPECT_GE(number(film), last); // its picture stays meanwhile
    ASSERT_TRUE(waitUntil([&] { return number(film) > last + 10; }));
    EXPECT_LT(number(film), last + 120);
    EXPECT_TRUE(film.stands().problem.isEmpty());
}

TEST_F(Film, IsGivenUpWhenItsProcessDiesAgainAndAgain) {
    FilmClient film(once(made({.pictures = 500})));
    ASSERT_TRUE(comes(film, 0));
    for (int i = 0; i < 3; ++i) {
        ASSERT_TRUE(waitUntil([] { return filmsOf().size() == 1; }));
        const auto pids = filmsOf();
        ::kill(pid_t(pids[0]), SIGKILL);
        ASSERT_TRUE(waitUntil([&] { return filmsOf() != pids; }));
    }
    EXPECT_TRUE(isRefused(film));
    EXPECT_EQ(number(film), 0); // still there
}

TEST_F(Film, EndsWithoutAProcessLeftBehind) {
    {
        FilmClient film(once(made()));
        ASSERT_TRUE(comes(film, 0));
    }
    EXPECT_TRUE(filmsOf().empty());
    auto* leaving = new FilmClient(once(folder.filePath(u"film.mp4"_s)));
    ASSERT_TRUE(comes(*leaving, 0));
    leaving->leave(50);
    EXPECT_TRUE(waitUntil([] { return filmsOf().empty(); }));
}

TEST_F(Film, WhatIsNoFilmIsRefusedWithAReason) {
    const QString good = made();
    QFile file(good);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const QByteArray bytes = file.readAll();
    const QString sound = folder.filePath(u"sound.mp4"_s);
    ASSERT_EQ(QProcess::execute(u"ffmpeg"_s, {u"-v"_s, u"error"_s, u"-y"_s, u"-i"_s, good, u"-vn"_s, sound}),
              0);
    const QStringList paths{folder.filePath(u"not-there.mp4"_s),
                            written({}, u"empty.mp4"_s),
                            written("These are words.\n", u"words.mp4"_s),
                            written(bytes.left(40), u"cut.mp4"_s),
                            written("#EXTM3U\n#EXTINF:1,\n" + good.toUtf8() + '\n', u"list.mp4"_s),
                            written("[playlist]\nFile1=" + good.toUtf8() + '\n', u"other.mp4"_s),
                            written("ffconcat version 1.0\nfile film.mp4\n", u"concat.mp4"_s),
                            sound};
    for (const QString& path : paths) {
        FilmClient film(once(path));
        EXPECT_TRUE(isRefused(film)) << path.toStdString();
        EXPECT_EQ(film.picture().number, 0u) << path.toStdString();
    }
}

TEST_F(Film, IsLookedAtWithItsLengthAndAtItsMoments) {
    const QString path = made({.size = {1280, 720}, .pictures = 250}); // slow to find a moment in
    const auto facts = lookAtFilm(path);
    ASSERT_TRUE(facts);
    EXPECT_NEAR(facts->seconds, 10, 0.1);
    EXPECT_EQ(facts->size, QSize(1280, 720));
    EXPECT_TRUE(facts->hasSound);
    for (const int wanted : {0, 50, 150, 100, 243}) {
        const auto moment = pictureOfFilm(path, wanted / 25.0, {160, 90});
        ASSERT_TRUE(moment) << wanted;
        EXPECT_NEAR(numberOnPicture(*moment), wanted, 1);
    }
    EXPECT_FALSE(lookAtFilm(written("These are words.\n", u"words.mp4"_s)));
}

TEST_F(Film, DamageInTheMiddleIsPlayedOver) {
    const QString path = made({.pictures = 100});
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::ReadWrite));
    file.seek(file.size() / 2);
    file.write(QByteArray(2000, '\x55'));
    file.close();
    FilmClient film(once(path));
    film.play();
    EXPECT_TRUE(waitUntil([&] { return film.stands().isOver || !film.stands().problem.isEmpty(); }));
    EXPECT_GT(film.picture().number, 0u);
}

/// Light beyond white comes down to what ordinary screens show, and what is between stays between.
TEST_F(Film, WithMoreLightIsBroughtToOrdinaryScreens) {
    TestFilm recipe{.pictures = 10, .hasSound = false};
    recipe.encoder = {
        u"-c:v"_s,         u"libx265"_s,
        u"-x265-params"_s, u"log-level=none:colorprim=bt2020:transfer=smpte2084:colormatrix=bt2020nc"_s,
        u"-pix_fmt"_s,     u"yuv420p10le"_s};
    FilmClient film(once(made(recipe)));
    ASSERT_TRUE(waitUntil([&] { return film.picture().number > 1 || number(film) == 0; }));
    film.seek(0.2);
    ASSERT_TRUE(comes(film, 5)); // blacks are black, and whites white
}

TEST_F(Film, OfManyShapesAndKindsAreShown) {
    const std::vector<std::pair<QString, QStringList>> kinds{
        {u"a.webm"_s, {u"-c:v"_s, u"libvpx-vp9"_s, u"-deadline"_s, u"realtime"_s, u"-c:a"_s, u"libopus"_s}},
        {u"a.mkv"_s, {u"-c:v"_s, u"libx264"_s, u"-pix_fmt"_s, u"yuv444p10le"_s, u"-c:a"_s, u"flac"_s}},
        {u"a.avi"_s, {u"-c:v"_s, u"mpeg4"_s, u"-q:v"_s, u"2"_s, u"-c:a"_s, u"mp3"_s}},
        {u"a.mpg"_s, {u"-c:v"_s, u"mpeg2video"_s, u"-q:v"_s, u"2"_s, u"-c:a"_s, u"mp2"_s}},
        {u"a.ts"_s, {u"-c:v"_s, u"libx264"_s, u"-pix_fmt"_s, u"yuv420p"_s, u"-c:a"_s, u"aac"_s}},
        {u"a.mov"_s,
         {u"-c:v"_s, u"mjpeg"_s, u"-q:v"_s, u"2"_s, u"-pix_fmt"_s, u"yuvj422p"_s, u"-c:a"_s, u"pcm_s16le"_s}},
        {u"a.wmv"_s, {u"-c:v"_s, u"wmv2"_s, u"-q:v"_s, u"2"_s, u"-c:a"_s, u"wmav2"_s}},
        {u"a.flv"_s, {u"-c:v"_s, u"flv"_s, u"-q:v"_s, u"2"_s, u"-an"_s}}};
    for (const auto& [name, encoder] : kinds) {
        const QString path = made({.pictures = 30, .encoder = encoder}, name);
        FilmClient film(once(path));
        EXPECT_TRUE(comes(film, 0)) << name.toStdString() << ' ' << film.stands().problem.toStdString();
    }
}

TEST(FilmFilters, SayWhatTheDecoderDoesNotDo) {
    EXPECT_TRUE(filmFilters({}, {}, 10).isEmpty());
    FilmTraits phone;
    phone.size = {1920, 1080};
    phone.rotation = 90;
    EXPECT_EQ(filmFilters(phone, {}, 10), "lavfi=[transpose=clock]");
    FilmPlay soft;
    soft.treatment.blur = 20;
    EXPECT_TRUE(filmFilters(phone, soft, 10).contains("gblur=sigma=17.7")); // of 1920 px
    FilmPlay fading;
    fading.from = 2;
    fading.fadeIn = 1;
    fading.fadeOut = 4;
    EXPECT_EQ(soundFilters(fading, 10),
              "lavfi=[afade=t=in:st=2.0000:d=1.0000,afade=t=out:st=6.0000:d=4.0000]");
    EXPECT_EQ(filmFilters({}, fading, 10),
              "lavfi=[fade=t=in:st=2.0000:d=1.0000,fade=t=out:st=6.0000:d=4.0000]");
    EXPECT_EQ(filmFilters({}, fading, 5), // no longer than all of it
              "lavfi=[fade=t=in:st=2.0000:d=1.0000,fade=t=out:st=2.0000:d=3.0000]");
    EXPECT_EQ(filmFilters({}, fading, 0),
              "lavfi=[fade=t=in:st=2.0000:d=1.0000]"); // how long it is, is unknown
}

TEST(FilmBoard, WhatIsHeldIsNeverWrittenTo) {
    auto board = FilmBoard::create({64, 16});
    ASSERT_TRUE(board);
    auto writer = FilmBoard::open(::dup((*board)->descriptor()));
    ASSERT_TRUE(writer);
    EXPECT_EQ((*board)->newest().number, 0u);
    EXPECT_FALSE((*writer)->hasRoomFor({128, 64}));
    EXPECT_FALSE((*writer)->hasRoomFor({}));
    FilmPicture held;
    for (int i = 1; i <= 100; ++i) {
        uchar* pixels = (*writer)->begin({64, 16}, FilmBoard::Alpha::Opaque);
        if (!held.image.isNull()) {
            ASSERT_NE(pixels, held.image.constBits());
        }
        std::fill(pixels, pixels + 64 * 16 * 4, uchar(i));
        (*writer)->publish();
        if (i % 3 == 0) {
            held = (*board)->newest();
            ASSERT_EQ(held.number, quint64(i));
            ASSERT_EQ(held.image.constBits()[100], uchar(i));
        }
    }
}

TEST_F(Film, AFilmThatIsSeeThroughStaysSo) {
    const QString path = folder.filePath(u"lights.webm"_s);
    ASSERT_EQ(
        QProcess::execute(
            u"ffmpeg"_s,
            {u"-v"_s, u"error"_s, u"-f"_s, u"lavfi"_s, u"-i"_s,
             u"color=c=red:s=320x180:r=25:d=1,format=yuva420p,geq=lum='lum(X,Y)':cb='cb(X,Y)':cr='cr(X,Y)':a='if(lt(X,160),0,255)'"_s,
             u"-c:v"_s, u"libvpx-vp9"_s, u"-pix_fmt"_s, u"yuva420p"_s, u"-deadline"_s, u"realtime"_s, path}),
        0);
    for (const bool isOnce : {true, false}) {
        message::OpenFilm order = once(path);
        order.film.isOnce = isOnce;
        FilmClient film(order);
        ASSERT_TRUE(waitUntil([&] { return film.picture().number > 0; }, 10'000));
        EXPECT_EQ(qAlpha(film.picture().image.pixel(100, 180)), 0) << isOnce;
        const QRgb right = film.picture().image.pixel(540, 180);
        EXPECT_EQ(qAlpha(right), 255);
        EXPECT_GT(qRed(right), 200);
    }
}

} // namespace
} // namespace mivanta
