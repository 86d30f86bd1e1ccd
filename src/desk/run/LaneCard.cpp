// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/LaneCard.h"
#include "desk/kit/Style.h"
#include <QMouseEvent>
#include <QPainter>
#include <QTextLayout>

namespace mivanta {

namespace {

constexpr int kRowsALine = 2;
constexpr int kReadableLightness = 150; ///< of 255, on the ground of the night
const QColor kSlabText(0x1b1300);

/// Wide cards, as on a large screen, have larger words.
double sizeAt(int width) {
    return 1.12 * std::clamp(double(width) / spaced(48), 1.0, 1.5);
}
QFont wordsFont(int width) {
    return textFont(sizeAt(width));
}
/// Rows are broken for the bold of the slab, so that they stay as they are when a card lights up.
QFont widestFont(int width) {
    return textFont(sizeAt(width), TextWeight::Bold);
}
int head() {
    return spaced(6);
}
int margin() {
    return spaced(2);
}
int rowHeight(int width) {
    return QFontMetrics(wordsFont(width)).height();
}

/// A line wrapped to a card's width, in at most `mostRows` rows; the last one elided when there would be
/// more.
QStringList wrapped(const QString& line, int cardWidth, int mostRows) {
    const QFont font = widestFont(cardWidth);
    const int width = cardWidth - 2 * margin();
    const QFontMetrics metrics(font);
    QTextLayout layout(line, font);
    layout.beginLayout();
    QStringList rows;
    for (QTextLine row = layout.createLine(); row.isValid(); row = layout.createLine()) {
        row.setLineWidth(width);
        if (rows.size() + 1 == mostRows) {
            rows << metrics.elidedText(line.mid(row.textStart()), Qt::ElideRight, width);
            break;
        }
        rows << line.mid(row.textStart(), row.textLength()).trimmed();
    }
    layout.endLayout();
    return rows;
}

} // namespace

LaneCard::LaneCard(const Card& card, QWidget* parent) : QWidget(parent), m_card(card) {
    setFocusPolicy(Qt::NoFocus);
    setToolTip(tr("Click: make this next. Double click: put it on screen."));
    setMark({});
}

void LaneCard::setMark(const Mark& mark) {
    m_mark = mark;
    setAccessibleName(QStringLiteral("%1 %2 %3").arg(m_card.label, m_card.place, tag()).simplified());
    QStringList said;
    for (qsizetype i = 0; i < m_card.lines.size(); ++i) {
        const CardVoice* voice = voiceAt(size_t(i));
        said << (voice && !voice->role.isEmpty() ? voice->role + QStringLiteral(": ") : QString()) +
                    m_card.lines[i];
    }
    setAccessibleDescription(said.join(u'\n'));
    update();
}

QString LaneCard::tag() const {
    switch (m_mark.state) {
    case State::OnScreen:
        return m_mark.holdsNext ? tr("ON SCREEN \u00b7 NEXT") : tr("ON SCREEN");
    case State::Covered: {
        const QString covered = tr("NOT SEEN \u00b7 %1").arg(m_mark.cover.toUpper());
        return m_mark.holdsNext ? tr("%1 \u00b7 NEXT").arg(covered) : covered;
    }
    case State::Next:
        return tr("NEXT");
    default:
        return {};
    }
}

int LaneCard::wantedHeight(int width) const {
    int rows = 0;
    for (const QString& line : m_card.lines)
        rows += int(wrapped(line, width, kRowsALine).size());
    return head() + std::max(2, rows) * rowHeight(width) + spaced(2.5);
}

void LaneCard::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        Q_EMIT looked();
}

void LaneCard::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        Q_EMIT taken();
}

