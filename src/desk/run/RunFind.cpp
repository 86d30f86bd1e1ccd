// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/RunFind.h"
#include "desk/parts/FindPanel.h"
#include "desk/parts/Style.h"
#include <QKeyEvent>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

RunFind::RunFind(Session& session, QWidget* desk) : QFrame(desk), m_session(session) {
    setObjectName(QStringLiteral("run-find"));
    setAutoFillBackground(true);
    setAttribute(Qt::WA_StyledBackground);
    setStyleSheet(QStringLiteral("#run-find { background: %1; border: 1px solid %2; border-radius: 5px }")
                      .arg(night().sheet.name(), night().accent.name()));
    m_find = new FindPanel(session.library(), tr("luk 5 1-11, a title, words\u2026"), FindAll, this);
    m_find->setNight(true);
    m_find->box()->setObjectName(QStringLiteral("run-find-box"));
    m_find->box()->installEventFilter(this);
    auto* hint = new QLabel(tr("Enter makes it next \u00b7 Space then takes it \u00b7 the order goes on "
                               "behind it \u00b7 Esc closes"),
                            this);
    hint->setWordWrap(true);
    hint->setFont(textFont(0.9));
    hint->setStyleSheet(QStringLiteral("color: %1").arg(night().quiet.name()));
    auto* picture = new QPushButton(tr("A &picture\u2026"), this);
    picture->setObjectName(QStringLiteral("run-find-picture"));
    picture->setToolTip(tr("Look at a picture file as next"));
    picture->setAutoDefault(false);
    connect(picture, &QPushButton::clicked, this, [this] {
        close();
        Q_EMIT pictureWanted();
    });
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(3), spaced(3), spaced(3), spaced(3));
    column->setSpacing(spaced(2));
    column->addWidget(m_find, 1);
    column->addWidget(hint);
    column->addWidget(picture, 0, Qt::AlignLeft);
    connect(m_find, &FindPanel::chosen, this, [this](const std::vector<FindPick>& picks) {
        if (picks.empty())
            return;
        const FindPick pick = picks.front();
        close();
        Q_EMIT chosen(pick);
    });
    connect(m_find, &FindPanel::currentChanged, this, &RunFind::countSlides);
    desk->installEventFilter(this);
    hide();
}

void RunFind::open() {
    place();
    show();
    raise();
    m_find->focusBox();
}

void RunFind::close() {
    hide();
    Q_EMIT closed();
}

void RunFind::countSlides() {
    const auto hit = m_find->current();
    if (!hit || !std::holds_alternative<FoundPassage>(*hit))
        return;
    const FindPick pick = *pickOf(*hit);
    m_session.library().words(this, pick, [this, pick](const Result<ItemWords>& words) {
        const auto now = m_find->current();
        if (words && now && pickOf(*now) == pick)
            m_find->setSlideCount(m_session.book().slideCountOf(*words));
    });
}

void RunFind::place() {
    const QRect room = parentWidget()->rect();
    setGeometry(spaced(4), spaced(2), std::min(spaced(150), room.width() * 6 / 10),
                std::min(spaced(120), room.height() / 2));
}

bool RunFind::eventFilter(QObject* watched, QEvent* event) {
    if (watched == parentWidget()) {
        if (event->type() == QEvent::Resize && isVisible())
            place();
        if (event->type() == QEvent::Hide)
            hide(); // another desk: nothing waits here when one comes back
    } else if (event->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        close();
        return true;
    }
    return QFrame::eventFilter(watched, event);
}

} // namespace mivanta
