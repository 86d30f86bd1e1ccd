// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputPicture.h"
#include "support/Golden.h"
#include "support/Processes.h"
#include "support/TestFilm.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QTemporaryDir>
#include <csignal>
#include <gtest/gtest.h>
#include <malloc.h>

namespace mivanta {
namespace {

constexpr QSize kScreen{640, 360};

/// An output as the player has it, with what a window would paint.
struct Screen {
    Screen(PreparedFrames& frames, Films& films, const QString& name) : picture(frames, films, name) {
        picture.setSize(kScreen);
        QObject::connect(&picture, &OutputPicture::settled, [this](quint64 take) { settled = take; });
        QObject::connect(&picture, &OutputPicture::changed, [this] { numbers.push_back(number()); });
    }
    [[nodiscard]] QImage seen() const {
        QImage image(kScreen, QImage::Format_RGB32);
        QPainter painter(&image);
        picture.paint(painter, image.rect());
        return image;
    }
    [[nodiscard]] int number() const { return numberOnPicture(seen()); }

    OutputPicture picture;
    quint64 settled = 0;
    std::vector<int> numbers;
};

class FilmShown : public ::testing::Test {
protected:
    static void SetUpTestSuite() {
        media = std::make_unique<QTemporaryDir>();
        ASSERT_TRUE(makeFilm(media->filePath(kName), {.pictures = 250}));
    }
    static void TearDownTestSuite() { media.reset(); }
    void SetUp() override {
        films.setFolder(media->path());
        ASSERT_TRUE(waitUntil([] { return filmsOf().empty(); })) << "those of the test before end";
    }
    /// A film that gives no picture until its process goes on.
    FilmPtr stopped(const Scene& scene) {
        const auto others = filmsOf();
        FilmPtr film = films.open(*scene.film);
        EXPECT_TRUE(waitUntil([&] { return filmsOf().size() > others.size(); }));
        for (const qint64 process : filmsOf())
            if (std::find(others.begin(), others.end(), process) == others.end())
                ::kill(pid_t(process), SIGSTOP);
        EXPECT_EQ(film->picture().number, 0u);
        return film;
    }
    static void letGoOn() {
        for (const qint64 process : filmsOf())
            ::kill(pid_t(process), SIGCONT);
    }

    Scene scene(const QString& words = {}) {
        Scene result;
        result.output = u"hall"_s;
        result.size = kScreen;
        result.fontSize = 30;
        result.look.transition.kind = TransitionKind::Cut;
        result.look.backdropTransition.kind = TransitionKind::Cut;
        result.look.words.box = {0.1, 0.6, 0.8, 0.3}; // under the number
        result.look.backdrop.kind = BackdropKind::Film;
        result.look.backdrop.film = kName;
        if (!words.isEmpty())
            result.rows = {{words, {}}};
        result.film = filmOf(result.look.backdrop);
        return result;
    }
    bool takes(Screen& screen, const Scene& wanted) {
        screen.picture.show(wanted, ++take, Arrival::Turning);
        return waitUntil([&] { return screen.settled == take; });
    }

    static inline const QString kName = QString(64, QChar(u'a')) + QStringLiteral(".mp4");
    static inline std::unique_ptr<QTemporaryDir> media;
    PreparedFrames frames;
    Films films;
    quint64 take = 0;
};

TEST_F(FilmShown, MovesBehindWordsThatStay) {
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, scene(u"Slate"_s)));
    EXPECT_GE(hall.number(), 0); // never black before its first picture
    const QImage first = hall.seen();
    ASSERT_TRUE(waitUntil([&] { return hall.number() > 30; }));
    const QRect words(64, 216, 512, 108);
    EXPECT_TRUE(isAlike(difference(hall.seen().copy(words), first.copy(words)))); // a film's pictures differ
    EXPECT_NE(first.copy(words), QImage(first.copy(words)).convertToFormat(QImage::Format_Mono));
    EXPECT_EQ(std::count(hall.numbers.begin(), hall.numbers.end(), -1), 0);
    const QImage small = hall.picture.smallPicture(); // for the desks
    EXPECT_GT(numberOnPicture(small), 25);
    EXPECT_EQ(qAlpha(small.pixel(5, 5)), 255);
}

