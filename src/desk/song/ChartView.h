// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/sending/Sender.h"
#include <QWidget>

class QLabel;

namespace mivanta {

/// The musicians' page of a song, as it prints; what is chosen here changes only what is shown and printed.
class ChartView : public QWidget {
    Q_OBJECT
public:
    explicit ChartView(QWidget* parent = nullptr);
    void setSong(const Song& song);
    [[nodiscard]] const ChartOptions& options() const { return m_options; }

Q_SIGNALS:
    void sheetWanted(mivanta::SendWay way);

private:
    void transposeBy(int semitones);
    void change(const std::function<void(ChartOptions&)>& work);
    void layOut();

    Song m_song;
    ChartOptions m_options;
    QLabel* m_key;
    class Pages;
    Pages* m_pages;
};

} // namespace mivanta
