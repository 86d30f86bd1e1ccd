// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/finding/Finding.h"
#include "core/text/TextMarks.h"
#include "formats/ScriptureReader.h"
#include "store/UsualLayout.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QTemporaryDir>
#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

using ::testing::ElementsAre;

const QString kDemo = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo");

class FindEverything : public ::testing::Test {
protected:
    static void SetUpTestSuite() {
        folder = new QTemporaryDir;
        library = std::move(*Library::open(folder->path()));
        ASSERT_EQ(library->import({kDemo + u"/songs"_s}).size(), 14u);
        ASSERT_EQ(library->texts().import({kDemo + u"/texts"_s}).size(), 5u);
        for (const auto& [path, code] : {std::pair{u"/scripture/quayside"_s, u"QST"_s},
                                         std::pair{u"/scripture/hafenmuster.osis.xml"_s, u"HMT"_s}}) {
            auto text = readTranslation(kDemo + path);
            ASSERT_TRUE(text);
            text->details.shortName = code;
            ASSERT_TRUE(library->scripture().store(*text));
        }
    }
    static void TearDownTestSuite() {
        library.reset();
        delete folder;
    }
    static FindResult find(const QString& text, unsigned kinds = FindAll, const SongFilter& filter = {}) {
        auto result = LibraryFinder(*library).find({text, kinds, filter});
        EXPECT_TRUE(result) << (result ? "" : result.error().text().toStdString());
        return result.value_or(FindResult());
    }
    static QStringList titles(const FindResult& result) {
        QStringList all;
        for (const FindHit& hit : result.hits)
            all << titleOf(hit);
        return all;
    }
    static QTemporaryDir* folder;
    static std::unique_ptr<Library> library;
};

QTemporaryDir* FindEverything::folder = nullptr;
std::unique_ptr<Library> FindEverything::library;

TEST_F(FindEverything, AReferenceIsTheFirstThingFound) {
    const FindResult result = find(u"ps 23"_s);
    ASSERT_FALSE(result.hits.empty());
    const auto* passage = std::get_if<FoundPassage>(&result.hits.front());
    ASSERT_TRUE(passage);
    EXPECT_EQ(passage->shortName, u"QST"_s);
    EXPECT_EQ(titleOf(result.hits.front()), u"Psalm 23"_s);
    const FindPick pick = *pickOf(result.hits.front());
    EXPECT_EQ(std::get<PassagePick>(pick).reference, passage->understood.reference);
}

TEST_F(FindEverything, TheShortNameAtTheEndChoosesTheTranslation) {
    const FindResult result = find(u"lk 5,4 hmt"_s);
    ASSERT_FALSE(result.hits.empty());
    EXPECT_EQ(titleOf(result.hits.front()), u"Lukas 5:4"_s);
    EXPECT_EQ(find(u"hmt"_s).understood.state, ReferenceState::NotOne); // alone it is a word like any other
}

TEST_F(FindEverything, WordsFindSongsBeforeVerses) {
    const FindResult result = find(u"water"_s);
    bool verses = false;
    for (const FindHit& hit : result.hits) {
        verses = verses || std::holds_alternative<VerseHit>(hit);
        EXPECT_FALSE(verses && std::holds_alternative<SongHit>(hit)) << titleOf(hit).toStdString();
    }
    EXPECT_TRUE(verses);
    EXPECT_TRUE(titles(result).contains(u"Lantern on the Water"_s));
}

TEST_F(FindEverything, ATextThatIsNamedGoesBeforeSongsThatHoldTheWords) {
    EXPECT_EQ(titles(find(u"prayer of"_s)).value(0), u"Prayer of the crew"_s);
    EXPECT_TRUE(std::holds_alternative<TextHit>(find(u"words of welcome"_s).hits.front()));
}

TEST_F(FindEverything, VersesComeFromTheTranslationThatIsReadHere) {
    for (const FindHit& hit : find(u"und"_s).hits)
        if (const auto* verse = std::get_if<VerseHit>(&hit)) {
            EXPECT_EQ(verse->shortName, u"QST"_s);
        }
    bool german = false;
    for (const FindHit& hit : find(u"maschen hmt"_s).hits)
        german = german || std::holds_alternative<VerseHit>(hit);
    EXPECT_TRUE(german);
}

