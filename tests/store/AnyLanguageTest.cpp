// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "core/order/OrderEdits.h"
#include "core/run/Slides.h"
#include "core/song/WholeText.h"
#include "core/timing/Timetable.h"
#include "formats/ServiceFile.h"
#include "formats/SongCsv.h"
#include "formats/SongJson.h"
#include "formats/SongWriter.h"
#include "formats/TextFile.h"
#include "store/ServiceStore.h"
#include "support/AnySong.h"
#include "support/Passages.h"
#include "support/Pseudo.h"
#include "support/Samples.h"
#include <QJsonDocument>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

SpokenText grace() {
    SpokenText text;
    text.id = TextId::create();
    text.title = u"Grace"_s;
    text.kind = TextKind::Prayer;
    text.lines = {{u"For bread"_s, u"Leader"_s}, {u"we give thanks"_s, u"All"_s}};
    text.lines[1].breakBefore = true;
    return text;
}

/// An item of every kind, with and without a name of its own.
Service everyKind(Song song) {
    song.singingOrder.push_back({PartId(), 1, {}});
    const QString a = QString(64, u'a') + u".png"_s;
    Service service;
    service.id = ServiceId::create();
    service.theme = samples::theme();
    const auto add = [&](ItemWords words) { service.items.push_back({ItemId::create(), std::move(words)}); };
    add(Heading{u"Word"_s});
    add(songItem(std::move(song)));
    add(passageItem(samples::passage({u"first verse"_s, u"second verse"_s})));
    add(textItem(grace()));
    add(PictureItem{{}, {{a, {}}, {a, {}}, {a, u"Dawn"_s}}, PictureFit::Whole, false});
    add(PauseItem{});
    add(CountdownItem{u"We begin in"_s, QTime(10, 30)});
    add(CountdownItem{});
    add(NoteItem{u"lights"_s});
    add(SlotItem{{}, ItemKind::Song});
    return service;
}

/// Every slide has a look of its own; of each item one says something else, one is hidden, and the order is
/// turned.
void editEverySlide(Service& service) {
    LookChoice choice;
    choice.own.set(*lookProperty(u"words.size"_s), 44);
    for (Item& item : service.items) {
        if (!item.hasSlides())
            continue;
        const ItemContent content = contentOf(item.words, service);
        for (int e = 0; e < int(content.entries.size()); ++e) {
            const PartTime at = partTimeOf(e, content);
            item.look.setSlide({at.part, at.time, 0, 0}, choice);
            if (e == 0)
                item.edits.setWords({at.part, at.time, 0, 0}, u"other words"_s);
            if (e == 1)
                item.edits.hide({at.part, at.time, 0, 0});
            item.edits.order.insert(item.edits.order.begin(), at);
        }
        item.edits.stageWords = u"G D"_s;
    }
}

/// Everything that is written of a service and its song, one behind the other.
QByteArray written(const Service& service, const Song& song) {
    QByteArray all = QJsonDocument(serviceToJson(service)).toJson();
    all += QJsonDocument(songToJson(song)).toJson() + chordProText(song).toUtf8() +
           plainSongText(song).toUtf8() + songsToCsv({song}).toUtf8() + wholeText(song.parts).toUtf8() +
           textFileOf(grace()).toUtf8();
    std::vector<TakeNote> takes;
    for (const Item& item : service.items) {
        all += subjectOf(item).toUtf8() + '\n';
        if (!item.hasSlides())
            continue;
        const ItemContent content = contentOf(item, service);
        for (const ContentEntry& entry : content.entries)
            takes.push_back({service.id, service.title, QDateTime(QDate(2026, 10, 4), QTime(10, 30)), item.id,
                             subjectOf(item), givenName(item.words), content.parts[size_t(entry.part)].key});
    }
    return all + takesToCsv(takes);
}

std::vector<QStringList> shownLines(const Service& service) {
    std::vector<QStringList> all;
    for (const Item& item : service.items) {
        if (!item.hasSlides())
            continue;
        const ItemContent content = contentOf(item, service);
        for (const ContentEntry& entry : content.entries) {
            QStringList lines{content.parts[size_t(entry.part)].key};
            for (const ContentLine& line : content.parts[size_t(entry.part)].lines)
                lines << line.words;
            all.push_back(lines);
        }
    }
    return all;
}

