// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/RunFind.h"
#include "desk/find/FindPanel.h"
#include "desk/kit/Style.h"
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace mivanta {

RunFind::RunFind(const Tools& tools, QWidget* desk)
    : RunOverlay(QStringLiteral("run-find"), {150, 120}, desk),
      m_session(tools.session) {
    m_find = new FindPanel(m_session.library(), tr("luk 5 1-11, a title, words\u2026"), FindAll, this);
    m_find->setNight(true);
    m_find->setMedia(tools.mediumPictures, tools.session.folderFinder());
    m_find->box()->setObjectName(QStringLiteral("run-find-box"));
    watch(m_find->box());
    auto* hint = new QLabel(tr("Enter makes it next \u00b7 Space then takes it \u00b7 the order goes on "
                               "after it \u00b7 Esc closes"),
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
        // A copy: closing forgets what was found.
        const FindPick pick = picks.front(); // NOLINT(performance-unnecessary-copy-initialization)
        close();
        Q_EMIT chosen(pick);
    });
    connect(m_find, &FindPanel::currentChanged, this, &RunFind::countSlides);
    connect(m_find, &FindPanel::refilled, this, &RunFind::countSlides);
}

void RunFind::open() {
    showOver();
    m_find->focusBox();
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

} // namespace mivanta

#include "moc_RunFind.cpp"
