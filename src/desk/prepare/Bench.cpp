// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/Bench.h"
#include "core/run/Cards.h"
#include "core/timing/Moment.h"
#include "desk/kit/Columns.h"
#include "desk/kit/ElidedLabel.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FilmInService.h"
#include "desk/prepare/ItemFacts.h"
#include "desk/prepare/LiveInService.h"
#include "desk/prepare/LookDrops.h"
#include "desk/prepare/LookInService.h"
#include "desk/prepare/LoopDrops.h"
#include "desk/prepare/LoopInService.h"
#include "desk/prepare/LoopWords.h"
#include "desk/prepare/MemberInLoop.h"
#include "desk/prepare/MomentInService.h"
#include "desk/prepare/MusicInService.h"
#include "desk/prepare/PassageInService.h"
#include "desk/prepare/PicturesInService.h"
#include "desk/prepare/PlanInService.h"
#include "desk/prepare/SlideGrid.h"
#include "desk/prepare/SlideInService.h"
#include "desk/prepare/SongInService.h"
#include "desk/prepare/SoundInService.h"
#include "desk/prepare/StageInService.h"
#include "desk/prepare/TextInService.h"
#include "desk/prepare/TrackInService.h"
#include "session/service/LoopPlans.h"
#include <QScrollArea>
#include <QSettings>
#include <QShortcut>
#include <QStackedWidget>
#include <QTabBar>
#include <QVBoxLayout>
#include <cmath>

namespace mivanta {

namespace {
const QString kTabKey = QStringLiteral("bench/tab");
}

Bench::Bench(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, const LookSupplies& supplies,
             QWidget* parent)
    : QWidget(parent),
      m_session(session) {
    setObjectName(QStringLiteral("bench"));
    m_title = new ElidedLabel(this);
    m_title->setObjectName(QStringLiteral("bench-title"));
    m_title->setFont(textFont(1.5, TextWeight::Bold));
    m_kind = new ElidedLabel(this);
    makeQuiet(m_kind);
    m_unusual = new ElidedLabel(this);
    m_unusual->setObjectName(QStringLiteral("bench-unusual"));
    m_unusual->setStyleSheet(QStringLiteral("color: %1").arg(day().marker.darker(130).name()));
    m_slides = new SlideGrid(thumbnails, this);
    connect(m_slides, &SlideGrid::lookDropped, this, [this, &prompts](int slide, const LookDrop& drop) {
        if (m_loop->isVisibleTo(m_pages)) {
            if (!drop.file.isEmpty() && !drop.isThemeFile) // it joins the loop
                placeIntoLoop(m_session, prompts, this, m_item, {drop.file});
            return;
        }
        dropLook(m_session, this, m_look->targetOfSlide(slide), tr("slide %1").arg(slide + 1), drop);
    });
    connect(m_slides, &SlideGrid::clicked, this, [this](int slide) {
        const auto& stills = m_loop->plan().stills;
        if (m_loop->isVisibleTo(m_pages) && slide < int(stills.size())) {
            Q_EMIT memberWanted(stills[size_t(slide)].item);
            return;
        }
        chooseSlide(m_look->slide() == slide ? std::nullopt : std::optional(slide));
    });
    m_song = new SongInService(m_session, this);
    connect(m_song, &SongInService::wordsWanted, this, [this] { Q_EMIT wordsWanted(m_item); });
    connect(m_song, &SongInService::libraryWanted, this,
            [this](const SongId& id) { Q_EMIT openInLibrary(id); });
    m_passage = new PassageInService(m_session, this);
    m_text = new TextInService(m_session, this);
    m_set = new PicturesInService(m_session, prompts, this);
    m_film = new FilmInService(m_session, this);
    m_live = new LiveInService(m_session, this);
    m_loop = new LoopInService(m_session, prompts, thumbnails, this);
    connect(m_loop, &LoopInService::memberWanted, this, &Bench::memberWanted);
    m_member = new MemberInLoop(m_session, this);
    m_music = new MusicInService(m_session, prompts, this);
    m_moment = new MomentInService(m_session, this);
    m_slide = new SlideInService(m_session, this);
    connect(m_slides, &SlideGrid::hideWanted, m_slide, &SlideInService::hide);
    connect(m_slides, &SlideGrid::moveWanted, this, &Bench::moveSlide);
    connect(m_slide, &SlideInService::moveWanted, this, &Bench::moveSlide);
    connect(m_text, &TextInService::libraryWanted, this, &Bench::openInLibrary);
    m_plan = new PlanInService(m_session, this);
    m_sound = new SoundInService(m_session, prompts, this);
    m_track = new TrackInService(m_session, prompts, this);
    m_stage = new StageInService(m_session, this);
    m_look = new LookInService(m_session, thumbnails, supplies, this);
    buildTabs();

    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(4), spaced(4), spaced(3), 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_title);
    column->addWidget(m_kind);
    column->addWidget(m_unusual);
    column->addWidget(m_slides);
    column->addWidget(m_tabs);
    column->addWidget(m_pages, 1);
    connect(&m_session.book(), &SlideBook::changed, this, &Bench::refresh);
    goToTab(QSettings().value(kTabKey, int(WordsTab)).toInt());
    refresh();
}

