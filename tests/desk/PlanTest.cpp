// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/prepare/LookInService.h"
#include "desk/prepare/PlanInService.h"
#include "desk/run/Lane.h"
#include "session/service/ItemClipboard.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QClipboard>
#include <QLineEdit>
#include <QMimeData>

namespace mivanta {
namespace {

class Plan : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        session->document().insertHeading(0, u"Gathering"_s);
        for (const QString& title : {u"One"_s, u"Two"_s, u"Three"_s})
            ids.push_back(session->document().insert(99, songItem(samples::harbourSong(title))));
        session->document().setStart(QDateTime(QDate(2026, 10, 4), QTime(10, 30)));
        sheet = window->findChild<OrderSheet*>();
        sheet->select(ids[0]);
    }
    const ItemPlan& plan(size_t item) { return session->document().service().item(ids[item])->plan; }
    QString cell(size_t item, int role) {
        const int row = session->document().service().indexOf(ids[item]);
        return sheet->model()->index(row).data(role).toString();
    }
    void fill(const QString& field, const QString& text) {
        auto* edit = child<QLineEdit>(field);
        edit->setFocus();
        edit->selectAll();
        QTest::keyClicks(edit, text);
        press(Qt::Key_Return);
    }
    void onSheet(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        sheet->view()->setFocus();
        press(key, modifiers);
    }
    std::vector<ItemId> ids;
    OrderSheet* sheet = nullptr;
};

