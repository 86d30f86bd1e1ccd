// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/check/CheckDesk.h"
#include "desk/kit/PictureView.h"
#include "desk/setup/HallView.h"
#include "desk/setup/SetupDesk.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {
namespace {

class OtherDesks : public WindowTest {
protected:
    [[nodiscard]] const Output& output(const QString& name) const {
        for (const Output& each : session->outputs().all())
            if (each.name == name)
                return each;
        std::abort();
    }
};

TEST_F(OtherDesks, SetupSaysInPlainWordsWhatEachOutputDoes) {
    press(Qt::Key_5, Qt::AltModifier);
    EXPECT_EQ(window->currentDesk(), MainWindow::SetupAt);
    auto* monitors = child<QLabel>(u"setup-monitors"_s);
    EXPECT_TRUE(waitUntil([&] { return monitors->text().contains(u"2 screens"_s); })); // the player says it
    QString all;
    EXPECT_TRUE(waitUntil([&] {
        all = textsOf(u"setup-desk"_s).join(u'\n');
        return all.contains(u"1920 \u00d7 1080, up to 6 lines"_s);
    }));
    EXPECT_TRUE(all.contains(u"Space stops at every slide of this output."_s));
    EXPECT_TRUE(all.contains(u"makes no step of its own"_s));
    EXPECT_TRUE(all.contains(u"Shows chords and band-only parts."_s));
    EXPECT_TRUE(all.contains(u"Always in the theme"_s));
}

TEST_F(OtherDesks, AnOutputGoesWhereItIsSentByKeysAndStaysThere) {
    press(Qt::Key_5, Qt::AltModifier);
    auto* place = child<QComboBox>(u"place-hall"_s);
    ASSERT_TRUE(waitUntil([&] { return place->count() == 5; })); // by itself, two screens, a window, none
    place->setFocus();
    press(Qt::Key_End);
    EXPECT_EQ(output(u"hall"_s).place.kind, PlaceKind::Closed);
    EXPECT_TRUE(waitUntil([&] { return textsOf(u"setup-desk"_s).join(u' ').contains(u"On no screen"_s); }));
    press(Qt::Key_Up);
    EXPECT_EQ(output(u"hall"_s).place.kind, PlaceKind::Window);
    press(Qt::Key_Up);
    EXPECT_EQ(output(u"hall"_s).place.kind, PlaceKind::Monitor);
    const QString monitor = output(u"hall"_s).place.monitor;
    EXPECT_FALSE(monitor.isEmpty());
    EXPECT_TRUE(waitUntil([&] {
        const auto stored = computer().outputs(libraryFolder);
        return stored && stored->front().place.monitor == monitor;
    }));
    window.reset();
    session->player().quit();
    session.reset();
    open();
    EXPECT_EQ(output(u"hall"_s).place.monitor, monitor);
}

TEST_F(OtherDesks, TheHallIsMeasuredAndSaysWhoCanReadIt) {
    press(Qt::Key_5, Qt::AltModifier);
    auto* hall = child<HallView>(u"hall-view"_s);
    auto* backRow = child<QDoubleSpinBox>(u"back-row"_s);
    ASSERT_TRUE(waitUntil([&] { return backRow->isVisible() && backRow->value() == 12; }));
    EXPECT_TRUE(hall->verdict().contains(u"clear"_s)) << hall->verdict().toStdString();
    backRow->setFocus();
    backRow->selectAll();
    type(u"40\n"_s);
    EXPECT_EQ(output(u"hall"_s).backRow, 40);
    EXPECT_TRUE(hall->verdict().contains(u"too small, they read to 13 m"_s)) << hall->verdict().toStdString();
    auto* height = child<QDoubleSpinBox>(u"picture-height"_s);
    height->setFocus();
    height->selectAll();
    type(u"6\n"_s);
    EXPECT_TRUE(hall->verdict().contains(u"clear"_s)) << hall->verdict().toStdString();
    EXPECT_TRUE(waitUntil([&] {
        const auto stored = computer().outputs(libraryFolder);
        return stored && stored->front().backRow == 40 && stored->front().pictureHeight == 6;
    }));
}

TEST_F(OtherDesks, AnOutputTakesAThemeOfItsOwnAndInsistsOnSomeOfIt) {
    press(Qt::Key_5, Qt::AltModifier);
    auto* theme = child<QComboBox>(u"output-theme"_s);
    ASSERT_TRUE(waitUntil([&] { return theme->count() > 4; }));
    theme->setFocus();
    press(Qt::Key_End); // by name: the last one
    EXPECT_FALSE(output(u"hall"_s).look.theme.isEmpty());
    EXPECT_EQ(output(u"hall"_s).insists, allLookGroups());
    auto* colours = child<QCheckBox>(u"insists-colours"_s);
    ASSERT_TRUE(waitUntil([&] { return colours->isVisible() && colours->isChecked(); }));
    colours->setFocus();
    press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil([&] { return output(u"hall"_s).insists.size() == allLookGroups().size() - 1; }));
    theme->setFocus();
    press(Qt::Key_Home);
    EXPECT_TRUE(output(u"hall"_s).insists.empty());
}

