// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QJsonObject>
#include <QLocalServer>
#include <QSet>

class QLocalSocket;

namespace mivanta {

/// Takes orders for the running service from other programs of the same user, over a local socket in the
/// session folder; docs/remote.md describes it. A line of JSON in, a line of JSON out. GUI thread.
class RunSocket : public QObject {
    Q_OBJECT
public:
    explicit RunSocket(Session& session, QObject* parent = nullptr);
    /// Nothing, when it listens already.
    [[nodiscard]] Result<void> listen(const QString& path);
    /// What one order is answered with.
    [[nodiscard]] QJsonObject obey(const QJsonObject& order);

private:
    void newConnection();
    bool read(QLocalSocket* socket);
    void tell();

    Session& m_session;
    QSet<QLocalSocket*> m_following; ///< they are told when the state changes
    QLocalServer m_server;           ///< its sockets take themselves out when they end
};

/// Where it listens, for a session folder.
[[nodiscard]] QString runSocketPath(const QString& sessionFolder);

} // namespace mivanta
