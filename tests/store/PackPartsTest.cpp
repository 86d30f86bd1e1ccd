// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/PackParts.h"
#include "OpenLibrary.h"
#include "store/MediaFiles.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// A library with two films, of which a service plays a part each.
class PackParts : public LibraryTest {
protected:
    void SetUp() override {
        LibraryTest::SetUp();
        service.id = ServiceId::create();
        service.title = u"Sunday"_s;
        service.theme = samples::theme();
        for (const char letter : {'a', 'b'}) {
            const auto film =
                library->media().bringIn(QByteArray(1000, letter), QChar::fromLatin1(letter) + u".mp4"_s);
            Item item{ItemId::create(), FilmItem{{}, film->name, film->title, 100, 40, 50}};
            service.items.push_back(item);
        }
        service.media = mediaFactsOf(service, library->media().folder(), {});
    }
    [[nodiscard]] const FilmItem& film(const Service& of, size_t item) const {
        return std::get<FilmItem>(of.items[item].words);
    }
    static QString suffix(const QString&) { return u"mkv"_s; }
    static Result<CutFilm> cut(const QString& path, const FilmPart& part, const QString& file) {
        QFile all(path);
        QFile out(file);
        if (!all.open(QIODevice::ReadOnly) || !out.open(QIODevice::WriteOnly))
            return failure({});
        const QByteArray bytes = all.read(all.size() / 10);
        if (bytes[0] == 'b')
            return failure(u"it cannot"_s, path);
        out.write(bytes);
        return CutFilm{-(part.from - 1), 11};
    }
    [[nodiscard]] QStringList besides() const {
        return QDir(folder()).entryList({u"unpacking-*"_s}, QDir::Dirs);
    }
    [[nodiscard]] QString folder() const { return QFileInfo(path(u"sunday.mivanta"_s)).path(); }

    Service service;
};

TEST_F(PackParts, OnlyThePartsGoAlongAndThoseThatCannotBeCutAreWhole) {
    const PackList list = packListOf(service, library->media().folder(), {});
    EXPECT_NEAR(double(savedByParts(service, list)), 1800, 1);
    const QString to = path(u"sunday.mivanta"_s);
    {
        const auto parts = cutToParts(service, list, to, {suffix, cut});
        ASSERT_TRUE(parts) << parts.error().text().toStdString();
        EXPECT_EQ(parts->whole, QStringList{u"b.mp4"_s});
        EXPECT_EQ(parts->list.bytes(), 1100);
        EXPECT_EQ(film(parts->service, 0).from, 1);
        EXPECT_EQ(film(parts->service, 0).to, 0) << "its end";
        EXPECT_EQ(film(parts->service, 0).seconds, 11);
        EXPECT_EQ(film(parts->service, 1), film(service, 1));
        ASSERT_TRUE(packService(parts->service, parts->list, to, {}));
        EXPECT_EQ(besides().size(), 1);
    }
    EXPECT_TRUE(besides().isEmpty()) << "nothing is left";
    const auto unpacked = unpackService(to, path(u"out"_s));
    ASSERT_TRUE(unpacked) << unpacked.error().text().toStdString();
    const auto opened = openService(*unpacked);
    ASSERT_TRUE(opened);
    const QString name = film(opened->service, 0).name;
    EXPECT_EQ(QFileInfo(path(u"out/media/"_s + name)).size(), 100);
    EXPECT_EQ(QFileInfo(path(u"out/media/"_s + film(opened->service, 1).name)).size(), 1000);
    EXPECT_TRUE(missingMedia(opened->service, path(u"out/media"_s)).empty());
}

TEST_F(PackParts, IsStoppedAndLeavesNothing) {
    const PackList list = packListOf(service, library->media().folder(), {});
    EXPECT_FALSE(cutToParts(service, list, path(u"sunday.mivanta"_s), {suffix, cut}, [] { return false; }));
    EXPECT_TRUE(besides().isEmpty());
    EXPECT_FALSE(cutToParts(service, list, path(u"nowhere/sunday.mivanta"_s), {suffix, cut}));
}

} // namespace
} // namespace mivanta
