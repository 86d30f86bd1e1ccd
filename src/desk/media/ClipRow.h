// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>
#include <QWidget>
#include <vector>

class QLabel;
class QPushButton;

namespace mivanta {

class ClipStrip;

/// A film's moments with the part of it that is played, its begin, place and end in figures, and a button
/// that plays it here.
class ClipRow : public QWidget {
    Q_OBJECT
public:
    explicit ClipRow(QWidget* parent = nullptr);

    /// As of ClipStrip; `canChoose`: false = only where its begin and its end are is shown.
    void setClip(double length, double from, double to, bool canChoose = true);
    void setPosition(double seconds);
    void setMoments(std::vector<QImage> moments);
    void setPlaying(bool isPlaying);
    [[nodiscard]] double position() const;

Q_SIGNALS:
    void sought(double seconds);
    void clipChanged(double from, double to);
    void playWanted();

private:
    ClipStrip* m_strip;
    QLabel* m_from;
    QLabel* m_place;
    QLabel* m_to;
    QPushButton* m_play;
};

} // namespace mivanta
