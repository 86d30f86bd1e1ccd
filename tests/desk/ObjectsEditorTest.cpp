// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/ObjectsEditor.h"
#include "core/theme/StageField.h"
#include "desk/kit/ColourEdit.h"
#include "support/Text.h"
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QSignalSpy>
#include <QSpinBox>
#include <QTest>
#include <QToolButton>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

SlideObject objectOf(ObjectWhat what) {
    SlideObject object;
    object.what = std::move(what);
    return object;
}

/// The editor alone; what it tells comes back to it, as from a look.
class Objects : public ::testing::Test {
protected:
    void SetUp() override {
        QObject::connect(&editor, &ObjectsEditor::edited, [this](const LookValue& value) {
            told = std::get<std::vector<SlideObject>>(value);
            ++edits;
            editor.setValue(value);
        });
        editor.show();
    }
    void show(const std::vector<SlideObject>& objects) {
        editor.setValue(objects);
        told = objects;
        QTest::qWait(20); // rows are laid out
    }
    template <typename Field>
    Field* field(const QString& name) {
        Field* found = nullptr;
        static_cast<void>(QTest::qWaitFor(
            [&] {
                for (Field* one : editor.findChildren<Field*>(name))
                    if (one->isVisibleTo(&editor))
                        found = one;
                return found != nullptr;
            },
            1000));
        return found;
    }
    std::function<void(const Medium&)> answer;
    std::vector<LiveInput> inputs{{LiveInputId::create(), u"Harbour camera"_s}};
    ObjectsEditor editor{
        LookSupplies{[this](MediumKind, const auto& chosen) { answer = chosen; }, [this] { return inputs; }}};
    std::vector<SlideObject> told;
    int edits = 0;
};

TEST_F(Objects, EachKindHasTheFieldsThatMeanSomethingToIt) {
    show({objectOf(TextObject{u"Welcome"_s})});
    EXPECT_TRUE(field<QLineEdit>(u"object-text"_s));
    EXPECT_TRUE(field<ColourEdit>({}));
    show({objectOf(PictureObject())});
    EXPECT_FALSE(field<QLineEdit>(u"object-text"_s));
    EXPECT_FALSE(field<ColourEdit>({}));
    EXPECT_TRUE(field<QDoubleSpinBox>(u"object-left"_s));
    EXPECT_TRUE(field<QSpinBox>(u"object-fade-in"_s));
}

TEST_F(Objects, WhatIsTypedIsToldOnce) {
    show({objectOf(TextObject{u"Welcome"_s}), objectOf(ClockObject())});
    auto* text = field<QLineEdit>(u"object-text"_s);
    text->setText(u"Come in"_s);
    Q_EMIT text->editingFinished();
    EXPECT_EQ(std::get<TextObject>(told[0].what).text, u"Come in"_s);
    EXPECT_EQ(std::get<ClockObject>(told[1].what).format, u"HH:mm"_s);
    EXPECT_EQ(edits, 1);
    Q_EMIT field<QLineEdit>(u"object-text"_s)->editingFinished(); // nothing new
    EXPECT_EQ(edits, 1);
}

TEST_F(Objects, WhatIsNoTimeIsTakenBackAndAClockAlwaysShowsOne) {
    show({objectOf(CountdownObject{QTime(10, 30)})});
    const auto type = [&](const QString& text) {
        auto* field = this->field<QLineEdit>(u"object-text"_s);
        field->setText(text);
        Q_EMIT field->editingFinished();
    };
    type(u"soon"_s);
    EXPECT_EQ(std::get<CountdownObject>(told[0].what).ends, QTime(10, 30));
    EXPECT_EQ(field<QLineEdit>(u"object-text"_s)->text(), u"10:30"_s);
    type(u"11:15"_s);
    EXPECT_EQ(std::get<CountdownObject>(told[0].what).ends, QTime(11, 15));
    type({}); // on a stage monitor: the next fixed time
    EXPECT_FALSE(std::get<CountdownObject>(told[0].what).ends);
    show({objectOf(ClockObject{u"H:mm"_s})});
    type({});
    EXPECT_EQ(std::get<ClockObject>(told[0].what).format, u"HH:mm"_s);
}

TEST_F(Objects, MovingOnTheCanvasKeepsTheRowAndShowsItsNumbers) {
    show({objectOf(RectangleObject())});
    auto* left = field<QDoubleSpinBox>(u"object-left"_s);
    auto moved = told;
    moved[0].box.moveLeft(0.125);
    editor.setValue(moved);
    EXPECT_EQ(field<QDoubleSpinBox>(u"object-left"_s), left); // the same field
    EXPECT_DOUBLE_EQ(left->value(), 12.5);
    EXPECT_EQ(edits, 0);
}

TEST_F(Objects, TheOrderChangesByTheArrowsAndTheOpenOneStaysOpen) {
    show({objectOf(RectangleObject()), objectOf(EllipseObject()), objectOf(LineObject())});
    EXPECT_FALSE(field<QToolButton>(u"object-back-0"_s)->isEnabled());
    EXPECT_FALSE(field<QToolButton>(u"object-forward-2"_s)->isEnabled());
    QTest::mouseClick(field<QToolButton>(u"object-forward-0"_s), Qt::LeftButton);
    EXPECT_TRUE(told[1].is<RectangleObject>());
    EXPECT_TRUE(field<QToolButton>(u"object-1"_s)->isChecked());
    EXPECT_FALSE(field<QToolButton>(u"object-0"_s)->isChecked());
}

