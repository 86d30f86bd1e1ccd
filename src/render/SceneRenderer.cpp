// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/SceneRenderer.h"
#include "core/run/Slides.h"
#include "render/Blur.h"
#include "render/Fonts.h"
#include <QFontMetricsF>
#include <QGlyphRun>
#include <QPainter>
#include <QPainterPath>
#include <QRawFont>
#include <QTextLayout>
#include <cmath>
#include <vector>

namespace mivanta {

namespace {

constexpr double kReferenceHeight = 1080;
constexpr double kStageNoteSize = 44; // px at the reference height
constexpr double kRaisedSize = 0.6;   // of a raised verse number, in sizes of the words
constexpr double kBesideSize = 0.6;   // of the reference under the words
constexpr double kFaintAlpha = 0.68;  // of verse numbers and roles, when the theme does not say

QColor toColor(const Colour& c) {
    return QColor(c.red, c.green, c.blue, c.alpha);
}

void paintBackdrop(QPainter& painter, const Backdrop& backdrop, const QRectF& area) {
    switch (backdrop.kind) {
    case BackdropKind::None:
        return;
    case BackdropKind::Plain:
        painter.fillRect(area, toColor(backdrop.colour));
        return;
    case BackdropKind::Gradient:
        break;
    }
    // The gradient line runs through the centre and just reaches the corners, as in CSS.
    const double angle = backdrop.angle * M_PI / 180;
    const QPointF direction(std::cos(angle), std::sin(angle));
    const double reach =
        (std::abs(direction.x()) * area.width() + std::abs(direction.y()) * area.height()) / 2;
    QLinearGradient gradient(area.center() - direction * reach, area.center() + direction * reach);
    for (const GradientStop& stop : backdrop.stops)
        gradient.setColorAt(stop.at, toColor(stop.colour));
    painter.fillRect(area, gradient);
}

/// The outlines of letters. Kept one by one: Qt fills many small paths several times faster than one
/// large path of the same letters.
using Letters = std::vector<QPainterPath>;

void fillLetters(QPainter& painter, const Letters& letters, const QColor& colour) {
    if (colour.alpha() == 255) {
        for (const QPainterPath& letter : letters)
            painter.fillPath(letter, colour);
        return;
    }
    QPainterPath together; // or letters that touch would be darker where they do
    together.setFillRule(Qt::WindingFill);
    for (const QPainterPath& letter : letters)
        together.addPath(letter);
    painter.fillPath(together, colour);
}

QRectF boundsOf(const Letters& letters) {
    QRectF bounds;
    for (const QPainterPath& letter : letters)
        bounds |= letter.controlPointRect();
    return bounds;
}

/// One row of text laid out on a line of its own, in the direction that its letters ask for.
class RowLayout {
public:
    RowLayout(const QString& text, const QFont& font, const std::vector<Emphasis>& emphasis = {},
              const std::vector<NumberSpan>& numbers = {})
        : m_layout(text, font),
          m_numbers(numbers) {
        QList<QTextLayout::FormatRange> formats;
        const auto add = [&](int from, int to, const QFont& with) {
            QTextCharFormat format;
            format.setFont(with);
            formats << QTextLayout::FormatRange{from, to - from, format};
        };
        for (const Emphasis& e : emphasis) {
            QFont weighted = font;
            if (e.bold)
                weighted.setWeight(QFont::Weight(bolderThan(font.weight())));
            weighted.setItalic(e.italic);
            add(e.from, e.to, weighted);
        }
        QFont small = font;
        small.setPixelSize(std::max(1, int(font.pixelSize() * kRaisedSize)));
        for (const NumberSpan& span : numbers)
            if (span.raised)
                add(span.from, std::min(span.to + 1, int(text.size())), small); // with the space behind it
        m_raise = QFontMetricsF(font).capHeight() - QFontMetricsF(small).capHeight();
        m_layout.setFormats(formats);
        m_layout.beginLayout();
        m_line = m_layout.createLine();
        m_layout.endLayout();
    }
    [[nodiscard]] double width() const { return m_line.isValid() ? m_line.naturalTextWidth() : 0; }
    /// Distance of a character's leading edge from the row's left edge.
    [[nodiscard]] double edgeOf(int character) const {
        return m_line.isValid() ? m_line.cursorToX(character) : 0;
    }
    [[nodiscard]] bool isRightToLeft() const { return m_layout.text().isRightToLeft(); }
    void addTo(Letters& letters, QPointF baseline) const { addTo(letters, letters, baseline); }
    /// Verse numbers among letters of their own.
    void addTo(Letters& letters, Letters& numbers, QPointF baseline) const {
        int from = 0;
        for (const NumberSpan& span : m_numbers) {
            addRange(letters, baseline, from, span.from);
            addRange(numbers, baseline - QPointF(0, span.raised ? m_raise : 0), span.from, span.to);
            from = span.to;
        }
        addRange(letters, baseline, from, int(m_layout.text().size()));
    }

private:
    void addRange(Letters& letters, QPointF baseline, int from, int to) const {
        if (from >= to)
            return;
        const QPointF shift = baseline - QPointF(0, m_line.isValid() ? m_line.ascent() : 0);
        for (const QGlyphRun& run : m_layout.glyphRuns(from, to - from)) {
            const QRawFont font = run.rawFont();
            const auto glyphs = run.glyphIndexes();
            const auto places = run.positions();
            for (qsizetype i = 0; i < glyphs.size(); ++i) {
                QPainterPath letter = font.pathForGlyph(glyphs[i]);
                letter.setFillRule(Qt::WindingFill);
                letter.translate(places[i] + shift);
                letters.push_back(std::move(letter));
            }
        }
    }

