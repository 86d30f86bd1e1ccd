// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/outputs/Outputs.h"
#include "link/PlayerClient.h"
#include "session/outputs/ScreenTexts.h"
#include "session/run/RunController.h"
#include "session/service/SlideBook.h"
#include "store/ThisComputer.h"
#include <algorithm>

namespace mivanta {

namespace {

bool isNamed(const std::vector<Output>& outputs, const QString& name) {
    return std::any_of(outputs.begin(), outputs.end(), [&](const Output& o) { return o.name == name; });
}

bool isConnected(const std::vector<Monitor>& monitors, const QString& name) {
    return std::any_of(monitors.begin(), monitors.end(), [&](const Monitor& m) { return m.name == name; });
}

} // namespace

Outputs::Outputs(SlideBook& book, RunController& run, PlayerClient& player, ThisComputer computer,
                 LibraryAddress library, QObject* parent)
    : QObject(parent),
      m_book(book),
      m_run(run),
      m_player(player),
      m_computer(std::move(computer)),
      m_library(std::move(library)) {
    connect(&m_player, &PlayerClient::placesChanged, this, &Outputs::takePlaces);
}

void Outputs::load() {
    m_files.run(
        this, [computer = m_computer, library = m_library] { return computer.outputs(library); },
        [this](Result<std::vector<Output>> outputs) {
            if (!outputs)
                Q_EMIT problem(outputs.error());
            m_book.setOutputs(outputs ? *outputs : usualOutputs());
            m_player.setOutputs(all(), m_deskMonitor);
            m_isLoaded = true;
            Q_EMIT loaded();
        });
}

const std::vector<Output>& Outputs::all() const {
    return m_book.outputs();
}

void Outputs::set(const std::vector<Output>& outputs) {
    if (outputs == all())
        return;
    m_book.setOutputs(outputs);
    m_player.setOutputs(outputs, m_deskMonitor);
    m_files.run(
        this, [computer = m_computer, outputs] { return computer.saveOutputs(outputs); },
        [this](const Result<void>& saved) {
            if (!saved)
                Q_EMIT problem(saved.error());
        });
}

void Outputs::change(const Output& output) {
    std::vector<Output> outputs = all();
    for (Output& known : outputs)
        if (known.name == output.name)
            known = output;
    set(outputs);
}

QString Outputs::add(OutputKind kind) {
    std::vector<Output> outputs = all();
    const auto usual = usualOutputs();
    Output added =
        *std::find_if(usual.begin(), usual.end(), [&](const Output& output) { return output.kind == kind; });
    const QString name = added.name;
    for (int number = 2; isNamed(outputs, added.name); ++number)
        added.name = name + u' ' + QString::number(number);
    outputs.push_back(added);
    set(outputs);
    return added.name;
}

void Outputs::remove(const QString& name) {
    std::vector<Output> outputs = all();
    const auto at = std::find_if(outputs.begin(), outputs.end(),
                                 [&](const Output& output) { return output.name == name; });
    if (outputs.size() < 2 || at == outputs.end())
        return;
    const Output removed = *at;
    const auto place = at - outputs.begin();
    outputs.erase(at);
    set(outputs);
    Q_EMIT offered(tr("The output %1 was removed.").arg(removed.label()), tr("Put it back"),
                   [this, removed, place] { putBack(removed, place); });
}

void Outputs::putBack(const Output& removed, std::ptrdiff_t place) {
    std::vector<Output> outputs = all();
    if (isNamed(outputs, removed.name))
        return;
    outputs.insert(outputs.begin() + std::min<std::ptrdiff_t>(place, std::ssize(outputs)), removed);
    set(outputs);
    m_run.showNewOutputs();
}

bool Outputs::rename(const QString& from, const QString& to) {
    std::vector<Output> outputs = all();
    const QString name = to.trimmed();
    if (name == from)
        return true;
    if (name.isEmpty() || isNamed(outputs, name))
        return false;
    for (Output& output : outputs)
        if (output.name == from)
            output.name = name;
    m_run.renameOutput(from, name);
    set(outputs);
    m_run.showAsIs();
    return true;
}

void Outputs::setDeskMonitor(const QString& name) {
    if (name == m_deskMonitor)
        return;
    m_deskMonitor = name;
    if (m_isLoaded)
        m_player.setOutputs(all(), m_deskMonitor);
}

void Outputs::takePlaces(const std::vector<Monitor>& monitors, const std::vector<Placement>& placements) {
    const QString mirrored = mirrorText(monitors);
    if (!mirrored.isEmpty() && mirrored != mirrorText(m_monitors))
        Q_EMIT warning(mirrored);
    m_monitors = monitors;
    m_placements = placements;
    const std::vector<Output>& outputs = all();
    for (size_t i = 0; i < std::min(outputs.size(), placements.size()); ++i) {
        const auto known = m_placedLast.find(outputs[i].name);
        const Placement before = known == m_placedLast.end() ? Placement() : known->second;
        m_placedLast[outputs[i].name] = placements[i];
        tellMove(outputs[i], before, placements[i]);
    }
    Q_EMIT placesChanged();
}

/// What has become of an output whose monitor came or went.
void Outputs::tellMove(const Output& output, const Placement& before, const Placement& now) {
    using Kind = Placement::Kind;
    const bool isGone = before.kind == Kind::FullScreen && !isConnected(m_monitors, before.monitor);
    if (isGone && now.kind == Kind::Missing) // still connected, it mirrors another one, which was said
        Q_EMIT warning(tr("The screen of %1 was unplugged (%2). The other outputs go on; its picture comes "
                          "back when the screen does.")
                           .arg(output.label(), now.monitor));
    else if (isGone && now.kind == Kind::FullScreen)
        Q_EMIT warning(tr("The screen of %1 was unplugged (%2). Its picture is on %3 until it comes back.")
                           .arg(output.label(), before.monitor, now.monitor));
    else if (now.kind == Kind::FullScreen && before.kind == Kind::Missing)
        Q_EMIT notice(tr("%1 is back on its screen: %2.").arg(output.label(), now.monitor));
}

} // namespace mivanta

#include "moc_Outputs.cpp"
