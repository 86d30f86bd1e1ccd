// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/ReferenceParser.h"
#include "support/Outlines.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// What is typed, and what it is understood as; "?" a name of several books, "..." unfinished, "-" no
/// reference, "! words" refused with a message that holds these words.
struct Case {
    const char* typed;
    const char* understood;
};

QString outcome(const Understanding& u) {
    switch (u.state) {
    case ReferenceState::NotOne:
        return QStringLiteral("-");
    case ReferenceState::Unfinished:
        return QStringLiteral("...");
    case ReferenceState::Ambiguous:
        return QStringLiteral("?");
    case ReferenceState::Refused:
        return QStringLiteral("! ") + u.problem.what;
    case ReferenceState::Understood:
        break;
    }
    return u.text;
}

constexpr Case kEnglish[] = {
    // chapter and verses
    {"luk 5 1-11", "Luke 5:1–11"},
    {"Luke 5:1-11", "Luke 5:1–11"},
    {"LUKE 5:1-11", "Luke 5:1–11"},
    {"luke5:1-11", "Luke 5:1–11"},
    {"lk5.1-11", "Luke 5:1–11"},
    {"Lk 5.1", "Luke 5:1"},
    {"Luke. 5. 1", "Luke 5:1"},
    {"lu 5:3", "Luke 5:3"},
    {"Luke 5:1–11", "Luke 5:1–11"},
    {"Luke 5:1—11", "Luke 5:1–11"},
    {"Luke 5:1‑11", "Luke 5:1–11"},
    {"Luke 5:1−11", "Luke 5:1–11"},
    {"  luke   5 :  1 - 11  ", "Luke 5:1–11"},
    {"Luke 5:1-11.", "Luke 5:1–11"},
    {"john 3 16", "John 3:16"},
    {"jn 3:16", "John 3:16"},
    {"Jn3.16", "John 3:16"},
    {"jhn 3:16", "John 3:16"},
    {"JHN 3:16", "John 3:16"},
    {"Mt 17 20", "Matthew 17:20"},
    {"mk 9:1", "Mark 9:1"},
    {"rev 22:1", "Revelation 22:1"},
    {"song 2:4", "Song of Songs 2:4"},
    {"song of songs 2:4", "Song of Songs 2:4"},
    {"song of solomon 2:4", "Song of Songs 2:4"},
    {"sos 2:4", "Song of Songs 2:4"},
    {"eccl 3 1-8", "Ecclesiastes 3:1–8"},
    {"is 9:1", "Isaiah 9:1"},
    {"Isa 40:28-30", "Isaiah 40:28–30"},
    {"phil 2:5-11", "Philippians 2:5–11"},
    {"phlm 4", "Philemon 4"},
    {"acts of the apostles 2:1", "Acts 2:1"},
    // whole chapters
    {"Ps 23", "Psalm 23"},
    {"psalm 23", "Psalm 23"},
    {"Psalms 23", "Psalm 23"},
    {"ps23", "Psalm 23"},
    {"Ps 23-24", "Psalm 23–24"},
    {"Ps 23, 25", "Psalm 23, 25"},
    {"Ps 23; 25", "Psalm 23, 25"},
    {"ps 119:1-8", "Psalm 119:1–8"},
    {"Luke 5", "Luke 5"},
    {"luke chapter 5", "Luke 5"},
    {"luke ch. 5", "Luke 5"},
    {"gen 1-3", "Genesis 1–3"},
    {"Ps 149ff", "Psalm 149–150"},
    // books of one chapter
    {"Jude 5", "Jude 5"},
    {"jude 5-8", "Jude 5–8"},
    {"Jude 1:5", "Jude 5"},
    {"Jude 1 5", "Jude 5"},
    {"jude v 5", "Jude 5"},
    {"jude verses 5 to 8", "Jude 5–8"},
    {"Jude", "Jude"},
    {"Jude 3, 5", "Jude 3, 5"},
    {"Jude 20ff", "Jude 20–25"},
    {"philemon 4-7", "Philemon 4–7"},
    {"obadiah 3", "Obadiah 3"},
    {"3 john 4", "3 John 4"},
    {"III John 4", "3 John 4"},
    // numbered books
    {"1co13.4-7,13;14.1", "1 Corinthians 13:4–7, 13; 14:1"},
    {"1 Cor 13:4-7, 13; 14:1", "1 Corinthians 13:4–7, 13; 14:1"},
    {"1cor 13", "1 Corinthians 13"},
    {"1 co 13 4", "1 Corinthians 13:4"},
    {"1. Cor 13:4", "1 Corinthians 13:4"},
    {"1st Corinthians 13:4", "1 Corinthians 13:4"},
    {"first corinthians 13:4", "1 Corinthians 13:4"},
    {"First Corinthians thirteen, verse four", "1 Corinthians 13:4"},
    {"one corinthians 13", "1 Corinthians 13"},
    {"I Cor 13", "1 Corinthians 13"},
    {"II Cor 4:7", "2 Corinthians 4:7"},
    {"ii cor. 4. 7", "2 Corinthians 4:7"},
    {"2nd kings 2:1", "2 Kings 2:1"},
    {"second kings 2:1", "2 Kings 2:1"},
    {"2kgs 2:1", "2 Kings 2:1"},
    {"i sam 3:1-10", "1 Samuel 3:1–10"},
    {"1sa 3", "1 Samuel 3"},
    {"1 jn 4:7", "1 John 4:7"},
    {"1john4:7", "1 John 4:7"},
    {"III Jn 4", "3 John 4"},
    {"1 tim 2", "1 Timothy 2"},
    {"2 Pet 1:5-7", "2 Peter 1:5–7"},
    // across chapters
    {"Gen 1:31-2:3", "Genesis 1:31–2:3"},
    {"gen 1.31-2.3", "Genesis 1:31–2:3"},
    {"gen 1 31 - 2 3", "Genesis 1:31–2:3"},
    {"Gen 1:31 - Gen 2:3", "Genesis 1:31–2:3"},
    {"Gen 1-2:3", "Genesis 1:1–2:3"},
    {"Gen 1:31 to chapter 2 verse 3", "Genesis 1:31–2:3"},
    // lists
    {"Luke 5:1-11,27-32", "Luke 5:1–11, 27–32"},
    {"luke 5 1-11 27-32", "Luke 5:1–11, 27–32"},
    {"luke 5:1-11.27-32", "Luke 5:1–11, 27–32"},
    {"Luke 5:1-11 and 27-32", "Luke 5:1–11, 27–32"},
    {"Luke 5:1-11 & 27", "Luke 5:1–11, 27"},
    {"Luke 5:1,3,5", "Luke 5:1, 3, 5"},
    {"Luke 5:1, 6:3", "Luke 5:1; 6:3"},
    {"Luke 5.1, 6.3", "Luke 5:1; 6:3"},
    {"Luke 5:1; 6", "Luke 5:1; 6"},
    {"Luke 5:1; 6:3-4, 9", "Luke 5:1; 6:3–4, 9"},
    {"Luke 5:1; John 3:16", "Luke 5:1; John 3:16"},
    {"Luke 5:1; 1 John 3:16", "Luke 5:1; 1 John 3:16"},
    {"Luke 5; John 3", "Luke 5; John 3"},
    {"jn 3:16; ps 23", "John 3:16; Psalm 23"},
    {"Luke 27-32", "! Luke has no chapter 27"},
    // words
    {"Luke 5 v 3", "Luke 5:3"},
    {"Luke 5 v3", "Luke 5:3"},
    {"Luke 5v3", "Luke 5:3"},
    {"Luke 5 v. 3", "Luke 5:3"},
    {"Luke 5 vv 3-7", "Luke 5:3–7"},
    {"Luke 5 vs 3", "Luke 5:3"},
    {"Luke chapter 5 verse 3", "Luke 5:3"},
    {"Luke chapter 5, verses 1 to 11", "Luke 5:1–11"},
    {"luke 5 verses 1 through 11", "Luke 5:1–11"},
    {"Luke five, verses one to eleven, and then from twenty-seven", "Luke 5:1–11, 27–39"},
    {"luke five verses one to eleven and then from twenty seven", "Luke 5:1–11, 27–39"},
    {"luke five one to eleven", "Luke 5:1–11"},
    {"john three sixteen", "John 3:16"},
    {"psalm one hundred and nineteen", "Psalm 119"},
    {"psalm one hundred nineteen verses one hundred and five to one hundred and twelve", "Psalm 119:105–112"},
    {"psalm twenty-three", "Psalm 23"},
    {"psalm twenty three", "Psalm 23"},
    {"Luke 5 from 27", "Luke 5:27–39"},
    {"Luke 5 from verse 27", "Luke 5:27–39"},
    {"Luke 5 from verse 27 to 30", "Luke 5:27–30"},
    // following verses
    {"Luke 5:27ff", "Luke 5:27–39"},
    {"Luke 5:27 ff", "Luke 5:27–39"},
    {"Luke 5:27ff.", "Luke 5:27–39"},
    {"Luke 5:27f", "Luke 5:27–28"},
    {"Luke 5:27f.", "Luke 5:27–28"},
    {"Luke 5:1-3, 27ff", "Luke 5:1–3, 27–39"},
    {"1 Cor 13:12ff; 14:1", "1 Corinthians 13:12–13; 14:1"},
    // parts of verses
    {"Luke 5:4a", "Luke 5:4a"},
    {"Luke 5:4b-6a", "Luke 5:4b–6a"},
    {"Luke 5:4a-b", "! a number is missing"},
    {"Ps 23:1-4a", "Psalm 23:1–4a"},
    {"Luke 5:4a,6b", "Luke 5:4a, 6b"},
    {"Luke 5:4B", "Luke 5:4b"},
    {"Jude 5a", "Jude 5a"},
    // as it is typed
    {"", "-"},
    {"   ", "-"},
    {"l", "?"},
    {"lu", "..."},
    {"luk", "..."},
    {"Luke", "..."},
    {"luke ", "..."},
    {"Luke 5:", "..."},
    {"Luke 5:1-", "..."},
    {"Luke 5:1,", "..."},
    {"Luke 5;", "..."},
    {"Luke 5 v", "..."},
    {"Luke chapter", "..."},
    {"Luke 5:1; jo", "?"},
    // names of several books
    {"jo 3", "?"},
    {"ph 2", "?"},
    {"jud 5", "?"},
    {"cor 13", "?"},
    {"tim 2", "?"},
    {"john", "..."},
    {"1", "-"},
    {"1 c", "?"},
    {"1 j 3", "1 John 3"},
    // not there, or wrong
    {"Luke 99", "! Luke has no chapter 99 in Sample: it has 24 chapters"},
    {"Luke 5:40", "! Luke 5 has no verse 40 in Sample: it has 39 verses"},
    {"Luke 5:1-99", "! has no verse 99"},
    {"Luke 5:39f", "! has no verse 40"},
    {"Luke 0", "! counted from 1"},
    {"Luke 5:0", "! counted from 1"},
    {"Ps 151", "! Psalms has no chapter 151"},
    {"5:12-3", "-"},
    {"Luke 5:12-3", "! ends (5:3) before it begins (5:12)"},
    {"Luke 5:3-Luke 4:1", "! ends (4:1) before it begins (5:3)"},
    {"Luke 5:4b-4a", "! ends"},
    {"Luke 6-5", "! ends (chapter 5) before it begins (chapter 6)"},
    {"Luke 5:3-John 4:1", "! from one book into another"},
    {"Luke 5:1; Harbourites 3", "! no book is called “harbourites”"},
    {"Luke 5:!", "! “!” means nothing"},
    {"Luke 5:1 please", "! “please” means nothing"},
    {"Luke -5", "! nothing before"},
    {"Luke 5:1-x", "! a number is missing"},
    {"Tobit 3", "! Tobit is not in Sample"},
    {"Jude 26", "! Jude 1 has no verse 26"},
    {"Jude 2:1", "! Jude has no chapter 2 in Sample: it has one chapter"},
    {"verse 3", "-"},
    {"hymn 203", "-"},
    {"the fire burning", "-"},
    {"203", "-"},
    {"!!!", "-"},
    {"Luke 99999999999999999999", "! Luke has no chapter 9999"},
    {"Mat 17:21", "! Matthew 17:21 is not in Sample"},
    {"Mark 9:28-30", "! are not in Sample"},
    {"Matt 17:20-22", "Matthew 17:20–22"},
    // as people write and say it
    {"Romans 8:28-30.", "Romans 8:28–30"},
    {"Luke 5.", "Luke 5"},
    {"(Luke 5:1-11)", "Luke 5:1–11"},
    {"\"Luke 5:1-11\"", "Luke 5:1–11"},
    {"“Luke 5:1-11”", "Luke 5:1–11"},
    {"Luke 5:1-11!", "Luke 5:1–11"},
    {"see Luke 5:1-11", "Luke 5:1–11"},
    {"cf. Luke 5:1", "Luke 5:1"},
    {"Reading: Luke 5:1-11", "Luke 5:1–11"},
    {"First reading: Genesis 1:1-5.", "Genesis 1:1–5"},
    {"Old Testament Reading – Genesis 1:1-5", "Genesis 1:1–5"},
    {"The gospel reading is from Luke 5:1-11", "Luke 5:1–11"},
    {"Please turn to Luke 5", "Luke 5"},
    {"the gospel of Luke 5:1", "Luke 5:1"},
    {"the gospel according to Luke, chapter 5, verse 1", "Luke 5:1"},
    {"the book of Genesis 1:1", "Genesis 1:1"},
    {"the letter to the Romans 8:28", "Romans 8:28"},
    {"Paul's letter to the Romans 8:28", "Romans 8:28"},
    {"the first letter to the Corinthians 13:4", "1 Corinthians 13:4"},
    {"Paul's second letter to the Corinthians chapter four verse seven", "2 Corinthians 4:7"},
    {"St Luke 5:1-11", "Luke 5:1–11"},
    {"St. John 3:16", "John 3:16"},
    {"Saint Luke five, verse three", "Luke 5:3"},
    {"the twenty-third psalm", "Psalm 23"},
    {"the 23rd Psalm", "Psalm 23"},
    {"twentieth psalm", "Psalm 20"},
    {"chapter 5 of Luke", "Luke 5"},
    {"verses 1 to 11 of Luke 5", "Luke 5:1–11"},
    {"verse 3 of chapter 5 of Luke", "Luke 5:3"},
    {"Luke 5:3 onwards", "Luke 5:3–39"},
    {"Luke 5:3 to the end", "Luke 5:3–39"},
    {"Luke 5:3-end", "Luke 5:3–39"},
    {"Luke 5:3 and following", "Luke 5:3–39"},
    {"Luke 5:3 only", "Luke 5:3"},
    {"all of Luke 5", "Luke 5"},
    {"Luke 5, the whole chapter", "Luke 5"},
    {"Luke 5:1-11 Sample", "Luke 5:1–11"},
    {"Luke 5:1-11 (Sample)", "Luke 5:1–11"},
    {"Luke 5:1 plus 3", "Luke 5:1, 3"},
    {"Luke 5 vv1-11", "Luke 5:1–11"},
    {"Luke 5:1 until 11", "Luke 5:1–11"},
    {"Luke 5:1 - Luke 5:11", "Luke 5:1–11"},
    // chapters or verses
    {"Lk 2:1-7; 15-20", "Luke 2:1–7, 15–20"},
    {"Lk 2:1-7; 8-14; 15-20", "Luke 2:1–7, 8–14, 15–20"},
    {"Luke 2:1-7; chapters 15-20", "Luke 2:1–7; chapters 15–20"},
    {"Luke 5:1-11; 27-32", "Luke 5:1–11, 27–32"},
    {"Luke 5:1-11; 27", "Luke 5:1–11, 27"},
    {"Luke 5:1-11; 6", "Luke 5:1–11; 6"},
    {"Luke 5, 1-11", "Luke 5:1–11"},
    {"Luke 5, 7-9", "Luke 5:7–9"},
    {"Luke 5, 7", "Luke 5, 7"},
    {"Ps 23; 25-27", "Psalm 23; chapters 25–27"},
    // still refused, or no reference
    {"Luke 2:1-7; 60-70", "! Luke has no chapter 60"},
    {"Luke 5:1/11", "! “/” means nothing"},
    {"Luke 5:12-20; 15-18", "Luke 5:12–20; chapters 15–18"},
    {"see you on Sunday", "-"},
    {"from the sea", "-"},
    {"the lord is my light", "-"},
    {"first reading", "-"},
    {"chapter 5", "-"},
    {"the first of many", "-"},
    {"the hundredth psalm of Harbourites", "-"},
};

