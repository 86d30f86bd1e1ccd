// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "core/media/Medium.h"
#include "core/theme/SlideObject.h"
#include <span>

namespace mivanta {

/// What there is to know of a kind of object; its fields are those of its struct.
struct ObjectKind {
    const char* key;       ///< in files; never changes
    const char* name;      ///< in English, for label()
    SlideObject (*make)(); ///< as it is added to a slide; a picture has to be chosen first

    [[nodiscard]] QString label() const { return Said::tr(name); }
};

/// One of each alternative of ObjectWhat, in their order.
[[nodiscard]] std::span<const ObjectKind> objectKinds();
[[nodiscard]] const ObjectKind& kindOf(const SlideObject& object);
/// A picture or a film of the library, as it is added to a slide.
[[nodiscard]] SlideObject objectOf(const Medium& medium);
/// Null for a key that there is not, as in a file of a newer version.
[[nodiscard]] const ObjectKind* objectKind(const QString& key);

} // namespace mivanta
