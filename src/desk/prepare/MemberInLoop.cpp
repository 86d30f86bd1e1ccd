// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/MemberInLoop.h"
#include "desk/kit/Columns.h"
#include "desk/kit/DayField.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QCheckBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QVBoxLayout>

namespace mivanta {

MemberInLoop::MemberInLoop(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("member-in-loop"));
    m_what = new QLabel(this);
    makeHeading(m_what);
    m_from = makeField("member-from",
                       tr("The first day on which it goes round, such as 1 Oct; empty = at once"), this);
    m_to = makeField("member-to", tr("The last day on which it goes round, such as 4 Oct; empty = always"),
                     this);
    auto* days = new QHBoxLayout;
    days->setSpacing(spaced(2));
    days->addWidget(new QLabel(tr("From"), this));
    days->addWidget(m_from);
    days->addWidget(new QLabel(tr("to"), this));
    days->addWidget(m_to);
    for (QLineEdit* edit : {m_from, m_to})
        edit->setFixedWidth(spaced(28));
    days->addStretch(1);
    auto* week = new QHBoxLayout;
    week->setSpacing(spaced(2));
    for (int day = 1; day <= 7; ++day) {
        auto* box = new QCheckBox(QLocale().dayName(day, QLocale::ShortFormat), this);
        box->setObjectName(QStringLiteral("member-day-%1").arg(day));
        box->setToolTip(tr("It goes round on this day of the week"));
        week->addWidget(box);
        m_days.push_back(box);
        connect(box, &QCheckBox::clicked, this, [this, day](bool on) {
            change([day, on](Season& season) {
                const int before = season.weekdays == 0 ? kAllWeekdays : season.weekdays;
                const int now = on ? before | (1 << (day - 1)) : before & ~(1 << (day - 1));
                if (now != 0) // on no day at all is leaving it out
                    season.weekdays = now == kAllWeekdays ? 0 : now;
            });
        });
    }
    week->addStretch(1);
    m_wrong = makeComplaint("member-wrong", this);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(spaced(1.5));
    column->addWidget(m_what);
    column->addLayout(days);
    column->addLayout(week);
    column->addWidget(m_wrong);
    connect(m_from, &QLineEdit::editingFinished, this, [this] { takeDay(m_from, &Season::from); });
    connect(m_to, &QLineEdit::editingFinished, this, [this] { takeDay(m_to, &Season::to); });
}

const Item* MemberInLoop::item() const {
    const Item* at = m_session.document().service().item(m_item);
    return at && canBeMember(at->words) && loopOf(*at, m_session.document().service()) ? at : nullptr;
}

void MemberInLoop::setItem(const ItemId& id) {
    m_item = id;
    m_picture.reset();
    m_wrong->hide();
    refresh();
}

void MemberInLoop::setPicture(const std::optional<int>& picture) {
    m_picture = picture;
    m_wrong->hide();
    refresh();
}

Season MemberInLoop::season() const {
    const Item* shown = item();
    const auto* set = shown && m_picture ? std::get_if<PictureItem>(&shown->words) : nullptr;
    if (set && *m_picture < int(set->pictures.size()))
        return set->pictures[size_t(*m_picture)].season;
    return shown ? shown->inLoop.season : Season();
}

void MemberInLoop::change(const std::function<void(Season&)>& work) {
    const Item* shown = item();
    if (!shown)
        return;
    const QString what = tr("when it goes round");
    const auto* set = m_picture ? std::get_if<PictureItem>(&shown->words) : nullptr;
    if (set && *m_picture < int(set->pictures.size())) {
        PictureItem changed = *set;
        work(changed.pictures[size_t(*m_picture)].season);
        m_session.document().change(m_item, changed, what);
    } else {
        m_session.document().changeInLoop(
            {m_item}, [&](LoopPart& part) { work(part.season); }, what);
    }
    refresh();
}

void MemberInLoop::takeDay(QLineEdit* edit, QDate Season::*day) {
    if (!edit->isModified())
        return;
    edit->setModified(false);
    const QString typed = edit->text().trimmed();
    const auto date = typed.isEmpty() ? std::optional(QDate()) : dayFrom(typed, Clock::the().date());
    Season changed = season();
    if (date)
        changed.*day = *date;
    const bool isTurned = changed.from.isValid() && changed.to.isValid() && changed.to < changed.from;
    m_wrong->setText(!date ? noDayText(typed) : tr("Its last day is before its first one."));
    m_wrong->setVisible(!date || isTurned);
    if (date && !isTurned)
        change([&](Season& season) { season.*day = *date; });
    else
        refresh();
}

void MemberInLoop::refresh() {
    const Item* shown = item();
    setVisible(shown != nullptr);
    if (!shown)
        return;
    const Season now = season();
    const auto* set = std::get_if<PictureItem>(&shown->words);
    m_what->setText(m_picture && set && *m_picture < int(set->pictures.size())
                        ? tr("In the loop: \u201c%1\u201d").arg(set->pictures[size_t(*m_picture)].caption)
                        : tr("In the loop"));
    putText(m_from, dayText(now.from));
    putText(m_to, dayText(now.to));
    for (int day = 1; day <= 7; ++day)
        m_days[size_t(day - 1)]->setChecked(now.weekdays == 0 || (now.weekdays & (1 << (day - 1))) != 0);
}

} // namespace mivanta

#include "moc_MemberInLoop.cpp"
