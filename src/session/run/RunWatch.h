// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Covers.h"
#include <QObject>
#include <QTime>
#include <QTimer>
#include <optional>
#include <vector>

namespace mivanta {

class OnScreen;
class RunController;
class ServiceDocument;
class SlideBook;
struct Cue;

/// Where something of the service stands.
struct RunPlace {
    QString title; ///< of its item, for people
    int item = 0;  ///< 1 is the first that is run; 0 = unplanned
    int step = 1;  ///< 1 to steps
    int steps = 1;
    QString part; ///< its key, such as "Verse 2"; may be empty
    friend bool operator==(const RunPlace&, const RunPlace&) = default;
};

struct OutputFacts {
    QString name;
    Curtain curtain = Curtain::Open; ///< its own, or that of all
    bool isFrozen = false;
    friend bool operator==(const OutputFacts&, const OutputFacts&) = default;
};

/// How the running service stands: what every desk, program and page says of it.
struct RunFacts {
    QString service;                  ///< its title
    int items = 0;                    ///< that are run
    std::optional<RunPlace> onScreen; ///< what the player has painted, of the service that is open
    QString onScreenFrom; ///< the title of another service that the screens still show; else empty
    std::optional<RunPlace> next;
    Curtain curtain = Curtain::Open;
    std::vector<OutputFacts> outputs;
    QString callOut; ///< empty = none
    /// Behind the lineup, seconds; negative = ahead; nothing while nothing is planned.
    std::optional<int> secondsBehind;
    QTime likelyEnd; ///< invalid = not known
    friend bool operator==(const RunFacts&, const RunFacts&) = default;
};

/// Tells the facts of the run, and when they have changed. GUI thread.
class RunWatch : public QObject {
    Q_OBJECT
public:
    RunWatch(RunController& run, SlideBook& lineup, ServiceDocument& document, OnScreen& onScreen,
             QObject* parent = nullptr);
    [[nodiscard]] RunFacts facts() const;

Q_SIGNALS:
    /// Other facts than when it was last emitted, besides the times, which go on with every second.
    void changed();

private:
    [[nodiscard]] RunFacts withoutTimes() const;
    [[nodiscard]] std::optional<RunPlace> placeOf(const std::optional<Cue>& cue) const;
    void look();

    RunController& m_run;
    SlideBook& m_lineup;
    ServiceDocument& m_document;
    OnScreen& m_onScreen;
    RunFacts m_told;
    QTimer m_soon; ///< several changes of one turn of the event loop are told once
};

} // namespace mivanta
