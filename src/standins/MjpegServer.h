// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "standins/Camera.h"
#include <QPointer>
#include <QTcpServer>
#include <QTcpSocket>

namespace mivanta {

/// A camera's pictures by HTTP, one JPEG after the other (multipart/x-mixed-replace), at any path.
class MjpegServer : public QObject {
    Q_OBJECT
public:
    /// `password`: "user:password" of the basic kind; empty = everybody may see.
    MjpegServer(Camera& camera, const QByteArray& password, QObject* parent = nullptr);
    [[nodiscard]] bool listen(quint16 port);
    [[nodiscard]] quint16 port() const { return m_server.serverPort(); }

private:
    void greet(QTcpSocket* guest);
    void answer(QTcpSocket* guest);
    void send(const QImage& picture);

    Camera& m_camera;
    QByteArray m_password;
    QTcpServer m_server;
    std::vector<QPointer<QTcpSocket>> m_watching;
};

} // namespace mivanta
