// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "core/run/RunSettings.h"
#include "core/timing/RunTiming.h"
#include "link/PlayerClient.h"
#include "session/run/CoveredScenes.h"
#include "session/run/CueScenes.h"
#include <QDateTime>

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
    /// Something that is not in the order is next; the order goes on behind it where it was left.
    void lookAtUnplanned(ItemWords words);

    void setCurtain(Curtain curtain);
    /// A curtain for one output; nothing = the same as all the others.
    void setOwnCurtain(const QString& output, std::optional<Curtain> curtain);
    /// Black everywhere, or what it was before.
    void blackAndBack();
    /// The output keeps its picture, whatever is taken; the curtain still covers it.
    void setFrozen(const QString& output, bool frozen);
    /// For as long as the settings say.
    void callOut(const QString& text, const std::set<QString>& outputs);
    void endCallOut();
    /// A card to set the output's screen up with, over everything.
    void setTestCard(const QString& output, bool on);
    void endTestCards();
    /// The output is called so from now on; what it shows stays. Before the book is told.
    void renameOutput(const QString& from, const QString& to);
    /// The pictures that are shown, once more.
    void showAsIs();
    /// Outputs that came since the last take show what is on screen.
    void showNewOutputs();
    /// By how much films are made louder.
    void setGainOf(CueScenes::GainOf gainOf) { m_scenes.setGainOf(std::move(gainOf)); }
    /// Where the film on screen stands; the stage is told.
    void setFilmPlace(const FilmPlace& film);
    /// What is on screen again, with the words that it has now, at once. What is frozen stays.
    void showAgain();

    [[nodiscard]] const RunSettings& settings() const { return m_settings; }
    void setSettings(const RunSettings& settings);

    /// The state as it is kept for a restart, and taken up again. The picture is left as it is.
    [[nodiscard]] QByteArray keptState() const;
    void takeUp(const QByteArray& kept);
    /// There is nothing to take up: the first step is next.
    void begin();
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
    void put(const RunState& next, std::vector<Scene> live);
    void cover(const Covers& covers);
    [[nodiscard]] bool isBlackEverywhere() const;
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
    void watchCallOut();

    SlideBook& m_book;
    ServiceDocument& m_document;
    PlayerClient& m_player;
    RunSettings m_settings = usualRunSettings();
    RunState m_state;
    std::vector<Scene> m_taken;
    CueScenes m_scenes;
    CoveredScenes m_covered;
    std::vector<Colour> m_shownOn; ///< the outputs' grounds, when they were shown last
    std::vector<Before> m_before;
    ServiceId m_service; ///< that the state is of
    std::map<ServiceId, Left> m_left;
    int m_takes = 0; ///< whatever was put on screen, counted
    Covers m_beforeBlack;
    QDateTime m_takenAt;
    QDateTime m_itemSince;
    QDateTime m_since;
    QString m_desk;
    bool m_mayKeep = false; ///< not before what was kept last has been taken up
    QTimer m_prefetchSoon;
    std::optional<qint64> m_prefetchedAt; ///< of Clock::steady()
    DueTimer m_callOutEnds;
};

} // namespace mivanta
