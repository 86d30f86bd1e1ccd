// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/RunDesk.h"
#include "core/run/Cards.h"
#include "desk/app/Placing.h"
#include "desk/parts/Style.h"
#include "desk/run/RunFind.h"
#include "desk/run/SoundLine.h"
#include <QApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QShortcut>
#include <QToolButton>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kDigitsMs = 2500;

struct CurtainKey {
    Curtain curtain;
    Qt::Key key;
    const char* name;
    const char* tip;
};

constexpr CurtainKey kCurtains[]{
    {Curtain::Open, Qt::Key_F5, QT_TRANSLATE_NOOP("RunDesk", "Open"),
     QT_TRANSLATE_NOOP("RunDesk", "Show everything")},
    {Curtain::WordsOff, Qt::Key_F7, QT_TRANSLATE_NOOP("RunDesk", "Words off"),
     QT_TRANSLATE_NOOP("RunDesk", "Show the backdrop only")},
    {Curtain::Black, Qt::Key_F9, QT_TRANSLATE_NOOP("RunDesk", "Black"),
     QT_TRANSLATE_NOOP("RunDesk", "Show nothing")},
};

QString keyCap(const QString& key) {
    return QStringLiteral("<span style='background:#22323A; color:#E8E2D4; font-family:\"Atkinson "
                          "Hyperlegible Mono\"'>&nbsp;%1&nbsp;</span>")
        .arg(key);
}

} // namespace

RunDesk::RunDesk(const Tools& tools, QWidget* parent)
    : QWidget(parent),
      m_session(tools.session),
      m_prompts(tools.prompts),
      m_thumbnails(tools.thumbnails) {
    setObjectName(QStringLiteral("run-desk"));
    setAutoFillBackground(true);
    applyNight(this);
    setFocusPolicy(Qt::StrongFocus);
    m_lanes = new LaneList(m_session.run(), m_session.document(), this);
    auto* upper = new QHBoxLayout;
    upper->setSpacing(spaced(2));
    upper->addWidget(m_lanes, 17);
    upper->addWidget(buildSide(m_thumbnails), 8);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addLayout(upper, 1);
    column->addWidget(buildKeys());
    m_digitsOver.setSingleShot(true);
    m_digitsOver.setInterval(kDigitsMs);
    connect(&m_digitsOver, &QTimer::timeout, this, &RunDesk::forgetDigits);
    connect(&m_session.run(), &RunController::changed, this, &RunDesk::refresh);
    connect(&m_session.book(), &SlideBook::changed, this, &RunDesk::outputsChanged);
    connect(&m_session.player(), &PlayerClient::frameChanged, this, &RunDesk::showFrame);
    connect(&m_session.player(), &PlayerClient::lost, this, &RunDesk::refresh);
    m_find = new RunFind(m_session, this);
    connect(m_find, &RunFind::chosen, this, &RunDesk::look);
    connect(m_find, &RunFind::closed, this, [this] { setFocus(); });
    for (const QKeySequence& keys : {QKeySequence(QKeySequence::Find), QKeySequence(Qt::Key_Slash)}) {
        auto* shortcut = new QShortcut(keys, this);
        shortcut->setContext(Qt::WidgetWithChildrenShortcut);
        connect(shortcut, &QShortcut::activated, m_find, &RunFind::open);
    }
    outputsChanged();
}

/// What was found is next; the order goes on behind it.
void RunDesk::look(const FindPick& pick) {
    placePicks(m_session, m_prompts, this, {pick},
               [this](ItemWords words) { m_session.run().lookAtUnplanned(std::move(words)); });
}

