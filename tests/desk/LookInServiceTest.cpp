// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LookInService.h"
#include "desk/Window.h"
#include "desk/kit/PictureView.h"
#include "desk/look/LookForm.h"
#include "formats/ServiceFile.h"
#include "support/Samples.h"
#include <QComboBox>
#include <QGridLayout>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>

namespace mivanta {
namespace {

class LookOfAnItem : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        for (const QString& title : {u"One"_s, u"Two"_s})
            ids.push_back(session->document().insert(99, songItem(samples::harbourSong(title))));
        sheet = window->findChild<OrderSheet*>();
        sheet->select(ids[0]);
        level = child<QComboBox>(u"look-level"_s);
        ASSERT_TRUE(waitUntil([&] { return level->count() == 3; }));
    }
    const Service& service() { return session->document().service(); }
    void choose(QComboBox* box, const QString& text) {
        const int at = box->findText(text, Qt::MatchContains);
        ASSERT_GE(at, 0) << text.toStdString();
        box->setFocus();
        press(Qt::Key_Home);
        for (int i = 0; i < at; ++i)
            press(Qt::Key_Down);
    }
    LookForm* why() {
        auto* button = child<QToolButton>(u"why-this-look"_s);
        if (!button->isChecked())
            press(Qt::Key_L, Qt::ControlModifier);
        EXPECT_TRUE(waitUntil([&] { return window->findChild<LookInService*>()->findChild<LookForm*>(); }));
        return window->findChild<LookInService*>()->findChild<LookForm*>();
    }
    /// What stands under a property about where it comes from.
    QString source(const QString& key) {
        QWidget* body = why()->editor(key)->parentWidget();
        auto* grid = static_cast<QGridLayout*>(body->layout());
        int row = 0, column = 0, rows = 0, columns = 0;
        grid->getItemPosition(grid->indexOf(why()->editor(key)), &row, &column, &rows, &columns);
        return static_cast<QLabel*>(grid->itemAtPosition(row + 1, 0)->widget())->text();
    }
    const Look& lookOf(const ItemId& id) { return session->book().slidesOf(id)->outputs[0].look; }
    std::vector<ItemId> ids;
    OrderSheet* sheet = nullptr;
    QComboBox* level = nullptr;
};

TEST_F(LookOfAnItem, AThemeIsChosenForOneItemForItsKindAndForTheService) {
    choose(level, u"This item"_s);
    choose(child<QComboBox>(u"theme"_s), u"Plain Paper"_s);
    EXPECT_EQ(service().items[0].look.choice.theme, u"plain-paper"_s);
    EXPECT_EQ(service().themes.size(), 1u); // it travels with the service
    EXPECT_EQ(lookOf(ids[0]).words.colour, (Colour{30, 43, 49, 255}));
    EXPECT_EQ(lookOf(ids[1]).words.colour, (Colour{255, 255, 255, 255}));
    choose(level, u"All songs"_s);
    choose(child<QComboBox>(u"theme"_s), u"Stage, plain"_s);
    EXPECT_EQ(service().kinds.value(ItemKind::Song).theme, u"stage-plain"_s);
    EXPECT_EQ(lookOf(ids[1]).words.weight, 400);
    EXPECT_EQ(lookOf(ids[0]).words.weight, 700); // the item's own goes before
    QTest::mouseClick(child<QPushButton>(u"look-give-up"_s), Qt::LeftButton);
    EXPECT_TRUE(service().kinds.isEmpty());
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(service().kinds.value(ItemKind::Song).theme, u"stage-plain"_s);
}

TEST_F(LookOfAnItem, WhyThisLookSaysWhereEachValueComesFrom) {
    choose(level, u"This item"_s);
    EXPECT_EQ(source(u"words.size"_s), u"theme Dusk Water, of the service"_s);
    auto* size = why()->editor(u"words.size"_s)->findChild<QSpinBox*>();
    size->setFocus();
    size->selectAll();
    type(u"50\n"_s);
    EXPECT_EQ(lookOf(ids[0]).words.size, 50);
    EXPECT_EQ(source(u"words.size"_s), u"set for this item"_s);
    auto* giveUp = window->findChild<LookInService*>()->findChild<QToolButton*>(u"give-up-words.size"_s);
    ASSERT_TRUE(waitUntil([&] { return giveUp->isVisible(); }));
    giveUp->setFocus();
    press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil([&] { return lookOf(ids[0]).words.size == 84; }));
    EXPECT_EQ(source(u"words.size"_s), u"theme Dusk Water, of the service"_s);
    EXPECT_FALSE(giveUp->isVisible());
    EXPECT_EQ(session->document().undoStack().undoText(), u"resetting: Size"_s);
}

TEST_F(LookOfAnItem, WhatAnOutputInsistsOnCannotBeSetThere) {
    choose(level, u"This item"_s);
    why();
    choose(child<QComboBox>(u"why-output"_s), u"Stream"_s);
    EXPECT_TRUE(source(u"words.size"_s).contains(u"insists"_s));
    EXPECT_FALSE(why()->editor(u"words.size"_s)->isEnabled());
    choose(child<QComboBox>(u"why-output"_s), u"Hall"_s);
    EXPECT_TRUE(why()->editor(u"words.size"_s)->isEnabled());
}

TEST_F(LookOfAnItem, WhiteWordsIsOneStepForEverythingChosen) {
    session->document().setTheme(*themeOf(u"plain-paper"_s, session->book().themes()));
    sheet->selectAll(ids);
    choose(level, u"This item"_s);
    QTest::mouseClick(child<QPushButton>(u"white-words"_s), Qt::LeftButton);
    for (const ItemId& id : ids)
        EXPECT_EQ(lookOf(id).words.colour, (Colour{255, 255, 255, 255}));
    press(Qt::Key_Z, Qt::ControlModifier);
    for (const ItemId& id : ids)
        EXPECT_EQ(lookOf(id).words.colour, (Colour{30, 43, 49, 255}));
}

TEST_F(LookOfAnItem, ASlideIsChosenAndHasALookOfItsOwn) {
    PictureView* second = nullptr;
    ASSERT_TRUE(waitUntil([&] {
        const auto views = window->findChild<QWidget*>(u"bench"_s)->findChildren<PictureView*>();
        second = views.size() > 1 ? views[1] : nullptr;
        return second && second->isVisible();
    }));
    second->setFocus();
    press(Qt::Key_Return);
    EXPECT_TRUE(level->currentText().startsWith(u"This slide (2)"_s));
    auto* size = why()->editor(u"words.size"_s)->findChild<QSpinBox*>();
    size->setValue(40);
    const auto* slides = session->book().slidesOf(ids[0]);
    const OutputSlides& hall = slides->outputs[0];
    EXPECT_EQ(hall.fontSizeOf(hall.slides[1]), 40);
    EXPECT_EQ(hall.fontSizeOf(hall.slides[0]), 84);
    EXPECT_EQ(source(u"words.size"_s), u"set for this slide"_s);
    // It is saved with the service and there again.
    answers->saveTo = folder.filePath(u"sunday.mivanta"_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return !session->document().isModified(); }));
    QFile file(answers->saveTo);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const auto read = readServiceFile(file, {});
    ASSERT_TRUE(read);
    EXPECT_EQ(read->items[0].look, service().items[0].look);
    second->setFocus();
    press(Qt::Key_Return); // chosen no more
    EXPECT_EQ(level->currentText(), u"This item"_s);
}

} // namespace
} // namespace mivanta