void Bench::buildTabs() {
    m_tabs = new QTabBar(this);
    m_tabs->setObjectName(QStringLiteral("bench-tabs"));
    m_tabs->setAccessibleName(tr("What of the item is shown"));
    m_tabs->setExpanding(false);
    m_tabs->setDrawBase(true);
    m_tabs->setFocusPolicy(Qt::TabFocus);
    m_pages = new QStackedWidget(this);
    addTab(tr("Words"), tr("What it says, in which order"),
           {m_slide, m_song, m_passage, m_text, m_set, m_film, m_live, m_loop, m_music, m_moment});
    addTab(tr("Look"), tr("How it looks on the screens"), {m_look});
    addTab(tr("When"), tr("When it comes, how long it takes, who leads it"), {m_plan, m_member});
    addTab(tr("Stage"), tr("What only the musicians see"), {m_stage});
    addTab(tr("Sound"), tr("What sounds when it is taken"), {m_sound, m_track});
    connect(m_tabs, &QTabBar::currentChanged, this, &Bench::goToTab);
    const auto onLook = [this](const char* key, void (LookInService::*work)()) {
        auto* shortcut = new QShortcut(QKeySequence(QLatin1String(key)), this);
        connect(shortcut, &QShortcut::activated, this, [this, work] {
            goToTab(LookTab);
            (m_look->*work)();
        });
    };
    onLook("Ctrl+L", &LookInService::toggleReasons);
    onLook("Ctrl+Shift+L", &LookInService::toggleArrange);
    for (const auto& [key, by] : {std::pair("Ctrl+PgUp", -1), std::pair("Ctrl+PgDown", 1)}) {
        auto* shortcut = new QShortcut(QKeySequence(QLatin1String(key)), this);
        shortcut->setContext(Qt::WindowShortcut);
        connect(shortcut, &QShortcut::activated, this, [this, by = by] {
            const int count = m_tabs->count();
            m_tabs->setCurrentIndex((m_tabs->currentIndex() + by + count) % count);
        });
    }
}

void Bench::addTab(const QString& name, const QString& tip, const std::vector<QWidget*>& parts) {
    const int at = m_tabs->addTab(name);
    m_tabs->setTabToolTip(at, tr("%1 (Ctrl+PgUp, Ctrl+PgDown)").arg(tip));
    auto* dot = new QLabel(QStringLiteral("\u25cf"), m_tabs);
    dot->setFont(textFont(0.6));
    dot->setStyleSheet(QStringLiteral("color: %1").arg(day().marker.name()));
    dot->setToolTip(tr("Something is set here"));
    dot->hide();
    m_tabs->setTabButton(at, QTabBar::RightSide, dot);
    m_dots.push_back(dot);
    auto* content = new QWidget(m_pages);
    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(0, spaced(2), spaced(1), spaced(3));
    column->setSpacing(spaced(2));
    for (QWidget* part : parts)
        column->addWidget(part);
    column->addStretch(1);
    auto* area = new QScrollArea(m_pages);
    makeColumn(area);
    area->setFocusPolicy(Qt::NoFocus);
    area->setWidget(content);
    m_pages->addWidget(area);
}

void Bench::goToTab(int tab) {
    tab = std::clamp(tab, 0, m_tabs->count() - 1);
    if (m_tabs->currentIndex() != tab)
        m_tabs->setCurrentIndex(tab); // comes back here
    m_pages->setCurrentIndex(tab);
    QSettings().setValue(kTabKey, tab);
}

void Bench::reveal(const QWidget* part) {
    for (int tab = 0; tab < m_pages->count(); ++tab)
        if (auto* page = static_cast<QScrollArea*>(m_pages->widget(tab)); page->isAncestorOf(part)) {
            goToTab(tab);
            const QPoint at = part->mapTo(page->widget(), part->rect().center());
            page->ensureVisible(at.x(), at.y(), 0, part->height() / 2 + spaced(2));
        }
}

void Bench::putIntoLibrary(const ItemId& song) {
    if (song == m_item)
        m_song->putIntoLibrary();
}

void Bench::setItem(const ItemId& id) {
    if (id == m_item)
        return;
    m_item = id;
    m_song->setItem(id);
    m_passage->setItem(id);
    m_text->setItem(id);
    m_set->setItem(id);
    m_film->setItem(id);
    m_live->setItem(id);
    m_loop->setItem(id);
    m_member->setItem(id);
    m_music->setItem(id);
    m_track->setItem(id);
    m_moment->setItem(id);
    m_slide->setItem(id);
    m_plan->setItem(id);
    m_sound->setItem(id);
    m_stage->setItem(id);
    m_look->setItem(id);
    m_slides->setChosen(std::nullopt);
    refresh();
    for (int tab = 0; tab < m_pages->count(); ++tab)
        static_cast<QScrollArea*>(m_pages->widget(tab))->ensureVisible(0, 0);
}

