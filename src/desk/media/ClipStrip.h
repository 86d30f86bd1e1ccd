// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Moments.h"
#include <QWidget>

namespace mivanta {

/// A whole film or sound as a row of its moments, with the part of it that is played between two handles, and
/// the place where the preview stands. Keys: arrows go to and fro, [ and ] set the begin and the end there.
class ClipStrip : public QWidget {
    Q_OBJECT
public:
    explicit ClipStrip(QWidget* parent = nullptr);

    /// Seconds; `length` of 0 = not known, and nothing can be chosen. `to` of 0 = its end.
    void setClip(double length, double from, double to);
    void setPosition(double seconds);
    [[nodiscard]] double position() const { return m_position; }
    void setMoments(std::vector<QImage> moments);
    /// Null where they are not there yet.
    [[nodiscard]] const std::vector<QImage>& moments() const { return m_moments; }

Q_SIGNALS:
    void sought(double seconds);
    void clipChanged(double from, double to); ///< by a person, who let go
    void playWanted();                        ///< Space

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    [[nodiscard]] QSize sizeHint() const override;

private:
    enum class Grip { None, From, To, Place };
    [[nodiscard]] double end() const { return m_to > 0 ? m_to : m_length; }
    [[nodiscard]] double xOf(double seconds) const;
    [[nodiscard]] double secondsAt(double x) const;
    [[nodiscard]] Grip gripAt(double x) const;
    void move(double x);
    void setFrom(double seconds);
    void setTo(double seconds);

    std::vector<QImage> m_moments;
    double m_length = 0;
    double m_from = 0;
    double m_to = 0;
    double m_position = 0;
    Grip m_grip = Grip::None;
};

} // namespace mivanta
