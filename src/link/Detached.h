// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QStringList>

namespace mivanta {

/// Starts a program that outlives this one and shares nothing with it: what it says goes to the log file,
/// not to this program's output. False when it cannot be started.
[[nodiscard]] bool startDetached(const QString& program, const QStringList& arguments,
                                 const QString& logFile);

} // namespace mivanta
