// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/PictureView.h"
#include "desk/kit/Style.h"
#include <QDropEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

namespace mivanta {

namespace {

constexpr double kProportion = 9.0 / 16.0;

} // namespace

void paintChequers(QPainter& painter, const QRect& area, bool isNight) {
    const int square = std::max(4, area.width() / 40);
    painter.fillRect(area, isNight ? QColor(0x3a4247) : QColor(0xd9d0be));
    painter.setClipRect(area);
    for (int y = 0; y * square < area.height(); ++y)
        for (int x = y % 2; x * square < area.width(); x += 2)
            painter.fillRect(area.x() + x * square, area.y() + y * square, square, square,
                             isNight ? QColor(0x2b3236) : QColor(0xc9bfaa));
    painter.setClipping(false);
}

PictureView::PictureView(ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_thumbnails(thumbnails) {
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&m_thumbnails, &ThumbnailStore::ready, this, [this] {
        if (m_scene)
            update();
    });
}

void PictureView::setScene(const std::optional<Scene>& scene) {
    m_picture = {};
    m_scene = scene;
    if (!scene)
        m_last = {};
    update();
}

void PictureView::setPicture(const FrameBoard::Picture& picture) {
    setPicture(picture.size.isEmpty() ? QImage()
                                      : QImage(reinterpret_cast<const uchar*>(picture.bits.constData()),
                                               picture.size.width(), picture.size.height(),
                                               picture.size.width() * 4, QImage::Format_ARGB32_Premultiplied)
                                            .copy());
}

void PictureView::setPicture(const QImage& picture) {
    m_scene.reset();
    m_picture = picture;
    m_pictureScaled = {};
    update();
}

void PictureView::setTag(Tag tag, const QString& text) {
    m_tag = tag;
    m_tagText = text;
    setAccessibleName(text);
    update();
}

void PictureView::setCaption(const QString& left, const QString& right) {
    m_left = left;
    m_right = right;
    followWidth();
    if (m_tagText.isEmpty())
        setAccessibleName(left);
    update();
}

void PictureView::setEmptyText(const QString& text) {
    m_emptyText = text;
    update();
}

void PictureView::setChoosable(const QString& tip) {
    m_choosable = true;
    setFocusPolicy(Qt::TabFocus);
    setCursor(Qt::PointingHandCursor);
    setToolTip(tip);
}

void PictureView::setChosen(bool chosen) {
    if (chosen == m_chosen)
        return;
    m_chosen = chosen;
    update();
}

void PictureView::setTakesLooks() {
    setAcceptDrops(true);
}

void PictureView::dragEnterEvent(QDragEnterEvent* event) {
    if (!lookDropIn(*event->mimeData()))
        return;
    event->acceptProposedAction();
    m_dropping = true;
    update();
}

void PictureView::dragLeaveEvent(QDragLeaveEvent*) {
    m_dropping = false;
    update();
}

void PictureView::dropEvent(QDropEvent* event) {
    m_dropping = false;
    update();
    if (const auto drop = lookDropIn(*event->mimeData())) {
        event->acceptProposedAction();
        Q_EMIT lookDropped(*drop);
    }
}

void PictureView::mouseReleaseEvent(QMouseEvent* event) {
    if (m_choosable && event->button() == Qt::LeftButton && rect().contains(event->position().toPoint()))
        Q_EMIT clicked();
}

void PictureView::keyPressEvent(QKeyEvent* event) {
    const bool chooses = event->key() == Qt::Key_Return || event->key() == Qt::Key_Space;
    if (m_choosable && chooses)
        Q_EMIT clicked();
    else
        QWidget::keyPressEvent(event);
}

QSize PictureView::sizeHint() const {
    return {spaced(40), heightForWidth(spaced(40))};
}

int PictureView::heightForWidth(int width) const {
    const int caption = m_left.isEmpty() && m_right.isEmpty() ? 0 : spaced(5.5);
    return int(width * kProportion) + caption;
}

// Layouts inside scroll areas do not ask for a height by width, so the height is set.
void PictureView::followWidth() {
    setFixedHeight(heightForWidth(width()));
}

void PictureView::resizeEvent(QResizeEvent*) {
    followWidth();
}

QRect PictureView::pictureRect() const {
    const int caption = m_left.isEmpty() && m_right.isEmpty() ? 0 : spaced(5.5);
    const QSize fitted = QSize(1600, 900).scaled(width(), height() - caption, Qt::KeepAspectRatio);
    return {{(width() - fitted.width()) / 2, 0}, fitted};
}

void PictureView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const Palette& colours = m_night ? night() : day();
    const QRect area = pictureRect();
    if (m_scene) {
        const QPixmap drawn = m_thumbnails.get(*m_scene, area.size() * devicePixelRatio());
        if (!drawn.isNull())
            m_last = drawn;
    }
    const bool seeThrough =
        m_scene ? m_scene->look.backdrop.kind == BackdropKind::None : m_picture.hasAlphaChannel();
    if (seeThrough)
        paintChequers(painter, area, m_night);
    else
        painter.fillRect(area, m_night ? Qt::black : day().side);
    if (m_scene && !m_last.isNull())
        painter.drawPixmap(area, m_last);
    else if (!m_picture.isNull())
        paintPicture(painter, area);
    if (!m_scene && m_picture.isNull() && !m_emptyText.isEmpty()) {
        painter.setPen(colours.quiet);
        painter.setFont(textFont(0.9));
        painter.drawText(area, Qt::AlignCenter | Qt::TextWordWrap, m_emptyText);
    }
    paintTag(painter, area);
    if (m_chosen || m_dropping || (m_choosable && hasFocus())) {
        painter.setPen(QPen(m_chosen ? day().marker : day().accent, 3,
                            m_chosen || m_dropping ? Qt::SolidLine : Qt::DotLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(area.adjusted(1, 1, -2, -2));
    }
    painter.setFont(textFont(0.85));
    painter.setPen(colours.quiet);
    const QRect caption(area.left(), area.bottom() + 1, area.width(), spaced(5.5));
    const QFontMetrics letters = painter.fontMetrics();
    const int forLeft =
        caption.width() - (m_right.isEmpty() ? 0 : letters.horizontalAdvance(m_right) + spaced(1));
    if (forLeft >= spaced(6)) // too little is no name
        painter.drawText(caption, Qt::AlignLeft | Qt::AlignVCenter,
                         letters.elidedText(m_left, Qt::ElideRight, forLeft));
    painter.drawText(caption, Qt::AlignRight | Qt::AlignVCenter,
                     letters.elidedText(m_right, Qt::ElideRight, caption.width()));
}

void PictureView::paintPicture(QPainter& painter, const QRect& area) const {
    const QSize size = area.size() * devicePixelRatio();
    if (m_pictureScaled.size() != size)
        m_pictureScaled =
            QPixmap::fromImage(m_picture.scaled(size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation));
    painter.drawPixmap(area, m_pictureScaled);
}

void PictureView::paintTag(QPainter& painter, const QRect& area) const {
    if (m_tag == Tag::None)
        return;
    painter.setFont(textFont(0.8, TextWeight::Bold));
    const int width = painter.fontMetrics().horizontalAdvance(m_tagText) + spaced(4);
    const QRect tag(area.topLeft(), QSize(width, spaced(5)));
    if (m_tag == Tag::OnScreen) {
        painter.fillRect(tag, night().marker);
        painter.setPen(QColor(0x1b1300));
    } else {
        painter.fillRect(tag, night().sheet);
        QPen pen(night().accent, 2, Qt::DashLine);
        painter.setPen(pen);
        painter.drawRect(area.adjusted(1, 1, -1, -1));
        painter.drawRect(tag.adjusted(1, 1, -1, -1));
        painter.setPen(night().accent);
    }
    painter.drawText(tag, Qt::AlignCenter, m_tagText);
}

} // namespace mivanta

#include "moc_PictureView.cpp"
