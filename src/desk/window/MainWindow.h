// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/sending/Sender.h"
#include "desk/song/Speller.h"
#include "desk/window/ServiceFiles.h"
#include "session/machine/Door.h"
#include "session/media/MediumPictures.h"
#include "session/readings/ThumbnailStore.h"
#include "session/run/RunKeys.h"
#include <QMainWindow>

class QAction;
class QStackedWidget;

namespace mivanta {

class CheckDesk;
class Header;
class LibraryDesk;
class NoticeBar;
class OpeningBar;
class PrepareDesk;
class PackingBar;
class RecentServices;
class RunDesk;
class SetupDesk;
class StartMenu;

/// The window: the head that never changes, and the five desks.
class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    enum Desk { LibraryAt, PrepareAt, CheckAt, RunAt, SetupAt };

    /// `prompts` answers questions instead of dialogs (tests); null = real dialogs.
    explicit MainWindow(Session& session, std::unique_ptr<Prompts> prompts = nullptr);
    ~MainWindow() override;

    /// Takes what later starts of the program want; false when the place for that cannot be used.
    bool listenAtDoor();
    /// The desktop is about to end. False when the person wants to stay, which is asked while something is on
    /// the screens. What is not saved is kept and comes back with the next start.
    [[nodiscard]] bool prepareToLogOut(bool mayAsk);
    /// Comes to the front and does it, after the questions that there are to ask.
    void obey(const DoorRequest& request);
    /// While only running is allowed, no other desk is gone to.
    void goTo(Desk desk);
    [[nodiscard]] Desk currentDesk() const;
    [[nodiscard]] RunDesk* runDesk() { return m_runDesk; }
    [[nodiscard]] NoticeBar* notices() { return m_notices; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void keepForNextTime();
    void makeActions();
    void makeDesks();
    void connectSession();
    void showLock();
    void showHeader();
    void showClock();
    void find();
    void finish();
    void restoreLayout();
    void fitToMonitor();

    Session& m_session;
    std::unique_ptr<Prompts> m_prompts;
    ServiceFiles m_files;
    Sender m_sender;
    Speller m_speller;
    ThumbnailStore m_thumbnails;
    MediumPictures m_mediumPictures;
    Header* m_header;
    NoticeBar* m_notices;
    OpeningBar* m_opening;
    PackingBar* m_packing;
    RecentServices* m_recent;
    StartMenu* m_start;
    QStackedWidget* m_stack;
    LibraryDesk* m_libraryDesk;
    PrepareDesk* m_prepareDesk;
    CheckDesk* m_checkDesk;
    RunKeys m_runKeys{this};
    RunDesk* m_runDesk;
    SetupDesk* m_setupDesk;
    std::vector<QAction*> m_fileActions;
    std::vector<QAction*> m_editActions; ///< off while running
    std::vector<QAction*> m_openActions; ///< off while locked: all others
    QTimer m_clock;
    bool m_finished = false;
    bool m_isLoggingOut = false;
};

} // namespace mivanta
