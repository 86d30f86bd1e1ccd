// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/HoldButton.h"
#include "desk/kit/Style.h"
#include <QApplication>
#include <QKeyEvent>
#include <QPainter>

namespace mivanta {

namespace {
constexpr int kTickMs = 40;
/// Some systems repeat a key that is held as releases and presses that say nothing of repeating.
constexpr int kLetGoMs = 150;
} // namespace

HoldButton::HoldButton(const QString& text, QKeyCombination keys, int milliseconds, QWidget* parent)
    : QToolButton(parent),
      m_keys(keys),
      m_milliseconds(milliseconds) {
    setText(text);
    setFocusPolicy(Qt::NoFocus);
    m_ticks.setInterval(kTickMs);
    connect(&m_letGo, &DueTimer::due, this, &HoldButton::end);
    connect(this, &QToolButton::pressed, this, &HoldButton::begin);
    connect(this, &QToolButton::released, this, &HoldButton::end);
    connect(&m_ticks, &QTimer::timeout, this, &HoldButton::tick);
}

void HoldButton::begin() {
    m_since = Clock::the().steady();
    m_ticks.start();
}

void HoldButton::end() {
    m_ticks.stop();
    m_letGo.stop();
    update();
}

void HoldButton::tick() {
    update();
    if (Clock::the().steady() - m_since < m_milliseconds)
        return;
    end();
    Q_EMIT held();
}

void HoldButton::showEvent(QShowEvent* event) {
    QToolButton::showEvent(event);
    qApp->installEventFilter(this);
}

void HoldButton::hideEvent(QHideEvent* event) {
    qApp->removeEventFilter(this);
    end();
    QToolButton::hideEvent(event);
}

bool HoldButton::eventFilter(QObject* watched, QEvent* event) {
    const bool isPress = event->type() == QEvent::KeyPress;
    if (!isPress && event->type() != QEvent::KeyRelease)
        return QToolButton::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->isAutoRepeat())
        return QToolButton::eventFilter(watched, event);
    if (isPress && key->keyCombination() == m_keys) {
        m_letGo.stop();
        if (!m_ticks.isActive())
            begin();
    } else if (!isPress && m_ticks.isActive() && !isDown()) {
        m_letGo.start(kLetGoMs); // whichever of them is let go first
    }
    return QToolButton::eventFilter(watched, event);
}

void HoldButton::paintEvent(QPaintEvent* event) {
    QToolButton::paintEvent(event);
    if (!m_ticks.isActive())
        return;
    QPainter painter(this);
    const double share = std::min(1.0, double(Clock::the().steady() - m_since) / m_milliseconds);
    painter.fillRect(QRectF(0, height() - spaced(1), width() * share, spaced(1)), night().marker);
}

} // namespace mivanta

#include "moc_HoldButton.cpp"
