// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/KeysPanel.h"
#include "desk/kit/Columns.h"
#include "desk/kit/Style.h"
#include <QCoreApplication>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QKeyEvent>
#include <QLabel>
#include <QPushButton>
#include <QTreeWidget>
#include <QVBoxLayout>

namespace mivanta {

namespace {

QString nameOf(RunAction action) {
    for (const RunActionFacts& facts : runActions())
        if (facts.action == action)
            return QCoreApplication::translate("RunKeys", facts.name);
    return {};
}

} // namespace

KeysPanel::KeysPanel(RunKeys& keys, QWidget* parent) : QWidget(parent), m_keys(keys) {
    auto* title = new QLabel(tr("Keys for running"), this);
    title->setFont(textFont(1.5, TextWeight::Bold));
    m_state = new QLabel(this);
    m_state->setObjectName(QStringLiteral("keys-state"));
    m_state->setWordWrap(true);
    makeQuiet(m_state);
    m_list = new QTreeWidget(this);
    m_list->setObjectName(QStringLiteral("run-keys-list"));
    m_list->setAccessibleName(title->text());
    m_list->setHeaderLabels({tr("What is done"), tr("Keys")});
    m_list->setRootIsDecorated(false);
    m_list->setFixedHeight(spaced(64));
    m_list->header()->setSectionResizeMode(QHeaderView::ResizeToContents);
    m_list->installEventFilter(this);
    m_give = new QPushButton(tr("Give it a key"), this);
    m_give->setObjectName(QStringLiteral("keys-give"));
    m_give->setToolTip(tr("The key that is pressed next does what is chosen; it does nothing else any more"));
    m_give->installEventFilter(this);
    m_takeAway = new QPushButton(tr("Remove its keys"), this);
    m_takeAway->setObjectName(QStringLiteral("keys-take-away"));
    m_takeAway->setToolTip(tr("No key does what is chosen"));
    auto* reset = new QPushButton(tr("Restore the usual keys"), this);
    reset->setObjectName(QStringLiteral("keys-reset"));
    reset->setToolTip(tr("Every key does what it did when Mivanta was new"));
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_give);
    buttons->addWidget(m_takeAway);
    buttons->addWidget(reset);
    buttons->addStretch(1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, spaced(3), 0, 0);
    column->setSpacing(spaced(2));
    column->addWidget(title);
    column->addWidget(m_state);
    column->addWidget(m_list);
    column->addLayout(buttons);
    connect(m_list, &QTreeWidget::currentItemChanged, this, [this] { waitFor({}); });
    connect(m_give, &QPushButton::clicked, this, [this] { waitFor(chosen()); });
    connect(m_takeAway, &QPushButton::clicked, this, [this] {
        if (const auto action = chosen())
            for (const Qt::Key key : std::vector<Qt::Key>(m_keys.keysOf(*action)))
                m_keys.takeAway(*action, key);
    });
    connect(reset, &QPushButton::clicked, this, [this] { m_keys.reset(); });
    connect(&m_keys, &RunKeys::changed, this, &KeysPanel::refresh);
    fill();
    waitFor({});
}

void KeysPanel::fill() {
    for (const RunActionFacts& facts : runActions()) {
        auto* row = new QTreeWidgetItem(m_list, {nameOf(facts.action), QString()});
        row->setData(0, Qt::UserRole, int(facts.action));
    }
    refresh();
}

void KeysPanel::refresh() {
    for (int i = 0; i < m_list->topLevelItemCount(); ++i) {
        QTreeWidgetItem* row = m_list->topLevelItem(i);
        row->setText(1, m_keys.textOf(RunAction(row->data(0, Qt::UserRole).toInt())));
    }
}

std::optional<RunAction> KeysPanel::chosen() const {
    const QTreeWidgetItem* row = m_list->currentItem();
    return row ? std::optional(RunAction(row->data(0, Qt::UserRole).toInt())) : std::nullopt;
}

void KeysPanel::waitFor(std::optional<RunAction> action) {
    m_isWaiting = action.has_value();
    m_give->setEnabled(chosen().has_value());
    m_takeAway->setEnabled(chosen().has_value());
    m_state->setText(
        m_isWaiting
            ? tr("Press the key for \u201c%1\u201d now; Esc cancels.").arg(nameOf(*action))
            : tr("One key each, without Ctrl or Alt. Digits and the letters of parts (C, V, B \u2026) that "
                 "do nothing here look at items and parts."));
}

void KeysPanel::take(Qt::Key key) {
    const RunAction action = *chosen();
    const auto before = m_keys.give(action, key);
    waitFor({});
    if (before)
        m_state->setText(tr("%1 no longer does \u201c%2\u201d.").arg(RunKeys::textOf(key), nameOf(*before)));
}

bool KeysPanel::eventFilter(QObject* watched, QEvent* event) {
    if (!m_isWaiting || (event->type() != QEvent::KeyPress && event->type() != QEvent::ShortcutOverride))
        return QWidget::eventFilter(watched, event);
    const auto key = Qt::Key(static_cast<QKeyEvent*>(event)->key());
    if (event->type() == QEvent::ShortcutOverride) {
        event->accept(); // it is meant for here, whatever else it does
        return true;
    }
    const auto action = chosen();
    const bool isGivenUp = key == Qt::Key_Escape && action != RunAction::StopLooking;
    if (isGivenUp)
        waitFor({});
    else if (RunKeys::canBeGiven(key))
        take(key);
    return true;
}

} // namespace mivanta

#include "moc_KeysPanel.cpp"
