// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/AddMenu.h"
#include "desk/kit/Prompts.h"
#include "desk/kit/Style.h"
#include "session/Session.h"
#include <QAction>
#include <QMenu>

namespace mivanta {

AddMenu::AddMenu(Session& session, Prompts& prompts, QAction* heading, QWidget* parent)
    : QToolButton(parent),
      m_session(session) {
    setObjectName(QStringLiteral("add-menu"));
    setIcon(mivanta::icon(QStringLiteral("plus"), day().text));
    setIconSize(QSize(spaced(4.5), spaced(4.5)));
    setAccessibleName(tr("Add something else"));
    setToolTip(tr("Add a heading, pictures, a note, a pause or a countdown at the mark (Ctrl+Shift+A)"));
    setShortcut(QKeySequence(QStringLiteral("Ctrl+Shift+A")));
    setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(this);
    menu->setToolTipsVisible(true);
    menu->addAction(heading);
    setMenu(menu);
    addFiles(prompts);
    addLoops(prompts);
    auto* inputs = menu->addMenu(tr("A &live picture"));
    inputs->setObjectName(QStringLiteral("add-live"));
    connect(inputs, &QMenu::aboutToShow, this, [this, inputs] { fillLive(inputs); });
    addMoments();
}

void AddMenu::add(const char* name, const QString& text, const QString& tip,
                  const std::function<void()>& work) {
    QAction* action = menu()->addAction(text, this, work);
    action->setObjectName(QLatin1String(name));
    action->setToolTip(tip);
}

void AddMenu::addFiles(Prompts& prompts) {
    add("add-pictures", tr("&Pictures\u2026"), tr("A picture, or a set of several that come one by one"),
        [this, &prompts] { Q_EMIT filesWanted(prompts.picturesToChoose()); });
    add("add-films", tr("&Films\u2026"), tr("An item for each, played with its sound"),
        [this, &prompts] { Q_EMIT filesWanted(prompts.filmsToChoose()); });
    add("add-music", tr("&Music\u2026"),
        tr("One piece, or several that follow each other, over the backdrop"),
        [this, &prompts] { Q_EMIT filesWanted(prompts.soundsToChoose()); });
}

void AddMenu::addLoops(Prompts& prompts) {
    add("add-loop", tr("A &loop"), tr("Goes round by itself through what is put into it, with an end"),
        [this] { Q_EMIT loopWanted(); });
    add("add-loop-folder", tr("A loop of a &folder\u2026"),
        tr("The pictures and films of a folder go round, 7 s each"), [this, &prompts] {
            if (const QString folder = prompts.folderOfLoop(); !folder.isEmpty())
                Q_EMIT loopFolderWanted(folder);
        });
    add("add-notice", tr("A notice\u2026"),
        tr("A slide made here from a title, a time and a place, kept under Texts"),
        [this] { Q_EMIT noticeWanted(); });
}

/// An entry for each live input of this computer.
void AddMenu::fillLive(QMenu* inputs) {
    inputs->clear();
    for (const LiveInput& input : m_session.liveInputs().all()) {
        LiveItem item;
        item.input = input.id;
        item.caption = input.name;
        inputs->addAction(input.name, this, [this, item] { Q_EMIT itemWanted(item); });
    }
    if (!inputs->isEmpty())
        inputs->addSeparator();
    inputs->addAction(tr("Set up a camera, a screen or an address\u2026"), this, &AddMenu::liveSetupWanted);
}

void AddMenu::addMoments() {
    add("add-note", tr("A &note for the operator"), tr("Read on the Run desk only"),
        [this] { Q_EMIT momentWanted(NoteItem()); });
    add("add-slot", tr("A place to &fill"), tr("To be chosen later; Find fills it while it is chosen"),
        [this] {
            Q_EMIT momentWanted(SlotItem{tr("To be chosen"), std::nullopt});
        });
    add("add-list", tr("&Lines from an e-mail or a list\u2026"),
        tr("Several items at once, matched with songs, passages and texts"), [this] { Q_EMIT listWanted(); });
    add("add-pause", tr("A pa&use"), tr("The backdrop without words, for silence or something played"),
        [this] { Q_EMIT momentWanted(PauseItem{tr("Quiet time")}); });
    add("add-countdown", tr("A &countdown"), tr("To a time of day, or for a while"), [this] {
        CountdownItem countdown{tr("We begin in"), std::nullopt};
        if (const QDateTime& start = m_session.document().service().start; start.isValid())
            countdown.to = start.time();
        Q_EMIT momentWanted(countdown);
    });
}

} // namespace mivanta

#include "moc_AddMenu.cpp"
