// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/look/ObjectsEditor.h"
#include "desk/kit/ColourEdit.h"
#include "support/Text.h"
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

SlideObject objectOf(ObjectKind kind, const QString& text = {}) {
    SlideObject object;
    object.kind = kind;
    object.text = text;
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
    PictureChooser chooser = [this](const auto& chosen) { answer = chosen; };
    std::function<void(const StoredMedium&)> answer;
    ObjectsEditor editor{[this](const auto& chosen) { chooser(chosen); }};
    std::vector<SlideObject> told;
    int edits = 0;
};

TEST_F(Objects, EachKindHasTheFieldsThatMeanSomethingToIt) {
    show({objectOf(ObjectKind::Text, u"Welcome"_s)});
    EXPECT_TRUE(field<QLineEdit>(u"object-text"_s));
    EXPECT_TRUE(field<ColourEdit>({}));
    show({objectOf(ObjectKind::Picture)});
    EXPECT_FALSE(field<QLineEdit>(u"object-text"_s));
    EXPECT_FALSE(field<ColourEdit>({}));
    EXPECT_TRUE(field<QDoubleSpinBox>(u"object-left"_s));
    EXPECT_TRUE(field<QSpinBox>(u"object-fade-in"_s));
}

TEST_F(Objects, WhatIsTypedIsToldOnce) {
    show({objectOf(ObjectKind::Text, u"Welcome"_s), objectOf(ObjectKind::Clock, u"HH:mm"_s)});
    auto* text = field<QLineEdit>(u"object-text"_s);
    text->setText(u"Come in"_s);
    Q_EMIT text->editingFinished();
    EXPECT_EQ(told[0].text, u"Come in"_s);
    EXPECT_EQ(told[1].text, u"HH:mm"_s);
    EXPECT_EQ(edits, 1);
    Q_EMIT field<QLineEdit>(u"object-text"_s)->editingFinished(); // nothing new
    EXPECT_EQ(edits, 1);
}

TEST_F(Objects, MovingOnTheCanvasKeepsTheRowAndShowsItsNumbers) {
    show({objectOf(ObjectKind::Rectangle)});
    auto* left = field<QDoubleSpinBox>(u"object-left"_s);
    auto moved = told;
    moved[0].box.moveLeft(0.125);
    editor.setValue(moved);
    EXPECT_EQ(field<QDoubleSpinBox>(u"object-left"_s), left); // the same field
    EXPECT_DOUBLE_EQ(left->value(), 12.5);
    EXPECT_EQ(edits, 0);
}

TEST_F(Objects, TheOrderChangesByTheArrowsAndTheOpenOneStaysOpen) {
    show({objectOf(ObjectKind::Rectangle), objectOf(ObjectKind::Ellipse), objectOf(ObjectKind::Line)});
    EXPECT_FALSE(field<QToolButton>(u"object-back-0"_s)->isEnabled());
    EXPECT_FALSE(field<QToolButton>(u"object-forward-2"_s)->isEnabled());
    QTest::mouseClick(field<QToolButton>(u"object-forward-0"_s), Qt::LeftButton);
    EXPECT_EQ(told[1].kind, ObjectKind::Rectangle);
    EXPECT_TRUE(field<QToolButton>(u"object-1"_s)->isChecked());
    EXPECT_FALSE(field<QToolButton>(u"object-0"_s)->isChecked());
}

TEST_F(Objects, AnObjectThatIsTakenAwayIsTheOne) {
    show({objectOf(ObjectKind::Rectangle), objectOf(ObjectKind::Ellipse), objectOf(ObjectKind::Line)});
    QToolButton* remove = nullptr;
    for (auto* button : editor.findChildren<QToolButton*>())
        if (button->toolTip().startsWith(u"Remove"_s) && button->isVisibleTo(&editor))
            remove = button; // the last one
    ASSERT_TRUE(remove);
    QTest::mouseClick(remove, Qt::LeftButton);
    ASSERT_EQ(told.size(), 2u);
    EXPECT_EQ(told[0].kind, ObjectKind::Rectangle);
    EXPECT_EQ(told[1].kind, ObjectKind::Ellipse);
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

TEST_F(Objects, EveryKindCanBeAddedAndShowsSomething) {
    QTest::mouseClick(editor.findChild<QPushButton*>(u"add-row"_s), Qt::LeftButton);
    auto* menu = editor.findChild<QMenu*>();
    ASSERT_TRUE(menu);
    const auto actions = menu->actions();
    for (qsizetype i = 1; i < actions.size(); ++i) // all but the picture
        actions[i]->trigger();
    menu->close();
    ASSERT_EQ(told.size(), 9u);
    for (const SlideObject& object : told) {
        EXPECT_TRUE(object.inFront);
        EXPECT_GT(object.colour.alpha, 0);
        const bool saysSomething = object.kind == ObjectKind::Text || object.kind == ObjectKind::Field ||
                                   object.kind == ObjectKind::Clock || object.kind == ObjectKind::Countdown;
        EXPECT_EQ(object.text.isEmpty(), !saysSomething);
        EXPECT_TRUE(object.kind != ObjectKind::Line || object.edgeWidth > 0);
    }
}

TEST_F(Objects, AnEdgeThatGetsAWidthIsSeen) {
    show({objectOf(ObjectKind::Ellipse)});
    for (auto* box : editor.findChildren<QDoubleSpinBox*>())
        if (box->toolTip().startsWith(u"Width of the line"_s) && box->isVisibleTo(&editor))
            box->setValue(6);
    EXPECT_DOUBLE_EQ(told[0].edgeWidth, 6);
    EXPECT_GT(told[0].edgeColour.alpha, 0);
}

} // namespace
} // namespace mivanta
