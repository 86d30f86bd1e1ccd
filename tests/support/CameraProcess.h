// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QProcess>
#include <QTcpServer>
#include <gtest/gtest.h>

namespace mivanta {

/// The simulated camera, running.
class CameraProcess {
public:
    explicit CameraProcess(const QStringList& options) {
        m_process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-standins"),
                        QStringList{QStringLiteral("camera"), QStringLiteral("--numbers"),
                                    QStringLiteral("--size"), QStringLiteral("640x360")} +
                            options);
        EXPECT_TRUE(says("camera ready"));
    }
    ~CameraProcess() {
        m_process.kill();
        m_process.waitForFinished();
    }
    void order(const char* words) {
        m_process.write(QByteArray(words) + '\n');
        EXPECT_TRUE(says("ok " + QByteArray(words)));
    }
    /// Not taken now.
    [[nodiscard]] static quint16 freePort() {
        QTcpServer server;
        EXPECT_TRUE(server.listen(QHostAddress::LocalHost));
        return server.serverPort();
    }

private:
    bool says(const QByteArray& words) {
        while (m_process.canReadLine() || m_process.waitForReadyRead(10'000))
            while (m_process.canReadLine())
                if (m_process.readLine().startsWith(words))
                    return true;
        return false;
    }
    QProcess m_process;
};

} // namespace mivanta
