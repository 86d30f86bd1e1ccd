// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/Channel.h"
#include "core/base/PathKey.h"
#include <QDir>
#include <QLoggingCategory>
#include <QStandardPaths>
#include <QtEndian>
#include <csignal>
#include <sys/socket.h>
#include <unistd.h>

namespace mivanta {

namespace {
Q_LOGGING_CATEGORY(lcLink, "mivanta.link")
constexpr quint32 kLargestMessage = 64 * 1024 * 1024;
} // namespace

Channel::Channel(QLocalSocket* socket, QObject* parent) : QObject(parent), m_socket(socket) {
    m_socket->setParent(this);
    connect(m_socket, &QLocalSocket::readyRead, this, &Channel::read);
    connect(m_socket, &QLocalSocket::disconnected, this, [this] {
        read(); // the last words may come together with the end
        Q_EMIT closed();
    });
    if (m_socket->bytesAvailable() > 0)
        QMetaObject::invokeMethod(this, &Channel::read, Qt::QueuedConnection);
}

void Channel::send(const Message& message) {
    if (!isConnected())
        return;
    const QByteArray bytes = encoded(message);
    const quint32 length = qToBigEndian(quint32(bytes.size()));
    m_socket->write(reinterpret_cast<const char*>(&length), sizeof length);
    m_socket->write(bytes);
    m_socket->flush();
}

bool Channel::isConnected() const {
    return m_socket->state() == QLocalSocket::ConnectedState;
}

void Channel::close() {
    m_socket->disconnectFromServer();
}

void Channel::waitUntilClosed(int milliseconds) {
    if (isConnected())
        m_socket->waitForDisconnected(milliseconds);
}

void Channel::read() {
    m_buffer += m_socket->readAll();
    while (m_buffer.size() >= qsizetype(sizeof(quint32))) {
        const quint32 length = qFromBigEndian<quint32>(m_buffer.constData());
        if (length > kLargestMessage) {
            qCWarning(lcLink) << "a message of" << length << "bytes was refused"; // for machines
            refuse();
            return;
        }
        if (m_buffer.size() < qsizetype(sizeof length) + qsizetype(length))
            return;
        const auto message = decoded(m_buffer.mid(sizeof length, length));
        m_buffer.remove(0, sizeof length + length);
        if (!message) {
            qCWarning(lcLink) << "bytes that are no message were refused"; // for machines
            refuse();
            return;
        }
        Q_EMIT received(*message);
    }
}

void Channel::refuse() {
    m_buffer.clear();
    Q_EMIT nonsense();
    m_socket->abort();
}

void Channel::killPeer() const {
    ucred peer{};
    socklen_t size = sizeof peer;
    if (::getsockopt(int(m_socket->socketDescriptor()), SOL_SOCKET, SO_PEERCRED, &peer, &size) == 0 &&
        peer.uid == ::getuid() && peer.pid > 1 && peer.pid != ::getpid())
        ::kill(peer.pid, SIGKILL);
}

QString sessionFolder(const QString& libraryFolder) {
    QString folder = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation) +
                     QStringLiteral("/mivanta/") + keyOfFolder(libraryFolder);
    QDir().mkpath(folder);
    return folder;
}

QString playerSocketPath(const QString& sessionFolder) {
    return sessionFolder + QStringLiteral("/player.socket");
}

} // namespace mivanta

#include "moc_Channel.cpp"
