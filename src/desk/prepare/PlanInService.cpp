// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/PlanInService.h"
#include "core/order/Loops.h"
#include "core/timing/Timetable.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Shortened.h"
#include "desk/kit/Style.h"
#include "desk/prepare/CommonValue.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QCheckBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>

namespace mivanta {

namespace {

template <typename Value>
std::optional<Value> commonPlan(const std::vector<const Item*>& items, Value ItemPlan::*member) {
    return commonValue(items, [member](const Item& item) { return item.plan.*member; });
}

} // namespace

PlanInService::PlanInService(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("plan-in-service"));
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(spaced(2));
    grid->setVerticalSpacing(spaced(1.5));
    for (const int column : {1, 3, 5})
        grid->setColumnStretch(column, 1);
    m_at = field("plan-at", tr("Begins at"),
                 tr("A time that it must begin at, such as 10:30; empty = when what is before it ends"));
    m_takes = field("plan-takes", tr("Takes"),
                    tr("How long it is planned for: 4, 4:30, 90 s, 1:05 h; empty = guessed from its words"));
    m_leader = field("plan-leader", tr("Led by"), tr("Who leads it; printed on the order"));
    m_note = field("plan-note", tr("Note"), tr("A note for the operator; never on a screen of the hall"));
    m_skipped = new QCheckBox(tr("Leave out today"), this);
    m_skipped->setObjectName(QStringLiteral("plan-skipped"));
    m_skipped->setToolTip(tr("It stays in the order and is passed over while running (Ctrl+T)"));
    m_advance =
        field("plan-advance", tr("By itself"),
              tr("The next slide of this item comes by itself after so long: 10 s, 1:30; empty = only "
                 "when it is taken"));
    m_goesOn = new QCheckBox(tr("Then go on to the next item"), this);
    m_goesOn->setObjectName(QStringLiteral("plan-goes-on"));
    m_goesOn->setToolTip(tr("After its last slide the next item comes by itself, too"));
    m_wrong = makeComplaint("plan-wrong", this);
    const auto label = [&](QLineEdit* edit) {
        auto* text = new QLabel(edit->accessibleName(), this);
        text->setBuddy(edit);
        return text;
    };
    auto* checks = new QHBoxLayout;
    checks->setSpacing(spaced(4));
    checks->addWidget(m_goesOn);
    checks->addWidget(m_skipped);
    checks->addStretch(1);
    grid->addWidget(label(m_at), 0, 0);
    grid->addWidget(m_at, 0, 1);
    grid->addWidget(label(m_takes), 0, 2);
    grid->addWidget(m_takes, 0, 3);
    grid->addWidget(label(m_advance), 0, 4);
    grid->addWidget(m_advance, 0, 5);
    grid->addWidget(label(m_leader), 1, 0);
    grid->addWidget(m_leader, 1, 1);
    grid->addWidget(label(m_note), 1, 2);
    grid->addWidget(m_note, 1, 3, 1, 3);
    grid->addLayout(checks, 2, 0, 1, 6);
    grid->addWidget(m_wrong, 3, 0, 1, 6);
    connect(m_advance, &QLineEdit::editingFinished, this, &PlanInService::takeAdvance);
    connect(m_goesOn, &QCheckBox::clicked, this, [this](bool on) {
        m_goesOn->setTristate(false);
        change(tr("going on by itself"), [on](ItemPlan& plan) { plan.goesOn = on; });
    });
    connect(m_at, &QLineEdit::editingFinished, this, &PlanInService::takeTime);
    connect(m_takes, &QLineEdit::editingFinished, this, &PlanInService::takeDuration);
    connect(m_leader, &QLineEdit::editingFinished, this, [this] {
        if (m_leader->isModified())
            change(tr("who leads"), [this](ItemPlan& plan) { plan.leader = m_leader->text().trimmed(); });
    });
    connect(m_note, &QLineEdit::editingFinished, this, [this] {
        if (m_note->isModified())
            change(tr("a note"), [this](ItemPlan& plan) { plan.note = m_note->text().trimmed(); });
    });
    connect(m_skipped, &QCheckBox::clicked, this, [this](bool skipped) {
        m_skipped->setTristate(false);
        change(skipped ? tr("leaving out today") : tr("not leaving out today"),
               [skipped](ItemPlan& plan) { plan.skipped = skipped; });
    });
}

QLineEdit* PlanInService::field(const char* name, const QString& label, const QString& tip) {
    auto* edit = new QLineEdit(this);
    edit->setObjectName(QLatin1String(name));
    edit->setAccessibleName(label);
    edit->setToolTip(tip);
    return edit;
}

void PlanInService::setItem(const ItemId& id) {
    m_item = id;
    m_wrong->hide();
    for (QLineEdit* edit : {m_at, m_takes, m_leader, m_note, m_advance})
        edit->setModified(false);
    refresh();
}

std::vector<ItemId> PlanInService::items() const {
    return chosenThat(&Item::hasPlan, m_session.document().service(),
                      m_selection ? m_selection() : std::vector<ItemId>(), m_item);
}

