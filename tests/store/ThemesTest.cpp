// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "formats/ThemeFile.h"
#include "store/ShippedThemes.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/ZipWith.h"
#include <QBuffer>
#include <QFileInfo>
#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

using ::testing::Contains;
using ::testing::Not;

Result<void> anyPicture(const QString&) {
    return {};
}

class ThemesInLibrary : public ::testing::Test {
protected:
    [[nodiscard]] QStringList names() const {
        QStringList result;
        const auto all = library->themes().all();
        for (const Theme& theme : *all)
            result << theme.name;
        return result;
    }
    static Theme theme(const QString& id, const QString& name) {
        Theme made = samples::theme();
        made.id = id;
        made.name = name;
        return made;
    }
    QString picture(const QString& name, const QByteArray& bytes) {
        QFile file(folder.filePath(name));
        EXPECT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(bytes);
        return file.fileName();
    }
    QTemporaryDir folder;
    std::unique_ptr<Library> library = std::move(*Library::open(folder.path()));
};

TEST_F(ThemesInLibrary, TheShippedOnesAreThereAndStayAsTheyWereChanged) {
    ASSERT_EQ(library->themes().all()->size(), shippedThemes().size());
    Theme changed = *themeOf(u"dusk-water"_s, *library->themes().all());
    changed.look.words.size = 99;
    ASSERT_TRUE(library->themes().put(changed));
    ASSERT_TRUE(library->themes().putInBin(u"plain-paper"_s));
    library = std::move(*Library::open(folder.path()));
    EXPECT_EQ(themeOf(u"dusk-water"_s, *library->themes().all())->look.words.size, 99);
    EXPECT_FALSE(themeOf(u"plain-paper"_s, *library->themes().all())); // not put in again
    ASSERT_TRUE(library->themes().takeFromBin(u"plain-paper"_s));
    EXPECT_TRUE(themeOf(u"plain-paper"_s, *library->themes().all()));
}

TEST_F(ThemesInLibrary, ANewerProgramBringsThoseUpToDateThatNobodyChanged) {
    std::vector<Theme> newer{theme(u"a"_s, u"A"_s), theme(u"b"_s, u"B"_s)};
    ASSERT_TRUE(library->themes().putInShipped(newer));
    Theme own = newer[0];
    own.look.words.size = 33;
    ASSERT_TRUE(library->themes().put(own));
    newer[0].look.words.size = 44;
    newer[1].look.words.size = 44;
    ASSERT_TRUE(library->themes().putInShipped(newer));
    EXPECT_EQ(themeOf(u"a"_s, *library->themes().all())->look.words.size, 33);
    EXPECT_EQ(themeOf(u"b"_s, *library->themes().all())->look.words.size, 44);
}

TEST_F(ThemesInLibrary, NamesAreTheirOwn) {
    ASSERT_TRUE(library->themes().put(theme(u"own"_s, u"Harbour Night"_s)));
    EXPECT_THAT(names(), Contains(u"Harbour Night"_s));
    const auto refused = library->themes().put(theme(u"other"_s, u"harbour  night"_s));
    ASSERT_FALSE(refused);
    EXPECT_TRUE(refused.error().what.contains(u"Harbour Night"_s));
    EXPECT_FALSE(library->themes().put(theme(u"other"_s, u" "_s)));
    ASSERT_TRUE(library->themes().put(theme(u"own"_s, u"Harbour Morning"_s))); // renamed
    EXPECT_THAT(names(), Not(Contains(u"Harbour Night"_s)));
}

TEST_F(ThemesInLibrary, VersionsAreKeptAndNothingIsWrittenOverThatSomebodyElseChanged) {
    auto first = library->themes().save({theme(u"own"_s, u"Harbour Night"_s), 0});
    ASSERT_TRUE(first);
    EXPECT_EQ(first->revision, 1);
    ThemeRecord next = *first;
    next.theme.look.words.size = 44;
    ASSERT_TRUE(library->themes().save(next));
    next.theme.look.words.size = 55;
    EXPECT_FALSE(library->themes().save(next)); // of the first revision still
    EXPECT_EQ(library->themes().theme(u"own"_s)->theme.look.words.size, 44);
    EXPECT_EQ(library->themes().version(u"own"_s, 1)->theme, first->theme);
    EXPECT_FALSE(library->themes().theme(u"gone"_s));
}

