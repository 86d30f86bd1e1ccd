// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ItemJson.h"
#include "formats/ServiceFile.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QFile>
#include <QJsonArray>
#include <QJsonDocument>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

QJsonObject schema() {
    QFile file(QStringLiteral(MIVANTA_SOURCE_DIR "/docs/service.schema.json"));
    EXPECT_TRUE(file.open(QIODevice::ReadOnly));
    return QJsonDocument::fromJson(file.readAll()).object();
}

bool isOfType(const QJsonValue& value, const QString& type) {
    return type.isEmpty() || (type == u"object" && value.isObject()) ||
           (type == u"array" && value.isArray()) || (type == u"string" && value.isString()) ||
           (type == u"boolean" && value.isBool()) ||
           ((type == u"integer" || type == u"number") && value.isDouble());
}

/// Where the value has something that its schema does not describe: names, types and what must be there.
void check(const QJsonValue& value, QJsonObject rule, const QString& at, QStringList& wrong) {
    if (const QString to = rule[u"$ref"_s].toString(); !to.isEmpty()) {
        const QJsonArray alsoRequired = rule[u"required"_s].toArray();
        rule = schema()[u"$defs"_s][to.section(u'/', -1)].toObject();
        for (const QJsonValue& name : alsoRequired)
            if (!value.toObject().contains(name.toString()))
                wrong << at + u": no "_s + name.toString();
    }
    if (!isOfType(value, rule[u"type"_s].toString()))
        wrong << at + u": not "_s + rule[u"type"_s].toString();
    for (const QJsonValue& name : rule[u"required"_s].toArray())
        if (!value.toObject().contains(name.toString()))
            wrong << at + u": no "_s + name.toString();
    const QJsonObject properties = rule[u"properties"_s].toObject();
    const QJsonObject object = value.toObject();
    for (auto it = object.begin(); !properties.isEmpty() && it != object.end(); ++it)
        if (properties.contains(it.key()))
            check(it.value(), properties[it.key()].toObject(), at + u'/' + it.key(), wrong);
        else if (!(at.endsWith(u"/words"_s) && it.key() == u"words"_s)) // of a place with words
            wrong << at + u'/' + it.key();
    for (const QJsonValue& each : value.toArray())
        check(each, rule[u"items"_s].toObject(), at, wrong);
}

TEST(Schema, DescribesEverythingThatIsWritten) {
    Service service;
    service.id = ServiceId::create();
    service.title = u"Sunday"_s;
    service.place = u"Harbour"_s;
    service.start = QDateTime(QDate(2026, 10, 4), QTime(10, 30));
    service.theme = samples::theme();
    service.themes = {samples::theme()};
    service.look.theme = u"a"_s;
    service.kinds[ItemKind::Pause].theme = u"b"_s;
    service.media = {{QString(64, u'a') + u".png"_s, u"dawn.png"_s, 7}};
    Item song{ItemId::create(), songItem(samples::harbourSong())};
    song.plan = {60, QTime(10, 40), u"Petra Osk"_s, u"softly"_s, 5, true, true};
    song.edits.hide({u"Chorus"_s, 2, 0, 1});
    song.edits.setWords({u"Verse 1"_s, 1, 0, 0}, u"x"_s);
    song.edits.order = {{u"Chorus"_s, 1}};
    song.edits.stageNote = u"n"_s;
    song.edits.stageWords = u"w"_s;
    song.look.choice.theme = u"c"_s;
    service.items = {{ItemId::create(), Heading{u"Word"_s}},
                     song,
                     {ItemId::create(), PictureItem{u"P"_s, {{QString(64, u'a') + u".png"_s, u"A"_s}}}},
                     {ItemId::create(), FilmItem{u"F"_s,
                                                 QString(64, u'c') + u".mp4"_s,
                                                 u"f"_s,
                                                 9,
                                                 1,
                                                 8,
                                                 FilmEnd::Black,
                                                 false,
                                                 40,
                                                 PictureFit::Fill,
                                                 {0, 1}}},
                     {ItemId::create(), NoteItem{u"n"_s}},
                     {ItemId::create(), PauseItem{u"p"_s}},
                     {ItemId::create(), CountdownItem{u"c"_s, QTime(10, 30)}},
                     {ItemId::create(), CountdownItem{u"c"_s, std::nullopt, 90}}};
    LoopItem loop{u"L"_s, 5, true, LoopUntil::Time, QTime(10, 25)};
    loop.thenItem = ItemId::create();
    loop.beginsByItself = loop.isArmedAtStart = true;
    loop.folder = u"/f"_s;
    const Season season{QDate(2026, 10, 1), QDate(2026, 10, 4), 64};
    Item member{ItemId::create(),
                PictureItem{{}, {{QString(64, u'a') + u".png"_s, u"A"_s, 9, season, true}}}};
    member.inLoop = {4, 3, season};
    service.items.push_back({ItemId::create(), loop});
    service.items.push_back(member);
    QStringList wrong;
    const QJsonObject json = QJsonDocument::fromJson(serviceJsonBytes(service)).object();
    check(json, schema(), {}, wrong);
    EXPECT_TRUE(wrong.isEmpty()) << wrong.join(u'\n').toStdString();
    EXPECT_EQ(schema()[u"properties"_s][u"mivanta"_s][u"maximum"_s].toInt(), kServiceFormat);
}

TEST(Schema, TheCheckItselfFindsWhatIsNotDescribed) {
    QStringList wrong;
    const QJsonObject strange{
        {u"mivanta"_s, 5},
        {u"theme"_s, 3},
        {u"items"_s, QJsonArray{QJsonObject{{u"plan"_s, QJsonObject{{u"mood"_s, 1}}}}}}};
    check(strange, schema(), {}, wrong);
    EXPECT_EQ(wrong, (QStringList{u"/items: no kind"_s, u"/items/plan/mood"_s, u"/theme: not object"_s}));
}

} // namespace
} // namespace mivanta
