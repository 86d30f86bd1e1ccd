// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LoopInService.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Shortened.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include "desk/prepare/LoopMembersTable.h"
#include "desk/prepare/LoopPreview.h"
#include "desk/prepare/LoopTimelineView.h"
#include "desk/prepare/LoopWords.h"
#include "session/service/LoopPlans.h"
#include <QCheckBox>
#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QSlider>
#include <QVBoxLayout>

namespace mivanta {

namespace {

constexpr int kZoomSteps = 100;

/// The item behind an entry of "Then"; null where it is a kind of end.
constexpr int kThenItemRole = Qt::UserRole + 1;

} // namespace

LoopInService::LoopInService(Session& session, Prompts& prompts, ThumbnailStore& thumbnails, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("loop-in-service"));
    m_play =
        named(new QPushButton(this), "loop-play", tr("Shows the loop on this desk only, ten times as fast"));
    m_preview = new LoopPreview(session, thumbnails, m_play, this);
    m_members = new LoopMembersTable(session, this);
    buildTimeline();
    buildForm();
    connectFields();
}

void LoopInService::buildTimeline() {
    m_timeline = new LoopTimelineView(this);
    m_zoom = named(new QSlider(Qt::Horizontal, this), "loop-zoom",
                   tr("How close the line of time is: from all of it to one round"));
    m_zoom->setRange(0, kZoomSteps);
    m_zoom->setFixedWidth(spaced(20));
    m_rounds = new QLabel(this);
    m_rounds->setObjectName(QStringLiteral("loop-rounds"));
    m_rounds->setWordWrap(true);
    makeQuiet(m_rounds);
    m_chain = new QLabel(this);
    m_chain->setObjectName(QStringLiteral("loop-chain"));
    m_chain->setTextFormat(Qt::PlainText);
    m_chain->setWordWrap(true);
    connect(m_zoom, &QSlider::valueChanged, this,
            [this](int value) { m_timeline->setZoom(double(value) / kZoomSteps); });
    connect(m_timeline, &LoopTimelineView::zoomChanged, this,
            [this](double zoom) { m_zoom->setValue(int(std::lround(zoom * kZoomSteps))); });
    connect(m_timeline, &LoopTimelineView::clicked, this,
            [this](const LoopStill& still) { Q_EMIT memberWanted(still.item); });
    connect(m_preview, &LoopPreview::playedTo, m_timeline, &LoopTimelineView::setPlayed);
    connect(m_members, &LoopMembersTable::memberWanted, this, &LoopInService::memberWanted);
}

QWidget* LoopInService::rowOf(std::initializer_list<QWidget*> fields) {
    auto* row = new QWidget(this);
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(spaced(2));
    for (QWidget* field : fields)
        layout->addWidget(field);
    layout->addStretch(1);
    return row;
}

