// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "standins/CameraFeed.h"
#include <QPointer>
#include <QTcpServer>
#include <QTcpSocket>
#include <QUdpSocket>

namespace mivanta {

/// A camera's pictures by RTSP 1.0 (RFC 2326), at any path, their RTP (RFC 6184) in the same connection.
class RtspServer : public QObject {
    Q_OBJECT
public:
    /// `password`: "user:password" of the basic kind; empty = everybody may see.
    RtspServer(Camera& camera, const QByteArray& password, QObject* parent = nullptr);
    [[nodiscard]] bool listen(quint16 port);

private:
    void greet(QTcpSocket* guest);
    void answer(QTcpSocket* guest, const QByteArray& asked);
    void relay(QUdpSocket& from, char channel);

    Camera& m_camera;
    QByteArray m_password;
    QTcpServer m_server;
    QUdpSocket m_pictures; ///< RTP as ffmpeg sends it
    QUdpSocket m_reports;  ///< its RTCP
    std::vector<QPointer<QTcpSocket>> m_watching;
};

} // namespace mivanta