TEST_F(FindEverything, KindsAndFiltersNarrowIt) {
    for (const FindHit& hit : find(u"the"_s, FindSongs).hits)
        EXPECT_TRUE(std::holds_alternative<SongHit>(hit));
    for (const FindHit& hit : find(u"the"_s, FindTexts).hits)
        EXPECT_TRUE(std::holds_alternative<TextHit>(hit));
    EXPECT_EQ(find(u"luke 5"_s, FindSongs).understood.state, ReferenceState::NotOne);
    SongFilter french;
    french.language = u"fr"_s;
    const FindResult result = find({}, FindAll, french);
    EXPECT_THAT(titles(result), ElementsAre(u"\u00c9toile du port"_s));
}

TEST_F(FindEverything, NothingTypedFindsEverySongAndText) {
    const FindResult result = find({});
    EXPECT_EQ(result.hits.size(), 14u + 5u);
    EXPECT_EQ(find({}, FindTexts).hits.size(), 5u);
    EXPECT_EQ(find(u"   "_s, FindScripture).hits.size(), 0u);
}

TEST_F(FindEverything, ANameOfSeveralBooksOffersThemWithTheRestOfTheQuery) {
    // Of the demo's books only one begins so; a German one and an English one share a beginning.
    const FindResult result = find(u"j 24"_s);
    EXPECT_EQ(titleOf(result.hits.front()), u"Jude 24"_s);
    auto text = readTranslation(kDemo + u"/scripture/quayside"_s);
    text->details.shortName = u"JJ"_s;
    for (ScriptureBook& book : text->books)
        if (book.code.text() == u"TOB"_s)
            book.name = u"Jubilee"_s;
    ASSERT_TRUE(library->scripture().store(*text));
    const FindResult two = find(u"ju 4 jj"_s);
    std::vector<FoundBook> books;
    for (const FindHit& hit : two.hits)
        if (const auto* book = std::get_if<FoundBook>(&hit))
            books.push_back(*book);
    ASSERT_EQ(books.size(), 2u);
    EXPECT_EQ(books[0].name, u"Jude"_s);
    EXPECT_EQ(books[0].typed.simplified(), u"Jude 4"_s);
    EXPECT_FALSE(pickOf(FindHit(books[0])));
    ASSERT_TRUE(library->scripture().putInBin(library->scripture().translation(u"JJ"_s)->id));
}

TEST_F(FindEverything, PicksBecomeWords) {
    const auto song = LibraryFinder(*library).words(*pickOf(find(u"lantern on"_s).hits.front()));
    ASSERT_TRUE(song);
    EXPECT_EQ(titleOf(*song), u"Lantern on the Water"_s);
    const auto text = LibraryFinder(*library).words(*pickOf(find(u"notices"_s).hits.front()));
    ASSERT_TRUE(text);
    EXPECT_EQ(std::get<TextItem>(*text).text->title, u"Notices for the week"_s);
    PassageLayout usual;
    usual.flow = PassageFlow::VerseASlide;
    ASSERT_TRUE(saveUsualLayout(library->folder(), usual));
    PassagePick pick = std::get<PassagePick>(*pickOf(find(u"jude 3-4"_s).hits.front()));
    pick.translations.clear(); // the usual one
    const auto passage = LibraryFinder(*library).words(pick);
    ASSERT_TRUE(passage);
    EXPECT_EQ(std::get<PassageItem>(*passage).passage->layout, usual);
    EXPECT_EQ(titleOf(*passage), u"Jude 3\u20134 (QST)"_s);
    EXPECT_FALSE(LibraryFinder(*library).words(SongId::create()));
    EXPECT_FALSE(LibraryFinder(*library).words(TextId::create()));
    pick.translations = {TranslationId::create()};
    EXPECT_FALSE(LibraryFinder(*library).words(pick));
}

TEST_F(FindEverything, PicksAreDraggedWhole) {
    std::vector<FindPick> picks{SongId::create(), TextId::create()};
    PassagePick passage = std::get<PassagePick>(*pickOf(find(u"luke 5:4b-6a; jude 3"_s).hits.front()));
    passage.translations.push_back(TranslationId::create());
    picks.emplace_back(passage);
    EXPECT_EQ(picksFromBytes(picksToBytes(picks)), picks);
    EXPECT_TRUE(picksFromBytes("no JSON").empty());
    EXPECT_TRUE(picksFromBytes(R"([{"song":"x"},{"ranges":[]},7])").empty());
}

TEST(FindInNothing, AnEmptyLibraryIsNoError) {
    const QTemporaryDir folder;
    const auto library = Library::open(folder.path());
    ASSERT_TRUE(library);
    const auto result = LibraryFinder(**library).find({u"luke 5"_s, FindAll, {}});
    ASSERT_TRUE(result);
    EXPECT_TRUE(result->hits.empty());
    EXPECT_FALSE(LibraryFinder(**library).words(PassagePick{{}, {}}));
}

} // namespace
} // namespace mivanta
