// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QWidget>

class QLabel;
class QPushButton;

namespace mivanta {

/// Offers what can be done with several lines that were pasted into Find: a new song, or lines of an order.
class PastedLines : public QWidget {
    Q_OBJECT
public:
    explicit PastedLines(QWidget* parent = nullptr);
    void setOffers(bool newSong, bool order);
    void offer(const QString& text);

Q_SIGNALS:
    void newSongWanted(const QString& text);
    void orderWanted(const QString& text);

private:
    void take(bool asSong);

    QString m_text;
    QLabel* m_label;
    QPushButton* m_song;
    QPushButton* m_order;
};

} // namespace mivanta
