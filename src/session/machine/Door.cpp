// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine/Door.h"
#include <QJsonDocument>
#include <QJsonObject>
#include <QLocalSocket>
#include <QTimer>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kDoorPatienceMs = 1000;
constexpr qint64 kLongestRequest = 16 * 1024;
constexpr std::pair<DoorRequest::Kind, const char*> kWords[]{{DoorRequest::Kind::Raise, "raise"},
                                                             {DoorRequest::Kind::Open, "open"},
                                                             {DoorRequest::Kind::BeginWith, "begin-with"},
                                                             {DoorRequest::Kind::StartNew, "new"}};

QByteArray lineOf(const DoorRequest& request) {
    for (const auto& [kind, word] : kWords)
        if (kind == request.kind)
            return QJsonDocument(QJsonObject{{u"want"_s, QLatin1String(word)}, {u"path"_s, request.path}})
                       .toJson(QJsonDocument::Compact) +
                   '\n';
    return {};
}

std::optional<DoorRequest> requestFrom(const QByteArray& line) {
    const QJsonObject json = QJsonDocument::fromJson(line).object();
    for (const auto& [kind, word] : kWords)
        if (json[u"want"_s].toString() == QLatin1String(word))
            return DoorRequest{kind, json[u"path"_s].toString()};
    return std::nullopt;
}

} // namespace

QStringList argumentsFor(const DoorRequest& request) {
    switch (request.kind) {
    case DoorRequest::Kind::Raise:
        return {};
    case DoorRequest::Kind::Open:
        return {request.path};
    case DoorRequest::Kind::BeginWith:
        return {QStringLiteral("--begin-with"), request.path};
    case DoorRequest::Kind::StartNew:
        return {QStringLiteral("--new")};
    }
    return {};
}

Door::Door(QObject* parent) : QObject(parent) {
    connect(&m_server, &QLocalServer::newConnection, this, &Door::answer);
}

QString Door::pathOf(const QString& sessionFolder, bool isSecond) {
    return sessionFolder + (isSecond ? QStringLiteral("/second.door") : QStringLiteral("/desk.door"));
}

bool Door::knock(const QString& path, const DoorRequest& request) {
    QLocalSocket socket;
    socket.connectToServer(path);
    if (!socket.waitForConnected(kDoorPatienceMs))
        return false;
    socket.write(lineOf(request));
    // The answer says that a program lives behind the door, and not only its socket.
    return socket.waitForBytesWritten(kDoorPatienceMs) && socket.waitForReadyRead(kDoorPatienceMs) &&
           socket.readAll().startsWith("ok");
}

bool Door::listen(const QString& path) {
    QLocalServer::removeServer(path);
    m_server.setSocketOptions(QLocalServer::UserAccessOption);
    return m_server.listen(path);
}

void Door::answer() {
    while (QLocalSocket* socket = m_server.nextPendingConnection()) {
        connect(socket, &QLocalSocket::disconnected, socket, &QObject::deleteLater);
        QTimer::singleShot(kDoorPatienceMs, socket, [socket] { socket->abort(); });
        connect(socket, &QLocalSocket::readyRead, this, [this, socket] {
            if (!socket->canReadLine()) {
                if (socket->bytesAvailable() > kLongestRequest)
                    socket->abort();
                return;
            }
            const auto request = requestFrom(socket->readLine(kLongestRequest));
            if (!request) {
                socket->abort();
                return;
            }
            socket->write("ok\n");
            socket->disconnectFromServer();
            Q_EMIT knocked(*request);
        });
    }
}

} // namespace mivanta

#include "moc_Door.cpp"