TEST_F(Plan, TimesRunDownTheSheetAndFollowWhatIsPlanned) {
    fill(u"plan-takes"_s, u"4"_s);
    sheet->select(ids[1]);
    fill(u"plan-takes"_s, u"2:30"_s);
    EXPECT_EQ(plan(0).seconds, 240);
    EXPECT_EQ(cell(0, OrderModel::TimeRole), u"10:30"_s);
    EXPECT_EQ(cell(1, OrderModel::TimeRole), u"10:34"_s);
    EXPECT_EQ(cell(2, OrderModel::TimeRole), u"10:36"_s);
    sheet->select(ids[2]);
    fill(u"plan-takes"_s, u"3:30"_s);
    EXPECT_EQ(sheet->model()->index(0).data(OrderModel::SideRole).toString(), u"10 min"_s);
    EXPECT_EQ(child<QLabel>(u"sheet-ends"_s)->text(), u"ends about 10:40"_s);
    onSheet(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(plan(2).seconds);
}

TEST_F(Plan, AFixedTimeShowsWhatIsFreeOrOver) {
    fill(u"plan-takes"_s, u"4"_s);
    sheet->select(ids[1]);
    fill(u"plan-at"_s, u"10:40"_s);
    EXPECT_EQ(cell(1, OrderModel::SlackRole), u"6 min free"_s);
    EXPECT_EQ(cell(1, OrderModel::TimeRole), u"10:40"_s);
    fill(u"plan-at"_s, u"1032"_s);
    EXPECT_EQ(cell(1, OrderModel::SlackRole), u"2 min over"_s);
    EXPECT_EQ(cell(1, OrderModel::TimeRole), u"10:34"_s);
    child<QLineEdit>(u"plan-at"_s)->clear();
    child<QLineEdit>(u"plan-at"_s)->setModified(true);
    press(Qt::Key_Return);
    EXPECT_FALSE(plan(1).at);
}

TEST_F(Plan, WhatCannotBeUnderstoodIsSaidAndChangesNothing) {
    fill(u"plan-takes"_s, u"a while"_s);
    auto* wrong = child<QLabel>(u"plan-wrong"_s);
    EXPECT_TRUE(wrong->isVisible());
    EXPECT_TRUE(wrong->text().contains(u"a while"_s));
    EXPECT_FALSE(plan(0).seconds);
    fill(u"plan-takes"_s, u"3"_s);
    EXPECT_FALSE(wrong->isVisible());
    EXPECT_EQ(plan(0).seconds, 180);
}

TEST_F(Plan, OfSeveralItemsWhatIsCommonIsShownAndChanged) {
    fill(u"plan-leader"_s, u"Petra"_s);
    sheet->selectAll({ids[0], ids[1], ids[2]});
    auto* leader = child<QLineEdit>(u"plan-leader"_s);
    EXPECT_TRUE(leader->text().isEmpty());
    EXPECT_EQ(leader->placeholderText(), u"different"_s);
    fill(u"plan-leader"_s, u"Iver"_s);
    for (size_t i : {0, 1, 2})
        EXPECT_EQ(plan(i).leader, u"Iver"_s);
    EXPECT_TRUE(cell(0, OrderModel::SideRole).startsWith(u"Iver"_s));
    onSheet(Qt::Key_Z, Qt::ControlModifier); // one step
    EXPECT_EQ(plan(0).leader, u"Petra"_s);
    EXPECT_TRUE(plan(2).leader.isEmpty());
}

TEST_F(Plan, WhatIsLeftOutTodayStaysInTheOrderAndIsNotRun) {
    ASSERT_TRUE(waitUntil([&] { return session->book().isComplete(); }));
    EXPECT_EQ(session->book().itemCount(), 3);
    onSheet(Qt::Key_T, Qt::ControlModifier);
    EXPECT_TRUE(plan(0).skipped);
    EXPECT_EQ(session->book().itemCount(), 2);
    EXPECT_EQ(session->book().itemId(0), ids[1]);
    EXPECT_EQ(cell(1, OrderModel::NumberRole), u"1"_s); // as Run counts
    EXPECT_TRUE(child<QCheckBox>(u"plan-skipped"_s)->isChecked());
    onSheet(Qt::Key_T, Qt::ControlModifier);
    EXPECT_FALSE(plan(0).skipped);
    QTest::mouseClick(child<QCheckBox>(u"plan-skipped"_s), Qt::LeftButton, {}, {8, 8});
    EXPECT_TRUE(plan(0).skipped);
}

TEST_F(Plan, WhoLeadsAndTheNoteAreSeenWhileRunning) {
    fill(u"plan-leader"_s, u"Petra Osk"_s);
    press(Qt::Key_4, Qt::AltModifier);
    Lane* lane = nullptr;
    const auto open = [&] {
        for (Lane* one : window->findChildren<Lane*>())
            if (one->item() == ids[0] && one->isVisible())
                lane = one;
        return lane && lane->isOpen();
    };
    ASSERT_TRUE(waitUntil(open));
    const int before = lane->heightForWidth(lane->width());
    const int top = lane->cards().front()->y();
    press(Qt::Key_2, Qt::AltModifier);
    fill(u"plan-note"_s, u"lights down before the last verse"_s);
    press(Qt::Key_4, Qt::AltModifier);
    lane = nullptr;
    ASSERT_TRUE(
        waitUntil([&] { return open() && lane->toolTip() == u"lights down before the last verse"_s; }));
    EXPECT_GT(lane->heightForWidth(lane->width()), before); // it has room of its own over the cards
    EXPECT_GT(lane->cards().front()->y(), top);
}

TEST_F(Plan, ItemsAreCutCopiedPastedAndDuplicatedWithTheirLooksAndPlans) {
    fill(u"plan-takes"_s, u"4"_s);
    session->document().changeLook(
        {LookLevel::Item, {}, {ids[0]}, {}}, session->book().themes(),
        [](LookChoice& choice) { choice.theme = u"plain-paper"_s; }, u"a theme"_s);
    onSheet(Qt::Key_D, Qt::ControlModifier);
    EXPECT_EQ(titles(), QStringList({u"Gathering"_s, u"One"_s, u"One"_s, u"Two"_s, u"Three"_s}));
    const Item& copy = session->document().service().items[2];
    EXPECT_FALSE(copy.id == ids[0]);
    EXPECT_EQ(copy.plan.seconds, 240);
    EXPECT_EQ(copy.look.choice.theme, u"plain-paper"_s);
    EXPECT_EQ(sheet->current(), copy.id);
    onSheet(Qt::Key_X, Qt::ControlModifier);
    EXPECT_EQ(titles(), QStringList({u"Gathering"_s, u"One"_s, u"Two"_s, u"Three"_s}));
    sheet->select(ids[2]);
    onSheet(Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(titles(), QStringList({u"Gathering"_s, u"One"_s, u"Two"_s, u"Three"_s, u"One"_s}));
    EXPECT_EQ(session->document().service().items.back().plan.seconds, 240);
    EXPECT_EQ(session->document().undoStack().undoText(), u"pasting One"_s);
    press(Qt::Key_Z, Qt::ControlModifier);
    press(Qt::Key_Z, Qt::ControlModifier);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(titles(), QStringList({u"Gathering"_s, u"One"_s, u"Two"_s, u"Three"_s}));
}

TEST_F(Plan, CopiedItemsGoIntoAnotherService) {
    sheet->selectAll({session->document().service().items[0].id, ids[1]});
    onSheet(Qt::Key_C, Qt::ControlModifier);
    EXPECT_EQ(QGuiApplication::clipboard()->text(), u"# Gathering\nTwo"_s); // for an e-mail
    session->document().startNew();
    onSheet(Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(titles(), QStringList({u"Gathering"_s, u"Two"_s}));
    auto* broken = new QMimeData;
    broken->setData(u"application/x-mivanta-order+json"_s,
                    R"([{"kind":"heading","title":"A"},{"kind":"song"}])");
    QGuiApplication::clipboard()->setMimeData(broken);
    onSheet(Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(titles().size(), 2); // all of it or nothing
    EXPECT_TRUE(window->notices()->isVisible());
}

TEST_F(Plan, TheStartIsChangedByItsLine) {
    answers->typed = u"2026-12-24 22:15"_s;
    QTest::mouseClick(child<QLabel>(u"sheet-place"_s), Qt::LeftButton);
    EXPECT_EQ(cell(0, OrderModel::TimeRole), u"22:15"_s);
    answers->typed = u"Christmas"_s;
    QTest::mouseClick(child<QLabel>(u"sheet-place"_s), Qt::LeftButton);
    EXPECT_EQ(cell(0, OrderModel::TimeRole), u"22:15"_s);
    EXPECT_TRUE(window->notices()->isVisible());
    session->document().setStart({});
    EXPECT_TRUE(cell(0, OrderModel::TimeRole).isEmpty());
    EXPECT_TRUE(child<QLabel>(u"sheet-ends"_s)->text().startsWith(u"about"_s));
}

} // namespace
} // namespace mivanta
