// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/FontCoverage.h"
#include "render/Fonts.h"
#include <QFontDatabase>
#include <QFontInfo>
#include <QFontMetrics>
#include <QRawFont>
#include <QSet>

namespace mivanta {

namespace {

constexpr int kAskedAt = 40; // px; coverage does not depend on it

bool isInvisible(char32_t letter) {
    const QChar::Category category = QChar::category(letter);
    return QChar::isSpace(letter) || category == QChar::Other_Format || category == QChar::Other_Control ||
           (letter >= 0xFE00 && letter <= 0xFE0F); // variation selectors
}

} // namespace

QString substituteFor(const QString& family) {
    if (family.isEmpty() || QFontDatabase::hasFamily(family))
        return {};
    return QFontInfo(slideFont(family, 400, kAskedAt)).family();
}

FontCoverage coverageOf(const QString& text, const FontChoice& choice) {
    const QFont font = slideFont(choice.family, choice.weight, kAskedAt);
    QFont alone = font;
    alone.setFamilies({font.families().front()});
    const QRawFont own = QRawFont::fromFont(alone);
    const QFontMetrics any(font);
    FontCoverage coverage;
    QSet<char32_t> seen;
    const auto letters = text.toUcs4();
    for (const char32_t letter : letters) {
        if (seen.contains(letter) || isInvisible(letter))
            continue;
        seen.insert(letter);
        if (own.supportsCharacter(letter))
            continue;
        (any.inFontUcs4(letter) ? coverage.borrowed : coverage.missing) += QString::fromUcs4(&letter, 1);
    }
    return coverage;
}

} // namespace mivanta
