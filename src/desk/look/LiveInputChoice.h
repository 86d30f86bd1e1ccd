// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "core/live/LiveInput.h"
#include <QComboBox>

namespace mivanta {

/// A choice of the live inputs of this computer; the data are their ids.
inline void fillWithInputs(QComboBox& box, const std::vector<LiveInput>& inputs, const QString& chosen) {
    box.clear();
    box.addItem(inputs.empty() ? Said::tr("None yet: add one in Setup") : Said::tr("None"), QString());
    for (const LiveInput& input : inputs)
        box.addItem(input.name, input.id.text());
    if (box.findData(chosen) < 0)
        box.addItem(Said::tr("One that this computer does not have"), chosen);
    box.setCurrentIndex(box.findData(chosen));
}

} // namespace mivanta
