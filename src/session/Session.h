// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/PlayerClient.h"
#include "session/library/LibraryClient.h"
#include "session/machine/Autostart.h"
#include "session/machine/Battery.h"
#include "session/machine/SecondWindow.h"
#include "session/media/FilmLoads.h"
#include "session/media/FolderFinder.h"
#include "session/media/FolderWatch.h"
#include "session/media/LoopFolders.h"
#include "session/media/MediaBook.h"
#include "session/media/MediaTwins.h"
#include "session/outputs/LiveInputs.h"
#include "session/outputs/Outputs.h"
#include "session/outputs/Recordings.h"
#include "session/readings/Contrasts.h"
#include "session/readings/ServiceReadings.h"
#include "session/run/AutoAdvance.h"
#include "session/run/ItemSounds.h"
#include "session/run/LiveOnScreen.h"
#include "session/run/LoopArming.h"
#include "session/run/OnScreen.h"
#include "session/run/RunFilm.h"
#include "session/run/RunLoop.h"
#include "session/run/RunOnly.h"
#include "session/run/RunOrders.h"
#include "session/run/RunWatch.h"
#include "session/run/TakeLog.h"
#include "session/service/Differences.h"
#include "session/service/MissingFiles.h"
#include "session/service/ServiceDocument.h"
#include "session/service/SlideBook.h"
#include "session/service/Supplies.h"
#include "store/ThisComputer.h"
#include "store/UnsavedFile.h"

namespace mivanta {

/// Everything behind the desks that has no widgets: the library, the service, its slides, the run, the
/// player.
class Session : public QObject {
    Q_OBJECT
public:
    struct Options {
        LibraryAddress library;
        ThisComputer computer;
        QString serviceFile; ///< to open; empty = the last one
        bool startOnRun = false;
        QString program; ///< this program, for the player to start it again
        QString playerProgram;
        /// A window that only prepares, beside the one that runs: it starts no player, and keeps its unsaved
        /// work apart.
        bool isSecond = false;
        /// Of its unsaved work, see LibraryClaim; empty = the usual one's.
        QString unsavedName{};
        QString otherComputer{}; ///< that has the library open, too; "?" = it does not say its name

        /// With which this program is started again.
        [[nodiscard]] QStringList arguments() const;
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
    /// Where unsaved work of a kind ("song") is kept.
    [[nodiscard]] UnsavedFile unsavedFile(const QString& kind) const;
    /// Begins with the service in the file, never saved; the file is removed when it was put there for that.
    void takeHandedOver(const QString& path);

    [[nodiscard]] LibraryClient& library() { return m_library; }
    [[nodiscard]] ServiceDocument& document() { return m_document; }
    [[nodiscard]] MediaBook& media() { return m_media; }
    [[nodiscard]] FolderWatch& folders() { return m_folders; }
    [[nodiscard]] FilmLoads& filmLoads() { return m_filmLoads; }
    [[nodiscard]] MediaTwins& twins() { return m_twins; }
    [[nodiscard]] FolderFinder& folderFinder() { return m_folderFinder; }
    [[nodiscard]] MissingFiles& missing() { return m_missing; }
    [[nodiscard]] Differences& differences() { return m_differences; }
    [[nodiscard]] SlideBook& book() { return m_book; }
    [[nodiscard]] RunController& run() { return m_run; }
    [[nodiscard]] RunOrders& orders() { return m_orders; }
    [[nodiscard]] RunWatch& watch() { return m_watch; }
    [[nodiscard]] OnScreen& onScreen() { return m_onScreen; }
    [[nodiscard]] AutoAdvance& advance() { return m_advance; }
    [[nodiscard]] ItemSounds& sounds() { return m_sounds; }
    [[nodiscard]] RunFilm& film() { return m_film; }
    [[nodiscard]] RunLoop& loop() { return m_loop; }
    [[nodiscard]] LoopArming& arming() { return m_arming; }
    [[nodiscard]] Contrasts& contrasts() { return m_contrasts; }
    [[nodiscard]] ServiceReadings& readings() { return m_readings; }
    [[nodiscard]] RunOnly& runOnly() { return m_runOnly; }
    [[nodiscard]] PlayerClient& player() { return m_player; }
    [[nodiscard]] Outputs& outputs() { return m_outputs; }
    [[nodiscard]] LiveInputs& liveInputs() { return m_liveInputs; }
    [[nodiscard]] Recordings& recordings() { return m_recordings; }
    [[nodiscard]] LiveOnScreen& liveOnScreen() { return m_liveOnScreen; }
    [[nodiscard]] SecondWindow& secondWindow() { return m_secondWindow; }

    /// Whether it is started with this computer.
    [[nodiscard]] Autostart autostart() const { return Autostart(m_options.program, m_options.arguments()); }
    [[nodiscard]] const ThisComputer& computer() const { return m_options.computer; }
    void changeRunSettings(const RunSettings& settings);

Q_SIGNALS:
    void ready(const QString& desk); ///< the service is there; the desk to show first, or empty for the usual
    void problem(const mivanta::Error& error);
    void notice(const QString& text);
    void warning(const QString& text);
    /// Good news with something that can be done about it.
    void offered(const QString& text, const QString& action, const std::function<void()>& act);
    void playerRefused();
    void mediaArrived(); ///< pictures and fonts that were missing are there

private:
    [[nodiscard]] QString problemOf(const Item& item, int still) const;
    void tellOfLibrary();
    void tellOfDocument();
    void tellOfPlayer();
    void tellOfSound();
    void takeWelcome(const QByteArray& kept);
    void loadRunSettings();
    void takeUpService();
    void serviceIsThere(bool hasUnsavedWork);
    void tellOther();

    Options m_options;
    LibraryClient m_library;
    ServiceDocument m_document;
    MediaBook m_media{m_library, m_document};
    FolderWatch m_folders{m_options.computer};
    LoopFolders m_loopFolders{m_library, m_document, m_folders};
    MediaTwins m_twins{m_media, m_folders};
    FolderFinder m_folderFinder{m_media, m_folders, m_twins};
    FilmLoads m_filmLoads{m_media, m_document};
    MissingFiles m_missing;
    Differences m_differences{m_document, m_library};
    SlideBook m_book;
    Contrasts m_contrasts;
    ServiceReadings m_readings{m_book, m_contrasts};
    PlayerClient m_player;
    RunController m_run;
    OnScreen m_onScreen{m_run, m_player};
    AutoAdvance m_advance{m_run, m_document};
    ItemSounds m_sounds{m_run, m_document, m_book, m_player};
    RunFilm m_film{m_run, m_document, m_player};
    RunLoop m_loop{m_run, m_document, m_book, m_player, m_film};
    LoopArming m_arming{m_run, m_document, m_loop};
    TakeLog m_takes{m_run, m_document, m_library};
    RunOnly m_runOnly;
    Outputs m_outputs;
    LiveInputs m_liveInputs;
    Recordings m_recordings{m_player};
    LiveOnScreen m_liveOnScreen{m_run, m_book, m_document, m_liveInputs};
    RunOrders m_orders{m_run, m_book, m_advance, m_sounds, m_film, m_loop, m_arming};
    RunWatch m_watch{m_run, m_book, m_document, m_onScreen};
    Supplies m_supplies;
    SecondWindow m_secondWindow;
    Battery m_battery;
    Worker m_settings{QStringLiteral("settings")};
    QByteArray m_kept; ///< what the player kept from desks that died
    bool m_welcomed = false;
    bool m_hasSoundDevice = true; ///< the chosen one is there
    bool m_serviceAsked = false;
};

} // namespace mivanta
