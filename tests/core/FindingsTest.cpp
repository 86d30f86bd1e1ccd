// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Findings.h"
#include "core/base/TextDifference.h"
#include "core/run/Cards.h"
#include "core/run/RunState.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// A service's items on one hall screen.
class OneScreen : public Lineup {
public:
    explicit OneScreen(const Service& service, int linesAtMost = 6) {
        Output hall;
        hall.name = u"hall"_s;
        hall.linesAtMost = linesAtMost;
        EvenMeasures measures;
        for (const Item& item : service.items) {
            m_ids.push_back(item.id);
            const ItemContent content = item.song() ? contentOf(*item.song()) : ItemContent();
            m_slides.push_back(slidesFor(content, {hall}, plainChain(service.theme, {}), measures));
        }
    }
    [[nodiscard]] int itemCount() const override { return int(m_ids.size()); }
    [[nodiscard]] ItemId itemId(int index) const override { return m_ids[size_t(index)]; }
    [[nodiscard]] const ItemSlides& slides(int index) const override { return m_slides[size_t(index)]; }

private:
    std::vector<ItemId> m_ids;
    std::vector<ItemSlides> m_slides;
};

Service serviceToCheck(std::vector<Song> songs) {
    Service service;
    service.id = ServiceId::create();
    service.theme = samples::theme();
    for (Song& song : songs)
        service.items.push_back({ItemId::create(), songItem(std::move(song))});
    return service;
}

Song lawful() {
    Song song = samples::harbourSong();
    song.authors = {{AuthorRole::Words, u"Iver Tarnwell"_s}};
    song.licenceNumber = u"550 1"_s;
    return song;
}

QStringList told(const Service& service) {
    QStringList titles;
    for (const Finding& finding : findingsOf(service, OneScreen(service)))
        titles << finding.title;
    return titles;
}

TEST(Findings, AFineServiceHasNone) {
    EXPECT_EQ(told(serviceToCheck({lawful(), lawful()})), QStringList());
    EXPECT_EQ(told(serviceToCheck({})), QStringList());
}

TEST(Findings, WhatTheLawAsksForIsANote) {
    Song song = lawful();
    song.licenceNumber.clear();
    song.authors.clear();
    const Service service = serviceToCheck({song});
    EXPECT_EQ(told(service), (QStringList{u"No author or copyright"_s, u"No licence number"_s}));
    for (const Finding& finding : findingsOf(service, OneScreen(service))) {
        EXPECT_EQ(finding.severity, Severity::Note);
        EXPECT_EQ(finding.item, service.items[0].id);
        EXPECT_FALSE(finding.detail.isEmpty());
    }
    song.copyright = u"Quay Press"_s; // names someone
    EXPECT_EQ(told(serviceToCheck({song})), QStringList{u"No licence number"_s});
}

TEST(Findings, ASongOfTheBandAloneIsADoubtAndStandsBeforeNotes) {
    Song song = samples::harbourSong();
    for (Part& part : song.parts)
        part.bandOnly = true;
    EXPECT_EQ(told(serviceToCheck({samples::harbourSong(), song})).front(), u"No words to show"_s);
}

TEST(Findings, AWordThatIsTooLongForAnyLineIsADoubtWithItsReason) {
    Song song = lawful();
    song.parts[0].lines[0].words = QString(400, u'w');
    const Service service = serviceToCheck({lawful(), song});
    const auto findings = findingsOf(service, OneScreen(service));
    ASSERT_FALSE(findings.empty());
    EXPECT_EQ(findings.front().severity, Severity::Doubt);
    EXPECT_FALSE(findings.front().detail.isEmpty());
    EXPECT_EQ(findings.front().item, service.items[1].id);
    EXPECT_TRUE(findings.front().title.startsWith(u"Hall"_s));
}

TEST(Cards, ChipsNamePartsOnceARow) {
    Song song = samples::harbourSong();
    song.singingOrder = {{song.parts[0].id, 1, {}}, {song.parts[1].id, 2, {}}, {song.parts[0].id, 1, {}}};
    QStringList labels;
    for (const PartChip& chip : partChips(contentOf(song)))
        labels << chip.label;
    EXPECT_EQ(labels, (QStringList{u"V1"_s, u"C \u00d72"_s, u"V1"_s}));
}

TEST(Cards, EveryStepIsOnOneCard) {
    const Service service = serviceToCheck({lawful()});
    const OneScreen lineup(service, 2);
    const ItemSlides& slides = lineup.slides(0);
    const auto cards = cardsFor(slides);
    for (int step = 0; step < int(slides.steps.size()); ++step) {
        const int at = cardAt(cards, step);
        ASSERT_GE(at, 0) << step;
        EXPECT_LE(cards[size_t(at)].firstStep, step);
        EXPECT_GE(cards[size_t(at)].lastStep, step);
    }
    EXPECT_EQ(cardAt(cards, int(slides.steps.size())), -1);
    EXPECT_EQ(cardAt({}, 0), -1);
}

QString anyText() {
    QString text;
    for (const char c : *rc::gen::container<std::string>(rc::gen::element('l', 'o', '\n', ' ')))
        text += QLatin1Char(c);
    return text;
}

RC_GTEST_PROP(TextDifference, MakesTheOneTextOfTheOther, ()) {
    const QString before = anyText();
    const QString after = anyText();
    const TextDifference d = differenceOf(before, after, *rc::gen::inRange(-1, 40));
    RC_ASSERT((d.at >= 0 && d.removed >= 0 && d.at + d.removed <= before.size()));
    RC_ASSERT(QString(before).replace(d.at, d.removed, d.inserted) == after);
    if (before == after)
        RC_ASSERT((d.removed == 0 && d.inserted.isEmpty()));
}

TEST(TextDifference, OfSeveralPlacesTakesTheOneThatWasTypedAt) {
    const TextDifference first = differenceOf(u"ll"_s, u"lll"_s, 0);
    EXPECT_EQ(first.at, 0);
    EXPECT_EQ(first.inserted, u"l"_s);
    EXPECT_EQ(differenceOf(u"ll"_s, u"lll"_s, 1).at, 1);
    EXPECT_EQ(differenceOf(u"ll"_s, u"lll"_s, 2).at, 2);
    EXPECT_EQ(differenceOf(u"lll"_s, u"ll"_s, 1).at, 1); // taken away there
}

} // namespace
} // namespace mivanta