constexpr Case kGerman[] = {
    {"Lukas Kapitel 5 Vers 3", "Lukas 5:3"},
    {"Lukas 5,1 bis 11", "Lukas 5:1–11"},
    {"Lukas 5,1-11", "Lukas 5:1–11"},
    {"Lk 5,1-11.27", "Lukas 5:1–11, 27"},
    {"lk 5,1; 6,3", "Lukas 5:1; 6:3"},
    {"1. Mose 3,4", "1. Mose 3:4"},
    {"1 mose 3", "1. Mose 3"},
    {"1mo 3", "1. Mose 3"},
    {"mose 3", "?"},
    {"roemer 3,4", "Römer 3:4"},
    {"römer 3,4", "Römer 3:4"},
    {"romer 3,4", "Römer 3:4"},
    {"1 Kor 13,4-7.13", "1. Korinther 13:4–7, 13"},
    {"apg 2", "Apostelgeschichte 2"},
    {"Acts 2:1", "Apostelgeschichte 2:1"},
    {"luke 5:1-11", "Lukas 5:1–11"},
    {"Psalm 23", "Psalm 23"},
    {"john 3", "! John is not in Muster"},
};

void expectAll(const Case* cases, size_t count, const Outline& outline) {
    for (size_t i = 0; i < count; ++i) {
        const QString expected = QString::fromUtf8(cases[i].understood);
        const QString actual = outcome(understandReference(QString::fromUtf8(cases[i].typed), outline));
        if (expected.startsWith(u"! "))
            EXPECT_TRUE(actual.startsWith(u"! ") && actual.contains(expected.mid(2)))
                << cases[i].typed << " -> " << qPrintable(actual);
        else
            EXPECT_EQ(actual.toStdString(), expected.toStdString()) << cases[i].typed;
    }
}

