// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/RunDesk.h"
#include "core/media/MediumKind.h"
#include "desk/kit/BringInMedia.h"
#include "desk/kit/EmptyState.h"
#include "desk/kit/Placing.h"
#include "desk/kit/Style.h"
#include "desk/run/AheadPanel.h"
#include "desk/run/CallOutBar.h"
#include "desk/run/CurtainBar.h"
#include "desk/run/FilmPanel.h"
#include "desk/run/KeyStrip.h"
#include "desk/run/LiveLine.h"
#include "desk/run/LoopPanel.h"
#include "desk/run/MendSheet.h"
#include "desk/run/RunFind.h"
#include "desk/run/RunPictures.h"
#include "desk/run/TimingPanel.h"
#include "media/PictureProxies.h"
#include <QApplication>
#include <QDropEvent>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMimeData>
#include <QScrollArea>
#include <QShortcut>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kTypedMs = 2500; ///< what is typed in a row belongs together for so long

QStringList picturesIn(const QMimeData& data) {
    QStringList files;
    for (const QUrl& url : data.urls())
        if (url.isLocalFile() && mediumKindOf(url.toLocalFile()) == MediumKind::Picture)
            files << url.toLocalFile();
    return files;
}

} // namespace

RunDesk::RunDesk(const Tools& tools, RunKeys& keys, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_thumbnails(tools.thumbnails),
      m_keys(keys) {
    setObjectName(QStringLiteral("run-desk"));
    setAutoFillBackground(true);
    setAcceptDrops(true);
    applyNight(this);
    setFocusPolicy(Qt::StrongFocus);
    auto* lanes = new QWidget(this);
    m_lanes = new LaneList(m_session, lanes);
    auto* lanesColumn = new QVBoxLayout(lanes);
    lanesColumn->setContentsMargins(0, 0, 0, 0);
    lanesColumn->addWidget(m_lanes);
    lanesColumn->addWidget(new LiveLine(m_session.liveOnScreen(), lanes));
    lanesColumn->addWidget(new LoopPanel(m_session, m_keys, lanes));
    lanesColumn->addWidget(new FilmPanel(m_session, m_keys, lanes));
    auto* nothing = new EmptyState(
        tr("Nothing to run yet"),
        tr("Put songs, scripture and texts into the service order first. Something unplanned can "
           "be found and shown all the same."),
        lanes, true);
    nothing->addAction(QStringLiteral("empty-run-prepare"), tr("Put the service together (Alt+2)"),
                       tr("Go to the Prepare desk"), [this] { Q_EMIT prepareWanted(); });
    nothing->addAction(QStringLiteral("empty-run-find"), tr("Find something unplanned (/)"),
                       tr("A song, a text or a reference; Enter makes it next"), [this] { m_find->open(); });
    const auto showNothing = [this, nothing] {
        const auto& next = m_session.run().state().next;
        nothing->setVisible(m_session.book().itemCount() == 0 && !next && !m_session.onScreen().cue());
    };
    connect(&m_session.onScreen(), &OnScreen::changed, nothing, showNothing);
    connect(&m_session.book(), &SlideBook::changed, nothing, showNothing);
    showNothing();
    auto* upper = new QHBoxLayout;
    upper->setSpacing(spaced(2));
    upper->addWidget(lanes, 17);
    upper->addWidget(buildSide(), 8);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addLayout(upper, 1);
    column->addWidget(new KeyStrip(m_keys, this));
    m_typedOver.setSingleShot(true);
    m_typedOver.setInterval(kTypedMs);
    connect(&m_typedOver, &QTimer::timeout, this, &RunDesk::forgetTyped);
    connect(&m_session.onScreen(), &OnScreen::changed, this, &RunDesk::refresh);
    m_find = new RunFind(tools, this);
    connect(m_find, &RunFind::chosen, this, &RunDesk::look);
    connect(m_find, &RunFind::pictureWanted, this, &RunDesk::lookAtPicture);
    connect(m_find, &RunFind::closed, this, [this] { setFocus(); });
    m_mend = new MendSheet(m_session, this);
    connect(m_mend, &MendSheet::closed, this, [this] { setFocus(); });
    m_sheet = new KeySheet(m_keys, this);
    auto* find = new QShortcut(QKeySequence::Find, this); // as on every other desk
    find->setContext(Qt::WidgetWithChildrenShortcut);
    connect(find, &QShortcut::activated, m_find, &RunFind::open);
    refresh();
}

QLabel* RunDesk::sideLabel(const char* name, double size, TextWeight weight) {
    auto* label = new QLabel(this);
    label->setObjectName(QLatin1String(name));
    label->setFont(textFont(size, weight));
    label->setWordWrap(true);
    return label;
}

namespace {

/// It gets the height that is left, and scrolls where that is not enough: nothing above it is squeezed.
QWidget* whatItCanSpare(QWidget* panel) {
    auto* area = new QScrollArea(panel->parentWidget());
    area->setFrameShape(QFrame::NoFrame);
    area->setWidgetResizable(true);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    area->setFocusPolicy(Qt::NoFocus);
    area->setWidget(panel);
    area->viewport()->setAutoFillBackground(false);
    panel->setAutoFillBackground(false); // the area has switched it on
    return area;
}

} // namespace

QWidget* RunDesk::buildSide() {
    auto* side = new QWidget(this);
    side->setMinimumWidth(spaced(80));
    m_pictures = new RunPictures(m_session, m_thumbnails, side);
    m_callOut = new CallOutBar(m_session, m_keys, side);
    connect(m_callOut, &CallOutBar::done, this, [this] { setFocus(); });
    m_where = sideLabel("run-where", 1.05, TextWeight::Regular);
    m_goTo = sideLabel("run-goto", 1.25, TextWeight::Bold);
    m_goTo->setStyleSheet(QStringLiteral("color: %1").arg(night().accent.name()));
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, spaced(2.5), spaced(3.5), spaced(2));
    column->setSpacing(spaced(2));
    column->addWidget(m_pictures);
    column->addWidget(new CurtainBar(m_session.run(), m_session.orders(), m_keys, side));
    column->addWidget(m_callOut);
    column->addSpacing(spaced(1));
    column->addWidget(new TimingPanel(m_session, side));
    column->addWidget(m_where);
    column->addWidget(m_goTo);
    column->addWidget(whatItCanSpare(new AheadPanel(m_session, m_keys, side)), 1);
    return side;
}

