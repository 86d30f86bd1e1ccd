// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/AutoAdvance.h"
#include "desk/app/Battery.h"
#include "desk/app/Contrasts.h"
#include "desk/app/Differences.h"
#include "desk/app/Door.h"
#include "desk/app/ItemSounds.h"
#include "desk/app/LibraryClient.h"
#include "desk/app/MissingFiles.h"
#include "desk/app/OnScreen.h"
#include "desk/app/RunOnly.h"
#include "desk/app/ServiceDocument.h"
#include "desk/app/ServiceReadings.h"
#include "desk/app/SlideBook.h"
#include "desk/app/TakeLog.h"
#include "link/PlayerClient.h"

namespace mivanta {

/// Its unsaved work's name, see LibraryClaim.
inline constexpr QLatin1StringView kSecondWindow("second");

/// Everything behind the desks that has no widgets: the library, the service, its slides, the run, the
/// player.
class Session : public QObject {
    Q_OBJECT
public:
    struct Options {
        QString libraryFolder;
        QString serviceFile; ///< to open; empty = the last one
        bool startOnRun = false;
        QString program; ///< this program, for the player to start it again
        QString playerProgram;
        /// A window that only prepares, beside the one that runs: it starts no player, and keeps its unsaved
        /// work apart.
        bool isSecond = false;
        /// Of its unsaved work in the library's folder, see LibraryClaim; empty = the usual one's.
        QString unsavedName{};
        QString otherComputer{}; ///< that has the library open, too; "?" = it does not say its name
    };

    explicit Session(Options options, QObject* parent = nullptr);

    /// Opens the library, finds or starts the player, takes up the service; all of it in the background.
    void start();
    /// A clean end: the player ends, too.
    void quit();
    /// The desktop is about to end: what is not saved is on the disk when this returns, and comes back with
    /// the next start.
    void keepForNextTime();

    [[nodiscard]] bool isSecond() const { return m_options.isSecond; }
    /// What unsaved work of a kind ("song") is kept as.
    [[nodiscard]] QString unsavedName(const QString& kind) const;
    /// Has the second window do that; starts it when it is not there.
    void openSecondWindow(const DoorRequest& request);
    /// Begins with the service in the file, never saved; the file is removed when it was put there for that.
    void takeHandedOver(const QString& path);

    [[nodiscard]] LibraryClient& library() { return m_library; }
    [[nodiscard]] ServiceDocument& document() { return m_document; }
    [[nodiscard]] MissingFiles& missing() { return m_missing; }
    [[nodiscard]] Differences& differences() { return m_differences; }
    [[nodiscard]] SlideBook& book() { return m_book; }
    [[nodiscard]] RunController& run() { return m_run; }
    [[nodiscard]] OnScreen& onScreen() { return m_onScreen; }
    [[nodiscard]] AutoAdvance& advance() { return m_advance; }
    [[nodiscard]] ItemSounds& sounds() { return m_sounds; }
    [[nodiscard]] Contrasts& contrasts() { return m_contrasts; }
    [[nodiscard]] ServiceReadings& readings() { return m_readings; }
    [[nodiscard]] RunOnly& runOnly() { return m_runOnly; }
    [[nodiscard]] PlayerClient& player() { return m_player; }

    [[nodiscard]] const std::vector<Output>& outputs() const { return m_book.outputs(); }
    [[nodiscard]] const std::vector<Monitor>& monitors() const { return m_monitors; }
    [[nodiscard]] const std::vector<Placement>& placements() const { return m_placements; }
    void changeOutput(const Output& output);
    /// One more, as the usual one of its kind, with a name of its own, which is returned.
    QString addOutput(OutputKind kind);
    /// The last one stays. It can be put back as long as that is offered.
    void removeOutput(const QString& name);
    /// False when it is empty or another output's. What the output shows stays on its screen.
    bool renameOutput(const QString& from, const QString& to);
    void changeRunSettings(const RunSettings& settings);
    /// The monitor that the desks are on, by its system name.
    void setDeskMonitor(const QString& name);

Q_SIGNALS:
    void ready(const QString& desk); ///< the service is there; the desk to show first, or empty for the usual
    void placesChanged();
    void problem(const mivanta::Error& error);
    void notice(const QString& text);
    void warning(const QString& text);
    /// Good news with something that can be done about it.
    void offered(const QString& text, const QString& action, const std::function<void()>& act);
    void playerRefused();
    void mediaArrived(); ///< pictures and fonts that were missing are there

private:
    void loadFonts();
    void setOutputs(const std::vector<Output>& outputs);
    void takePlaces(const std::vector<Monitor>& monitors, const std::vector<Placement>& placements);
    void loadThemes();
    void loadMediaTitles();
    void bringInPacked(const QString& path);
    void tellMediaArrived();
    void takeUpService();
    void noteSung();
    void serviceIsThere(bool hasUnsavedWork);
    void lookForSecondWindow();
    void tellOther();
    void tellBattery(const BatteryState& state);

    Options m_options;
    LibraryClient m_library;
    ServiceDocument m_document;
    MissingFiles m_missing;
    Differences m_differences{m_document, m_library};
    SlideBook m_book;
    Contrasts m_contrasts;
    ServiceReadings m_readings{m_book, m_contrasts};
    PlayerClient m_player;
    RunController m_run;
    OnScreen m_onScreen{m_run, m_player};
    AutoAdvance m_advance{m_run, m_document};
    ItemSounds m_sounds{m_run, m_document, m_player};
    TakeLog m_takes{m_run, m_document, m_library};
    RunOnly m_runOnly;
    Battery m_battery;
    Worker m_settings{QStringLiteral("settings")};
    Worker m_unpacking{QStringLiteral("unpacking")};
    std::vector<Monitor> m_monitors;
    std::vector<Placement> m_placements;
    std::map<QString, Placement> m_placedLast; ///< by output
    QString m_deskMonitor;
    ItemId m_sung;     ///< the song that was last noted as sung
    QByteArray m_kept; ///< what the player kept from desks that died
    bool m_outputsLoaded = false;
    bool m_welcomed = false;
    bool m_serviceAsked = false;
};

} // namespace mivanta
