// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/AheadPanel.h"
#include "core/run/Cards.h"
#include "core/timing/Chain.h"
#include "desk/kit/ElidedLabel.h"
#include "desk/kit/Style.h"
#include "desk/run/AdvanceLine.h"
#include "desk/run/SoundLine.h"
#include "session/service/LoopPlans.h"
#include "session/service/PlannedLengths.h"
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QLabel* smallHeading(const QString& text, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    label->setFont(textFont(0.8, TextWeight::Bold));
    label->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
    return label;
}

/// A box with a thin frame and what stands in it below each other.
QVBoxLayout* boxIn(QFrame* box) {
    box->setObjectName(QStringLiteral("run-box"));
    box->setStyleSheet(
        QStringLiteral("#run-box { border: 1px solid %1; border-radius: 3px; }").arg(night().line.name()));
    auto* column = new QVBoxLayout(box);
    column->setContentsMargins(spaced(3), spaced(2), spaced(3), spaced(2));
    column->setSpacing(spaced(1));
    return column;
}

/// The first line of words at a step, for the operator.
QString firstLineAt(const ItemSlides& slides, const Cue& cue) {
    const std::vector<Card> cards = cardsFor(slides);
    const int at = cardAt(cards, slides.stepAt(cue.position));
    if (at < 0)
        return {};
    const Card& card = cards[size_t(at)];
    QStringList pieces{card.label, card.lines.value(0)};
    pieces.removeAll(QString());
    return pieces.join(QStringLiteral(": "));
}

} // namespace

