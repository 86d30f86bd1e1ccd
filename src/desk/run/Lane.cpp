// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/Lane.h"
#include "desk/kit/Chips.h"
#include "desk/kit/Style.h"
#include <QMouseEvent>
#include <QPainter>

namespace mivanta {

namespace {

int closedHeight() {
    return spaced(7.5);
}
int headHeight() {
    return spaced(9);
}
int laneMargin() {
    return spaced(2.5);
}
int gap() {
    return spaced(2);
}

/// Cards stay readable: at least this wide, and at most four in a row.
int columnsFor(int width) {
    return std::clamp((width - 2 * laneMargin()) / spaced(44), 1, 4);
}

} // namespace

Lane::Lane(int number, ItemId item, QWidget* parent) : QWidget(parent), m_number(number), m_item(item) {
    setFocusPolicy(Qt::NoFocus);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
    setToolTip(tr("Click: make this item next. Double click: put it on screen."));
}

void Lane::setContent(const QString& title, const QString& side, std::vector<PartChip> chips) {
    m_title = title;
    m_side = m_number > 0 ? side : tr("unplanned \u00b7 %1").arg(side);
    m_chips = std::move(chips);
    setAccessibleName(m_number > 0 ? QStringLiteral("%1 %2").arg(m_number).arg(title)
                                   : tr("Unplanned: %1").arg(title));
    update();
}

void Lane::setNote(const QString& note) {
    m_note = note;
    setToolTip(note.isEmpty() ? tr("Click: make this item next. Double click: put it on screen.") : note);
    updateGeometry();
    update();
}

int Lane::noteHeight(int width) const {
    if (m_note.isEmpty())
        return 0;
    const QFontMetrics metrics(textFont(1.05, TextWeight::Bold));
    const QRect room(0, 0, width - 2 * laneMargin() - spaced(8), 1000);
    return metrics.boundingRect(room, Qt::TextWordWrap, m_note).height() + spaced(2);
}

void Lane::open(const ItemSlides& slides) {
    if (m_open)
        return;
    m_open = true;
    makeCards(cardsFor(slides));
}

void Lane::close() {
    if (!m_open)
        return;
    m_open = false;
    makeCards({});
}

void Lane::makeCards(const std::vector<Card>& contents) {
    for (LaneCard* card : m_cards)
        card->deleteLater();
    m_cards.clear();
    for (const Card& content : contents) {
        auto* card = new LaneCard(content, this);
        const int step = content.firstStep;
        connect(card, &LaneCard::looked, this, [this, step] { Q_EMIT looked(step); });
        connect(card, &LaneCard::taken, this, [this, step] { Q_EMIT taken(step); });
        card->show();
        m_cards.push_back(card);
    }
    markCards();
    placeCards(width(), true);
    updateGeometry();
    update();
}

void Lane::setPast(bool past) {
    m_past = past;
    update();
}

void Lane::setMarks(int onScreenStep, int nextStep, const QString& cover) {
    m_onScreen = onScreenStep;
    m_cover = cover;
    m_next = nextStep;
    markCards();
    update();
}

void Lane::markCards() {
    for (LaneCard* card : m_cards) {
        const auto holds = [&](int step) {
            return card->card().firstStep <= step && step <= card->card().lastStep;
        };
        if (holds(m_onScreen))
            card->setMark({.state = m_cover.isEmpty() ? LaneCard::State::OnScreen : LaneCard::State::Covered,
                           .step = m_onScreen,
                           .holdsNext = holds(m_next),
                           .cover = m_cover});
        else if (holds(m_next))
            card->setMark({.state = LaneCard::State::Next, .step = m_next, .holdsNext = true});
        else
            card->setMark({.state = card->card().lastStep < m_onScreen ? LaneCard::State::Past
                                                                       : LaneCard::State::Coming});
    }
}

QRect Lane::markedArea() const {
    for (const LaneCard* card : m_cards)
        if (card->state() == LaneCard::State::Next)
            return card->geometry();
    for (const LaneCard* card : m_cards)
        if (card->state() == LaneCard::State::OnScreen || card->state() == LaneCard::State::Covered)
            return card->geometry();
    return rect();
}

int Lane::placeCards(int width, bool place) const {
    const int columns = columnsFor(width);
    const int wide = (width - 2 * laneMargin() - gap() * (columns - 1)) / columns;
    int y = headHeight() + noteHeight(width);
    for (size_t first = 0; first < m_cards.size(); first += size_t(columns)) {
        const size_t end = std::min(m_cards.size(), first + size_t(columns));
        int high = 0;
        for (size_t i = first; i < end; ++i)
            high = std::max(high, m_cards[i]->wantedHeight(wide));
        for (size_t i = first; place && i < end; ++i)
            m_cards[i]->setGeometry(laneMargin() + int(i - first) * (wide + gap()), y, wide, high);
        y += high + gap();
    }
    return y + spaced(0.5);
}

QSize Lane::sizeHint() const {
    return {spaced(150), heightForWidth(std::max(width(), spaced(100)))};
}

int Lane::heightForWidth(int width) const {
    return m_open ? placeCards(width, false) : closedHeight();
}

void Lane::resizeEvent(QResizeEvent*) {
    if (m_open)
        placeCards(width(), true);
}

void Lane::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        Q_EMIT looked(0);
}

