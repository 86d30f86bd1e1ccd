// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"
#include <QLocalSocket>
#include <QObject>

namespace mivanta {

/// Messages over a local socket, on the thread that it lives on. Bytes that are no message close it.
class Channel : public QObject {
    Q_OBJECT
public:
    /// Takes over a socket that is, or will be, connected.
    explicit Channel(QLocalSocket* socket, QObject* parent = nullptr);

    void send(const Message& message);
    [[nodiscard]] bool isConnected() const;
    void close();
    /// Waits until the other end has closed it, or the time is over.
    void waitUntilClosed(int milliseconds);
    /// Ends the program at the other end, when it is another one of this user's.
    void killPeer() const;

Q_SIGNALS:
    void received(const Message& message);
    void nonsense(); ///< closed() follows: what came is no message
    void closed();

private:
    void read();
    void refuse();

    QLocalSocket* m_socket;
    QByteArray m_buffer;
};

/// The folder of one library's running programs: their socket and frames. Made when it is not there.
[[nodiscard]] QString sessionFolder(const QString& libraryFolder);
[[nodiscard]] QString playerSocketPath(const QString& sessionFolder);

} // namespace mivanta
