// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine/SecondWindow.h"
#include "link/Channel.h"
#include "link/Detached.h"
#include "store/Journal.h"
#include "store/LibraryClaim.h"

namespace mivanta {

SecondWindow::SecondWindow(const QString& program, const QString& libraryFolder, QObject* parent)
    : QObject(parent),
      m_program(program),
      m_libraryFolder(libraryFolder) {}

void SecondWindow::open(const DoorRequest& request) {
    const QString session = sessionFolder(m_libraryFolder);
    QStringList arguments{QStringLiteral("--library"), m_libraryFolder, QStringLiteral("--second")};
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
        [folder = m_libraryFolder] {
            if (LibraryClaim::isTaken(folder, kSecondWindow)) // it is open, here or on another computer
                return false;
            const auto entry = Journal(folder, kSecondWindow).read();
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