TEST_F(FilmShown, GoesOnWhileWordsChangeAndIsPlayedOnce) {
    Screen hall(frames, films, u"hall"_s);
    Screen stream(frames, films, u"stream"_s);
    ASSERT_TRUE(takes(hall, scene(u"one"_s)));
    ASSERT_TRUE(waitUntil([&] { return hall.number() > 20; }));
    const int before = hall.number();
    ASSERT_TRUE(takes(hall, scene(u"two"_s)));
    EXPECT_GE(hall.number(), before);
    ASSERT_TRUE(takes(stream, scene(u"two"_s))); // an output that joins late
    EXPECT_EQ(filmsOf().size(), 1u);
    EXPECT_NEAR(stream.number(), hall.number(), 2);
}

TEST_F(FilmShown, KeepsItsPlaceUnderACurtain) {
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, scene()));
    ASSERT_TRUE(waitUntil([&] { return hall.number() > 10; }));
    const int before = hall.number();
    Scene black = scene();
    black.curtain = Curtain::Black;
    black.unseen = std::exchange(black.film, std::nullopt);
    ASSERT_TRUE(takes(hall, black));
    EXPECT_EQ(hall.seen().pixel(10, 350), qRgb(0, 0, 0));
    const auto stands = [&] { return films.stands(); };
    ASSERT_EQ(stands().size(), 1u);
    const double then = stands()[0].position;
    ASSERT_TRUE(waitUntil([&] { return stands()[0].position > then + 1; }));
    ASSERT_TRUE(takes(hall, scene()));
    EXPECT_GT(hall.number(), before + 12);
}

TEST_F(FilmShown, GoesOnUnderACurtainAlsoWhenItWasNotSeenBefore) {
    Screen hall(frames, films, u"hall"_s); // as of a player that was started again meanwhile
    Scene black = scene();
    black.curtain = Curtain::Black;
    black.unseen = std::exchange(black.film, std::nullopt);
    ASSERT_TRUE(takes(hall, black));
    EXPECT_TRUE(waitUntil([&] { return films.stands().at(0).position > 0.5; }));
    films.steer({filmKey(*black.unseen), message::SteerFilm::What::Pause, 0});
    ASSERT_TRUE(waitUntil([&] { return films.stands().at(0).isPaused; }));
    ASSERT_TRUE(takes(hall, scene())); // somebody wanted it to stand still
    EXPECT_TRUE(films.stands().at(0).isPaused);
}

TEST_F(FilmShown, EndsWhenSomethingElseIsTaken) {
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, scene()));
    Scene still = scene(u"still"_s);
    still.look.backdrop = Backdrop();
    still.film.reset();
    ASSERT_TRUE(takes(hall, still));
    EXPECT_TRUE(waitUntil([] { return filmsOf().size() == 0; }));
    EXPECT_TRUE(films.stands().empty());
}

TEST_F(FilmShown, IsNotPlayedOnForBeingNearby) {
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, scene()));
    films.prepare({*scene().film}); // it may be wanted again
    Scene still = scene(u"still"_s);
    still.look.backdrop = Backdrop();
    still.film.reset();
    ASSERT_TRUE(takes(hall, still));
    EXPECT_TRUE(waitUntil([] { return filmsOf().empty(); }));
}

TEST_F(FilmShown, OneThatIsNextWaitsOnItsFirstPicture) {
    FilmPlay film = *scene().film;
    film.item = u"an item"_s;
    films.prepare({film});
    ASSERT_TRUE(waitUntil([&] { return !films.stands().empty() && films.stands()[0].isOpen; }));
    EXPECT_TRUE(films.stands()[0].isPaused);
    Screen hall(frames, films, u"hall"_s);
    Scene shown = scene();
    shown.film = film;
    ASSERT_TRUE(takes(hall, shown));
    EXPECT_LE(hall.numbers.front(), 2);
    films.prepare({}); // it is held by who shows it
    ASSERT_TRUE(waitUntil([&] { return hall.number() > 10; }));
}

TEST_F(FilmShown, BeginsWhereAnotherPlayerHadIt) {
    FilmPlay film = *scene().film;
    films.steer({filmKey(film), message::SteerFilm::What::Seek, 6.0});
    films.steer({filmKey(film), message::SteerFilm::What::Pause, 0});
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, scene()));
    ASSERT_TRUE(waitUntil([&] { return hall.number() == 150; }));
    films.steer({filmKey(film), message::SteerFilm::What::Play, 0});
    EXPECT_TRUE(waitUntil([&] { return hall.number() > 155; }));
}

