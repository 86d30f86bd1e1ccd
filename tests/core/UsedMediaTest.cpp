// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedMedia.h"
#include "core/theme/LookMedia.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// A medium in every place that a service can have one, named by the place.
Service everywhere() {
    Service service;
    service.theme = samples::theme();
    service.theme.look.backdrop.picture = u"theme"_s;
    service.theme.look.objects = {SlideObject::ofPicture(u"theme object"_s)};
    service.themes = {samples::theme()};
    service.themes[0].look.backdrop.picture = u"other theme"_s;
    const LookProperty& backdrop = *lookProperty(u"backdrop.picture"_s);
    service.look.own.set(backdrop, u"service"_s);
    service.kinds[ItemKind::Song].own.set(backdrop, u"kind"_s);
    Item song{ItemId::create(), songItem(samples::harbourSong())};
    song.look.choice.objects = {SlideObject::ofPicture(u"item object"_s)};
    LookChoice slide;
    slide.own.set(backdrop, u"slide"_s);
    song.look.setSlide({u"Verse 1"_s, 1, 0, 3}, slide);
    FilmItem film;
    film.name = u"film"_s;
    Item bell{ItemId::create(), MusicItem{{}, {{u"piece"_s}, {u"piece"_s}, {u"other piece"_s}}}};
    bell.plan.sound = ItemSound{u"sound"_s, {}, false};
    service.items = {song,
                     {ItemId::create(), PictureItem{{}, {{u"set"_s, {}}, {u"set"_s, {}}}}},
                     {ItemId::create(), film},
                     bell};
    return service;
}

TEST(UsedMedia, EveryPlaceOfAPictureIsFoundOnce) {
    QStringList names = mediaOf(everywhere());
    names.sort();
    EXPECT_EQ(names, (QStringList{u"film"_s, u"item object"_s, u"kind"_s, u"other piece"_s, u"other theme"_s,
                                  u"piece"_s, u"service"_s, u"set"_s, u"slide"_s, u"sound"_s, u"theme"_s,
                                  u"theme object"_s}));
    EXPECT_TRUE(mediaOf(Service()).isEmpty());
}

TEST(UsedMedia, APictureIsRenamedWhereverItIsAndOnlyThat) {
    Service service = everywhere();
    const QStringList names = mediaOf(service);
    for (const QString& name : names) {
        Service changed = service;
        renameMedia(changed, name, u"new"_s);
        QStringList expected = names;
        expected.replace(expected.indexOf(name), u"new"_s);
        EXPECT_EQ(mediaOf(changed), expected) << name.toStdString();
    }
    renameMedia(service, u"none of them"_s, u"new"_s);
    EXPECT_EQ(mediaOf(service), names);
}

TEST(UsedMedia, FontsAreThoseOfThemesAndOfSinglePropertiesOnThem) {
    Service service;
    service.theme = samples::theme();
    service.theme.look.words.family = u"Noto Serif"_s;
    service.theme.look.words.weight = 500;
    Item song{ItemId::create(), songItem(samples::harbourSong())};
    song.look.choice.own.set(*lookProperty(u"words.weight"_s), 900);
    service.items = {song};
    EXPECT_EQ(fontsOf(service), (std::vector<UsedFont>{{u"Noto Serif"_s, 500}, {u"Noto Serif"_s, 900}}));
    service.theme.look.words.family.clear(); // the program's own
    EXPECT_TRUE(fontsOf(service).empty());
}

TEST(UsedMedia, OtherPropertiesAreNoPictures) {
    LookOverrides own;
    own.set(*lookProperty(u"words.size"_s), 64);
    EXPECT_TRUE(mediaOf(own).isEmpty());
    renameMedium(own, u"a"_s, u"b"_s);
    EXPECT_EQ(own.count(), 1U);
}

} // namespace
} // namespace mivanta
