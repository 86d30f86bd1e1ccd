// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Backups.h"
#include "OpenLibrary.h"
#include "store/Database.h"
#include "support/Samples.h"
#include "support/SmallDisk.h"
#include <rapidcheck/gtest.h>
#include <set>

namespace mivanta {
namespace {

const QDate kToday(2026, 10, 4);

Backup madeOn(const QDate& day, Backup::Kind kind = Backup::Kind::Daily) {
    return {u"/b/"_s + day.toString(Qt::ISODate), QDateTime(day, QTime(12, 0), Qt::UTC), kind, 1};
}

std::vector<Backup> without(std::vector<Backup> all, const std::vector<Backup>& gone) {
    std::erase_if(all, [&](const Backup& b) { return std::find(gone.begin(), gone.end(), b) != gone.end(); });
    return all;
}

TEST(Backups, AYearOfDaysLeavesEachOfTheLastDaysAndThenOneAWeekAndOneAMonth) {
    std::vector<Backup> all;
    for (int age = 0; age < 400; ++age)
        all.push_back(madeOn(kToday.addDays(-age)));
    const auto kept = without(all, outOfDate(all, kToday));
    for (int age = 0; age < 7; ++age)
        EXPECT_EQ(kept[size_t(age)].at.date(), kToday.addDays(-age));
    EXPECT_EQ(kept.size(), 7u + 4u + 11u); // weeks and months that the days do not stand for already
    EXPECT_GT(kept.back().at.date().daysTo(kToday), 300);
}

RC_GTEST_PROP(Backups, TheNewestStaysFewStayAndTheSecondTimeNothingGoes, ()) {
    std::vector<Backup> all;
    for (const int age : *rc::gen::unique<std::vector<int>>(rc::gen::inRange(0, 900)))
        all.push_back(
            madeOn(kToday.addDays(-age), *rc::gen::element(Backup::Kind::Daily, Backup::Kind::SetAside,
                                                           Backup::Kind::BeforeMigration)));
    const auto kept = without(all, outOfDate(all, kToday));
    RC_ASSERT(outOfDate(kept, kToday).empty());
    RC_ASSERT(kept.size() <= 7u + 5u + 13u + 3u + 30u);
    for (const Backup& gone : all) { // something newer of its kind is there for each that goes
        const bool covered = std::any_of(kept.begin(), kept.end(), [&](const Backup& other) {
            return other.kind == gone.kind && other.at >= gone.at;
        });
        RC_ASSERT(covered);
    }
}

class BackupsOfALibrary : public LibraryTest {
protected:
    [[nodiscard]] QString where() const { return path(u"library"_s); }
    void keep(const QString& title) { ASSERT_TRUE(library->save(samples::harbourSong(title))); }
    void overwrite(const QString& file, const QByteArray& bytes, qint64 at = 0) const {
        QFile out(file);
        ASSERT_TRUE(out.open(QIODevice::ReadWrite));
        out.seek(at);
        out.write(bytes);
    }
};

TEST_F(BackupsOfALibrary, OneADayIsMadeAndComesBackWithTheOtherSetAside) {
    keep(u"Lanterns"_s);
    const auto made = backUpToday(library->database(), where());
    ASSERT_TRUE(made && *made);
    const auto again = backUpToday(library->database(), where());
    ASSERT_TRUE(again);
    EXPECT_FALSE(*again); // today has its own
    keep(u"Anchors"_s);
    library.reset();
    ASSERT_TRUE(bringBack(**made, where()));
    open();
    EXPECT_EQ(found(u"lanterns"_s).size(), 1);
    EXPECT_TRUE(found(u"anchors"_s).isEmpty());
    const auto all = backupsOf(where());
    ASSERT_EQ(all.size(), 2u);
    EXPECT_EQ(all.front().kind, Backup::Kind::SetAside);
    library.reset();
    ASSERT_TRUE(bringBack(all.front(), where())); // and back again
    open();
    EXPECT_EQ(found(u"anchors"_s).size(), 1);
}

TEST_F(BackupsOfALibrary, ACrashAnywhereWhileOneIsBroughtBackLosesNeither) {
    keep(u"Then"_s);
    const auto backup = backUp(library->database(), where(), Backup::Kind::Daily);
    ASSERT_TRUE(backup);
    keep(u"Now"_s);
    library.reset();
    const QString db = where() + u"/library.db"_s;
    const QString aside = u"library-set-aside-20261004-100000-000.db"_s;
    // As a crash leaves it: the marker is written, and none, one or both of the renames are done.
    for (int renames = 0; renames < 3; ++renames) {
        SCOPED_TRACE(renames);
        QFile::remove(where() + u"/backups/"_s + aside);
        ASSERT_TRUE(QFile::copy(db, db + u".kept"_s));
        ASSERT_TRUE(QFile::copy(backup->path, db + u".new"_s));
        overwrite(db + u".bringing-back"_s, aside.toUtf8());
        if (renames > 0) {
            ASSERT_TRUE(QFile::rename(db, where() + u"/backups/"_s + aside));
        }
        if (renames > 1) {
            ASSERT_TRUE(QFile::rename(db + u".new"_s, db));
        }
        auto opened = Library::open(where());
        ASSERT_TRUE(opened) << opened.error().text().toStdString();
        const auto songs = (*opened)->songs();
        ASSERT_TRUE(songs && songs->size() == 1u);
        EXPECT_EQ((*songs)[0].title, u"Then"_s);
        opened->reset();
        EXPECT_FALSE(QFile::exists(db + u".new"_s));
        EXPECT_FALSE(QFile::exists(db + u".bringing-back"_s));
        const auto all = backupsOf(where());
        EXPECT_TRUE(std::any_of(all.begin(), all.end(),
                                [](const Backup& b) { return b.kind == Backup::Kind::SetAside; }));
        QFile::remove(db);
        ASSERT_TRUE(QFile::rename(db + u".kept"_s, db));
    }
}

TEST_F(BackupsOfALibrary, NothingIsExchangedWhileSomebodyHasItOpen) {
    keep(u"Lanterns"_s);
    const auto made = backUp(library->database(), where(), Backup::Kind::Daily);
    ASSERT_TRUE(made);
    keep(u"Anchors"_s);
    const auto refused = bringBack(*made, where());
    ASSERT_FALSE(refused);
    EXPECT_TRUE(refused.error().what.contains(u"in use"_s)) << refused.error().what.toStdString();
    EXPECT_EQ(found(u"anchors"_s).size(), 1);
    EXPECT_EQ(backupsOf(where()).size(), 1u);
    EXPECT_FALSE(QFile::exists(where() + u"/library.db.new"_s));
}

TEST_F(BackupsOfALibrary, ADamagedBackupIsRefusedAndADamagedLibraryMakesNone) {
    for (int i = 0; i < 40; ++i)
        keep(u"Song %1"_s.arg(i));
    const auto made = backUp(library->database(), where(), Backup::Kind::Daily);
    ASSERT_TRUE(made);
    library.reset();
    QFile::copy(made->path, path(u"good.db"_s));
    overwrite(made->path, QByteArray(20'000, 'x'), 8'192);
    EXPECT_FALSE(bringBack(*made, where()));
    open();
    EXPECT_EQ(found(u"song 7"_s).size(), 1);
    library.reset();

    QFile::remove(made->path);
    overwrite(where() + u"/library.db"_s, QByteArray(20'000, 'x'), 8'192);
    if (auto database = Database::open(where() + u"/library.db"_s)) {
        EXPECT_FALSE(backUpToday(**database, where()));
    }
    EXPECT_TRUE(backupsOf(where()).empty());
    Backup good = *made;
    good.path = path(u"good.db"_s);
    ASSERT_TRUE(bringBack(good, where())); // over a damaged library, which is kept
    open();
    EXPECT_EQ(found(u"song 7"_s).size(), 1);
    ASSERT_EQ(backupsOf(where()).size(), 1u);
    EXPECT_EQ(backupsOf(where()).front().kind, Backup::Kind::SetAside);
}

TEST_F(BackupsOfALibrary, AFullDiskLeavesNoHalfBackupAndTheLibraryAsItWas) {
    for (int i = 0; i < 40; ++i)
        keep(u"Song %1"_s.arg(i));
    {
        const SmallDisk disk{40'000};
        EXPECT_FALSE(backUp(library->database(), where(), Backup::Kind::Daily));
    }
    EXPECT_TRUE(QDir(where() + u"/backups"_s).isEmpty());
    const auto made = backUp(library->database(), where(), Backup::Kind::Daily);
    ASSERT_TRUE(made);
    library.reset();
    {
        const SmallDisk disk{40'000};
        EXPECT_FALSE(bringBack(*made, where()));
    }
    open();
    EXPECT_EQ(found(u"song 7"_s).size(), 1);
    EXPECT_FALSE(QFile::exists(where() + u"/library.db.new"_s));
}

TEST_F(BackupsOfALibrary, OtherFilesInTheFolderAreNoneOfThem) {
    file(u"library/backups/library-daily-yesterday.db"_s, "x");
    file(u"library/backups/holiday.db"_s, "x");
    EXPECT_TRUE(backupsOf(where()).empty());
    const auto made = backUp(library->database(), where(), Backup::Kind::BeforeMigration);
    ASSERT_TRUE(made);
    EXPECT_EQ(backupsOf(where()), std::vector<Backup>{*made});
}

} // namespace
} // namespace mivanta