void Lane::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        Q_EMIT taken(0);
}

void Lane::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Palette& colours = night();
    const QColor text = m_past ? QColor(0x74, 0x82, 0x82) : colours.text;
    const QColor quiet = m_past ? QColor(0x74, 0x82, 0x82) : colours.quiet;
    if (m_open) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(colours.sheet);
        painter.drawRoundedRect(QRectF(rect()), 5, 5);
    }
    const int high = m_open ? headHeight() : closedHeight();
    const QRect row(laneMargin(), 0, width() - 2 * laneMargin(), high);
    painter.setFont(m_open ? textFont(1.25, TextWeight::Bold) : monoFont(0.95));
    painter.setPen(m_open ? text : quiet);
    const int numberWide = spaced(8);
    painter.drawText(QRect(row.left(), 0, numberWide - spaced(2), high), Qt::AlignRight | Qt::AlignVCenter,
                     m_number > 0 ? QString::number(m_number) : QStringLiteral("+"));
    painter.setFont(m_open ? textFont(1.25, TextWeight::Bold) : textFont(1.05));
    painter.setPen(text);
    const int titleLeft = row.left() + numberWide;
    const int chipsLeft = titleLeft + std::max(spaced(50), row.width() / 4);
    const int titleRoom = m_open ? row.width() * 6 / 10 : chipsLeft - titleLeft - spaced(2);
    painter.drawText(QRect(titleLeft, 0, titleRoom, high), Qt::AlignLeft | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(m_title, Qt::ElideRight, titleRoom));
    painter.setFont(textFont(0.9));
    painter.setPen(quiet);
    const int sideWide = std::min(painter.fontMetrics().horizontalAdvance(m_side) + 2, row.width() / 4);
    painter.drawText(row.adjusted(0, 0, -spaced(1), 0), Qt::AlignRight | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(m_side, Qt::ElideRight, sideWide));
    if (m_open) {
        painter.setFont(textFont(1.05, TextWeight::Bold));
        painter.setPen(text);
        painter.drawText(QRect(titleLeft, headHeight(), row.right() - titleLeft, noteHeight(width())),
                         Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, m_note);
        return;
    }
    paintChips(painter, QRect(chipsLeft, 0, row.right() - chipsLeft - sideWide - spaced(3), high), m_chips,
               colours.line, quiet);
    if (m_next >= 0 || m_onScreen >= 0) {
        const QString tag = m_onScreen < 0      ? tr("NEXT")
                            : m_cover.isEmpty() ? tr("ON SCREEN")
                                                : tr("NOT SEEN \u00b7 %1").arg(m_cover.toUpper());
        painter.setFont(textFont(0.8, TextWeight::Bold));
        painter.setPen(m_onScreen >= 0 ? colours.marker : colours.accent);
        painter.drawText(QRect(titleLeft, 0, titleRoom, high), Qt::AlignRight | Qt::AlignVCenter, tag);
    }
    painter.setPen(QPen(QColor(0x24, 0x31, 0x37), 1));
    painter.drawLine(row.left(), height() - 1, row.right(), height() - 1);
}

} // namespace mivanta

#include "moc_Lane.cpp"
