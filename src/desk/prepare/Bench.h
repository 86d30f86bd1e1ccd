// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Session.h"
#include "desk/parts/PictureView.h"
#include <QScrollArea>

class QComboBox;
class QGridLayout;
class QLabel;

namespace mivanta {

class PassageInService;
class SongInService;
class TextInService;

/// What the chosen item is: its slides, its singing order, how it looks on each output.
class Bench : public QScrollArea {
    Q_OBJECT
public:
    Bench(Session& session, ThumbnailStore& thumbnails, QWidget* parent = nullptr);
    void setItem(const ItemId& id);

Q_SIGNALS:
    void wordsWanted(const mivanta::ItemId& id);       ///< to change them for this service only
    void openInLibrary(const mivanta::FindPick& pick); ///< to change the library's song or text

private:
    void refresh();
    void showSlides(const ItemSlides& slides);
    void showLook(const ItemSlides* slides);

    Session& m_session;
    ThumbnailStore& m_thumbnails;
    ItemId m_item;
    QLabel* m_title;
    QLabel* m_kind;
    QGridLayout* m_grid;
    std::vector<PictureView*> m_pictures;
    SongInService* m_song;
    PassageInService* m_passage;
    TextInService* m_text;
    QComboBox* m_theme;
    QGridLayout* m_look;
    std::vector<std::pair<QLabel*, QLabel*>> m_looks; ///< an output's name and its look
};

} // namespace mivanta