RC_GTEST_PROP(AnyLanguage, FilesAreTheSameByteForByte, ()) {
    const Song song = *samples::anySong();
    Service service = everyKind(song);
    Service other = service;
    editEverySlide(service);
    const QByteArray english = written(service, song);
    const auto shown = shownLines(service);
    const samples::Pseudo spoken;
    RC_ASSERT(written(service, song) == english);
    editEverySlide(other); // slides are named the same, whatever language they are edited in
    RC_ASSERT(written(other, song) == english);
    RC_ASSERT(shownLines(service) == shown);
    const auto read = serviceFromJson(serviceToJson(service), {});
    RC_ASSERT(bool(read));
    RC_ASSERT(written(*read, song) == english);
    RC_ASSERT(shownLines(*read) == shown);
    RC_ASSERT(wholeText(readWholeText(wholeText(song.parts), song.parts)) == wholeText(song.parts));
}

TEST(AnyLanguage, WhatHasNoNameIsCalledByItsKindInTheReadersLanguage) {
    const Service service = everyKind(samples::harbourSong());
    QStringList english;
    for (const Item& item : service.items)
        english << item.title() + u" / "_s + kindText(item.words);
    EXPECT_TRUE(english.contains(u"3 pictures / 3 pictures"_s));
    const samples::Pseudo spoken;
    for (int i = 0; i < int(service.items.size()); ++i)
        if (!service.items[size_t(i)].isHeading()) {
            EXPECT_NE(service.items[size_t(i)].title() + u" / "_s + kindText(service.items[size_t(i)].words),
                      english[i]);
        }
}

class BeforeKeys : public LibraryTest {
protected:
    static QString fixture(const QString& name) {
        return QStringLiteral(MIVANTA_SOURCE_DIR "/tests/fixtures/version-8/") + name;
    }
};

TEST_F(BeforeKeys, AServiceOfVersionEightHasItsEditsOfSlidesInAnyLanguage) {
    const auto opened = openService(fixture(u"service.mivanta"_s));
    ASSERT_TRUE(opened);
    const samples::Pseudo spoken;
    int edited = 0;
    for (const Item& item : opened->service.items) {
        if (!item.hasSlides())
            continue;
        const ItemContent content = contentOf(item.words, opened->service);
        EXPECT_EQ(item.look.slides.size(), content.entries.size()) << item.title().toStdString();
        for (int e = 0; e < int(content.entries.size()); ++e) {
            const PartTime at = partTimeOf(e, content);
            EXPECT_NE(item.look.slide({at.part, at.time, 0, 0}), nullptr) << at.part.toStdString();
            ++edited;
        }
        EXPECT_EQ(item.edits.wordsAt({content.parts[size_t(content.entries[0].part)].key, 1, 0, 0}),
                  u"other words"_s);
        const size_t left = content.entries.size() - item.edits.hidden.size();
        EXPECT_LE(contentOf(item, opened->service).entries.size(), content.entries.size());
        EXPECT_GE(contentOf(item, opened->service).entries.size(), left);
    }
    EXPECT_EQ(edited, 17);
}

TEST_F(BeforeKeys, ALibraryOfVersionEightKnowsItsItemsAgain) {
    const QString copy = path(u"old"_s);
    ASSERT_TRUE(QDir().mkpath(copy));
    ASSERT_TRUE(QFile::copy(fixture(u"library.db"_s), copy + u"/library.db"_s));
    const auto service = openService(fixture(u"service.mivanta"_s));
    ASSERT_TRUE(service);
    const samples::Pseudo spoken;
    const auto opened = Library::open(copy);
    ASSERT_TRUE(opened) << opened.error().text().toStdString();
    const auto lengths = (*opened)->takes().lengths();
    const auto takes = (*opened)->takes().since(QDate(2026, 1, 1));
    ASSERT_TRUE(lengths);
    ASSERT_TRUE(takes);
    size_t at = 0;
    for (const Item& item : service->service.items)
        if (item.hasSlides()) {
            EXPECT_EQ(lengths->value(subjectOf(item)), std::vector{100 + int(at)})
                << subjectOf(item).toStdString();
            EXPECT_EQ((*takes)[at].subject, subjectOf(item));
            ++at;
        }
    EXPECT_EQ(at, takes->size());
}

} // namespace
} // namespace mivanta