TEST_F(OtherDesks, AnotherOutputIsChosenByItsPicture) {
    press(Qt::Key_5, Qt::AltModifier);
    auto* picture = child<PictureView>(u"output-stream"_s);
    ASSERT_TRUE(waitUntil([&] { return picture->isVisible(); }));
    picture->setFocus();
    press(Qt::Key_Return);
    EXPECT_TRUE(waitUntil([&] { return child<QSpinBox>(u"output-lines"_s)->value() == 2; }));
    child<QSpinBox>(u"output-lines"_s)->setValue(3);
    EXPECT_EQ(output(u"stream"_s).linesAtMost, 3);
}

TEST_F(OtherDesks, CheckSaysThatThereIsNothingAndThenWhatIsMissing) {
    press(Qt::Key_3, Qt::AltModifier);
    auto* summary = child<QLabel>(u"check-summary"_s);
    EXPECT_TRUE(summary->text().contains(u"the service is empty"_s));
    Song silent = samples::song(u"Silent"_s, {samples::part(PartKind::Verse, 1, {})});
    Song bare = samples::harbourSong(u"Bare"_s);
    session->document().insert(0, songItem(silent));
    session->document().insert(1, songItem(bare));
    ASSERT_TRUE(waitUntil([&] { return summary->text().contains(u"to look at"_s); }));
    QString all;
    EXPECT_TRUE(waitUntil([&] {
        all = textsOf(u"check-desk"_s).join(u'\n');
        return all.contains(u"Silent \u00b7 No words to show"_s);
    })) << all.toStdString();
    EXPECT_TRUE(all.contains(u"Bare \u00b7 No author or copyright"_s));
    EXPECT_TRUE(all.contains(u"Look at this"_s) && all.contains(u"Good to know"_s));
    EXPECT_GE(desk(u"check-desk"_s)->findChildren<QPushButton*>().size(), 2);
    EXPECT_EQ(window->findChild<QToolButton*>(u"desk-check"_s)->text(),
              u"Check %1"_s.arg(static_cast<CheckDesk*>(desk(u"check-desk"_s))->worrying()));
}

TEST_F(OtherDesks, AFindingLeadsToItsItem) {
    Song silent = samples::song(u"Silent"_s, {samples::part(PartKind::Verse, 1, {})});
    session->document().insert(0, songItem(samples::harbourSong(u"Other"_s)));
    const ItemId id = session->document().insert(1, songItem(silent));
    press(Qt::Key_3, Qt::AltModifier);
    QPushButton* show = nullptr;
    ASSERT_TRUE(waitUntil([&] {
        for (QPushButton* button : desk(u"check-desk"_s)->findChildren<QPushButton*>())
            if (button->accessibleName() == u"Show Silent"_s)
                show = button;
        return show != nullptr;
    }));
    QTest::mouseClick(show, Qt::LeftButton);
    EXPECT_EQ(window->currentDesk(), MainWindow::PrepareAt);
    EXPECT_EQ(window->findChild<OrderSheet*>()->current(), id);
}

TEST_F(OtherDesks, AServiceWithoutFaultsIsWell) {
    Song song = samples::harbourSong();
    song.authors = {{AuthorRole::Words, u"A. Tarn"_s}};
    song.copyright = u"free"_s;
    song.licenceNumber = u"1"_s;
    session->document().insert(0, songItem(song));
    press(Qt::Key_3, Qt::AltModifier);
    EXPECT_TRUE(waitUntil([&] {
        return child<QLabel>(u"check-summary"_s)->text().contains(u"All is well"_s);
    })) << child<QLabel>(u"check-summary"_s)->text().toStdString();
}

TEST_F(OtherDesks, DesksAreReachedByKeysAndByTheHeader) {
    for (int i = 0; i < 5; ++i) {
        press(Qt::Key(Qt::Key_1 + i), Qt::AltModifier);
        EXPECT_EQ(int(window->currentDesk()), i);
    }
    QTest::mouseClick(window->findChild<QToolButton*>(u"desk-library"_s), Qt::LeftButton);
    EXPECT_EQ(window->currentDesk(), MainWindow::LibraryAt);
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_N, Qt::ControlModifier); // editing is off while running
    EXPECT_EQ(window->currentDesk(), MainWindow::RunAt);
    EXPECT_EQ(answers->asked, 0);
}

} // namespace
} // namespace mivanta
