// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/WordsSheet.h"
#include "support/AnySong.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QClipboard>
#include <QGuiApplication>
#include <QTest>
#include <QTextBlock>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// The words as cards, without the editor around them.
class Sheet : public ::testing::Test {
protected:
    void SetUp() override {
        sheet.resize(600, 500);
        sheet.show();
        sheet.setParts(samples::harbourSong().parts);
        sheet.setFocus();
        QObject::connect(&sheet, &WordsSheet::edited, [this](const QString& what, int typing) {
            edits << what;
            typings.push_back(typing);
        });
    }
    [[nodiscard]] QStringList lines(int part) const {
        QStringList words;
        for (const Line& line : sheet.parts()[size_t(part)].lines)
            words << line.words;
        return words;
    }
    [[nodiscard]] QString shown() const { return sheet.document()->toPlainText(); }

    WordsSheet sheet;
    QStringList edits;
    std::vector<int> typings;
};

TEST_F(Sheet, TypingTellsOneLineAtATime) {
    sheet.setPlace({0, 1, 0});
    QTest::keyClicks(&sheet, u"so "_s);
    EXPECT_EQ(lines(0)[1], u"so two lines here;"_s);
    sheet.setPlace({0, 2, 0});
    QTest::keyClicks(&sheet, u"a"_s);
    ASSERT_EQ(typings.size(), 4u);
    EXPECT_EQ(typings[0], typings[2]);
    EXPECT_NE(typings[2], typings[3]); // another line is another step
}

TEST_F(Sheet, EnterDividesALineAndBackspaceJoinsIt) {
    sheet.setPlace({0, 0, 4});
    QTest::keyClick(&sheet, Qt::Key_Return);
    EXPECT_EQ(lines(0).mid(0, 2), (QStringList{u"one "_s, u"line here,"_s}));
    QTest::keyClick(&sheet, Qt::Key_Backspace);
    EXPECT_EQ(lines(0)[0], u"one line here,"_s);
    EXPECT_EQ(typings, (std::vector<int>{0, 0})); // each a step of its own
}

