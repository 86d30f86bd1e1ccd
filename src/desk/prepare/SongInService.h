// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/ThemeBox.h"
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QPushButton;
class QSpinBox;

namespace mivanta {

class OrderEdit;

/// How a song stands in this service: its order, key, capo and theme here, and whether that differs from the
/// library. What is changed here is for this service only, until a button says otherwise.
class SongInService : public QWidget {
    Q_OBJECT
public:
    SongInService(Session& session, QWidget* parent = nullptr);
    /// An item that is no song hides it.
    void setItem(const ItemId& id);
    void refresh();
    /// The library's song becomes as it is here.
    void putIntoLibrary();

Q_SIGNALS:
    void wordsWanted();
    void libraryWanted(const mivanta::SongId& id);

private:
    QWidget* buildEditRow();
    QWidget* buildKeyRow();
    QWidget* buildStateRow();
    void change(const QString& what, const std::function<void(Song&)>& work, int visit = 0);
    void compare();
    void showState();
    void takeFromLibrary();
    void store(Song song, const std::optional<Song>& over); ///< `over` what the library has

    Session& m_session;
    ItemId m_item;
    std::shared_ptr<const Song> m_song; ///< as it stands here
    std::optional<Song> m_stored;       ///< as it is in the library; nothing = not there, or not known yet
    bool m_isCompared = false;          ///< m_stored is what the library has, if it has it
    int m_orderVisit = 0;               ///< while an order is typed
    OrderEdit* m_order;
    QLabel* m_key;
    QSpinBox* m_capo;
    ThemeBox* m_theme;
    QLabel* m_state;
    QPushButton* m_compare;
    QPushButton* m_library;
    QPushButton* m_put;
    QPushButton* m_take;
};

} // namespace mivanta
