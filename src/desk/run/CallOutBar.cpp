// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/CallOutBar.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMenu>
#include <QToolButton>

namespace mivanta {

namespace {
constexpr int kStays[]{0, 10, 20, 60, 180}; // seconds
}

CallOutBar::CallOutBar(Session& session, const RunKeys& keys, QWidget* parent)
    : QWidget(parent),
      m_session(session),
      m_keys(keys) {
    m_text = new QLineEdit(this);
    m_text->setObjectName(QStringLiteral("call-out"));
    m_text->setAccessibleName(tr("Call-out"));
    m_text->setToolTip(
        tr("A short message over the bottom of the outputs. Enter shows it, Tab goes to the next "
           "blank, Esc leaves it"));
    m_text->installEventFilter(this);
    m_menu = new QMenu(this);
    m_menu->setObjectName(QStringLiteral("call-out-menu"));
    m_choose = new QToolButton(this);
    m_choose->setObjectName(QStringLiteral("call-out-choose"));
    m_choose->setText(QStringLiteral("\u25be"));
    m_choose->setAccessibleName(tr("Saved messages, where and how long"));
    m_choose->setToolTip(m_choose->accessibleName());
    m_choose->setPopupMode(QToolButton::InstantPopup);
    m_choose->setMenu(m_menu);
    m_choose->setFocusPolicy(Qt::NoFocus);
    m_show = new QToolButton(this);
    m_show->setObjectName(QStringLiteral("call-out-show"));
    m_show->setFocusPolicy(Qt::NoFocus);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(spaced(1));
    row->addWidget(m_text, 1);
    row->addWidget(m_choose);
    row->addWidget(m_show);
    connect(m_menu, &QMenu::aboutToShow, this, &CallOutBar::fillMenu);
    connect(m_show, &QToolButton::clicked, this, [this] {
        if (m_session.run().state().covers.callOut)
            m_session.run().covers().endCallOut();
        else
            showMessage();
        Q_EMIT done();
    });
    connect(&m_session.run(), &RunController::changed, this, &CallOutBar::refresh);
    connect(&m_keys, &RunKeys::changed, this, &CallOutBar::refresh);
    refresh();
}

void CallOutBar::refresh() {
    const auto& callOut = m_session.run().state().covers.callOut;
    const QString write = m_keys.textOf(RunAction::CallOut);
    const QString end = m_keys.textOf(RunAction::EndCallOut);
    m_show->setText(callOut ? tr("Take it off") : tr("Show"));
    m_show->setToolTip(callOut ? tr("Take the message off the outputs (%1)").arg(end)
                               : tr("Show the message on the outputs (Enter)"));
    m_text->setPlaceholderText(callOut ? tr("On the outputs: %1").arg(callOut->text)
                                       : tr("Call-out: a message over the screens (%1)").arg(write));
}

void CallOutBar::fillMenu() {
    m_menu->clear();
    const RunSettings settings = m_session.run().settings();
    for (const QString& message : settings.callOuts) {
        QString shown = message;
        m_menu->addAction(shown.replace(QLatin1String("&"), QLatin1String("&&")), this,
                          [this, message] { take(message); });
    }
    if (settings.callOuts.isEmpty())
        m_menu->addAction(tr("No message is saved yet; Setup has room for them"))->setEnabled(false);
    m_menu->addSection(tr("On"));
    for (const Output& output : m_session.outputs().all()) {
        QAction* action = m_menu->addAction(output.label());
        action->setObjectName(QStringLiteral("call-out-on-") + output.name);
        action->setCheckable(true);
        action->setChecked(m_outputs.empty() || m_outputs.contains(output.name));
        connect(action, &QAction::triggered, this, [this, name = output.name](bool on) {
            if (m_outputs.empty())
                for (const Output& each : m_session.outputs().all())
                    m_outputs.insert(each.name);
            if (on)
                m_outputs.insert(name);
            else
                m_outputs.erase(name);
            if (m_outputs.size() == m_session.outputs().all().size())
                m_outputs.clear(); // on all of them, also on those to come
        });
    }
    m_menu->addSection(tr("For"));
    for (const int seconds : kStays) {
        QAction* action = m_menu->addAction(seconds == 0   ? tr("Until you take it off")
                                            : seconds < 60 ? tr("%n seconds", nullptr, seconds)
                                                           : tr("%1 min").arg(seconds / 60));
        action->setObjectName(QStringLiteral("call-out-for-%1").arg(seconds));
        action->setCheckable(true);
        action->setChecked(seconds == settings.callOutSeconds);
        connect(action, &QAction::triggered, this, [this, seconds] {
            RunSettings changed = m_session.run().settings();
            changed.callOutSeconds = seconds;
            m_session.changeRunSettings(changed);
        });
    }
}

void CallOutBar::take(const QString& message) {
    m_text->setText(message);
    m_text->setFocus();
    if (!goToBlank(0))
        m_text->end(false);
}

/// Chooses the blank at or behind a place, so that what is typed takes its place.
bool CallOutBar::goToBlank(int from) {
    for (const auto& [at, length] : blanksIn(m_text->text()))
        if (at >= from) {
            m_text->setSelection(at, length);
            return true;
        }
    return false;
}

void CallOutBar::write() {
    m_text->setFocus();
    m_text->selectAll();
}

void CallOutBar::showMessage() {
    if (!blanksIn(m_text->text()).empty()) { // half a message helps nobody
        m_text->setFocus();
        goToBlank(0);
        return;
    }
    m_session.orders().obey(order::CallOut{m_text->text(), m_outputs});
    m_text->clear();
}

bool CallOutBar::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() != QEvent::KeyPress)
        return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    switch (key->key()) {
    case Qt::Key_Return:
    case Qt::Key_Enter:
        showMessage();
        if (m_text->text().isEmpty())
            Q_EMIT done();
        return true;
    case Qt::Key_Escape:
        Q_EMIT done();
        return true;
    case Qt::Key_Tab:
        return goToBlank(m_text->cursorPosition()) || goToBlank(0);
    case Qt::Key_Down:
        m_choose->showMenu();
        return true;
    default:
        break;
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace mivanta

#include "moc_CallOutBar.cpp"
