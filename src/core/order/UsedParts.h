// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

/// A film of which a service plays only a part.
struct UsedPart {
    QString name; ///< of its file in the media folder
    QString title;
    FilmPart part;      ///< `to` of 0 = its end
    double seconds = 0; ///< how long all of it is
    /// How much of it that is, 0 to 1.
    [[nodiscard]] double share() const { return ((part.to > 0 ? part.to : seconds) - part.from) / seconds; }
};

/// Those that only items of films play, none of them all of it, in the order of the items: what lies between
/// the first begin and the last end. At least a tenth of the film, and two seconds, are left out.
[[nodiscard]] std::vector<UsedPart> usedParts(const Service& service);

/// The items that play a film play the same of another file, in which all of it lies so many seconds later.
void playFromPart(Service& service, const QString& name, const QString& partName, double later,
                  double seconds);

} // namespace mivanta
