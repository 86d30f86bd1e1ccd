// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"

namespace mivanta {

/// Starts the desks again when they die. When they die right after starting several times in a row, it
/// stops: the picture stays up, and desks that are started by hand take over.
class DeskKeeper {
public:
    explicit DeskKeeper(QString logFile) : m_logFile(std::move(logFile)) {}
    void arrived(const message::Hello& hello);
    /// Returns true when the desks were started again.
    bool died();

private:
    QString m_logFile;
    message::Hello m_hello;
    qint64 m_arrivedAt = 0; ///< of Clock::steady()
    int m_shortLives = 0;
};

} // namespace mivanta
