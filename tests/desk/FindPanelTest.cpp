// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/find/FindPanel.h"
#include "desk/library/ImportModel.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QLabel>
#include <QMimeData>
#include <QPainter>
#include <QTemporaryDir>
#include <QTest>
#include <gmock/gmock.h>

namespace mivanta {
namespace {

/// The search box with its results, without a desk around it.
class Panel : public ::testing::Test {
protected:
    void SetUp() override {
        client = std::make_unique<LibraryClient>(folder.filePath(u"library"_s));
        client->open();
        ASSERT_TRUE(waitUntil([&] { return client->isOpen(); }));
        for (const QString& title : {u"Anchor"_s, u"Beacon"_s, u"Cutter"_s, u"Dory"_s})
            client->save(client.get(), samples::harbourSong(title), [](const auto&) {});
        panel = std::make_unique<FindPanel>(*client, u"Find"_s, FindAll);
        panel->resize(320, 400);
        panel->show();
        panel->activateWindow();
        ASSERT_TRUE(waitUntil([&] { return titles().size() == 4 && panel->isActiveWindow(); }));
        panel->focusBox();
        QObject::connect(panel.get(), &FindPanel::chosen,
                         [this](const std::vector<FindPick>& picks) { chosen = picks; });
        QObject::connect(panel.get(), &FindPanel::opened,
                         [this](const FindPick& pick) { opened.push_back(pick); });
    }
    [[nodiscard]] QStringList titles() const {
        QStringList result;
        for (int row = 0; row < panel->list()->model()->rowCount(); ++row)
            result << panel->list()->model()->index(row, 0).data().toString();
        return result;
    }
    [[nodiscard]] QString current() const {
        const auto hit = panel->current();
        return hit ? titleOf(*hit) : QString();
    }
    void press(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        QTest::keyClick(panel->box(), key, modifiers);
    }
    QTemporaryDir folder;
    std::unique_ptr<LibraryClient> client;
    std::unique_ptr<FindPanel> panel;
    std::vector<FindPick> chosen;
    std::vector<FindPick> opened;
};

TEST_F(Panel, ArrowsMoveThroughTheResultsWithoutLeavingTheBox) {
    EXPECT_EQ(current(), u"Anchor"_s);
    press(Qt::Key_Down);
    press(Qt::Key_Down);
    EXPECT_EQ(current(), u"Cutter"_s);
    press(Qt::Key_Up);
    EXPECT_EQ(current(), u"Beacon"_s);
    press(Qt::Key_PageDown);
    EXPECT_EQ(current(), u"Dory"_s);
    EXPECT_TRUE(panel->box()->hasFocus());
}

TEST_F(Panel, EnterChoosesAndShiftEnterOpens) {
    press(Qt::Key_Down);
    const FindPick beacon = *pickOf(*panel->current());
    press(Qt::Key_Return);
    press(Qt::Key_Return, Qt::ShiftModifier);
    EXPECT_THAT(chosen, ::testing::ElementsAre(beacon));
    EXPECT_THAT(opened, ::testing::ElementsAre(beacon));
}

TEST_F(Panel, SeveralAreChosenInTheOrderOfTheList) {
    panel->list()->setFocus();
    QTest::keyClick(panel->list(), Qt::Key_Down);
    QTest::keyClick(panel->list(), Qt::Key_Down, Qt::ShiftModifier);
    QTest::keyClick(panel->list(), Qt::Key_Return);
    ASSERT_EQ(chosen.size(), 2u);
    EXPECT_EQ(panel->selectedSongs()[0].title, u"Beacon"_s);
    EXPECT_EQ(chosen[1], panel->selected()[1]);
    panel->selectOnlyCurrent();
    EXPECT_EQ(panel->selected().size(), 1u);
}

TEST_F(Panel, EscapeEmptiesTheBoxAndTheListIsWholeAgain) {
    QTest::keyClicks(panel->box(), u"cutt"_s);
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Cutter"_s}; }));
    press(Qt::Key_Escape);
    EXPECT_TRUE(waitUntil([&] { return titles().size() == 4; }));
}

TEST_F(Panel, NothingFoundSaysWhatToTry) {
    QTest::keyClicks(panel->box(), u"zzzzzz"_s);
    auto* empty = panel->findChild<QLabel*>(u"find-empty"_s);
    ASSERT_TRUE(waitUntil([&] { return empty->isVisible(); }));
    EXPECT_TRUE(empty->text().contains(u"zzzzzz"_s));
    press(Qt::Key_Return); // nothing to choose
    EXPECT_TRUE(chosen.empty());
}

TEST_F(Panel, ASongThatComesLaterIsChosenWhenItIsThere) {
    const Song later = samples::harbourSong(u"Later"_s);
    panel->select(later.id);
    EXPECT_EQ(current(), u"Anchor"_s);
    client->save(client.get(), later, [](const auto&) {});
    EXPECT_TRUE(waitUntil([&] { return current() == u"Later"_s; }));
}

TEST_F(Panel, WhatIsChosenStaysChosenWhenTheLibraryChanges) {
    press(Qt::Key_Down);
    press(Qt::Key_Down);
    client->save(client.get(), samples::harbourSong(u"Aaa"_s), [](const auto&) {});
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 5; }));
    EXPECT_EQ(current(), u"Cutter"_s);
}

