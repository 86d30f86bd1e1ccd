// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/run/Monitors.h"
#include "core/run/Output.h"
#include "core/run/Placement.h"
#include "session/work/Worker.h"
#include "store/ThisComputer.h"
#include <functional>
#include <map>

namespace mivanta {

class PlayerClient;
class RunController;
class SlideBook;

/// The outputs of this computer: what they show and how they stand, as the slide book and the player are told
/// and the disk keeps it; and the screens that they are on, as the player says. GUI thread.
class Outputs : public QObject {
    Q_OBJECT
public:
    Outputs(SlideBook& book, RunController& run, PlayerClient& player, ThisComputer computer,
            LibraryAddress library, QObject* parent = nullptr);

    /// Reads them from the disk, then loaded(); the usual ones where there are none.
    void load();
    [[nodiscard]] bool isLoaded() const { return m_isLoaded; }

    [[nodiscard]] const std::vector<Output>& all() const;
    [[nodiscard]] const std::vector<Monitor>& monitors() const { return m_monitors; }
    [[nodiscard]] const std::vector<Placement>& placements() const { return m_placements; } ///< by output

    void change(const Output& output);
    /// One more, as the usual one of its kind, with a name of its own, which is returned.
    QString add(OutputKind kind);
    /// The last one stays. It can be put back as long as that is offered.
    void remove(const QString& name);
    /// False when it is empty or another output's. What the output shows stays on its screen.
    bool rename(const QString& from, const QString& to);
    /// The monitor that the desks are on, by its system name.
    void setDeskMonitor(const QString& name);

Q_SIGNALS:
    void loaded();
    void placesChanged();
    void problem(const mivanta::Error& error);
    void notice(const QString& text);
    void warning(const QString& text);
    /// Something was done that can be taken back.
    void offered(const QString& text, const QString& action, const std::function<void()>& act);

private:
    void set(const std::vector<Output>& outputs);
    void putBack(const Output& removed, std::ptrdiff_t place);
    void takePlaces(const std::vector<Monitor>& monitors, const std::vector<Placement>& placements);
    void tellMove(const Output& output, const Placement& before, const Placement& now);

    SlideBook& m_book;
    RunController& m_run;
    PlayerClient& m_player;
    const ThisComputer m_computer;
    const LibraryAddress m_library;
    Worker m_files{QStringLiteral("outputs")};
    std::vector<Monitor> m_monitors;
    std::vector<Placement> m_placements;
    std::map<QString, Placement> m_placedLast; ///< by output
    QString m_deskMonitor;
    bool m_isLoaded = false;
};

} // namespace mivanta
