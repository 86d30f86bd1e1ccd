// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/run/FilmStrip.h"
#include "session/Session.h"
#include "session/run/RunKeys.h"
#include "session/work/Worker.h"
#include <QTimer>
#include <atomic>

class QHBoxLayout;
class QLabel;

namespace mivanta {

class KeyButton;

/// The film on screen: where it stands, what is left, and what can be done with it; hidden while there is
/// none.
class FilmPanel : public QWidget {
    Q_OBJECT
public:
    FilmPanel(Session& session, const RunKeys& keys, QWidget* parent = nullptr);
    ~FilmPanel() override;

private:
    KeyButton* addButton(QHBoxLayout* row, RunAction action, const char* name, const QString& words);
    void refresh();
    void loadMoments();
    void wantNoMoments();

    Session& m_session;
    const RunKeys& m_keys;
    QLabel* m_title;
    QLabel* m_position;
    QLabel* m_left;
    QLabel* m_volume;
    FilmStrip* m_strip;
    KeyButton* m_pause;
    std::optional<FilmPlay> m_film;                ///< whose moments are shown
    std::shared_ptr<std::atomic<bool>> m_isWanted; ///< the moments of the film that is shown; null = none yet
    QTimer m_ticks;
    Worker m_looking{QStringLiteral("moments")};
};

} // namespace mivanta
