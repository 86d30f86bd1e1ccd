// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/ScreensLock.h"
#include <QGuiApplication>
#include <QRegularExpression>

namespace mivanta {

namespace {
constexpr int kAskAgainMs = 1000;
}

ScreensLock::ScreensLock(const QString& folder, QObject* parent) : QObject(parent) {
    const QString platform = QGuiApplication::platformName();
    if (platform == QLatin1String("offscreen") || platform == QLatin1String("minimal"))
        return;
    QString display = qEnvironmentVariable(platform == QLatin1String("xcb") ? "DISPLAY" : "WAYLAND_DISPLAY");
    display.replace(QRegularExpression(QStringLiteral("[^A-Za-z0-9]")), QStringLiteral("_"));
    m_lock =
        std::make_unique<QLockFile>(folder + QStringLiteral("/screens-") + display + QStringLiteral(".lock"));
    m_lock->setStaleLockTime(0); // it is free as soon as its program is gone, not sooner
    m_again.setInterval(kAskAgainMs);
    connect(&m_again, &QTimer::timeout, this, [this] {
        if (!m_lock->tryLock(0))
            return;
        m_again.stop();
        Q_EMIT taken();
    });
    if (!m_lock->tryLock(0))
        m_again.start();
}

} // namespace mivanta

#include "moc_ScreensLock.cpp"
