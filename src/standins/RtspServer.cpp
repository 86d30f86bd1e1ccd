// SPDX-License-Identifier: GPL-3.0-or-later
#include "standins/RtspServer.h"
#include <QNetworkDatagram>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kMostUnread = 2'000'000; ///< bytes of a guest who does not read
constexpr qint64 kMostRequest = 16'384;
constexpr int kPortTries = 50;

/// ffmpeg sends RTP to a port and RTCP to the one behind it.
bool bindTogether(QUdpSocket& first, QUdpSocket& second) {
    for (int i = 0; i < kPortTries; ++i) {
        if (first.bind(QHostAddress::LocalHost, 0) &&
            second.bind(QHostAddress::LocalHost, quint16(first.localPort() + 1)))
            return true;
        first.close();
        second.close();
    }
    return false;
}

QByteArray headerOf(const QByteArray& asked, const QByteArray& name) {
    for (const QByteArray& line : asked.split('\n'))
        if (line.toLower().startsWith(name + ':'))
            return line.mid(name.size() + 1).trimmed();
    return {};
}

constexpr const char* kDescription =
    "v=0\r\no=- 0 0 IN IP4 127.0.0.1\r\ns=Harbour camera\r\nc=IN IP4 0.0.0.0\r\n"
    "t=0 0\r\nm=video 0 RTP/AVP 96\r\na=rtpmap:96 H264/90000\r\n"
    "a=fmtp:96 packetization-mode=1\r\na=control:track\r\n";

} // namespace

RtspServer::RtspServer(Camera& camera, const QByteArray& password, QObject* parent)
    : QObject(parent),
      m_camera(camera),
      m_password(password) {
    connect(&m_server, &QTcpServer::newConnection, this, [this] {
        while (QTcpSocket* guest = m_server.nextPendingConnection())
            greet(guest);
    });
    connect(&m_pictures, &QUdpSocket::readyRead, this, [this] { relay(m_pictures, 0); });
    connect(&m_reports, &QUdpSocket::readyRead, this, [this] { relay(m_reports, 1); });
    connect(&camera, &Camera::parted, this, [this] {
        for (const QPointer<QTcpSocket>& guest : m_watching)
            if (guest)
                guest->abort();
    });
}

bool RtspServer::listen(quint16 port) {
    if (!m_server.listen(QHostAddress::LocalHost, port) || !bindTogether(m_pictures, m_reports))
        return false;
    new CameraFeed(m_camera,
                   {u"-f"_s, u"rtp"_s, u"-payload_type"_s, u"96"_s,
                    u"rtp://127.0.0.1:%1?pkt_size=1200"_s.arg(m_pictures.localPort())},
                   this);
    return true;
}

void RtspServer::greet(QTcpSocket* guest) {
    connect(guest, &QTcpSocket::disconnected, guest, &QObject::deleteLater);
    if (m_camera.isAway()) {
        guest->abort();
        return;
    }
    connect(guest, &QTcpSocket::readyRead, this, [this, guest] {
        while (guest->bytesAvailable() > 0) {
            const QByteArray waiting = guest->peek(kMostRequest);
            if (waiting.startsWith('$')) { // what the guest reports is not looked at
                const qsizetype length =
                    waiting.size() < 4 ? 0 : quint8(waiting[2]) << 8 | quint8(waiting[3]);
                if (waiting.size() < 4 || waiting.size() < 4 + length)
                    return;
                guest->skip(4 + length);
                continue;
            }
            const qsizetype end = waiting.indexOf("\r\n\r\n");
            if (end < 0) {
                if (waiting.size() >= kMostRequest)
                    guest->abort();
                return;
            }
            answer(guest, guest->read(end + 4));
        }
    });
}

void RtspServer::answer(QTcpSocket* guest, const QByteArray& asked) {
    const QByteArray method = asked.left(asked.indexOf(' '));
    const QByteArray address = asked.split(' ').value(1);
    const QByteArray begin = "RTSP/1.0 200 OK\r\nCSeq: " + headerOf(asked, "cseq") + "\r\n";
    if (!m_password.isEmpty() && method != "OPTIONS" &&
        headerOf(asked, "authorization") != "Basic " + m_password.toBase64()) {
        guest->write("RTSP/1.0 401 Unauthorized\r\nCSeq: " + headerOf(asked, "cseq") +
                     "\r\nWWW-Authenticate: Basic realm=\"camera\"\r\n\r\n");
    } else if (method == "DESCRIBE") {
        const QByteArray description = kDescription;
        guest->write(begin + "Content-Base: " + address +
                     "/\r\nContent-Type: application/sdp\r\nContent-Length: " +
                     QByteArray::number(description.size()) + "\r\n\r\n" + description);
    } else if (method == "SETUP") {
        if (headerOf(asked, "transport").contains("interleaved"))
            guest->write(begin + "Transport: RTP/AVP/TCP;unicast;interleaved=0-1\r\nSession: 1\r\n\r\n");
        else
            guest->write("RTSP/1.0 461 Unsupported Transport\r\nCSeq: " + headerOf(asked, "cseq") +
                         "\r\n\r\n");
    } else if (method == "PLAY") {
        guest->write(begin + "Session: 1\r\n\r\n");
        m_watching.emplace_back(guest);
    } else {
        guest->write(begin +
                     "Public: OPTIONS, DESCRIBE, SETUP, PLAY, TEARDOWN, GET_PARAMETER\r\nSession: 1\r\n\r\n");
    }
}

void RtspServer::relay(QUdpSocket& from, char channel) {
    std::erase_if(m_watching, [](const QPointer<QTcpSocket>& guest) { return !guest; });
    while (from.hasPendingDatagrams()) {
        QByteArray bytes = from.receiveDatagram().data();
        if (channel == 0 && bytes.size() > 12)
            bytes = bytes.left(12) + m_camera.sent(bytes.mid(12));
        const QByteArray framed =
            QByteArray("$") + channel + char(bytes.size() >> 8) + char(bytes.size()) + bytes;
        for (const QPointer<QTcpSocket>& guest : m_watching)
            if (guest->bytesToWrite() < kMostUnread)
                guest->write(m_camera.isTrickling() ? QByteArray() : framed);
    }
}

} // namespace mivanta

#include "moc_RtspServer.cpp"
