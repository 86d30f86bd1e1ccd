// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"
#include "desk/run/LaneCard.h"
#include <QWidget>

namespace mivanta {

/// One item's row on the Run desk: closed, its parts as chips; open, its slides as cards.
class Lane : public QWidget {
    Q_OBJECT
public:
    Lane(int number, ItemId item, QWidget* parent = nullptr);

    void setContent(const QString& title, const QString& side, std::vector<PartChip> chips);
    /// For the operator, in words; stands over the cards of the open lane. Empty = none.
    void setNote(const QString& note);
    void open(const ItemSlides& slides);
    void close();
    void setPast(bool past);
    /// Steps of this item on screen and next; -1 = elsewhere.
    void setMarks(int onScreenStep, int nextStep, const QString& cover = {});
    [[nodiscard]] const ItemId& item() const { return m_item; }
    /// What stands at the right of its head.
    [[nodiscard]] const QString& side() const { return m_side; }
    [[nodiscard]] bool isOpen() const { return m_open; }
    [[nodiscard]] const std::vector<LaneCard*>& cards() const { return m_cards; }
    /// Where the marked card (next, else on screen) stands, for scrolling to it.
    [[nodiscard]] QRect markedArea() const;

    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override;

Q_SIGNALS:
    void looked(int step);
    void taken(int step);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;

private:
    void makeCards(const std::vector<Card>& contents);
    [[nodiscard]] int noteHeight(int width) const; ///< 0 without one
    void markCards();
    /// Places the cards, four a row and each row as high as its highest; returns the lane's height.
    int placeCards(int width, bool place) const;

    int m_number;
    ItemId m_item;
    QString m_title;
    QString m_side;
    QString m_note;
    std::vector<PartChip> m_chips;
    std::vector<LaneCard*> m_cards;
    bool m_open = false;
    bool m_past = false;
    int m_onScreen = -1;
    int m_next = -1;
    QString m_cover; ///< the name of the curtain that hides what is on screen
};

} // namespace mivanta
