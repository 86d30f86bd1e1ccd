// SPDX-License-Identifier: GPL-3.0-or-later
#include "standins/MjpegServer.h"
#include <QBuffer>
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kJpegQuality = 85;
constexpr qint64 kMostWaiting = 2'000'000; ///< bytes of a guest who does not read: the picture is left out
constexpr qint64 kMostAsked = 16'384;

} // namespace

MjpegServer::MjpegServer(Camera& camera, const QByteArray& password, QObject* parent)
    : QObject(parent),
      m_camera(camera),
      m_password(password) {
    connect(&m_server, &QTcpServer::newConnection, this, [this] {
        while (QTcpSocket* guest = m_server.nextPendingConnection())
            greet(guest);
    });
    connect(&camera, &Camera::came, this, &MjpegServer::send);
    connect(&camera, &Camera::parted, this, [this] {
        for (const QPointer<QTcpSocket>& guest : m_watching)
            if (guest)
                guest->abort();
    });
}

bool MjpegServer::listen(quint16 port) {
    return m_server.listen(QHostAddress::LocalHost, port);
}

void MjpegServer::greet(QTcpSocket* guest) {
    connect(guest, &QTcpSocket::disconnected, guest, &QObject::deleteLater);
    if (m_camera.isAway()) {
        guest->abort();
        return;
    }
    connect(guest, &QTcpSocket::readyRead, this, [this, guest] {
        if (guest->bytesAvailable() > kMostAsked)
            guest->abort();
        else if (guest->peek(kMostAsked).contains("\r\n\r\n"))
            answer(guest);
    });
}

void MjpegServer::answer(QTcpSocket* guest) {
    const QByteArray asked = guest->readAll();
    guest->disconnect(this);
    if (!m_password.isEmpty() && !asked.contains("Authorization: Basic " + m_password.toBase64() + "\r\n")) {
        guest->write("HTTP/1.1 401 Unauthorized\r\nWWW-Authenticate: Basic realm=\"camera\"\r\n"
                     "Content-Length: 0\r\nConnection: close\r\n\r\n");
        guest->disconnectFromHost();
        return;
    }
    guest->write("HTTP/1.1 200 OK\r\nContent-Type: multipart/x-mixed-replace; boundary=picture\r\n"
                 "Connection: close\r\n\r\n");
    m_watching.emplace_back(guest);
}

void MjpegServer::send(const QImage& picture) {
    std::erase_if(m_watching, [](const QPointer<QTcpSocket>& guest) { return !guest; });
    if (m_watching.empty())
        return;
    QBuffer jpeg;
    picture.save(&jpeg, "JPEG", kJpegQuality);
    const QByteArray bytes = m_camera.sent(jpeg.data());
    const QByteArray part =
        "--picture\r\nContent-Type: image/jpeg\r\nContent-Length: " + QByteArray::number(bytes.size()) +
        "\r\n\r\n" + bytes + "\r\n";
    for (const QPointer<QTcpSocket>& guest : m_watching)
        if (guest->bytesToWrite() < kMostWaiting)
            guest->write(m_camera.isTrickling() ? QByteArray("-") : part);
}

} // namespace mivanta

#include "moc_MjpegServer.cpp"
