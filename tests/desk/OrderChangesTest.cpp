// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedMedia.h"
#include "desk/prepare/CommonValue.h"
#include "desk/prepare/OrderModel.h"
#include "desk/window/RecentServices.h"
#include "session/service/ServiceDocument.h"
#include "store/MediaFiles.h"
#include "store/ServicePack.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QDir>
#include <QSettings>
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// Changes of a service that are neither its order nor its words.
class OrderChanges : public ::testing::Test {
protected:
    const Item& item(const ItemId& id) { return *document.service().item(id); }
    PictureItem harbours() { return {{}, {{u"a.png"_s, u"Dawn"_s}, {u"b.png"_s, u"Dusk"_s}}}; }
    QTemporaryDir folder;
    ServiceDocument document{LibraryAddress(folder.path()).mediaFolder(), Journal(folder.path()),
                             samples::theme()};
};

TEST_F(OrderChanges, WhatHasANameOfItsOwnIsRenamedAndASongIsNot) {
    const ItemId song = document.insert(0, songItem(samples::harbourSong(u"Harbour"_s)));
    const std::vector<ItemId> named{document.insert(9, NoteItem{u"a"_s}),
                                    document.insert(9, PauseItem{u"a"_s}),
                                    document.insert(9, CountdownItem{u"a"_s, QTime(10, 30)}),
                                    document.insert(9, harbours()), document.insertHeading(9, u"a"_s)};
    const int before = document.undoStack().count();
    for (const ItemId& id : named) {
        document.rename(id, u"b"_s);
        document.rename(id, u"b"_s); // nothing changes
        EXPECT_EQ(item(id).title(), u"b"_s);
    }
    document.rename(song, u"b"_s);
    document.rename(ItemId::create(), u"b"_s);
    EXPECT_EQ(item(song).title(), u"Harbour"_s);
    EXPECT_EQ(document.undoStack().count(), before + int(named.size()));
    EXPECT_EQ(std::get<CountdownItem>(item(named[2]).words).to, QTime(10, 30));
}

TEST_F(OrderChanges, EditsOfOneVisitAreOneStepAndPassOverWhatHasNoSlides) {
    const ItemId song = document.insert(0, songItem(samples::harbourSong()));
    const ItemId note = document.insert(9, NoteItem{u"a"_s});
    const int visit = document.startVisit();
    for (const QString& text : {u"s"_s, u"so"_s, u"soft"_s})
        document.changeEdits(
            {song, note}, [&](SlideEdits& edits) { edits.stageNote = text; }, u"x"_s, visit);
    EXPECT_EQ(item(song).edits.stageNote, u"soft"_s);
    EXPECT_TRUE(item(note).edits.isEmpty());
    document.undoStack().undo();
    EXPECT_TRUE(item(song).edits.isEmpty());
    const int before = document.undoStack().count();
    document.changeEdits(
        {note}, [](SlideEdits& edits) { edits.stageNote = u"x"_s; }, u"x"_s);
    document.changeEdits(
        {song}, [](SlideEdits&) {}, u"x"_s);
    EXPECT_EQ(document.undoStack().count(), before); // nothing was changed
}

TEST_F(OrderChanges, APictureIsReplacedWhereverItIsInOneStep) {
    const ItemId set = document.insert(0, harbours());
    Theme theme = samples::theme();
    theme.look.backdrop.picture = u"a.png"_s;
    document.setTheme(theme);
    const int before = document.undoStack().count();
    document.replacePictures({{u"a.png"_s, u"new.png"_s}});
    EXPECT_EQ(std::get<PictureItem>(item(set).words).pictures[0].name, u"new.png"_s);
    EXPECT_EQ(document.service().theme.look.backdrop.picture, u"new.png"_s);
    document.replacePictures({{u"gone.png"_s, u"x.png"_s}});
    document.replacePictures({{u"b.png"_s, u"b.png"_s}});
    EXPECT_EQ(document.undoStack().count(), before + 1);
    document.undoStack().undo();
    EXPECT_EQ(mediaOf(document.service()), (QStringList{u"a.png"_s, u"b.png"_s}));
}

