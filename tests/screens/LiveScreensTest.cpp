// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/FilmClient.h"
#include "support/TestFilm.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QGuiApplication>
#include <QPainter>
#include <QRasterWindow>
#include <QScreen>
#include <QTimer>
#include <gtest/gtest.h>
#include <set>

namespace mivanta {
namespace {

/// A window that shows another number thirty times a second.
class CounterWindow : public QRasterWindow {
public:
    CounterWindow(const QString& title, const QRect& place) {
        setTitle(title);
        setFlags(Qt::FramelessWindowHint | Qt::WindowDoesNotAcceptFocus);
        setGeometry(place);
        m_timer.setInterval(33);
        connect(&m_timer, &QTimer::timeout, this, [this] {
            ++number;
            update();
        });
        m_timer.start();
        show();
    }
    int number = 0;

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter(this).drawImage(QRect(QPoint(0, 0), size()), pictureOfFilm({}, number % 4096));
    }

private:
    QTimer m_timer;
};

/// Monitors and windows as live inputs, on a display with three monitors.
class LiveScreens : public ::testing::Test {
protected:
    void SetUp() override {
        ASSERT_EQ(QGuiApplication::screens().size(), 3) << "run it through packaging/virtual-display";
    }
    static message::OpenFilm orderFor(const LiveSource& source) {
        message::OpenFilm order;
        order.shown = {1280, 720};
        order.live.emplace();
        order.live->input.id = LiveInputId::create();
        order.live->input.source = source;
        return order;
    }
    /// Of what is shown, the numbers grow with those of the window.
    static bool follows(FilmClient& live, const CounterWindow& window) {
        std::set<int> seen;
        return waitUntil([&] {
            const int now = numberOnPicture(live.picture().image);
            if (now >= 0 && now <= window.number && now > window.number - 60)
                seen.insert(now);
            return seen.size() > 5;
        });
    }
    static QString thisProgram() { return u"test-screens"_s; }
};

TEST_F(LiveScreens, AMonitorIsShownAndThePartOfItThatIsWanted) {
    const QRect hall = QGuiApplication::screens()[1]->geometry();
    const CounterWindow window(u"Tide tables"_s, hall);
    FilmClient live(orderFor(MonitorSource{QGuiApplication::screens()[1]->name()}));
    EXPECT_TRUE(follows(live, window));
    EXPECT_EQ(live.stands().size, hall.size());
    message::OpenFilm part = orderFor(MonitorSource{QGuiApplication::screens()[1]->name()});
    part.live->input.part = {0, 0.5, 0.5, 0.5};
    live.reopen(part);
    EXPECT_TRUE(waitUntil([&] { return live.stands().size == hall.size() / 2; }));
    EXPECT_TRUE(waitUntil([&] {
        const QImage now = live.picture().image;
        return !now.isNull() &&
               qAbs(qBlue(now.pixel(now.width() / 2, 20)) - 0x60) < 6; // the lower half's colour
    }));
}

TEST_F(LiveScreens, AWindowIsShownCoveredResizedClosedAndBack) {
    const QRect place(100, 100, 640, 360);
    auto window = std::make_unique<CounterWindow>(u"Tide tables"_s, place);
    const CounterWindow other(u"Weather"_s, {800, 500, 320, 180});
    FilmClient live(orderFor(WindowSource{thisProgram(), u"Tide tables"_s}));
    ASSERT_TRUE(follows(live, *window));
    EXPECT_EQ(live.stands().size, place.size());
    auto cover = std::make_unique<CounterWindow>(u"Cover"_s, QRect(0, 0, 1000, 700));
    cover->raise();
    cover->number = 3000; // nobody takes it for the other
    EXPECT_TRUE(waitUntil([&] { return cover->number > 3010; }));
    EXPECT_TRUE(follows(live, *window));
    cover.reset();
    int losses = 0;
    const auto counting = QObject::connect(&live, &FilmClient::told, [&] {
        losses += live.stands().signal == message::FilmStands::Signal::Lost ? 1 : 0;
    });
    window->resize(480, 270);
    EXPECT_TRUE(waitUntil([&] { return live.stands().size == QSize(480, 270); }));
    EXPECT_TRUE(follows(live, *window));
    EXPECT_EQ(losses, 0);
    QObject::disconnect(counting);
    window.reset();
    using Signal = message::FilmStands::Signal;
    // The other window of the program is not the one that was meant, but it is what there is.
    EXPECT_TRUE(waitUntil([&] { return live.stands().size == QSize(320, 180); }));
    EXPECT_EQ(live.stands().signal, Signal::There);
}

TEST_F(LiveScreens, WhatIsNotThereIsSaidAndTakenUpWhenItComes) {
    FilmClient live(orderFor(WindowSource{thisProgram(), u"Tide tables"_s}));
    using Signal = message::FilmStands::Signal;
    ASSERT_TRUE(waitUntil([&] { return live.stands().signal == Signal::Lost; }));
    EXPECT_TRUE(live.stands().problem.contains(thisProgram()));
    const CounterWindow window(u"Tide tables"_s, {100, 100, 640, 360});
    EXPECT_TRUE(follows(live, window));
    FilmClient none(orderFor(MonitorSource{u"HDMI-9"_s}));
    EXPECT_TRUE(waitUntil([&] { return none.stands().problem.contains("HDMI-9"_L1); }));
    FilmClient own(orderFor(WindowSource{u"mivanta-player"_s, {}}));
    EXPECT_TRUE(waitUntil([&] { return own.stands().signal == Signal::Lost; }));
    message::OpenFilm output = orderFor(OutputSource{u"hall"_s});
    FilmClient closed(output);
    EXPECT_TRUE(waitUntil([&] { return closed.stands().problem.contains("hall"_L1); }));
    output.window = quint32(window.winId());
    closed.reopen(output);
    EXPECT_TRUE(follows(closed, window));
}

} // namespace
} // namespace mivanta
