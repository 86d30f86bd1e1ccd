// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/FontCoverage.h"
#include "render/Fonts.h"
#include "render/Letters.h"
#include "render/SceneRenderer.h"
#include "support/Golden.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QPainter>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Scene sceneOf(const QStringList& rows, int size = 60) {
    Scene scene;
    scene.output = u"hall"_s;
    scene.size = {960, 540};
    scene.fontSize = size;
    scene.look.backdrop = samples::plain({20, 40, 60, 255});
    for (const QString& row : rows)
        scene.rows.push_back({row, {}});
    return scene;
}

/// Pixels that are neither of the backdrop nor of white letters.
int colouredPixels(const QImage& image) {
    int count = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x) {
            const QColor colour = image.pixelColor(x, y);
            count += colour.hsvSaturation() > 120 && colour.value() > 120;
        }
    return count;
}

TEST(FontCoverage, AFontThatIsGoneHasASubstitute) {
    EXPECT_TRUE(substituteFor({}).isEmpty());
    EXPECT_TRUE(substituteFor(QString::fromLatin1(kTextFamily)).isEmpty());
    EXPECT_EQ(substituteFor(u"Quayside Grotesk 99"_s), QString::fromLatin1(kTextFamily));
}

TEST(FontCoverage, LettersOfAnotherScriptAreBorrowed) {
    const FontChoice font{{}, 700, Capitals::AsWritten};
    EXPECT_TRUE(coverageOf(u"Sing, \u00e9tranger \u2014 d\u2019accord!\n"_s, font).borrowed.isEmpty());
    const FontCoverage hebrew = coverageOf(u"or \u05d0\u05d5\u05e8 \u05d0"_s, font);
    EXPECT_EQ(hebrew.borrowed, u"\u05d0\u05d5\u05e8"_s); // each once, without the space
    EXPECT_TRUE(hebrew.missing.isEmpty());
    EXPECT_EQ(coverageOf(u"\u6d77\u306e\u5149"_s, font).borrowed.size(), 3);
}

TEST(FontCoverage, WhatNoFontHasIsMissing) {
    const FontCoverage coverage =
        coverageOf(u"a\uE7F3b"_s, {{}, 700, Capitals::AsWritten}); // for private use
    EXPECT_EQ(coverage.missing, QString(QChar(0xE7F3)));
    EXPECT_TRUE(coverage.borrowed.isEmpty());
}

TEST(FontCoverage, JoinersAndVariationsAreNoLetters) {
    const FontCoverage coverage = coverageOf(u"a\u200d\ufe0f\u00ad b"_s, {});
    EXPECT_TRUE(coverage.missing.isEmpty() && coverage.borrowed.isEmpty());
}

TEST(Emoji, AreDrawnInTheirColoursAtEverySize) {
    const QString wave = QString::fromUtf8("\xf0\x9f\x8c\x8a");
    for (const int size : {16, 60, 140}) {
        const QImage with = renderScene(sceneOf({u"sea "_s + wave}, size));
        EXPECT_GT(colouredPixels(with), size * size / 8) << size;
        EXPECT_EQ(colouredPixels(renderScene(sceneOf({u"sea"_s}, size))), 0) << size;
    }
    Scene outlined = sceneOf({wave});
    outlined.look.words.outlineWidth = 4;
    EXPECT_GT(colouredPixels(renderScene(outlined)), 400);
}

TEST(Emoji, StandWhereTheirRoomIs) {
    const QString wave = QString::fromUtf8("\xf0\x9f\x8c\x8a");
    const QFont font = slideFont({}, 700, 60);
    const RowLayout row(u"a"_s + wave + u"b"_s, font);
    LetterKinds kinds;
    row.addTo(kinds, {100, 200});
    ASSERT_EQ(kinds.signs.size(), 1u);
    EXPECT_NEAR(kinds.signs[0].at.x(), 100 + row.edgeOf(1), 1.5);
    EXPECT_NEAR(kinds.signs[0].at.y(), 200, 1.5);
    EXPECT_EQ(kinds.plain.size(), 2u);
}

TEST(Scripts, AccentsThatAreWrittenApartStandOnTheirLetters) {
    const QFont font = slideFont({}, 700, 60);
    for (const auto& [apart, together] :
         {std::pair{u"e\u0301"_s, u"\u00e9"_s}, std::pair{u"n\u0303"_s, u"\u00f1"_s}}) {
        EXPECT_NEAR(RowLayout(apart, font).width(), RowLayout(together, font).width(), 0.5);
        EXPECT_LT(
            difference(renderScene(sceneOf({apart + u"ta"_s})), renderScene(sceneOf({together + u"ta"_s})))
                .share,
            0.0005);
    }
    // One that has no letter of its own: the accent takes no room.
    EXPECT_NEAR(RowLayout(u"g\u0303o"_s, font).width(), RowLayout(u"go"_s, font).width(), 0.5);
}

TEST(Golden, LettersOfEastAsiaAndEmoji) {
    EXPECT_GOLDEN(renderScene(sceneOf({u"\u6d77\u306e\u5149\u304c\u591c\u3092\u7167\u3089\u3057\u3001"_s,
                                       u"\u6e2f\u306b\u8239\u304c\u5e30\u308b\u3002"_s,
                                       u"sing "_s + QString::fromUtf8("\xf0\x9f\x8c\x8a")})),
                  "east-asia");
}

TEST(Golden, EveryAlignment) {
    QImage sheet(3 * 320, 3 * 180, QImage::Format_ARGB32_Premultiplied);
    QPainter painter(&sheet);
    for (const auto horizontal : {HorizontalAlign::Left, HorizontalAlign::Centre, HorizontalAlign::Right})
        for (const auto vertical : {VerticalAlign::Top, VerticalAlign::Middle, VerticalAlign::Bottom}) {
            Scene scene = sceneOf({u"Bless the hands"_s, u"that mend"_s}, 30);
            scene.size = {320, 180};
            scene.look.backdrop =
                samples::plain({quint8(40 + 30 * int(horizontal)), 50, quint8(60 + 30 * int(vertical)), 255});
            scene.look.words.horizontal = horizontal;
            scene.look.words.vertical = vertical;
            painter.drawImage(320 * int(horizontal), 180 * int(vertical), renderScene(scene));
        }
    painter.end();
    EXPECT_GOLDEN(sheet, "alignments");
}

} // namespace
} // namespace mivanta
