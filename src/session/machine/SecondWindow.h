// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "session/machine/Door.h"
#include "session/work/Worker.h"
#include "store/Journal.h"
#include "store/ThisComputer.h"

namespace mivanta {

/// What its unsaved work is kept as.
inline constexpr QLatin1StringView kSecondWindow("second");

/// The window that only prepares, beside the one that runs: a process of its own. GUI thread.
class SecondWindow : public QObject {
    Q_OBJECT
public:
    /// `program`: this one.
    /// `arguments`: with which this program is started for the same library and computer.
    SecondWindow(const QString& program, QStringList arguments, LibraryAddress library,
                 const ThisComputer& computer, QObject* parent = nullptr);

    /// Has it do that; starts it when it is not there.
    void open(const DoorRequest& request);
    /// One that died left its unsaved work behind: it comes back.
    void reopenLeft();

Q_SIGNALS:
    void problem(const mivanta::Error& error);
    void notice(const QString& text);

private:
    const QString m_program;
    const QStringList m_arguments;
    const LibraryAddress m_library;
    const Journal m_journal;
    Worker m_worker{QStringLiteral("second window")}; // for machines
};

} // namespace mivanta
