// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/window/OpeningBar.h"
#include "desk/check/DifferencesPanel.h"
#include "desk/kit/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>

namespace mivanta {

OpeningBar::OpeningBar(Session& session, QWidget* parent) : QFrame(parent), m_session(session) {
    setObjectName(QStringLiteral("opening-bar"));
    setStyleSheet(QStringLiteral("#opening-bar { background: %1; border-left: 5px solid %2; }")
                      .arg(day().chosen.name(), day().marker.name()));
    m_text = new QLabel(this);
    m_text->setWordWrap(true);
    auto* look = new QPushButton(tr("Show them"), this);
    look->setObjectName(QStringLiteral("opening-look"));
    look->setToolTip(tr("Go to the Check desk, which lists them one by one"));
    auto* later = new QPushButton(tr("Later"), this);
    later->setObjectName(QStringLiteral("opening-later"));
    later->setToolTip(tr("Dismiss this message; the Check desk keeps the list"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(spaced(4), spaced(1.5), spaced(4), spaced(1.5));
    row->setSpacing(spaced(2));
    row->addWidget(m_text, 1);
    row->addWidget(look);
    row->addWidget(later);
    connect(look, &QPushButton::clicked, this, &OpeningBar::lookWanted);
    connect(later, &QPushButton::clicked, this, &OpeningBar::putAway);
    connect(&m_session.document(), &ServiceDocument::opened, this, [this] { m_isOpening = true; });
    const auto isOver = [this] { m_isOpening = m_isOpening && isVisible(); }; // what comes later is no news
    connect(&m_session.document().undoStack(), &QUndoStack::indexChanged, this, isOver);
    connect(&m_session.library(), &LibraryClient::changed, this, isOver);
    connect(&m_session.differences(), &Differences::changed, this, &OpeningBar::refresh);
    connect(&m_session.missing(), &MissingFiles::changed, this, &OpeningBar::refresh);
    hide();
}

void OpeningBar::putAway() {
    m_isOpening = false;
    hide();
}

void OpeningBar::refresh() {
    QStringList facts;
    if (const auto& all = m_session.differences().all(); !all.empty())
        facts << differencesText(all);
    if (const auto missing = m_session.missing().all().size(); missing > 0)
        facts << tr("Files that are not on this computer: %1.").arg(missing);
    m_text->setText(facts.join(u' '));
    setVisible(m_isOpening && !facts.isEmpty());
}

} // namespace mivanta

#include "moc_OpeningBar.cpp"
