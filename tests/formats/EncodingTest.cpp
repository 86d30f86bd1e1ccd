// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reading.h"
#include "formats/Encodings.h"
#include "formats/TextDecoding.h"
#include <QBuffer>
#include <QStringEncoder>
#include <algorithm>
#include <array>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const QString kWords = u"Verse 1\n\u00c9toile du port \u2013 l\u2019\u00e9quipage\n"_s;

QString firstLineOf(const QByteArray& bytes) {
    return readOne(bytes).song.firstLine();
}

TEST(Encoding, Utf8WithAndWithoutMarkUtf16AndWindows1252) {
    const QString wanted = u"\u00c9toile du port \u2013 l\u2019\u00e9quipage"_s;
    EXPECT_EQ(firstLineOf(kWords.toUtf8()), wanted);
    EXPECT_EQ(firstLineOf("\xef\xbb\xbf" + kWords.toUtf8()), wanted);
    for (const auto encoding : {QStringConverter::Utf16LE, QStringConverter::Utf16BE}) {
        QStringEncoder encoder(encoding, QStringConverter::Flag::WriteBom);
        EXPECT_EQ(firstLineOf(QByteArray(encoder.encode(kWords))), wanted);
    }
    EXPECT_EQ(firstLineOf("Verse 1\n\xc9toile du port \x96 l\x92\xe9quipage\n"), wanted);
}

struct Sample {
    const char* encoding;
    const char* text;
};

TEST(Encoding, OtherEncodingsAreRecognisedByTheirLetters) {
    constexpr std::array samples{
        Sample{"windows-1250", "Světla v přístavu září\nloď se vrací domů, žádný strach\n"},
        Sample{"ISO-8859-2", "Światło w porcie świeci znów\nłódź wraca do domu\n"},
        Sample{"windows-1251", "Свет у ворот горит опять\nлодка домой идёт\n"},
        Sample{"KOI8-R", "Свет у ворот горит опять\nлодка домой идёт, нам не страшно больше\n"},
        Sample{"windows-1253", "Το φως στο λιμάνι ανάβει ξανά\nη βάρκα γυρίζει στο σπίτι\n"},
        Sample{"windows-1254", "Limanın ışığı yine yanıyor\nşarkı söyle, gemi dönüyor, ağla gülüm\n"},
        Sample{"windows-1255", "האור בנמל דולק שוב\nהסירה חוזרת הביתה\n"},
        Sample{"windows-1256", "نور الميناء يضيء من جديد\nوالقارب يعود إلى البيت\n"},
        Sample{"Shift_JIS", "港の明かりがまた灯る\n舟は家へ帰る\n"},
        Sample{"GB18030", "港口的灯又亮了\n小船回家\n"},
        Sample{"EUC-KR", "항구의 불빛이 다시 켜지고\n배는 집으로 돌아온다\n"},
        Sample{"Big5", "港口的燈又亮了\n小船回家\n"},
    };
    for (const Sample& sample : samples) {
        QStringEncoder encoder(sample.encoding);
        ASSERT_TRUE(encoder.isValid()) << sample.encoding;
        const QString text = QString::fromUtf8(sample.text);
        const GuessedText guessed = guessedText(QByteArray(encoder.encode(text)));
        EXPECT_EQ(guessed.text, text)
            << sample.encoding << " was taken for " << guessed.encoding.toStdString();
    }
}

TEST(Encoding, AFewAccentsAreWestern) {
    for (const char* text : {"café", "Noël", "señor de la mañana, ¿quién vendrá?", "la mer, là-bas, déjà",
                             "über Hafen, Bucht und Häuser nah, für dich da"}) {
        const QString words = QString::fromUtf8(text);
        const GuessedText guessed = guessedText(words.toLatin1());
        EXPECT_EQ(guessed.text, words);
        EXPECT_EQ(guessed.encoding, u"Windows-1252"_s);
    }
}

RC_GTEST_PROP(Encoding, EveryByteIsSomeLetter, (const std::string& bytes)) {
    const QByteArray all = QByteArray::fromStdString(bytes);
    const GuessedText guessed = guessedText(all);
    RC_ASSERT(!guessed.encoding.isEmpty());
    RC_ASSERT(guessed.text.isEmpty() == all.isEmpty());
}

Result<DecodedText> decoded(QByteArray bytes) {
    QBuffer device(&bytes);
    device.open(QIODevice::ReadOnly);
    return readText(device, u"x.txt"_s, 1 << 20);
}

RC_GTEST_PROP(Encoding, WhatWasReadCanBeReadAgainAsUtf8, (const std::string& bytes)) {
    const QByteArray mark = *rc::gen::element<QByteArray>("", "\xff\xfe", "\xfe\xff");
    const auto text = decoded(mark + QByteArray::fromStdString(bytes));
    if (text && !text->text.trimmed().isEmpty() && !text->text.startsWith(QChar(0xfeff)))
        RC_ASSERT(decoded(text->text.toUtf8())->text == text->text);
}

