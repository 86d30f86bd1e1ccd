// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/OnScreen.h"
#include <algorithm>

namespace mivanta {

namespace {
constexpr int kPaintingMs = 150; // a picture that was not drawn ahead takes so long at most, as a rule
}

OnScreen::OnScreen(RunController& run, PlayerClient& player, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_player(player) {
    m_patience.setSingleShot(true);
    m_patience.setInterval(kPaintingMs);
    m_soon.setSingleShot(true); // the outputs tell one after the other
    connect(&m_patience, &QTimer::timeout, this, &OnScreen::changed);
    connect(&m_soon, &QTimer::timeout, this, &OnScreen::changed);
    connect(&m_run, &RunController::ordered, this, [this] { m_patience.start(); });
    connect(&m_run, &RunController::changed, this, &OnScreen::changed);
    connect(&m_player, &PlayerClient::showsChanged, this, [this] {
        if (origin().cue == m_run.state().onScreen)
            m_patience.stop();
        m_soon.start(0);
    });
    connect(&m_player, &PlayerClient::lost, this, &OnScreen::changed);
}

Shown OnScreen::of(const QString& output) const {
    const auto at = m_player.shows().find(output);
    return at == m_player.shows().end() ? Shown() : at->second;
}

std::vector<Shown> OnScreen::all() const {
    std::vector<Shown> shown;
    for (const Output& output : m_run.lineup().outputs())
        shown.push_back(of(output.name));
    return shown;
}

bool OnScreen::isSeen() const {
    const std::vector<Shown> shown = all();
    return std::any_of(shown.begin(), shown.end(), [](const Shown& each) { return each.isSeen(); });
}

SceneOrigin OnScreen::origin() const {
    const std::vector<Shown> shown = all();
    const auto running =
        std::find_if(shown.begin(), shown.end(), [](const Shown& each) { return !each.origin.isFrozen; });
    return running != shown.end() ? running->origin : shown.empty() ? SceneOrigin() : shown.front().origin;
}

std::optional<Cue> OnScreen::cue() const {
    const auto& ordered = m_run.state().onScreen;
    if (m_patience.isActive())
        return ordered;
    const SceneOrigin painted = origin();
    return painted.service == m_run.serviceId() ? painted.cue : std::nullopt;
}

Curtain OnScreen::cover() const {
    std::vector<Shown> people;
    std::vector<Shown> stage;
    for (const Output& output : m_run.lineup().outputs())
        if (const Shown shown = of(output.name); !shown.origin.isFrozen)
            (output.isForPeople() ? people : stage).push_back(shown);
    const std::vector<Shown>& over = people.empty() ? stage : people;
    const bool isCovered = !over.empty() && std::all_of(over.begin(), over.end(),
                                                        [](const Shown& shown) { return shown.isCovered(); });
    return isCovered ? over.front().origin.curtain : Curtain::Open;
}

QString OnScreen::serviceTitle() const {
    const SceneOrigin painted = origin();
    return painted.serviceTitle.isEmpty() ? tr("New service") : painted.serviceTitle;
}

QString OnScreen::otherService() const {
    const SceneOrigin painted = origin();
    return painted.cue && !(painted.service == m_run.serviceId()) ? serviceTitle() : QString();
}

} // namespace mivanta

#include "moc_OnScreen.cpp"
