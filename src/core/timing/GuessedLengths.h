// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/Timetable.h"
#include <QHash>
#include <memory>

namespace mivanta {

/// What guessedSeconds() says, worked out once for each song, passage and text: an order is timed anew at
/// every change. Lives on one thread.
class GuessedLengths {
public:
    [[nodiscard]] int of(const Item& item, const Service& service);

private:
    struct Guess {
        std::shared_ptr<const void> words; ///< kept, so that nothing else gets their address
        int seconds = 0;
    };
    QHash<const void*, Guess> m_guesses;
};

} // namespace mivanta