TEST(Encoding, ControlSignsStandInNoTextWhateverItIsWrittenIn) {
    for (const auto encoding :
         {QStringConverter::Utf8, QStringConverter::Utf16LE, QStringConverter::Utf16BE}) {
        QStringEncoder encoder(encoding, QStringConverter::Flag::WriteBom);
        EXPECT_FALSE(decoded(QByteArray(encoder.encode(u"Verse 1\n\u0001words\n"_s))));
    }
    // What Shift JIS does not know, its decoder makes a control sign.
    const GuessedText guessed = guessedText("\xad\xc2\xfd\xbd\x8f\xca\xca\xca\xca\xca\xca\xca\xca\n");
    EXPECT_TRUE(std::none_of(guessed.text.begin(), guessed.text.end(),
                             [](QChar sign) { return isNoLetter(sign.unicode()); }));
}

TEST(Encoding, OneDamagedByteInGoodUtf8IsMarkedAndSaid) {
    QByteArray bytes =
        "Verse 1\n" +
        u"\u00c9toile \u2013 l\u2019\u00e9quipage, \u00e9t\u00e9\n\u00e0 bord \u2013 l\u00e0\n"_s.toUtf8() +
        "v\xe9 rit\u00e9\n";
    const ReadSong read = readOne(bytes);
    EXPECT_EQ(words(read.song.parts[0]),
              (QStringList{u"\u00c9toile \u2013 l\u2019\u00e9quipage, \u00e9t\u00e9"_s,
                           u"\u00e0 bord \u2013 l\u00e0"_s, u"v\ufffd rit\u00e9"_s}));
    ASSERT_EQ(read.warnings.size(), 1u);
    EXPECT_EQ(read.warnings[0].line, 4);
    EXPECT_TRUE(read.warnings[0].text.contains(u"damaged"_s));
}

TEST(Encoding, LineEndsAndTabs) {
    const ReadSong read = readOne("Verse 1\r\none\ttwo\r\nthree\r\n\r\nChorus\rfour\r");
    EXPECT_EQ(words(read.song.parts[0]), (QStringList{u"one two"_s, u"three"_s}));
    EXPECT_EQ(words(read.song.parts[1]), QStringList{u"four"_s});
}

TEST(BadInput, EmptyAndBlankFiles) {
    for (const QByteArray& bytes : {QByteArray(), QByteArray(" \n\n\t"), QByteArray("\xef\xbb\xbf")}) {
        const auto songs = readBytes(bytes, u"x.txt"_s);
        ASSERT_FALSE(songs);
        EXPECT_FALSE(songs.error().what.isEmpty());
        EXPECT_EQ(songs.error().where, u"x.txt"_s);
    }
}

TEST(BadInput, BinaryFilesAreRefusedWithThePlace) {
    const auto songs = readBytes(QByteArray("PK\x03\x04 not a song", 15), u"x.txt"_s);
    ASSERT_FALSE(songs);
    EXPECT_TRUE(songs.error().what.contains(u"not a text file"_s));
    EXPECT_FALSE(readBytes(QByteArray("\xff\xfe\0\0a\0", 6), u"x.txt"_s));
}

TEST(BadInput, OnlyDetailsAreNoSong) {
    EXPECT_FALSE(readBytes("Title: Nothing\nKey: G\n", u"x.txt"_s));
    EXPECT_FALSE(readBytes("{title: Nothing}\n", u"x.cho"_s));
}

TEST(BadInput, AFileThatEndsInTheMiddleOfALetterSaysSo) {
    const QByteArray whole = u"Verse 1\nl\u2019\u00e9toile du s\u00e9jour\u2019"_s.toUtf8();
    const ReadSong read = readOne(whole.chopped(1));
    ASSERT_EQ(read.warnings.size(), 1u);
    EXPECT_EQ(read.song.firstLine(), u"l\u2019\u00e9toile du s\u00e9jour"_s);
}

TEST(BadInput, TooLargeIsRefusedWithoutReadingIt) {
    QByteArray bytes(int(kLargestSongFile) + 1, 'a');
    const auto songs = readBytes(bytes, u"x.txt"_s);
    ASSERT_FALSE(songs);
    EXPECT_TRUE(songs.error().what.contains(u"larger"_s));
}

/// A device that gives some bytes and then fails.
class FailingDevice : public QIODevice {
public:
    FailingDevice(QByteArray bytes, qint64 failAt) : m_bytes(std::move(bytes)), m_failAt(failAt) {
        open(ReadOnly | Unbuffered);
    }
    [[nodiscard]] qint64 size() const override { return m_bytes.size(); }

protected:
    qint64 readData(char* data, qint64 most) override {
        const qint64 count = std::min(most, m_failAt - m_at);
        if (count <= 0) {
            setErrorString(u"the disk is gone"_s);
            return -1;
        }
        memcpy(data, m_bytes.constData() + m_at, size_t(count));
        m_at += count;
        return count;
    }
    qint64 writeData(const char*, qint64) override { return -1; }

private:
    QByteArray m_bytes;
    qint64 m_failAt;
    qint64 m_at = 0;
};

TEST(BadInput, AReadThatFailsAtAnyByteIsAnErrorAndNeverHalfASong) {
    const QByteArray bytes("Verse 1\none\ntwo\nthree\n");
    for (qint64 at = 0; at < bytes.size(); ++at) {
        FailingDevice device(bytes, at);
        EXPECT_FALSE(readSongs(device, u"x.txt"_s)) << at;
    }
}

TEST(BadInput, ALineOfTenThousandLettersIsKeptWhole) {
    EXPECT_EQ(firstLineOf("Verse 1\n" + QByteArray(10'000, 'x') + "\n").size(), 10'000);
}

} // namespace
} // namespace mivanta
