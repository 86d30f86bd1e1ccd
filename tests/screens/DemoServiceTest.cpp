// SPDX-License-Identifier: GPL-3.0-or-later
#include "screens/Screens.h"
#include <QPainter>
#include <map>

namespace mivanta {
namespace {

const QSize kTile(240, 135);
constexpr int kColumns = 10;
constexpr int kTolerance = 56;     // of 255; scaled edges of letters differ between font libraries
constexpr double kMostOff = 0.02;  // share of a tile's pixels
constexpr size_t kMostSteps = 300; // more than the demo has
constexpr int kMostLooks = 24;     // 50 ms apart; what moves on after that is a film
constexpr int kFilmGoesMs = 1500;
constexpr int kStill = 3; // looks that are equal to the one before

/// Every step of a service on one monitor, in rows from left to right.
class Sheet {
public:
    explicit Sheet(const char* name) : m_name(QLatin1String(name)) {}
    void add(const QImage& picture) {
        m_tiles.push_back(picture.scaled(kTile, Qt::IgnoreAspectRatio, Qt::SmoothTransformation)
                              .convertToFormat(QImage::Format_RGB32));
    }
    [[nodiscard]] size_t size() const { return m_tiles.size(); }
    [[nodiscard]] QImage image() const {
        const int rows = (int(m_tiles.size()) + kColumns - 1) / kColumns;
        QImage all(kTile.width() * kColumns, kTile.height() * rows, QImage::Format_RGB32);
        all.fill(Qt::darkGray);
        QPainter painter(&all);
        for (size_t i = 0; i < m_tiles.size(); ++i)
            painter.drawImage(placeOf(i), m_tiles[i]);
        return all;
    }
    /// Compares with tests/screens/golden; MIVANTA_GOLDEN=write makes that anew.
    void compare() const {
        const QDir folder(QStringLiteral(MIVANTA_SOURCE_DIR "/tests/screens"));
        const QString path = folder.filePath(u"golden/%1.png"_s.arg(m_name));
        if (qEnvironmentVariable("MIVANTA_GOLDEN") == u"write") {
            folder.mkpath(u"golden"_s);
            ASSERT_TRUE(image().save(path));
            return;
        }
        const QImage golden(path);
        ASSERT_EQ(golden.size(), image().size()) << "another number of steps, or no golden picture";
        bool isRight = true;
        for (size_t i = 0; i < m_tiles.size(); ++i) {
            const QImage expected = golden.copy(QRect(placeOf(i), kTile));
            if (isGrey(expected))
                continue; // it moves, and on a busy machine it may seem to stand still
            const Difference found = difference(m_tiles[i], expected, kTolerance);
            EXPECT_LT(found.share, kMostOff) << m_name.toStdString() << ", step " << i + 1;
            isRight = isRight && found.share < kMostOff;
        }
        if (!isRight) {
            folder.mkpath(u"actual"_s);
            image().save(folder.filePath(u"actual/%1.png"_s.arg(m_name)));
        }
    }

private:
    static bool isGrey(const QImage& tile) {
        QImage grey(kTile, QImage::Format_RGB32);
        grey.fill(Qt::gray);
        return tile.convertToFormat(QImage::Format_RGB32) == grey;
    }
    static QPoint placeOf(size_t tile) {
        return {int(tile) % kColumns * kTile.width(), int(tile) / kColumns * kTile.height()};
    }
    QString m_name;
    std::vector<QImage> m_tiles;
};

/// Three monitors besides the desks': one for each of the usual outputs.
class DemoService : public Screens {
protected:
    void SetUp() override {
        Screens::SetUp();
        run(u"xrandr"_s, {u"--addmode"_s, u"DUMMY3"_s, u"mivanta-1920x1080"_s});
        run(u"xrandr"_s,
            {u"--output"_s, u"DUMMY3"_s, u"--mode"_s, u"mivanta-1920x1080"_s, u"--pos"_s, u"5120x0"_s});
        ASSERT_TRUE(waitUntil([] { return QGuiApplication::screens().size() == 4; }));
    }
    void TearDown() override {
        Screens::TearDown();
        run(u"xrandr"_s, {u"--output"_s, u"DUMMY3"_s, u"--off"_s});
    }
    using Monitors = std::array<QImage, 3>;
    /// What each monitor shows when its transition is over; grey where it goes on moving.
    [[nodiscard]] static Monitors stillMonitors() {
        const auto all = [] { return Monitors{monitor(1), monitor(2), monitor(3)}; };
        Monitors shown = all();
        std::array<int, 3> same{}; // looks: a film may stand still for a moment on a busy machine
        const auto isStill = [](int looks) { return looks >= kStill; };
        for (int i = 0; i < kMostLooks && !std::all_of(same.begin(), same.end(), isStill); ++i) {
            pass(50);
            const Monitors now = all();
            for (size_t at = 0; at < now.size(); ++at) {
                same[at] = now[at] == shown[at] ? same[at] + 1 : 0;
                shown[at] = now[at];
            }
        }
        for (size_t at = 0; at < shown.size(); ++at)
            if (!isStill(same[at]))
                shown[at].fill(Qt::gray);
        return shown;
    }
};

TEST_F(DemoService, FromFirstToLastByKeysOnThreeMonitors) {
    startOnRun();
    std::map<QString, quint64> painted;
    QObject::connect(observer.get(), &PlayerClient::painted,
                     [&](const QString& output, quint64 take, bool) { painted[output] = take; });
    const auto isPainted = [&](quint64 last) {
        return painted[u"hall"_s] > last && painted[u"stage"_s] == painted[u"hall"_s] &&
               painted[u"stream"_s] == painted[u"hall"_s];
    };
    const auto isFilm = [&] { // then the stage counts down, too
        const auto hall = observer->shows().find(u"hall"_s);
        return hall != observer->shows().end() && hall->second.kind == ShownKind::Film;
    };
    std::map<QByteArray, message::FilmStands> films;
    QObject::connect(observer.get(), &PlayerClient::filmChanged, [&](const QByteArray& key) {
        films[key] = observer->film(key).value_or(message::FilmStands());
    });
    const auto isPlaying = [&] { // what moves behind words, too
        return std::any_of(films.begin(), films.end(), [](const auto& film) {
            return film.second.isOpen && !film.second.isPaused && !film.second.isOver;
        });
    };
    const auto grey = [] {
        QImage picture(kTile, QImage::Format_RGB32);
        picture.fill(Qt::gray);
        return picture;
    };
    std::array sheets{Sheet("demo-hall"), Sheet("demo-stage"), Sheet("demo-stream")};
    while (state().contains(u"next"_s) && sheets[0].size() < kMostSteps) {
        const quint64 last = painted[u"hall"_s];
        const QJsonObject before = state();
        press({u"space"_s});
        ASSERT_TRUE(waitUntil([&] {
            return state()[u"onScreen"_s] != before[u"onScreen"_s] && isPainted(last);
        })) << "step "
            << sheets[0].size() + 1;
        Monitors shown = isFilm() ? Monitors{grey(), grey(), grey()} : stillMonitors();
        if (!waitUntil([&] { return !isPlaying(); }, kFilmGoesMs)) // it may still be on its way out
            shown[0] = grey();
        for (size_t output = 0; output < sheets.size(); ++output)
            sheets[output].add(shown[output]);
    }
    EXPECT_GT(sheets[0].size(), 50u);
    EXPECT_LT(sheets[0].size(), kMostSteps);
    for (const Sheet& sheet : sheets)
        sheet.compare();
}

} // namespace
} // namespace mivanta
