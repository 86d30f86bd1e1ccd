// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Style.h"
#include "desk/kit/Tools.h"
#include "desk/run/LaneList.h"
#include "session/run/RunKeys.h"
#include "store/finding/Finding.h"
#include <QTimer>
#include <QWidget>

class QKeyEvent;
class QLabel;

namespace mivanta {

class CallOutBar;
class KeySheet;
class MendSheet;
class RunFind;
class RunPictures;

/// Runs the service. Keys work wherever the focus is; nothing here edits the service.
class RunDesk : public QWidget {
    Q_OBJECT
public:
    RunDesk(const Tools& tools, RunKeys& keys, QWidget* parent = nullptr);

    /// Obeys a key; false when it means nothing here.
    bool obeyKey(QKeyEvent* event);
    [[nodiscard]] LaneList* lanes() { return m_lanes; }

Q_SIGNALS:
    void prepareWanted(); ///< there is nothing to run

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    QWidget* buildSide();
    QLabel* sideLabel(const char* name, double size, TextWeight weight);
    void refresh();
    void obey(RunAction action, RunKeys::Moving moving);
    [[nodiscard]] bool mayEdit();
    void look(const FindPick& pick);
    void lookAtPicture();
    void lookAtPictures(const QStringList& files);
    void keepUnplanned();
    void typeDigit(int digit);
    void typeLetter(QChar letter);
    void forgetTyped();

    Session& m_session;
    Prompts& m_prompts;
    ThumbnailStore& m_thumbnails;
    RunKeys& m_keys;
    LaneList* m_lanes;
    RunPictures* m_pictures;
    CallOutBar* m_callOut;
    RunFind* m_find;
    MendSheet* m_mend;
    KeySheet* m_sheet;
    QLabel* m_where;
    QLabel* m_goTo;
    QTimer m_typedOver;
    int m_digits = 0;
    QChar m_letter; ///< of a part; digits behind it are its number
};

} // namespace mivanta