QWidget* RunDesk::buildSide(ThumbnailStore& thumbnails) {
    auto* side = new QWidget(this);
    side->setMinimumWidth(spaced(80));
    m_hall = new PictureView(thumbnails, side);
    m_hall->setNight(true);
    m_hall->setObjectName(QStringLiteral("run-hall"));
    m_hall->setEmptyText(tr("Nothing on screen yet"));
    m_small = new QWidget(side);
    m_small->setLayout(new QHBoxLayout);
    m_small->layout()->setContentsMargins(0, 0, 0, 0);
    m_small->layout()->setSpacing(spaced(2));
    m_next = new PictureView(thumbnails, m_small);
    m_next->setNight(true);
    m_next->setObjectName(QStringLiteral("run-next"));
    m_next->setTag(PictureView::Tag::Next, tr("NEXT"));
    m_small->layout()->addWidget(m_next);
    m_where = new QLabel(side);
    m_where->setObjectName(QStringLiteral("run-where"));
    m_where->setFont(textFont(1.1));
    m_where->setWordWrap(true);
    m_goTo = new QLabel(side);
    m_goTo->setObjectName(QStringLiteral("run-goto"));
    m_goTo->setFont(textFont(1.3, true));
    m_goTo->setStyleSheet(QStringLiteral("color: %1").arg(night().accent.name()));
    m_byItself = new QLabel(side);
    m_byItself->setObjectName(QStringLiteral("run-by-itself"));
    m_byItself->setFont(textFont(1.1, true));
    m_byItself->setWordWrap(true);
    m_byItself->setStyleSheet(QStringLiteral("color: %1").arg(night().accent.name()));
    m_tick.setInterval(200);
    connect(&m_tick, &QTimer::timeout, this, &RunDesk::showByItself);
    connect(&m_session.advance(), &AutoAdvance::changed, this, &RunDesk::showByItself);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, spaced(2.5), spaced(3.5), spaced(2));
    column->setSpacing(spaced(2));
    column->addWidget(m_hall);
    column->addWidget(m_small);
    column->addWidget(buildCurtain());
    column->addSpacing(spaced(2));
    column->addWidget(m_where);
    column->addWidget(m_byItself);
    column->addWidget(new SoundLine(m_session.sounds(), side));
    column->addWidget(m_goTo);
    column->addStretch(1);
    return side;
}

QWidget* RunDesk::buildCurtain() {
    auto* bar = new QWidget(this);
    bar->setAccessibleName(tr("Curtain"));
    auto* row = new QHBoxLayout(bar);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    for (const CurtainKey& key : kCurtains) {
        auto* button = new QToolButton(bar);
        const QString keyName = QKeySequence(key.key).toString();
        button->setObjectName(QStringLiteral("curtain-") + keyName);
        button->setText(QStringLiteral("%1\n%2").arg(tr(key.name), keyName));
        button->setToolTip(QStringLiteral("%1 (%2)").arg(tr(key.tip), keyName));
        button->setCheckable(true);
        button->setFocusPolicy(Qt::NoFocus);
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        button->setFont(textFont(1.0));
        button->setStyleSheet(
            QStringLiteral("QToolButton { border: 1px solid %1; padding: 6px; color: %2; border-radius: 0; }"
                           "QToolButton:checked { background: %2; color: %3; font-weight: bold; }")
                .arg(night().line.name(), night().text.name(), night().ground.name()));
        connect(button, &QToolButton::clicked, this, [this, curtain = key.curtain] {
            m_session.run().setCurtain(curtain);
            refresh();
        });
        row->addWidget(button);
        m_curtain.emplace_back(key.curtain, button);
    }
    return bar;
}

QWidget* RunDesk::buildKeys() {
    auto* strip = new QWidget(this);
    strip->setObjectName(QStringLiteral("run-keys"));
    strip->setAttribute(Qt::WA_StyledBackground);
    strip->setStyleSheet(QStringLiteral("#run-keys { background: %1 }").arg(night().side.name()));
    auto* row = new QHBoxLayout(strip);
    row->setContentsMargins(spaced(4), spaced(2), spaced(4), spaced(2));
    const auto add = [&](const QStringList& keys, const QString& text) {
        QStringList caps;
        for (const QString& key : keys)
            caps << keyCap(key);
        auto* label = new QLabel(caps.join(u' ') + QStringLiteral("&nbsp; ") + text, strip);
        label->setFont(textFont(0.95));
        label->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
        row->addWidget(label);
        row->addSpacing(spaced(3));
    };
    add({tr("Space"), tr("Enter")}, tr("take what is next"));
    add({tr("Bksp")}, tr("back"));
    add({QStringLiteral("\u2191"), QStringLiteral("\u2193")}, tr("look ahead"));
    add({QStringLiteral("1\u20139")}, tr("look at an item"));
    add({tr("Ctrl+F")}, tr("something unplanned"));
    add({tr("Esc")}, tr("stop looking"));
    row->addStretch(1);
    auto* locked = new QLabel(tr("editing is off while running"), strip);
    locked->setFont(textFont(0.95));
    locked->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
    row->addWidget(locked);
    return strip;
}