void RunDesk::refresh() {
    const RunFacts facts = m_session.watch().facts();
    if (const auto& place = facts.onScreen) {
        const QString step = tr("step %1 of %2").arg(place->step).arg(place->steps);
        m_where->setText(place->item > 0
                             ? tr("Item %1 of %2 \u00b7 %3").arg(place->item).arg(facts.items).arg(step)
                             : tr("Unplanned: %1 \u00b7 %2. %3 keeps it in the order.")
                                   .arg(place->title, step, m_keys.textOf(RunAction::KeepUnplanned)));
    } else if (!facts.onScreenFrom.isEmpty()) {
        m_where->setText(tr("On screen is still \u201c%1\u201d. The first take of this service replaces it.")
                             .arg(facts.onScreenFrom));
    } else if (m_session.onScreen().cue()) {
        m_where->setText(tr("What is on screen was taken out of the order."));
    } else {
        m_where->setText(facts.items > 0 ? tr("Nothing on screen yet. %1 takes what is next.")
                                               .arg(m_keys.textOf(RunAction::Take).section(u',', 0, 0))
                                         : QString());
    }
}

/// What was found is next; the order goes on behind it.
void RunDesk::look(const FindPick& pick) {
    placePicks(m_session, m_prompts, this, {pick}, [this](std::vector<ItemWords> words) {
        m_session.orders().obey(order::LookAtUnplanned{std::move(words.front())});
    });
}

void RunDesk::lookAtPicture() {
    if (const QString path = m_prompts.pictureToChoose(); !path.isEmpty())
        lookAtPictures({path});
}

void RunDesk::lookAtPictures(const QStringList& files) {
    bringInSeveral(m_session, this, files, [this](const std::vector<Medium>& media) {
        PictureItem set;
        for (const Medium& medium : media)
            if (medium.kind == MediumKind::Picture)
                set.pictures.push_back(pictureOf(medium));
        if (!set.pictures.empty())
            m_session.orders().obey(order::LookAtUnplanned{std::move(set)});
    });
}

/// What nobody planned becomes an item where it came up.
void RunDesk::keepUnplanned() {
    const RunState& state = m_session.run().state();
    const SlideBook& plan = m_session.book();
    for (const auto& cue : {state.onScreen, state.next}) {
        const Item* item = cue && plan.indexOf(cue->item) < 0 ? plan.unplannedItem(cue->item) : nullptr;
        if (!item)
            continue;
        const Service& service = m_session.document().service();
        const int before = state.lineupOnScreen ? service.indexOf(state.lineupOnScreen->item) : -1;
        m_session.document().insertItems(before + 1, {*item}, tr("keeping %1").arg(item->title()));
        Q_EMIT m_session.notice(tr("%1 is in the order now.").arg(item->title()));
        return;
    }
}

void RunDesk::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    qApp->installEventFilter(this);
    setFocus();
    refresh();
}

void RunDesk::hideEvent(QHideEvent* event) {
    qApp->removeEventFilter(this);
    forgetTyped();
    QWidget::hideEvent(event);
}