AheadPanel::AheadPanel(Session& session, const RunKeys& keys, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_keys(keys) {
    setObjectName(QStringLiteral("run-ahead"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(buildAhead());
    column->addWidget(buildByItself());
    column->addStretch(1);
    connect(&m_session.onScreen(), &OnScreen::changed, this, &AheadPanel::refresh);
    connect(&m_session.run(), &RunController::changed, this, &AheadPanel::refresh); // the next one moved
    connect(&m_session.document(), &ServiceDocument::changed, this, &AheadPanel::refresh);
    connect(&m_session.advance(), &AutoAdvance::changed, this, &AheadPanel::refresh);
    connect(&m_session.sounds(), &ItemSounds::changed, this, &AheadPanel::refresh);
    connect(&m_session.loop(), &RunLoop::changed, this, &AheadPanel::refresh);
}

QWidget* AheadPanel::buildByItself() {
    auto* box = new QFrame(this);
    auto* column = boxIn(box);
    auto* head = new QHBoxLayout;
    head->addWidget(smallHeading(tr("GOES ON BY ITSELF"), box), 1);
    m_switch = new QPushButton(box);
    m_switch->setObjectName(QStringLiteral("run-by-itself-switch"));
    m_switch->setFocusPolicy(Qt::NoFocus);
    m_switch->setCheckable(true);
    connect(m_switch, &QPushButton::clicked, this,
            [this] { m_session.orders().obey(order::GoOnByItself{}); });
    head->addWidget(m_switch);
    column->addLayout(head);
    m_chain = new QLabel(box);
    m_chain->setObjectName(QStringLiteral("run-chain"));
    m_chain->setTextFormat(Qt::PlainText);
    m_chain->setWordWrap(true);
    m_chain->setFont(textFont(1.0));
    column->addWidget(m_chain);
    column->addWidget(new AdvanceLine(m_session.advance(), m_session.run(), m_keys, box));
    column->addWidget(new SoundLine(m_session.sounds(), m_keys, box));
    m_others = new QLabel(box);
    m_others->setObjectName(QStringLiteral("run-others"));
    m_others->setWordWrap(true);
    m_nothing = new QLabel(tr("Nothing: every step waits for a key."), box);
    m_nothing->setObjectName(QStringLiteral("run-nothing-by-itself"));
    m_nothing->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
    column->addWidget(m_others);
    column->addWidget(m_nothing);
    return box;
}

QWidget* AheadPanel::buildAhead() {
    auto* box = new QFrame(this);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(spaced(3));
    grid->setVerticalSpacing(spaced(1));
    grid->setColumnStretch(1, 1);
    boxIn(box)->addLayout(grid);
    const auto line = [&](int row, const char* name, double size, TextWeight weight) {
        auto* label = new ElidedLabel(box);
        label->setObjectName(QLatin1String(name));
        label->setFont(textFont(size, weight));
        grid->addWidget(label, row, 1);
        return label;
    };
    grid->addWidget(smallHeading(tr("AFTER THAT"), box), 0, 0);
    m_then = line(0, "run-then", 1.0, TextWeight::Regular);
    grid->addWidget(smallHeading(tr("NEXT ITEM"), box), 1, 0);
    m_item = line(1, "run-next-item", 1.1, TextWeight::Bold);
    m_facts = line(2, "run-next-facts", 0.95, TextWeight::Regular);
    m_facts->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
    m_note = new QLabel(box);
    m_note->setObjectName(QStringLiteral("run-next-note"));
    m_note->setTextFormat(Qt::PlainText);
    m_note->setWordWrap(true);
    m_note->setFont(textFont(1.0, TextWeight::Bold));
    m_note->setStyleSheet(QStringLiteral("color: %1").arg(night().accent.name()));
    grid->addWidget(m_note, 3, 0, 1, 2);
    return box;
}

void AheadPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void AheadPanel::refresh() {
    if (!isVisible())
        return;
    showByItself();
    showAhead();
}

void AheadPanel::showByItself() {
    const RunState& state = m_session.run().state();
    QStringList others;
    for (const Output& output : m_session.outputs().all())
        if (m_session.onScreen().of(output.name).origin.isFrozen)
            others << tr("%1 is frozen and keeps its picture.").arg(output.label());
    if (const auto& callOut = state.covers.callOut; callOut && callOut->until)
        others << tr("The call-out goes at %1.")
                      .arg(callOut->until->time().toString(QStringLiteral("HH:mm:ss")));
    m_others->setText(others.join(u'\n'));
    m_others->setVisible(!others.isEmpty());
    const bool isOn = m_session.run().goesOnByItself();
    const QString keys = m_keys.textOf(RunAction::ByItself);
    m_switch->setChecked(isOn);
    m_switch->setText(isOn ? tr("On (%1)", "a switch, and its key").arg(keys)
                           : tr("Off (%1)", "a switch, and its key").arg(keys));
    m_switch->setAccessibleName(tr("What comes by itself: on or off"));
    m_switch->setToolTip(tr("Off: every step waits for a key, whatever the order says"));
    const QString chain = chainText();
    m_chain->setText(chain);
    m_chain->setVisible(!chain.isEmpty());
    m_nothing->setVisible(others.isEmpty() && chain.isEmpty() && !m_session.advance().due() &&
                          !m_session.sounds().isAnythingHeard());
}

/// What comes behind what is on screen without a key, down to the first that waits for one.
QString AheadPanel::chainText() const {
    const auto cue = m_session.onScreen().cue();
    const Service& service = m_session.document().service();
    const Item* item = cue ? service.item(m_session.book().blockOf(cue->item)) : nullptr;
    if (!item || !m_session.run().goesOnByItself())
        return {};
    const LoopMembersKnown known = knownMembers(m_session.book());
    const Item* next = nullptr;
    QDateTime ends;
    if (const auto& stand = m_session.loop().stand();
        stand && stand->loop == item->id) { // as the operator has it
        ends = m_session.loop().ends();
        next = ends.isValid() ? followsLoop(*item, service) : nullptr;
    } else {
        const auto here = chainFrom(*item, service, m_session.run().moment().itemSince, known);
        next = here.size() > 1 ? service.item(here[1].item) : nullptr;
        const auto left = m_session.film().left();
        ends = left ? Clock::the().now().addMSecs(qint64(*left * 1000)) : here.front().ends;
    }
    if (!next)
        return {};
    QStringList lines;
    for (const ChainLink& link : chainFrom(*next, service, ends, known)) {
        const QString title = service.item(link.item)->title();
        lines << (link.begins.isValid()
                      ? QStringLiteral("%1  %2").arg(link.begins.toString(QStringLiteral("HH:mm:ss")), title)
                      : title);
    }
    constexpr int kMostLines = 4;
    if (lines.size() > kMostLines)
        lines = lines.mid(0, kMostLines) + QStringList{QStringLiteral("\u2026")};
    return lines.join(u'\n');
}

void AheadPanel::showAhead() {
    const RunState& state = m_session.run().state();
    const SlideBook& plan = m_session.book();
    const auto then = state.next ? following(*state.next, plan) : std::nullopt;
    const ItemSlides* slides = then ? plan.slidesOf(then->item) : nullptr;
    const auto titled = [&](const Cue& cue) {
        const Item* item = m_session.document().service().item(cue.item);
        const QString line = firstLineAt(*slides, cue);
        return item && !(state.next->item == cue.item) ? tr("%1 \u2013 %2").arg(item->title(), line) : line;
    };
    m_then->setText(slides ? titled(*then) : state.next ? tr("The end of the service") : QString());

    const auto cue = m_session.onScreen().cue();
    const auto& here = cue ? cue : state.next;
    const int at = here ? plan.indexOf(here->item) : -1;
    const bool isBefore = !cue && at >= 0; // nothing taken yet: the first item is the one that comes
    const auto loop = at >= 0 ? plan.loopAt(at) : std::nullopt;
    const int next = isBefore ? at : loop ? loop->end : at + 1;
    const Item* item =
        at >= 0 && next < plan.itemCount() ? m_session.document().service().item(plan.itemId(next)) : nullptr;
    m_item->setText(item ? item->title() : tr("None: this is the last one"));
    QStringList facts;
    if (item) {
        facts << item->plan.leader << kindText(item->words);
        if (const Song* song = item->song())
            facts << (song->key.isEmpty() ? QString() : tr("key %1").arg(song->key));
        const int seconds =
            secondsOf(*item, m_session.document().service(), {}, plannedLengths(m_session.document()));
        facts << (seconds > 0 ? durationText(seconds) : QString());
        if (item->plan.at)
            facts << tr("at %1").arg(item->plan.at->toString(QStringLiteral("HH:mm")));
    }
    facts.removeAll(QString());
    m_facts->setText(facts.join(QStringLiteral(" \u00b7 ")));
    m_facts->setVisible(!facts.isEmpty());
    m_note->setText(item ? item->plan.note : QString());
    m_note->setVisible(item && !item->plan.note.isEmpty());
}

} // namespace mivanta

#include "moc_AheadPanel.cpp"
