// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/Bench.h"
#include "core/run/Cards.h"
#include "desk/parts/Columns.h"
#include "desk/parts/Style.h"
#include "desk/prepare/LookDrops.h"
#include "desk/prepare/LookInService.h"
#include "desk/prepare/MomentInService.h"
#include "desk/prepare/PassageInService.h"
#include "desk/prepare/PicturesInService.h"
#include "desk/prepare/PlanInService.h"
#include "desk/prepare/SlideInService.h"
#include "desk/prepare/SongInService.h"
#include "desk/prepare/SoundInService.h"
#include "desk/prepare/StageInService.h"
#include "desk/prepare/TextInService.h"
#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kColumns = 3;

} // namespace

Bench::Bench(Session& session, Prompts& prompts, ThumbnailStore& thumbnails,
             const PictureChooser& choosePicture, QWidget* parent)
    : QScrollArea(parent),
      m_session(session),
      m_thumbnails(thumbnails) {
    setObjectName(QStringLiteral("bench"));
    makeColumn(this);
    auto* content = new QWidget(this);
    m_title = new QLabel(content);
    m_title->setObjectName(QStringLiteral("bench-title"));
    m_title->setFont(textFont(1.5, true));
    m_title->setWordWrap(true);
    m_kind = new QLabel(content);
    m_kind->setWordWrap(true);
    makeQuiet(m_kind);
    m_grid = new QGridLayout;
    m_grid->setSpacing(spaced(2.5));
    for (int c = 0; c < kColumns; ++c)
        m_grid->setColumnStretch(c, 1);
    m_song = new SongInService(m_session, content);
    connect(m_song, &SongInService::wordsWanted, this, [this] { Q_EMIT wordsWanted(m_item); });
    connect(m_song, &SongInService::libraryWanted, this,
            [this](const SongId& id) { Q_EMIT openInLibrary(id); });
    m_passage = new PassageInService(m_session, content);
    m_text = new TextInService(m_session, content);
    m_set = new PicturesInService(m_session, prompts, content);
    m_moment = new MomentInService(m_session, content);
    m_slide = new SlideInService(m_session, content);
    connect(m_slide, &SlideInService::moveWanted, this, &Bench::moveSlide);
    connect(m_text, &TextInService::libraryWanted, this, &Bench::openInLibrary);
    m_plan = new PlanInService(m_session, content);
    m_sound = new SoundInService(m_session, prompts, content);
    m_stage = new StageInService(m_session, content);
    m_look = new LookInService(m_session, m_thumbnails, choosePicture, content);

    auto* column = new QVBoxLayout(content);
    column->setContentsMargins(spaced(4), spaced(4), spaced(4), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_title);
    column->addWidget(m_kind);
    column->addWidget(m_passage); // what is changed most stands before many pictures
    column->addWidget(m_moment);
    column->addLayout(m_grid);
    column->addWidget(m_slide);
    column->addWidget(m_set);
    column->addSpacing(spaced(1));
    column->addWidget(m_plan);
    column->addWidget(m_sound);
    column->addWidget(m_stage);
    column->addSpacing(spaced(2));
    column->addWidget(m_song);
    column->addWidget(m_text);
    column->addSpacing(spaced(2));
    column->addWidget(headingOf(tr("Look"), content));
    column->addWidget(m_look);
    column->addStretch(1);
    setWidget(content);
    connect(&m_session.book(), &SlideBook::changed, this, &Bench::refresh);
    refresh();
}

void Bench::setItem(const ItemId& id) {
    if (id == m_item)
        return;
    m_item = id;
    m_song->setItem(id);
    m_passage->setItem(id);
    m_text->setItem(id);
    m_set->setItem(id);
    m_moment->setItem(id);
    m_slide->setItem(id);
    m_plan->setItem(id);
    m_sound->setItem(id);
    m_stage->setItem(id);
    m_look->setItem(id);
    for (PictureView* picture : m_pictures)
        picture->setChosen(false);
    refresh();
    ensureVisible(0, 0);
}

void Bench::refresh() {
    const Item* item = m_session.document().service().item(m_item);
    const ItemSlides* slides = item ? m_session.book().slidesOf(m_item) : nullptr;
    if (!item) {
        m_title->setText(tr("Nothing chosen"));
        m_kind->setText(tr("Choose an item on the sheet to see its slides here."));
    } else {
        m_title->setText(item->title());
        QStringList facts{item->isHeading() ? tr("Heading \u00b7 F2 renames it")
                          : item->isUnknown()
                              ? tr("This came from another version of Mivanta. It is kept in the order as it "
                                   "is, and passed over while running.")
                              : kindText(item->content)};
        if (const Passage* passage = item->passage())
            facts << passage->words.front().translation.name;
        if (const TextItem* text = item->text())
            facts << rolesOf(*text->text).join(QStringLiteral(", "));
        if (const Song* song = item->song()) {
            facts << song->authorNames().join(QStringLiteral(", "));
            if (!song->key.isEmpty())
                facts << (song->capo > 0 ? tr("key %1, capo %2").arg(song->key).arg(song->capo)
                                         : tr("key %1").arg(song->key));
            if (!song->bookNumbers.empty())
                facts << song->bookNumbers.front().book + u' ' + song->bookNumbers.front().number;
        }
        facts.removeAll(QString());
        m_kind->setText(facts.join(QStringLiteral(" \u00b7 ")));
    }
    m_plan->refresh();
    m_sound->refresh();
    m_stage->refresh();
    m_song->refresh();
    m_passage->refresh();
    m_text->refresh();
    m_set->refresh();
    m_moment->refresh();
    m_slide->refresh();
    showSlides(slides ? *slides : ItemSlides());
    m_look->refresh();
}

