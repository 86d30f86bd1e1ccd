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
    /// What pasted lines can become here.
    enum Offer : unsigned { NewSong = 1, NewItems = 2 };
    void setOffers(unsigned offers);
    void offer(const QString& text);

Q_SIGNALS:
    void newSongWanted(const QString& text);
    void orderWanted(const QString& text);

private:
    QString m_text;
    QLabel* m_label;
    QPushButton* m_song;
    QPushButton* m_order;
};

} // namespace mivanta
