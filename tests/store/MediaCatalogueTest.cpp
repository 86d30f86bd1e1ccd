// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "store/Database.h"

namespace mivanta {
namespace {

class MediaCatalogueOf : public LibraryTest {
protected:
    QString bring(const QString& name, const QByteArray& bytes) {
        const auto medium = library->media().bringIn(file(name, bytes));
        EXPECT_TRUE(medium);
        return medium ? medium->name : QString();
    }
    QStringList titles() {
        QStringList all;
        const auto media = library->catalogue().all();
        for (const Medium& medium : *media)
            all << medium.title;
        return all;
    }
    Medium medium(const QString& name) { return (*library->catalogue().medium(name)).value_or(Medium()); }
};

TEST_F(MediaCatalogueOf, MediaAreKnownByWhatIsFoundInThem) {
    const QString film = bring(u"night crossing.mp4"_s, "film");
    const QString bell = bring(u"bell.ogg"_s, "bell");
    bring(u"letter.txt"_s, "words"); // no medium
    EXPECT_EQ(medium(film).kind, MediumKind::Film);
    EXPECT_EQ(medium(film).title, u"night crossing"_s);
    EXPECT_EQ(medium(film).bytes, 4);
    EXPECT_FALSE(medium(film).facts);
    ASSERT_TRUE(library->catalogue().describe(film, MediumFacts{{1280, 720}, 20.5, true}));
    ASSERT_TRUE(library->catalogue().describe(bell, u"it is damaged"_s));
    EXPECT_EQ(medium(film).facts, (MediumFacts{{1280, 720}, 20.5, true}));
    EXPECT_EQ(factsText(medium(film)), u"0:20 \u00b7 1280 \u00d7 720"_s);
    EXPECT_FALSE(medium(bell).facts);
    EXPECT_EQ(medium(bell).problem, u"it is damaged"_s);
    EXPECT_EQ(library->catalogue().nextToMeasure(), film); // the other has no sound that is known
    ASSERT_TRUE(library->catalogue().describe(film, Loudness{-23.5, -3}));
    EXPECT_EQ(medium(film).loudness, (Loudness{-23.5, -3}));
    EXPECT_EQ(library->catalogue().nextToMeasure(), QString());
    EXPECT_EQ(titles().size(), 2);
    EXPECT_FALSE(medium(QString(64, u'a') + u".mp4"_s).addedAt.isValid());
}

TEST_F(MediaCatalogueOf, WhatAPersonSaysOfOneStays) {
    const QString name = bring(u"harbour-at-seven.mp4"_s, "film");
    Medium changed = medium(name);
    changed.title = u"Harbour"_s;
    changed.caption = u"first light"_s;
    changed.from = 9.25;
    changed.to = 29;
    changed.isStarred = true;
    changed.correction = -2.5;
    ASSERT_TRUE(library->catalogue().change(changed));
    open();
    EXPECT_EQ(medium(name), changed);
    EXPECT_DOUBLE_EQ(medium(name).length(), 19.75);
    bring(u"another name.mp4"_s, "film"); // the very same once more
    EXPECT_EQ(medium(name), changed);
}

TEST_F(MediaCatalogueOf, TheBinKeepsFilesUntilItIsEmptied) {
    const QString one = bring(u"one.png"_s, "1");
    const QString two = bring(u"two.png"_s, "2");
    ASSERT_TRUE(library->catalogue().putInBin({one, two}));
    EXPECT_EQ(titles(), QStringList());
    EXPECT_EQ(library->catalogue().bin()->size(), 2u);
    EXPECT_TRUE(QFile::exists(library->media().pathOf(one)));
    ASSERT_TRUE(library->catalogue().takeFromBin({one}));
    EXPECT_EQ(titles(), QStringList{u"one"_s});
    bring(u"two.png"_s, "2"); // what comes again leaves it, too
    EXPECT_EQ(titles().size(), 2);
    ASSERT_TRUE(library->catalogue().putInBin({two}));
    EXPECT_EQ(library->catalogue().emptyBin(), 1);
    EXPECT_FALSE(QFile::exists(library->media().pathOf(two)));
    EXPECT_TRUE(QFile::exists(library->media().pathOf(one)));
    EXPECT_EQ(library->catalogue().emptyBin(), 0);
}

TEST_F(MediaCatalogueOf, TheBinRemovesNothingOutsideTheMediaFolder) {
    const QString precious = file(u"precious.png"_s, "mine");
    ASSERT_TRUE(library->database().change(
        u"INSERT INTO medium(name, title, added_at, deleted_at) VALUES ('../../precious.png', 'x', 1, 1)"_s));
    EXPECT_EQ(library->catalogue().emptyBin(), 1);
    EXPECT_TRUE(QFile::exists(precious));
}

TEST_F(MediaCatalogueOf, ServicesThatUseOneAreKnownAsTheyWereSavedLast) {
    const QString one = bring(u"one.png"_s, "1");
    const QString two = bring(u"two.png"_s, "2");
    const ServiceId sunday = ServiceId::create();
    const ServiceId easter = ServiceId::create();
    const QDateTime day(QDate(2026, 9, 27), QTime(10, 30));
    auto& catalogue = library->catalogue();
    ASSERT_TRUE(catalogue.noteUses(sunday, u"Sunday"_s, {one, two}, day));
    ASSERT_TRUE(catalogue.noteUses(easter, u"Easter"_s, {one}, day.addDays(7)));
    ASSERT_EQ(catalogue.uses(one)->size(), 2u);
    EXPECT_EQ(catalogue.uses(one)->front(), (MediumUse{easter, u"Easter"_s, day.addDays(7)}));
    EXPECT_EQ(medium(one).usedAt, day.addDays(7));
    ASSERT_TRUE(catalogue.noteUses(sunday, u"Sunday"_s, {two}, day.addDays(14))); // without the other one now
    EXPECT_EQ(catalogue.uses(one)->size(), 1u);
    EXPECT_EQ(medium(two).usedAt, day.addDays(14));
}

TEST_F(MediaCatalogueOf, WhatWasDamagedIsLookedAtAgainWhenItComesAgain) {
    const QString name = bring(u"one.png"_s, "1");
    ASSERT_TRUE(library->catalogue().describe(name, u"it is damaged"_s));
    bring(u"one.png"_s, "1");
    EXPECT_TRUE(medium(name).problem.isEmpty());
    EXPECT_FALSE(medium(name).facts);
    ASSERT_TRUE(library->catalogue().describe(name, MediumFacts{{4, 3}}));
    bring(u"one.png"_s, "1");
    EXPECT_TRUE(medium(name).facts); // known already
}

} // namespace
} // namespace mivanta
