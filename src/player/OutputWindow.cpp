// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputWindow.h"
#include <QGuiApplication>
#include <QScreen>

namespace mivanta {

OutputWindow::OutputWindow(OutputPicture& picture, QSize pictureSize)
    : m_picture(picture),
      m_pictureSize(pictureSize),
      m_store(this) {
    setSurfaceType(RasterSurface);
    setObjectName(picture.name());
    connect(&m_picture, &OutputPicture::changed, this, &OutputWindow::paintNow);
}

void OutputWindow::showFullScreenOn(QScreen* screen) {
    setTitle(QStringLiteral("Mivanta · %1").arg(m_picture.name()));
    setFlags(Qt::Window | Qt::FramelessWindowHint | Qt::WindowStaysOnTopHint | Qt::WindowDoesNotAcceptFocus);
    setCursor(Qt::BlankCursor);
    setScreen(screen);
    setGeometry(screen->geometry());
    setWindowStates(Qt::WindowFullScreen); // showFullScreen() would ask for the focus
    setVisible(true);
}

void OutputWindow::showAsWindow(int number, bool behind) {
    setTitle(QStringLiteral("Mivanta · %1 (simulated screen)").arg(m_picture.name()));
    setFlags(Qt::Window | Qt::WindowDoesNotAcceptFocus);
    const QRect room = QGuiApplication::primaryScreen()->availableGeometry();
    const QSize size = m_pictureSize.scaled(480, 270, Qt::KeepAspectRatio);
    const QPoint corner = room.bottomRight() - QPoint(size.width() + 24, size.height() + 24);
    setGeometry(QRect(corner - QPoint(number * 40, number * 40), size));
    setMinimumSize(QSize(160, 90));
    show();
    if (behind)
        lower();
}

QRect OutputWindow::pictureArea() const {
    const QSize device = size() * devicePixelRatio();
    const QSize fitted = m_pictureSize.scaled(device, Qt::KeepAspectRatio);
    return {QPoint((device.width() - fitted.width()) / 2, (device.height() - fitted.height()) / 2), fitted};
}

void OutputWindow::paintNow(const QRect& part) {
    if (!isExposed() || size().isEmpty())
        return;
    const QRect area = pictureArea();
    QRect whole(QPoint(0, 0), size());
    if (!part.isEmpty() && area.size() == m_picture.size()) {
        const QRect device = part.translated(area.topLeft());
        const QRectF logical(QPointF(device.topLeft()) / devicePixelRatio(),
                             QSizeF(device.size()) / devicePixelRatio());
        whole &= logical.toAlignedRect();
    }
    m_store.beginPaint(whole);
    {
        QPainter painter(m_store.paintDevice());
        painter.setClipRect(whole);
        painter.scale(1.0 / devicePixelRatio(), 1.0 / devicePixelRatio());
        if (area.size() != size() * devicePixelRatio())
            painter.fillRect(QRect(QPoint(0, 0), size() * devicePixelRatio()), Qt::black);
        m_picture.paint(painter, area);
    }
    m_store.endPaint();
    m_store.flush(whole);
}

void OutputWindow::exposeEvent(QExposeEvent*) {
    paintNow({});
}

void OutputWindow::resizeEvent(QResizeEvent*) {
    m_store.resize(size());
    m_picture.setSize(pictureArea().size());
    paintNow({});
}

bool OutputWindow::event(QEvent* event) {
    if (event->type() == QEvent::Close) {
        event->ignore();
        Q_EMIT closedByHand();
        return true;
    }
    return QWindow::event(event);
}

} // namespace mivanta
