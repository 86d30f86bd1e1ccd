// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Insisting.h"
#include <algorithm>

namespace mivanta {

bool insistsOn(const Output& output, LookGroup group) {
    return std::find(output.insists.begin(), output.insists.end(), group) != output.insists.end();
}

bool showsFilms(const Output& output) {
    return output.isForPeople() && !insistsOn(output, LookGroup::Backdrop);
}

} // namespace mivanta