void Bench::addPicture() {
    auto* view = new PictureView(m_thumbnails, widget());
    const int at = int(m_pictures.size());
    view->setChoosable(tr("Choose this slide: its look can be its own"));
    view->setTakesLooks();
    view->installEventFilter(this);
    connect(view, &PictureView::lookDropped, this, [this, at](const LookDrop& drop) {
        dropLook(m_session, this, m_look->targetOfSlide(at), tr("slide %1").arg(at + 1), drop);
    });
    connect(view, &PictureView::clicked, this,
            [this, at] { chooseSlide(m_look->slide() == at ? std::nullopt : std::optional(at)); });
    m_grid->addWidget(view, at / kColumns, at % kColumns);
    m_pictures.push_back(view);
}

void Bench::showSlides(const ItemSlides& slides) {
    const int main = slides.outputs.empty() ? -1 : mainOutput(slides);
    const size_t count = main < 0 ? 0 : slides.outputs[size_t(main)].slides.size();
    while (m_pictures.size() < count)
        addPicture();
    for (size_t i = 0; i < m_pictures.size(); ++i) {
        m_pictures[i]->setVisible(i < count);
        if (i >= count) {
            m_pictures[i]->setScene(std::nullopt);
            continue;
        }
        const OutputSlides& output = slides.outputs[size_t(main)];
        const Slide& slide = output.slides[i];
        const ContentEntry& entry = slides.content.entries[size_t(slide.start.entry)];
        const ContentPart& part = slides.content.parts[size_t(entry.part)];
        m_pictures[i]->setScene(sceneOf(slides, output, int(i)));
        QString place = tr("%1 of %2").arg(slide.number).arg(slide.of);
        if (entry.passes > 1)
            place += QStringLiteral(" \u00b7 \u00d7%1: %2").arg(entry.passes).arg(entry.pass);
        m_pictures[i]->setCaption(part.label, place);
    }
}

/// What the keys do with the slide that has the focus.
bool Bench::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() != QEvent::KeyPress)
        return QScrollArea::eventFilter(watched, event);
    const auto at = std::find(m_pictures.begin(), m_pictures.end(), watched);
    const auto* key = static_cast<QKeyEvent*>(event);
    const int slide = int(at - m_pictures.begin());
    const bool isAlt = key->modifiers() & Qt::AltModifier;
    if (at == m_pictures.end())
        return QScrollArea::eventFilter(watched, event);
    if (key->key() == Qt::Key_Delete)
        m_slide->hide(slide);
    else if (isAlt && (key->key() == Qt::Key_Left || key->key() == Qt::Key_Right))
        moveSlide(slide, key->key() == Qt::Key_Left ? -1 : 1);
    else
        return QScrollArea::eventFilter(watched, event);
    return true;
}

std::optional<int> Bench::pictureAt(const std::optional<int>& slide) const {
    const Item* item = m_session.document().service().item(m_item);
    const ItemSlides* slides = m_session.book().slidesOf(m_item);
    const int main = slides ? mainOutput(*slides) : -1;
    if (!slide || !item || !std::holds_alternative<PictureItem>(item->content) || main < 0 ||
        *slide >= int(slides->outputs[size_t(main)].slides.size()))
        return std::nullopt;
    const Slide& shown = slides->outputs[size_t(main)].slides[size_t(*slide)];
    return slides->content.entries[size_t(shown.start.entry)].part; // a part each, in their order
}

/// The focus goes with the slide, so that the key can be pressed again.
void Bench::moveSlide(int slide, int by) {
    const auto picture = pictureAt(slide);
    if (!picture) {
        m_slide->move(slide, by);
        return;
    }
    const int to = slide + by;
    if (!m_set->move(*picture, by) || to < 0 || to >= int(m_pictures.size()))
        return;
    if (m_look->slide() == slide)
        chooseSlide(to);
    if (m_pictures[size_t(slide)]->hasFocus())
        m_pictures[size_t(to)]->setFocus();
}

void Bench::chooseSlide(const std::optional<int>& slide) {
    m_look->setSlide(slide);
    m_slide->setSlide(slide);
    m_set->setPicture(pictureAt(slide));
    for (size_t i = 0; i < m_pictures.size(); ++i)
        m_pictures[i]->setChosen(slide && int(i) == *slide);
}

} // namespace mivanta