TEST_F(FilmShown, WhatCannotBePlayedIsNotWaitedForLong) {
    Screen hall(frames, films, u"hall"_s);
    Scene missing = scene(u"words"_s);
    missing.look.backdrop.film = QString(64, QChar(u'b')) + u".mp4"_s;
    missing.look.backdrop.colour = {10, 20, 30, 255};
    missing.film = filmOf(missing.look.backdrop);
    ASSERT_TRUE(takes(hall, missing));
    EXPECT_EQ(hall.seen().pixel(5, 5), qRgb(10, 20, 30)); // the words come all the same
}

TEST_F(FilmShown, OneThatHasNoPictureYetIsNotWaitedForAgain) {
    const Scene slow = scene(u"first words"_s);
    const FilmPtr film = stopped(slow);
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, slow));
    const Scene next = scene(u"next words"_s);
    frames.prepare(next, kScreen);
    ASSERT_TRUE(waitUntil([&] { return bool(frames.get(next, kScreen, Clock::the().now())); }));
    hall.picture.show(next, ++take, Arrival::Turning);
    EXPECT_EQ(hall.settled, take) << "words wait once for a film that is slow";
    EXPECT_EQ(film->picture().number, 0u);
    letGoOn();
    EXPECT_TRUE(waitUntil([&] { return hall.number() > 0; })) << "it moves behind them when it comes";
}

TEST_F(FilmShown, TheOneOnScreenMovesOnUntilTheNextHasAPicture) {
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, scene()));
    Scene other = scene();
    other.look.backdrop.filmFrom = 2;
    other.film = filmOf(other.look.backdrop);
    const FilmPtr slow = stopped(other);
    hall.picture.show(other, ++take, Arrival::Turning);
    hall.numbers.clear();
    EXPECT_TRUE(waitUntil([&] { return hall.numbers.size() > 3 || hall.settled == take; }));
    EXPECT_NE(hall.settled, take) << "nothing moved until it was given up waiting";
    letGoOn();
    EXPECT_TRUE(waitUntil([&] { return hall.settled == take; }));
}

TEST_F(FilmShown, FadesFromOneToTheOtherWhileBothMove) {
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, scene()));
    Scene other = scene();
    other.look.backdrop.treatment.brightness = -50;
    other.film = filmOf(other.look.backdrop);
    other.look.transition = other.look.backdropTransition = {TransitionKind::Fade, 400};
    ASSERT_TRUE(takes(hall, other));
    EXPECT_LT(qGray(hall.seen().pixel(20, 350)), 40);
    EXPECT_TRUE(waitUntil([] { return filmsOf().size() == 1; }));
}

TEST_F(FilmShown, TwoHundredChangesLeaveNothingBehind) {
    constexpr int kWarm = 60; // until the pictures that are remembered are as many as they get
    constexpr int kMost = 6 * 1024;
    Screen hall(frames, films, u"hall"_s);
    int memory = 0;
    int descriptors = 0;
    for (int i = 0; i < 200; ++i) {
        Scene next = scene();
        next.look.backdrop.filmFrom = i * 0.02;
        next.film = filmOf(next.look.backdrop);
        ASSERT_TRUE(takes(hall, next)) << i;
        if (i == kWarm) {
            ASSERT_TRUE(waitUntil([] { return filmsOf().size() == 1; }));
            malloc_trim(0);
            memory = ownMemory();
            descriptors = openDescriptors();
        }
    }
    EXPECT_TRUE(waitUntil([] { return filmsOf().size() == 1; }));
    malloc_trim(0);
    EXPECT_LT(ownMemory(), memory + kMost);
    EXPECT_LE(openDescriptors(), descriptors + 2);
}

/// Over a plain ground, with a film in a box on it.
class FilmObjects : public FilmShown {
protected:
    Scene boxed(const QString& words = {}) {
        Scene result = scene(words);
        result.look.backdrop = Backdrop();
        result.look.backdrop.kind = BackdropKind::Plain;
        result.look.backdrop.colour = {10, 20, 30, 255};
        result.film.reset();
        SlideObject object;
        object.what = FilmObject{kName};
        object.box = {0.25, 0.25, 0.5, 0.5};
        result.look.objects = {object};
        return result;
    }
    static QImage inBox(const QImage& screen) { return screen.copy(160, 90, 320, 180); }
};