TEST(Reference, IsUnderstoodInEveryForm) {
    expectAll(kEnglish, std::size(kEnglish), englishOutline());
    EXPECT_GE(std::size(kEnglish), 150u);
}

TEST(Reference, GoesByTheTranslationsOwnNames) {
    expectAll(kGerman, std::size(kGerman), germanOutline());
}

TEST(Reference, SaysWhatCanFollow) {
    const Outline outline = englishOutline();
    const auto help = [&](const char* text) {
        return understandReference(QString::fromUtf8(text), outline).help.toStdString();
    };
    EXPECT_EQ(help("luk"), "Luke has 24 chapters");
    EXPECT_EQ(help("luke 5"), "Luke 5 has 39 verses");
    EXPECT_EQ(help("luke 5:"), "Luke 5 has 39 verses");
    EXPECT_EQ(help("jude"), "Jude has 25 verses");
    EXPECT_EQ(help("ph"), "Philippians or Philemon?");
}

TEST(Reference, MovesOnToWhatFollows) {
    const Outline outline = englishOutline();
    const auto completed = [&](const char* text) {
        return understandReference(QString::fromUtf8(text), outline).completed.toStdString();
    };
    EXPECT_EQ(completed("luk"), "Luke ");
    EXPECT_EQ(completed("luk 5"), "Luke 5:");
    EXPECT_EQ(completed("1 cor"), "1 Corinthians ");
    EXPECT_EQ(completed("jud"), "");
    EXPECT_EQ(completed("Luke 5:1"), "");
}

