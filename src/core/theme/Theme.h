// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Look.h"

namespace mivanta {

/// A saved, named look. The id is a short word that stays when the name changes.
struct Theme {
    QString id;
    QString name;
    Look look;
    friend bool operator==(const Theme&, const Theme&) = default;
};

/// The theme of this id; null when there is none, or the id is empty.
[[nodiscard]] const Theme* themeOf(const QString& id, const std::vector<Theme>& themes);

/// An id made of the name that none of the themes has: "dusk-water", "dusk-water-2".
[[nodiscard]] QString newThemeId(const QString& name, const std::vector<Theme>& themes);

/// What a credit line can say. Fields that are empty are left out with their separator.
struct CreditFields {
    QString title;
    QString authors;
    QString copyright;
    QString licence;
    QString book;
    QString reference;   ///< of a passage
    QString translation; ///< of a passage
};

/// Fills a credit template. Pieces between "·" separators whose fields are all empty are dropped.
[[nodiscard]] QString creditText(const QString& fields, const CreditFields& values);

} // namespace mivanta
