// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/NoticeBar.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>

namespace mivanta {

namespace {
constexpr qint64 kNewsMs = 30'000;
}

NoticeBar::NoticeBar(QWidget* parent) : QFrame(parent) {
    setObjectName(QStringLiteral("notices"));
    m_label = new QLabel(this);
    m_label->setWordWrap(true);
    m_label->setTextFormat(Qt::PlainText);
    m_label->setTextInteractionFlags(Qt::TextSelectableByMouse);
    m_act = new QPushButton(this);
    m_act->setObjectName(QStringLiteral("notice-action"));
    m_act->setFocusPolicy(Qt::TabFocus);
    connect(m_act, &QPushButton::clicked, this, [this] {
        const Notice notice = m_waiting.takeFirst();
        showNext();
        notice.act();
    });
    auto* away = new QPushButton(tr("Dismiss"), this);
    away->setObjectName(QStringLiteral("put-notice-away"));
    away->setToolTip(tr("Dismiss this message"));
    away->setFocusPolicy(Qt::TabFocus);
    connect(away, &QPushButton::clicked, this, &NoticeBar::dismiss);
    connect(&m_newsIsOld, &DueTimer::due, this, &NoticeBar::dismiss);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(spaced(4), spaced(1.5), spaced(4), spaced(1.5));
    row->addWidget(m_label, 1);
    row->addWidget(m_act);
    row->addWidget(away);
    hide();
}

void NoticeBar::tell(const QString& text, Weight weight) {
    for (const Notice& notice : std::as_const(m_waiting))
        if (notice.text == text)
            return;
    add({text, weight});
}

void NoticeBar::offer(const QString& text, const QString& action, std::function<void()> act) {
    m_waiting.removeIf([&](const Notice& notice) { return notice.text == text; });
    add({text, Weight::News, action, std::move(act)});
}

void NoticeBar::add(Notice notice) {
    // The newest is seen first; good news makes way for it, problems wait behind it.
    m_waiting.removeIf([](const Notice& each) { return each.weight == Weight::News; });
    m_waiting.prepend(std::move(notice));
    showNext();
}

void NoticeBar::dismiss() {
    m_waiting.removeFirst();
    showNext();
}

QString NoticeBar::text() const {
    return m_waiting.isEmpty() ? QString() : m_waiting.first().text;
}

void NoticeBar::showNext() {
    setVisible(!m_waiting.isEmpty());
    m_newsIsOld.stop();
    if (m_waiting.isEmpty())
        return;
    const Notice& notice = m_waiting.first();
    const QColor ground = notice.weight == Weight::Problem ? day().warning : day().accent;
    setStyleSheet(QStringLiteral("#notices { background: %1; } #notices QLabel { color: white; }"
                                 "#notices QPushButton { color: white; border: 1px solid white; "
                                 "border-radius: 4px; padding: 3px 10px; }")
                      .arg(ground.name()));
    m_label->setText(notice.text);
    m_act->setText(notice.action);
    m_act->setVisible(!notice.action.isEmpty());
    if (notice.weight == Weight::News && notice.action.isEmpty())
        m_newsIsOld.start(kNewsMs);
}

} // namespace mivanta

#include "moc_NoticeBar.cpp"
