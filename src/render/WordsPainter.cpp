// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/WordsPainter.h"
#include "core/run/Slides.h"
#include "render/Blur.h"
#include "render/Fonts.h"
#include "render/Letters.h"
#include <QFontMetricsF>
#include <QPainterPathStroker>
#include <cmath>

namespace mivanta {

namespace {

constexpr double kStageNoteSize = 44;    // px on a picture of the height that looks are made for
constexpr double kSmallestCredit = 0.45; ///< of its size
constexpr double kChordSize = 0.52;      // in sizes of the words
constexpr double kBesideSize = 0.6;      // of the reference under the words
constexpr double kFaintAlpha = 0.68;     // of verse numbers and roles, when the theme does not say

double scaleOf(const Scene& scene) {
    return scene.size.height() / kLookHeight;
}

QFont wordsFont(const Scene& scene) {
    const WordsLook& look = scene.look.words;
    return slideFont(look.family, look.weight, scene.fontSize, look.capitals);
}

QColor numberColour(const WordsLook& look) {
    if (look.numberColour)
        return toColor(*look.numberColour);
    QColor faint = toColor(look.colour);
    faint.setAlphaF(float(faint.alphaF() * kFaintAlpha));
    return faint;
}

/// The block of rows and where it stands.
struct Block {
    QRectF box;
    double rowHeight = 0;
    double chordRoom = 0;
    double lineGap = 0;
    double under = 0; ///< height of the reference under the words
    double height = 0;
    double top = 0;

    explicit Block(const Scene& scene) {
        const WordsLook& look = scene.look.words;
        box = onPicture(look.box, scene.size);
        chordRoom = scene.roomForChords ? kChordHeight * scene.fontSize : 0;
        rowHeight = look.lineSpacing * scene.fontSize + chordRoom;
        lineGap = look.paragraphSpacing * scene.fontSize;
        under = scene.besideWords.isEmpty() ? 0 : rowHeight;
        height = rowHeight * double(scene.rows.size()) + under;
        for (size_t i = 1; i < scene.rows.size(); ++i)
            height += scene.rows[i].startsLine ? lineGap : 0;
        top = box.top();
        if (look.vertical == VerticalAlign::Middle)
            top = box.center().y() - height / 2;
        else if (look.vertical == VerticalAlign::Bottom)
            top = box.bottom() - height;
    }
};

struct WordPaths {
    std::vector<std::pair<QColor, Letters>> words; // by colour
    Letters chords;
    std::vector<ColourSign> signs;
    Letters numbers; // verse numbers, roles' names, the reference under the words
    QRectF area;     // of the rows

