// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Placement.h"
#include <algorithm>

namespace mivanta {

namespace {

class Placer {
public:
    Placer(const std::vector<Output>& outputs, const std::vector<Monitor>& monitors, Homes& homes)
        : m_outputs(outputs),
          m_monitors(monitors),
          m_homes(homes),
          m_taken(monitors.size()),
          m_result(outputs.size()),
          m_isPlaced(outputs.size()) {}

    std::vector<Placement> place() {
        placeChosen();
        placeAtHome();
        placeOnSpare();
        placeOthers();
        return m_result;
    }

private:
    [[nodiscard]] bool coversDesk(size_t monitor) const {
        return std::any_of(m_monitors.begin(), m_monitors.end(), [&](const Monitor& m) {
            return m.isDesk && m.geometry.intersects(m_monitors[monitor].geometry);
        });
    }

    void put(size_t output, size_t monitor) {
        m_result[output] = {Placement::Kind::FullScreen, m_monitors[monitor].name};
        m_isPlaced[output] = true;
        for (size_t i = 0; i < m_monitors.size(); ++i)
            if (m_monitors[i].geometry.intersects(m_monitors[monitor].geometry))
                m_taken[i] = true;
        m_taken[monitor] = true;
    }

    /// The surest likeness of every output goes first, so that nobody takes a monitor that is surely
    /// another's.
    template <typename Wanted, typename Allowed>
    void placeByLikeness(const Wanted& wanted, const Allowed& allowed) {
        for (int likeness = 0; likeness < int(Likeness::Other); ++likeness)
            for (size_t o = 0; o < m_outputs.size(); ++o) {
                const std::optional<std::pair<QString, MonitorIdentity>> want =
                    m_isPlaced[o] ? std::nullopt : wanted(m_outputs[o]);
                for (size_t m = 0; want && !m_isPlaced[o] && m < m_monitors.size(); ++m)
                    if (!m_taken[m] && allowed(m, Likeness(likeness)) &&
                        likenessOf(m_monitors[m], want->first, want->second) == Likeness(likeness))
                        put(o, m);
            }
    }

    void placeChosen() {
        placeByLikeness(
            [](const Output& output) {
                return output.place.kind == PlaceKind::Monitor
                           ? std::optional(std::pair(output.place.monitor, output.place.identity))
                           : std::nullopt;
            },
            [&](size_t monitor, Likeness likeness) {
                return likeness != Likeness::Replaced || !coversDesk(monitor);
            });
    }

    void placeAtHome() {
        placeByLikeness(
            [&](const Output& output) -> std::optional<std::pair<QString, MonitorIdentity>> {
                const auto home = m_homes.find(output.name);
                if (output.place.kind != PlaceKind::Automatic || home == m_homes.end())
                    return std::nullopt;
                return std::pair(home->second.name, home->second.identity);
            },
            [&](size_t monitor, Likeness) { return !coversDesk(monitor); });
    }

    void placeOnSpare() {
        for (size_t o = 0; o < m_outputs.size(); ++o)
            for (size_t m = 0; m < m_monitors.size(); ++m)
                if (m_outputs[o].place.kind == PlaceKind::Automatic && !m_isPlaced[o] && !m_taken[m] &&
                    !coversDesk(m)) {
                    put(o, m);
                    m_homes.try_emplace(m_outputs[o].name, m_monitors[m]);
                }
    }

    void placeOthers() {
        for (size_t o = 0; o < m_outputs.size(); ++o) {
            if (m_isPlaced[o])
                continue;
            const OutputPlace& place = m_outputs[o].place;
            const auto home = m_homes.find(m_outputs[o].name);
            if (place.kind == PlaceKind::Window)
                m_result[o] = {Placement::Kind::Window};
            else if (place.kind == PlaceKind::Monitor)
                m_result[o] = {Placement::Kind::Missing,
                               Monitor{place.monitor, {}, false, place.identity}.label()};
            else if (place.kind == PlaceKind::Automatic && home != m_homes.end())
                m_result[o] = {Placement::Kind::Missing, home->second.label()};
            else if (place.kind == PlaceKind::Automatic)
                m_result[o] = {Placement::Kind::Window};
        }
    }

    const std::vector<Output>& m_outputs;
    const std::vector<Monitor>& m_monitors;
    Homes& m_homes;
    std::vector<bool> m_taken;
    std::vector<Placement> m_result;
    std::vector<bool> m_isPlaced;
};

} // namespace

std::vector<Placement> placementsFor(const std::vector<Output>& outputs, const std::vector<Monitor>& monitors,
                                     Homes& homes) {
    return Placer(outputs, monitors, homes).place();
}

} // namespace mivanta
