// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/ServiceStore.h"

namespace mivanta {

/// An order to begin with, with places to fill.
struct ServiceTemplate {
    QString name;
    QString path; ///< of a service file, or of an order that ships with the program
    bool isShipped = false;
    friend bool operator==(const ServiceTemplate&, const ServiceTemplate&) = default;
};

/// The library's own ones by name, then those that ship.
[[nodiscard]] std::vector<ServiceTemplate> templatesOf(const QString& libraryFolder);
/// As a service with an id of its own. `theme`: of one that ships.
[[nodiscard]] Result<Service> openTemplate(const ServiceTemplate& from, const Theme& theme);
/// Keeps the order under this name, with places to fill for its songs and passages; one of the same name is
/// replaced.
[[nodiscard]] Result<void> keepTemplate(const Service& service, const QString& name,
                                        const QString& libraryFolder);

} // namespace mivanta
