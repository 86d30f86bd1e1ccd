// SPDX-License-Identifier: GPL-3.0-or-later
#include "film/PictureWriter.h"
#include "core/base/Clock.h"
#include <QPainter>
#include <mpv/client.h>
#include <mpv/render.h>

namespace mivanta {

namespace {

constexpr auto kCoverStep = std::chrono::milliseconds(33);

/// Scaled so that it fills it, around the middle.
QRectF filling(QSize picture, QSize canvas) {
    QRectF place(QPointF(), QSizeF(picture).scaled(canvas, Qt::KeepAspectRatioByExpanding));
    place.moveCenter(QRectF(QPointF(), QSizeF(canvas)).center());
    return place;
}

} // namespace

PictureWriter::PictureWriter(std::unique_ptr<FilmBoard> board, std::function<void()> ring)
    : m_board(std::move(board)),
      m_ring(std::move(ring)) {}

PictureWriter::~PictureWriter() {
    {
        const std::lock_guard lock(m_mutex);
        m_isEnding = true;
    }
    m_wake.notify_one();
    if (m_thread.joinable())
        m_thread.join();
    if (m_render)
        mpv_render_context_free(m_render);
}

bool PictureWriter::attach(mpv_handle* mpv) {
    char api[] = MPV_RENDER_API_TYPE_SW;
    mpv_render_param parameters[]{{MPV_RENDER_PARAM_API_TYPE, api}, {MPV_RENDER_PARAM_INVALID, nullptr}};
    return mpv_render_context_create(&m_render, mpv, parameters) >= 0;
}

void PictureWriter::start() {
    if (m_thread.joinable())
        return;
    mpv_render_context_set_update_callback(
        m_render,
        [](void* writer) {
            auto* self = static_cast<PictureWriter*>(writer);
            {
                const std::lock_guard lock(self->m_mutex);
                self->m_mayBeNew = true;
            }
            self->m_wake.notify_one();
        },
        this);
    m_thread = std::thread([this] { run(); });
}

void PictureWriter::setShape(const PictureShape& shape) {
    {
        const std::lock_guard lock(m_mutex);
        m_shape = shape;
        m_isChanged = true;
    }
    m_wake.notify_one();
}

quint64 PictureWriter::written() const {
    const std::lock_guard lock(m_mutex);
    return m_written;
}

void PictureWriter::cover(const QImage& card, QSize size, int milliseconds) {
    {
        const std::lock_guard lock(m_mutex);
        Cover wanted;
        wanted.card = card;
        wanted.milliseconds = milliseconds;
        m_wanted = std::move(wanted);
        if (m_shape.size.isEmpty())
            m_shape.size = size;
    }
    m_wake.notify_one();
}

bool PictureWriter::isThereAPicture() const {
    mpv_render_frame_info info{};
    const mpv_render_param asked{MPV_RENDER_PARAM_NEXT_FRAME_INFO, &info};
    return mpv_render_context_get_info(m_render, asked) >= 0 && (info.flags & MPV_RENDER_FRAME_INFO_PRESENT);
}

void PictureWriter::run() {
    for (;;) {
        bool isChanged = false;
        std::optional<Cover> wanted;
        {
            std::unique_lock lock(m_mutex);
            const auto isSomethingToDo = [this] {
                return m_mayBeNew || m_isChanged || m_isEnding || m_wanted;
            };
            if (m_cover && m_cover->isRising && m_cover->level < 1)
                m_wake.wait_for(lock, kCoverStep, isSomethingToDo);
            else
                m_wake.wait(lock, isSomethingToDo);
            if (m_isEnding)
                return;
            m_mayBeNew = false;
            isChanged = std::exchange(m_isChanged, false);
            wanted = std::exchange(m_wanted, std::nullopt);
        }
        if (wanted && !(m_cover && m_cover->isRising)) {
            wanted->before = m_board->lastWritten().copy();
            wanted->level = m_cover ? m_cover->level : 0;
            wanted->at = Clock::the().steady();
            m_cover = std::move(wanted);
        }
        const bool isNew = (mpv_render_context_update(m_render) & MPV_RENDER_UPDATE_FRAME) != 0;
        const bool isPicture = isNew && isThereAPicture();
        m_hasPicture = m_hasPicture || isPicture;
        if (m_cover && !isPicture)
            stepCover();
        else if (isPicture || (m_hasPicture && isChanged)) // before the first one there is nothing but black
            writePicture();
    }
}

void PictureWriter::stepCover() {
    if (!m_cover->isRising || m_cover->level >= 1)
        return;
    QSize size;
    {
        const std::lock_guard lock(m_mutex);
        size = m_shape.size;
    }
    writeCover(m_cover->before, size);
}

/// The picture with as much of the card over it as it is time for.
void PictureWriter::writeCover(const QImage& picture, QSize size) {
    if (!m_board->hasRoomFor(size))
        return;
    const qint64 now = Clock::the().steady();
    const double step = m_cover->milliseconds > 0 ? double(now - m_cover->at) / m_cover->milliseconds : 1;
    m_cover->at = now;
    m_cover->level = std::clamp(m_cover->level + (m_cover->isRising ? step : -step), 0.0, 1.0);
    uchar* pixels = m_board->begin(size, FilmBoard::Alpha::Straight);
    QImage canvas(pixels, size.width(), size.height(), FilmBoard::bytesPerLine(size.width()),
                  QImage::Format_ARGB32);
    canvas.fill(Qt::transparent);
    {
        QPainter painter(&canvas);
        const double level = m_cover->level;
        painter.setRenderHint(QPainter::SmoothPixmapTransform);
        if (!picture.isNull() && level < 1) {
            painter.setOpacity(m_cover->card.isNull() ? 1 - level : 1);
            painter.drawImage(filling(picture.size(), size), picture);
        }
        if (!m_cover->card.isNull()) {
            painter.setOpacity(level);
            painter.drawImage(filling(m_cover->card.size(), size), m_cover->card);
        }
    }
    m_board->publish();
    m_ring();
}

/// Waits for the picture's time.
void PictureWriter::writePicture() {
    PictureShape shape;
    {
        const std::lock_guard lock(m_mutex);
        shape = m_shape;
    }
    if (!m_board->hasRoomFor(shape.size))
        return;
    if (m_cover) { // it comes back
        if (std::exchange(m_cover->isRising, false))
            m_cover->at = Clock::the().steady();
        QImage picture(shape.size, QImage::Format_RGB32);
        if (!render(picture.bits(), shape.size, picture.bytesPerLine()))
            return;
        writeCover(picture, shape.size);
        if (m_cover->level <= 0)
            m_cover.reset();
    } else {
        if (!render(m_board->begin(shape.size, shape.alpha), shape.size,
                    FilmBoard::bytesPerLine(shape.size.width())))
            return;
        m_board->publish();
        m_ring();
    }
    const std::lock_guard lock(m_mutex);
    ++m_written;
}

bool PictureWriter::render(uchar* pixels, QSize size, qsizetype bytesPerLine) const {
    int sides[2]{size.width(), size.height()};
    char format[] = "bgra"; // where it is opaque, too: pixels of Qt have an alpha of 255 there
    auto stride = size_t(bytesPerLine);
    mpv_render_param parameters[]{{MPV_RENDER_PARAM_SW_SIZE, sides},
                                  {MPV_RENDER_PARAM_SW_FORMAT, format},
                                  {MPV_RENDER_PARAM_SW_STRIDE, &stride},
                                  {MPV_RENDER_PARAM_SW_POINTER, pixels},
                                  {MPV_RENDER_PARAM_INVALID, nullptr}};
    return mpv_render_context_render(m_render, parameters) >= 0;
}

} // namespace mivanta
