// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedParts.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Item playedItem(const QString& name, double from, double to, double seconds = 100) {
    FilmItem film;
    film.name = name;
    film.caption = u"The "_s + name;
    film.seconds = seconds;
    film.from = from;
    film.to = to;
    Item item;
    item.id = ItemId::create();
    item.words = film;
    return item;
}

Service filmService(std::vector<Item> items) {
    Service service;
    service.theme = samples::theme();
    service.items = std::move(items);
    return service;
}

TEST(UsedParts, LieBetweenTheFirstBeginAndTheLastEnd) {
    const auto parts = usedParts(
        filmService({playedItem(u"a"_s, 30, 40), playedItem(u"b"_s, 10, 0), playedItem(u"a"_s, 20, 35)}));
    ASSERT_EQ(parts.size(), 2u);
    EXPECT_EQ(parts[0].name, u"a"_s);
    EXPECT_EQ(parts[0].title, u"The a"_s);
    EXPECT_EQ(parts[0].part.from, 20);
    EXPECT_EQ(parts[0].part.to, 40);
    EXPECT_NEAR(parts[0].share(), 0.2, 1e-9);
    EXPECT_EQ(parts[1].part.to, 0) << "to its end";
}

TEST(UsedParts, AreNoneWhereAllOfItIsShownSomewhere) {
    EXPECT_TRUE(usedParts(filmService({playedItem(u"a"_s, 0, 0)})).empty());
    EXPECT_TRUE(usedParts(filmService({playedItem(u"a"_s, 30, 40), playedItem(u"a"_s, 0, 0)})).empty());
    EXPECT_TRUE(usedParts(filmService({playedItem(u"a"_s, 1, 98)})).empty()) << "hardly less";
    EXPECT_TRUE(usedParts(filmService({playedItem(u"a"_s, 30, 40, 0)})).empty()) << "its length is not known";
    EXPECT_TRUE(usedParts(filmService({playedItem(u"a"_s, 30, 40), playedItem(u"a"_s, 60, 70, 0)})).empty())
        << "one of them does not know it";
    Service behind =
        filmService({playedItem(u"a"_s, 30, 40), {ItemId::create(), songItem(samples::harbourSong())}});
    behind.items[1].look.choice.own.set(*lookProperty(u"backdrop.picture"_s), u"a"_s);
    EXPECT_TRUE(usedParts(behind).empty()) << "a backdrop shows all of it";
}

RC_GTEST_PROP(UsedParts, PlayTheSameMoments, ()) {
    const auto second = rc::gen::inRange(0, 1000);
    std::vector<Item> items;
    for (int i = 0; i < *rc::gen::inRange(1, 5); ++i) {
        const int from = *rc::gen::inRange(0, 900);
        const int length = *rc::gen::inRange(1, 100);
        items.push_back(playedItem(u"a"_s, from, *rc::gen::arbitrary<bool>() ? from + length : 0, 1000));
    }
    Service service = filmService(items);
    const auto parts = usedParts(service);
    if (parts.empty())
        return;
    const UsedPart used = parts.front();
    const int earlier = std::min(int(used.part.from), *second % 10); // it is cut a little before
    const double later = -(used.part.from - earlier);
    const double end = used.part.to > 0 ? used.part.to : used.seconds;
    playFromPart(service, u"a"_s, u"part"_s, later, end + later);
    for (size_t i = 0; i < items.size(); ++i) {
        const auto& before = std::get<FilmItem>(items[i].words);
        const auto& now = std::get<FilmItem>(service.items[i].words);
        RC_ASSERT(now.name == u"part"_s);
        RC_ASSERT(std::abs(now.from - (before.from + later)) < 1e-9);
        RC_ASSERT(std::abs(now.length() - before.length()) < 1e-9);
    }
    RC_ASSERT((usedParts(service).empty() || usedParts(service).front().part.from > 0));
}

} // namespace
} // namespace mivanta
