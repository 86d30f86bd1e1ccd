// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/PictureView.h"
#include "desk/look/LookEditors.h"
#include "session/Session.h"
#include <QWidget>

class QLabel;
class QScrollArea;
class QStackedWidget;
class QTabBar;

namespace mivanta {

class ElidedLabel;
class LookInService;
class MomentInService;
class LiveInService;
class LoopInService;
class MemberInLoop;
class MusicInService;
class PassageInService;
class FilmInService;
class PicturesInService;
class PlanInService;
class Prompts;
class SlideGrid;
class SlideInService;
class SongInService;
class SoundInService;
class StageInService;
class TextInService;
class TrackInService;

/// What the chosen item is: its slides, and under them, in tabs, its words, its look, its time, what the
/// stage sees and what sounds. The tab that was seen last stays.
class Bench : public QWidget {
    Q_OBJECT
public:
    enum Tab { WordsTab, LookTab, WhenTab, StageTab, SoundTab };

    Bench(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, const LookSupplies& supplies,
          QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    /// Goes to the tab that this part of the bench is on.
    void reveal(const QWidget* part);
    /// The library's song becomes as this item has it.
    void putIntoLibrary(const ItemId& song);
    [[nodiscard]] LookInService* look() { return m_look; }
    [[nodiscard]] PlanInService* plan() { return m_plan; }
    [[nodiscard]] SoundInService* sound() { return m_sound; }
    [[nodiscard]] StageInService* stage() { return m_stage; }
    [[nodiscard]] MomentInService* moment() { return m_moment; }

Q_SIGNALS:
    void wordsWanted(const mivanta::ItemId& id);       ///< to change them for this service only
    void memberWanted(const mivanta::ItemId& member);  ///< of the loop: to be chosen on the sheet
    void openInLibrary(const mivanta::FindPick& pick); ///< to change the library's song or text

private:
    void buildTabs();
    void addTab(const QString& name, const QString& tip, const std::vector<QWidget*>& parts);
    void goToTab(int tab);
    void refresh();
    void showTabs(const Item* item);
    void showSlides(const Item* item);
    void moveSlide(int slide, int by);
    /// Which picture of a set a slide shows; nothing for slides of anything else.
    [[nodiscard]] std::optional<int> pictureAt(const std::optional<int>& slide) const;
    void chooseSlide(const std::optional<int>& slide);

    Session& m_session;
    ItemId m_item;
    ElidedLabel* m_title;
    ElidedLabel* m_kind;
    ElidedLabel* m_unusual;
    SlideGrid* m_slides;
    QTabBar* m_tabs;
    QStackedWidget* m_pages;
    std::vector<QLabel*> m_dots; ///< by tab: something is set there
    SongInService* m_song;
    PassageInService* m_passage;
    PicturesInService* m_set;
    FilmInService* m_film;
    LiveInService* m_live;
    LoopInService* m_loop;
    MemberInLoop* m_member;
    MusicInService* m_music;
    TrackInService* m_track;
    MomentInService* m_moment;
    SlideInService* m_slide;
    TextInService* m_text;
    PlanInService* m_plan;
    SoundInService* m_sound;
    StageInService* m_stage;
    LookInService* m_look;
};

} // namespace mivanta
