// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/TextDecoding.h"
#include "core/base/Said.h"
#include "formats/BoundedRead.h"
#include "formats/Encodings.h"
#include <QLocale>
#include <QStringDecoder>
#include <algorithm>

namespace mivanta {

namespace {

/// Bytes at the end that begin a UTF-8 letter without ending it.
qsizetype unfinishedTail(const QByteArray& bytes) {
    for (qsizetype back = 1; back <= 3 && back <= bytes.size(); ++back) {
        const auto byte = quint8(bytes[bytes.size() - back]);
        if ((byte & 0xc0) == 0x80)
            continue;
        const qsizetype wanted = byte >= 0xf0 ? 4 : byte >= 0xe0 ? 3 : byte >= 0xc0 ? 2 : 1;
        return wanted > back ? back : 0;
    }
    return 0;
}

/// Position of the first byte that no text has, or -1.
qsizetype binaryByte(const QByteArray& bytes) {
    const auto at =
        std::find_if(bytes.begin(), bytes.end(), [](char byte) { return isNoLetter(quint8(byte)); });
    return at == bytes.end() ? -1 : at - bytes.begin();
}

/// Damage in UTF-8, rather than another encoding: for each byte that fits nowhere there are several letters
/// of more than one byte that do. Accents of Windows-1252 hardly ever make one.
bool isMostlyUtf8(const QByteArray& bytes) {
    constexpr qsizetype kLettersADamage = 4;
    qsizetype letters = 0;
    qsizetype damages = 0;
    for (qsizetype at = 0; at < bytes.size();) {
        const auto byte = quint8(bytes[at]);
        const int length = byte < 0x80 ? 1 : byte >= 0xf0 ? 4 : byte >= 0xe0 ? 3 : byte >= 0xc2 ? 2 : 0;
        bool isWhole = length > 0 && byte < 0xf5;
        for (qsizetype i = 1; i < length && isWhole; ++i)
            isWhole = at + i < bytes.size() && (quint8(bytes[at + i]) & 0xc0) == 0x80;
        letters += isWhole && length > 1 ? 1 : 0;
        damages += isWhole ? 0 : 1;
        at += isWhole ? length : 1;
    }
    return damages * kLettersADamage <= letters;
}

std::vector<int> damagedLines(const QString& text) {
    constexpr size_t kMost = 5;
    std::vector<int> lines;
    int line = 1;
    for (const QChar c : text) {
        line += c == u'\n' ? 1 : 0;
        if (c == QChar::ReplacementCharacter && (lines.empty() || lines.back() != line) &&
            lines.size() < kMost)
            lines.push_back(line);
    }
    return lines;
}

/// Half a letter stands for none: UTF-16 may be damaged, too.
void replaceHalfLetters(QString& text) {
    for (qsizetype i = 0; i < text.size(); ++i) {
        if (!text[i].isSurrogate())
            continue;
        if (text[i].isHighSurrogate() && i + 1 < text.size() && text[i + 1].isLowSurrogate())
            ++i;
        else
            text[i] = QChar::ReplacementCharacter;
    }
}

Result<DecodedText> decodeUtf16(const QByteArray& bytes, bool little, const QString& where) {
    DecodedText result;
    result.cutOff = bytes.size() % 2 != 0;
    QStringDecoder decoder(little ? QStringConverter::Utf16LE : QStringConverter::Utf16BE);
    result.text = decoder.decode(bytes.left(bytes.size() - bytes.size() % 2));
    if (std::any_of(result.text.begin(), result.text.end(),
                    [](QChar sign) { return isNoLetter(sign.unicode()); }))
        return failure(Said::tr("this is not a text file"), where, Said::tr("Choose a text file."));
    replaceHalfLetters(result.text);
    result.damagedLines = damagedLines(result.text);
    return result;
}

Result<DecodedText> decodeBytes(QByteArray bytes, const QString& where) {
    if (bytes.startsWith("\xff\xfe"))
        return decodeUtf16(bytes.mid(2), true, where);
    if (bytes.startsWith("\xfe\xff"))
        return decodeUtf16(bytes.mid(2), false, where);
    if (bytes.startsWith("\xef\xbb\xbf"))
        bytes = bytes.mid(3);
    if (const qsizetype at = binaryByte(bytes); at >= 0)
        return failure(Said::tr("this is not a text file (byte %1 is not a letter)").arg(at + 1), where,
                       Said::tr("Choose a text file."));
    DecodedText result;
    QStringDecoder utf8(QStringConverter::Utf8, QStringConverter::Flag::Stateless);
    result.text = utf8.decode(bytes);
    if (!utf8.hasError() && !result.text.contains(QChar::ReplacementCharacter))
        return result;
    const qsizetype tail = unfinishedTail(bytes);
    if (tail > 0) {
        QStringDecoder again(QStringConverter::Utf8);
        const QString text = again.decode(bytes.chopped(tail));
        // A lone accented letter at the end of a Windows-1252 file also looks unfinished.
        const bool hasLongLetters = text.toUtf8().size() != text.size();
        if (!again.hasError() && hasLongLetters)
            return DecodedText{text, true};
    }
    if (isMostlyUtf8(bytes)) {
        result.damagedLines = damagedLines(result.text);
        return result;
    }
    GuessedText guessed = guessedText(bytes);
    return DecodedText{std::move(guessed.text), false, std::move(guessed.encoding), {}};
}

} // namespace

QString guessedEncodingText(const DecodedText& text) {
    return Said::tr("the file is no UTF-8; it was read as %1, so look at its accents").arg(text.guessed);
}

QString damagedLettersText(const DecodedText& text) {
    QStringList lines;
    for (const int line : text.damagedLines)
        lines << QString::number(line);
    return Said::tr("letters are damaged and stand as \uFFFD here (line %1). Mend them.")
        .arg(lines.join(QStringLiteral(", ")));
}

Result<DecodedText> readText(QIODevice& device, const QString& where, qint64 largest) {
    const auto tooLarge = [&] {
        return failure(Said::tr("the file is larger than %1").arg(QLocale::c().formattedDataSize(largest)),
                       where, Said::tr("Check that this is the right file."));
    };
    if (!device.isSequential() && device.size() > largest)
        return tooLarge();
    const QByteArray bytes = readUpTo(device, largest + 1);
    if (bytes.size() > largest)
        return tooLarge();
    if (!device.atEnd() || (!device.isSequential() && bytes.size() < device.size()))
        return failure(Said::tr("the file could not be read to its end: %1").arg(device.errorString()), where,
                       Said::tr("Check the disk or copy the file again."));
    if (bytes.trimmed().isEmpty())
        return failure(Said::tr("the file is empty"), where, Said::tr("Nothing was brought in from it."));
    auto decoded = decodeBytes(bytes, where);
    if (decoded)
        decoded->text.replace(QStringLiteral("\r\n"), QStringLiteral("\n"))
            .replace(u'\r', u'\n')
            .replace(QChar(0x2028), u'\n')
            .replace(QChar(0x2029), u'\n');
    return decoded;
}

} // namespace mivanta
