// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/ScreenNumbers.h"
#include "render/Fonts.h"
#include <QPainter>

namespace mivanta {

namespace {
constexpr int kSeenMs = 5000;
}

class ScreenNumbers::Number : public QRasterWindow {
public:
    Number(int number, const Monitor& monitor) : m_number(number), m_name(monitor.name) {
        setFlags(Qt::ToolTip | Qt::FramelessWindowHint | Qt::WindowStaysOnTopHint |
                 Qt::WindowDoesNotAcceptFocus);
        QRect area(QPoint(0, 0), QSize(monitor.geometry.height() / 2, monitor.geometry.height() * 2 / 5));
        area.moveCenter(monitor.geometry.center());
        setGeometry(area);
        QRasterWindow::show();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.fillRect(QRect(QPoint(0, 0), size()), QColor(15, 23, 27));
        painter.setPen(QColor(255, 178, 36));
        painter.setFont(slideFont({}, 700, height() * 3 / 5));
        painter.drawText(QRect(0, 0, width(), height() * 4 / 5), Qt::AlignCenter, QString::number(m_number));
        painter.setPen(QColor(232, 226, 212));
        painter.setFont(slideFont({}, 400, height() / 10));
        painter.drawText(QRect(0, height() * 3 / 4, width(), height() / 5), Qt::AlignCenter, m_name);
    }

private:
    int m_number;
    QString m_name;
};

ScreenNumbers::ScreenNumbers() {
    m_over.setSingleShot(true);
    m_over.setInterval(kSeenMs);
    QObject::connect(&m_over, &QTimer::timeout, &m_over, [this] { m_windows.clear(); });
}

ScreenNumbers::~ScreenNumbers() = default;

void ScreenNumbers::show(const std::vector<Monitor>& monitors) {
    m_windows.clear();
    for (size_t i = 0; i < monitors.size(); ++i)
        m_windows.push_back(std::make_unique<Number>(int(i) + 1, monitors[i]));
    m_over.start();
}

} // namespace mivanta