TEST_F(Sheet, ABreakIsSetByAKeyAndTakenAwayByAClickOnItsRule) {
    sheet.setPlace({0, 2, 0});
    QTest::keyClick(&sheet, Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(sheet.parts()[0].lines[2].breakBefore);
    sheet.setPlace({0, 2, 0});
    const int above = sheet.cursorRect().top() - QFontMetrics(sheet.font()).height() / 2;
    QTest::mouseClick(sheet.viewport(), Qt::LeftButton, Qt::NoModifier, {300, above});
    EXPECT_FALSE(sheet.parts()[0].lines[2].breakBefore);
    EXPECT_EQ(edits.size(), 2);
}

TEST_F(Sheet, AChordIsTypedOverALetterAndStaysWithIt) {
    sheet.setPlace({1, 0, 5});
    QTest::keyClick(&sheet, Qt::Key_K, Qt::ControlModifier);
    auto* box = sheet.findChild<QWidget*>(u"chord-box"_s);
    ASSERT_TRUE(box->isVisible());
    QTest::keyClicks(box, u"Em7"_s);
    QTest::keyClick(box, Qt::Key_Return);
    ASSERT_EQ(sheet.parts()[1].lines[0].chords, (std::vector<ChordMark>{{5, u"Em7"_s}}));
    sheet.setPlace({1, 0, 0});
    QTest::keyClicks(&sheet, u"oh "_s);
    EXPECT_EQ(sheet.parts()[1].lines[0].chords, (std::vector<ChordMark>{{8, u"Em7"_s}}));
    sheet.setPlace({1, 0, 8});
    QTest::keyClick(&sheet, Qt::Key_K, Qt::ControlModifier);
    QTest::keyClick(box, Qt::Key_Escape); // as it was
    EXPECT_EQ(sheet.parts()[1].lines[0].chords.size(), 1u);
    QTest::keyClick(&sheet, Qt::Key_K, Qt::ControlModifier);
    QTest::keyClick(box, Qt::Key_Delete); // all of it is selected
    QTest::keyClick(box, Qt::Key_Return);
    EXPECT_TRUE(sheet.parts()[1].lines[0].chords.empty());
}

TEST_F(Sheet, ASelectionGetsWeightAndLosesIt) {
    sheet.setPlace({0, 0, 0});
    for (int i = 0; i < 3; ++i)
        QTest::keyClick(&sheet, Qt::Key_Right, Qt::ShiftModifier);
    QTest::keyClick(&sheet, Qt::Key_B, Qt::ControlModifier);
    EXPECT_EQ(sheet.parts()[0].lines[0].emphasis, (std::vector<Emphasis>{{0, 3, true, false}}));
    QTest::keyClick(&sheet, Qt::Key_I, Qt::ControlModifier);
    EXPECT_EQ(sheet.parts()[0].lines[0].emphasis, (std::vector<Emphasis>{{0, 3, true, true}}));
    QTest::keyClick(&sheet, Qt::Key_B, Qt::ControlModifier);
    QTest::keyClick(&sheet, Qt::Key_I, Qt::ControlModifier);
    EXPECT_TRUE(sheet.parts()[0].lines[0].emphasis.empty());
}

TEST_F(Sheet, MisspeltWordsAreMarkedWhereTheyAreWhileTyping) {
    sheet.setSpelling([](const QString& word) { return word == u"zzz"_s; });
    const auto marked = [&] {
        QStringList words;
        const QTextBlock block = sheet.document()->firstBlock();
        for (const QTextLayout::FormatRange& range : block.layout()->formats())
            if (range.format.underlineStyle() == QTextCharFormat::WaveUnderline)
                words << block.text().mid(range.start, range.length);
        return words;
    };
    sheet.setPlace({0, 0, 0});
    QTest::keyClicks(&sheet, u"zzz "_s);
    EXPECT_EQ(marked(), QStringList{u"zzz"_s});
    sheet.setPlace({0, 0, 0});
    QTest::keyClicks(&sheet, u"so "_s);
    EXPECT_EQ(marked(), QStringList{u"zzz"_s}); // moved along with it
    QTest::keyClick(&sheet, Qt::Key_Delete);
    EXPECT_EQ(marked(), QStringList());
}

TEST_F(Sheet, PasteIsToldAndChangesNothingByItself) {
    QString pasted;
    QObject::connect(&sheet, &WordsSheet::pasted, [&](const QString& text) { pasted = text; });
    QGuiApplication::clipboard()->setText(u"Verse\nfrom an e-mail"_s);
    const QString before = shown();
    QTest::keyClick(&sheet, Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(pasted, u"Verse\nfrom an e-mail"_s);
    EXPECT_EQ(shown(), before);
    EXPECT_TRUE(edits.isEmpty());
}

TEST_F(Sheet, AClickBesideACardAsksForItsPart) {
    int asked = -1;
    QObject::connect(&sheet, &WordsSheet::partMenuWanted, [&](int part) { asked = part; });
    sheet.setPlace({2, 1, 0});
    const QPoint beside(10, sheet.cursorRect().center().y());
    QTest::mouseClick(sheet.viewport(), Qt::LeftButton, Qt::NoModifier, beside);
    EXPECT_EQ(asked, 2);
    EXPECT_EQ(sheet.place().part, 2);
}

TEST_F(Sheet, ThousandsOfPartsAreShownAndTypedInto) {
    std::vector<Part> parts;
    for (int i = 0; i < 2000; ++i)
        parts.push_back(samples::part(PartKind::Verse, i + 1, {u"line one"_s, u"line two"_s}));
    sheet.setParts(parts);
    EXPECT_EQ(sheet.document()->blockCount(), 4000);
    sheet.setPlace({1500, 1, 0});
    QTest::keyClicks(&sheet, u"x"_s);
    EXPECT_EQ(lines(1500)[1], u"xline two"_s);
    int asked = -1;
    QObject::connect(&sheet, &WordsSheet::partMenuWanted, [&](int part) { asked = part; });
    QTest::mouseClick(sheet.viewport(), Qt::LeftButton, Qt::NoModifier,
                      {10, sheet.cursorRect().center().y()});
    EXPECT_EQ(asked, 1500);
    EXPECT_FALSE(sheet.grab().isNull());
}

TEST_F(Sheet, NoPartsAreNoTrouble) {
    sheet.setParts({});
    EXPECT_FALSE(sheet.grab().isNull());
    QTest::keyClick(&sheet, Qt::Key_Return, Qt::ControlModifier);
    QTest::keyClick(&sheet, Qt::Key_K, Qt::ControlModifier);
    QTest::mouseClick(sheet.viewport(), Qt::LeftButton, Qt::NoModifier, {10, 10});
    EXPECT_TRUE(sheet.parts().empty());
}

/// Whatever is done, the document holds just the words of the parts, and nothing of the song is lost that was
/// not deleted.
RC_GTEST_PROP(SheetProperty, TheDocumentIsAlwaysTheParts, ()) {
    WordsSheet sheet;
    sheet.resize(500, 300);
    sheet.setParts(samples::anySong().operator*().parts);
    const auto holds = [&] {
        RC_ASSERT(sheet.document()->toRawText().replace(QChar::ParagraphSeparator, u'\n') ==
                  flatText(sheet.parts()));
        for (const Part& part : sheet.parts())
            for (const Line& line : part.lines) {
                for (const ChordMark& chord : line.chords)
                    RC_ASSERT((chord.position >= 0 && chord.position <= line.words.size()));
                for (const Emphasis& e : line.emphasis)
                    RC_ASSERT((e.from >= 0 && e.from < e.to && e.to <= line.words.size()));
            }
    };
    holds();
    const auto steps =
        *rc::gen::resize(25, rc::gen::container<std::vector<std::pair<int, int>>>(
                                 rc::gen::pair(rc::gen::inRange(0, 9), rc::gen::inRange(0, 400))));
    for (const auto& [what, where] : steps) {
        const int last = sheet.document()->characterCount() - 1;
        QTextCursor cursor = sheet.textCursor();
        cursor.setPosition(where % (last + 1));
        if (what >= 6) // over a few characters, or a few lines
            cursor.setPosition(std::min(last, where % (last + 1) + 1 + where % 40), QTextCursor::KeepAnchor);
        sheet.setTextCursor(cursor);
        switch (what) {
        case 0:
            QTest::keyClicks(&sheet, u"a"_s);
            break;
        case 1:
            QTest::keyClick(&sheet, Qt::Key_Return);
            break;
        case 2:
            QTest::keyClick(&sheet, Qt::Key_Backspace);
            break;
        case 3:
            QTest::keyClick(&sheet, Qt::Key_Delete);
            break;
        case 4:
            sheet.toggleBreak();
            break;
        case 5:
            QTest::keyClicks(&sheet, u"[G]"_s);
            break;
        case 6:
            QTest::keyClicks(&sheet, u"b"_s); // in place of what is selected
            break;
        case 7:
            sheet.toggleEmphasis(Weight::Italic);
            break;
        default:
            QTest::keyClick(&sheet, Qt::Key_Delete);
        }
        holds();
    }
}

} // namespace
} // namespace mivanta