    Letters& inColour(const QColor& colour) {
        for (auto& [known, letters] : words)
            if (known == colour)
                return letters;
        return words.emplace_back(colour, Letters()).second;
    }
    [[nodiscard]] Letters all() const {
        Letters letters = numbers;
        for (const auto& [colour, some] : words)
            letters.insert(letters.end(), some.begin(), some.end());
        return letters;
    }
};

template <typename List>
void append(List& to, List&& from) {
    std::move(from.begin(), from.end(), std::back_inserter(to));
}

void addRow(WordPaths& paths, const RowLayout& layout, const SceneRow& row, const WordsLook& look,
            QPointF baseline) {
    LetterKinds kinds;
    layout.addTo(kinds, baseline);
    const QColor colour = toColor(row.colour.value_or(look.colour));
    append(paths.inColour(colour), std::move(kinds.plain));
    const bool standsOut = look.emphasisColour && !row.colour;
    append(paths.inColour(standsOut ? toColor(*look.emphasisColour) : colour), std::move(kinds.emphasised));
    append(paths.numbers, std::move(kinds.numbers));
    append(paths.signs, std::move(kinds.signs));
}

/// The outlines of every letter, in scene px.
WordPaths wordPaths(const Scene& scene) {
    const WordsLook& look = scene.look.words;
    const Block block(scene);
    const QRectF& box = block.box;
    const QFont font = wordsFont(scene);
    const QFont chordFont =
        slideFont(QString::fromLatin1(kChordFamily), 700, int(scene.fontSize * kChordSize));
    const QFontMetricsF metrics(font);

    const bool columns = std::any_of(scene.rows.begin(), scene.rows.end(),
                                     [](const SceneRow& row) { return !row.beside.empty(); });
    const double columnWidth = box.width() * (1 - kColumnGap) / 2;
    const QRectF first(box.left(), box.top(), columns ? columnWidth : box.width(), box.height());
    const QRectF second(box.right() - columnWidth, box.top(), columnWidth, box.height());
    const auto leftOf = [&](const QRectF& area, const RowLayout& layout) {
        const HorizontalAlign align =
            columns ? HorizontalAlign::Left : look.horizontal; // columns read as columns
        return leftEdge(area, layout.width(), readingAlign(align, layout.isRightToLeft()));
    };
    WordPaths paths;
    double top = block.top;
    const auto cover = [&](double left, double width) {
        paths.area |= QRectF(left, top, width, block.rowHeight);
    };
    for (const SceneRow& row : scene.rows) {
        if (&row != &scene.rows.front() && row.startsLine)
            top += block.lineGap;
        const RowLayout layout(row.text, font, row.emphasis, row.numbers);
        const double left = leftOf(first, layout);
        // The letters stand in the middle of the row's height.
        const double letterRoom = block.rowHeight - block.chordRoom;
        const double baseline = top + block.chordRoom +
                                (letterRoom - metrics.ascent() - metrics.descent()) / 2 + metrics.ascent();
        addRow(paths, layout, row, look, {left, baseline});
        cover(left, layout.width());
        for (const SceneRow& beside : row.beside) {
            const RowLayout other(beside.text, font, beside.emphasis, beside.numbers);
            addRow(paths, other, beside, look, {leftOf(second, other), baseline});
            cover(leftOf(second, other), other.width());
        }
        double free = left; // a chord never stands over the one before it
        for (const ChordMark& chord : row.chords) {
            const RowLayout name(chord.name, chordFont);
            const double x = std::max(free, left + layout.edgeOf(chord.position));
            name.addTo(paths.chords, {x, baseline - metrics.ascent() * 0.92});
            free = x + name.width() + chordFont.pixelSize() * 0.35;
        }
        top += block.rowHeight;
    }
    if (block.under > 0) {
        const QFont smaller = slideFont(look.family, 400, std::max(1, int(scene.fontSize * kBesideSize)));
        const RowLayout layout(scene.besideWords, smaller);
        const double left = leftEdge(box, layout.width(), look.horizontal);
        layout.addTo(paths.numbers, {left, top + (block.rowHeight + QFontMetricsF(smaller).capHeight()) / 2});
        cover(left, layout.width());
    }
    return paths;
}

/// `size`: of the whole picture, scene px. Only the part that the shadow reaches is blurred.
void paintShadow(QPainter& painter, const Letters& letters, const WordsLook& look, double scale, QSize size) {
    if (look.shadowColour.alpha == 0)
        return;
    const double blur = look.shadowBlur * scale;
    const double offset = look.shadowOffset * scale;
    const double reach = 2 * blur + 2; // three box blurs of the radius go less far than twice of it
    const QRect area = boundsOf(letters)
                           .translated(offset, offset)
                           .adjusted(-reach, -reach, reach, reach)
                           .toAlignedRect()
                           .intersected(QRect(QPoint(0, 0), size));
    if (area.isEmpty())
        return;
    // Blurred at half size: four times cheaper, and what is lost is lost in the blur.
    const double half = blur >= 4 ? 0.5 : 1.0;
    QImage drawn(area.size() * half, QImage::Format_ARGB32_Premultiplied); // Qt fills paths fastest here
    drawn.fill(Qt::transparent);
    {
        QPainter shadow(&drawn);
        shadow.setRenderHint(QPainter::Antialiasing);
        shadow.scale(double(drawn.width()) / area.width(), double(drawn.height()) / area.height());
        shadow.translate(offset - area.x(), offset - area.y());
        fillLetters(shadow, letters, Qt::black);
    }
    QImage alpha = drawn.convertToFormat(QImage::Format_Alpha8);
    blurAlpha(alpha, blur * half);
    QImage coloured(alpha.size(), QImage::Format_ARGB32_Premultiplied);
    coloured.fill(toColor(look.shadowColour));
    {
        QPainter mask(&coloured);
        mask.setCompositionMode(QPainter::CompositionMode_DestinationIn);
        mask.drawImage(0, 0, alpha.convertToFormat(QImage::Format_ARGB32_Premultiplied));
    }
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(QRectF(area), coloured);
}

QRectF panelArea(const Scene& scene) {
    const Panel& panel = scene.look.words.panel;
    const double padding = panel.padding * scaleOf(scene);
    const QRectF box = onPicture(scene.look.words.box, scene.size);
    const QRectF words = wordsArea(scene).adjusted(-padding, -padding, padding, padding);
    switch (panel.reach) {
    case PanelReach::Words:
        return words;
    case PanelReach::Box:
        return box.adjusted(-padding, -padding, padding, padding);
    case PanelReach::Band:
        return {0, words.top(), double(scene.size.width()), words.height()};
    case PanelReach::None:
        break;
    }
    return {};
}

} // namespace

QRectF wordsArea(const Scene& scene) {
    return scene.rows.empty() || scene.fontSize <= 0 ? QRectF() : wordPaths(scene).area;
}

void paintPanel(QPainter& painter, const Scene& scene, const QImage& behind) {
    const Panel& panel = scene.look.words.panel;
    if (panel.reach == PanelReach::None || scene.rows.empty() || scene.fontSize <= 0)
        return;
    const double scale = scaleOf(scene);
    const QRectF area = panelArea(scene);
    QPainterPath shape;
    const double roundness = panel.reach == PanelReach::Band ? 0 : panel.roundness * scale;
    shape.addRoundedRect(area, roundness, roundness);
    if (panel.blur > 0 && !behind.isNull()) {
        const double toBehind = double(behind.width()) / scene.size.width();
        const double reach = 2 * panel.blur * scale; // what is outside shines in
        const QRectF wanted = area.adjusted(-reach, -reach, reach, reach) & QRectF(QPointF(), scene.size);
        const QRect from = QRectF(wanted.topLeft() * toBehind, wanted.size() * toBehind).toAlignedRect();
        const QImage blurred = blurredPicture(behind.copy(from), panel.blur * scale * toBehind);
        painter.save();
        painter.setClipPath(shape, Qt::IntersectClip);
        painter.setRenderHint(QPainter::SmoothPixmapTransform);
        painter.drawImage(QRectF(QPointF(from.topLeft()) / toBehind, QSizeF(from.size()) / toBehind),
                          blurred);
        painter.restore();
    }
    painter.fillPath(shape, toColor(panel.colour));
}

void paintWords(QPainter& painter, const Scene& scene) {
    if (scene.rows.empty() || scene.fontSize <= 0)
        return;
    const WordsLook& look = scene.look.words;
    const double scale = scaleOf(scene);
    const WordPaths paths = wordPaths(scene);
    const double outline = look.outlineWidth * scale;
    Letters shape = paths.all();
    if (outline > 0) {
        QPainterPathStroker stroker;
        stroker.setWidth(2 * outline);
        stroker.setJoinStyle(Qt::RoundJoin);
        for (QPainterPath& letter : shape)
            letter.addPath(stroker.createStroke(letter));
    }
    paintShadow(painter, shape, look, scale, scene.size);
    if (outline > 0)
        fillLetters(painter, shape, toColor(look.outlineColour));
    for (const auto& [colour, letters] : paths.words)
        fillLetters(painter, letters, colour);
    drawSigns(painter, paths.signs);
    fillLetters(painter, paths.numbers, numberColour(look));
    fillLetters(painter, paths.chords, toColor(look.chordColour));
}

void paintCredit(QPainter& painter, const Scene& scene) {
    if (scene.credit.isEmpty())
        return;
    const CreditLook& look = scene.look.credit;
    const QRectF box = onPicture(look.box, scene.size);
    // A long credit line becomes smaller rather than losing its end, but not so small that nobody could read
    // it.
    int size = int(std::lround(look.size * scaleOf(scene)));
    const double wanted = QFontMetricsF(slideFont({}, 400, size)).horizontalAdvance(scene.credit);
    if (wanted > box.width())
        size = std::max({1, int(size * kSmallestCredit), int(size * box.width() / wanted)});
    const QFont font = slideFont({}, 400, size);
    const RowLayout layout(QFontMetricsF(font).elidedText(scene.credit, Qt::ElideRight, box.width() + 1),
                           font);
    Letters letters;
    const QFontMetricsF metrics(font);
    layout.addTo(letters, {leftEdge(box, layout.width(), look.horizontal),
                           box.center().y() + (metrics.ascent() - metrics.descent()) / 2});
    fillLetters(painter, letters, toColor(look.colour));
}

void paintStageNote(QPainter& painter, const Scene& scene) {
    if (scene.stageNote.isEmpty())
        return;
    const double size = kStageNoteSize * scaleOf(scene);
    const QFont font = slideFont({}, 700, int(size));
    const RowLayout layout(scene.stageNote, font);
    Letters letters;
    layout.addTo(letters,
                 {scene.size.width() - layout.width() - size, size * 0.5 + QFontMetricsF(font).ascent()});
    fillLetters(painter, letters, toColor(scene.look.words.chordColour));
}

} // namespace mivanta