TEST_F(ThemesInLibrary, ANewOneOfTheNameOfOneInTheBinKeepsThatAsItsVersion) {
    const auto old = library->themes().save({theme(u"own"_s, u"Harbour Night"_s), 0});
    ASSERT_TRUE(library->themes().putInBin(u"own"_s));
    ThemeRecord next{old->theme, 0};
    next.theme.look.words.size = 44;
    const auto saved = library->themes().save(next);
    ASSERT_TRUE(saved);
    EXPECT_EQ(saved->revision, 2);
    EXPECT_TRUE(library->themes().bin()->empty());
    EXPECT_EQ(library->themes().version(u"own"_s, 1)->theme, old->theme);
}

TEST_F(ThemesInLibrary, AShippedOneThatIsGoneForGoodDoesNotComeAgain) {
    ASSERT_TRUE(library->themes().putInBin(u"plain-paper"_s));
    EXPECT_EQ(*library->themes().emptyBin(), 1);
    library = std::move(*Library::open(folder.path()));
    EXPECT_FALSE(themeOf(u"plain-paper"_s, *library->themes().all()));
    EXPECT_TRUE(themeOf(u"dusk-water"_s, *library->themes().all()));
}

TEST_F(ThemesInLibrary, WhoUsesItIsSaid) {
    Song song = samples::harbourSong(u"Eventide"_s);
    song.usualTheme = u"plain-paper"_s;
    ASSERT_TRUE(library->save(song));
    EXPECT_EQ(library->themes().usesOf(u"plain-paper"_s)->songs, QStringList{u"Eventide"_s});
    EXPECT_TRUE(library->themes().usesOf(u"dusk-water"_s)->songs.isEmpty());
}

TEST_F(ThemesInLibrary, OneIsTheUsual) {
    EXPECT_EQ(*library->themes().usual(), QString());
    ASSERT_TRUE(library->themes().makeUsual(u"plain-paper"_s));
    ASSERT_TRUE(library->themes().makeUsual(u"dusk-water"_s));
    EXPECT_EQ(*library->themes().usual(), u"dusk-water"_s);
}

TEST_F(ThemesInLibrary, PicturesAreKeptOnceByWhatIsInThem) {
    const auto first = library->media().bringIn(picture(u"boats.JPG"_s, "some bytes"));
    const auto again = library->media().bringIn(picture(u"ships.jpg"_s, "some bytes"));
    const auto other = library->media().bringIn("other bytes", u"pasted"_s);
    ASSERT_TRUE(first && again && other);
    EXPECT_EQ(first->name, again->name);
    EXPECT_TRUE(first->name.endsWith(u".jpg"_s));
    EXPECT_NE(first->name, other->name);
    EXPECT_TRUE(QFileInfo::exists(library->media().pathOf(first->name)));
    ASSERT_EQ(library->media().all()->size(), 2u);
    EXPECT_FALSE(library->media().bringIn(folder.filePath(u"gone.jpg"_s)));
}

