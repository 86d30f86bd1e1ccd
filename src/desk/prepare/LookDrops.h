// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/LookTarget.h"
#include "desk/kit/LookDrag.h"

class QObject;

namespace mivanta {

class Session;

/// Does to the target's look what was dropped on it, as one step that can be undone, and tells it: the theme
/// is used, the picture or film becomes the backdrop. Files are brought into the library first, in the
/// background; nothing happens when `asker` is gone by then. `onto`: the target in words.
void dropLook(Session& session, QObject* asker, const LookTarget& target, const QString& onto,
              const LookDrop& drop);

} // namespace mivanta