void LoopInService::buildForm() {
    m_title = makeField("loop-title", tr("What the loop is called in the order"), this);
    m_seconds = named(new QSpinBox(this), "loop-seconds", tr("How long each picture is shown"));
    m_seconds->setRange(1, kLongestItem);
    m_seconds->setKeyboardTracking(false);
    m_seconds->setSuffix(tr(" s", "seconds, behind a number"));
    m_shuffled = named(new QCheckBox(tr("shuffled"), this), "loop-shuffled",
                       tr("Each round in another order, nothing twice in a row"));
    m_until = named(new QComboBox(this), "loop-until", tr("What ends the loop"));
    m_until->addItem(tr("something is taken"), int(LoopUntil::Take));
    m_until->addItem(tr("a time of day"), int(LoopUntil::Time));
    m_until->addItem(tr("so many rounds"), int(LoopUntil::Rounds));
    m_until->addItem(tr("a length"), int(LoopUntil::Length));
    m_until->addItem(tr("its music is over"), int(LoopUntil::Music));
    m_untilValue =
        makeField("loop-until-value",
                  tr("When it ends: a time such as 10:25, rounds, or a length such as 20 min"), this);
    m_untilValue->setFixedWidth(spaced(22));
    m_ending = named(new QComboBox(this), "loop-ending",
                     tr("What happens when the time is too short for a whole round"));
    m_ending->addItem(tr("no round is begun that would be late"), int(LoopEnding::WholeRounds));
    m_ending->addItem(tr("what would be late is left out"), int(LoopEnding::WholeShowings));
    m_ending->addItem(tr("the last picture stays until then"), int(LoopEnding::Stretched));
    for (QComboBox* box : {m_until, m_ending})
        box->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    m_then = named(new QComboBox(this), "loop-then", tr("What comes at its end"));
    m_then->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon); // titles may be long
    m_then->setMinimumContentsLength(28);
    m_begins = makeField("loop-begins", tr("When it begins, such as 10:00; empty = with a take"), this);
    m_begins->setFixedWidth(spaced(22));
    m_byItself = named(new QCheckBox(tr("by itself, once armed"), this), "loop-by-itself",
                       tr("It begins without a take, after somebody has armed it"));
    m_arm = named(new QPushButton(this), "loop-arm",
                  tr("Arming is the take: the loop begins by itself at its time. Every desk shows it"));
    m_atStart = named(new QCheckBox(tr("Armed as soon as this service is opened at start"), this),
                      "loop-at-start", tr("For a computer that is switched on and left alone"));
    m_folder =
        named(new QPushButton(this), "loop-folder",
              tr("Pictures that are saved in that folder join the loop, and leave it when they are removed"));
    m_wrong = makeComplaint("loop-wrong", this);
    auto* form = new QFormLayout;
    form->setContentsMargins(0, 0, 0, 0);
    form->setSpacing(spaced(1.5));
    form->addRow(tr("Name"), m_title);
    form->addRow(tr("Each picture"), rowOf({m_seconds, m_shuffled}));
    form->addRow(tr("Until"), rowOf({m_until, m_untilValue}));
    form->addRow(tr("At the end"), m_ending);
    form->addRow(tr("Then"), m_then);
    form->addRow(tr("Begins"), rowOf({m_begins, m_byItself, m_arm}));
    form->addRow(QString(), m_atStart);
    auto* rounds = new QHBoxLayout;
    rounds->addWidget(m_rounds, 1);
    rounds->addWidget(m_play, 0, Qt::AlignTop);
    rounds->addWidget(m_zoom, 0, Qt::AlignTop);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_timeline);
    column->addLayout(rounds);
    column->addWidget(m_preview);
    column->addWidget(m_chain);
    column->addWidget(m_wrong);
    column->addLayout(form);
    column->addWidget(headingOf(tr("Members"), this));
    column->addWidget(m_members);
    column->addWidget(rowOf({m_folder}));
}

void LoopInService::connectFields() {
    connect(m_title, &QLineEdit::textEdited, this, [this](const QString& text) {
        change(
            tr("the name of a loop"), [&](LoopItem& loop) { loop.title = text; }, m_visit);
    });
    connect(m_seconds, &QSpinBox::valueChanged, this, [this](int seconds) {
        change(
            tr("how long pictures are shown"), [seconds](LoopItem& loop) { loop.seconds = seconds; },
            m_visit);
    });
    connect(m_shuffled, &QCheckBox::clicked, this, [this](bool on) {
        change(tr("the order of a loop"), [on](LoopItem& loop) { loop.isShuffled = on; });
    });
    connect(m_until, &QComboBox::activated, this, [this] {
        complain({});
        change(tr("what ends a loop"), [&](LoopItem& loop) {
            loop.until = LoopUntil(m_until->currentData().toInt());
            if (loop.until == LoopUntil::Time &&
                !loop.untilTime.isValid()) { // five minutes before the service
                const QDateTime start = m_session.document().service().start;
                loop.untilTime = start.isValid() ? start.time().addSecs(-300) : QTime(10, 0);
            }
        });
        refresh();
        m_untilValue->setFocus();
        m_untilValue->selectAll();
    });
    connect(m_untilValue, &QLineEdit::editingFinished, this, &LoopInService::takeUntil);
    connect(m_ending, &QComboBox::activated, this, [this] {
        change(tr("how a loop ends"),
               [&](LoopItem& loop) { loop.ending = LoopEnding(m_ending->currentData().toInt()); });
    });
    connect(m_then, &QComboBox::activated, this, &LoopInService::takeThen);
    connect(m_begins, &QLineEdit::editingFinished, this, &LoopInService::takeBegins);
    connect(m_byItself, &QCheckBox::clicked, this, [this](bool on) {
        change(tr("how a loop begins"), [on](LoopItem& loop) { loop.beginsByItself = on; });
    });
    connect(m_atStart, &QCheckBox::clicked, this, [this](bool on) {
        change(tr("how a loop begins"), [on](LoopItem& loop) { loop.isArmedAtStart = on; });
    });
    connect(m_arm, &QPushButton::clicked, this, &LoopInService::arm);
    connect(m_folder, &QPushButton::clicked, this, &LoopInService::takeFolder);
    connect(&m_session.arming(), &LoopArming::changed, this, &LoopInService::refresh);
    connect(&m_session.folders(), &FolderWatch::changed, this, &LoopInService::refresh);
}

const Item* LoopInService::item() const {
    const Item* at = m_session.document().service().item(m_item);
    return at && at->loop() ? at : nullptr;
}

