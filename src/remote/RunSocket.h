// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QJsonObject>
#include <QLocalServer>

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
    [[nodiscard]] QJsonObject state() const;

private:
    void newConnection();
    bool read(QLocalSocket* socket);
    [[nodiscard]] QString problemOf(const QJsonObject& order); ///< does it; empty = done
    [[nodiscard]] QString jump(const QJsonObject& order);
    [[nodiscard]] QString cover(const QJsonObject& order);
    [[nodiscard]] QJsonObject placeOf(const std::optional<Cue>& cue) const;

    Session& m_session;
    QLocalServer m_server;
};

/// Where it listens, for a session folder.
[[nodiscard]] QString runSocketPath(const QString& sessionFolder);

} // namespace mivanta
