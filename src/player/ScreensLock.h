// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QLockFile>
#include <QTimer>
#include <memory>

namespace mivanta {

/// One player has the screens of a display; a second one, of another library, waits until they are free.
/// Without a display (offscreen) nobody has to wait. Lives on the GUI thread.
class ScreensLock : public QObject {
    Q_OBJECT
public:
    /// `folder`: of all running programs of this user.
    explicit ScreensLock(const QString& folder, QObject* parent = nullptr);
    [[nodiscard]] bool isHeld() const { return !m_lock || m_lock->isLocked(); }

Q_SIGNALS:
    void taken(); ///< the screens are free and ours now

private:
    std::unique_ptr<QLockFile> m_lock; ///< null = not needed
    QTimer m_again;
};

} // namespace mivanta
