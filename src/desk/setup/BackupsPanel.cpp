// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/BackupsPanel.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTreeWidget>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QString kindText(Backup::Kind kind) {
    switch (kind) {
    case Backup::Kind::BeforeMigration:
        return BackupsPanel::tr("before a new version");
    case Backup::Kind::SetAside:
        return BackupsPanel::tr("set aside when another was brought back");
    case Backup::Kind::Daily:
        break;
    }
    return BackupsPanel::tr("a day's backup");
}

} // namespace

BackupsPanel::BackupsPanel(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    auto* title = new QLabel(tr("The library's backups"), this);
    title->setFont(textFont(1.5, TextWeight::Bold));
    m_state = new QLabel(this);
    m_state->setObjectName(QStringLiteral("backups-state"));
    m_state->setWordWrap(true);
    makeQuiet(m_state);
    m_list = new QTreeWidget(this);
    m_list->setObjectName(QStringLiteral("backups"));
    m_list->setAccessibleName(title->text());
    m_list->setToolTip(tr("Copies of songs, scripture, texts and themes, kept in the library's folder"));
    m_list->setHeaderLabels({tr("Made"), tr("Size"), tr("What it is")});
    m_list->setRootIsDecorated(false);
    m_list->setFixedHeight(spaced(36));
    m_list->header()->setSectionResizeMode(QHeaderView::ResizeToContents);
    m_backUp = new QPushButton(tr("Back up now"), this);
    m_backUp->setObjectName(QStringLiteral("back-up-now"));
    m_backUp->setToolTip(tr("Make one more backup of the library"));
    m_bringBack = new QPushButton(tr("Bring this one back\u2026"), this);
    m_bringBack->setObjectName(QStringLiteral("bring-back"));
    m_bringBack->setToolTip(
        tr("Put the chosen backup in the library's place; what is there now is set aside, not lost"));
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_backUp);
    buttons->addWidget(m_bringBack);
    buttons->addStretch(1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, spaced(3), 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(title);
    column->addWidget(m_state);
    column->addWidget(m_list);
    column->addLayout(buttons);
    connect(m_backUp, &QPushButton::clicked, this, &BackupsPanel::backUp);
    connect(m_bringBack, &QPushButton::clicked, this, &BackupsPanel::bringBack);
    connect(m_list, &QTreeWidget::currentItemChanged, this, [this] { setBusy({}); });
    connect(&m_session.library(), &LibraryClient::opened, this, &BackupsPanel::refresh);
    connect(&m_session.library(), &LibraryClient::failed, this, &BackupsPanel::refresh);
    connect(&m_session.library(), &LibraryClient::backedUp, this, &BackupsPanel::refresh);
    show({});
}

void BackupsPanel::refresh() {
    m_session.library().backups(this, [this](const std::vector<Backup>& backups) { show(backups); });
}

void BackupsPanel::show(const std::vector<Backup>& backups) {
    if (backups == m_backups && !backups.empty())
        return;
    m_backups = backups;
    m_list->clear();
    for (const Backup& backup : backups)
        m_list->addTopLevelItem(new QTreeWidgetItem(
            {locale().toString(backup.at.toLocalTime(), tr("ddd d MMMM yyyy, HH:mm", "date format")),
             locale().formattedDataSize(backup.bytes), kindText(backup.kind)}));
    if (!backups.empty())
        m_list->setCurrentItem(m_list->topLevelItem(0));
    setBusy({});
}

const Backup* BackupsPanel::chosen() const {
    const int row = m_list->indexOfTopLevelItem(m_list->currentItem());
    return row >= 0 && row < int(m_backups.size()) ? &m_backups[size_t(row)] : nullptr;
}

/// Empty: nothing is at work.
void BackupsPanel::setBusy(const QString& what) {
    m_isBusy = !what.isEmpty();
    m_state->setText(m_isBusy ? what
                     : m_backups.empty()
                         ? tr("There is none yet. One is made every day that Mivanta is used.")
                         : tr("One is made every day that Mivanta is used; older ones are kept a day, a week "
                              "and a month apart."));
    m_backUp->setEnabled(!m_isBusy && m_session.library().isOpen());
    m_bringBack->setEnabled(!m_isBusy && chosen());
}

void BackupsPanel::backUp() {
    setBusy(tr("Making a backup\u2026"));
    m_session.library().backUpNow(this, [this](const Result<Backup>& made) {
        setBusy({});
        if (!made)
            Q_EMIT m_session.problem(made.error());
    });
}

void BackupsPanel::bringBack() {
    const Backup* backup = chosen();
    if (!backup)
        return;
    const QString when = m_list->currentItem()->text(0);
    if (!m_prompts.agree(tr("The library becomes what it was on %1. What it is now is set aside and can be "
                            "brought back the same way.")
                             .arg(when),
                         tr("Bring it back")))
        return;
    setBusy(tr("Bringing the library of %1 back\u2026").arg(when));
    m_session.library().bringBack(this, *backup, [this, when](const Result<void>& done) {
        setBusy({});
        if (!done)
            Q_EMIT m_session.problem(done.error());
        else
            Q_EMIT m_session.notice(tr("The library is as it was on %1. What it was until now stands among "
                                       "the backups.")
                                        .arg(when));
        refresh();
    });
}

} // namespace mivanta

#include "moc_BackupsPanel.cpp"
