// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace mivanta {

/// What becomes of changes that are not saved when something else is wanted.
enum class Unsaved { Save, GiveUp, Cancel };

} // namespace mivanta