void RunDesk::outputsChanged() {
    QStringList names;
    for (const Output& output : m_session.outputs())
        names << output.name;
    QStringList shown{m_main};
    for (const auto& [name, view] : m_others)
        shown << name;
    if (names != shown) {
        for (const auto& [name, view] : m_others)
            delete view;
        m_others.clear();
        m_main.clear();
        for (const Output& output : m_session.outputs())
            if (m_main.isEmpty() && output.kind == OutputKind::Hall)
                m_main = output.name;
        if (m_main.isEmpty() && !names.isEmpty())
            m_main = names.first();
        for (const Output& output : m_session.outputs()) {
            if (output.name == m_main)
                continue;
            auto* view = new PictureView(m_thumbnails, m_small);
            view->setNight(true);
            view->setObjectName(QStringLiteral("run-") + output.name);
            view->setCaption(output.label());
            m_small->layout()->addWidget(view);
            m_others.emplace_back(output.name, view);
            showFrame(output.name);
        }
        showFrame(m_main);
    }
    refresh();
}

void RunDesk::showFrame(const QString& output) {
    if (!isVisible())
        return;
    const FrameBoard::Picture picture = m_session.player().frame(output);
    if (output == m_main)
        m_hall->setPicture(picture);
    for (const auto& [name, view] : m_others)
        if (name == output)
            view->setPicture(picture);
}

void RunDesk::refresh() {
    const RunState& state = m_session.run().state();
    const SlideBook& plan = m_session.book();
    for (const auto& [curtain, button] : m_curtain)
        button->setChecked(curtain == state.curtain);
    const bool lit = !m_session.run().live().empty();
    QString main = m_main;
    for (const Output& output : m_session.outputs())
        if (output.name == m_main)
            main = output.label();
    m_hall->setTag(lit ? PictureView::Tag::OnScreen : PictureView::Tag::None,
                   lit ? tr("%1 \u00b7 ON SCREEN").arg(main.toUpper()) : QString());

    if (const ItemSlides* next = state.next ? plan.slidesOf(state.next->item) : nullptr) {
        const ItemSlides& slides = *next;
        const OutputSlides& output = slides.outputs[size_t(mainOutput(slides))];
        m_next->setScene(sceneOf(slides, output, output.slideAt(state.next->position)));
        m_next->setCaption(tr("%1, next").arg(main));
    } else {
        m_next->setScene(std::nullopt);
        m_next->setCaption(plan.itemCount() > 0 ? tr("the end") : QString());
    }
    const int onScreen = state.onScreen ? plan.indexOf(state.onScreen->item) : -1;
    if (onScreen >= 0) {
        const ItemSlides& slides = plan.slides(onScreen);
        m_where->setText(tr("Item %1 of %2 \u00b7 step %3 of %4")
                             .arg(onScreen + 1)
                             .arg(plan.itemCount())
                             .arg(slides.stepAt(state.onScreen->position) + 1)
                             .arg(slides.steps.size()));
    } else if (const Item* item = state.onScreen ? plan.unplannedItem(state.onScreen->item) : nullptr) {
        const ItemSlides& slides = *plan.slidesOf(item->id);
        m_where->setText(tr("Unplanned: %1 \u00b7 step %2 of %3")
                             .arg(item->title())
                             .arg(slides.stepAt(state.onScreen->position) + 1)
                             .arg(slides.steps.size()));
    } else if (state.onScreen) {
        m_where->setText(tr("What is on screen was taken out of the order."));
    } else {
        m_where->setText(plan.itemCount() > 0 ? tr("Nothing on screen yet. Space takes what is next.")
                                              : QString());
    }
}

