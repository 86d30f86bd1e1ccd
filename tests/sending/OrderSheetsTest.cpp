// SPDX-License-Identifier: GPL-3.0-or-later
#include "sending/OrderSheets.h"
#include "core/run/RunState.h"
#include "formats/Csv.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QBuffer>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Service sunday() {
    Service service;
    service.title = u"Sea <Harvest>"_s;
    service.place = u"Harbour Chapel"_s;
    service.start = QDateTime(QDate(2026, 10, 4), QTime(10, 30));
    service.items = {{ItemId::create(), Heading{u"Gathering"_s}},
                     {ItemId::create(), songItem(samples::harbourSong())},
                     {ItemId::create(), NoteItem{u"Dim the lights"_s}},
                     {ItemId::create(), PauseItem{u"Silence"_s}}};
    service.items[1].plan.leader = u"Petra \"Pet\" Osk"_s;
    service.items[1].plan.note = u"softly; twice"_s;
    service.items[1].plan.seconds = 240;
    service.items[3].plan.skipped = true;
    return service;
}

int pages(const QByteArray& pdf) {
    return int(pdf.count("/Type /Page\n"));
}

TEST(OrderSheets, TheTextIsWhatAPersonReadsInAMessage) {
    const QString text = orderText(sunday());
    EXPECT_TRUE(text.startsWith(u"Sea <Harvest>\nHarbour Chapel"_s));
    EXPECT_TRUE(
        text.contains(u"\n\nGATHERING\n10:30  Harbour (Song; Petra \"Pet\" Osk; 4 min; softly; twice)"_s))
        << text.toStdString();
    EXPECT_TRUE(text.contains(u"\nDim the lights\n"_s));
    EXPECT_TRUE(text.contains(u"Silence (Pause; not today)"_s));
    EXPECT_TRUE(text.contains(u"ends about 10:34"_s));
}

TEST(OrderSheets, TheTableIsReadBackAsItWasWritten) {
    const auto rows = csvRows(QString::fromUtf8(orderCsv(sunday())), u',');
    ASSERT_EQ(rows.size(), 5U);
    EXPECT_EQ(rows[2].cells, (QStringList{u"10:30"_s, u"4 min"_s, u"Harbour"_s, u"Song"_s,
                                          u"Petra \"Pet\" Osk"_s, u"softly; twice"_s, u"yes"_s}));
    EXPECT_EQ(rows[4].cells.last(), u"no"_s);
}

TEST(OrderSheets, NamesCannotBecomePartsOfThePage) {
    const QString html = orderHtml(sunday());
    EXPECT_TRUE(html.contains(u"Sea &lt;Harvest&gt;"_s));
    EXPECT_FALSE(html.contains(u"<Harvest>"_s));
    EXPECT_TRUE(html.contains(u"<s><b>Silence</b></s> not today"_s));
}

TEST(OrderSheets, WordsAreThoseThatAreSungAsOftenAsTheyAre) {
    const QString text = wordsText(sunday());
    EXPECT_EQ(text.count(u"sing it out,"_s), 2);
    EXPECT_FALSE(text.contains(u"Dim the lights"_s));
    EXPECT_TRUE(wordsHtml(sunday()).contains(u"one line here,<br>two lines here;"_s));
}

TEST(OrderSheets, AnEmptyServiceIsAPageToo) {
    EXPECT_TRUE(orderText(Service()).startsWith(u"Service"_s));
    QBuffer buffer;
    ASSERT_TRUE(buffer.open(QIODevice::WriteOnly));
    ASSERT_TRUE(writeHtmlPdf(buffer, orderHtml(Service())));
    EXPECT_TRUE(buffer.data().startsWith("%PDF"));
}

TEST(OrderSheets, SlidesStandAsManyOnAPageAsAreWanted) {
    EvenMeasures measures;
    const ItemSlides slides = slidesFor(contentOf(samples::harbourSong()), usualOutputs(),
                                        plainChain(samples::theme(), {}), measures);
    std::vector<SlideOnPaper> all;
    for (int i = 0; i < 4; ++i)
        all.push_back({sceneOf(slides, slides.outputs[0], i), u"Harbour"_s});
    for (const auto& [perPage, expected] : {std::pair(1, 4), std::pair(3, 2), std::pair(12, 1)}) {
        QBuffer buffer;
        ASSERT_TRUE(buffer.open(QIODevice::WriteOnly));
        ASSERT_TRUE(writeSlidesPdf(buffer, all, perPage, {}));
        EXPECT_EQ(pages(buffer.data()), expected) << perPage;
    }
}

} // namespace
} // namespace mivanta
