// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDateTime>
#include <QImage>
#include <functional>

namespace mivanta {

/// What scenes point at and do not hold.
struct RenderSources {
    /// A picture of the library's media, or a moment of a film (filmMomentName()), that covers `size` px, or
    /// is whole; null when it cannot be shown. Called on the thread that draws; it may read files. Empty =
    /// there are no pictures.
    std::function<QImage(const QString& name, QSize size)> picture{};
    QDateTime now{}; ///< for clocks and countdowns; invalid = they show what they would at 10:30

    /// How long a film of the library's media is, seconds; 0 = not known. As `picture`.
    std::function<double(const QString& name)> filmLength{};

    [[nodiscard]] QImage pictureNamed(const QString& name, QSize size) const {
        return picture && !name.isEmpty() ? picture(name, size) : QImage();
    }
};

} // namespace mivanta
