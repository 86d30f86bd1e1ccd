// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Fonts.h"
#include <QCoreApplication>
#include <QDirIterator>
#include <QFile>
#include <QFontDatabase>
#include <QPointer>
#include <QSet>
#include <thread>
#include <vector>

namespace mivanta {

void loadShippedFonts() {
    QDirIterator at(QStringLiteral(":/mivanta/fonts"));
    while (at.hasNext())
        if (QFontDatabase::addApplicationFont(at.next()) < 0)
            qWarning("a shipped font could not be loaded: %s", qPrintable(at.filePath()));
}

namespace {

constexpr qint64 kLargestFont = 64 << 20;
constexpr int kMostFonts = 500;

struct FontBytes {
    QString path;
    QByteArray bytes;
};

/// Paths of what was made known already; GUI thread.
QSet<QString>& loadedFonts() {
    static QSet<QString> loaded;
    return loaded;
}

std::vector<FontBytes> readFonts(const QString& folder, const QSet<QString>& loaded) {
    std::vector<FontBytes> fonts;
    QDirIterator at(folder, QDir::Files);
    while (at.hasNext() && fonts.size() < size_t(kMostFonts)) {
        QFile file(at.next());
        if (!loaded.contains(file.fileName()) && file.size() <= kLargestFont &&
            file.open(QIODevice::ReadOnly))
            fonts.push_back({file.fileName(), file.readAll()});
    }
    return fonts;
}

/// True when there was one that was not known yet.
bool addFonts(const std::vector<FontBytes>& fonts) {
    bool isAny = false;
    for (const FontBytes& font : fonts) {
        if (loadedFonts().contains(font.path))
            continue;
        loadedFonts().insert(font.path);
        isAny = true;
        if (QFontDatabase::addApplicationFontFromData(font.bytes) < 0)
            qWarning("a font could not be loaded: %s", qPrintable(font.path));
    }
    return isAny;
}

} // namespace

void loadFontsLater(const QString& folder, QObject* asker, const std::function<void(bool)>& then) {
    std::thread([folder, loaded = loadedFonts(), guard = QPointer<QObject>(asker), then] {
        auto fonts = readFonts(folder, loaded);
        if (QCoreApplication* app = QCoreApplication::instance())
            QMetaObject::invokeMethod(
                app,
                [fonts = std::move(fonts), guard, then] {
                    const bool isAny = addFonts(fonts);
                    if (guard)
                        then(isAny);
                },
                Qt::QueuedConnection);
    }).detach();
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