TEST_F(ThemesInLibrary, AThemeTravelsWithItsPictures) {
    const auto stored = library->media().bringIn(picture(u"boats.jpg"_s, "boats"));
    Theme own = theme(u"boats"_s, u"Boats"_s);
    own.look.backdrop.kind = BackdropKind::Picture;
    own.look.backdrop.picture = stored->name;
    const SlideObject logo = SlideObject::ofPicture(stored->name);
    own.look.objects = {logo};
    ASSERT_TRUE(library->themes().put(own));
    const QString path = folder.filePath(u"boats.mivanta-theme"_s);
    ASSERT_TRUE(library->themes().sendOut(own, path, library->media()));

    const QTemporaryDir elsewhere;
    const auto other = std::move(*Library::open(elsewhere.path()));
    const auto arrived = other->themes().bringIn(path, other->media(), anyPicture);
    ASSERT_TRUE(arrived) << arrived.error().text().toStdString();
    EXPECT_EQ(*arrived, own);
    QFile file(other->media().pathOf(arrived->look.backdrop.picture));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_EQ(file.readAll(), "boats");

    // The same again is the same; another one of this name stands beside it.
    EXPECT_EQ(*other->themes().bringIn(path, other->media(), anyPicture), own);
    own.look.words.size = 50;
    ASSERT_TRUE(library->themes().sendOut(own, path, library->media()));
    const auto beside = other->themes().bringIn(path, other->media(), anyPicture);
    ASSERT_TRUE(beside);
    EXPECT_EQ(beside->name, u"Boats 2"_s);
    EXPECT_NE(beside->id, own.id);

    ASSERT_TRUE(QFile::remove(library->media().pathOf(stored->name)));
    EXPECT_FALSE(library->themes().sendOut(own, path, library->media()));
}

TEST_F(ThemesInLibrary, BrokenThemeFilesChangeNothing) {
    const qsizetype before = names().size();
    Theme newer = theme(u"x"_s, u"X"_s);
    const QByteArray noPicture = R"({"id":"x","name":"X","backdrop":{"picture":"boats.jpg"}})";
    const std::vector<QByteArray> broken{"no theme",
                                         "{",
                                         "{}",
                                         R"({"id":"x"})",
                                         R"({"id":"x","name":"X","mivanta-theme":99})",
                                         zipWith({{"theme.json", "[]"}}),
                                         zipWith({{"other.json", "{}"}}),
                                         zipWith({{"theme.json", noPicture}})};
    for (const QByteArray& bytes : broken) {
        const auto refused =
            library->themes().bringIn(picture(u"x.mivanta-theme"_s, bytes), library->media(), anyPicture);
        EXPECT_FALSE(refused) << bytes.left(40).toStdString();
        if (!refused) {
            EXPECT_FALSE(refused.error().what.isEmpty());
        }
    }
    EXPECT_EQ(names().size(), before);
    EXPECT_TRUE(library->media().all()->empty());
    EXPECT_TRUE(library->themes().bringIn(picture(u"bare.json"_s, R"({"id":"bare","name":"Bare"})"),
                                          library->media(), anyPicture)); // the bare JSON of a theme will do
}

TEST_F(ThemesInLibrary, WhatIsNoPictureIsNotBroughtInWithATheme) {
    const auto stored = library->media().bringIn(picture(u"boats.jpg"_s, "boats"));
    Theme own = theme(u"boats"_s, u"Boats"_s);
    own.look.backdrop.picture = stored->name;
    const QString path = folder.filePath(u"boats.mivanta-theme"_s);
    ASSERT_TRUE(library->themes().sendOut(own, path, library->media()));
    const QTemporaryDir elsewhere;
    const auto other = std::move(*Library::open(elsewhere.path()));
    const auto refused = other->themes().bringIn(
        path, other->media(), [](const QString&) { return Result<void>(failure(u"a text"_s)); });
    ASSERT_FALSE(refused);
    EXPECT_TRUE(refused.error().what.contains(u"a text"_s));
    EXPECT_TRUE(other->media().all()->empty());
    EXPECT_EQ(themeOf(own.id, *other->themes().all()), nullptr);
}

TEST(ThemeFile, NamesItsPicturesOnce) {
    Look look;
    look.backdrop.picture = u"a"_s;
    look.objects = {SlideObject::ofPicture(u"a"_s), SlideObject::ofPicture(u"b"_s), SlideObject()};
    EXPECT_EQ(mediaOf(look), (QStringList{u"a"_s, u"b"_s}));
    renameMedium(look, u"a"_s, u"c"_s);
    EXPECT_EQ(mediaOf(look), (QStringList{u"c"_s, u"b"_s}));
}

} // namespace
} // namespace mivanta
