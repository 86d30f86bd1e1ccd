// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/LegibilityMeasure.h"
#include "render/Fonts.h"
#include "render/SceneRenderer.h"
#include <QFontMetricsF>
#include <QPainter>
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kMeasuredHeight = 540; // px; letters are still many px high
constexpr int kBeside = 2;           // px around a letter that decide whether its shape is seen

/// The letters alone, as coverage.
QImage lettersOf(Scene scene, QSize size) {
    scene.look.words.outlineWidth = 0;
    scene.look.words.shadowColour.alpha = 0;
    scene.look.words.panel.reach = PanelReach::None;
    scene.look.objects.clear();
    scene.credit.clear();
    scene.stageNote.clear();
    return renderFront(scene, size, {});
}

Colour colourOf(QRgb pixel) {
    return {quint8(qRed(pixel)), quint8(qGreen(pixel)), quint8(qBlue(pixel)), 255};
}

/// The colours that words have on this slide.
std::vector<double> luminancesOf(const Scene& scene) {
    std::vector<double> result;
    for (const SceneRow& row : scene.rows)
        result.push_back(relativeLuminance(row.colour.value_or(scene.look.words.colour)));
    return result;
}

/// 1 where a letter is at most kBeside px away across and down, row by row.
std::vector<uchar> aroundLetters(const QImage& letters) {
    const int width = letters.width();
    const int height = letters.height();
    std::vector<uchar> across(size_t(width) * size_t(height), 0);
    std::vector<uchar> around(across.size(), 0);
    for (int y = 0; y < height; ++y) {
        const auto* line = reinterpret_cast<const QRgb*>(letters.constScanLine(y));
        for (int x = 0; x < width; ++x)
            if (qAlpha(line[x]) > 128)
                for (int to = std::max(0, x - kBeside); to <= std::min(width - 1, x + kBeside); ++to)
                    across[size_t(y) * size_t(width) + size_t(to)] = 1;
    }
    for (int y = 0; y < height; ++y)
        for (int to = std::max(0, y - kBeside); to <= std::min(height - 1, y + kBeside); ++to)
            for (int x = 0; x < width; ++x)
                around[size_t(to) * size_t(width) + size_t(x)] |=
                    across[size_t(y) * size_t(width) + size_t(x)];
    return around;
}

} // namespace

LetterHeights letterHeights(const WordsLook& words, int fontSize, int pictureHeight) {
    const QFontMetricsF metrics(slideFont(words.family, words.weight, fontSize, words.capitals));
    const double capital = metrics.capHeight() / pictureHeight;
    return {words.capitals == Capitals::AsWritten ? metrics.xHeight() / pictureHeight : capital, capital};
}

namespace {

double contrastOf(const Scene& scene, RoomLight light, const RenderSources& sources) {
    const QSize size = scene.size.scaled(QSize(4 * kMeasuredHeight, kMeasuredHeight), Qt::KeepAspectRatio);
    const QImage letters = lettersOf(scene, size);
    QImage seen(size, QImage::Format_RGB32);
    seen.fill(Qt::black); // what a screen shows behind a see-through picture
    QPainter(&seen).drawImage(0, 0, renderScene(scene, size, sources));
    const auto luminances = luminancesOf(scene);
    const auto [darkest, lightest] = std::minmax_element(luminances.begin(), luminances.end());
    const std::vector<uchar> around = aroundLetters(letters);
    std::vector<double> ratios;
    for (int y = 0; y < size.height(); ++y) {
        const auto* letter = reinterpret_cast<const QRgb*>(letters.constScanLine(y));
        const auto* pixel = reinterpret_cast<const QRgb*>(seen.constScanLine(y));
        for (int x = 0; x < size.width(); ++x) {
            if (qAlpha(letter[x]) > 0 || !around[size_t(y) * size_t(size.width()) + size_t(x)])
                continue;
            const double behind = relativeLuminance(colourOf(pixel[x]));
            ratios.push_back(
                std::min(contrastRatio(*darkest, behind, light), contrastRatio(*lightest, behind, light)));
        }
    }
    return contrastReached(std::move(ratios));
}

} // namespace

double measuredContrast(const Scene& scene, RoomLight light, const RenderSources& sources) {
    if (scene.rows.empty())
        return contrastReached({});
    const Backdrop& backdrop = scene.look.backdrop;
    const bool isFilm = backdrop.kind == BackdropKind::Film && sources.filmLength;
    const double to = !isFilm ? 0 : backdrop.filmTo > 0 ? backdrop.filmTo : sources.filmLength(backdrop.film);
    double least = contrastOf(scene, light, sources);
    Scene later = scene;
    for (int i = 1; i < kMeasuredMoments && to > backdrop.filmFrom; ++i) {
        later.look.backdrop.filmFrom = backdrop.filmFrom + (to - backdrop.filmFrom) * i / kMeasuredMoments;
        least = std::min(least, contrastOf(later, light, sources));
    }
    return least;
}

} // namespace mivanta
