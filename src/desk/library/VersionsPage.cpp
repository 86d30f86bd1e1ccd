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

VersionsPage::VersionsPage(const QString& prefix, const QString& backText, const QString& restoreTip,
                           QWidget* parent)
    : QWidget(parent) {
    m_heading = new QLabel(this);
    m_heading->setFont(textFont(1.5, TextWeight::Bold));
    m_list = new QListWidget(this);
    m_list->setObjectName(prefix + QStringLiteral("version-list"));
    m_list->setAccessibleName(tr("Earlier versions"));
    m_words = new CompareView(this);
    auto* back = new QPushButton(backText, this);
    back->setObjectName(prefix + QStringLiteral("history-back"));
    back->setToolTip(tr("Cancel (Esc)"));
    m_restore = new QPushButton(this);
    m_restore->setObjectName(prefix + QStringLiteral("history-restore"));
    m_restore->setProperty("main", true);
    m_restore->setToolTip(restoreTip);
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
    m_foot = new QHBoxLayout;
    m_foot->addWidget(back);
    m_foot->addStretch(1);
    m_foot->addWidget(m_restore);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(5), spaced(4), spaced(5), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_heading);
    column->addLayout(both, 1);
    column->addLayout(m_foot);
}

void VersionsPage::start(const QString& heading) {
    m_heading->setText(heading);
    m_list->clear();
    m_list->show();
    m_list->setFocus();
    m_words->showNothing();
    m_restore->setText(tr("Restore this version"));
    m_restore->setEnabled(false);
}

void VersionsPage::setHeading(const QString& heading) {
    m_heading->setText(heading);
}

void VersionsPage::setVersions(const std::vector<std::pair<int, QDateTime>>& versions) {
    for (const auto& [revision, changedAt] : versions) {
        auto* item = new QListWidgetItem(
            QLocale().toString(changedAt.toLocalTime(), tr("d MMMM yyyy, HH:mm:ss", "date format")), m_list);
        item->setData(kRevisionRole, revision);
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

void VersionsPage::setRestoreText(const QString& text) {
    m_restore->setText(text);
}

void VersionsPage::hideList() {
    m_list->hide();
    m_words->setFocus();
}

void VersionsPage::addButton(QPushButton* button) {
    m_foot->insertWidget(m_foot->count() - 1, button);
}

} // namespace mivanta
