// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/check/MissingPanel.h"
#include "core/order/UsedMedia.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLayoutItem>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

MissingPanel::MissingPanel(Session& session, Prompts& prompts, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_prompts(prompts) {
    setObjectName(QStringLiteral("missing-files"));
    m_title = new QLabel(this);
    m_title->setFont(textFont(1.2, TextWeight::Bold));
    m_state = new QLabel(this);
    m_state->setObjectName(QStringLiteral("missing-state"));
    m_state->setWordWrap(true);
    makeQuiet(m_state);
    auto* folder = new QPushButton(tr("Look in a folder\u2026"), this);
    folder->setObjectName(QStringLiteral("missing-folder"));
    folder->setToolTip(tr("Look for all of them in a folder and the folders inside it"));
    m_again = new QPushButton(tr("Look again"), this);
    m_again->setObjectName(QStringLiteral("missing-again"));
    m_again->setToolTip(tr("Look again in the folders that are known, such as after plugging a stick in"));
    m_stop = new QPushButton(tr("Stop looking"), this);
    m_stop->setObjectName(QStringLiteral("missing-stop"));
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(folder);
    buttons->addWidget(m_again);
    buttons->addWidget(m_stop);
    buttons->addStretch(1);
    m_rows = new QVBoxLayout;
    m_rows->setSpacing(spaced(2));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(m_title);
    column->addWidget(m_state);
    column->addLayout(m_rows);
    column->addLayout(buttons);
    connect(folder, &QPushButton::clicked, this, [this] {
        if (const QString where = m_prompts.folderToLookIn(); !where.isEmpty())
            m_session.missing().lookIn(where);
    });
    connect(m_again, &QPushButton::clicked, &m_session.missing(), &MissingFiles::look);
    connect(m_stop, &QPushButton::clicked, &m_session.missing(), &MissingFiles::stop);
    connect(&m_session.missing(), &MissingFiles::changed, this, &MissingPanel::refresh);
    refresh();
}

void MissingPanel::refresh() {
    const auto& all = m_session.missing().all();
    const bool isSearching = m_session.missing().isSearching();
    setVisible(!all.empty());
    m_title->setText(tr("%n files are not on this computer", nullptr, int(all.size())));
    m_state->setText(isSearching
                         ? tr("Looking in the folders for pictures, films, sounds, documents and downloads, "
                              "and beside the service\u2026")
                         : tr("Until they are found the backdrop is shown in their place. A file with the "
                              "same content is taken by itself."));
    m_again->setVisible(!isSearching);
    m_stop->setVisible(isSearching);
    if (all == m_shown)
        return; // rows keep the focus
    m_shown = all;
    while (QLayoutItem* item = m_rows->takeAt(0)) {
        item->widget()->deleteLater();
        delete item;
    }
    for (const MissingFiles::Entry& entry : all)
        m_rows->addWidget(row(entry));
}

/// The items that show it or sound with it, by name; for a backdrop of a theme, that.
QString MissingPanel::usersOf(const QString& name) const {
    QStringList users;
    for (const Item& item : m_session.document().service().items) {
        if (item.plan.sound && item.plan.sound->name == name)
            users << tr("sounds with %1").arg(item.title());
        if (item.plan.track && item.plan.track->name == name)
            users << tr("%1 is sung to it").arg(item.title());
        if (mediaOf(item.words).contains(name))
            users << item.title();
    }
    return users.isEmpty() ? tr("behind the words") : users.join(QStringLiteral(", "));
}

QWidget* MissingPanel::row(const MissingFiles::Entry& entry) {
    auto* sheet = new QFrame(this);
    sheet->setStyleSheet(
        QStringLiteral("QFrame { background: %1; border-left: 5px solid %2; } QLabel { border: none; }")
            .arg(day().sheet.name(), day().warning.name()));
    const QString called = entry.fact.title.isEmpty() ? tr("A file without a name") : entry.fact.title;
    auto* title = new QLabel(called, sheet);
    title->setFont(textFont(1.05, TextWeight::Bold));
    QStringList facts{usersOf(entry.fact.name)};
    if (entry.fact.bytes > 0)
        facts << locale().formattedDataSize(entry.fact.bytes);
    if (!entry.offered.isEmpty())
        facts << tr("another file of this name was found: %1").arg(entry.offered);
    auto* detail = new QLabel(facts.join(QStringLiteral(" \u00b7 ")), sheet);
    detail->setWordWrap(true);
    auto* words = new QVBoxLayout;
    words->addWidget(title);
    words->addWidget(detail);
    auto* line = new QHBoxLayout(sheet);
    line->setContentsMargins(spaced(4), spaced(2), spaced(3), spaced(2));
    line->addLayout(words, 1);
    if (!entry.offered.isEmpty()) {
        auto* use = new QPushButton(tr("Use that one"), sheet);
        use->setObjectName(QStringLiteral("missing-use"));
        use->setAccessibleName(tr("Use %1 for %2").arg(QFileInfo(entry.offered).fileName(), called));
        use->setToolTip(tr("Its content differs; the service shows it from now on (can be undone)"));
        connect(use, &QPushButton::clicked, this,
                [this, entry] { m_session.missing().use(entry.fact.name, entry.offered); });
        line->addWidget(use);
    }
    auto* choose = new QPushButton(tr("Choose\u2026"), sheet);
    choose->setObjectName(QStringLiteral("missing-choose"));
    choose->setAccessibleName(tr("Choose a file for %1").arg(called));
    choose->setToolTip(tr("Choose the file; the others are then looked for beside it"));
    connect(choose, &QPushButton::clicked, this, [this, entry] {
        if (const QString path = m_prompts.pictureToChoose(); !path.isEmpty())
            m_session.missing().use(entry.fact.name, path);
    });
    line->addWidget(choose);
    return sheet;
}

} // namespace mivanta

#include "moc_MissingPanel.cpp"
