// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QFlags>

namespace mivanta {

/// What there is in a library that may change.
enum class LibraryPart {
    Songs = 1,
    Texts = 2,
    Themes = 4,
    Scripture = 8,
    Media = 16,
    History = 32 ///< what was sung, and what was on screen when
};
Q_DECLARE_FLAGS(LibraryParts, LibraryPart)
Q_DECLARE_OPERATORS_FOR_FLAGS(LibraryParts)

/// What others may have changed.
inline LibraryParts everyPart() {
    return LibraryPart::Songs | LibraryPart::Texts | LibraryPart::Themes | LibraryPart::Scripture |
           LibraryPart::Media | LibraryPart::History;
}

} // namespace mivanta