void Bench::refresh() {
    const Item* item = m_session.document().service().item(m_item);
    m_title->setText(item ? item->title() : tr("Nothing chosen"));
    const QString unusual = item ? unusualFacts(*item, m_session.book().themes()) : QString();
    m_unusual->setText(unusual);
    m_unusual->setVisible(!unusual.isEmpty());
    m_plan->refresh();
    m_sound->refresh();
    m_stage->refresh();
    m_song->refresh();
    m_passage->refresh();
    m_text->refresh();
    m_set->refresh();
    m_film->refresh();
    m_live->refresh();
    m_loop->refresh();
    m_member->refresh();
    m_music->refresh();
    m_track->refresh();
    m_moment->refresh();
    m_slide->refresh();
    m_kind->setText(item && item->loop() ? loopFacts(*item, m_loop->plan())
                    : item               ? kindFacts(*item)
                                         : tr("Choose an item on the sheet to see its slides here."));
    showSlides(item);
    m_look->refresh();
    showTabs(item);
}

/// A loop's are those of its members, with how long each is shown.
void Bench::showSlides(const Item* item) {
    if (!item || !item->loop()) {
        const ItemSlides* slides = item ? m_session.book().slidesOf(m_item) : nullptr;
        m_slides->setSlides(slides ? *slides : ItemSlides());
        return;
    }
    const LoopPlan& plan = m_loop->plan();
    std::vector<SlideGrid::Picture> pictures;
    for (size_t i = 0; i < plan.stills.size(); ++i) {
        const LoopMemberTimes& times = plan.members[i];
        const double seconds = double(times.each * times.stills) / 1000;
        const auto cue = cueOf(plan.stills[i], m_session.book());
        const ItemSlides* slides = cue ? m_session.book().slidesOf(cue->item) : nullptr;
        const int main = slides ? mainOutput(*slides) : -1;
        const OutputSlides* output = main < 0 ? nullptr : &slides->outputs[size_t(main)];
        pictures.push_back({output ? sceneOf(*slides, *output, output->slideAt(cue->position)) : Scene(),
                            stillName(plan.stills[i], m_session.document().service()),
                            times.isLeftOut ? tr("out", "that is not shown")
                            : times.isFilm  ? momentText(std::round(seconds))
                                            : tr("%1 s", "seconds").arg(int(std::lround(seconds)))});
    }
    m_slides->setPictures(pictures);
}

/// A heading has none of them; a note for the operator has no slides to look somehow, and no stage.
void Bench::showTabs(const Item* item) {
    const bool hasTabs = item && item->hasPlan();
    m_tabs->setVisible(hasTabs);
    m_pages->setVisible(hasTabs);
    if (!hasTabs)
        return;
    m_tabs->setTabText(WordsTab, wordsTabName(*item));
    for (const Tab tab : {LookTab, StageTab, SoundTab}) // a loop has no picture of its own
        m_tabs->setTabVisible(tab, !item->loop());
    const SetTabs set = setTabsOf(*item);
    for (const auto& [tab, isSet] :
         {std::pair(WordsTab, set.words), std::pair(LookTab, set.look), std::pair(WhenTab, set.when),
          std::pair(StageTab, set.stage), std::pair(SoundTab, set.sound)})
        m_dots[size_t(tab)]->setVisible(isSet);
}

std::optional<int> Bench::pictureAt(const std::optional<int>& slide) const {
    const Item* item = m_session.document().service().item(m_item);
    const ItemSlides* slides = m_session.book().slidesOf(m_item);
    const int main = slides ? mainOutput(*slides) : -1;
    if (!slide || !item || !std::holds_alternative<PictureItem>(item->words) || main < 0 ||
        *slide >= int(slides->outputs[size_t(main)].slides.size()))
        return std::nullopt;
    const Slide& shown = slides->outputs[size_t(main)].slides[size_t(*slide)];
    return slides->content.entries[size_t(shown.start.entry)].part; // a part each, in their order
}

void Bench::moveSlide(int slide, int by) {
    const auto picture = pictureAt(slide);
    if (!picture) {
        m_slide->move(slide, by);
        return;
    }
    const int to = slide + by;
    if (!m_set->move(*picture, by) || to < 0 || to >= m_slides->count())
        return;
    if (m_look->slide() == slide)
        chooseSlide(to);
    m_slides->moveFocus(slide, to);
}

void Bench::chooseSlide(const std::optional<int>& slide) {
    m_look->setSlide(slide);
    m_slide->setSlide(slide);
    m_set->setPicture(pictureAt(slide));
    m_member->setPicture(pictureAt(slide));
    m_slides->setChosen(slide);
}

} // namespace mivanta

#include "moc_Bench.cpp"
