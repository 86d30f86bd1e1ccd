// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/PassageJson.h"
#include "core/text/TextMarks.h"
#include "formats/ServiceFile.h"
#include "formats/TextFile.h"
#include "formats/TextJson.h"
#include "support/Outlines.h"
#include "support/Passages.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QBuffer>
#include <QJsonDocument>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

template <typename Enum>
Enum anyOf(int count) {
    return Enum(*rc::gen::inRange(0, count));
}

Passage anyPassage() {
    Passage passage = *rc::gen::arbitrary<bool>()
                          ? samples::passage({u"One."_s, u"Two, three."_s})
                          : samples::parallel({u"One."_s, u"Two."_s}, {u"Eins."_s, u"Zwei."_s});
    passage.reference.ranges[0].from.letter = *rc::gen::element<char>(0, 'a', 'b', 'c');
    passage.layout = {anyOf<PassageFlow>(3),    anyOf<VerseNumbers>(3),      anyOf<ReferenceOn>(3),
                      anyOf<ReferencePlace>(2), *rc::gen::arbitrary<bool>(), *rc::gen::arbitrary<bool>()};
    passage.words[0].translation.copyrightOn = anyOf<CopyrightOn>(3);
    passage.words[0].translation.numbering = anyOf<Numbering>(3);
    passage.words[0].rangeStarts = {0, 1};
    Verse& verse = passage.words[0].verses[0];
    verse.lastNumber += *rc::gen::inRange(0, 3);
    verse.pieces.push_back(
        {anyOf<VerseStart>(3), u"and more"_s, {{0, 3, *rc::gen::arbitrary<bool>(), true}}});
    return passage;
}

RC_GTEST_PROP(PassageJson, WrittenAndReadAgainIsTheSame, ()) {
    const Passage passage = anyPassage();
    const auto read = passageFromJson(passageToJson(passage), u"here"_s);
    RC_ASSERT(read.has_value());
    RC_ASSERT(*read == passage);
}

TEST(PassageJson, WhatIsMissingIsRefused) {
    QJsonObject json = passageToJson(samples::passage({u"One."_s}));
    EXPECT_TRUE(passageFromJson(json, u"here"_s));
    QJsonObject without = json;
    without.remove(u"ranges"_s);
    EXPECT_EQ(passageFromJson(without, u"here"_s).error().where, u"here"_s);
    without = json;
    without.remove(u"words"_s);
    EXPECT_FALSE(passageFromJson(without, u"here"_s));
    EXPECT_FALSE(passageFromJson({}, u"here"_s));
}

TEST(PassageJson, AnOutlineComesBack) {
    const Outline outline = germanOutline();
    const Outline read = outlineFromJson(outlineToJson(outline));
    ASSERT_EQ(read.books.size(), outline.books.size());
    for (size_t b = 0; b < read.books.size(); ++b) {
        EXPECT_EQ(read.books[b].name, outline.books[b].name);
        EXPECT_EQ(read.books[b].otherNames, outline.books[b].otherNames);
        EXPECT_EQ(read.books[b].chapters.size(), outline.books[b].chapters.size());
    }
    const Outline english = outlineFromJson(outlineToJson(englishOutline()));
    EXPECT_EQ(english.book(*BookCode::fromText(u"MAT"))->chapter(17)->missing, std::vector{21});
}

SpokenText anyText() {
    SpokenText text;
    text.id = TextId::create();
    text.title = u"Welcome"_s;
    text.kind = anyOf<TextKind>(6);
    text.author = *rc::gen::element<QString>(QString(), u"M. Tarn"_s);
    text.copyright = *rc::gen::element<QString>(QString(), u"free"_s);
    text.topics = {u"sea"_s};
    text.seasons = {u"Advent"_s, u"Lent"_s};
    text.language = *rc::gen::element<QString>(QString(), u"de"_s);
    text.namesRoles = *rc::gen::arbitrary<bool>();
    text.lines = linesFrom(u"Leader: Come *in*,\nAll: we come.\n---\n:\nA notice"_s);
    return text;
}

RC_GTEST_PROP(TextJson, WrittenAndReadAgainIsTheSame, ()) {
    const SpokenText text = anyText();
    const auto read = textFromJson(textToJson(text), u"here"_s);
    RC_ASSERT(read.has_value());
    RC_ASSERT(read->id == text.id);
    RC_ASSERT(sameContent(*read, text));
}

RC_GTEST_PROP(TextFile, WrittenAndReadAgainIsTheSame, ()) {
    const SpokenText text = anyText();
    QByteArray bytes = textFileOf(text).toUtf8();
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::ReadOnly);
    const auto read = readTextFile(buffer, u"file"_s);
    RC_ASSERT(read.has_value());
    RC_ASSERT(sameContent(read->text, text));
}

TEST(TextFile, NamesItselfAndRefusesWhatHasNoWords) {
    QByteArray bytes("Only words\n");
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::ReadOnly);
    EXPECT_EQ(readTextFile(buffer, u"/a/evening prayer.txt"_s)->text.title, u"evening prayer"_s);
    QByteArray empty("Title: A\n\n");
    QBuffer none(&empty);
    none.open(QIODevice::ReadOnly);
    EXPECT_TRUE(readTextFile(none, u"x.txt"_s).error().what.contains(u"no words"_s));
    EXPECT_FALSE(textFromJson({}, u"here"_s));
}

Service serviceWithAll() {
    Service service;
    service.id = ServiceId::create();
    service.title = u"Sunday"_s;
    service.theme = samples::theme();
    service.items.push_back({ItemId::create(), Heading{u"The Word"_s}});
    service.items.push_back({ItemId::create(), passageItem(samples::passage({u"One."_s}))});
    SpokenText text;
    text.id = TextId::create();
    text.title = u"Notices"_s;
    text.lines = linesFrom(u"Led by {ask who}."_s);
    service.items.push_back({ItemId::create(), textItem(text, {{u"who"_s, u"Maren"_s}})});
    return service;
}

TEST(ServiceFile, CarriesPassagesAndTextsWhole) {
    const Service service = serviceWithAll();
    const auto zip = serviceToZip(service);
    ASSERT_TRUE(zip);
    QByteArray bytes = *zip;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::ReadOnly);
    const auto read = readServiceFile(buffer, u"file"_s);
    ASSERT_TRUE(read) << read.error().text().toStdString();
    ASSERT_EQ(read->items.size(), 3u);
    EXPECT_EQ(*read->items[1].passage(), *service.items[1].passage());
    ASSERT_TRUE(read->items[2].text());
    EXPECT_EQ(read->items[2].text()->answers.value(u"who"_s), u"Maren"_s);
    EXPECT_EQ(contentOf(read->items[2].words, *read).parts[0].lines[0].words, u"Led by Maren."_s);
}

TEST(ServiceFile, OlderFilesOpenAndDamagedItemsAreRefused) {
    QJsonObject json = serviceToJson(serviceWithAll());
    json[u"mivanta"_s] = 1;
    EXPECT_TRUE(serviceFromJson(json, u"file"_s));
    QJsonArray items = json[u"items"_s].toArray();
    items.append(QJsonObject{{u"kind"_s, u"passage"_s}});
    json[u"items"_s] = items;
    EXPECT_FALSE(serviceFromJson(json, u"file"_s));
}

} // namespace
} // namespace mivanta
