// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/OrderList.h"
#include "support/Text.h"
#include <QStringList>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// "label|words|leader|seconds"; headings begin with "#".
QStringList linesRead(const QString& text) {
    QStringList lines;
    for (const OrderLine& line : orderLinesOf(text))
        lines << (line.kind == OrderLine::Kind::Heading
                      ? u"#"_s + line.words
                      : QStringList{line.label, line.words, line.leader,
                                    line.seconds ? QString::number(*line.seconds) : QString()}
                            .join(u'|'));
    return lines;
}

TEST(OrderList, AnEmailIsReadLineByLine) {
    const QString mail = u"> Gathering:\n"
                         "> 1. Opening song: Lantern on the Water (Maren)\n"
                         "> 2) Every Tide\n"
                         "\n"
                         "THE WORD\n"
                         "- 10:40 Luke 5:1-11 (Ole, 3 min)\n"
                         "* 10.45 - Sermon (20 min) (Pia)\n"
                         "\u2022 Song after it: ???\n"
                         "# Sending\n"
                         "Closing song: TBC\n"
                         "-- \n"
                         "Maren\n"_s;
    EXPECT_EQ(linesRead(mail),
              (QStringList{u"#Gathering"_s, u"Opening song|Lantern on the Water|Maren|"_s, u"|Every Tide||"_s,
                           u"#THE WORD"_s, u"|Luke 5:1-11 (Ole, 3 min)||"_s, u"|Sermon|Pia|1200"_s,
                           u"Song after it|||"_s, u"#Sending"_s, u"Closing song|||"_s}));
    EXPECT_EQ(orderLinesOf(mail)[4].at, QTime(10, 40));
}

TEST(OrderList, EmptyBracketsAreWords) {
    EXPECT_EQ(linesRead(u"( )"_s), QStringList{u"|( )||"_s});
    EXPECT_EQ(linesRead(u"Every Tide ( )"_s), QStringList{u"|Every Tide ( )||"_s});
}

TEST(OrderList, ATableIsReadByItsColumnNamesInAnyOrder) {
    const QStringList expected{u"#Gathering"_s, u"Song|Every Tide, again|Maren|240"_s};
    EXPECT_EQ(linesRead(u"time,length,title,kind,leader,note\n,,Gathering,Heading,,\n"
                        "10:30,about 4 min,\"Every Tide, again\",Song,Maren,softly\n"_s),
              expected);
    EXPECT_EQ(linesRead(u"Who;What;Type;Minutes\n;Gathering;heading;\nMaren;Every Tide, again;Song;4\n"_s),
              expected);
    EXPECT_EQ(linesRead(u"Title\tLeader\nEvery Tide\tMaren\n\t\n"_s), QStringList{u"|Every Tide|Maren|"_s});
}

TEST(OrderList, CommasInAnEmailMakeNoTable) {
    EXPECT_EQ(linesRead(u"Words of welcome, by the door\nSalt and Bread, twice\n"_s).size(), 2);
    EXPECT_TRUE(linesRead(u""_s).isEmpty());
    EXPECT_TRUE(linesRead(u"\n\n--\nsignature"_s).isEmpty());
}

RC_GTEST_PROP(OrderList, AnythingIsReadAndWhatIsReadWasWritten, ()) {
    const auto characters = *rc::gen::container<std::string>(rc::gen::element<char>(
        'a', 'B', ' ', '\n', ':', '(', ')', ',', ';', '"', '\t', '1', '.', '-', '#', '>'));
    const QString text = QString::fromStdString(characters);
    for (const OrderLine& line : orderLinesOf(text)) {
        RC_ASSERT((!line.words.isEmpty() || !line.label.isEmpty()));
        RC_ASSERT(text.contains(line.leader));
    }
}

} // namespace
} // namespace mivanta