void PlanInService::change(const QString& what, const std::function<void(ItemPlan&)>& work) {
    m_session.document().changePlan(items(), work, what);
    for (QLineEdit* edit : {m_at, m_takes, m_leader, m_note, m_advance})
        edit->setModified(false); // it is taken
    refresh();
}

void PlanInService::takeTime() {
    const QString text = m_at->text().trimmed();
    const auto at = timeFrom(text);
    m_wrong->setVisible(!text.isEmpty() && !at);
    m_wrong->setText(tr("\u201c%1\u201d is no time of day; write it like 10:30.").arg(shortened(text)));
    if (m_at->isModified() && (at || text.isEmpty()))
        change(tr("when it begins"), [&](ItemPlan& plan) { plan.at = at; });
}

void PlanInService::takeDuration() {
    const QString text = m_takes->text().trimmed();
    const auto seconds = durationFrom(text);
    m_wrong->setVisible(!text.isEmpty() && !seconds);
    m_wrong->setText(
        tr("\u201c%1\u201d is no length; write it like 4, 4:30, 90 s or 1:05 h.").arg(shortened(text)));
    if (m_takes->isModified() && (seconds || text.isEmpty()))
        change(tr("how long it takes"), [&](ItemPlan& plan) { plan.seconds = seconds; });
}

void PlanInService::takeAdvance() {
    const QString text = m_advance->text().trimmed();
    bool isNumber = false; // seconds, where nothing else is said: slides do not stay for minutes
    const int bare = text.toInt(&isNumber);
    const auto seconds = isNumber ? std::optional(bare) : durationFrom(text);
    const bool isGood = seconds && *seconds > 0 && *seconds <= kLongestItem;
    m_wrong->setVisible(!text.isEmpty() && !isGood);
    m_wrong->setText(tr("\u201c%1\u201d is no length; write it like 10 s or 1:30.").arg(shortened(text)));
    if (m_advance->isModified() && (isGood || text.isEmpty()))
        change(tr("slides that come by themselves"), [&](ItemPlan& plan) {
            plan.advance = isGood ? seconds : std::nullopt;
            plan.goesOn = plan.goesOn && isGood;
        });
}

void PlanInService::refresh() {
    const Service& service = m_session.document().service();
    std::vector<const Item*> shown;
    for (const ItemId& id : items())
        shown.push_back(service.item(id));
    setVisible(!shown.empty());
    if (shown.empty())
        return;
    const Timetable& table = m_session.document().timetable();
    const TimetableRow& row = table.rows[size_t(service.indexOf(shown.front()->id))];
    const QString several = tr("different");
    const auto show = [](QLineEdit* edit, const QString& text, const QString& placeholder) {
        edit->setPlaceholderText(placeholder);
        if (edit->text() != text && !(edit->hasFocus() && edit->isModified())) {
            edit->setText(text);
            edit->setModified(false);
        }
    };
    const auto at = commonPlan(shown, &ItemPlan::at);
    show(m_at, at && *at ? (*at)->toString(QStringLiteral("HH:mm")) : QString(),
         !at                    ? several
         : row.begins.isValid() ? row.begins.time().toString(QStringLiteral("HH:mm"))
                                : QString());
    const auto seconds = commonPlan(shown, &ItemPlan::seconds);
    show(m_takes, seconds && *seconds ? durationText(**seconds) : QString(),
         !seconds ? several
                  : tr("about %1")
                        .arg(durationText(row.seconds > 0 ? row.seconds
                                                          : guessedSeconds(*shown.front(), service))));
    const auto leader = commonPlan(shown, &ItemPlan::leader);
    show(m_leader, leader.value_or(QString()), leader ? QString() : several);
    const auto note = commonPlan(shown, &ItemPlan::note);
    show(m_note, note.value_or(QString()), note ? QString() : several);
    const auto advance = commonPlan(shown, &ItemPlan::advance);
    show(m_advance, advance && *advance ? durationText(**advance) : QString(), advance ? tr("no") : several);
    const auto goesOn = commonPlan(shown, &ItemPlan::goesOn);
    m_goesOn->setTristate(!goesOn);
    m_goesOn->setCheckState(!goesOn ? Qt::PartiallyChecked : *goesOn ? Qt::Checked : Qt::Unchecked);
    m_goesOn->setEnabled(!advance || *advance);
    const bool hasTimes = std::none_of(shown.begin(), shown.end(), [&](const Item* item) {
        return item->loop() || loopOf(*item, service); // the loop's rule says it
    });
    for (QWidget* edit : std::initializer_list<QWidget*>{m_takes, m_advance})
        edit->setEnabled(hasTimes);
    m_goesOn->setEnabled(m_goesOn->isEnabled() && hasTimes);
    const auto skipped = commonPlan(shown, &ItemPlan::skipped);
    m_skipped->setTristate(!skipped);
    m_skipped->setCheckState(!skipped ? Qt::PartiallyChecked : *skipped ? Qt::Checked : Qt::Unchecked);
}

} // namespace mivanta

#include "moc_PlanInService.cpp"
