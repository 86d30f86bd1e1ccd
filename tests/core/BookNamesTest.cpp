// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/BookNames.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

TEST(BookNames, AreKnownInTheirUsualVariants) {
    const std::pair<const char*, const char*> names[]{
        {"Revelation of John", "REV"},
        {"The Revelation of St John the Divine", "REV"},
        {"The Revelation to John", "REV"},
        {"Song of Solomon", "SNG"},
        {"The Acts of the Apostles", "ACT"},
        {"The Gospel according to St Matthew", "MAT"},
        {"Gospel of John", "JHN"},
        {"The First Book of Samuel", "1SA"},
        {"1st Kings", "1KI"},
        {"II Chronicles", "2CH"},
        {"The Book of Psalms", "PSA"},
        {"The First Epistle of Paul the Apostle to the Corinthians", "1CO"},
        {"The Second Letter of Paul to Timothy", "2TI"},
        {"The Epistle to the Hebrews", "HEB"},
        {"The Letter of James", "JAS"},
        {"The First Letter of John", "1JN"},
        {"The Second Letter of Peter", "2PE"},
        {"The Letter of Jude", "JUD"},
        {"The Book of the Prophet Isaiah", "ISA"},
        {"The Lamentations of Jeremiah", "LAM"},
        {"1. Mose", "GEN"},
        {"Offenbarung des Johannes", "REV"},
        {"Apostelgeschichte", "ACT"},
        {"R\xc3\xb6mer", "ROM"},
        {"1. K\xc3\xb6nige", "1KI"},
        {"Hoheslied", "SNG"},
        {"Gen\xc3\xa8se", "GEN"},
        {"\xc3\x89sa\xc3\xaf"
         "e",
         "ISA"},
        {"1 Corinthiens", "1CO"},
        {"Actes des Ap\xc3\xb4tres", "ACT"},
        {"Apocalypse", "REV"},
        {"G\xc3\xa9nesis", "GEN"},
        {"Hechos", "ACT"},
        {"Santiago", "JAS"},
        {"2 Tesalonicenses", "2TH"},
        {"Apocalipsis", "REV"},
    };
    for (const auto& [name, code] : names) {
        const auto book = bookFromAnyName(QString::fromUtf8(name));
        ASSERT_TRUE(book) << name;
        EXPECT_EQ(book->text().toStdString(), code) << name;
    }
}

TEST(BookNames, OthersAreNot) {
    for (const char* name : {"Harbourites", "The Letter", "", "12", "Paul", "The"})
        EXPECT_FALSE(bookFromAnyName(QString::fromUtf8(name))) << name;
}

} // namespace
} // namespace mivanta
