// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/ArmedChip.h"
#include "core/timing/Moment.h"
#include "desk/kit/Style.h"
#include "desk/window/Header.h"
#include <QShortcut>
#include <cmath>

namespace mivanta {

namespace {
constexpr int kSecondMs = 1000;
}

ArmedChip::ArmedChip(Session& session, QWidget* parent) : QToolButton(parent), m_session(session) {
    setObjectName(QStringLiteral("armed"));
    setFocusPolicy(Qt::TabFocus);
    setStyleSheet(Header::buttonStyle() +
                  QStringLiteral(" QToolButton { color: %1; border-color: %1; }").arg(night().marker.name()));
    auto* shortcut = new QShortcut(QKeySequence(QStringLiteral("Ctrl+Shift+X")), this);
    shortcut->setContext(Qt::WindowShortcut);
    connect(shortcut, &QShortcut::activated, this, &QToolButton::click);
    connect(this, &QToolButton::clicked, this, [this] { m_session.orders().obey(order::DisarmAll{}); });
    connect(&m_session.arming(), &LoopArming::changed, this, &ArmedChip::refresh);
    m_ticks.setInterval(kSecondMs);
    connect(&m_ticks, &QTimer::timeout, this, &ArmedChip::refresh);
    refresh();
}

void ArmedChip::refresh() {
    const auto& armed = m_session.arming().all();
    setVisible(!armed.empty());
    if (armed.empty()) {
        m_ticks.stop();
        return;
    }
    m_ticks.start();
    const LoopArming::Armed& next = armed.front();
    const double left = double(std::max<qint64>(0, Clock::the().now().msecsTo(next.at))) / 1000;
    setText(tr("armed: %1 in %2", "a time of day, how long until then")
                .arg(next.at.toString(QStringLiteral("HH:mm")), momentText(std::ceil(left))));
    setToolTip(tr("\u201c%1\u201d begins by itself. Click to disarm (Ctrl+Shift+X; on the Run desk Del).")
                   .arg(next.title));
    setAccessibleName(tr("%1, %2").arg(next.title, text()));
}

} // namespace mivanta

#include "moc_ArmedChip.cpp"
