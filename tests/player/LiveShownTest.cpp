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

} // namespace
} // namespace mivanta