void LoopInService::setItem(const ItemId& id) {
    m_item = id;
    m_visit = m_session.document().startVisit();
    m_preview->stop();
    complain({});
    refresh();
}

void LoopInService::change(const QString& what, const std::function<void(LoopItem&)>& work, int visit) {
    const Item* shown = item();
    if (!shown)
        return;
    LoopItem changed = *shown->loop();
    work(changed);
    if (!(changed == *shown->loop()))
        m_session.document().change(m_item, changed, what, visit);
}

/// In the place of what comes by itself, so that the fields stay where they are.
void LoopInService::complain(const QString& text) {
    m_wrong->setMinimumHeight(m_chain->height());
    m_wrong->setText(text);
    m_wrong->setVisible(!text.isEmpty());
    m_chain->setVisible(text.isEmpty());
}

/// What is not understood changes nothing, and says so.
void LoopInService::takeUntil() {
    const Item* shown = item();
    if (!shown || !m_untilValue->isModified())
        return;
    m_untilValue->setModified(false);
    const QString typed = m_untilValue->text().trimmed();
    complain({});
    bool isNumber = false;
    const int number = typed.toInt(&isNumber);
    switch (shown->loop()->until) {
    case LoopUntil::Time:
        if (const auto time = timeFrom(typed))
            change(tr("when a loop ends"), [&](LoopItem& loop) { loop.untilTime = *time; });
        else
            complain(tr("\u201c%1\u201d is no time of day; write it like 10:25.").arg(shortened(typed)));
        break;
    case LoopUntil::Rounds:
        if (isNumber && number >= 1 && number <= kMostLoopRounds)
            change(tr("how many rounds a loop has"), [&](LoopItem& loop) { loop.rounds = number; });
        else
            complain(tr("\u201c%1\u201d is no number of rounds; write it like 3.").arg(shortened(typed)));
        break;
    case LoopUntil::Length:
        if (const auto seconds = durationFrom(typed); seconds && *seconds > 0)
            change(tr("how long a loop is"), [&](LoopItem& loop) { loop.length = *seconds; });
        else
            complain(tr("\u201c%1\u201d is no length; write it like 20, 4:30, 90 s or 1:05 h.")
                         .arg(shortened(typed)));
        break;
    case LoopUntil::Take:
    case LoopUntil::Music:
        break;
    }
    refresh();
}

/// A time to begin at is there to begin by itself, unless that is taken back.
void LoopInService::takeBegins() {
    const Item* shown = item();
    if (!shown || !m_begins->isModified())
        return;
    m_begins->setModified(false);
    const QString typed = m_begins->text().trimmed();
    const auto at = timeFrom(typed);
    complain(!typed.isEmpty() && !at
                 ? tr("\u201c%1\u201d is no time of day; write it like 10:00.").arg(shortened(typed))
                 : QString());
    if (at || typed.isEmpty()) {
        QUndoStack& steps = m_session.document().undoStack();
        const bool hadTime = shown->plan.at.has_value();
        steps.beginMacro(tr("when a loop begins"));
        m_session.document().changePlan(
            {m_item}, [&](ItemPlan& plan) { plan.at = at; }, tr("when a loop begins"));
        if (at.has_value() != hadTime)
            change(tr("when a loop begins"), [&](LoopItem& loop) { loop.beginsByItself = at.has_value(); });
        steps.endMacro();
    }
    refresh();
}

void LoopInService::takeThen() {
    const ItemId chosen = ItemId::fromText(m_then->currentData(kThenItemRole).toString());
    change(tr("what comes at the end of a loop"), [&](LoopItem& loop) {
        loop.then = LoopThen(m_then->currentData().toInt());
        loop.thenItem = chosen;
    });
}

void LoopInService::takeFolder() {
    const Item* shown = item();
    if (!shown)
        return;
    const QString linked = shown->loop()->folder;
    if (!linked.isEmpty() && !m_session.folders().isFollowed(linked)) {
        m_session.folders().follow(linked);
        return;
    }
    if (!linked.isEmpty()) {
        change(tr("the folder of a loop"), [](LoopItem& loop) { loop.folder.clear(); });
        return;
    }
    const QString folder = m_prompts.folderToWatch();
    if (folder.isEmpty())
        return;
    m_session.folders().follow(folder);
    change(tr("the folder of a loop"), [&](LoopItem& loop) { loop.folder = folder; });
}

void LoopInService::arm() {
    const order::ArmLoop order{m_item, !m_session.arming().isArmed(m_item)};
    if (const auto done = m_session.orders().obey(order); !done)
        Q_EMIT m_session.problem(done.error());
}

