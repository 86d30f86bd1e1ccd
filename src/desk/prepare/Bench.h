// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Session.h"
#include "desk/parts/LookEditors.h"
#include "desk/parts/PictureView.h"
#include <QScrollArea>

class QGridLayout;
class QLabel;

namespace mivanta {

class LookInService;
class MomentInService;
class PassageInService;
class PicturesInService;
class PlanInService;
class Prompts;
class SlideInService;
class SongInService;
class SoundInService;
class StageInService;
class TextInService;

/// What the chosen item is: its slides, its singing order, how it looks on each output.
class Bench : public QScrollArea {
    Q_OBJECT
public:
    Bench(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, const PictureChooser& choosePicture,
          QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    [[nodiscard]] LookInService* look() { return m_look; }
    [[nodiscard]] PlanInService* plan() { return m_plan; }
    [[nodiscard]] SoundInService* sound() { return m_sound; }
    [[nodiscard]] StageInService* stage() { return m_stage; }
    [[nodiscard]] MomentInService* moment() { return m_moment; }

Q_SIGNALS:
    void wordsWanted(const mivanta::ItemId& id);       ///< to change them for this service only
    void openInLibrary(const mivanta::FindPick& pick); ///< to change the library's song or text

protected:
    bool eventFilter(QObject* watched, QEvent* event) override; ///< keys on a slide

private:
    void refresh();
    void addPicture();
    void moveSlide(int slide, int by);
    /// Which picture of a set a slide shows; nothing for slides of anything else.
    [[nodiscard]] std::optional<int> pictureAt(const std::optional<int>& slide) const;
    void showSlides(const ItemSlides& slides);
    void chooseSlide(const std::optional<int>& slide);

    Session& m_session;
    ThumbnailStore& m_thumbnails;
    ItemId m_item;
    QLabel* m_title;
    QLabel* m_kind;
    QGridLayout* m_grid;
    std::vector<PictureView*> m_pictures;
    SongInService* m_song;
    PassageInService* m_passage;
    PicturesInService* m_set;
    MomentInService* m_moment;
    SlideInService* m_slide;
    TextInService* m_text;
    PlanInService* m_plan;
    SoundInService* m_sound;
    StageInService* m_stage;
    LookInService* m_look;
};

} // namespace mivanta
