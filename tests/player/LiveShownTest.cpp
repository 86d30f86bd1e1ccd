// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/LiveLook.h"
#include "player/OutputPicture.h"
#include "support/CameraProcess.h"
#include "support/Processes.h"
#include "support/TestFilm.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <set>

namespace mivanta {
namespace {

constexpr QSize kLiveScreen{640, 360};

/// Two outputs as the player has them, and a simulated camera.
class LiveShown : public ::testing::Test {
protected:
    void SetUp() override {
        ASSERT_TRUE(waitUntil([] { return filmsOf().empty(); })) << "those of the test before end";
        input.id = LiveInputId::create();
        input.source = AddressSource{u"http://127.0.0.1:%1/harbour"_s.arg(port)};
        films.setLiveInputs({{input, {}}});
        for (OutputPicture* picture : {&hall, &stream})
            picture->setSize(kLiveScreen);
    }
    Scene scene(const QString& output, const QString& words) {
        Scene result;
        result.output = output;
        result.size = kLiveScreen;
        result.fontSize = 30;
        result.look.transition.kind = result.look.backdropTransition.kind = TransitionKind::Cut;
        result.look.words.box = {0.1, 0.6, 0.8, 0.3}; // under the number
        result.look.backdrop.kind = BackdropKind::Live;
        result.look.backdrop.live = input.id.text();
        result.look.backdrop.colour = {10, 60, 90, 255};
        result.rows = {{words, {}}};
        result.film = filmOf(result.look.backdrop);
        return result;
    }
    void take(OutputPicture& picture, const QString& words) {
        picture.show(scene(picture.name(), words), ++number, Arrival::Turning);
        bool isSettled = false;
        const auto connection = QObject::connect(&picture, &OutputPicture::settled,
                                                 [&](quint64 settled) { isSettled = settled == number; });
        EXPECT_TRUE(waitUntil([&] { return isSettled; }));
        QObject::disconnect(connection);
    }
    [[nodiscard]] static QImage seen(const OutputPicture& picture) {
        QImage image(kLiveScreen, QImage::Format_RGB32);
        QPainter painter(&image);
        picture.paint(painter, image.rect());
        return image;
    }
    [[nodiscard]] static bool moves(const OutputPicture& picture) {
        std::set<int> numbers;
        return waitUntil([&] {
            if (const int now = numberOnPicture(seen(picture)); now >= 0)
                numbers.insert(now);
            return numbers.size() > 5;
        });
    }

