// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/look/ReadingPanel.h"
#include "desk/prepare/LookInService.h"
#include "render/LegibilityMeasure.h"
#include "support/Samples.h"
#include <QComboBox>

namespace mivanta {
namespace {

constexpr int kMeasuringMs = 90'000; ///< it yields to everything else on the machine

class Readings : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        for (const QString& title : {u"One"_s, u"Two"_s})
            ids.push_back(session->document().insert(99, songItem(samples::harbourSong(title))));
        window->findChild<OrderSheet*>()->select(ids[0]);
        look = window->findChild<LookInService*>();
        auto* level = child<QComboBox>(u"look-level"_s);
        ASSERT_TRUE(waitUntil([&] { return level->count() == 3; }));
        level->setCurrentIndex(level->findText(u"This item"_s));
        Q_EMIT level->activated(level->currentIndex());
    }
    void set(const char* key, const LookValue& value) { look->set(*lookProperty(QLatin1String(key)), value); }
    ReadingPanel* panel() { return look->findChild<ReadingPanel*>(); }
    PictureView* mend(int at) {
        auto* view = panel()->findChild<PictureView*>(u"mend-%1"_s.arg(at));
        if (view)
            window->findChild<Bench*>()->reveal(view);
        return view && !view->isHidden() ? view : nullptr;
    }
    PictureView* mendCalled(const QString& label) {
        for (int i = 0; i < 6; ++i)
            if (PictureView* view = mend(i); view && view->toolTip().startsWith(label))
                return view;
        return nullptr;
    }
    Reading reading(int item = 0) {
        Reading result;
        waitUntil(
            [&] {
                const ItemSlides* slides =
                    session->book().slidesOf(ids[size_t(item)]); // laid out anew, maybe
                result =
                    *readingOf(*slides, slides->outputs[0], session->contrasts(), Contrasts::Urgency::Seen);
                return result.isMeasured;
            },
            kMeasuringMs);
        return result;
    }
    std::vector<ItemId> ids;
    LookInService* look = nullptr;
};

TEST_F(Readings, ContrastsAreThoseOfTheMeasureAndTheWorstCounts) {
    const ItemSlides* slides = session->book().slidesOf(ids[0]);
    double least = 21;
    for (int i = 0; i < int(slides->outputs[0].slides.size()); ++i)
        least = std::min(least, measuredContrast(sceneOf(*slides, slides->outputs[0], i), RoomLight::Dimmed));
    EXPECT_NEAR(reading().worst.contrast, least, 1e-9);
    EXPECT_TRUE(reading().worst.isLargeEnough());
    EXPECT_TRUE(panel()->isHidden()); // nothing to mend
}

TEST_F(Readings, WeakWordsAreMendedByAPictureOfTheMending) {
    set("backdrop.kind", LookChoiceIndex{int(BackdropKind::Plain)});
    set("backdrop.colour", Colour{210, 200, 160, 255});
    EXPECT_FALSE(reading().worst.isStrongEnough());
    ASSERT_TRUE(waitUntil([&] { return mendCalled(u"Darker backdrop"_s) && mendCalled(u"Outline"_s); },
                          kMeasuringMs));
    QTest::mouseClick(mendCalled(u"Darker backdrop"_s), Qt::LeftButton);
    EXPECT_TRUE(reading().worst.isStrongEnough()); // what it promised
    EXPECT_TRUE(waitUntil([&] { return panel()->isHidden(); }, kMeasuringMs));
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(reading().worst.isStrongEnough());
    ASSERT_TRUE(waitUntil([&] { return mendCalled(u"Outline"_s); }, kMeasuringMs));
    mendCalled(u"Outline"_s)->setFocus();
    press(Qt::Key_Return); // by keys, too
    EXPECT_TRUE(reading().worst.isStrongEnough());
}

