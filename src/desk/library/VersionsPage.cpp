// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/VersionsPage.h"
#include "desk/kit/CompareView.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QLocale>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kRevisionRole = Qt::UserRole;
}

VersionsPage::VersionsPage(const Texts& texts, QWidget* parent) : QWidget(parent) {
    m_heading = new QLabel(this);
    m_heading->setFont(textFont(1.5, TextWeight::Bold));
    m_list = new QListWidget(this);
    m_list->setObjectName(texts.prefix + QStringLiteral("version-list"));
    m_list->setAccessibleName(tr("Earlier versions"));
    m_words = new CompareView(this);
    auto* back = new QPushButton(texts.back, this);
    back->setObjectName(texts.prefix + QStringLiteral("history-back"));
    back->setToolTip(tr("Cancel (Esc)"));
    m_keep = new QPushButton(tr("Keep mine"), this);
    m_keep->setObjectName(texts.prefix + QStringLiteral("history-keep"));
    m_keep->setToolTip(texts.keepTip);
    connect(m_keep, &QPushButton::clicked, this, &VersionsPage::keepWanted);
    m_restore = new QPushButton(this);
    m_restore->setObjectName(texts.prefix + QStringLiteral("history-restore"));
    m_restore->setProperty("main", true);
    m_restore->setToolTip(texts.restoreTip);
    connect(m_list, &QListWidget::currentRowChanged, this, [this] {
        m_restore->setEnabled(false);
        if (const auto revision = current())
            Q_EMIT versionWanted(*revision);
    });
    const auto restore = [this] {
        if (m_restore->isEnabled())
            Q_EMIT restoreWanted();
    };
    connect(m_list, &QListWidget::itemActivated, this, restore);
    connect(m_restore, &QPushButton::clicked, this, restore);
    connect(back, &QPushButton::clicked, this, &VersionsPage::left);
    auto* escape = new QShortcut(Qt::Key_Escape, this, back, &QPushButton::click);
    escape->setContext(Qt::WidgetWithChildrenShortcut);

    auto* both = new QHBoxLayout;
    both->setSpacing(spaced(4));
    both->addWidget(m_list, 4);
    both->addWidget(m_words, 12);
    auto* foot = new QHBoxLayout;
    foot->addWidget(back);
    foot->addStretch(1);
    foot->addWidget(m_keep);
    foot->addWidget(m_restore);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(5), spaced(4), spaced(5), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_heading);
    column->addLayout(both, 1);
    column->addLayout(foot);
}

void VersionsPage::start(const QString& heading) {
    m_heading->setText(heading);
    m_list->clear();
    m_list->show();
    m_list->setFocus();
    m_words->showNothing();
    m_keep->hide();
    m_restore->setText(tr("Restore this version"));
    m_restore->setEnabled(false);
}

void VersionsPage::setHeading(const QString& heading) {
    m_heading->setText(heading);
}

void VersionsPage::setVersions(const Result<std::vector<RecordVersion>>& versions, const QString& title) {
    if (!versions || versions->empty()) {
        setHeading(versions ? tr("There is no earlier version of \u201c%1\u201d yet").arg(title)
                            : versions.error().text());
        return;
    }
    for (const RecordVersion& version : *versions) {
        auto* item = new QListWidgetItem(
            QLocale().toString(version.changedAt.toLocalTime(), tr("d MMMM yyyy, HH:mm:ss", "date format")),
            m_list);
        item->setData(kRevisionRole, version.revision);
    }
    m_list->setCurrentRow(0);
}

std::optional<int> VersionsPage::current() const {
    const QListWidgetItem* item = m_list->currentItem();
    return item ? std::optional(item->data(kRevisionRole).toInt()) : std::nullopt;
}

QString VersionsPage::currentText() const {
    const QListWidgetItem* item = m_list->currentItem();
    return item ? item->text() : QString();
}

void VersionsPage::showTwo(const Song& version, const QString& caption, const Song& now,
                           const QString& nowCaption, bool canRestore) {
    m_words->showTwo(version, caption, now, nowCaption);
    m_restore->setEnabled(canRestore);
}

void VersionsPage::showConflict(const Song& theirs, const Song& mine, const QString& mineCaption) {
    m_list->hide();
    m_words->setFocus();
    m_keep->show();
    m_restore->setText(tr("Use the library\u2019s"));
    showTwo(theirs, tr("In the library"), mine, mineCaption, true);
}

} // namespace mivanta

#include "moc_VersionsPage.cpp"
