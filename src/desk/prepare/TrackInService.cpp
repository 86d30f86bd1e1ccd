// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/TrackInService.h"
#include "core/run/Cards.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Shortened.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kShownLetters = 28; // of the first line of a slide
}

TrackInService::TrackInService(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("track-in-service"));
    auto* label = new QLabel(tr("Sung to"), this);
    m_choose = new QPushButton(this);
    m_choose->setObjectName(QStringLiteral("track-choose"));
    m_choose->setToolTip(tr("A backing track, for when nobody plays: it begins with the take of a slide"));
    m_choose->setSizePolicy(QSizePolicy::Maximum, QSizePolicy::Fixed);
    label->setBuddy(m_choose);
    m_remove = new QToolButton(this);
    m_remove->setObjectName(QStringLiteral("track-remove"));
    m_remove->setIcon(icon(QStringLiteral("trash-2"), day().text));
    m_remove->setAccessibleName(tr("No backing track"));
    m_remove->setToolTip(tr("Nobody sings to a track"));
    m_details = new QWidget(this);
    m_slide = new QComboBox(m_details);
    m_slide->setObjectName(QStringLiteral("track-slide"));
    m_slide->setAccessibleName(tr("The slide with which it begins"));
    m_slide->setToolTip(tr("The slide with which it begins"));
    m_from = makeField("track-from", tr("Where in it, such as 0:12, or bar 9 (bar 9/3 in three-four time)"),
                       m_details);
    m_from->setFixedWidth(spaced(22));
    auto* details = new QHBoxLayout(m_details);
    details->setContentsMargins(0, 0, 0, 0);
    details->addWidget(new QLabel(tr("begins with"), m_details));
    details->addWidget(m_slide);
    details->addWidget(new QLabel(tr("at"), m_details));
    details->addWidget(m_from);
    details->addStretch(1);
    auto* first = new QHBoxLayout;
    first->setSpacing(spaced(2));
    first->addWidget(label);
    first->addWidget(m_choose);
    first->addWidget(m_remove);
    first->addStretch(1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addLayout(first);
    column->addWidget(m_details);
    connect(m_choose, &QPushButton::clicked, this, &TrackInService::choose);
    connect(m_remove, &QToolButton::clicked, this, [this] {
        change(tr("no backing track"), [](std::optional<ItemTrack>& track) { track.reset(); });
    });
    connect(m_slide, &QComboBox::activated, this, [this](int at) {
        const SlidePlace place = at > 0 ? m_places[size_t(at - 1)] : SlidePlace();
        change(tr("where a backing track begins"), [&](std::optional<ItemTrack>& track) {
            if (track)
                track->begins = place;
        });
    });
    connect(m_from, &QLineEdit::editingFinished, this, &TrackInService::takeFrom);
}

const Item* TrackInService::item() const {
    return m_session.document().service().item(m_item);
}

void TrackInService::setItem(const ItemId& id) {
    m_item = id;
    refresh();
}

void TrackInService::change(const QString& what, const std::function<void(std::optional<ItemTrack>&)>& work) {
    m_session.document().changePlan(
        {m_item}, [&](ItemPlan& plan) { work(plan.track); }, what);
}

/// For the item that is shown now, whichever is shown when the file is in the library.
void TrackInService::choose() {
    const QString path = m_prompts.soundToChoose();
    if (path.isEmpty())
        return;
    bringInOne(m_session, this, path, MediumKind::Sound, [this, id = m_item](const Medium& medium) {
        m_session.document().changePlan(
            {id},
            [&](ItemPlan& plan) {
                ItemTrack track = plan.track.value_or(ItemTrack());
                track.name = medium.name;
                track.title = medium.title;
                track.seconds = medium.facts ? medium.facts->seconds : 0;
                track.from = medium.from;
                plan.track = track;
            },
            tr("the backing track %1").arg(medium.title));
    });
}

void TrackInService::takeFrom() {
    const Item* shown = item();
    if (!shown || !shown->plan.track || !m_from->isModified())
        return;
    m_from->setModified(false);
    const int tempo = shown->song() ? shown->song()->tempo : 0;
    const auto from = trackMoment(m_from->text(), tempo);
    const double length = shown->plan.track->seconds;
    if (!from || (length > 0 && *from >= length))
        Q_EMIT m_session.problem(
            {from ? tr("the track is only %1 long").arg(momentText(length))
                  : tr("\u201c%1\u201d is no place in a track").arg(shortened(m_from->text())),
             shown->title(),
             tr("Write it like 0:12, or like bar 9; bars are counted by the song's "
                "tempo, which is set in the "
                "Library.")});
    else
        change(tr("where a backing track begins"),
               [&](std::optional<ItemTrack>& track) { track->from = *from; });
    refresh();
}

void TrackInService::fillSlides(const Item& shown) {
    const auto slides = m_session.book().slidesOf(shown.id);
    m_slide->clear();
    m_places.clear();
    m_slide->addItem(tr("the first slide that is taken"));
    const int main = slides ? mainOutput(*slides) : -1;
    if (main < 0)
        return;
    const OutputSlides& output = slides->outputs[size_t(main)];
    for (const Card& card : cardsFor(*slides)) {
        if (card.slide < 0)
            continue;
        m_places.push_back(slidePlace(slides->content, output.slides[size_t(card.slide)]));
        m_slide->addItem(QStringLiteral("%1 %2: %3")
                             .arg(card.label, card.place, card.lines.value(0).left(kShownLetters))
                             .simplified());
        const SlidePlace& begins = shown.plan.track->begins;
        const SlidePlace& place = m_places.back();
        if (!begins.part.isEmpty() && begins.part == place.part && begins.time == place.time &&
            begins.line >= place.line && begins.line <= place.toLine)
            m_slide->setCurrentIndex(m_slide->count() - 1);
    }
}

void TrackInService::refresh() {
    const Item* shown = item();
    setVisible(shown && shown->hasSlides() && (shown->song() || shown->text() || shown->passage()));
    if (!isVisibleTo(parentWidget()))
        return;
    const auto& track = shown->plan.track;
    m_choose->setText(track ? track->title : tr("Choose a backing track\u2026"));
    m_choose->setIcon(track ? icon(QStringLiteral("music"), day().text) : QIcon());
    m_remove->setVisible(track.has_value());
    m_details->setVisible(track.has_value());
    if (!track)
        return;
    fillSlides(*shown);
    putText(m_from, momentText(track->from));
}

} // namespace mivanta

#include "moc_TrackInService.cpp"
