// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/Lamp.h"
#include <QCoreApplication>

namespace mivanta {

namespace {
QString tr(const char* text) {
    return QCoreApplication::translate("Lamp", text);
}
} // namespace

LampState lampOf(const RunState& state, int outputs) {
    LampState lamp;
    const Covers& covers = state.covers;
    const bool isOpen = covers.curtain == Curtain::Open || covers.curtain == Curtain::Plain;
    if (covers.curtain == Curtain::HouseCard)
        lamp.text = tr("House card on %1 outputs").arg(outputs);
    else if (covers.curtain == Curtain::Black && state.onScreen)
        lamp.text = tr("Black on %1 outputs").arg(outputs);
    else if (!state.onScreen)
        lamp.text = tr("Nothing on screen \u00b7 %1 outputs").arg(outputs);
    else if (covers.curtain == Curtain::WordsOff)
        lamp.text = tr("Backdrop only \u00b7 %1 outputs").arg(outputs);
    else if (covers.curtain == Curtain::Plain)
        lamp.text = tr("Plain words \u00b7 %1 outputs").arg(outputs);
    else
        lamp.text = tr("Words on screen \u00b7 %1 outputs").arg(outputs);
    lamp.lit = state.onScreen && isOpen;
    if (covers.callOut)
        lamp.text += tr(" \u00b7 call-out");
    if (const auto apart = covers.own.size() + state.frozen.size(); apart > 0)
        lamp.text += tr(" \u00b7 %1 apart").arg(apart);
    if (!covers.testCards.empty())
        lamp.text += tr(" \u00b7 test card");
    return lamp;
}

} // namespace mivanta
