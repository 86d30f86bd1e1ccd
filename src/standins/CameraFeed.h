// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "standins/Camera.h"
#include <QProcess>

namespace mivanta {

/// A camera's pictures through ffmpeg, encoded with H.264 without waiting for later pictures.
class CameraFeed : public QObject {
    Q_OBJECT
public:
    /// `out`: what ffmpeg is told behind the encoder, such as {"-f", "mpegts",
    /// "srt://127.0.0.1:9000?mode=listener"}.
    CameraFeed(Camera& camera, QStringList out, QObject* parent = nullptr);
    ~CameraFeed() override;

Q_SIGNALS:
    void bytesCame(const QByteArray& bytes); ///< where ffmpeg writes to its output

private:
    void start();
    void send(const QImage& picture);

    Camera& m_camera;
    QStringList m_out;
    std::unique_ptr<QProcess> m_ffmpeg;
};

/// The same as MPEG-TS, sent to a port of this computer by UDP.
class UdpFeed : public QObject {
    Q_OBJECT
public:
    UdpFeed(Camera& camera, quint16 port, QObject* parent = nullptr);
};

} // namespace mivanta