TEST_F(OrderChanges, WhatItsMediaWereCalledIsSavedWithTheService) {
    const QString dawn = QString(64, u'a') + u".png"_s; // as the library names them
    const QString dusk = QString(64, u'b') + u".png"_s;
    const QString media = LibraryAddress(folder.path()).mediaFolder();
    ASSERT_TRUE(QDir().mkpath(media));
    QFile picture(media + u'/' + dawn);
    ASSERT_TRUE(picture.open(QIODevice::WriteOnly));
    picture.write("dawn");
    picture.close();
    document.insert(0, PictureItem{{}, {{dawn, u"Dawn"_s}, {dusk, u"Dusk"_s}}});
    document.setMediaTitles({{dawn, u"dawn over the bay.png"_s}, {u"unused.png"_s, u"x"_s}});
    const QString path = folder.filePath(u"a.mivanta"_s);
    document.save(path);
    ASSERT_TRUE(QTest::qWaitFor([&] { return QFile::exists(path) && !document.isModified(); }, 10'000));
    const auto opened = openService(path);
    ASSERT_TRUE(opened);
    EXPECT_FALSE(opened->isPacked);
    EXPECT_EQ(opened->service.media,
              (std::vector<MediaFact>{{dawn, u"dawn over the bay.png"_s, 4}, {dusk, {}, 0}}));
    EXPECT_EQ(missingMedia(opened->service, media), (std::vector<MediaFact>{{dusk, {}, 0}}));
}

TEST_F(OrderChanges, TheSheetSaysWhatEachItemIs) {
    const OrderModel model(document);
    document.insert(9, harbours());
    document.insert(9, NoteItem{u"Dim the lights\nthen wait"_s});
    document.insert(9, PauseItem{u"Silence"_s});
    document.insert(9, CountdownItem{{}, QTime(10, 30)});
    const ItemId song = document.insert(9, songItem(samples::harbourSong()));
    QStringList sides;
    QStringList numbers;
    for (int row = 0; row < model.rowCount(); ++row) {
        sides << model.index(row).data(OrderModel::SideRole).toString();
        numbers << model.index(row).data(OrderModel::NumberRole).toString();
        EXPECT_EQ(model.index(row).data(OrderModel::IsNoteRole).toBool(), row == 1);
        EXPECT_EQ(bool(model.flags(model.index(row)) & Qt::ItemIsEditable), row < 4);
    }
    EXPECT_EQ(sides, (QStringList{u"2 pictures"_s, u"Note"_s, u"Pause"_s, u"until 10:30"_s, u"V1 C V2 C"_s}));
    EXPECT_EQ(numbers, (QStringList{u"1"_s, u"0"_s, u"2"_s, u"3"_s, u"4"_s})); // a note is not run
    document.changeEdits(
        {song},
        [](SlideEdits& edits) {
            edits.hide({u"Chorus"_s, 1, 0, 1});
        },
        u"x"_s);
    EXPECT_EQ(model.index(4).data(OrderModel::SideRole).toString(), u"V1 V2 C"_s);
}

TEST(CommonValues, AreThoseThatAllHave) {
    Item a{ItemId::create(), songItem(samples::harbourSong())};
    Item b = a;
    b.id = ItemId::create();
    const auto leader = [](const Item& item) { return item.plan.leader; };
    EXPECT_EQ(commonValue({&a, &b}, leader), QString());
    b.plan.leader = u"Petra Osk"_s;
    EXPECT_EQ(commonValue({&a, &b}, leader), std::nullopt);
    EXPECT_EQ(commonValue({&b}, leader), u"Petra Osk"_s);
}

TEST(CommonValues, WhatIsChosenCountsOnlyWhenTheCurrentItemIsAmongIt) {
    Service service;
    service.items = {{ItemId::create(), songItem(samples::harbourSong())},
                     {ItemId::create(), NoteItem{u"a"_s}},
                     {ItemId::create(), PauseItem{u"b"_s}}};
    const ItemId song = service.items[0].id;
    const ItemId note = service.items[1].id;
    const ItemId pause = service.items[2].id;
    EXPECT_EQ(chosenThat(&Item::hasSlides, service, {song, note, pause}, pause), (std::vector{song, pause}));
    EXPECT_EQ(chosenThat(&Item::hasSlides, service, {song}, pause), std::vector{pause});
    EXPECT_TRUE(chosenThat(&Item::hasSlides, service, {}, note).empty());
    EXPECT_TRUE(chosenThat(&Item::hasSlides, service, {}, ItemId::create()).empty());
}

TEST(RecentServiceFiles, TheLastOneIsFirstAndEachIsThereOnce) {
    QSettings().remove(u"services/recent"_s);
    RecentServices recent;
    EXPECT_FALSE(recent.actions().front()->isEnabled()); // says that there is none
    for (int i = 0; i < RecentServices::kMost + 3; ++i)
        recent.note(u"/services/%1.mivanta"_s.arg(i));
    recent.note(u"/services/5.mivanta"_s);
    recent.note({});
    const QStringList paths = RecentServices::paths();
    EXPECT_EQ(paths.size(), RecentServices::kMost);
    EXPECT_EQ(paths.front(), u"/services/5.mivanta"_s);
    EXPECT_EQ(paths.count(u"/services/5.mivanta"_s), 1);
    QString chosen;
    QObject::connect(&recent, &RecentServices::chosen, [&](const QString& path) { chosen = path; });
    Q_EMIT recent.aboutToShow();
    ASSERT_EQ(recent.actions().size(), RecentServices::kMost);
    recent.actions()[1]->trigger();
    EXPECT_EQ(chosen, paths[1]);
    QSettings().remove(u"services/recent"_s);
}

} // namespace
} // namespace mivanta
