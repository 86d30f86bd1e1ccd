// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/EmptyState.h"
#include "desk/kit/Style.h"
#include <QEvent>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

EmptyState::EmptyState(const QString& title, const QString& text, QWidget* over, bool isNight)
    : QWidget(over) {
    setObjectName(QStringLiteral("empty-state"));
    setAutoFillBackground(true);
    const Palette& colours = isNight ? night() : day();
    QPalette own = palette();
    own.setColor(QPalette::Window, colours.ground);
    setPalette(own);
    const auto label = [&](const QString& words, double size, TextWeight weight, const QColor& colour) {
        auto* made = new QLabel(words, this);
        made->setFont(textFont(size, weight));
        made->setAlignment(Qt::AlignCenter);
        made->setWordWrap(true);
        made->setStyleSheet(QStringLiteral("color: %1").arg(colour.name()));
        return made;
    };
    m_buttons = new QVBoxLayout;
    m_buttons->setSpacing(spaced(2));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(12), spaced(4), spaced(12), spaced(4));
    column->setSpacing(spaced(2));
    column->addStretch(2);
    column->addWidget(label(title, 1.4, TextWeight::Bold, colours.text));
    column->addWidget(label(text, 1.0, TextWeight::Regular, colours.quiet));
    column->addSpacing(spaced(2));
    column->addLayout(m_buttons);
    column->addStretch(3);
    over->installEventFilter(this);
    hide();
}

void EmptyState::addAction(const QString& name, const QString& text, const QString& tip,
                           const std::function<void()>& work) {
    auto* button = new QPushButton(text, this);
    button->setObjectName(name);
    button->setToolTip(tip);
    button->setProperty("main", !m_hasAction);
    m_hasAction = true;
    button->setMinimumWidth(spaced(60));
    connect(button, &QPushButton::clicked, this, work);
    m_buttons->addWidget(button, 0, Qt::AlignHCenter);
}

bool EmptyState::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Resize)
        cover();
    return QWidget::eventFilter(watched, event);
}

void EmptyState::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    cover();
    raise();
}

void EmptyState::cover() {
    setGeometry(parentWidget()->rect());
}

} // namespace mivanta

#include "moc_EmptyState.cpp"
