// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Encodings.h"
#include <QStringDecoder>
#include <algorithm>
#include <array>
#include <memory>
#include <uchardet/uchardet.h>

namespace mivanta {

namespace {

/// Bytes 0x80 to 0x9f of Windows-1252, as https://encoding.spec.whatwg.org/#windows-1252 has them.
constexpr std::array<char16_t, 32> kWindows1252{
    0x20AC, 0x0081, 0x201A, 0x0192, 0x201E, 0x2026, 0x2020, 0x2021, 0x02C6, 0x2030, 0x0160,
    0x2039, 0x0152, 0x008D, 0x017D, 0x008F, 0x0090, 0x2018, 0x2019, 0x201C, 0x201D, 0x2022,
    0x2013, 0x2014, 0x02DC, 0x2122, 0x0161, 0x203A, 0x0153, 0x009D, 0x017E, 0x0178};

struct Encoding {
    QLatin1String detected; ///< as uchardet calls it
    const char* decoder;    ///< what reads it: where Windows has a superset, that
    const char* name;       ///< for people
    qsizetype fewest;       ///< bytes beyond ASCII before it is believed
};

constexpr qsizetype kMostLooked = 1 << 20; ///< bytes; more make nothing surer
constexpr qsizetype kOther = 4; ///< letters of another script are hardly ever accents of a Western text
constexpr qsizetype kLatin = 6; ///< accents of one Latin encoding may be those of another

constexpr std::array kEncodings{
    Encoding{QLatin1String("WINDOWS-1250"), "windows-1250", "Windows-1250", kLatin},
    Encoding{QLatin1String("ISO-8859-2"), "ISO-8859-2", "ISO 8859-2", kLatin},
    Encoding{QLatin1String("WINDOWS-1251"), "windows-1251", "Windows-1251", kOther},
    Encoding{QLatin1String("ISO-8859-5"), "ISO-8859-5", "ISO 8859-5", kOther},
    Encoding{QLatin1String("KOI8-R"), "KOI8-R", "KOI8-R", kOther},
    Encoding{QLatin1String("IBM866"), "IBM866", "IBM 866", kOther},
    Encoding{QLatin1String("WINDOWS-1253"), "windows-1253", "Windows-1253", kOther},
    Encoding{QLatin1String("ISO-8859-7"), "windows-1253", "Windows-1253", kOther},
    Encoding{QLatin1String("ISO-8859-9"), "windows-1254", "Windows-1254", kLatin},
    Encoding{QLatin1String("WINDOWS-1255"), "windows-1255", "Windows-1255", kOther},
    Encoding{QLatin1String("ISO-8859-8"), "windows-1255", "Windows-1255", kOther},
    Encoding{QLatin1String("WINDOWS-1256"), "windows-1256", "Windows-1256", kOther},
    Encoding{QLatin1String("ISO-8859-6"), "windows-1256", "Windows-1256", kOther},
    Encoding{QLatin1String("WINDOWS-1257"), "windows-1257", "Windows-1257", kLatin},
    Encoding{QLatin1String("ISO-8859-13"), "windows-1257", "Windows-1257", kLatin},
    Encoding{QLatin1String("ISO-8859-4"), "windows-1257", "Windows-1257", kLatin},
    Encoding{QLatin1String("WINDOWS-1258"), "windows-1258", "Windows-1258", kLatin},
    Encoding{QLatin1String("TIS-620"), "windows-874", "Windows-874", kOther},
    Encoding{QLatin1String("SHIFT_JIS"), "Shift_JIS", "Shift JIS", kOther},
    Encoding{QLatin1String("EUC-JP"), "EUC-JP", "EUC-JP", kOther},
    Encoding{QLatin1String("GB18030"), "GB18030", "GB 18030", kOther},
    Encoding{QLatin1String("BIG5"), "Big5", "Big5", kOther},
    Encoding{QLatin1String("UHC"), "EUC-KR", "EUC-KR", kOther},
    Encoding{QLatin1String("EUC-KR"), "EUC-KR", "EUC-KR", kOther},
};

QByteArray detected(const QByteArray& bytes) {
    const std::unique_ptr<struct uchardet, decltype(&uchardet_delete)> detector(uchardet_new(),
                                                                                &uchardet_delete);
    const auto looked = size_t(std::min(bytes.size(), kMostLooked));
    if (!detector || uchardet_handle_data(detector.get(), bytes.constData(), looked) != 0)
        return {};
    uchardet_data_end(detector.get());
    return uchardet_get_charset(detector.get());
}

/// Control signs come of reading one encoding as another; some decoders write U+001A for what they do not
/// know.
bool hasControls(const QString& text) {
    return std::any_of(text.begin(), text.end(), [](QChar c) {
        return c == QChar::ReplacementCharacter || c.isNonCharacter() || isNoLetter(c.unicode()) ||
               (c.category() == QChar::Other_Control && c.unicode() > 0x7f) ||
               c.category() == QChar::Other_PrivateUse;
    });
}

} // namespace

bool isNoLetter(char16_t sign) {
    return sign < 0x20 && sign != u'\t' && sign != u'\n' && sign != u'\r' && sign != u'\f' && sign != u'\v';
}

QString fromWindows1252(const QByteArray& bytes) {
    QString text(bytes.size(), Qt::Uninitialized);
    for (qsizetype i = 0; i < bytes.size(); ++i) {
        const auto byte = quint8(bytes[i]);
        text[i] = QChar(byte >= 0x80 && byte < 0xa0 ? kWindows1252[size_t(byte - 0x80)] : char16_t(byte));
    }
    return text;
}

GuessedText guessedText(const QByteArray& bytes) {
    const auto beyondAscii =
        std::count_if(bytes.begin(), bytes.end(), [](char c) { return quint8(c) >= 0x80; });
    const QByteArray found = detected(bytes);
    const auto known = std::find_if(kEncodings.begin(), kEncodings.end(), [&](const Encoding& each) {
        return each.detected == QLatin1String(found) && beyondAscii >= each.fewest;
    });
    if (known != kEncodings.end()) {
        QStringDecoder decoder(known->decoder, QStringConverter::Flag::Stateless);
        if (decoder.isValid())
            if (const QString text = decoder.decode(bytes); !decoder.hasError() && !hasControls(text))
                return {text, QLatin1String(known->name)};
    }
    return {fromWindows1252(bytes), QStringLiteral("Windows-1252")};
}

} // namespace mivanta