void LoopInService::refreshUntil(const LoopItem& rule) {
    m_until->setCurrentIndex(m_until->findData(int(rule.until)));
    const bool hasValue = rule.until != LoopUntil::Take && rule.until != LoopUntil::Music;
    m_untilValue->setVisible(hasValue);
    putText(m_untilValue, rule.until == LoopUntil::Time     ? rule.untilTime.toString(QStringLiteral("HH:mm"))
                          : rule.until == LoopUntil::Rounds ? QString::number(rule.rounds)
                                                            : durationText(rule.length));
    m_ending->setCurrentIndex(m_ending->findData(int(rule.ending)));
    m_ending->setEnabled(rule.until == LoopUntil::Time || rule.until == LoopUntil::Length ||
                         rule.until == LoopUntil::Music);
}

/// The kinds of ends, and the items behind it.
void LoopInService::refreshThen(const Item& loop) {
    const Service& service = m_session.document().service();
    const QSignalBlocker blocker(m_then);
    m_then->clear();
    const auto add = [this](const QString& text, LoopThen then, const ItemId& item = {}) {
        m_then->addItem(text, int(then));
        m_then->setItemData(m_then->count() - 1, item.text(), kThenItemRole);
    };
    add(tr("the next item, by itself"), LoopThen::NextItem);
    add(tr("the house card"), LoopThen::HouseCard);
    add(tr("its last picture stays"), LoopThen::Stays);
    const std::vector<bool> isMember = membersOfLoops(service);
    for (size_t i = size_t(service.indexOf(loop.id)) + 1; i < service.items.size(); ++i)
        if (const Item& item = service.items[i]; !isMember[i] && (item.hasSlides() || item.loop()))
            add(tr("%1, by itself").arg(item.title()), LoopThen::Item, item.id);
    for (int i = 0; i < m_then->count(); ++i)
        if (m_then->itemData(i).toInt() == int(loop.loop()->then) &&
            (loop.loop()->then != LoopThen::Item ||
             m_then->itemData(i, kThenItemRole).toString() == loop.loop()->thenItem.text())) {
            m_then->setCurrentIndex(i);
            return;
        }
    add(tr("an item that is gone: choose another"), LoopThen::Item, loop.loop()->thenItem);
    m_then->setCurrentIndex(m_then->count() - 1);
}

void LoopInService::refreshBegins(const Item& loop) {
    const LoopItem& rule = *loop.loop();
    putText(m_begins, loop.plan.at ? loop.plan.at->toString(QStringLiteral("HH:mm")) : QString());
    m_begins->setPlaceholderText(tr("with a take"));
    m_byItself->setChecked(rule.beginsByItself);
    m_byItself->setEnabled(loop.plan.at.has_value());
    const bool mayArm = rule.beginsByItself && loop.plan.at;
    m_arm->setVisible(mayArm);
    m_arm->setText(m_session.arming().isArmed(m_item) ? tr("Disarm") : tr("Arm"));
    m_atStart->setVisible(mayArm);
    m_atStart->setChecked(rule.isArmedAtStart);
}

void LoopInService::refresh() {
    const Item* shown = item();
    setVisible(shown != nullptr);
    if (!shown)
        return;
    const Service& service = m_session.document().service();
    const LoopItem& rule = *shown->loop();
    QDateTime begins = loopBegin(*shown, service);
    if (!begins.isValid()) // where it stands in the order
        begins = m_session.document().timetable().rows[size_t(service.indexOf(m_item))].begins;
    m_plan = loopPlanOf(*shown, service, begins, knownMembers(m_session.book()));
    m_timeline->setPlan(m_plan, {memberNames(m_plan, service), thenText(*shown, service)});
    m_rounds->setText(roundsText(m_plan, service));
    m_preview->setPlan(m_plan);
    m_chain->setText(chainText(chainFrom(*shown, service, begins, knownMembers(m_session.book())), service));
    putText(m_title, rule.title);
    putValue(m_seconds, rule.seconds);
    m_shuffled->setChecked(rule.isShuffled);
    refreshUntil(rule);
    refreshThen(*shown);
    refreshBegins(*shown);
    m_members->setLoop(*shown, m_plan);
    const QString folder = QFileInfo(rule.folder).fileName();
    m_folder->setText(rule.folder.isEmpty() ? tr("Link to a folder\u2026")
                      : m_session.folders().isFollowed(rule.folder)
                          ? tr("Linked to \u201c%1\u201d: unlink").arg(folder)
                          : tr("Linked to \u201c%1\u201d elsewhere: link it here, too").arg(folder));
}

} // namespace mivanta

#include "moc_LoopInService.cpp"
