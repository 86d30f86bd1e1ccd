// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputWindow.h"
#include "core/base/Said.h"
#include <QGuiApplication>
#include <QScreen>

namespace mivanta {

Fitted fitted(QSize picture, QSize device, const OutputShape& shape) {
    const QMarginsF& m = shape.margins;
    const auto part = [](int length, double percent) { return int(length * percent / 100); };
    const QRect room = QRect(QPoint(0, 0), device)
                           .adjusted(part(device.width(), m.left()), part(device.height(), m.top()),
                                     -part(device.width(), m.right()), -part(device.height(), m.bottom()));
    const bool isSideways = shape.turn == Turn::Right || shape.turn == Turn::Left;
    const QSize seen = (isSideways ? picture.transposed() : picture).scaled(room.size(), Qt::KeepAspectRatio);
    const QPoint corner =
        room.topLeft() + QPoint((room.width() - seen.width()) / 2, (room.height() - seen.height()) / 2);
    Fitted result{isSideways ? seen.transposed() : seen, {}};
    result.transform.translate(corner.x() + seen.width() / 2.0, corner.y() + seen.height() / 2.0);
    result.transform.rotate(90.0 * int(shape.turn));
    result.transform.scale(shape.isMirrored ? -1 : 1, shape.isFlipped ? -1 : 1);
    result.transform.translate(-result.size.width() / 2.0, -result.size.height() / 2.0);
    return result;
}

OutputWindow::OutputWindow(OutputPicture& picture, const Output& output)
    : m_picture(picture),
      m_output(output),
      m_store(this) {
    setSurfaceType(RasterSurface);
    setObjectName(picture.name());
    if (output.ground == Ground::SeeThrough) {
        QSurfaceFormat format = requestedFormat();
        format.setAlphaBufferSize(8);
        setFormat(format);
    }
    connect(&m_picture, &OutputPicture::changed, this, &OutputWindow::paintNow);
}

void OutputWindow::showWithoutFrame(const QRect& place) {
    setTitle(QStringLiteral("Mivanta \u00b7 %1").arg(m_picture.name()));
    Qt::WindowFlags flags = Qt::Window | Qt::FramelessWindowHint | Qt::WindowDoesNotAcceptFocus;
    if (m_output.isAbove)
        flags |= Qt::WindowStaysOnTopHint;
    setFlags(flags);
    if (m_output.hidesPointer)
        setCursor(Qt::BlankCursor);
    setGeometry(place);
}

void OutputWindow::showFullScreenOn(QScreen* screen) {
    setScreen(screen);
    showWithoutFrame(screen->geometry());
    setWindowStates(Qt::WindowFullScreen); // showFullScreen() would ask for the focus
    setVisible(true);
}

void OutputWindow::showAt(const QRect& place) {
    showWithoutFrame(place);
    setVisible(true);
}

void OutputWindow::showAsWindow(int number, bool behind) {
    setTitle(Said::tr("Mivanta \u00b7 %1 (simulated screen)").arg(m_picture.name()));
    setFlags(Qt::Window | Qt::WindowDoesNotAcceptFocus);
    const QRect room = QGuiApplication::primaryScreen()->availableGeometry();
    const QSize size = m_output.size.scaled(480, 270, Qt::KeepAspectRatio);
    const QPoint corner = room.bottomRight() - QPoint(size.width() + 24, size.height() + 24);
    setGeometry(QRect(corner - QPoint(number * 40, number * 40), size));
    setMinimumSize(QSize(160, 90));
    show();
    if (behind)
        lower();
}

void OutputWindow::setShape(const OutputShape& shape) {
    if (shape == m_output.shape)
        return;
    m_output.shape = shape;
    fitPicture();
    paintNow({});
}

void OutputWindow::fitPicture() {
    const Fitted now = fitted(m_output.size, size() * devicePixelRatio(), m_output.shape);
    m_drawn = now.size;
    m_transform = now.transform;
    m_picture.setSize(m_drawn);
}

void OutputWindow::paintNow(const QRect& part) {
    if (!isExposed() || size().isEmpty() || m_drawn.isEmpty())
        return;
    const QRect everything(QPoint(0, 0), size());
    QRect whole = everything;
    if (!part.isEmpty() && m_drawn == m_picture.size()) {
        const QRectF device = m_transform.mapRect(QRectF(part));
        const QRectF logical(device.topLeft() / devicePixelRatio(), device.size() / devicePixelRatio());
        whole &= logical.toAlignedRect();
    }
    m_store.beginPaint(whole);
    {
        QPainter painter(m_store.paintDevice());
        painter.setClipRect(whole);
        painter.scale(1.0 / devicePixelRatio(), 1.0 / devicePixelRatio());
        const QRect device(QPoint(0, 0), size() * devicePixelRatio());
        const bool isSeeThrough = m_output.ground == Ground::SeeThrough;
        if (isSeeThrough) {
            painter.setCompositionMode(QPainter::CompositionMode_Source);
            painter.fillRect(device, Qt::transparent);
            painter.setCompositionMode(QPainter::CompositionMode_SourceOver);
        } else if (m_transform.mapRect(QRect(QPoint(0, 0), m_drawn)) != device) {
            painter.fillRect(device, Qt::black);
        }
        painter.setTransform(m_transform, true);
        m_picture.paint(painter, QRect(QPoint(0, 0), m_drawn));
    }
    m_store.endPaint();
    m_store.flush(whole);
}

void OutputWindow::exposeEvent(QExposeEvent*) {
    paintNow({});
}

void OutputWindow::resizeEvent(QResizeEvent*) {
    m_store.resize(size());
    fitPicture();
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

#include "moc_OutputWindow.cpp"
