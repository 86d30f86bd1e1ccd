// SPDX-License-Identifier: GPL-3.0-or-later
#include "standins/Camera.h"
#include <QDateTime>
#include <QRandomGenerator>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kDamagedOneIn = 40; // bytes

} // namespace

Camera::Camera(const CameraPicture& picture, QObject* parent) : QObject(parent), m_picture(picture) {
    m_since.start();
    m_begin = QDateTime::currentMSecsSinceEpoch();
    m_timer.setTimerType(Qt::PreciseTimer);
    connect(&m_timer, &QTimer::timeout, this, &Camera::step);
    m_timer.start(std::max(1, 500 / picture.rate)); // twice as often as pictures are due
}

/// The picture that is due by the clock; one that was missed is left out.
void Camera::step() {
    const int due = int(m_since.elapsed() * m_picture.rate / 1000);
    if (due <= m_number)
        return;
    m_number = due;
    if (!m_isStalled && !m_isAway)
        Q_EMIT came(cameraPicture(m_picture, m_number, QTime::currentTime()));
}

bool Camera::obey(const QString& order) {
    if (order.startsWith("size "_L1)) {
        const QStringList sides = order.mid(5).split(u'x');
        const QSize size(sides.value(0).toInt(), sides.value(1).toInt());
        if (size.isEmpty())
            return false;
        m_picture.size = size;
        Q_EMIT resized();
        return true;
    }
    const QStringList faults{u"go"_s, u"stall"_s, u"dark"_s, u"damage"_s, u"trickle"_s, u"part"_s};
    if (!faults.contains(order))
        return false;
    m_isStalled = order == "stall"_L1;
    m_picture.isDark = order == "dark"_L1;
    m_isDamaged = order == "damage"_L1;
    m_isTrickling = order == "trickle"_L1;
    m_isAway = order == "part"_L1;
    if (m_isAway)
        Q_EMIT parted();
    return true;
}

QByteArray Camera::sent(QByteArray bytes) const {
    if (m_isDamaged)
        for (qsizetype at = 0; at < bytes.size();
             at += 1 + QRandomGenerator::global()->bounded(2 * kDamagedOneIn))
            bytes[at] = char(QRandomGenerator::global()->bounded(256));
    return bytes;
}

} // namespace mivanta

#include "moc_Camera.cpp"
