// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/ReferenceParser.h"
#include "desk/find/ReferenceHelp.h"
#include "desk/kit/Columns.h"
#include "desk/kit/LayoutForm.h"
#include "desk/kit/NoticeBar.h"
#include "desk/kit/PictureView.h"
#include "desk/kit/RoleHighlighter.h"
#include "desk/kit/Style.h"
#include "desk/window/Header.h"
#include "support/Outlines.h"
#include "support/Text.h"
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QScrollBar>
#include <QSignalSpy>
#include <QSpinBox>
#include <QTest>
#include <QTextBlock>
#include <QTextDocument>
#include <QTextLayout>
#include <QToolButton>
#include <QVBoxLayout>
#include <QWheelEvent>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

TEST(Header, TellsDesksLampAndService) {
    Header header;
    header.addDesk(u"library"_s, u"Library"_s, u"All your songs"_s, u"Alt+1"_s);
    header.addDesk(u"run"_s, u"Run"_s, u"Run the service"_s, u"Alt+4"_s);
    auto* run = header.findChild<QToolButton*>(u"desk-run"_s);
    ASSERT_TRUE(run);
    EXPECT_TRUE(run->toolTip().contains(u"Alt+4"_s));
    QSignalSpy chosen(&header, &Header::deskChosen);
    QTest::mouseClick(run, Qt::LeftButton);
    ASSERT_EQ(chosen.count(), 1);
    EXPECT_EQ(chosen[0][0].toInt(), 1);
    header.setCurrentDesk(1);
    EXPECT_TRUE(run->isChecked());
    EXPECT_FALSE(header.findChild<QToolButton*>(u"desk-library"_s)->isChecked());
    header.setDeskCount(1, 3);
    EXPECT_EQ(run->text(), u"Run 3"_s);
    header.setDeskCount(1, 0);
    EXPECT_EQ(run->text(), u"Run"_s);
    header.resize(1280, 48);
    const QImage dark = header.grab().toImage();
    header.setLamp({true, u"Words on screen"_s});
    EXPECT_EQ(header.lampText(), u"Words on screen"_s);
    EXPECT_NE(header.grab().toImage(), dark);
}

TEST(NoticeBar, TheNewestIsSeenFirstAndProblemsWait) {
    NoticeBar bar;
    EXPECT_TRUE(bar.text().isEmpty());
    EXPECT_TRUE(bar.isHidden());
    bar.tell(u"first problem"_s, NoticeBar::Weight::Problem);
    bar.tell(u"good news"_s, NoticeBar::Weight::News);
    EXPECT_EQ(bar.text(), u"good news"_s);
    bar.tell(u"more good news"_s, NoticeBar::Weight::News);   // takes the place of the other
    bar.tell(u"first problem"_s, NoticeBar::Weight::Problem); // told already
    auto* away = bar.findChild<QPushButton*>(u"put-notice-away"_s);
    QTest::mouseClick(away, Qt::LeftButton);
    EXPECT_EQ(bar.text(), u"first problem"_s);
    EXPECT_FALSE(bar.isHidden());
    QTest::mouseClick(away, Qt::LeftButton);
    EXPECT_TRUE(bar.text().isEmpty());
    EXPECT_TRUE(bar.isHidden());
}

