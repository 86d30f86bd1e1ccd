// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/media/ClipStrip.h"
#include "desk/media/DiscWindow.h"
#include "desk/prepare/OrderView.h"
#include "support/TestDisc.h"
#include <QGuiApplication>
#include <QListWidget>
#include <QProcess>
#include <QScreen>
#include <QToolButton>

namespace mivanta {
namespace {

constexpr int kMonitors = 3; // besides the desks'

/// The window and the real player on a display with four monitors, driven by its keyboard and its mouse.
/// Films say which of their pictures a monitor shows. CTest runs it through packaging/virtual-display.
class OnRealScreens : public PlayerTest {
protected:
    static void SetUpTestSuite() {
        files = std::make_unique<QTemporaryDir>();
        ASSERT_TRUE(makeFilm(files->filePath(u"crossing.mp4"_s), {.size = {640, 360}, .pictures = 500}));
        TestFilm loop{.size = {640, 360}, .pictures = 200, .colour = 0xff602040, .hasSound = false};
        ASSERT_TRUE(makeFilm(files->filePath(u"ripples.mp4"_s), loop));
        ASSERT_TRUE(QFile::copy(QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/music/low-tide.ogg"),
                                files->filePath(u"low-tide.ogg"_s)));
        const auto disc = makeDisc(files->path());
        ASSERT_TRUE(disc);
        image = imageOf(*disc, files->filePath(u"harbour.iso"_s));
    }
    static void TearDownTestSuite() { files.reset(); }

    void SetUp() override {
        ASSERT_EQ(QGuiApplication::platformName(), u"xcb"_s);
        xdo(u"xrandr"_s, {u"--addmode"_s, u"DUMMY3"_s, u"mivanta-1920x1080"_s});
        xdo(u"xrandr"_s,
            {u"--output"_s, u"DUMMY3"_s, u"--mode"_s, u"mivanta-1920x1080"_s, u"--pos"_s, u"5120x0"_s});
        ASSERT_TRUE(waitUntil([] { return QGuiApplication::screens().size() == kMonitors + 1; }));
        std::vector<Output> outputs = usualOutputs();
        for (Output& output : outputs)
            if (output.look.theme == u"stage-words-and-next"_s)
                output.look.theme = u"stage-plain"_s;
        ASSERT_TRUE(computer().saveOutputs(outputs));
        PlayerTest::SetUp();
        window->move(0, 0);
        focus(*window);
    }

