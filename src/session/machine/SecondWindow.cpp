// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine/SecondWindow.h"
#include "link/Channel.h"
#include "link/Detached.h"
#include "store/LibraryClaim.h"

namespace mivanta {

SecondWindow::SecondWindow(const QString& program, QStringList arguments, LibraryAddress library,
                           const ThisComputer& computer, QObject* parent)
    : QObject(parent),
      m_program(program),
      m_arguments(std::move(arguments)),
      m_library(std::move(library)),
      m_journal(computer.unsavedFolder(m_library), kSecondWindow, m_library.folder()) {}

void SecondWindow::open(const DoorRequest& request) {
    const QString session = sessionFolder(m_library.folder());
    QStringList arguments = m_arguments + QStringList{QStringLiteral("--second")};
    arguments += argumentsFor(request);
    m_worker.run(
        this,
        [door = Door::pathOf(session, true), request, arguments, program = m_program, session] {
            return Door::knock(door, request) ||
                   startDetached(program, arguments, session + QStringLiteral("/second.log"));
        },
        [this](bool isThere) {
            if (!isThere)
                Q_EMIT problem({tr("The second window could not be opened"), m_program,
                                tr("Nothing was changed. Start Mivanta again, or install it anew.")});
        });
}

void SecondWindow::reopenLeft() {
    m_worker.run(
        this,
        [folder = m_library.folder(), journal = m_journal] {
            if (LibraryClaim::isTaken(folder, kSecondWindow)) // it is open, here or on another computer
                return false;
            const auto entry = journal.read();
            return entry && *entry && (*entry)->unsaved;
        },
        [this](bool hasWork) {
            if (!hasWork)
                return;
            Q_EMIT notice(
                tr("The second window was not closed last time; it is open again with its unsaved work."));
            open({});
        });
}

} // namespace mivanta

#include "moc_SecondWindow.cpp"