    quint16 port = CameraProcess::freePort();
    CameraProcess camera{{QStringLiteral("--mjpeg"), QString::number(port)}};
    LiveInput input;
    PreparedFrames frames;
    Films films;
    OutputPicture hall{frames, films, u"hall"_s};
    OutputPicture stream{frames, films, u"stream"_s};
    quint64 number = 0;
};

TEST_F(LiveShown, StandsInARoundFrameOnTheSlide) {
    Scene framed = scene(u"hall"_s, {});
    framed.rows.clear();
    framed.look.backdrop = Backdrop();
    framed.look.backdrop.colour = {10, 60, 90, 255};
    framed.film.reset();
    SlideObject object;
    object.what = LiveObject{input.id.text(), {{250, 200, 10, 255}, 12}, 540};
    object.box = {0.25, 0.25, 0.5, 0.5};
    framed.look.objects = {object};
    bool isSettled = false;
    QObject::connect(&hall, &OutputPicture::settled, [&] { isSettled = true; });
    hall.show(framed, 1, Arrival::Turning);
    ASSERT_TRUE(waitUntil([&] { return isSettled; }));
    const QPoint corner(162, 92);
    const QPoint edge(320, 91);
    ASSERT_TRUE(waitUntil([&] { return qRed(seen(hall).pixel(edge)) > 200; })) << "its frame";
    EXPECT_EQ(seen(hall).pixel(corner), qRgb(10, 60, 90)) << "it is round";
    EXPECT_NE(seen(hall).pixel(320, 180), qRgb(10, 60, 90)) << "the camera";
    EXPECT_EQ(filmsOf().size(), 1u);
    films.setShowsItself([](const LiveInput&, const QString&) { return true; });
    hall.showAgain();
    EXPECT_TRUE(waitUntil([&] { return seen(hall).pixel(320, 180) == qRgb(10, 60, 90); }))
        << "never in itself";
}

TEST_F(LiveShown, IsOneForAllOutputsAndGoesOnWhileWordsChange) {
    take(hall, u"Slate"_s);
    EXPECT_TRUE(moves(hall));
    take(hall, u"Shutter"_s);
    take(stream, u"Shutter"_s);
    EXPECT_TRUE(moves(stream));
    EXPECT_EQ(filmsOf().size(), 1u);
    const QRect words(64, 216, 512, 108);
    EXPECT_GT(
        qGray(
            seen(hall).copy(words).scaled(1, 1, Qt::IgnoreAspectRatio, Qt::SmoothTransformation).pixel(0, 0)),
        0);
}

TEST_F(LiveShown, WhatIsLostGivesWayToTheBackdropsColour) {
    take(hall, u"Slate"_s);
    ASSERT_TRUE(moves(hall));
    camera.order("part");
    EXPECT_TRUE(waitUntil([&] { return seen(hall).pixel(5, 5) == qRgb(10, 60, 90); }));
    using Signal = message::FilmStands::Signal;
    ASSERT_EQ(films.stands().size(), 1u);
    EXPECT_EQ(films.stands().front().signal, Signal::Lost);
    camera.order("go");
    EXPECT_TRUE(moves(hall));
}

TEST_F(LiveShown, OneThatIsSetUpAnewIsOpenedAnew) {
    take(hall, u"Slate"_s);
    ASSERT_TRUE(moves(hall));
    const auto before = filmsOf();
    input.part = {0, 0, 1, 0.5};
    films.setLiveInputs({{input, {}}});
    EXPECT_TRUE(waitUntil([&] { return filmsOf().size() == 1 && filmsOf() != before; }));
    EXPECT_TRUE(waitUntil([&] { return films.open(*scene({}, {}).film)->stands().size == QSize(640, 180); }));
}

TEST_F(LiveShown, OneThatIsUnknownIsSaidAndHoldsNothingUp) {
    films.setLiveInputs({});
    take(hall, u"Slate"_s);
    EXPECT_EQ(seen(hall).pixel(5, 5), qRgb(10, 60, 90));
    EXPECT_TRUE(waitUntil([&] { return !films.stands().front().problem.isEmpty(); }));
}

TEST_F(LiveShown, WhereItWouldShowItselfTheColourIsSeenAndElsewhereItMoves) {
    bool isItself = true;
    films.setShowsItself(
        [&](const LiveInput&, const QString& output) { return isItself && output == u"hall"_s; });
    take(hall, u"Slate"_s);
    take(stream, u"Slate"_s);
    EXPECT_TRUE(moves(stream));
    EXPECT_EQ(seen(hall).pixel(5, 5), qRgb(10, 60, 90));
    isItself = false; // its window has gone elsewhere
    hall.showAgain();
    EXPECT_TRUE(moves(hall));
    EXPECT_EQ(filmsOf().size(), 1u);
}

TEST_F(LiveShown, DesksThatLookGetSmallPicturesAndItClosesBehindThem) {
    LiveLook look(films);
    std::vector<message::LivePicture> pictures;
    QObject::connect(&look, &LiveLook::made,
                     [&](const message::LivePicture& picture) { pictures.push_back(picture); });
    look.set({input.id});
    ASSERT_TRUE(waitUntil([&] { return pictures.size() > 3; }));
    EXPECT_EQ(pictures.back().input, input.id);
    EXPECT_EQ(pictures.back().picture.size(), message::LivePicture::kLargest);
    EXPECT_GE(numberOnPicture(pictures.back().picture), 0);
    look.set({});
    EXPECT_TRUE(waitUntil([] { return filmsOf().empty(); }));
    input.isKeptOpen = true;
    films.setLiveInputs({{input, {}}});
    EXPECT_TRUE(waitUntil([] { return filmsOf().size() == 1; }));
}

TEST_F(LiveShown, TwentyAtOnceHoldNothingUp) {
    std::vector<message::LiveOrder> orders{{input, {}}};
    for (int i = 1; i < 20; ++i) {
        LiveInput other = input;
        other.id = LiveInputId::create();
        if (i % 2 == 0) // nobody answers there
            other.source = AddressSource{u"http://127.0.0.1:%1/harbour"_s.arg(CameraProcess::freePort())};
        orders.push_back({other, {}});
    }
    films.setLiveInputs(orders);
    std::vector<FilmPtr> open;
    for (const message::LiveOrder& order : orders)
        open.push_back(films.open(liveFilm(order.input.id)));
    take(hall, u"Slate"_s);
    EXPECT_TRUE(moves(hall));
    const auto isThere = [&](const FilmPtr& film) { return film->picture().number > 0; };
    EXPECT_TRUE(waitUntil([&] { return std::count_if(open.begin(), open.end(), isThere) == 11; }, 60'000));
    open.clear();
    EXPECT_TRUE(waitUntil([] { return filmsOf().size() == 1; })) << "the one on the hall";
}

} // namespace
} // namespace mivanta
