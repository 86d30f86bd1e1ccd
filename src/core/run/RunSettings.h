// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "core/run/Covers.h"
#include <QStringList>

namespace mivanta {

/// How services are run with this library.
struct RunSettings {
    HouseCard houseCard;
    QStringList callOuts;          ///< saved messages; "___" is a blank to fill
    int callOutSeconds = 0;        ///< how long a call-out stays; 0 = until it is taken away
    bool takeOpensCurtain = false; ///< a take opens a closed curtain
    QString soundDevice;     ///< the loudspeakers, as the sound system names them; empty = the usual ones
    QString recordingFolder; ///< where recordings are put; empty = among the films of this computer
    bool clickTakes = false; ///< one click on a card takes it; else it is only looked at
    friend bool operator==(const RunSettings&, const RunSettings&) = default;
};

/// With some messages to begin with.
[[nodiscard]] inline RunSettings usualRunSettings() {
    RunSettings settings;
    settings.callOuts = {Said::tr("Would the parents of child no. ___ please come to the door?"),
                         Said::tr("The car ___ stands in the way of others."),
                         Said::tr("Tea is served in the ___ after the service.")};
    return settings;
}

} // namespace mivanta
