// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Moments.h"
#include <QWidget>

namespace mivanta {

/// A film as a row of its moments, with the place where it stands. A click goes there.
class FilmStrip : public QWidget {
    Q_OBJECT
public:
    explicit FilmStrip(QWidget* parent = nullptr);

    /// All dark.
    void clearMoments();
    /// The first is number 0.
    void setMoment(size_t number, const QImage& picture);
    /// What is played, and the place, in seconds of the file; `to` of 0 = not known.
    void setPlace(double from, double to, double position);

Q_SIGNALS:
    void clicked(double seconds);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    [[nodiscard]] QSize sizeHint() const override;

private:
    [[nodiscard]] double secondsAt(double x) const;

    std::vector<QImage> m_moments = std::vector<QImage>(kMoments);
    double m_from = 0;
    double m_to = 0;
    double m_position = 0;
};

} // namespace mivanta
