// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Prompts.h"
#include "desk/app/Sender.h"
#include "desk/app/Session.h"
#include "desk/library/Speller.h"
#include "desk/parts/ThumbnailStore.h"
#include "desk/run/RunKeys.h"
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

/// The window: the head that never changes, and the five desks.
class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    enum Desk { LibraryAt, PrepareAt, CheckAt, RunAt, SetupAt };

    /// `prompts` answers questions instead of dialogs (tests); null = real dialogs.
    explicit MainWindow(Session& session, std::unique_ptr<Prompts> prompts = nullptr);
    ~MainWindow() override;

    /// While only running is allowed, no other desk is gone to.
    void goTo(Desk desk);
    [[nodiscard]] Desk currentDesk() const;
    [[nodiscard]] RunDesk* runDesk() { return m_runDesk; }
    [[nodiscard]] NoticeBar* notices() { return m_notices; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void makeActions();
    void makeDesks();
    void connectSession();
    void showLock();
    void showHeader();
    void showClock();
    void find();
    void openService();
    void newService();
    /// Saves; asks where when there is no file yet. `then` runs once it is on the disk.
    void save(bool askWhere, std::function<void()> then = {});
    /// Runs the rest once unsaved work is saved or given up.
    void settleUnsaved(const std::function<void()>& then);
    void finish();
    void restoreLayout();

    Session& m_session;
    std::unique_ptr<Prompts> m_prompts;
    Sender m_sender;
    Speller m_speller;
    ThumbnailStore m_thumbnails;
    Header* m_header;
    NoticeBar* m_notices;
    OpeningBar* m_opening;
    PackingBar* m_packing;
    RecentServices* m_recent;
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
    std::function<void()> m_afterSave;
    QTimer m_clock;
    bool m_finished = false;
};

} // namespace mivanta