TEST_F(Readings, WhatIsOfferedChangesNoMoreWhileItIsLookedAt) {
    const auto offered = [this] {
        QStringList tips;
        for (int i = 0; i < 6; ++i)
            if (PictureView* view = mend(i))
                tips += view->toolTip();
        return tips;
    };
    set("backdrop.kind", LookChoiceIndex{int(BackdropKind::Plain)});
    set("backdrop.colour", Colour{210, 200, 160, 255});
    QStringList first;
    bool isTold = false;
    QObject::connect(&session->contrasts(), &Contrasts::measured, window.get(), [&] { isTold = true; });
    ASSERT_TRUE(waitUntil(
        [&] {
            if (first.isEmpty())
                first = offered();
            isTold = isTold && !session->contrasts().isMeasuring();
            return !first.isEmpty() && isTold;
        },
        kMeasuringMs));
    EXPECT_EQ(offered(), first);
}

TEST_F(Readings, SmallWordsBecomeAsLargeAsTheBackRowNeeds) {
    set("words.size", 40);
    set("words.smallestSize", 20);
    EXPECT_FALSE(reading().worst.isLargeEnough());
    ASSERT_TRUE(waitUntil([&] { return mendCalled(u"Larger"_s); }, kMeasuringMs));
    QTest::mouseClick(mendCalled(u"Larger"_s), Qt::LeftButton);
    EXPECT_TRUE(reading().worst.isLargeEnough());
    EXPECT_FALSE(session->book().slidesOf(ids[1])->outputs[0].fontSize ==
                 session->book().slidesOf(ids[0])->outputs[0].fontSize); // this item's only
}

TEST_F(Readings, TheSizeThatTheThemeWantsIsOfferedWithWhatItTakes) {
    set("words.size", 300);
    ASSERT_NE(session->book().slidesOf(ids[0])->outputs[0].reason.cause, FitCause::ThemeSize);
    const int before = session->book().slidesOf(ids[0])->outputs[0].fontSize;
    ASSERT_TRUE(waitUntil([&] { return mend(0) != nullptr; }, kMeasuringMs));
    EXPECT_TRUE(child<QLabel>(u"reading-text"_s)->text().contains(u"300 px wanted"_s));
    QTest::mouseClick(mend(0), Qt::LeftButton);
    EXPECT_GT(session->book().slidesOf(ids[0])->outputs[0].fontSize, before);
}

TEST_F(Readings, CheckTellsWhatIsWeakAndTheServiceNamesItsWorst) {
    set("backdrop.kind", LookChoiceIndex{int(BackdropKind::Plain)});
    set("backdrop.colour", Colour{230, 225, 210, 255});
    ASSERT_TRUE(waitUntil(
        [&] {
            const auto worst = session->readings().worst();
            return session->readings().isComplete() && worst[0] && worst[0]->item == ids[0];
        },
        kMeasuringMs));
    EXPECT_NEAR(session->readings().of(ids[0])[0]->worst.contrast, reading().worst.contrast, 1e-9);
    EXPECT_TRUE(session->readings().of(ids[1])[0]->worst.isStrongEnough());
    auto* level = child<QComboBox>(u"look-level"_s);
    level->setCurrentIndex(0);
    Q_EMIT level->activated(0);
    EXPECT_TRUE(waitUntil([&] {
        const QString text = child<QLabel>(u"service-reading"_s)->text();
        return text.contains(u"One"_s) && text.contains(u"4.5 is wanted"_s);
    }));
    press(Qt::Key_3, Qt::AltModifier);
    EXPECT_TRUE(waitUntil(
        [&] { return textsOf(u"check-desk"_s).join(u'\n').contains(u"weak against the backdrop"_s); }));
}

TEST_F(Readings, CheckTellsOfFontsThatAreGoneAndLettersThatNoFontHas) {
    set("words.family", u"Quayside Grotesk 99"_s);
    Song strange = samples::harbourSong(u"Strange"_s);
    strange.parts[0].lines[0].words += QChar(0xE7F3);
    session->document().insert(99, songItem(strange));
    press(Qt::Key_3, Qt::AltModifier);
    QString all;
    EXPECT_TRUE(waitUntil([&] {
        all = textsOf(u"check-desk"_s).join(u'\n');
        return all.contains(u"Quayside Grotesk 99 is not on this computer"_s) &&
               all.contains(u"Atkinson Hyperlegible Next is used instead"_s);
    })) << all.toStdString();
    EXPECT_TRUE(waitUntil([&] {
        all = textsOf(u"check-desk"_s).join(u'\n');
        return all.contains(u"no font has these letters"_s);
    })) << all.toStdString();
}

} // namespace
} // namespace mivanta
