// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Output.h"

namespace mivanta {

/// The output keeps that group of properties of its own theme, whatever an item shows.
[[nodiscard]] bool insistsOn(const Output& output, LookGroup group);
/// A film is seen there unless its item says otherwise: people look at it, and it does not insist on its own
/// backdrop.
[[nodiscard]] bool showsFilms(const Output& output);

} // namespace mivanta
