// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "core/run/RunSettings.h"
#include "core/timing/RunTiming.h"
#include "link/PlayerClient.h"
#include "session/run/CoverOrders.h"
#include "session/run/CoveredScenes.h"
#include "session/run/CueScenes.h"
#include <QDateTime>
#include <QJsonObject>

namespace mivanta {

/// Runs the service: keeps the run state, orders pictures from the player, has the likely next ones drawn
/// ahead, and leaves with the player what these desks need to go on after a crash. GUI thread.
class RunController : public QObject {
    Q_OBJECT
public:
    RunController(SlideBook& book, ServiceDocument& document, PlayerClient& player,
                  QObject* parent = nullptr);

    [[nodiscard]] const RunState& state() const { return m_state; }
    [[nodiscard]] const SlideBook& lineup() const { return m_book; }
    /// The service that is being run: the one that is open.
    [[nodiscard]] ServiceId serviceId() const { return m_document.service().id; }
    /// The pictures ordered last, one an output, without what covers them; empty before the first take.
    [[nodiscard]] const std::vector<Scene>& takenScenes() const { return m_taken; }
    /// The same as they are shown, with what covers them.
    [[nodiscard]] std::vector<Scene> shownNow() const;
    /// When what is on screen was put there; invalid before the first take.
    [[nodiscard]] const QDateTime& takenAt() const { return m_takenAt; }
    /// Where the service stands now.
    [[nodiscard]] RunMoment moment() const;

    // What the keys do. Only take(), back(), undoTake() and what covers the outputs change what people see.
    void take();
    void back();
    /// Exactly what was shown before the last take, or the last back(); several times, one after the other.
    void undoTake();
    [[nodiscard]] bool canUndoTake() const { return !m_before.empty(); }
    void lookAhead(int steps);
    void lookAtItem(int index);
    void lookAtItemsOn(int items);
    void lookAtPart(QChar letter, std::optional<int> number = std::nullopt);
    void lookAtPartAgain();
    void lookAtFirst();
    void lookAt(const Cue& cue);
    void lookBack();
    /// What follows comes by itself, as was said beforehand; nothing happens while that is off, somebody
    /// looks elsewhere, or nothing follows.
    void goOn();
    /// This comes by itself, whatever is looked at: that stays next. `keepsUndo`: it can be undone as a take
    /// can.
    void goOnTo(const Cue& cue, bool keepsUndo);
    /// Whether anything comes by itself at the end of what is on screen.
    [[nodiscard]] bool goesOnByItself() const { return m_goesOnByItself; }
    void setGoesOnByItself(bool on);

    /// Something that is not in the order is next; the order goes on behind it where it was left.
    void lookAtUnplanned(ItemWords words);

    /// What stands in front of the outputs: orders are given there.
    [[nodiscard]] CoverOrders& covers() { return m_covers; }
    /// The covers become these.
    void cover(const Covers& covers);
    /// The output keeps its picture, whatever is taken; the curtain still covers it.
    void setFrozen(const QString& output, bool frozen);
    /// The output is called so from now on; what it shows stays. Before the book is told.
    void renameOutput(const QString& from, const QString& to);
    /// What will come by itself before anything is taken: it is drawn ahead.
    void setComesByItself(std::function<std::optional<Cue>()> comes) { m_comesByItself = std::move(comes); }
    /// The pictures that are shown, once more.
    void showAsIs();
    /// Outputs that came since the last take show what is on screen.
    void showNewOutputs();
    /// By how much films are made louder.
    void setGainOf(CueScenes::GainOf gainOf) { m_scenes.setGainOf(std::move(gainOf)); }
    /// Where the film on screen, or its loop, stands; the stage is told.
    void setFilmPlace(const FilmPlace& film);
    /// Where a loop would stand when this is shown.
    void setLoopPlaceOf(CueScenes::LoopPlaceOf placeOf) { m_scenes.setLoopPlaceOf(std::move(placeOf)); }
    /// What is on screen again, with the words that it has now, at once. What is frozen stays.
    void showAgain();

    [[nodiscard]] const RunSettings& settings() const { return m_settings; }
    void setSettings(const RunSettings& settings);

    /// The state as it is kept for a restart, and taken up again. The picture is left as it is.
    [[nodiscard]] QByteArray keptState() const;
    void takeUp(const QByteArray& kept);
    /// There is nothing to take up: the first step is next.
    void begin();
    /// What others keep for a restart, by a name of theirs; empty when nothing was.
    void keepAlso(const QString& name, const QJsonObject& what);
    [[nodiscard]] QJsonObject keptAlso(const QString& name) const { return m_also[name].toObject(); }
    /// "run" or another desk's name: kept, too, so that a restart comes back there.
    void setDesk(const QString& desk);

Q_SIGNALS:
    void changed();
    void ordered(); ///< something is to be put on screen; changed() and shown() follow
    void takenUp(); ///< what was on screen before a restart; shown() follows
    void shown();   ///< something was put on screen, or taken up again after a restart
    void settingsChanged();

private:
    struct Before {
        RunState state;
        std::vector<Scene> live;
        QDateTime itemSince;
    };
    /// How the run of a service stood when another one was opened.
    struct Left {
        RunState state;
        std::vector<Before> before;
        QDateTime takenAt;
        QDateTime itemSince;
        QDateTime since;
        int takes = 0;
    };
    [[nodiscard]] bool showsOtherService() const;
    void change(const RunState& next);
    void show(const RunState& next);
    void showByItself(const RunState& next);
    void rememberForUndo();
    void put(const RunState& next, std::vector<Scene> live);
    void showTaken(Arrival arrival = Arrival::Turning);
    [[nodiscard]] std::vector<Colour> grounds() const;
    /// What is on screen as it would be drawn now.
    [[nodiscard]] std::vector<Scene> drawnAnew() const;
    void keepFrozen(std::vector<Scene>& scenes, const std::map<QString, std::optional<Cue>>& frozen) const;
    void keep();
    void prefetchSoon();
    void prefetch();
    void planChanged();
    void changeService();

    SlideBook& m_book;
    ServiceDocument& m_document;
    PlayerClient& m_player;
    RunSettings m_settings = usualRunSettings();
    RunState m_state;
    std::vector<Scene> m_taken;
    CueScenes m_scenes;
    CoveredScenes m_covered;
    CoverOrders m_covers{*this};
    std::vector<Colour> m_shownOn; ///< the outputs' grounds, when they were shown last
    std::vector<Before> m_before;
    ServiceId m_service; ///< that the state is of
    std::map<ServiceId, Left> m_left;
    int m_takes = 0; ///< whatever was put on screen, counted
    QDateTime m_takenAt;
    QDateTime m_itemSince;
    QDateTime m_since;
    QString m_desk;
    std::function<std::optional<Cue>()> m_comesByItself;
    QJsonObject m_also; ///< what others keep, by name
    bool m_goesOnByItself = true;
    bool m_mayKeep = false; ///< not before what was kept last has been taken up
    QTimer m_prefetchSoon;
    std::optional<qint64> m_prefetchedAt; ///< of Clock::steady()
};

} // namespace mivanta
