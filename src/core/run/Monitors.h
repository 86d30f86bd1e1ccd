// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QRect>
#include <QString>
#include <vector>

namespace mivanta {

/// What a monitor says of itself (EDID), by which it is known again at another connector. Some say nothing.
struct MonitorIdentity {
    QString maker;
    QString model;
    QString serial;
    friend bool operator==(const MonitorIdentity&, const MonitorIdentity&) = default;

    [[nodiscard]] bool isKnown() const { return !model.isEmpty() || !serial.isEmpty(); }
};

struct Monitor {
    QString name;        ///< of its connector, such as "HDMI-1"
    QRect geometry;      ///< px on the desktop
    bool isDesk = false; ///< the monitor with the desks on it
    MonitorIdentity identity{};
    friend bool operator==(const Monitor&, const Monitor&) = default;

    /// "Seaview P-20 at HDMI-1", or the connector alone.
    [[nodiscard]] QString label() const;
};

/// How surely a monitor is the one that was chosen, the surest first.
enum class Likeness {
    Itself,       ///< the same serial number at the same connector
    Moved,        ///< the same serial number at another connector
    SameKind,     ///< maker and model agree at the same connector, and no serial number speaks against it
    SameName,     ///< the same connector, and nothing is known of one of them
    SameKindElse, ///< maker and model agree at another connector; a serial number is missing
    Replaced,     ///< another monitor at the same connector
    Other,
};
[[nodiscard]] Likeness likenessOf(const Monitor& monitor, const QString& name,
                                  const MonitorIdentity& identity);

/// Monitors that show the same part of the desktop, as the system's display settings have them mirror each
/// other. Each group as indexes into `monitors`, two or more.
[[nodiscard]] std::vector<std::vector<int>> mirroredMonitors(const std::vector<Monitor>& monitors);

} // namespace mivanta