TEST_F(Objects, AnObjectThatIsTakenAwayIsTheOne) {
    show({objectOf(RectangleObject()), objectOf(EllipseObject()), objectOf(LineObject())});
    QToolButton* remove = nullptr;
    for (auto* button : editor.findChildren<QToolButton*>())
        if (button->toolTip().startsWith(u"Remove"_s) && button->isVisibleTo(&editor))
            remove = button; // the last one
    ASSERT_TRUE(remove);
    QTest::mouseClick(remove, Qt::LeftButton);
    ASSERT_EQ(told.size(), 2u);
    EXPECT_TRUE(told[0].is<RectangleObject>());
    EXPECT_TRUE(told[1].is<EllipseObject>());
}

TEST_F(Objects, APictureIsAddedOnceItIsChosen) {
    QSignalSpy opened(&editor, &ObjectsEditor::opened);
    QTest::mouseClick(editor.findChild<QPushButton*>(u"add-row"_s), Qt::LeftButton);
    auto* menu = editor.findChild<QMenu*>();
    ASSERT_TRUE(menu);
    menu->actions().front()->trigger();
    menu->close();
    EXPECT_TRUE(told.empty()); // it may never be chosen
    ASSERT_TRUE(answer);
    answer({u"abc.png"_s, u"Boats"_s});
    ASSERT_EQ(told.size(), 1u);
    EXPECT_EQ(told[0], SlideObject::ofPicture(u"abc.png"_s));
    ASSERT_EQ(opened.size(), 1);
    EXPECT_EQ(opened[0][0].toInt(), 0);
}

TEST_F(Objects, AFilmIsAddedInItsShapeAndItsCornersCanBeRound) {
    QTest::mouseClick(editor.findChild<QPushButton*>(u"add-row"_s), Qt::LeftButton);
    auto* menu = editor.findChild<QMenu*>();
    ASSERT_TRUE(menu);
    for (QAction* action : menu->actions())
        if (action->text() == u"Film"_s)
            action->trigger();
    menu->close();
    ASSERT_TRUE(answer);
    Medium film{u"abc.mp4"_s, u"Boats"_s};
    film.kind = MediumKind::Film;
    film.facts = MediumFacts{{1080, 1920}, 30, false};
    film.from = 2;
    film.to = 9;
    answer(film);
    ASSERT_EQ(told.size(), 1u);
    const auto* added = std::get_if<FilmObject>(&told[0].what);
    ASSERT_TRUE(added);
    EXPECT_EQ(*added, (FilmObject{u"abc.mp4"_s, 2, 9, 0}));
    EXPECT_NEAR(told[0].box.width() * 16 / (told[0].box.height() * 9), 1080.0 / 1920, 1e-6);
    field<QDoubleSpinBox>(u"object-corners"_s)->setValue(24);
    EXPECT_EQ(std::get<FilmObject>(told[0].what).roundness, 24);
}

TEST_F(Objects, EveryKindCanBeAddedAndShowsSomething) {
    QTest::mouseClick(editor.findChild<QPushButton*>(u"add-row"_s), Qt::LeftButton);
    auto* menu = editor.findChild<QMenu*>();
    ASSERT_TRUE(menu);
    const auto actions = menu->actions();
    for (qsizetype i = 1; i < actions.size(); ++i) // all but the picture
        actions[i]->trigger();
    menu->close();
    ASSERT_EQ(told.size(), 10u);
    for (const SlideObject& object : told) {
        EXPECT_EQ(object.inFront, !object.moves());
        if (const Colour* colour = object.colour()) {
            EXPECT_GT(colour->alpha, 0);
        }
        if (const auto* text = std::get_if<TextObject>(&object.what)) {
            EXPECT_FALSE(text->text.isEmpty());
        }
        if (const auto* field = std::get_if<FieldObject>(&object.what)) {
            EXPECT_NE(stageFieldOf(field->key), nullptr);
        }
        if (const auto* countdown = std::get_if<CountdownObject>(&object.what)) {
            EXPECT_TRUE(countdown->ends);
        }
        if (const auto* line = std::get_if<LineObject>(&object.what)) {
            EXPECT_GT(line->width, 0);
        }
    }
}

TEST_F(Objects, ALivePictureIsChosenFramedAndMadeRound) {
    show({objectOf(LiveObject())});
    auto* input = field<QComboBox>(u"object-input"_s);
    ASSERT_TRUE(input);
    ASSERT_EQ(input->count(), 1 + int(inputs.size()));
    input->setCurrentIndex(1);
    Q_EMIT input->activated(1);
    EXPECT_EQ(std::get<LiveObject>(told[0].what).input, inputs[0].id.text());
    field<QDoubleSpinBox>(u"object-corners"_s)->setValue(300);
    EXPECT_DOUBLE_EQ(std::get<LiveObject>(told[0].what).roundness, 300);
}

TEST_F(Objects, AnEdgeThatGetsAWidthIsSeen) {
    show({objectOf(EllipseObject())});
    for (auto* box : editor.findChildren<QDoubleSpinBox*>())
        if (box->toolTip().startsWith(u"Width of the line"_s) && box->isVisibleTo(&editor))
            box->setValue(6);
    EXPECT_DOUBLE_EQ(told[0].edge()->width, 6);
    EXPECT_GT(told[0].edge()->colour.alpha, 0);
}

} // namespace
} // namespace mivanta