TEST(NoticeBar, NewsGoAfterAWhileAndNothingElseDoes) {
    NoticeBar bar;
    bar.tell(u"a problem"_s, NoticeBar::Weight::Problem);
    bar.tell(u"news"_s, NoticeBar::Weight::News);
    Clock::the().jump(29'000);
    EXPECT_EQ(bar.text(), u"news"_s);
    Clock::the().jump(2'000);
    EXPECT_EQ(bar.text(), u"a problem"_s);
    Clock::the().jump(3'600'000);
    EXPECT_EQ(bar.text(), u"a problem"_s);
    bar.offer(u"gone"_s, u"Put it back"_s, [] {});
    Clock::the().jump(3'600'000);
    EXPECT_EQ(bar.text(), u"gone"_s);
}

TEST(LayoutForm, ShowsAndChangesEveryProperty) {
    LayoutForm form(2);
    const PassageLayout layout{PassageFlow::VerseASlide,
                               VerseNumbers::Inline,
                               ReferenceOn::Last,
                               ReferencePlace::CreditLine,
                               false,
                               false};
    form.setLayoutShown(layout);
    EXPECT_EQ(form.layoutShown(), layout);
    QSignalSpy changed(&form, &LayoutForm::changed);
    auto* flow = form.findChild<QComboBox*>(u"passage-flow"_s);
    QTest::keyClick(flow, Qt::Key_Up);
    EXPECT_EQ(form.layoutShown().flow, PassageFlow::VerseALine);
    QTest::mouseClick(form.findChild<QCheckBox*>(u"passage-keeps-poetry"_s), Qt::LeftButton, {},
                      QPoint(6, 10));
    EXPECT_TRUE(form.layoutShown().keepsPoetry);
    EXPECT_EQ(changed.count(), 2);
    form.setLayoutShown({});
    EXPECT_EQ(changed.count(), 2); // only what a person does
}

TEST(LayoutForm, WhatMeansNothingCannotBeChosen) {
    LayoutForm form(1);
    PassageLayout layout;
    layout.referenceOn = ReferenceOn::None;
    form.setLayoutShown(layout);
    EXPECT_FALSE(form.findChild<QComboBox*>(u"passage-reference-place"_s)->isEnabled());
    EXPECT_FALSE(form.findChild<QCheckBox*>(u"passage-names-translation"_s)->isEnabled());
    layout.referenceOn = ReferenceOn::Every;
    form.setLayoutShown(layout);
    EXPECT_TRUE(form.findChild<QComboBox*>(u"passage-reference-place"_s)->isEnabled());
}

TEST(ReferenceHelp, SaysWhatWasUnderstoodAndHowManySlidesItMakes) {
    const Outline outline = englishOutline();
    ReferenceHelp help;
    EXPECT_TRUE(help.isHidden());
    const auto show = [&](const QString& typed) {
        help.showUnderstanding(understandReference(typed, outline));
        return help.text();
    };
    EXPECT_EQ(show(u"luk"_s), u"Luke has 24 chapters \u00b7 Tab: Luke"_s);
    EXPECT_FALSE(help.isHidden());
    EXPECT_EQ(show(u"ph"_s), u"Philippians or Philemon?"_s);
    EXPECT_EQ(show(u"luke 5:1-3"_s), u"Luke 5:1\u20133 \u00b7 Luke 5 has 39 verses"_s);
    help.setSlideCount(1);
    EXPECT_TRUE(help.text().contains(u"1 slide \u00b7"_s));
    help.setSlideCount(4);
    EXPECT_TRUE(help.text().contains(u"4 slides"_s));
    help.showUnderstanding(understandReference(u"luke 5:1-3"_s, outline)); // asked again: the same verses
    EXPECT_TRUE(help.text().contains(u"4 slides"_s));
    EXPECT_FALSE(show(u"luke 5:1-4"_s).contains(u"slides"_s));
    EXPECT_TRUE(show(u"matt 17:20-22"_s).contains(u"17:21 is not in Sample"_s));
    EXPECT_TRUE(show(u"the fire"_s).isEmpty());
    EXPECT_TRUE(help.isHidden());
}

TEST(ReferenceHelp, WhatIsWrongStandsOutByDayAndByNight) {
    ReferenceHelp help;
    help.showUnderstanding(understandReference(u"luke 99"_s, englishOutline()));
    EXPECT_TRUE(help.text().contains(u"no chapter 99"_s));
    EXPECT_TRUE(help.styleSheet().contains(day().warning.name()));
    help.setNight(true);
    EXPECT_TRUE(help.styleSheet().contains(night().warning.name()));
    help.showUnderstanding({}, u"2 verses found"_s);
    EXPECT_EQ(help.text(), u"2 verses found"_s);
    EXPECT_TRUE(help.styleSheet().contains(night().accent.name()));
    help.showError({u"no library"_s, {}, u"Open one."_s});
    EXPECT_EQ(help.text(), u"no library. Open one."_s);
}

/// Where a block's text is bold, as from to.
QStringList boldOf(const QTextBlock& block) {
    QStringList bold;
    for (const QTextLayout::FormatRange& range : block.layout()->formats())
        if (range.format.fontWeight() == QFont::Bold)
            bold << block.text().mid(range.start, range.length);
    return bold;
}

TEST(RoleHighlighter, WhatAllSayIsBoldUntilAnotherSpeaks) {
    QTextDocument document;
    RoleHighlighter highlighter(&document);
    document.setPlainText(u"Leader: The sea\nAll: the land\nand the sky\n---\nReader: Hear {date}\nplain"_s);
    highlighter.rehighlight();
    EXPECT_EQ(boldOf(document.findBlockByNumber(0)), QStringList{u"Leader: "_s});
    EXPECT_EQ(boldOf(document.findBlockByNumber(1)).join(QString()), u"All: the land"_s);
    EXPECT_EQ(boldOf(document.findBlockByNumber(2)), QStringList{u"and the sky"_s}); // goes on
    EXPECT_EQ(boldOf(document.findBlockByNumber(3)), QStringList{u"---"_s});
    EXPECT_EQ(boldOf(document.findBlockByNumber(4)), QStringList{u"Reader: "_s});
    EXPECT_TRUE(boldOf(document.findBlockByNumber(5)).isEmpty());
    bool hasField = false;
    const QTextBlock reader = document.findBlockByNumber(4);
    for (const QTextLayout::FormatRange& range : reader.layout()->formats())
        hasField = hasField || (range.format.foreground().color() == day().marker &&
                                reader.text().mid(range.start, range.length) == u"{date}"_s);
    EXPECT_TRUE(hasField);
}

TEST(Columns, ABarIsSeenOnlyWhenThereIsSomethingToScroll) {
    QWidget desk;
    auto* content = new QWidget;
    content->setMinimumHeight(50);
    QScrollArea* area = columnOf(content, &desk);
    area->resize(200, 300);
    desk.show();
    QCoreApplication::processEvents();
    EXPECT_FALSE(area->verticalScrollBar()->isEnabled());
    const int width = area->viewport()->width();
    content->setMinimumHeight(2000);
    QCoreApplication::processEvents();
    EXPECT_TRUE(area->verticalScrollBar()->isEnabled());
    EXPECT_EQ(area->viewport()->width(), width); // nothing swings to and fro
}

TEST(Columns, QuietTextIsReadableOnEveryGround) {
    const auto luminance = [](const QColor& colour) {
        const auto part = [](double v) {
            return v <= 0.04045 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4);
        };
        return 0.2126 * part(colour.redF()) + 0.7152 * part(colour.greenF()) + 0.0722 * part(colour.blueF());
    };
    const auto contrast = [&](const QColor& a, const QColor& b) {
        const double one = luminance(a);
        const double two = luminance(b);
        return (std::max(one, two) + 0.05) / (std::min(one, two) + 0.05);
    };
    for (const Palette* palette : {&day(), &night()})
        for (const QColor& ground : {palette->ground, palette->sheet}) {
            EXPECT_GE(contrast(palette->text, ground), 4.5);
            EXPECT_GE(contrast(palette->quiet, ground), 4.5);
            EXPECT_GE(contrast(palette->accent, ground), 4.5);
            EXPECT_GE(contrast(palette->warning, ground), 4.5);
        }
    EXPECT_GE(contrast(day().quiet, day().side), 4.5);
}

TEST(PictureView, ItsHeightFollowsItsWidth) {
    ThumbnailStore thumbnails;
    PictureView view(thumbnails);
    Scene scene;
    scene.size = {1920, 1080};
    view.setScene(scene);
    const int without = view.heightForWidth(320);
    EXPECT_GE(without, 180);
    view.setCaption(u"Hall"_s, u"1 of 2"_s);
    EXPECT_GT(view.heightForWidth(320), without);
    EXPECT_GT(view.heightForWidth(640), view.heightForWidth(320));
}

TEST(PictureView, SaysThatThereIsNothing) {
    ThumbnailStore thumbnails;
    PictureView view(thumbnails);
    view.resize(320, 200);
    const QImage empty = view.grab().toImage();
    view.setEmptyText(u"Nothing on screen yet"_s);
    EXPECT_NE(view.grab().toImage(), empty);
    view.setTag(PictureView::Tag::OnScreen, u"HALL \u00b7 ON SCREEN"_s);
    const QImage tagged = view.grab().toImage();
    view.setTag(PictureView::Tag::Next, u"NEXT"_s);
    EXPECT_NE(view.grab().toImage(), tagged);
}

TEST(Wheel, ChangesNoValueUnderThePointer) {
    QSpinBox number;
    QComboBox choice;
    choice.addItems({u"one"_s, u"two"_s});
    const auto turn = [](QWidget* widget) {
        const QPointF at = widget->rect().center();
        QWheelEvent wheel(at, widget->mapToGlobal(at), {}, {0, 120}, Qt::NoButton, Qt::NoModifier,
                          Qt::NoScrollPhase, false);
        QApplication::sendEvent(widget, &wheel);
        return wheel.isAccepted();
    };
    choice.setCurrentIndex(1);
    EXPECT_FALSE(turn(&number)); // goes on to what scrolls
    EXPECT_FALSE(turn(number.findChild<QLineEdit*>()));
    EXPECT_FALSE(turn(&choice));
    EXPECT_EQ(number.value(), 0);
    EXPECT_EQ(choice.currentIndex(), 1);
}

} // namespace
} // namespace mivanta
