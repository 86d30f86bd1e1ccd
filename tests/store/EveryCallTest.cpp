// SPDX-License-Identifier: GPL-3.0-or-later
#include "FailingCalls.h"
#include "OpenLibrary.h"
#include "store/Backups.h"
#include "store/Journal.h"
#include "store/MediaFiles.h"
#include "store/SafeFiles.h"
#include "store/ServicePack.h"
#include "store/ServiceTemplates.h"
#include "support/Samples.h"
#include <cerrno>

namespace mivanta {
namespace {

constexpr int kErrors[]{ENOSPC, EIO, EROFS, EDQUOT};
constexpr int kMostCalls = 5000;

Service serviceOf(const QString& title) {
    Service service;
    service.id = ServiceId::create();
    service.title = title;
    service.theme = samples::theme();
    service.items.push_back({ItemId::create(), songItem(samples::harbourSong(title))});
    return service;
}

/// Files are written while one call to the system after the other fails, with each of the usual errors.
class EveryCall : public LibraryTest {
protected:
    /// `work` writes and says whether it went well; `isOld` and `isNew` look at what is on the disk
    /// afterwards.
    template <typename Work, typename Look>
    void everyCall(const Work& work, const Look& look) {
        for (const int error : kErrors) {
            int before = 0;
            for (bool goesOn = true; goesOn && before < kMostCalls; ++before) {
                bool done = false;
                {
                    const FailingCall call(before, error);
                    done = work();
                    goesOn = call.hasFailed();
                }
                look(done, before);
                if (HasFailure())
                    return;
            }
            EXPECT_GT(before, 3); // it does call the system
            EXPECT_LT(before, kMostCalls);
        }
    }
    [[nodiscard]] QStringList filesIn(const QString& where) const {
        return QDir(path(where)).entryList(QDir::Files | QDir::Hidden);
    }
};

TEST_F(EveryCall, TheJournalHoldsTheLastWorkOrTheOneBefore) {
    QDir().mkpath(path(u"kept"_s));
    const Journal journal(path(u"kept"_s));
    int number = 0;
    ASSERT_TRUE(journal.write({serviceOf(QString::number(number)), {}, {}, true}));
    QString last = QString::number(number);
    everyCall(
        [&] {
            return bool(journal.write({serviceOf(QString::number(number + 1)), {}, {}, true}));
        },
        [&](bool done, int before) {
            const auto read = journal.read();
            ASSERT_TRUE(read && *read) << before;
            // A failure that comes when the new file is in its place already may leave either.
            const QString title = (*read)->service.title;
            EXPECT_TRUE(title == QString::number(number + 1) || (!done && title == last)) << before;
            EXPECT_EQ(filesIn(u"kept"_s).size(), 1) << filesIn(u"kept"_s).join(u' ').toStdString();
            last = title;
            ++number;
        });
}

TEST_F(EveryCall, ASavedServiceIsTheNewOneOrTheOldOne) {
    QDir().mkpath(path(u"kept"_s));
    const QString file = path(u"kept/a.mivanta"_s);
    auto stamp = saveService(serviceOf(u"old"_s), file, {});
    ASSERT_TRUE(stamp);
    everyCall(
        [&] {
            const auto saved = saveService(serviceOf(u"new"_s), file, *stamp);
            EXPECT_TRUE(saved || !saved.error().remedy.isEmpty());
            return bool(saved);
        },
        [&](bool done, int before) {
            const auto opened = openService(file);
            ASSERT_TRUE(opened) << before;
            EXPECT_TRUE(opened->service.title == (done ? u"new"_s : u"old"_s)) << before;
            EXPECT_EQ(filesIn(u"kept"_s), QStringList{u"a.mivanta"_s});
            stamp = saveService(serviceOf(u"old"_s), file, {}); // for the next call
            ASSERT_TRUE(stamp);
        });
}

TEST_F(EveryCall, APackedServiceIsWholeOrNotThere) {
    Service service = serviceOf(u"Sunday"_s);
    const auto picture = library->media().bringIn(QByteArray(300'000, 'p'), u"p.png"_s);
    ASSERT_TRUE(picture);
    service.items.push_back({ItemId::create(), PictureItem{{}, {{picture->name, {}}}}});
    service.media = mediaFactsOf(service, library->media().folder(), {});
    const PackList list = packListOf(service, library->media().folder(), {});
    QDir().mkpath(path(u"kept"_s));
    const QString file = path(u"kept/a.mivanta"_s);
    everyCall([&] { return bool(packService(service, list, file, {})); },
              [&](bool done, int before) {
                  EXPECT_EQ(filesIn(u"kept"_s), done ? QStringList{u"a.mivanta"_s} : QStringList()) << before;
                  if (done) {
                      const auto opened = openService(file);
                      EXPECT_TRUE(opened && opened->isPacked);
                  }
                  QFile::remove(file);
              });
}

TEST_F(EveryCall, WhatComesWithAPackedServiceComesWholeOrNotAtAll) {
    Service service = serviceOf(u"Sunday"_s);
    for (const char letter : {'a', 'b'}) {
        const auto picture = library->media().bringIn(QByteArray(30'000, letter), u"p.png"_s);
        ASSERT_TRUE(picture);
        service.items.push_back({ItemId::create(), PictureItem{{}, {{picture->name, {}}}}});
    }
    service.media = mediaFactsOf(service, library->media().folder(), {});
    ASSERT_TRUE(
        packService(service, packListOf(service, library->media().folder(), {}), path(u"a.mivanta"_s), {}));
    int number = 0;
    everyCall([&] { return bool(unpackService(path(u"a.mivanta"_s), path(u"out-%1"_s.arg(number)))); },
              [&](bool done, int before) {
                  const QString folder = path(u"out-%1"_s.arg(number++));
                  if (!done) {
                      EXPECT_FALSE(QFileInfo::exists(folder)) << before;
                      return;
                  }
                  const auto opened = openService(folder + u"/a.mivanta"_s);
                  ASSERT_TRUE(opened);
                  EXPECT_TRUE(missingMedia(opened->service, folder + u"/media"_s).empty());
              });
}

TEST_F(EveryCall, AMediumInTheLibraryIsWholeOrNotThere) {
    int number = 0;
    everyCall(
        [&] {
            return bool(library->media().bringIn(
                QByteArray(20'000, char('a' + number % 26)) + QByteArray::number(number), u"p.png"_s));
        },
        [&](bool done, int before) {
            const QByteArray bytes = QByteArray(20'000, char('a' + number % 26)) + QByteArray::number(number);
            ++number;
            const auto all = library->media().all();
            ASSERT_TRUE(all) << before << all.error().text().toStdString();
            for (const StoredMedium& medium : *all) {
                const auto hash = contentHash(library->media().pathOf(medium.name));
                EXPECT_TRUE(hash && medium.name.startsWith(*hash)) << before;
            }
            // Nothing stands in the way of the same file the next time.
            const auto again = library->media().bringIn(bytes, u"p.png"_s);
            ASSERT_TRUE(again) << before << done;
        });
}

TEST_F(EveryCall, TheLibraryHasASongWholeOrAsItWas) {
    const Song song = samples::harbourSong(u"Harbour"_s);
    ASSERT_TRUE(library->save(song));
    int number = 0;
    QString title = song.title;
    everyCall(
        [&] {
            auto stored = library->song(song.id);
            if (!stored)
                return false;
            stored->title = u"Harbour %1"_s.arg(number);
            return bool(library->save(*stored));
        },
        [&](bool done, int before) {
            const auto stored = library->song(song.id);
            ASSERT_TRUE(stored) << before << stored.error().text().toStdString();
            EXPECT_TRUE(stored->title == (done ? u"Harbour %1"_s.arg(number) : title)) << before;
            EXPECT_TRUE(found(stored->title).contains(stored->title)) << before;
            title = stored->title;
            ++number;
        });
}

} // namespace
} // namespace mivanta
