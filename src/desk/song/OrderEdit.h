// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/SingingOrder.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QMenu;

namespace mivanta {

/// A song's singing orders, as chips and as one line of text. Chips move by drag and by Ctrl+Left and
/// Ctrl+Right; the text says what it was understood as while it is typed. Text that is not understood whole
/// counts for nothing: what stood before it was typed is the order, and the line under it says so.
class OrderEdit : public QWidget {
    Q_OBJECT
public:
    /// A change by itself, or more of the typing that the one before began: both are one step then.
    enum class Step { New, GoesOn };
    explicit OrderEdit(QWidget* parent = nullptr);
    /// Nothing empties it. Tells nothing.
    void setSong(const std::optional<Song>& song);
    /// Whether orders can be added, renamed and removed here.
    void setOtherOrdersShown(bool shown) { m_editsOrders = shown; }

Q_SIGNALS:
    /// The usual order is to be these entries.
    void orderWanted(const std::vector<mivanta::SungPart>& entries, const QString& what,
                     mivanta::OrderEdit::Step step);
    void otherOrderWanted(int index); ///< the other order of this index is to be the usual one
    void newOrderWanted();
    void renameWanted();
    void removeWanted();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void showChips();
    void showOrders();
    void textEdited();
    void want(const std::vector<SungPart>& entries);
    void showText();
    [[nodiscard]] bool isUnderstood() const;
    void showMeaning(const ReadOrder& read, const QString& text);
    void takeChoice(const QString& link);
    void chipsMoved();
    void changeChip(int index, const std::function<void(std::vector<SungPart>&, int)>& work,
                    const QString& what);
    void fillAddMenu();

    Song m_song;
    bool m_hasSong = false;
    QComboBox* m_orders;
    QListWidget* m_chips;
    QMenu* m_addMenu;
    QLineEdit* m_text;
    QLabel* m_meaning;
    bool m_editsOrders = true;
    /// The order as it was when the text began to be edited; nothing while the text says what counts.
    std::optional<std::vector<SungPart>> m_standing;
    Step m_typing = Step::New; ///< GoesOn: something of what is being typed counted already
};

} // namespace mivanta
