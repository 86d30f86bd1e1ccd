// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>
#include <QTime>

namespace mivanta {

/// What the simulated camera sees: the harbour, with a boat that crosses it and a running time code.
struct CameraPicture {
    QSize size{1280, 720};
    int rate = 30;       ///< pictures a second
    bool isDark = false; ///< its lens is covered
    bool isNumbered =
        false; ///< its number as a row of black and white blocks across the upper half, for tests
    static constexpr int kNumberBits = 12;
};

/// The picture of that number, from 0; the time code says `now` and the picture of its second.
[[nodiscard]] QImage cameraPicture(const CameraPicture& camera, int number, const QTime& now);

} // namespace mivanta
