// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/CliFixture.h"
#include "store/ServiceStore.h"
#include "support/TestFilm.h"
#include <QDir>
#include <QFile>
#include <QImage>
#include <QJsonArray>
#include <QJsonObject>

namespace mivanta {
namespace {

TEST_F(Cli, MediaAreAddedListedShownAndWatched) {
    const Ran added = run({u"media"_s, u"add"_s, kDemo + u"/films/night-crossing.mp4"_s,
                           kDemo + u"/music/low-tide.ogg"_s, kDemo + u"/sea-harvest.txt"_s});
    EXPECT_EQ(added.code, 1); // one of them is no medium
    EXPECT_TRUE(added.out.contains("night-crossing"));
    const QJsonArray list = run({u"--json"_s, u"media"_s, u"list"_s}).json().array();
    ASSERT_EQ(list.size(), 2);
    EXPECT_EQ(list[0][u"kind"_s], u"sound"_s);
    EXPECT_EQ(list[1][u"width"_s], 1280);
    EXPECT_NEAR(list[1][u"seconds"_s].toDouble(), 20, 0.2);
    EXPECT_TRUE(run({u"media"_s, u"show"_s, u"Low-Tide"_s}).out.contains("Sound"));
    EXPECT_EQ(run({u"media"_s, u"show"_s, u"nowhere"_s}).code, 1);
    EXPECT_EQ(run({u"media"_s, u"watch"_s, kDemo}).code, 0);
    EXPECT_EQ(run({u"media"_s, u"watch"_s, kDemo + u"/nowhere"_s}).code, 1);
    EXPECT_EQ(run({u"media"_s, u"watch"_s}).code, 2);
}

TEST_F(Cli, AFilmIsPlayedIntoPicturesAndSound) {
    const QString to = folder.filePath(u"played"_s);
    ASSERT_TRUE(makeFilm(folder.filePath(u"short.mp4"_s), {.pictures = 25}));
    ASSERT_EQ(run({u"play"_s, folder.filePath(u"short.mp4"_s), u"--to"_s, to}).code, 0);
    const QStringList pictures = QDir(to).entryList({u"*.png"_s});
    ASSERT_GT(pictures.size(), 5);
    EXPECT_EQ(numberOnPicture(QImage(to + u'/' + pictures.first())), 0);
    EXPECT_EQ(numberOnPicture(QImage(to + u'/' + pictures.last())), 24);
    QFile wav(to + u"/sound.wav"_s);
    ASSERT_TRUE(wav.open(QIODevice::ReadOnly));
    const QByteArray bytes = wav.readAll();
    EXPECT_TRUE(bytes.startsWith("RIFF"));
    EXPECT_NEAR(double(bytes.size()), 48'000 * 2, 9000); // a second of 16 bits, one channel
    EXPECT_EQ(run({u"play"_s, kDemo + u"/sea-harvest.txt"_s, u"--to"_s, to}).code, 1);
    EXPECT_EQ(run({u"play"_s}).code, 2);
}

TEST_F(Cli, AMomentOfAFilmIsRendered) {
    const QString order = folder.filePath(u"order.txt"_s);
    QFile file(order);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    ASSERT_TRUE(makeFilm(folder.filePath(u"long.mp4"_s), {.pictures = 150}));
    file.write("Title: Films\n[film] long.mp4\n");
    file.close();
    const QString service = folder.filePath(u"films.mivanta"_s);
    ASSERT_EQ(run({u"service"_s, u"new"_s, order, u"--to"_s, service}).code, 0);
    for (const auto& [at, number] : {std::pair{u"0"_s, 0}, {u"0:04"_s, 100}, {u"2,4"_s, 60}}) {
        const QString to = folder.filePath(u"png-"_s + at.left(1) + QString::number(number));
        ASSERT_EQ(run({u"render"_s, u"--service"_s, service, u"--output"_s, u"hall"_s, u"--to"_s, to,
                       u"--at"_s, at})
                      .code,
                  0);
        EXPECT_EQ(numberOnPicture(QImage(to + u"/hall-001.png"_s)), number);
    }
    EXPECT_EQ(run({u"render"_s, u"--service"_s, service, u"--output"_s, u"hall"_s, u"--to"_s, order,
                   u"--at"_s, u"soon"_s})
                  .code,
              2);
}

TEST_F(Cli, APartOfADiscIsKept) {
    const QString disc = kDemo + u"/discs/boats-at-dusk.iso"_s;
    const QByteArray titles = run({u"media"_s, u"disc"_s, disc}).out;
    EXPECT_TRUE(titles.contains("0:24"));
    EXPECT_TRUE(titles.contains("English, German"));
    const QJsonValue json = run({u"--json"_s, u"media"_s, u"disc"_s, disc}).json().object()[u"titles"_s][1];
    EXPECT_EQ(json[u"seconds"_s].toDouble(), 8);
    EXPECT_EQ(
        run({u"media"_s, u"disc"_s, disc, u"1"_s, u"--part"_s, u"0:02-0:12"_s, u"--name"_s, u"Boats"_s}).code,
        0);
    const QJsonArray list = run({u"--json"_s, u"media"_s, u"list"_s}).json().array();
    ASSERT_EQ(list.size(), 1);
    EXPECT_EQ(list[0][u"title"_s], u"Boats"_s);
    EXPECT_NEAR(list[0][u"clip"_s][u"to"_s].toDouble() - list[0][u"clip"_s][u"from"_s].toDouble(), 10, 0.01);
    EXPECT_LT(list[0][u"seconds"_s].toDouble(), 12);
    EXPECT_EQ(run({u"media"_s, u"disc"_s, disc, u"3"_s}).code, 1);
    EXPECT_EQ(run({u"media"_s, u"disc"_s, disc, u"1"_s, u"--part"_s, u"0:12-0:02"_s}).code, 1);
    EXPECT_EQ(run({u"media"_s, u"disc"_s, kDemo}).code, 1);
    EXPECT_EQ(run({u"media"_s, u"disc"_s}).code, 2);
}

TEST_F(Cli, OnlyThePartsOfFilmsThatArePlayedArePacked) {
    QFile order(folder.filePath(u"order.txt"_s));
    ASSERT_TRUE(order.open(QIODevice::WriteOnly));
    TestFilm film{.pictures = 500};
    film.encoder =
        QStringLiteral("-c:v libx264 -preset ultrafast -g 25 -pix_fmt yuv420p -c:a aac").split(u' ');
    ASSERT_TRUE(makeFilm(folder.filePath(u"long.mp4"_s), film));
    order.write("Title: Films\n[film] long.mp4\n");
    order.close();
    const QString service = folder.filePath(u"films.mivanta"_s);
    ASSERT_EQ(run({u"service"_s, u"new"_s, order.fileName(), u"--to"_s, service}).code, 0);
    auto opened = openService(service);
    ASSERT_TRUE(opened);
    auto& item = std::get<FilmItem>(opened->service.items[0].words);
    item.from = 10.2;
    item.to = 12;
    ASSERT_TRUE(saveService(opened->service, service, {}));
    const auto packedInto = [&](const QString& name, const QStringList& more) {
        const QString to = folder.filePath(name);
        EXPECT_EQ(run(QStringList{u"service"_s, u"pack"_s, service, u"--to"_s, to} + more).code, 0);
        return to;
    };
    const QString whole = packedInto(u"whole.mivanta"_s, {});
    const QString part = packedInto(u"part.mivanta"_s, {u"--only-parts"_s});
    EXPECT_LT(QFileInfo(part).size(), QFileInfo(whole).size() / 2);
    const QString out = folder.filePath(u"out"_s);
    ASSERT_EQ(run({u"service"_s, u"unpack"_s, part, u"--to"_s, out}).code, 0);
    const auto unpacked = openService(out + u"/part.mivanta"_s);
    ASSERT_TRUE(unpacked) << unpacked.error().text().toStdString();
    const auto& played = std::get<FilmItem>(unpacked->service.items[0].words);
    EXPECT_NE(played.name, item.name);
    EXPECT_NEAR(played.length(), 1.8, 0.05);
    EXPECT_LT(played.seconds, 5);
    EXPECT_TRUE(QFile::exists(out + u"/media/"_s + played.name));
}

} // namespace
} // namespace mivanta