    /// While the window goes on.
    static void xdo(const QString& program, const QStringList& arguments) {
        QProcess process;
        process.start(program, arguments);
        EXPECT_TRUE(waitUntil([&] { return process.state() == QProcess::NotRunning; }, 30'000));
        EXPECT_EQ(process.exitCode(), 0) << arguments.join(u' ').toStdString();
    }
    /// There is no window manager to do it.
    static void focus(QWidget& widget) {
        widget.raise();
        xdo(u"xdotool"_s, {u"windowfocus"_s, u"--sync"_s, QString::number(widget.winId())});
        ASSERT_TRUE(waitUntil([&] { return widget.isActiveWindow(); }));
    }
    static void keys(const QStringList& names) {
        xdo(u"xdotool"_s, QStringList{u"key"_s, u"--delay"_s, u"80"_s} + names);
    }
    static void write(const QString& text) { xdo(u"xdotool"_s, {u"type"_s, u"--delay"_s, u"40"_s, text}); }
    static QStringList to(QPoint at) {
        return {u"mousemove"_s, u"--sync"_s, QString::number(at.x()), QString::number(at.y())};
    }
    static void click(QWidget& widget) {
        xdo(u"xdotool"_s, to(widget.mapToGlobal(widget.rect().center())) + QStringList{u"click"_s, u"1"_s});
    }
    /// In one with the click that opens it, as a menu has a loop of its own.
    static QStringList chooseFromMenu(const QStringList& names) {
        return QStringList{u"click"_s, u"1"_s, u"sleep"_s, u"0.5"_s, u"key"_s, u"--delay"_s, u"80"_s} + names;
    }
    static void drag(QPoint from, QPoint there) {
        const QPoint way = there - from;
        QStringList all = to(from) + QStringList{u"mousedown"_s, u"1"_s, u"sleep"_s, u"0.2"_s};
        for (const double share : {0.1, 0.3, 0.6, 0.9, 1.0})
            all += to(from + way * share) + QStringList{u"sleep"_s, u"0.15"_s};
        xdo(u"xdotool"_s, all + QStringList{u"sleep"_s, u"0.3"_s, u"mouseup"_s, u"1"_s});
    }

    [[nodiscard]] static QImage monitor(int number) {
        QScreen* screen = QGuiApplication::screens()[number];
        return screen->grabWindow(0, 0, 0, screen->geometry().width(), screen->geometry().height())
            .toImage()
            .convertToFormat(QImage::Format_RGB32);
    }
    /// The picture of a film, where it fills the monitor.
    [[nodiscard]] static int number(int which) { return numberOnPicture(monitor(which)); }
    [[nodiscard]] static QRgb lower(int which) { return monitor(which).pixel(60, 1000); }
    static bool isLike(QRgb a, QRgb b) {
        return std::abs(qRed(a) - qRed(b)) < 16 && std::abs(qGreen(a) - qGreen(b)) < 16 &&
               std::abs(qBlue(a) - qBlue(b)) < 16;
    }

    QListView* results() {
        return window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
    }
    void find(const QString& words, const QString& title) {
        keys({u"ctrl+f"_s});
        write(words);
        ASSERT_TRUE(waitUntil([&] { return results()->currentIndex().data().toString() == title; }))
            << title.toStdString();
    }
    void addFound(const QString& words, const QString& title) {
        find(words, title);
        const size_t before = session->document().service().items.size();
        keys({u"Return"_s});
        ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == before + 1; }));
    }
    static QPoint middleOf(const QAbstractItemView& view, const QModelIndex& index) {
        return view.viewport()->mapToGlobal(view.visualRect(index).center());
    }
    void bringInFiles() {
        keys({u"alt+1"_s, u"alt+shift+4"_s});
        answers->files = {files->filePath(u"crossing.mp4"_s), files->filePath(u"ripples.mp4"_s),
                          files->filePath(u"low-tide.ogg"_s)};
        keys({u"ctrl+i"_s});
        ASSERT_TRUE(waitUntil([&] { return session->media().all().size() == 3; }, 20'000));
    }
    /// Seconds 3 to 5 of the disc's first title.
    void keepClip() {
        answers->files = {image};
        const auto* button = child<QToolButton>(u"from-disc"_s);
        xdo(u"xdotool"_s, to(button->mapToGlobal(button->rect().center())) +
                              QStringList{u"click"_s, u"1"_s, u"sleep"_s, u"0.5"_s, u"key"_s, u"--delay"_s,
                                          u"80"_s, u"Down"_s, u"Return"_s});
        ASSERT_TRUE(waitUntil([&] { return window->findChild<DiscWindow*>() != nullptr; }));
        QPointer<DiscWindow> disc = window->findChild<DiscWindow*>();
        ASSERT_TRUE(waitUntil([&] {
            return disc->isVisible() && disc->findChild<QListWidget*>(u"disc-titles"_s)->count() == 2;
        }));
        focus(*disc);
        click(*disc->findChild<ClipStrip*>()); // and then to its begin
        keys({u"Home"_s, u"Right"_s, u"Right"_s, u"Right"_s, u"bracketleft"_s, u"Right"_s, u"Right"_s,
              u"bracketright"_s, u"Tab"_s});
        disc->findChild<QLineEdit*>(u"disc-clip-name"_s)->setFocus();
        write(u"Quay at noon"_s);
        keys({u"ctrl+Return"_s});
        ASSERT_TRUE(waitUntil([&] { return session->media().all().size() == 4; }, 20'000));
        keys({u"Escape"_s});
        ASSERT_TRUE(waitUntil([&] { return disc.isNull(); }));
        focus(*window);
    }
    void take() { keys({u"space"_s}); }

    static inline std::unique_ptr<QTemporaryDir> files;
    static inline QString image;
};

TEST_F(OnRealScreens, FilmBackdropMusicAndClipAreMadeByKeysAndDragsAndRun) {
    importDemo();
    bringInFiles();
    keepClip();

    keys({u"alt+2"_s});
    addFound(u"crossing"_s, u"crossing"_s);
    const auto* on = child<QToolButton>(u"film-outputs"_s);
    EXPECT_EQ(on->text(), u"Hall"_s);
    xdo(u"xdotool"_s, to(on->mapToGlobal(on->rect().center())) + chooseFromMenu({u"Up"_s, u"Return"_s}));
    ASSERT_TRUE(waitUntil([&] { return on->text() == u"Hall, Stream"_s; }));
    addFound(u"hold fast the line"_s, u"Hold Fast the Line"_s);
    addFound(u"low tide"_s, u"low-tide"_s);
    auto* order = window->findChild<OrderView*>();
    find(u"noon"_s, u"Quay at noon"_s); // dragged behind the last item
    drag(middleOf(*results(), results()->currentIndex()),
         order->viewport()->mapToGlobal(
             QPoint(order->viewport()->width() / 2, order->viewport()->height() - 20)));
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 4; }));
    EXPECT_EQ(titles().last(), u"Quay at noon"_s);
    find(u"ripples"_s, u"ripples"_s); // dragged onto the song
    drag(middleOf(*results(), results()->currentIndex()), middleOf(*order, order->model()->index(1, 0)));
    ASSERT_TRUE(waitUntil([&] {
        const Item& song = session->document().service().items[1];
        return song.look.choice.own.value(*lookProperty(u"backdrop.film"_s)).has_value();
    }));

    keys({u"alt+4"_s});
    take(); // the film, on the hall and on the stream at the same moment
    ASSERT_TRUE(waitUntil([] { return number(1) > 10; }, 20'000));
    EXPECT_TRUE(waitUntil([] { // a busy machine may be late with one of them for a moment
        const int hall = number(1);
        const int stream = number(3);
        return hall <= stream + 3 && stream <= number(1) + 3;
    }));
    EXPECT_TRUE(isLike(lower(1), 0xff204060));
    EXPECT_FALSE(isLike(lower(2), 0xff204060)) << "the stage has figures in place of it";
    keys({u"p"_s});
    ASSERT_TRUE(waitUntil([] {
        const int now = number(1);
        QTest::qWait(40);
        return number(1) == now && number(3) == now;
    }));
    const int paused = number(1);
    keys({u"l"_s}); // ten seconds on
    ASSERT_TRUE(waitUntil([&] { return std::abs(number(1) - paused - 250) <= 1 && number(3) == number(1); }));

    take(); // the song, over its backdrop, which goes on from slide to slide
    ASSERT_TRUE(waitUntil([&] { return isLike(lower(1), 0xff602040) && number(1) >= 0; }, 20'000));
    ASSERT_TRUE(waitUntil([] { return number(1) > 20; }));
    const int before = number(1);
    take();
    ASSERT_TRUE(waitUntil([&] { return number(1) > before; }));
    EXPECT_LT(number(1), before + 100) << "it did not begin anew";

    const auto onScreen = [&] { return session->run().state().onScreen->item; };
    const auto& items = session->document().service().items;
    for (int steps = 0; onScreen() != items[2].id && steps < 40; ++steps) {
        const auto was = *session->run().state().onScreen;
        take();
        ASSERT_TRUE(waitUntil([&] { return *session->run().state().onScreen != was; }));
    }
    const auto heard = [&] { return session->player().sounding(SoundChannel::Music); };
    ASSERT_TRUE(waitUntil([&] { return heard().position > 500; }, 20'000));
    EXPECT_FALSE(isLike(lower(1), 0xff602040));

    take(); // the clip: from its begin to its end, which stays
    ASSERT_TRUE(waitUntil([] { return number(1) >= 75; }, 20'000));
    EXPECT_LT(number(1), 100);
    EXPECT_TRUE(waitUntil([&] { return heard().name.isEmpty(); }, 20'000));
    ASSERT_TRUE(waitUntil([] { return number(1) >= 122; }, 20'000));
    QTest::qWait(50);
    EXPECT_LE(number(1), 126);
}

} // namespace
} // namespace mivanta