void LaneCard::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Palette& colours = night();
    const QRectF frame = QRectF(rect()).adjusted(1, 1, -1, -1);
    const bool lit = m_mark.state == State::OnScreen;
    if (lit) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(colours.marker);
    } else if (m_mark.state == State::Covered) {
        painter.setPen(QPen(colours.marker, 2));
        painter.setBrush(Qt::NoBrush);
    } else if (m_mark.state == State::Next) {
        painter.setPen(QPen(colours.accent, 2, Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
    } else {
        painter.setPen(QPen(colours.line, 1));
        painter.setBrush(Qt::NoBrush);
    }
    painter.drawRoundedRect(frame, 3, 3);

    const QColor past(0x74, 0x82, 0x82);
    const QColor label = lit                              ? kSlabText
                         : m_mark.state == State::Covered ? colours.marker
                         : m_mark.state == State::Next    ? colours.accent
                         : m_mark.state == State::Past    ? past
                                                          : colours.quiet;
    const QColor words = lit ? kSlabText : m_mark.state == State::Past ? past : colours.text;
    const QRect inner = rect().adjusted(margin(), spaced(1), -margin(), -spaced(1));
    const QRect top(inner.left(), inner.top(), inner.width(), head() - spaced(1.5));
    painter.setPen(label);
    const bool standsOut = m_mark.state == State::Next || m_mark.state == State::Covered || lit;
    painter.setFont(textFont(0.85, standsOut ? TextWeight::Bold : TextWeight::Regular));
    QStringList right{m_card.place, tag()};
    right.removeAll(QString());
    const QString rightText = right.join(QStringLiteral(" \u00b7 "));
    painter.drawText(top, Qt::AlignRight | Qt::AlignVCenter, rightText);
    const int room = top.width() - painter.fontMetrics().horizontalAdvance(rightText) - spaced(2);
    painter.setFont(textFont(0.85, TextWeight::Bold));
    painter.drawText(top, Qt::AlignLeft | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(m_card.label, Qt::ElideRight, room));

    const int high = rowHeight(width());
    QFont font = wordsFont(width());
    font.setWeight(lit ? QFont::Bold : QFont::Normal);
    painter.setFont(font);
    painter.setPen(words);
    int y = head();
    const int floor = height() - spaced(2);
    for (qsizetype i = 0; i < m_card.lines.size(); ++i) {
        const QString& line = m_card.lines[i];
        const int lineTop = y;
        painter.setPen(colourOf(size_t(i), words));
        for (const QString& row : wrapped(line, width(), kRowsALine)) {
            const bool lastThatFits = y + 2 * high > floor && i + 1 < m_card.lines.size();
            const Qt::Alignment side = line.isRightToLeft() ? Qt::AlignRight : Qt::AlignLeft;
            if (y + high > floor + spaced(1))
                break;
            const QString shown = painter.fontMetrics().elidedText(lastThatFits ? row + QChar(0x2026) : row,
                                                                   Qt::ElideRight, inner.width());
            painter.drawText(QRect(inner.left(), y, inner.width(), high),
                             side | Qt::AlignVCenter | Qt::TextSingleLine, shown);
            y += high;
        }
        if (const CardVoice* voice = voiceAt(size_t(i));
            voice && voice->colour) // also where colours are not told apart
            painter.fillRect(
                QRect(rect().left() + spaced(0.6), lineTop + high / 8, spaced(0.6), y - lineTop - high / 4),
                painter.pen().color());
    }
    paintTicks(painter);
}

const CardVoice* LaneCard::voiceAt(size_t line) const {
    return line < m_card.voices.size() ? &m_card.voices[line] : nullptr;
}

/// Who speaks is told by the colour that the screens have for them, made readable on the desk. On the slab,
/// and for what is past, all words have one.
QColor LaneCard::colourOf(size_t line, const QColor& words) const {
    const CardVoice* voice = voiceAt(line);
    if (!voice || !voice->colour || m_mark.state == State::OnScreen || m_mark.state == State::Past)
        return words;
    QColor colour(voice->colour->red, voice->colour->green, voice->colour->blue);
    colour.setHsl(colour.hslHue(), colour.hslSaturation(), std::max(colour.lightness(), kReadableLightness));
    return colour;
}

/// A bar for each step that this slide is on screen for, when finer outputs make more than one.
void LaneCard::paintTicks(QPainter& painter) const {
    const int steps = m_card.lastStep - m_card.firstStep + 1;
    if (steps < 2)
        return;
    const int gap = spaced(0.75);
    const double wide = double(width() - 2 * margin() - gap * (steps - 1)) / steps;
    for (int s = 0; s < steps; ++s) {
        const int step = m_card.firstStep + s;
        const QRectF bar(margin() + s * (wide + gap), height() - spaced(1.75), wide, 3);
        const bool here = step == m_mark.step;
        if (m_mark.state == State::OnScreen)
            painter.fillRect(bar, here ? kSlabText : QColor(0xB07A10));
        else
            painter.fillRect(bar, m_mark.state == State::Covered && here ? night().marker : night().line);
    }
}

} // namespace mivanta

#include "moc_LaneCard.cpp"
