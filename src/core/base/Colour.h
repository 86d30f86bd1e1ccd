// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <optional>

namespace mivanta {

/// An sRGB colour, 8 bits a channel, alpha not premultiplied (255 = opaque).
struct Colour {
    quint8 red = 0;
    quint8 green = 0;
    quint8 blue = 0;
    quint8 alpha = 255;

    friend bool operator==(const Colour&, const Colour&) = default;

    /// "#rrggbb", or "#rrggbbaa" when not opaque.
    [[nodiscard]] QString text() const;
    /// Reads both forms of text(); nothing when it is neither.
    [[nodiscard]] static std::optional<Colour> fromText(const QString& text);
};

} // namespace mivanta
