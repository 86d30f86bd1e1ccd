// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/CallOutPainter.h"
#include "render/Fonts.h"
#include "render/Letters.h"
#include <QFontMetricsF>
#include <QStringList>

namespace mivanta {

namespace {

// px on a picture of the height that looks are made for
constexpr int kSize = 52;
constexpr int kSmallestCallOut = 24;
constexpr double kMargin = 30;
constexpr double kSides = 0.06;         // of the width
constexpr double kMostHeight = 1.0 / 3; // of the picture

/// Rows that are no wider than the room; a word alone may be.
QStringList rowsOf(const QString& text, const QFont& font, double room) {
    QStringList rows;
    for (const QString& word : text.simplified().split(u' ')) {
        const QString longer = rows.isEmpty() ? word : rows.last() + u' ' + word;
        if (rows.isEmpty() || RowLayout(longer, font).width() > room)
            rows << word;
        else
            rows.last() = longer;
    }
    return rows;
}

} // namespace

void paintCallOut(QPainter& painter, const Scene& scene) {
    if (scene.callOut.trimmed().isEmpty())
        return;
    const double scale = scene.size.height() / kLookHeight;
    const double room = scene.size.width() * (1 - 2 * kSides);
    const double margin = kMargin * scale;
    QFont font;
    QStringList rows;
    double height = 0;
    for (int size = kSize; size >= kSmallestCallOut; size -= 4) {
        font = slideFont({}, 700, std::max(1, int(size * scale)));
        rows = rowsOf(scene.callOut, font, room);
        height = double(rows.size()) * QFontMetricsF(font).lineSpacing() + 2 * margin;
        if (height <= scene.size.height() * kMostHeight)
            break;
    }
    // Over the foot, unless the words stand there, as those of a lower third do.
    const bool wordsAreLow = !scene.rows.empty() && scene.look.words.box.top() > 0.5;
    const QRectF band(0, wordsAreLow ? 0 : scene.size.height() - height, scene.size.width(), height);
    painter.fillRect(band, QColor(12, 18, 22, 235));
    const double edge = std::max(1.0, 4 * scale);
    painter.fillRect(QRectF(0, wordsAreLow ? band.bottom() - edge : band.top(), band.width(), edge),
                     QColor(255, 178, 36));
    const QFontMetricsF metrics(font);
    double baseline = band.top() + margin + metrics.ascent();
    for (const QString& row : rows) {
        const RowLayout layout(row, font);
        LetterKinds kinds;
        layout.addTo(kinds, {(scene.size.width() - layout.width()) / 2, baseline});
        fillLetters(painter, kinds.plain, Qt::white);
        drawSigns(painter, kinds.signs);
        baseline += metrics.lineSpacing();
    }
}

} // namespace mivanta
