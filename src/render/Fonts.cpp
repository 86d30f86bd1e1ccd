// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Fonts.h"
#include <QDirIterator>
#include <QFontDatabase>
#include <QSet>

namespace mivanta {

void loadShippedFonts() {
    QDirIterator at(QStringLiteral(":/mivanta/fonts"));
    while (at.hasNext())
        if (QFontDatabase::addApplicationFont(at.next()) < 0)
            qWarning("a shipped font could not be loaded: %s", qPrintable(at.filePath()));
}

void loadFontsIn(const QString& folder) {
    static QSet<QString> loaded;
    QDirIterator at(folder, QDir::Files);
    while (at.hasNext())
        if (const QString path = at.next(); !loaded.contains(path)) {
            loaded.insert(path);
            if (QFontDatabase::addApplicationFont(path) < 0)
                qWarning("a font could not be loaded: %s", qPrintable(path));
        }
}

QFont slideFont(const QString& family, int weight, int sizePx, Capitals capitals) {
    // The shipped faces cover Western European letters; Noto has the others.
    QStringList families{family.isEmpty() ? QString::fromLatin1(kTextFamily) : family};
    if (families.first() != QLatin1String(kTextFamily))
        families << QString::fromLatin1(kTextFamily);
    families << QStringLiteral("Noto Sans") << QStringLiteral("Noto Sans Hebrew")
             << QStringLiteral("Noto Sans Arabic");
    QFont font;
    font.setFamilies(families);
    font.setPixelSize(std::max(1, sizePx));
    font.setWeight(QFont::Weight(weight));
    font.setHintingPreference(QFont::PreferNoHinting);
    font.setStyleStrategy(QFont::StyleStrategy(QFont::PreferAntialias | QFont::PreferOutline));
    if (capitals != Capitals::AsWritten)
        font.setCapitalization(capitals == Capitals::All ? QFont::AllUppercase : QFont::SmallCaps);
    return font;
}

} // namespace mivanta
