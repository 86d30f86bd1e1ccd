// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Letters.h"
#include <QFontMetricsF>
#include <QGlyphRun>
#include <QHash>

namespace mivanta {

namespace {
constexpr double kRaisedSize = 0.6; // of a raised verse number, in sizes of the words
/// A sign as it is in its font, at the one size that such fonts have.
struct SignPicture {
    QImage picture;
    QRectF bounds; ///< of that size, from the baseline
};

constexpr int kSignSize = 109; // px; other sizes are made from it

/// Null for what has no colours, such as a space. Taken from the plain face: the run's own font may be made
/// bolder than its face is, which Qt does with outlines only, and these signs have none. Kept, because
/// letters without outlines are many, and because Qt loses the pictures of a face that is used at several
/// sizes.
const SignPicture& signPicture(const QRawFont& font, quint32 glyph) {
    thread_local QHash<std::pair<QString, quint32>, SignPicture> known;
    const std::pair key(font.familyName(), glyph);
    auto at = known.constFind(key);
    if (at == known.constEnd()) {
        QFont plain(font.familyName());
        plain.setPixelSize(kSignSize);
        const QRawFont face = QRawFont::fromFont(plain);
        const QRectF bounds = face.boundingRect(glyph);
        at = known.insert(key, bounds.isEmpty() ? SignPicture()
                                                : SignPicture{face.alphaMapForGlyph(glyph), bounds});
    }
    return *at;
}

} // namespace

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

RowLayout::RowLayout(const QString& text, const QFont& font, const std::vector<Emphasis>& emphasis,
                     const std::vector<NumberSpan>& numbers)
    : m_layout(text, font),
      m_emphasis(emphasis),
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

void RowLayout::addTo(Letters& letters, QPointF baseline) const {
    LetterKinds kinds;
    addTo(kinds, baseline);
    for (Letters* some : {&kinds.plain, &kinds.numbers, &kinds.emphasised})
        std::move(some->begin(), some->end(), std::back_inserter(letters));
}

void RowLayout::addTo(LetterKinds& letters, QPointF baseline) const {
    const auto addWords = [&](int from, int to) {
        for (const Emphasis& e : m_emphasis) {
            const int first = std::clamp(e.from, from, to);
            const int last = std::clamp(e.to, from, to);
            if (first >= last)
                continue;
            addRange(letters.plain, letters.signs, baseline, from, first);
            addRange(letters.emphasised, letters.signs, baseline, first, last);
            from = last;
        }
        addRange(letters.plain, letters.signs, baseline, from, to);
    };
    int from = 0;
    for (const NumberSpan& span : m_numbers) {
        addWords(from, span.from);
        addRange(letters.numbers, letters.signs, baseline - QPointF(0, span.raised ? m_raise : 0), span.from,
                 span.to);
        from = span.to;
    }
    addWords(from, int(m_layout.text().size()));
}

void RowLayout::addRange(Letters& letters, std::vector<ColourSign>& signs, QPointF baseline, int from,
                         int to) const {
    if (from >= to)
        return;
    const QPointF shift = baseline - QPointF(0, m_line.isValid() ? m_line.ascent() : 0);
    for (const QGlyphRun& run : m_layout.glyphRuns(from, to - from)) {
        const QRawFont font = run.rawFont();
        const auto glyphs = run.glyphIndexes();
        const auto places = run.positions();
        for (qsizetype i = 0; i < glyphs.size(); ++i) {
            QPainterPath letter = font.pathForGlyph(glyphs[i]);
            if (letter.isEmpty() && !signPicture(font, glyphs[i]).picture.isNull()) {
                signs.push_back({font, glyphs[i], places[i] + shift});
                continue;
            }
            letter.setFillRule(Qt::WindingFill);
            letter.translate(places[i] + shift);
            letters.push_back(std::move(letter));
        }
    }
}

void drawSigns(QPainter& painter, const std::vector<ColourSign>& signs) {
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    for (const ColourSign& sign : signs) {
        const SignPicture& found = signPicture(sign.font, sign.glyph);
        const double scale = sign.font.pixelSize() / kSignSize;
        painter.drawImage(QRectF(sign.at + found.bounds.topLeft() * scale, found.bounds.size() * scale),
                          found.picture);
    }
}

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

} // namespace mivanta
