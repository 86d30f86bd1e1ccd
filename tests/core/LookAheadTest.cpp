// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/LookAhead.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

const QDate kSunday(2026, 10, 4);

Service serviceOfSongs(const std::vector<Song>& songs) {
    Service service;
    for (const Song& song : songs)
        service.items.push_back({ItemId::create(), songItem(song)});
    return service;
}

TEST(LookAhead, NamesSongsWithoutLicenceAndCreditOnce) {
    Song bare = samples::harbourSong(u"Bare"_s);
    Song known = samples::harbourSong(u"Known"_s);
    known.licenceNumber = u"1234"_s;
    known.copyright = u"2020 Ket"_s;
    const LookAhead ahead = lookAheadOf(serviceOfSongs({bare, known, bare}), {}, kSunday);
    EXPECT_EQ(ahead.withoutLicence, QStringList{u"Bare"_s});
    EXPECT_EQ(ahead.withoutCredit, QStringList{u"Bare"_s});
    EXPECT_EQ(ahead.facts(), (QStringList{u"1 song without licence number"_s, u"1 song without credit"_s}));
}

TEST(LookAhead, WhatIsLeftOutTodayIsNotCounted) {
    Service service = serviceOfSongs({samples::harbourSong()});
    service.items[0].plan.skipped = true;
    EXPECT_TRUE(lookAheadOf(service, {}, kSunday).facts().isEmpty());
    EXPECT_TRUE(lookAheadOf(Service(), {}, kSunday).details().isEmpty());
}

TEST(LookAhead, LatelyIsFourWeeks) {
    std::vector<Song> songs;
    QHash<SongId, QDate> sung;
    for (const int days : {-1, 0, 1, 6, 28, 29}) {
        songs.push_back(samples::harbourSong(QString::number(days)));
        sung.insert(songs.back().id, kSunday.addDays(-days));
    }
    const LookAhead ahead = lookAheadOf(serviceOfSongs(songs), sung, kSunday);
    ASSERT_EQ(ahead.sungLately.size(), 4U); // not the future one, not the one before
    EXPECT_EQ(ahead.sungLately[2], (SungLately{u"6"_s, 6}));
    const QString details = ahead.details();
    EXPECT_TRUE(
        details.contains(u"0 was sung the same day\n1 was sung the day before\n6 was sung 6 days before\n"
                         "28 was sung 4 weeks before"_s))
        << details.toStdString();
}

} // namespace
} // namespace mivanta
