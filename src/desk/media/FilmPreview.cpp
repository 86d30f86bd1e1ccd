// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/FilmPreview.h"
#include "desk/kit/Style.h"
#include <QPainter>

namespace mivanta {

namespace {

constexpr QSize kShown(480, 270); // px; it is decoded for this

QRectF placeIn(const QRectF& area, QSizeF picture) {
    const QSizeF fitted = picture.scaled(area.size(), Qt::KeepAspectRatio);
    return {area.center() - QPointF(fitted.width(), fitted.height()) / 2, fitted};
}

} // namespace

FilmPreview::FilmPreview(MediumPictures& pictures, QWidget* parent) : QWidget(parent), m_pictures(pictures) {
    setObjectName(QStringLiteral("film-preview"));
    setAccessibleName(tr("The medium in small"));
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
    connect(&m_pictures, &MediumPictures::ready, this, qOverload<>(&QWidget::update));
}

QSize FilmPreview::sizeHint() const {
    return {spaced(60), heightForWidth(spaced(60))};
}

void FilmPreview::resizeEvent(QResizeEvent*) {
    setFixedHeight(heightForWidth(width()));
}

void FilmPreview::setMedium(const std::optional<ShownMedium>& shown, const QString& path) {
    const bool isSame = shown && m_shown && shown->key() == m_shown->key();
    m_shown = shown;
    m_path = path;
    if (!isSame) {
        stop();
        m_position = shown ? shown->medium.from : 0;
        Q_EMIT moved();
    }
    update();
}

void FilmPreview::setStill(const QImage& picture) {
    m_still = picture;
    update();
}

void FilmPreview::open() {
    message::OpenFilm order;
    order.path = m_path;
    order.shown = kShown;
    order.at = m_position;
    order.film.isOnce = true;
    m_film = std::make_unique<FilmClient>(order);
    connect(m_film.get(), &FilmClient::pictureCame, this, qOverload<>(&QWidget::update));
    connect(m_film.get(), &FilmClient::told, this, [this] {
        const message::FilmStands& stands = m_film->stands();
        if (!stands.problem.isEmpty()) {
            Q_EMIT failed(stands.problem);
            return;
        }
        if (stands.isOpen && !stands.isPaused)
            m_position = stands.position;
        Q_EMIT moved();
        Q_EMIT changed();
    });
}

bool FilmPreview::isPlaying() const {
    return m_film && m_film->stands().isOpen && !m_film->stands().isPaused && !m_film->stands().isOver;
}

void FilmPreview::playOrPause() {
    if (!m_shown || m_shown->medium.kind != MediumKind::Film)
        return;
    if (isPlaying()) {
        m_film->pause();
        return;
    }
    if (!m_film || !m_film->stands().problem.isEmpty())
        open();
    m_film->play();
}

void FilmPreview::stop() {
    if (!m_film)
        return;
    m_film->disconnect(this);
    m_film.release()->leave(0);
    Q_EMIT changed();
}

void FilmPreview::seek(double seconds) {
    m_position = std::max(0.0, seconds);
    if (m_shown && m_shown->medium.kind == MediumKind::Film) {
        if (!m_film)
            open();
        m_film->seek(m_position);
    }
    Q_EMIT moved();
}

void FilmPreview::hideEvent(QHideEvent*) {
    stop(); // nobody looks
}

QPixmap FilmPreview::picture() {
    return m_shown ? m_pictures.get(*m_shown, m_shown->medium.telling(), kShown, MediumPictures::Shape::Whole)
                   : QPixmap();
}

void FilmPreview::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.fillRect(rect(), Qt::black);
    if (m_film) {
        if (const FilmPicture picture = m_film->picture(); picture.number > 0) {
            painter.drawImage(placeIn(rect(), picture.image.size()), picture.image);
            return;
        }
    }
    if (!m_still.isNull()) {
        painter.drawImage(placeIn(rect(), m_still.size()), m_still);
        return;
    }
    if (!m_shown)
        return;
    if (const QPixmap still = picture(); !still.isNull()) {
        painter.drawPixmap(placeIn(rect(), still.size()).toRect(), still);
        return;
    }
    const bool isSound = m_shown->medium.kind == MediumKind::Sound;
    const int side = spaced(12);
    icon(isSound ? QStringLiteral("music") : QStringLiteral("image"), QColor(0x9F, 0xB0, 0xAE))
        .paint(&painter, QRect(QPoint(width() / 2 - side / 2, height() / 2 - side / 2), QSize(side, side)));
}

} // namespace mivanta

#include "moc_FilmPreview.cpp"
