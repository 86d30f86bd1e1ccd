// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QLabel;
class QPlainTextEdit;
class QPushButton;
class QToolButton;
class QVBoxLayout;

namespace mivanta {

/// What can be done with the chosen slide of an item in this service: other words, another place, hidden
/// today; and what is hidden, to be shown again.
class SlideInService : public QWidget {
    Q_OBJECT
public:
    explicit SlideInService(Session& session, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    /// A slide of the main output; nothing = none is chosen.
    void setSlide(const std::optional<int>& slide);
    void refresh();

    void hide(int slide);
    /// The time that its part comes, earlier (negative) or later in the item.
    void move(int slide, int by);

Q_SIGNALS:
    /// A picture of a set, or a part of a song: its own form does it.
    void moveWanted(int slide, int by);

private:
    [[nodiscard]] const Item* item() const;
    [[nodiscard]] const ItemSlides* slides() const;
    [[nodiscard]] std::optional<SlidePlace> placeOf(int slide) const;
    /// True where lines go on over several slides, so that one alone cannot be hidden or say something else.
    [[nodiscard]] bool isPartOfALine(int slide) const;
    [[nodiscard]] QString wordsOf(int slide) const; ///< as they are, line by line
    void change(const QString& what, const std::function<void(SlideEdits&)>& work, int visit = 0);
    void takeWords();
    void showHidden();

    Session& m_session;
    ItemId m_item;
    std::optional<int> m_slide;
    std::optional<SlidePlace> m_place; ///< of the chosen slide
    int m_visit = 0;
    QLabel* m_title;
    QWidget* m_chosen;
    QPlainTextEdit* m_words;
    QPushButton* m_own;
    QLabel* m_shared; ///< why it cannot be changed alone
    QToolButton* m_hide;
    QToolButton* m_earlier;
    QToolButton* m_later;
    QVBoxLayout* m_hidden;
    std::vector<QWidget*> m_hiddenRows;
};

} // namespace mivanta
