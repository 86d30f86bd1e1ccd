// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "desk/sending/Sender.h"
#include "session/Session.h"
#include <QWidget>

class QLabel;
class QMenu;
class QProgressBar;
class QPushButton;
class QToolButton;

namespace mivanta {

class FindPanel;

/// The left side of the library: find, what was found, new songs, bringing in, the bin.
class LibraryList : public QWidget {
    Q_OBJECT
public:
    LibraryList(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    [[nodiscard]] FindPanel& find() { return *m_find; }
    /// Sends out what is chosen in the list.
    [[nodiscard]] QMenu* sendMenu() { return m_sendMenu; }

    void bringInFiles();
    void bringInFolder();
    /// Songs that were read and not decided about; 0 = none.
    void setWaiting(int songs);
    void showProgress(int done, int total);
    void hideProgress();

Q_SIGNALS:
    void newWanted();
    void showWanted(const mivanta::SongId& id);
    void stopWanted();
    void bringInWanted(const QStringList& paths);
    void reviewWanted();
    void sendWanted(mivanta::SendWay way, const std::vector<mivanta::SongId>& ids); ///< no ids: every song

private:
    QWidget* buildImportRow();
    QWidget* buildButtons();
    void buildSendMenu();
    QToolButton* menuButton(const QString& name, const QString& text, const QString& tip, QMenu* menu);
    void fillBinMenu(QMenu* menu);

    Session& m_session;
    Prompts& m_prompts;
    FindPanel* m_find;
    QLabel* m_count;
    QWidget* m_importRow;
    QProgressBar* m_progress;
    QPushButton* m_waiting;
    QMenu* m_sendMenu;
};

} // namespace mivanta
