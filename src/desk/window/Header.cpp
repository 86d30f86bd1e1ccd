// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/Header.h"
#include "desk/kit/DragOpens.h"
#include "desk/kit/ElidedLabel.h"
#include "desk/kit/HoldButton.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QPainter>
#include <QShortcut>
#include <QToolButton>

namespace mivanta {

namespace {

const QColor kHeadGround(0x1e2b31);
const QColor kHeadText(0xf4efe3);
const QColor kHeadQuiet(0xb9c2bf);
constexpr int kHoldMs = 2000;

/// The pill with the lamp in it.
class LampBox : public QWidget {
public:
    using QWidget::QWidget;
    void setLit(bool lit) {
        m_lit = lit;
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        const double radius = height() / 2.0 - 1;
        painter.setPen(QPen(QColor(0x55646a), 1));
        painter.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), radius, radius);
        const double size = spaced(3);
        const QRectF lamp(spaced(3), (height() - size) / 2, size, size);
        painter.setPen(m_lit ? QPen(Qt::NoPen) : QPen(kHeadQuiet, 1.5));
        painter.setBrush(m_lit ? night().marker : QColor(Qt::transparent));
        painter.drawEllipse(lamp);
    }

private:
    bool m_lit = false;
};

} // namespace

Header::Header(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("header"));
    m_title = new ElidedLabel(this);
    m_title->setFont(textFont(1.25, TextWeight::Bold));
    m_title->setStyleSheet(QStringLiteral("color: %1").arg(kHeadText.name()));
    m_state = new QLabel(this);
    m_state->setStyleSheet(QStringLiteral("color: %1").arg(kHeadQuiet.name()));
    m_tabs = new QWidget(this);
    auto* tabs = new QHBoxLayout(m_tabs);
    tabs->setContentsMargins(0, 0, 0, 0);
    tabs->setSpacing(spaced(1.5));
    auto* lampBox = new LampBox(this);
    m_lampBox = lampBox;
    m_lampLabel = new ElidedLabel(lampBox);
    m_lampLabel->setObjectName(QStringLiteral("lamp"));
    m_lampLabel->setStyleSheet(QStringLiteral("color: %1").arg(kHeadText.name()));
    auto* lamp = new QHBoxLayout(lampBox);
    lamp->setContentsMargins(spaced(8), spaced(1.5), spaced(4), spaced(1.5));
    lamp->addWidget(m_lampLabel);
    m_clock = new QLabel(this);
    m_clock->setFont(monoFont(1.35, TextWeight::Bold));
    m_clock->setStyleSheet(QStringLiteral("color: %1").arg(kHeadText.name()));
    m_clock->setAccessibleName(tr("Time"));

    buildLock();
    auto* left = new QHBoxLayout;
    left->setSpacing(spaced(2.5));
    left->addWidget(m_title);
    left->addWidget(m_state, 1);
    auto* right = m_right = new QHBoxLayout;
    right->setSpacing(spaced(4));
    right->addStretch(1);
    right->addWidget(m_lock);
    right->addWidget(m_unlock);
    right->addWidget(m_lampBox);
    right->addWidget(m_clock);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(spaced(4), spaced(2), spaced(4), spaced(2));
    row->addLayout(left, 1);
    row->addWidget(m_tabs);
    row->addLayout(right, 1);
}

void Header::addBeforeLamp(QWidget* widget) {
    m_right->insertWidget(m_right->indexOf(m_lampBox), widget);
}

QString Header::buttonStyle() {
    return QStringLiteral("QToolButton { color: %1; border: 1px solid #55646a; border-radius: 4px; "
                          "padding: 3px 8px; } QToolButton:hover { background: #33434a; }")
        .arg(kHeadText.name());
}

void Header::buildLock() {
    const QString style = buttonStyle();
    m_lock = new QToolButton(this);
    m_lock->setObjectName(QStringLiteral("lock"));
    m_lock->setText(tr("Lock"));
    m_lock->setToolTip(tr("Run only: full screen, no editing, no quitting (Shift+F11)"));
    // Not the key that is held down to unlock: that would lock again at once.
    new QShortcut(QKeySequence(QStringLiteral("Shift+F11")), m_lock, m_lock, &QToolButton::click);
    m_lock->setFocusPolicy(Qt::TabFocus);
    m_lock->setStyleSheet(style);
    connect(m_lock, &QToolButton::clicked, this, &Header::lockWanted);
    m_unlock = new HoldButton(tr("Locked"), QKeyCombination(Qt::Key_F11), kHoldMs, this);
    m_unlock->setObjectName(QStringLiteral("unlock"));
    m_unlock->setToolTip(tr("Hold this button, or F11, down for two seconds to unlock editing and "
                            "quitting"));
    m_unlock->setStyleSheet(style);
    connect(m_unlock, &HoldButton::held, this, &Header::unlockWanted);
    setLock(Lock::None);
}

void Header::setLock(Lock lock) {
    m_lock->setVisible(lock == Lock::Open);
    m_unlock->setVisible(lock == Lock::Closed);
    m_tabs->setVisible(lock != Lock::Closed);
}

void Header::addDesk(const QString& key, const QString& name, const QString& tip, const QString& shortcut) {
    const int index = int(m_desks.size());
    auto* button = new QToolButton(m_tabs);
    button->setObjectName(QStringLiteral("desk-") + key);
    button->setText(name);
    button->setCheckable(true);
    button->setToolTip(QStringLiteral("%1 (%2)").arg(tip, shortcut));
    button->setFocusPolicy(Qt::TabFocus);
    new DragOpens(button);
    button->setStyleSheet(
        QStringLiteral("QToolButton { color: %1; border: 2px solid transparent; border-radius: 14px; "
                       "padding: 4px 12px; }"
                       "QToolButton:hover { background: #33434a; }"
                       "QToolButton:focus { border-color: %3; }"
                       "QToolButton:checked { background: %1; color: %2; font-weight: bold; }")
            .arg(kHeadText.name(), kHeadGround.name(), night().accent.name()));
    connect(button, &QToolButton::clicked, this, [this, index] { Q_EMIT deskChosen(index); });
    m_tabs->layout()->addWidget(button);
    m_desks.push_back({button, name});
}

void Header::setCurrentDesk(int index) {
    for (size_t i = 0; i < m_desks.size(); ++i)
        m_desks[i].button->setChecked(int(i) == index);
}

void Header::setDeskCount(int index, int count) {
    const Desk& desk = m_desks[size_t(index)];
    desk.button->setText(count > 0 ? QStringLiteral("%1 %2").arg(desk.name).arg(count) : desk.name);
}

void Header::setService(const QString& title, const QString& state) {
    m_title->setText(title);
    m_state->setText(state);
}

void Header::setLamp(const LampState& lamp) {
    m_lamp = lamp;
    m_lampLabel->setText(lamp.text);
    m_lampBox->setAccessibleName(lamp.text);
    m_lampBox->setToolTip(tr("What the outputs show now: %1").arg(lamp.text));
    static_cast<LampBox*>(m_lampBox)->setLit(lamp.lit);
}

void Header::setTime(const QString& time) {
    m_clock->setText(time);
}

void Header::paintEvent(QPaintEvent*) {
    QPainter(this).fillRect(rect(), kHeadGround);
}

} // namespace mivanta

#include "moc_Header.cpp"