TEST_F(FilmObjects, MoveInTheirBoxBehindTheWords) {
    Screen hall(frames, films, u"hall"_s);
    ASSERT_TRUE(takes(hall, boxed(u"Slate over the water, and a second row of words"_s)));
    ASSERT_TRUE(waitUntil([&] { return numberOnPicture(inBox(hall.seen())) > 20; }));
    EXPECT_EQ(hall.seen().pixel(5, 5), qRgb(10, 20, 30));
    const int before = numberOnPicture(inBox(hall.seen()));
    ASSERT_TRUE(takes(hall, boxed()));
    EXPECT_GE(numberOnPicture(inBox(hall.seen())), before) << "it goes on while words change";
    EXPECT_EQ(filmsOf().size(), 1u);
    const QImage small = hall.picture.smallPicture(); // for the desks
    EXPECT_GT(numberOnPicture(
                  small.copy(small.width() / 4, small.height() / 4, small.width() / 2, small.height() / 2)),
              20);
    Scene black = boxed();
    black.curtain = Curtain::Black;
    ASSERT_TRUE(takes(hall, black));
    EXPECT_EQ(qGray(hall.seen().pixel(320, 180)), 0);
    EXPECT_TRUE(waitUntil([] { return filmsOf().empty(); }));
}

TEST_F(FilmObjects, AreAsRoundSolidAndTurnedAsTheyAreSaidToBe) {
    Screen hall(frames, films, u"hall"_s);
    Scene round = boxed();
    std::get<FilmObject>(round.look.objects[0].what).roundness = 200;
    round.look.objects[0].opacity = 0.5;
    ASSERT_TRUE(takes(hall, round));
    EXPECT_EQ(hall.seen().pixel(162, 92), qRgb(10, 20, 30)) << "its corner";
    const QColor lower(hall.seen().pixel(320, 250)); // half of the film's 0x204060
    EXPECT_NEAR(lower.red(), (10 + 0x20) / 2, 8);
    EXPECT_NEAR(lower.blue(), (30 + 0x60) / 2, 8);
    Scene turned = boxed();
    turned.look.objects[0].rotation = 180;
    ASSERT_TRUE(takes(hall, turned));
    ASSERT_TRUE(waitUntil([&] { return numberOnPicture(inBox(hall.seen()).mirrored(true, true)) > 0; }));
}

TEST_F(FilmObjects, ComeAndGoWithTheTransition) {
    Screen hall(frames, films, u"hall"_s);
    Scene plain = boxed();
    plain.look.objects.clear();
    ASSERT_TRUE(takes(hall, plain));
    Screen second(frames, films, u"second"_s); // where the film is shown already: it is open in time
    ASSERT_TRUE(takes(second, boxed()));
    ASSERT_TRUE(waitUntil([&] { return numberOnPicture(inBox(second.seen())) > 0; }));
    Scene slow = boxed();
    slow.look.objects[0].fadeIn = 400;
    std::vector<int> blues;
    QObject::connect(&hall.picture, &OutputPicture::changed,
                     [&] { blues.push_back(qBlue(hall.seen().pixel(320, 250))); });
    ASSERT_TRUE(takes(hall, slow));
    for (size_t i = 1; i < blues.size(); ++i)
        EXPECT_GE(blues[i], blues[i - 1] - 4); // pictures of a film differ a little
    EXPECT_NEAR(blues.back(), 0x60, 12);
    EXPECT_TRUE(std::any_of(blues.begin(), blues.end(), [](int blue) { return blue > 40 && blue < 80; }));
    slow.look.objects.clear();
    ASSERT_TRUE(takes(hall, slow));
    EXPECT_EQ(hall.seen().pixel(320, 250), qRgb(10, 20, 30));
    ASSERT_TRUE(takes(second, slow));
    EXPECT_TRUE(waitUntil([] { return filmsOf().empty(); }));
}

TEST_F(FilmObjects, OneFilmIsPlayedOnceHoweverManyShowIt) {
    Screen hall(frames, films, u"hall"_s);
    Scene two = scene();
    two.look.objects = {boxed().look.objects[0], boxed().look.objects[0]};
    two.look.objects[0].box = {0, 0.5, 0.4, 0.4};
    two.look.objects[1].box = {0.6, 0.5, 0.4, 0.4};
    ASSERT_TRUE(takes(hall, two));
    ASSERT_TRUE(waitUntil([&] { return hall.number() > 5; }));
    const QImage seen = hall.seen();
    EXPECT_NEAR(numberOnPicture(seen.copy(0, 180, 256, 144)), numberOnPicture(seen.copy(384, 180, 256, 144)),
                0);
    EXPECT_LE(filmsOf().size(), 2u); // the backdrop is another play of it
}

} // namespace
} // namespace mivanta
