// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "player/Films.h"

namespace mivanta {

/// Small pictures of live inputs, for desks that look at them; those are open meanwhile. GUI thread.
class LiveLook : public QObject {
    Q_OBJECT
public:
    explicit LiveLook(Films& films, QObject* parent = nullptr);

    /// Those that are looked at from now on, and no others.
    void set(const std::vector<LiveInputId>& inputs);

Q_SIGNALS:
    void made(const mivanta::message::LivePicture& picture);

private:
    struct Looked {
        LiveInputId input;
        FilmPtr film;
        quint64 number = 0; ///< of the picture that was told last
    };
    void tell();

    Films& m_films;
    std::vector<Looked> m_looked;
    QTimer m_ticks;
};

} // namespace mivanta