    QTextLayout m_layout;
    std::vector<NumberSpan> m_numbers;
    double m_raise = 0; ///< px
    QTextLine m_line;
};

double leftEdge(const QRectF& box, double width, HorizontalAlign align) {
    switch (align) {
    case HorizontalAlign::Left:
        return box.left();
    case HorizontalAlign::Centre:
        return box.center().x() - width / 2;
    case HorizontalAlign::Right:
        return box.right() - width;
    }
    return box.left();
}

/// "Left" means where a reader starts: on the right for a script written from there.
HorizontalAlign readingAlign(HorizontalAlign align, bool rightToLeft) {
    if (!rightToLeft || align == HorizontalAlign::Centre)
        return align;
    return align == HorizontalAlign::Left ? HorizontalAlign::Right : HorizontalAlign::Left;
}

struct WordPaths {
    std::vector<std::pair<QColor, Letters>> words; // by colour
    Letters chords;
    Letters numbers; // verse numbers, roles' names, the reference under the words

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

QColor numberColour(const WordsLook& look) {
    if (look.numberColour)
        return toColor(*look.numberColour);
    QColor faint = toColor(look.colour);
    faint.setAlphaF(float(faint.alphaF() * kFaintAlpha));
    return faint;
}

void addRow(WordPaths& paths, const RowLayout& layout, const SceneRow& row, const WordsLook& look,
            QPointF baseline) {
    layout.addTo(paths.inColour(toColor(row.colour.value_or(look.colour))), paths.numbers, baseline);
}

/// The outlines of every letter, in scene px.
WordPaths wordPaths(const Scene& scene) {
    const WordsLook& look = scene.look.words;
    const QRectF box(look.box.x() * scene.size.width(), look.box.y() * scene.size.height(),
                     look.box.width() * scene.size.width(), look.box.height() * scene.size.height());
    const QFont font = slideFont(look.family, look.weight, scene.fontSize);
    const QFont chordFont = slideFont(QString::fromLatin1(kChordFamily), 700, int(scene.fontSize * 0.52));
    const QFontMetricsF metrics(font);
    const double chordRoom = scene.roomForChords ? kChordHeight * scene.fontSize : 0;
    const double rowHeight = look.lineSpacing * scene.fontSize + chordRoom;
    const double under = scene.besideWords.isEmpty() ? 0 : rowHeight;
    const double total = rowHeight * double(scene.rows.size()) + under;
    double top = box.top();
    if (look.vertical == VerticalAlign::Middle)
        top = box.center().y() - total / 2;
    else if (look.vertical == VerticalAlign::Bottom)
        top = box.bottom() - total;

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
    for (const SceneRow& row : scene.rows) {
        const RowLayout layout(row.text, font, row.emphasis, row.numbers);
        const double left = leftOf(first, layout);
        // The letters stand in the middle of the row's height.
        const double letterRoom = rowHeight - chordRoom;
        const double baseline =
            top + chordRoom + (letterRoom - metrics.ascent() - metrics.descent()) / 2 + metrics.ascent();
        addRow(paths, layout, row, look, {left, baseline});
        for (const SceneRow& beside : row.beside) {
            const RowLayout other(beside.text, font, beside.emphasis, beside.numbers);
            addRow(paths, other, beside, look, {leftOf(second, other), baseline});
        }
        double free = left; // a chord never stands over the one before it
        for (const ChordMark& chord : row.chords) {
            const RowLayout name(chord.name, chordFont);
            const double x = std::max(free, left + layout.edgeOf(chord.position));
            name.addTo(paths.chords, {x, baseline - metrics.ascent() * 0.92});
            free = x + name.width() + chordFont.pixelSize() * 0.35;
        }
        top += rowHeight;
    }
    if (under > 0) {
        const QFont smaller = slideFont(look.family, 400, std::max(1, int(scene.fontSize * kBesideSize)));
        const RowLayout layout(scene.besideWords, smaller);
        layout.addTo(paths.numbers, {leftEdge(box, layout.width(), look.horizontal),
                                     top + (rowHeight + QFontMetricsF(smaller).capHeight()) / 2});
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

void paintWords(QPainter& painter, const Scene& scene) {
    if (scene.rows.empty() || scene.fontSize <= 0)
        return;
    const WordsLook& look = scene.look.words;
    const double scale = scene.size.height() / kReferenceHeight;
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
    fillLetters(painter, paths.numbers, numberColour(look));
    fillLetters(painter, paths.chords, toColor(look.chordColour));
}

void paintCredit(QPainter& painter, const Scene& scene) {
    if (scene.credit.isEmpty())
        return;
    const CreditLook& look = scene.look.credit;
    const double scale = scene.size.height() / kReferenceHeight;
    const QRectF box(look.box.x() * scene.size.width(), look.box.y() * scene.size.height(),
                     look.box.width() * scene.size.width(), look.box.height() * scene.size.height());
    // A long credit line becomes smaller rather than losing its end.
    int size = int(std::lround(look.size * scale));
    const double wanted = QFontMetricsF(slideFont({}, 400, size)).horizontalAdvance(scene.credit);
    if (wanted > box.width())
        size = std::max(1, int(size * box.width() / wanted));
    const QFont font = slideFont({}, 400, size);
    const RowLayout layout(scene.credit, font);
    Letters letters;
    const QFontMetricsF metrics(font);
    layout.addTo(letters, {leftEdge(box, layout.width(), look.horizontal),
                           box.center().y() + (metrics.ascent() - metrics.descent()) / 2});
    fillLetters(painter, letters, toColor(look.colour));
}

/// A note for the musicians, at the top right in the chords' colour.
void paintStageNote(QPainter& painter, const Scene& scene) {
    if (scene.stageNote.isEmpty())
        return;
    const double scale = scene.size.height() / kReferenceHeight;
    const QFont font = slideFont({}, 700, int(kStageNoteSize * scale));
    const RowLayout layout(scene.stageNote, font);
    Letters letters;
    layout.addTo(letters, {scene.size.width() - layout.width() - kStageNoteSize * scale,
                           kStageNoteSize * scale * 0.5 + QFontMetricsF(font).ascent()});
    fillLetters(painter, letters, toColor(scene.look.words.chordColour));
}

} // namespace

QImage renderScene(const Scene& scene, QSize size) {
    const QSize target = size.isEmpty() ? scene.size : size;
    QImage image(target, QImage::Format_ARGB32_Premultiplied);
    if (image.isNull())
        return image;
    if (scene.curtain == Curtain::Black) {
        image.fill(Qt::black);
        return image;
    }
    image.fill(Qt::transparent);
    QPainter painter(&image);
    painter.setRenderHint(QPainter::Antialiasing);
    if (target != scene.size)
        painter.scale(double(target.width()) / scene.size.width(),
                      double(target.height()) / scene.size.height());
    paintBackdrop(painter, scene.look.backdrop, QRectF(QPointF(0, 0), QSizeF(scene.size)));
    if (scene.curtain == Curtain::Open) {
        paintWords(painter, scene);
        paintCredit(painter, scene);
        paintStageNote(painter, scene);
    }
    return image;
}

} // namespace mivanta
