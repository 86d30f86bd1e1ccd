// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"

namespace mivanta {
namespace {

class Takes : public LibraryTest {
protected:
    TakeNote note(const ServiceId& service, int second, const QString& title, const QString& part = {}) {
        return {service,
                u"Sunday, \"the\" 4th"_s,
                at.addSecs(second),
                ItemId::create(),
                u"song:"_s + title,
                title,
                part};
    }
    const QDateTime at{QDate(2026, 10, 4), QTime(10, 30)};
};

TEST_F(Takes, WhatWasOnScreenIsKeptInItsOrderFromADayOn) {
    const ServiceId service = ServiceId::create();
    const TakeNote early{
        ServiceId::create(), u"Before"_s, at.addDays(-7), ItemId::create(), u"song:x"_s, u"X"_s, {}};
    const TakeNote second = note(service, 12, u"Harbour"_s, u"Chorus"_s);
    const TakeNote first = note(service, 0, u"Harbour"_s, u"Verse 1"_s);
    for (const TakeNote& each : {early, second, first})
        ASSERT_TRUE(library->takes().note(each));
    EXPECT_EQ(*library->takes().since(at.date()), (std::vector{first, second}));
    EXPECT_EQ(library->takes().since(at.date().addDays(-30))->size(), 3u);
    EXPECT_TRUE(library->takes().since(at.date().addDays(1))->empty());
}

TEST_F(Takes, LengthsAreThoseOfTheLastServices) {
    for (int i = 0; i < 5; ++i)
        ASSERT_TRUE(library->takes().note(ItemTime{u"song:a"_s, at.addDays(i), 100 + i}));
    ASSERT_TRUE(library->takes().note(ItemTime{u"song:b"_s, at, 40}));
    const auto lengths = library->takes().lengths(3);
    ASSERT_TRUE(lengths);
    EXPECT_EQ((*lengths)[u"song:a"_s], (std::vector{104, 103, 102}));
    EXPECT_EQ((*lengths)[u"song:b"_s], std::vector{40});
}

TEST_F(Takes, ATableSaysHowLongEachWasSeen) {
    const ServiceId service = ServiceId::create();
    const QString csv = QString::fromUtf8(
        takesToCsv({note(service, 0, u"Harbour"_s, u"Verse 1"_s), note(service, 30, u"Tide, the"_s),
                    note(ServiceId::create(), 90, u"Other"_s)}));
    EXPECT_EQ(csv.split(u"\r\n"_s),
              (QStringList{u"service,date,time,title,part,seconds"_s,
                           u"\"Sunday, \"\"the\"\" 4th\",2026-10-04,10:30:00,Harbour,Verse 1,30"_s,
                           u"\"Sunday, \"\"the\"\" 4th\",2026-10-04,10:30:30,\"Tide, the\",,"_s,
                           u"\"Sunday, \"\"the\"\" 4th\",2026-10-04,10:31:30,Other,,"_s, QString()}));
}

} // namespace
} // namespace mivanta
