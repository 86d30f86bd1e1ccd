// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/OrderEdit.h"
#include "core/song/SingingOrder.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QTest>
#include <QToolButton>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// Singing orders as chips and as text, without a desk around them.
class Order : public ::testing::Test {
protected:
    void SetUp() override {
        song = samples::harbourSong(); // V1 C V2 C
        edit.show();
        edit.activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(&edit));
        edit.setSong(song);
        QObject::connect(&edit, &OrderEdit::orderWanted,
                         [this](const std::vector<SungPart>& entries, const QString&, OrderEdit::Step step) {
                             steps += step == OrderEdit::Step::New ? 1 : 0;
                             wanted << singingOrderText(entries, song.parts);
                             song.singingOrder = entries;
                             edit.setSong(song); // as the desks do
                         });
    }
    QLineEdit* text() { return edit.findChild<QLineEdit*>(u"order-text"_s); }
    QListWidget* chips() { return edit.findChild<QListWidget*>(); }
    QString shown() {
        QStringList labels;
        for (int i = 0; i < chips()->count(); ++i)
            labels << chips()->item(i)->text();
        return labels.join(u' ');
    }
    void type(const QString& order) {
        text()->setFocus();
        text()->selectAll();
        QTest::keyClicks(text(), order);
    }
    Song song;
    OrderEdit edit;
    QString meaning() { return edit.findChild<QLabel*>(u"order-meaning"_s)->text(); }
    QStringList wanted;
    int steps = 0;
};

TEST_F(Order, ChipsAndTextSayTheSame) {
    EXPECT_EQ(text()->text(), u"V1 C V2 C"_s);
    EXPECT_EQ(chips()->count(), 4);
    type(u"v2 c x3"_s);
    EXPECT_EQ(wanted.last(), u"V2 C x3"_s);
    EXPECT_EQ(chips()->count(), 2);
}

TEST_F(Order, ChipsGoByKeys) {
    chips()->setFocus();
    chips()->setCurrentRow(0);
    QTest::keyClick(chips(), Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(wanted.last(), u"C V1 V2 C"_s);
    chips()->setCurrentRow(3);
    QTest::keyClick(chips(), Qt::Key_Delete);
    EXPECT_EQ(wanted.last(), u"C V1 V2"_s);
    chips()->setCurrentRow(0);
    QTest::keyClick(chips(), Qt::Key_Left, Qt::ControlModifier); // it is the first already
    EXPECT_EQ(singingOrderText(song), u"C V1 V2"_s);
}

TEST_F(Order, WhatIsNotUnderstoodWholeChangesNothing) {
    type(u"v c v9 q c"_s);
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C"_s);
    EXPECT_EQ(shown(), u"V1 C V2 C"_s);
    EXPECT_EQ(text()->text(), u"v c v9 q c"_s); // what was typed is not taken from under the hands
    EXPECT_TRUE(meaning().contains(u"v9"_s)) << meaning().toStdString();
    EXPECT_TRUE(meaning().contains(u"the order stays V1 C V2 C"_s)) << meaning().toStdString();
    EXPECT_EQ(steps, 1); // all of it can be undone at once
}

TEST_F(Order, WordsThatArePastedThereAreNotExplainedOneByOne) {
    text()->selectAll();
    text()->insert(u"Soup on the quay after the service on Thursday"_s);
    Q_EMIT text()->textEdited(text()->text());
    EXPECT_TRUE(meaning().contains(u"and 6 more"_s)) << meaning().toStdString();
    EXPECT_TRUE(meaning().contains(u"the order stays V1 C V2 C"_s)) << meaning().toStdString();
    EXPECT_FALSE(meaning().contains(u"Thursday"_s));
}

TEST_F(Order, AMistakeCountsOnceItIsMended) {
    type(u"V1 Q C"_s);
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C"_s);
    text()->setSelection(3, 2);
    QTest::keyClick(text(), Qt::Key_Delete);
    EXPECT_EQ(singingOrderText(song), u"V1 C"_s);
    EXPECT_FALSE(meaning().contains(u"does not count"_s));
    EXPECT_EQ(steps, 1);
}

TEST_F(Order, HalfAnOrderStaysInTheBoxWhenItIsLeftAndSaysThatItDoesNotCount) {
    type(u"V2 Q"_s);
    chips()->setFocus();
    EXPECT_EQ(text()->text(), u"V2 Q"_s);
    EXPECT_TRUE(meaning().contains(u"the order stays V1 C V2 C"_s));
    edit.setSong(song); // something else of the song was changed
    EXPECT_EQ(text()->text(), u"V2 Q"_s);
    chips()->setCurrentRow(3);
    QTest::keyClick(chips(), Qt::Key_Delete);
    EXPECT_EQ(text()->text(), u"V1 C V2"_s); // there is another order now
}

TEST_F(Order, EscPutsTheOrderThatCountsBack) {
    type(u"V2 Q"_s);
    QTest::keyClick(text(), Qt::Key_Escape);
    EXPECT_EQ(text()->text(), u"V1 C V2 C"_s);
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C"_s);
    type(u"V2 Q"_s);
    Q_EMIT edit.findChild<QLabel*>(u"order-meaning"_s)->linkActivated(u"back"_s);
    EXPECT_EQ(text()->text(), u"V1 C V2 C"_s);
}

TEST_F(Order, AnotherTypingIsAnotherStep) {
    type(u"V2 C"_s);
    QTest::keyClick(text(), Qt::Key_Return);
    type(u"V1"_s);
    EXPECT_EQ(steps, 2);
}

TEST_F(Order, AnAbsurdNumberOfTimesIsNotTaken) {
    type(u"C x9999"_s);
    for (const SungPart& sung : song.singingOrder)
        EXPECT_LE(sung.times, kMostTimes);
}

TEST_F(Order, EmptyTextMeansAsWritten) {
    type(u" "_s);
    EXPECT_TRUE(song.singingOrder.empty());
    EXPECT_EQ(song.sungParts().size(), 3u);
}

TEST_F(Order, OtherOrdersAreAskedForByTheirIndex) {
    song.orderName = u"Full"_s;
    song.otherOrders = {{u"Short"_s, {{song.parts[0].id, 1, {}}}}, {u"Evening"_s, {}}};
    edit.setSong(song);
    int index = -1;
    QObject::connect(&edit, &OrderEdit::otherOrderWanted, [&](int at) { index = at; });
    auto* orders = edit.findChild<QComboBox*>();
    ASSERT_TRUE(orders);
    const int evening = orders->findText(u"Evening"_s);
    ASSERT_GE(evening, 0);
    orders->setCurrentIndex(evening);
    Q_EMIT orders->activated(evening);
    EXPECT_EQ(index, 1);
}

TEST_F(Order, WithoutASongThereIsNothingToDo) {
    edit.setSong(std::nullopt);
    EXPECT_FALSE(edit.isVisible());
    EXPECT_TRUE(wanted.isEmpty());
    edit.setSong(song);
    EXPECT_TRUE(edit.isVisible());
}

} // namespace
} // namespace mivanta
