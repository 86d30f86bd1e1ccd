// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"
#include "session/work/Worker.h"

namespace mivanta {

class PlayerClient;

/// What is recorded of outputs and live inputs, by the player: it goes on when these desks are gone. When the
/// player dies, what it has recorded is whole, and another file goes on where it ended. GUI thread.
class Recordings : public QObject {
    Q_OBJECT
public:
    explicit Recordings(PlayerClient& player, QObject* parent = nullptr);

    /// Where files are put; empty = "Mivanta" among the films of this computer's user.
    void setFolder(const QString& folder) { m_folder = folder; }
    [[nodiscard]] QString folder() const;

    struct What {
        QString output;    ///< its name; empty = the live input
        LiveInputId input; ///< null = the output
        QString name;      ///< for people, and in the name of the file
        bool isHeard = true;
    };
    /// Into a file of its own, named by the time and what it is: "2026-10-04 10-30 Hall.mkv".
    void begin(const What& what);
    void end(RecordingId id);
    /// Those that run, in the order in which they began.
    [[nodiscard]] const std::vector<message::Recording>& running() const { return m_running; }
    /// True while this output, or this input, is recorded.
    [[nodiscard]] bool isRecorded(const QString& output, LiveInputId input) const;
    /// "recording 12:34"; empty when nothing is recorded. Of the longest.
    [[nodiscard]] QString text() const;

Q_SIGNALS:
    void changed();
    void notice(const QString& text);
    void problem(const mivanta::Error& error);

private:
    void take(const message::Recording& recording);
    void goOn();

    PlayerClient& m_player;
    QString m_folder;
    Worker m_files{QStringLiteral("recordings")};
    std::vector<message::Recording> m_running;
    bool m_isPlayerLost = false;
};

/// "12:34 · 1.2 GB", "is about to begin"
[[nodiscard]] QString recordingText(const message::Recording& recording);

} // namespace mivanta
