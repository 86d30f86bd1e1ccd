// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LoopMembersTable.h"
#include "core/timing/Moment.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QGridLayout>
#include <QLabel>
#include <QToolButton>
#include <algorithm>
#include <cmath>

namespace mivanta {

LoopMembersTable::LoopMembersTable(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setObjectName(QStringLiteral("loop-members"));
    m_grid = new QGridLayout(this);
    m_grid->setContentsMargins(0, 0, 0, 0);
    m_grid->setHorizontalSpacing(spaced(2));
    m_grid->setVerticalSpacing(spaced(1));
    m_grid->setColumnStretch(3, 1);
    m_none = new QLabel(
        tr("None yet. Choose the loop on the sheet and add with Find or the Add menu, drop files on it, or "
           "group items with it (Ctrl+G)."),
        this);
    m_none->setWordWrap(true);
    makeQuiet(m_none);
    m_grid->addWidget(m_none, 0, 0, 1, 4);
}

void LoopMembersTable::addRow() {
    const int at = int(m_rows.size());
    Row row;
    row.name = new QToolButton(this);
    row.name->setAutoRaise(true);
    row.seconds = new QSpinBox(this);
    row.seconds->setObjectName(QStringLiteral("member-seconds-%1").arg(at + 1));
    row.seconds->setRange(0, kLongestItem);
    row.seconds->setSuffix(tr(" s", "seconds, behind a number"));
    row.seconds->setToolTip(tr("How long each of its pictures is shown; 0 = as the loop says"));
    row.rounds = new QSpinBox(this);
    row.rounds->setObjectName(QStringLiteral("member-rounds-%1").arg(at + 1));
    row.rounds->setRange(1, kMostLoopRounds);
    row.rounds->setSpecialValueText(tr("each round"));
    row.rounds->setPrefix(tr("every ", "before a number of rounds"));
    row.rounds->setSuffix(tr(" rounds", "behind a number above 1"));
    row.rounds->setToolTip(tr("In each round, or once behind so many"));
    row.facts = new QLabel(this);
    row.facts->setTextFormat(Qt::PlainText);
    row.facts->setMinimumWidth(0);
    row.facts->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred); // it gets what is left
    makeQuiet(row.facts);
    for (QSpinBox* box : {row.seconds, row.rounds})
        box->setKeyboardTracking(false);
    m_grid->addWidget(row.name, at + 1, 0);
    m_grid->addWidget(row.seconds, at + 1, 1);
    m_grid->addWidget(row.rounds, at + 1, 2);
    m_grid->addWidget(row.facts, at + 1, 3);
    connect(row.name, &QToolButton::clicked, this,
            [this, at] { Q_EMIT memberWanted(m_rows[size_t(at)].member); });
    connect(row.seconds, &QSpinBox::valueChanged, this, [this, at](int seconds) {
        m_session.document().changeInLoop(
            {m_rows[size_t(at)].member}, [seconds](LoopPart& part) { part.seconds = seconds; },
            tr("how long it is shown"), m_visit);
    });
    connect(row.rounds, &QSpinBox::valueChanged, this, [this, at](int rounds) {
        m_session.document().changeInLoop(
            {m_rows[size_t(at)].member}, [rounds](LoopPart& part) { part.everyRounds = rounds; },
            tr("in which rounds it comes"), m_visit);
    });
    m_rows.push_back(row);
}

void LoopMembersTable::fill(Row& row, const Item& member, const LoopItem& loop, const LoopPlan& plan) {
    row.member = member.id;
    row.name->setText(fontMetrics().elidedText(member.title(), Qt::ElideRight, spaced(34)));
    row.name->setToolTip(tr("Choose \u201c%1\u201d on the sheet").arg(member.title()));
    const auto* film = std::get_if<FilmItem>(&member.words);
    const bool isFilm = film && film->length() > 0;
    row.seconds->setVisible(!isFilm);
    row.seconds->setSpecialValueText(tr("%1 s", "seconds").arg(loop.seconds));
    row.seconds->setAccessibleName(tr("Seconds of %1").arg(member.title()));
    row.rounds->setAccessibleName(tr("Rounds of %1").arg(member.title()));
    putValue(row.seconds, member.inLoop.seconds);
    putValue(row.rounds, member.inLoop.everyRounds);
    QStringList facts;
    if (isFilm)
        facts << momentText(std::round(film->length()));
    if (const auto* set = std::get_if<PictureItem>(&member.words); set && set->pictures.size() > 1)
        facts << kindText(member.words);
    int out = 0;
    QString why;
    for (const LoopLeftOut& left : plan.leftOut)
        if (left.what.item == member.id) {
            ++out;
            why = left.why;
        }
    if (out == 1)
        facts << tr("out: %1", "why something is not shown").arg(why);
    else if (out > 1)
        facts << tr("%n out", "that are not shown", out);
    row.facts->setText(facts.join(QStringLiteral(" \u00b7 ")));
}

void LoopMembersTable::setLoop(const Item& loop, const LoopPlan& plan) {
    const std::vector<const Item*> members = membersOf(loop, m_session.document().service());
    if (m_rows.empty() || m_rows.size() != members.size())
        m_visit = m_session.document().startVisit();
    while (m_rows.size() < members.size())
        addRow();
    for (size_t i = 0; i < m_rows.size(); ++i) {
        Row& row = m_rows[i];
        const bool isThere = i < members.size();
        for (QWidget* part : std::initializer_list<QWidget*>{row.name, row.seconds, row.rounds, row.facts})
            part->setVisible(isThere);
        if (isThere)
            fill(row, *members[i], *loop.loop(), plan);
    }
    m_none->setVisible(members.empty());
}

} // namespace mivanta

#include "moc_LoopMembersTable.cpp"
