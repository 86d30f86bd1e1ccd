// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/SetupDesk.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/setup/BackupsPanel.h"
#include "desk/setup/HallView.h"
#include "desk/setup/KeysPanel.h"
#include "desk/setup/LivePanel.h"
#include "desk/setup/OutputForm.h"
#include "desk/setup/RecordPanel.h"
#include "desk/setup/RunPanel.h"
#include "desk/setup/ScreenForm.h"
#include "desk/setup/SoundPanel.h"
#include "render/LegibilityMeasure.h"
#include "session/outputs/ScreenTexts.h"
#include <QComboBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QTimer>
#include <QVBoxLayout>
#include <utility>

namespace mivanta {

namespace {

constexpr int kColumns = 3;

QString factsText(const Output& output, const std::vector<Theme>& themes) {
    QStringList facts{SetupDesk::tr("%1 \u00d7 %2, up to %3 lines")
                          .arg(output.size.width())
                          .arg(output.size.height())
                          .arg(output.linesAtMost),
                      output.ownSteps ? SetupDesk::tr("Space stops at every slide of this output.")
                                      : SetupDesk::tr("Steps with the others; makes no step of its own.")};
    for (const Theme& theme : themes)
        if (theme.id == output.look.theme && !output.insists.empty())
            facts << SetupDesk::tr("Always in the theme %1.").arg(theme.name);
    if (output.look.theme.isEmpty() || output.insists.empty())
        facts << SetupDesk::tr("In the theme of the service.");
    if (output.showsChords)
        facts << SetupDesk::tr("Shows chords and band-only parts.");
    return facts.join(u'\n');
}

} // namespace

SetupDesk::SetupDesk(Session& session, ThumbnailStore& thumbnails, Prompts& prompts, RunKeys& keys,
                     QWidget* parent)
    : QScrollArea(parent),
      m_session(session),
      m_thumbnails(thumbnails) {
    setObjectName(QStringLiteral("setup-desk"));
    setWidgetResizable(true);
    auto* content = new QWidget(this);
    auto* title = new QLabel(tr("Outputs"), content);
    title->setFont(textFont(1.5, TextWeight::Bold));
    m_monitors = new QLabel(content);
    m_monitors->setObjectName(QStringLiteral("setup-monitors"));
    m_monitors->setWordWrap(true);
    makeQuiet(m_monitors);
    m_grid = new QGridLayout;
    m_grid->setSpacing(spaced(4));
    for (int c = 0; c < kColumns; ++c)
        m_grid->setColumnStretch(c, 1);
    m_hall = new HallView(content);
    m_form = new OutputForm(content);
    connect(&m_session.book(), &SlideBook::themesChanged, this, [this] {
        m_shown.reset();
        refresh();
    });
    connect(m_form, &OutputForm::changed, &m_session.outputs(), &Outputs::change);
    connect(m_form, &OutputForm::renamed, this, &SetupDesk::rename);
    m_screen = new ScreenForm(content);
    connect(m_screen, &ScreenForm::changed, &m_session.outputs(), &Outputs::change);
    connect(m_screen, &ScreenForm::testCardWanted, this,
            [this](bool on) { m_session.run().covers().setTestCard(m_chosen, on); });
    connect(&m_session.run(), &RunController::changed, this, &SetupDesk::refresh);
    auto* column = new QVBoxLayout;
    column->setSpacing(spaced(3));
    column->addWidget(m_hall);
    column->addWidget(title);
    column->addWidget(m_monitors);
    column->addLayout(buildButtons(prompts));
    column->addLayout(m_grid);
    m_live = new LivePanel(m_session, thumbnails, prompts, content);
    column->addWidget(m_live);
    column->addWidget(new RecordPanel(m_session, prompts, content));
    column->addWidget(new RunPanel(m_session, prompts, content));
    column->addWidget(new SoundPanel(m_session, content));
    column->addWidget(new KeysPanel(keys, content));
    column->addWidget(new BackupsPanel(m_session, prompts, content));
    column->addStretch(1);
    auto* side = new QVBoxLayout;
    side->addWidget(m_form);
    side->addWidget(m_screen);
    side->addStretch(1);
    auto* row = new QHBoxLayout(content);
    row->setContentsMargins(spaced(5), spaced(5), spaced(5), spaced(5));
    row->setSpacing(spaced(5));
    row->addLayout(column, 5);
    row->addLayout(side, 2);
    setWidget(content);
    connect(&m_session.outputs(), &Outputs::placesChanged, this, &SetupDesk::refresh);
    connect(&m_session.book(), &SlideBook::changed, this, &SetupDesk::refresh);
    connect(&m_session.player(), &PlayerClient::frameChanged, this, [this] {
        if (isVisible())
            refresh();
    });
}

QHBoxLayout* SetupDesk::buildButtons(Prompts& prompts) {
    auto* add = new QPushButton(this);
    add->setObjectName(QStringLiteral("add-output"));
    add->setText(tr("Add an output"));
    add->setToolTip(tr("One more screen of the hall, monitor for the musicians, or picture for a stream"));
    auto* menu = new QMenu(add);
    const auto entry = [&](const char* name, const QString& text, OutputKind kind) {
        QAction* action = menu->addAction(text, this, [this, kind] {
            m_chosen = m_session.outputs().add(kind);
            refresh();
        });
        action->setObjectName(QLatin1String(name));
    };
    entry("add-hall", tr("A &hall screen"), OutputKind::Hall);
    entry("add-stage", tr("A &stage monitor"), OutputKind::Stage);
    entry("add-stream", tr("A s&tream"), OutputKind::Stream);
    add->setMenu(menu);
    m_remove = new QPushButton(tr("Remove it\u2026"), this);
    m_remove->setObjectName(QStringLiteral("remove-output"));
    connect(m_remove, &QPushButton::clicked, this, [this, &prompts] {
        const bool isSeen = m_session.onScreen().of(m_chosen).isSeen();
        if (m_session.outputs().all().size() > 1 &&
            prompts.agree(isSeen ? tr("%1 shows something now. Removing the output takes it off its screen, "
                                      "and its settings go with it.")
                                       .arg(m_chosen)
                                 : tr("Remove the output %1 with all of its settings?").arg(m_chosen),
                          tr("Remove it")))
            m_session.outputs().remove(m_chosen);
    });
    auto* number = new QPushButton(tr("&Number every screen"), this);
    number->setObjectName(QStringLiteral("number-screens"));
    number->setToolTip(tr("A large number stands on every screen for five seconds, also in the hall"));
    connect(number, &QPushButton::clicked, this, [this] { m_session.player().numberScreens(); });
    auto* row = new QHBoxLayout;
    row->setSpacing(spaced(2));
    row->addWidget(add);
    row->addWidget(m_remove);
    row->addWidget(number);
    row->addStretch(1);
    return row;
}

void SetupDesk::showLiveInputs() {
    m_live->setFocus();
    QTimer::singleShot(0, this, [this] {
        ensureWidgetVisible(m_live->focusProxy(), 0, m_live->height());
    }); // once it is laid out
}

void SetupDesk::showEvent(QShowEvent* event) {
    QScrollArea::showEvent(event);
    refresh();
}

/// Nobody leaves a test card in the hall by going elsewhere.
void SetupDesk::hideEvent(QHideEvent* event) {
    m_session.run().covers().endTestCards();
    QScrollArea::hideEvent(event);
}

void SetupDesk::rename(const QString& name) {
    const QString before = m_chosen;
    m_chosen = name;
    if (m_session.outputs().rename(before, name))
        return;
    m_chosen = before;
    m_form->showName();
    Q_EMIT m_session.warning(name.isEmpty() ? tr("An output needs a name.")
                                            : tr("Another output is called %1 already.").arg(name));
}

void SetupDesk::rebuild() {
    for (const OutputCard& card : m_cards)
        delete card.frame;
    m_cards.clear();
    for (const Output& output : m_session.outputs().all()) {
        m_cards.push_back(makeCard(output));
        const int at = int(m_cards.size()) - 1;
        m_grid->addWidget(m_cards.back().frame, at / kColumns, at % kColumns);
    }
}

SetupDesk::OutputCard SetupDesk::makeCard(const Output& output) {
    auto* frame = new QFrame(widget());
    frame->setStyleSheet(QStringLiteral(".QFrame { background: %1; border-left: 5px solid %2; }")
                             .arg(day().sheet.name(), day().accent.name()));
    auto* name = new QLabel(output.label(), frame);
    name->setFont(textFont(1.2, TextWeight::Bold));
    auto* picture = new PictureView(m_thumbnails, frame);
    picture->setEmptyText(tr("Nothing yet"));
    picture->setObjectName(QStringLiteral("output-") + output.name);
    picture->setChoosable(tr("Show how %1 is set up").arg(output.label()));
    connect(picture, &PictureView::clicked, this, [this, name = output.name] {
        m_chosen = name;
        refresh();
    });
    auto* where = new QLabel(frame);
    where->setFont(textFont(1.0, TextWeight::Bold));
    where->setWordWrap(true);
    auto* place = new QComboBox(frame);
    place->setObjectName(QStringLiteral("place-") + output.name);
    place->setAccessibleName(tr("Where %1 goes").arg(output.label()));
    place->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    place->setToolTip(tr("Where the picture of this output goes"));
    connect(place, &QComboBox::activated, this,
            [this, name = output.name](int index) { placeChosen(name, index); });
    auto* facts = new QLabel(frame);
    facts->setWordWrap(true);
    makeQuiet(facts);
    auto* column = new QVBoxLayout(frame);
    column->setContentsMargins(spaced(4), spaced(3), spaced(3), spaced(3));
    column->addWidget(name);
    column->addWidget(picture);
    column->addWidget(where);
    column->addWidget(place);
    column->addWidget(facts);
    column->addStretch(1);
    return {output.name, frame, picture, where, place, facts};
}

void SetupDesk::fillPlaces(const OutputCard& card, const Output& output) const {
    card.place->clear();
    card.place->addItem(tr("Automatic: the next free screen"), int(PlaceKind::Automatic));
    for (const Monitor& monitor : m_session.outputs().monitors()) {
        card.place->addItem(monitorText(int(&monitor - m_session.outputs().monitors().data()) + 1, monitor),
                            int(PlaceKind::Monitor));
        card.place->setItemData(card.place->count() - 1, monitor.name, Qt::UserRole + 1);
    }
    const bool isMissing = output.place.kind == PlaceKind::Monitor &&
                           card.place->findData(output.place.monitor, Qt::UserRole + 1) < 0;
    if (isMissing) {
        const Monitor missing{output.place.monitor, {}, false, output.place.identity};
        card.place->addItem(tr("%1, not connected").arg(missing.label()), int(PlaceKind::Monitor));
        card.place->setItemData(card.place->count() - 1, output.place.monitor, Qt::UserRole + 1);
    }
    card.place->addItem(tr("A window"), int(PlaceKind::Window));
    card.place->addItem(tr("No screen"), int(PlaceKind::Closed));
    for (int i = 0; i < card.place->count(); ++i)
        if (card.place->itemData(i).toInt() == int(output.place.kind) &&
            (output.place.kind != PlaceKind::Monitor ||
             card.place->itemData(i, Qt::UserRole + 1).toString() == output.place.monitor))
            card.place->setCurrentIndex(i);
}

void SetupDesk::placeChosen(const QString& name, int index) {
    for (const OutputCard& card : m_cards)
        for (Output output : m_session.outputs().all())
            if (card.name == name && output.name == name) {
                output.place.kind = PlaceKind(card.place->itemData(index).toInt());
                const QString chosen = card.place->itemData(index, Qt::UserRole + 1).toString();
                if (chosen != std::exchange(output.place.monitor, chosen))
                    output.place.identity = {};
                for (const Monitor& monitor :
                     m_session.outputs().monitors()) // known again wherever it is plugged in
                    if (monitor.name == output.place.monitor)
                        output.place.identity = monitor.identity;
                m_chosen = name;
                m_session.outputs().change(output);
                return;
            }
}

/// The chosen output's hall, with the letters that the service's theme has there.
void SetupDesk::showChosen() {
    const auto& outputs = m_session.outputs().all();
    auto output =
        std::find_if(outputs.begin(), outputs.end(), [&](const Output& o) { return o.name == m_chosen; });
    if (output == outputs.end())
        output = outputs.begin();
    m_hall->setVisible(output != outputs.end());
    m_form->setVisible(output != outputs.end());
    m_screen->setVisible(output != outputs.end());
    if (output == outputs.end())
        return;
    m_chosen = output->name;
    m_remove->setToolTip(tr("Remove %1 with its settings").arg(output->label()));
    m_remove->setEnabled(outputs.size() > 1);
    const Look look =
        lookOn(*output, plainChain(m_session.document().service().theme, m_session.book().themes())).look;
    const int px = int(look.words.size * output->size.height() / kLookHeight);
    m_hall->setHall(*output, letterHeights(look.words, px, output->size.height()));
    m_screen->setOutput(*output, m_session.run().state().covers.testCards.contains(m_chosen));
    if (m_shown == *output)
        return; // filled again, an open list of choices would close
    m_shown = *output;
    m_form->setOutput(*output, m_session.book().themes());
}

void SetupDesk::refresh() {
    if (!isVisible())
        return;
    const auto& outputs = m_session.outputs().all();
    const bool same = std::equal(m_cards.begin(), m_cards.end(), outputs.begin(), outputs.end(),
                                 [](const OutputCard& c, const Output& o) { return c.name == o.name; });
    if (!same)
        rebuild();
    const auto& monitors = m_session.outputs().monitors();
    m_monitors->setText(monitorsText(monitors));
    showChosen();
    for (size_t i = 0; i < m_cards.size(); ++i) {
        const OutputCard& card = m_cards[i];
        if (i < m_session.outputs().placements().size())
            card.where->setText(placeText(m_session.outputs().placements()[i], outputs[i]));
        if (!card.place->hasFocus() || card.place->count() == 0)
            fillPlaces(card, outputs[i]);
        card.facts->setText(factsText(outputs[i], m_session.book().themes()));
        card.picture->setPicture(m_session.player().frame(outputs[i].name));
        card.picture->setChosen(card.name == m_chosen);
    }
}

} // namespace mivanta

#include "moc_SetupDesk.cpp"