/// Keys work wherever the focus is on this window, before any button can take Space or Enter for itself.
bool RunDesk::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() != QEvent::KeyPress || !isVisible())
        return QWidget::eventFilter(watched, event);
    const auto* widget = qobject_cast<QWidget*>(watched);
    if (!widget || widget->window() != window() || QApplication::activeModalWidget() ||
        QApplication::activePopupWidget() || qobject_cast<QLineEdit*>(QApplication::focusWidget()) ||
        m_mend->isAncestorOf(QApplication::focusWidget()))
        return QWidget::eventFilter(watched, event);
    return obeyKey(static_cast<QKeyEvent*>(event)) || QWidget::eventFilter(watched, event);
}

bool RunDesk::obeyKey(QKeyEvent* event) {
    if (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier | Qt::MetaModifier))
        return false;
    if (m_sheet->isVisible()) {
        m_sheet->hide();
        return true;
    }
    const auto key = Qt::Key(event->key());
    const RunKeys::Moving moving = m_session.loop().stand()  ? RunKeys::Moving::Loop
                                   : m_session.film().play() ? RunKeys::Moving::Film
                                                             : RunKeys::Moving::None;
    if (const auto action = m_keys.actionOf(key, moving)) {
        const bool repeats =
            factsOf(*action).repeats && !(factsOf(*action).isOfMoving && moving == RunKeys::Moving::Loop);
        if (!event->isAutoRepeat() || repeats) // a key held down must not run through the song
            obey(*action, moving);
        return true;
    }
    if (event->isAutoRepeat())
        return false;
    if (key >= Qt::Key_0 && key <= Qt::Key_9) {
        typeDigit(key - Qt::Key_0);
        return true;
    }
    if (const QString text = event->text(); text.size() == 1 && text.front().isLetter()) {
        typeLetter(text.front().toUpper());
        return true;
    }
    return false;
}

bool RunDesk::mayEdit() {
    if (m_session.runOnly().isLocked())
        Q_EMIT m_session.notice(tr("The order and its words are locked: this computer just runs services."));
    return !m_session.runOnly().isLocked();
}

void RunDesk::obey(RunAction action, RunKeys::Moving moving) {
    if (action == RunAction::Take || action == RunAction::Back || action == RunAction::StopLooking)
        forgetTyped();
    if (const auto& ordered = RunKeys::orderOf(action, moving)) {
        if (const auto done = m_session.orders().obey(*ordered); !done)
            Q_EMIT m_session.problem(done.error());
        return;
    }
    switch (action) { // what only this window can do
    case RunAction::CallOut:
        return m_callOut->write();
    case RunAction::FreezeMain: {
        const QString main = m_pictures->mainName();
        m_session.orders().obey(order::Freeze{main, !m_session.run().state().frozen.contains(main)});
        return;
    }
    case RunAction::OutputsMenu:
        return m_pictures->openMenu({}, m_pictures->mapToGlobal(QPoint(0, 0)));
    case RunAction::Find:
        return m_find->open();
    case RunAction::KeepUnplanned:
        return mayEdit() ? keepUnplanned() : void();
    case RunAction::MendWords:
        return mayEdit() ? m_mend->open() : void();
    case RunAction::ShowKeys:
        return m_sheet->open();
    default:
        return;
    }
}

/// Digits typed in a row name an item, or the number of a part behind its letter; the mark follows at once,
/// the screen only with a take.
void RunDesk::typeDigit(int digit) {
    m_digits = std::min(m_digits * 10 + digit, 9999);
    m_typedOver.start();
    if (!m_letter.isNull()) {
        m_session.orders().obey(order::LookAtPart{m_letter, m_digits});
        m_goTo->setText(QString(m_letter) + QString::number(m_digits));
        return;
    }
    const auto looked = m_session.orders().obey(order::LookAtItem{m_digits});
    m_goTo->setText(looked ? tr("Item %1 is next. Enter takes it.").arg(m_digits)
                           : tr("There is no item %1.").arg(m_digits));
}

void RunDesk::typeLetter(QChar letter) {
    m_digits = 0;
    m_letter = letter;
    m_typedOver.start();
    m_goTo->setText(QString(letter));
    m_session.orders().obey(order::LookAtPart{letter});
}

void RunDesk::forgetTyped() {
    m_digits = 0;
    m_letter = QChar();
    m_typedOver.stop();
    m_goTo->clear();
}

void RunDesk::dragEnterEvent(QDragEnterEvent* event) {
    if (!picturesIn(*event->mimeData()).isEmpty())
        event->acceptProposedAction();
}

/// A picture from elsewhere is next; it reaches no screen without a take.
void RunDesk::dropEvent(QDropEvent* event) {
    const QStringList files = picturesIn(*event->mimeData());
    if (files.isEmpty())
        return;
    event->acceptProposedAction();
    lookAtPictures(files);
}

} // namespace mivanta

#include "moc_RunDesk.cpp"
