// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/AdvanceLine.h"
#include "core/base/Clock.h"
#include "core/order/ItemPlan.h"
#include "desk/kit/Style.h"
#include <QPainter>

namespace mivanta {

namespace {
constexpr int kTickMs = 100;
}

AdvanceLine::AdvanceLine(AutoAdvance& advance, const RunController& run, const RunKeys& keys, QWidget* parent)
    : QWidget(parent),
      m_advance(advance),
      m_run(run),
      m_keys(keys) {
    setObjectName(QStringLiteral("run-by-itself"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    m_tick.setInterval(kTickMs);
    connect(&m_tick, &QTimer::timeout, this, qOverload<>(&QWidget::update));
    connect(&m_advance, &AutoAdvance::changed, this, &AdvanceLine::refresh);
    refresh();
}

void AdvanceLine::refresh() {
    const bool comes = m_advance.due().has_value();
    setVisible(comes);
    setAccessibleName(text());
    if (comes)
        m_tick.start();
    else
        m_tick.stop();
    update();
}

double AdvanceLine::shareLeft() const {
    const auto& due = m_advance.due();
    const qint64 whole = due ? m_run.takenAt().msecsTo(*due) : 0;
    const qint64 left = due ? Clock::the().now().msecsTo(*due) : 0;
    return whole > 0 ? std::clamp(double(left) / double(whole), 0.0, 1.0) : 0;
}

QString AdvanceLine::text() const {
    const auto& due = m_advance.due();
    if (!due)
        return {};
    const qint64 left = std::max<qint64>(0, Clock::the().now().msecsTo(*due));
    return tr("Next by itself in %1. %2 holds it.")
        .arg(durationText(int((left + 999) / 1000)), m_keys.textOf(RunAction::HoldAdvance));
}

QSize AdvanceLine::sizeHint() const {
    return {spaced(60), fontMetrics().height() + spaced(3)};
}

void AdvanceLine::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const int thick = spaced(1);
    const QRect track(0, height() - thick, width(), thick);
    painter.fillRect(track, night().line);
    painter.fillRect(QRect(track.topLeft(), QSize(int(track.width() * shareLeft()), thick)), night().accent);
    painter.setFont(textFont(1.05, TextWeight::Bold));
    painter.setPen(night().accent);
    painter.drawText(rect().adjusted(0, 0, 0, -thick), Qt::AlignLeft | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(text(), Qt::ElideRight, width()));
}

} // namespace mivanta

#include "moc_AdvanceLine.cpp"
