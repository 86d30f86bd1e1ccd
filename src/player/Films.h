// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include "link/FilmClient.h"
#include "player/PaintTurns.h"
#include <QHash>
#include <QSet>
#include <functional>

namespace mivanta {

using FilmPtr = std::shared_ptr<FilmClient>;

/// The films that outputs show, each played once however many show it. A film ends, and fades its sound out,
/// when nobody holds it any more. Lives on the GUI thread.
class Films : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;

    /// Where the library's media are.
    void setFolder(const QString& folder) { m_folder = folder; }
    /// Those that films may name. One that is open and is another one now is opened anew.
    void setLiveInputs(std::vector<message::LiveOrder> inputs);
    /// Null when there is none of this identity.
    [[nodiscard]] const LiveInput* liveInput(LiveInputId id) const;
    /// Whether an input would show itself on that output; such a one is not shown there.
    using ShowsItself = std::function<bool(const LiveInput& input, const QString& output)>;
    void setShowsItself(ShowsItself shows) { m_showsItself = std::move(shows); }
    [[nodiscard]] bool wouldShowItself(const FilmPlay& film, const QString& output) const;
    /// An output's window as X11 calls it, 0 = it has none: for inputs that show an output.
    using WindowOf = std::function<quint32(const QString& output)>;
    void setWindowOf(WindowOf windowOf) { m_windowOf = std::move(windowOf); }
    /// Windows are others by now.
    void lookAtWindows();
    /// How large an output shows films; they are decoded for the largest. Empty = it shows none.
    void setSizeOf(const QString& output, QSize size) { m_sizes[output] = size; }
    /// The one that plays, or a new one, paused on its first picture.
    [[nodiscard]] FilmPtr open(const FilmPlay& film);
    /// Opens films that are likely to be wanted soon; those of before that nobody holds are closed. One that
    /// plays is left to who shows it.
    void prepare(const std::vector<FilmPlay>& films);
    /// It is on screen now, be it under a curtain: it plays, unless it has begun before or was told to stand
    /// still.
    void begin(const FilmPtr& film);
    /// A film that is not open (yet) begins as it was told to, if it is opened soon: another player had it.
    void steer(const message::SteerFilm& order);
    /// Where their sound is to be heard, as libmpv calls it; empty = the usual place.
    void setSoundDevice(const QString& name);
    /// The sound of one is heard now.
    [[nodiscard]] bool isAnyHeard() const;
    /// Their new pictures are painted in turns.
    [[nodiscard]] PaintTurns& turns() { return m_turns; }
    /// Of all that are open.
    [[nodiscard]] std::vector<message::FilmStands> stands() const;

Q_SIGNALS:
    void told(const mivanta::message::FilmStands& stands);

private:
    struct Wish {
        double at = -1; ///< seconds; below 0 = no wish
        int volume = -1;
        bool isPaused = false;
        qint64 since = 0; ///< of Clock::steady()
    };
    void wish(const message::SteerFilm& order);
    [[nodiscard]] QSize largest() const;
    [[nodiscard]] message::OpenFilm orderFor(const FilmPlay& film) const;
    void keepOpen();
    void gone(const QByteArray& key, FilmClient* film);

    QString m_folder;
    QString m_soundDevice;
    QHash<QString, QSize> m_sizes;                        ///< px, by output
    QHash<QByteArray, std::weak_ptr<FilmClient>> m_films; ///< by filmKey()
    QHash<QByteArray, Wish> m_wishes;
    QSet<FilmClient*> m_still; ///< those that were told to stand still before they were seen
    QSet<FilmClient*> m_begun;
    std::vector<FilmPtr> m_ahead;
    std::vector<message::LiveOrder> m_liveInputs;
    QHash<QByteArray, FilmPlay> m_live; ///< live inputs that are open, by filmKey()
    std::vector<FilmPtr> m_keptOpen;
    ShowsItself m_showsItself;
    WindowOf m_windowOf;
    PaintTurns m_turns;
};

} // namespace mivanta
