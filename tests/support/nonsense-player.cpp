// SPDX-License-Identifier: GPL-3.0-or-later
// Takes the player's place and says nothing that makes sense. Its process number stands in session/pid.
#include "link/Channel.h"
#include <QCoreApplication>
#include <QFile>
#include <QLocalServer>

int main(int argc, char** argv) {
    QCoreApplication app(argc, argv);
    const QString session = QString::fromLocal8Bit(argv[1]);
    QLocalServer server;
    QLocalServer::removeServer(mivanta::playerSocketPath(session));
    if (!server.listen(mivanta::playerSocketPath(session)))
        return 1;
    QFile file(session + QStringLiteral("/pid"));
    if (!file.open(QIODevice::WriteOnly))
        return 1;
    file.write(QByteArray::number(QCoreApplication::applicationPid()));
    file.close();
    QObject::connect(&server, &QLocalServer::newConnection, [&] {
        QLocalSocket* socket = server.nextPendingConnection();
        socket->write(QByteArray("\0\0\0\5\377nonsense", 13));
        socket->flush();
    });
    return QCoreApplication::exec();
}