TEST(Reference, ChaptersAreNeverWrittenAsChapterAndVerse) {
    Outline outline = englishOutline();
    EXPECT_EQ(understandReference(u"Luke 5; 7"_s, outline).text, u"Luke 5, 7"_s);
    outline.language = u"de"_s;
    const Understanding two = understandReference(u"Luke 5; 7"_s, outline);
    EXPECT_EQ(two.text, u"Luke 5; 7"_s);
    EXPECT_EQ(understandReference(two.text, outline).reference, two.reference);
    const Understanding range = understandReference(u"Luke 2-5:1"_s, outline);
    EXPECT_EQ(range.text, u"Luke 2:1\u20135:1"_s);
    EXPECT_EQ(understandReference(range.text, outline).reference, range.reference);
    const Understanding oneChapter = understandReference(u"Jude 12; 8"_s, outline);
    EXPECT_EQ(understandReference(oneChapter.text, outline).reference, oneChapter.reference);
}

TEST(Reference, ShowsTheOtherMeaningWhereBothMakeSense) {
    const Outline outline = englishOutline();
    const auto other = [&](const char* text) {
        return understandReference(QString::fromUtf8(text), outline).other.toStdString();
    };
    EXPECT_EQ(other("Lk 2:1-7; 15-20"), "Luke 2:1–7; chapters 15–20");
    EXPECT_EQ(other("Luke 5, 7-9"), "Luke 5; chapters 7–9");
    EXPECT_EQ(other("Luke 5, 7"), "Luke 5:7");
    EXPECT_EQ(other("Luke 5:1-11; 27-32"), ""); // there are no such chapters
    EXPECT_EQ(other("Luke 5:1-11"), "");
    EXPECT_EQ(other("Luke 2:1-7; chapters 15-20"), "");
}

