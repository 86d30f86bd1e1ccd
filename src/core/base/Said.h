// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QCoreApplication>

namespace mivanta {

/// What a person reads, where there is no QObject to ask for its translation: Said::tr("…"). Any thread.
struct Said {
    Q_DECLARE_TR_FUNCTIONS(Said)
};

} // namespace mivanta