TEST_F(Panel, AHiddenPanelAsksOnceItIsSeen) {
    panel->hide();
    client->save(client.get(), samples::harbourSong(u"Eddy"_s), [](const auto&) {});
    bool isStored = false;
    client->ask<bool>(
        client.get(), [](Library&) -> Result<bool> { return true; },
        [&](const Result<bool>&) { isStored = true; });
    ASSERT_TRUE(waitUntil([&] { return isStored; }));
    EXPECT_EQ(titles().size(), 4);
    panel->show();
    EXPECT_TRUE(waitUntil([&] { return titles().size() == 5; }));
}

TEST_F(Panel, ADragCarriesIdsAndTitles) {
    auto* model = panel->list()->model();
    const std::unique_ptr<QMimeData> data(model->mimeData({model->index(1, 0), model->index(3, 0)}));
    EXPECT_EQ(data->text(), u"Beacon\nDory"_s);
    const auto picks = FindListModel::picksIn(data.get());
    ASSERT_EQ(picks.size(), 2u);
    EXPECT_EQ(model->index(3, 0).data(FindListModel::IdRole).toString(), std::get<SongId>(picks[1]).text());
    EXPECT_TRUE(FindListModel::picksIn(std::make_unique<QMimeData>().get()).empty());
}

/// Pixels of the marks' colour in a painted row.
int markedPixels(const std::vector<SongHit>& hits) {
    FindListModel model;
    model.setHits({hits.begin(), hits.end()});
    QListView view;
    FindDelegate delegate;
    QImage image(300, 60, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter painter(&image);
    QStyleOptionViewItem option;
    option.rect = image.rect();
    delegate.paint(&painter, option, model.index(0));
    int count = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x)
            count += image.pixelColor(x, y) == QColor(0xFFE0A6) ? 1 : 0;
    return count;
}

TEST(SongRow, MarksWhatMatchedWhateverItsAccents) {
    const SongSummary song{SongId::create(), u"\u00c9toile du port"_s, u"first"_s, {}};
    EXPECT_EQ(markedPixels({{song, {}, {}}}), 0);
    EXPECT_GT(markedPixels({{song, {}, {u"etoile"_s}}}), 100);
    EXPECT_EQ(markedPixels({{song, {}, {u"toile"_s}}}), 0); // no word begins so
    EXPECT_GT(markedPixels({{song, u"under the etoile"_s, {u"under"_s}}}), 100);
}

ImportCandidate candidate(const QString& title, ImportFinding finding) {
    ImportCandidate result;
    result.file = u"/somewhere/%1.txt"_s.arg(title);
    result.song = samples::harbourSong(title);
    result.finding = finding;
    result.decision = usualDecision(finding);
    if (isDoubtful(finding))
        result.other = samples::harbourSong(u"Known"_s);
    return result;
}

TEST(ImportModelTest, WhatIsToDecideStandsFirstAndComesBackInTheOrderRead) {
    using enum ImportFinding;
    ImportModel model;
    model.setCandidates({candidate(u"a"_s, Same), candidate(u"b"_s, New), candidate(u"c"_s, SameWords),
                         candidate(u"d"_s, Unreadable), candidate(u"e"_s, SameTitle)});
    QString order;
    for (int row = 0; row < model.rowCount(); ++row)
        order += model.candidate(row)->song.title;
    EXPECT_EQ(order, u"cebda"_s);
    EXPECT_EQ(model.toDecide(), 2);
    EXPECT_EQ(model.comingIn(), 1);
    EXPECT_EQ(model.nextToDecide(0), 1);
    EXPECT_EQ(model.nextToDecide(1), 0); // from the start again
    model.decide(0, ImportDecision::Replace);
    model.decide(1, ImportDecision::LeaveOut);
    EXPECT_EQ(model.nextToDecide(0), -1);
    EXPECT_EQ(model.comingIn(), 2);
    const auto taken = model.takeCandidates();
    EXPECT_EQ(model.rowCount(), 0);
    ASSERT_EQ(taken.size(), 5u);
    EXPECT_EQ(taken[0].song.title, u"a"_s);
    EXPECT_EQ(taken[2].decision, ImportDecision::Replace);
}

TEST(ImportModelTest, OnlyWhatIsOfferedIsDecided) {
    ImportModel model;
    model.setCandidates({candidate(u"new"_s, ImportFinding::New), candidate(u"same"_s, ImportFinding::Same)});
    model.decide(0, ImportDecision::Replace); // there is nothing to replace
    EXPECT_EQ(model.candidate(0)->decision, ImportDecision::Add);
    model.decide(1, ImportDecision::Add); // it is there already
    EXPECT_EQ(model.candidate(1)->decision, ImportDecision::LeaveOut);
    model.decide(7, ImportDecision::Add);
    model.decideAllLike(-1, ImportDecision::Add);
    EXPECT_EQ(model.comingIn(), 1);
}

} // namespace
} // namespace mivanta