TEST(Reference, SaysWhichVersesAreMissing) {
    const auto u = understandReference(QStringLiteral("Matt 17:20-22"), englishOutline());
    ASSERT_EQ(u.notes.size(), 1);
    EXPECT_EQ(u.notes.front().toStdString(), "Matthew 17:21 is not in Sample");
}

TEST(Reference, NamesTheChaptersThatAreThere) {
    Outline outline = englishOutline();
    auto& luke = outline.books[41];
    std::erase_if(luke.chapters,
                  [](const OutlineChapter& c) { return c.number < 4 || c.number == 6 || c.number > 8; });
    const auto u = understandReference(QStringLiteral("Luke 6"), outline);
    EXPECT_EQ(u.problem.what.toStdString(),
              "Luke has no chapter 6 in Sample: it has only the chapters 4–5 and 7–8");
}

RC_GTEST_PROP(Reference, WhatIsWrittenIsUnderstoodAsTheSame, ()) {
    Outline outline = englishOutline();
    outline.language = *rc::gen::element(u"en"_s, u"de"_s);
    Reference reference;
    const int count = *rc::gen::inRange(1, 5);
    for (int i = 0; i < count; ++i) {
        const auto& book = outline.books[*rc::gen::inRange<size_t>(0, outline.books.size())];
        const auto& first = book.chapters[*rc::gen::inRange<size_t>(0, book.chapters.size())];
        const auto& last =
            book.chapters[*rc::gen::inRange<size_t>(size_t(first.number) - 1, book.chapters.size())];
        VerseRange range{book.code, {first.number, 0, 0}, {last.number, 0, 0}};
        if (book.hasOneChapter() || *rc::gen::arbitrary<bool>()) {
            range.from.verse = *rc::gen::inRange(1, first.lastVerse + 1);
            range.to.verse = last.number == first.number
                                 ? *rc::gen::inRange(range.from.verse, last.lastVerse + 1)
                                 : *rc::gen::inRange(1, last.lastVerse + 1);
            RC_PRE(first.missing.empty() && last.missing.empty());
        }
        reference.ranges.push_back(range);
    }
    const Understanding u = understandReference(referenceText(reference, outline), outline);
    RC_LOG() << qPrintable(referenceText(reference, outline)) << " " << qPrintable(outcome(u));
    RC_ASSERT(u.state == ReferenceState::Understood);
    RC_ASSERT(u.reference == reference);
}

RC_GTEST_PROP(Reference, NonsenseIsAnsweredAndNeverInvented, (const std::string& noise)) {
    const Outline outline = englishOutline();
    for (const QString& text :
         {QString::fromStdString(noise), QStringLiteral("luk 5") + QString::fromStdString(noise)}) {
        const Understanding u = understandReference(text, outline);
        if (u.state == ReferenceState::Understood)
            for (const VerseRange& range : u.reference.ranges)
                RC_ASSERT((outline.book(range.book) && outline.book(range.book)->chapter(range.to.chapter)));
        if (u.state == ReferenceState::Refused)
            RC_ASSERT(!u.problem.what.isEmpty());
    }
}

} // namespace
} // namespace mivanta