void RunDesk::showByItself() {
    const auto& due = m_session.advance().due();
    if (due && isVisible())
        m_tick.start();
    else
        m_tick.stop();
    const qint64 left = due ? QDateTime::currentDateTime().msecsTo(*due) : 0;
    m_byItself->setText(due ? tr("Next by itself in %1. H holds it.")
                                  .arg(durationText(int(std::max<qint64>(0, (left + 999) / 1000))))
                            : QString());
}

void RunDesk::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    qApp->installEventFilter(this);
    setFocus();
    for (const Output& output : m_session.outputs())
        showFrame(output.name);
    refresh();
    showByItself();
}

void RunDesk::hideEvent(QHideEvent* event) {
    qApp->removeEventFilter(this);
    forgetDigits();
    QWidget::hideEvent(event);
}

/// Keys work wherever the focus is on this window, before any button can take Space or Enter for itself.
bool RunDesk::eventFilter(QObject* watched, QEvent* event) {
    if ((event->type() != QEvent::KeyPress && event->type() != QEvent::ShortcutOverride) || !isVisible())
        return QWidget::eventFilter(watched, event);
    const auto* widget = qobject_cast<QWidget*>(watched);
    if (!widget || widget->window() != window() || QApplication::activeModalWidget() ||
        qobject_cast<QLineEdit*>(QApplication::focusWidget()))
        return QWidget::eventFilter(watched, event);
    if (event->type() == QEvent::KeyPress)
        return obeyKey(static_cast<QKeyEvent*>(event)) || QWidget::eventFilter(watched, event);
    return QWidget::eventFilter(watched, event);
}

bool RunDesk::obeyKey(QKeyEvent* event) {
    if (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier | Qt::MetaModifier))
        return false;
    RunController& run = m_session.run();
    for (const CurtainKey& curtain : kCurtains)
        if (event->key() == curtain.key) {
            run.setCurtain(curtain.curtain);
            return true;
        }
    switch (event->key()) {
    case Qt::Key_Space:
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_PageDown:
        // A key held down must not run through the song.
        if (!event->isAutoRepeat()) {
            forgetDigits();
            run.take();
        }
        return true;
    case Qt::Key_Backspace:
    case Qt::Key_PageUp:
        if (!event->isAutoRepeat()) {
            forgetDigits();
            run.back();
        }
        return true;
    case Qt::Key_Up:
        run.lookAhead(-1);
        return true;
    case Qt::Key_Down:
        run.lookAhead(1);
        return true;
    case Qt::Key_Escape:
        forgetDigits();
        run.lookBack();
        return true;
    case Qt::Key_S:
        m_session.sounds().stop();
        return true;
    case Qt::Key_H:
        m_session.advance().stop();
        return true;
    default:
        break;
    }
    if (event->key() >= Qt::Key_0 && event->key() <= Qt::Key_9) {
        typeDigit(event->key() - Qt::Key_0);
        return true;
    }
    return false;
}

/// Digits typed in a row name an item; the mark follows at once, the screen only with Enter.
void RunDesk::typeDigit(int digit) {
    m_digits = std::min(m_digits * 10 + digit, 9999);
    m_digitsOver.start();
    const SlideBook& plan = m_session.book();
    if (m_digits >= 1 && m_digits <= plan.itemCount()) {
        m_session.run().lookAtItem(m_digits - 1);
        m_goTo->setText(tr("Item %1 is next. Enter takes it.").arg(m_digits));
    } else {
        m_goTo->setText(tr("There is no item %1.").arg(m_digits));
    }
}

void RunDesk::forgetDigits() {
    m_digits = 0;
    m_digitsOver.stop();
    m_goTo->clear();
}

} // namespace mivanta
