// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "core/scripture/ReferenceParser.h"
#include "core/text/TextMarks.h"
#include "formats/ScriptureReader.h"
#include "formats/TextFile.h"
#include "store/Backups.h"
#include <gmock/gmock.h>

namespace mivanta {
namespace {

class ScriptureStore : public LibraryTest {
protected:
    Translation bringIn(const QString& name, const QByteArray& usfm) {
        auto text = readTranslation(file(name + u".usfm"_s, usfm));
        EXPECT_TRUE(text) << (text ? "" : text.error().text().toStdString());
        text->details.shortName = name;
        const auto stored = library->scripture().store(*text);
        EXPECT_TRUE(stored) << (stored ? "" : stored.error().text().toStdString());
        return *stored;
    }
    [[nodiscard]] QStringList found(const QString& query, WordSearch how = WordSearch::AllWords,
                                    const TranslationId& in = {}) {
        QStringList places;
        const auto hits = library->scripture().find(query, how, in);
        EXPECT_TRUE(hits);
        for (const VerseHit& hit : *hits)
            places << hit.shortName + u' ' + hit.place();
        return places;
    }
    Result<PassageWords> words(const TranslationId& id, const QString& reference) {
        const auto outline = library->scripture().outline(id);
        return library->scripture().words(id, understandReference(reference, *outline).reference);
    }
};

constexpr auto kLuke =
    "\\id LUK\n\\c 5\n\\p\n\\v 1 The crowd pressed close.\n\\q1\n\\v 2 Caf\xc3\xa9 by the water,\n\\q2 nets "
    "in the water.\n"
    "\\v 3 Water, still water.\n\\c 6\n\\v 1 Later the crowd was by the deep water near the nets.\n";

TEST_F(ScriptureStore, VersesComeBackAsTheyWere) {
    const Translation t = bringIn(u"AB"_s, kLuke);
    const auto read = words(t.id, u"luke 5:1-3"_s);
    ASSERT_TRUE(read);
    EXPECT_EQ(read->reference, u"Luke 5:1\u20133"_s);
    ASSERT_EQ(read->verses.size(), 3u);
    EXPECT_EQ(read->verses[1].pieces.size(), 2u);
    EXPECT_EQ(read->verses[1].pieces[1].start, VerseStart::Poetry);
    EXPECT_EQ(words(t.id, u"luke 5:2-6:1"_s)->verses.size(), 3u);
    EXPECT_EQ(words(t.id, u"luke 6:1; 5:1"_s)->rangeStarts, (std::vector{0, 1}));
}

TEST_F(ScriptureStore, WordsAreFoundInOneOrAllTranslations) {
    const Translation ab = bringIn(u"AB"_s, kLuke);
    const Translation cd = bringIn(u"CD"_s, "\\id LUK\n\\c 5\n\\v 1 Water elsewhere.\n");
    EXPECT_EQ(found(u"cafe"_s), QStringList{u"AB Luke 5:2"_s}); // accents and case do not count
    EXPECT_EQ(found(u"WATER"_s).size(), 4);
    EXPECT_EQ(found(u"water"_s, WordSearch::AllWords, cd.id), QStringList{u"CD Luke 5:1"_s});
    EXPECT_EQ(found(u"still water"_s, WordSearch::Phrase), QStringList{u"AB Luke 5:3"_s});
    EXPECT_EQ(found(u"nets wat"_s), (QStringList{u"AB Luke 5:2"_s, u"AB Luke 6:1"_s}));
    EXPECT_EQ(found(u"crowd nets"_s, WordSearch::Near), QStringList{u"AB Luke 6:1"_s});
    EXPECT_TRUE(found(u"\"; DROP"_s).isEmpty());
    EXPECT_TRUE(found(u"!!"_s).isEmpty());
    ASSERT_TRUE(library->scripture().putInBin(ab.id));
    EXPECT_EQ(found(u"water"_s), QStringList{u"CD Luke 5:1"_s});
    ASSERT_TRUE(library->scripture().takeFromBin(ab.id));
    EXPECT_EQ(found(u"water"_s).size(), 4);
}

TEST_F(ScriptureStore, TheSameTranslationIsReplacedWholeOrStays) {
    Translation t = bringIn(u"AB"_s, kLuke);
    t.copyrightOn = CopyrightOn::Every;
    t.name = u"Named by hand"_s;
    ASSERT_TRUE(library->scripture().setDetails(t));
    auto text = readTranslation(file(u"new.usfm"_s, "\\id JHN\n\\c 1\n\\v 1 Anew.\n"));
    text->details.shortName = u"ab"_s;
    const auto stopped =
        library->scripture().store(*text, SameShortName::Replace, [](int, int) { return false; });
    ASSERT_FALSE(stopped);
    EXPECT_EQ(found(u"crowd"_s).size(), 2); // the earlier one is whole
    const auto stored = library->scripture().store(*text, SameShortName::Replace);
    ASSERT_TRUE(stored);
    EXPECT_EQ(stored->id, t.id); // services and choices know it still
    EXPECT_EQ(stored->copyrightOn, CopyrightOn::Every);
    EXPECT_TRUE(found(u"crowd"_s).isEmpty());
    EXPECT_EQ(found(u"anew"_s).size(), 1);
    EXPECT_EQ(library->scripture().outline(t.id)->books.size(), 1u);
    EXPECT_EQ(library->scripture().translations()->size(), 1u);
    EXPECT_TRUE(checkIntegrity(library->database()));
    const auto bin = library->scripture().bin(); // and what was replaced is not lost
    ASSERT_EQ(bin->size(), 1u);
    EXPECT_EQ((*bin)[0].name, u"Named by hand"_s);
    ASSERT_TRUE(library->scripture().takeFromBin((*bin)[0].id));
    EXPECT_EQ(found(u"crowd"_s).size(), 2);
    EXPECT_EQ(library->scripture().translations()->size(), 2u);
}

TEST_F(ScriptureStore, AnotherTranslationOfTheSameInitialsReplacesNothing) {
    const auto named = [&](const QString& name, const QByteArray& words) {
        auto text = readTranslation(file(u"t.usfm"_s, "\\id LUK\n\\c 5\n\\v 1 " + words + "\n"));
        text->details.name = name;
        text->details.shortName.clear();
        return *library->scripture().store(*text);
    };
    EXPECT_EQ(named(u"Quayside Sample Text"_s, "first").shortName, u"QST"_s);
    const Translation other = named(u"Quiet Shore Tales"_s, "second");
    EXPECT_EQ(other.shortName, u"QST 2"_s);
    EXPECT_EQ(found(u"first"_s), QStringList{u"QST Luke 5:1"_s});
    EXPECT_EQ(found(u"second"_s), QStringList{u"QST 2 Luke 5:1"_s});
    EXPECT_EQ(named(u"Quayside Sample Text"_s, "third").shortName, u"QST"_s); // the same one, anew
    EXPECT_TRUE(found(u"first"_s).isEmpty());
    EXPECT_EQ(found(u"third"_s), QStringList{u"QST Luke 5:1"_s});
    EXPECT_EQ(library->scripture().translations()->size(), 2u);
    EXPECT_EQ(library->scripture().bin()->size(), 1u);
    named(u"Quayside Sample Text"_s, "third"); // just the same
    EXPECT_EQ(library->scripture().bin()->size(), 1u);
}

TEST_F(ScriptureStore, TheFirstIsUsualUntilAnotherIs) {
    bringIn(u"AB"_s, kLuke);
    const Translation cd = bringIn(u"CD"_s, "\\id LUK\n\\c 5\n\\v 1 a\n");
    EXPECT_EQ(library->scripture().translation({})->shortName, u"AB"_s);
    ASSERT_TRUE(library->scripture().setUsual(cd.id));
    EXPECT_EQ(library->scripture().translation({})->shortName, u"CD"_s);
    EXPECT_EQ(library->scripture().translation(u"ab"_s)->shortName, u"AB"_s);
    EXPECT_TRUE(library->scripture().translation(u"zz"_s).error().remedy.contains(u"CD, AB"_s));
}

TEST_F(ScriptureStore, ShortNamesAreOfOneTranslationOnly) {
    bringIn(u"AB"_s, kLuke);
    Translation cd = bringIn(u"CD"_s, "\\id LUK\n\\c 5\n\\v 1 a\n");
    cd.shortName = u"ab"_s;
    EXPECT_FALSE(library->scripture().setDetails(cd));
    cd.shortName = u" "_s;
    EXPECT_FALSE(library->scripture().setDetails(cd));
}

TEST_F(ScriptureStore, TwoTranslationsMeetWhereTheirNumberingDiffers) {
    const Translation english = bringIn(u"EN"_s, "\\id PSA\n\\c 51\n\\v 1 Mercy.\n\\v 2 Wash.\n");
    Translation hebrew =
        bringIn(u"HB"_s, "\\id PSA\n\\c 51\n\\v 1 Title.\n\\v 2 More title.\n\\v 3 Gnade.\n\\v 4 Wasche.\n");
    hebrew.numbering = Numbering::Hebrew;
    ASSERT_TRUE(library->scripture().setDetails(hebrew));
    const auto outline = library->scripture().outline(english.id);
    const auto passage = library->scripture().passage(
        {english.id, hebrew.id}, understandReference(u"ps 51:1-2"_s, *outline).reference, {});
    ASSERT_TRUE(passage) << passage.error().text().toStdString();
    ASSERT_EQ(passage->words.size(), 2u);
    EXPECT_EQ(passage->words[1].reference, u"Psalm 51:3\u20134"_s);
    EXPECT_EQ(passage->words[1].verses[0].words(), u"Gnade."_s);
}

TEST_F(ScriptureStore, TheBinIsEmptiedForGood) {
    const Translation t = bringIn(u"AB"_s, kLuke);
    ASSERT_TRUE(library->scripture().putInBin(t.id));
    EXPECT_TRUE(library->scripture().translations()->empty());
    EXPECT_EQ(*library->scripture().emptyBin(), 1);
    EXPECT_FALSE(library->scripture().outline(t.id));
    EXPECT_TRUE(found(u"crowd"_s).isEmpty());
    EXPECT_TRUE(checkIntegrity(library->database()));
}

class TextStore : public LibraryTest {
protected:
    SpokenText saved(const QString& title, const QString& words) {
        SpokenText text;
        text.id = TextId::create();
        text.title = title;
        text.lines = linesFrom(words);
        const auto stored = library->texts().save(text);
        EXPECT_TRUE(stored);
        return *stored;
    }
    QStringList found(const QString& query) {
        QStringList titles;
        const auto hits = library->texts().find(query);
        for (const TextHit& hit : *hits)
            titles << hit.text.title;
        return titles;
    }
};

TEST_F(TextStore, TextsAreKeptWithTheirHistory) {
    SpokenText text = saved(u"Welcome"_s, u"Leader: The sea is his"_s);
    text.lines = linesFrom(u"Leader: The land is his"_s);
    ASSERT_TRUE(library->texts().save(text));
    EXPECT_FALSE(library->texts().save(text)); // changed elsewhere meanwhile
    const auto versions = library->texts().versions(text.id);
    ASSERT_EQ(versions->size(), 1u);
    EXPECT_EQ(library->texts().version(text.id, 1)->lines[0].words, u"The sea is his"_s);
    EXPECT_EQ(library->texts().text(text.id)->revision, 2);
}

TEST_F(TextStore, TextsAreFoundByTitleTopicAndWords) {
    saved(u"Welcome"_s, u"Leader: The sea is his"_s);
    SpokenText creed;
    creed.id = TextId::create();
    creed.title = u"Creed"_s;
    creed.topics = {u"Trust"_s};
    creed.seasons = {u"Advent"_s};
    creed.lines = linesFrom(u"All: We trust in the welcome"_s);
    ASSERT_TRUE(library->texts().save(creed));
    EXPECT_EQ(found(u"advent"_s), QStringList{u"Creed"_s});
    EXPECT_EQ(found(u"sea is"_s), QStringList{u"Welcome"_s});
    EXPECT_EQ(found(u"welc"_s), (QStringList{u"Welcome"_s, u"Creed"_s})); // the title first
    EXPECT_EQ(found({}), (QStringList{u"Creed"_s, u"Welcome"_s}));
    ASSERT_TRUE(library->texts().putInBin(creed.id));
    EXPECT_EQ(found(u"trust"_s), QStringList());
    EXPECT_EQ(library->texts().bin()->size(), 1u);
    ASSERT_TRUE(library->texts().takeFromBin(creed.id));
    EXPECT_EQ(found(u"trust"_s).size(), 1);
}

TEST_F(TextStore, FilesComeInOnceAndAgainWhenTheyChanged) {
    const auto outcomes = [&](const QString& path) {
        QStringList all;
        for (const TextImport& entry : library->texts().import({path}))
            all << outcomeName(entry.outcome);
        return all.join(u' ');
    };
    const QString path =
        file(u"t/welcome.txt"_s,
             "Title: Welcome\nKind: response\nSeasons: Advent, Lent\n\nLeader: Come\nAll: in.\n");
    file(u"t/empty.txt"_s, "Title: Nothing\n");
    EXPECT_EQ(outcomes(this->path(u"t"_s)), u"refused added"_s);
    EXPECT_EQ(outcomes(path), u"unchanged"_s);
    const SpokenText text = *library->texts().text(library->texts().find(u"welcome"_s)->front().text.id);
    EXPECT_EQ(text.kind, TextKind::Response);
    EXPECT_EQ(text.seasons, (QStringList{u"Advent"_s, u"Lent"_s}));
    EXPECT_EQ(textFileOf(text),
              u"Title: Welcome\nKind: response\nSeasons: Advent, Lent\n\nLeader: Come\nAll: in.\n"_s);
    file(u"t/welcome.txt"_s, "Title: Welcome\n\nLeader: Come all\n");
    EXPECT_EQ(outcomes(path), u"changed"_s);
    SpokenText edited = *library->texts().text(text.id);
    edited.notes = u"by hand"_s;
    ASSERT_TRUE(library->texts().save(edited));
    file(u"t/welcome.txt"_s, "Title: Welcome\n\nLeader: Come again\n");
    EXPECT_EQ(outcomes(path), u"left out"_s);
}

} // namespace
} // namespace mivanta
