// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "standins/CameraPicture.h"
#include <QElapsedTimer>
#include <QObject>
#include <QTimer>

namespace mivanta {

/// A simulated camera that runs: one picture after the other, and whatever may be wrong with a camera.
class Camera : public QObject {
    Q_OBJECT
public:
    explicit Camera(const CameraPicture& picture, QObject* parent = nullptr);

    [[nodiscard]] const CameraPicture& picture() const { return m_picture; }
    /// When its picture 0 was taken, ms since 1970.
    [[nodiscard]] qint64 begin() const { return m_begin; }
    /// "stall", "dark", "damage", "trickle", "part" (hang up on everybody and let nobody in), "size 640x360",
    /// and "go" for a camera that is well. False for anything else.
    bool obey(const QString& order);
    /// What it sends is changed in places.
    [[nodiscard]] bool isDamaged() const { return m_isDamaged; }
    [[nodiscard]] bool isAway() const { return m_isAway; }
    /// What is to be sent now is sent a byte at a time.
    [[nodiscard]] bool isTrickling() const { return m_isTrickling; }
    /// As it is sent: changed in places while it is damaged.
    [[nodiscard]] QByteArray sent(QByteArray bytes) const;

Q_SIGNALS:
    void came(const QImage& picture);
    void parted(); ///< everybody is to be hung up on
    void resized();

private:
    void step();

    CameraPicture m_picture;
    QTimer m_timer;
    QElapsedTimer m_since;
    qint64 m_begin = 0;
    int m_number = 0;
    bool m_isStalled = false;
    bool m_isDamaged = false;
    bool m_isTrickling = false;
    bool m_isAway = false;
};

} // namespace mivanta
