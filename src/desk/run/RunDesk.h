// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Session.h"
#include "desk/app/Tools.h"
#include "desk/parts/PictureView.h"
#include "desk/run/LaneList.h"

class QLabel;
class QToolButton;
class QVBoxLayout;

namespace mivanta {

class RunFind;

/// Where the service is run: lanes, the outputs as they really are, the curtain. Every action has a key that
/// works wherever the focus is.
class RunDesk : public QWidget {
    Q_OBJECT
public:
    explicit RunDesk(const Tools& tools, QWidget* parent = nullptr);

    /// Obeys a key; false when it means nothing here.
    bool obeyKey(QKeyEvent* event);
    [[nodiscard]] LaneList* lanes() { return m_lanes; }

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QWidget* buildSide(ThumbnailStore& thumbnails);
    QWidget* buildCurtain();
    QWidget* buildKeys();
    void outputsChanged();
    void refresh();
    void showFrame(const QString& output);
    void look(const FindPick& pick);
    void typeDigit(int digit);
    void forgetDigits();
    void showByItself();

    Session& m_session;
    Prompts& m_prompts;
    ThumbnailStore& m_thumbnails;
    LaneList* m_lanes;
    RunFind* m_find;
    PictureView* m_hall;
    PictureView* m_next;
    QWidget* m_small;
    std::vector<std::pair<QString, PictureView*>> m_others; ///< by output
    QString m_main;                                         ///< the output in the large picture
    std::vector<std::pair<Curtain, QToolButton*>> m_curtain;
    QLabel* m_where;
    QLabel* m_goTo;
    QLabel* m_byItself; ///< when the next slide comes without a key
    QTimer m_tick;
    QTimer m_digitsOver;
    int m_digits = 0;
};

} // namespace mivanta
