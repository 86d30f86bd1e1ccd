// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <QString>
#include <vector>

namespace mivanta {

/// Damaged XML made well formed, as far as that goes.
struct RecoveredXml {
    QByteArray bytes; ///< empty when nothing could be saved
    struct Fault {
        int line = 0;
        QString text;
    };
    std::vector<Fault> faults; ///< what was wrong, the first of them
};

/// Reads on behind faults such as a wrong closing tag. No other file and no network is ever asked for, and
/// entities are left as they stand.
[[nodiscard]] RecoveredXml recoveredXml(const QByteArray& bytes);

} // namespace mivanta
